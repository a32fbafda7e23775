<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Nest\Search\Bound;

use UpsweptBead\Core\Solve\Nest\Problem\CutRules;
use UpsweptBead\Core\Solve\Nest\Search\Donor;
use UpsweptBead\Core\Solve\Nest\Search\RunShape;

/**
 * What a straight of a run costs at least in joints, and in cuts on the legs that take their share of it, when it is
 * known how long those legs are. Straight pieces in it count no cut: each can fill a gap that is sawn already.
 */
final class StraightLeast
{
    private const SAME_MM = 0.06;

    /** @var array<string, array{float, float}> by straight and legs */
    private array $known = [];

    private readonly float $longestMm;

    /** The longest straight that comes for nothing, with a bend or as an offcut. */
    private readonly float $freeMm;

    /** What it costs at least to open something longer. */
    private readonly float $opening;

    /** @param  list<Donor>  $donors */
    public function __construct(private readonly CutRules $rules, array $donors)
    {
        $longest = $free = 1.0;
        $opening = INF;
        foreach ($donors as $donor) {
            $longest = max($longest, $donor->longestLegMm());
            if ($donor->clrMm > 0.0 || $donor->item->cost <= 0.0) {
                $free = max($free, $donor->longestLegMm());
            } else {
                $opening = min($opening, $donor->item->cost);
            }
        }
        [$this->longestMm, $this->freeMm, $this->opening] = [$longest, $free, $opening];
    }

    /**
     * @param  int  $k  as the straights of a run are counted
     * @param  float|null  $beforeMm  the leg behind the bend before it; null if that piece ends at its tangent
     * @param  float|null  $afterMm  the leg in front of the bend after it, likewise
     * @return array{float, float} the cost; and what more joints, or stock opened for it, cost besides, where a piece is
     *                             longer than what comes for nothing: once for the whole job, as all may share the
     *                             stock
     */
    public function cost(RunShape $shape, int $k, ?float $beforeMm, ?float $afterMm): array
    {
        $key = "$shape->index $k $beforeMm $afterMm";

        return $this->known[$key] ??= match (true) {
            $shape->bends === [] => $this->split($shape, 0, 0.0, $this->joints($shape, 0, 0.0, 0.0)),
            $k === 0 => $this->atEnd($shape, $k, $afterMm, $shape->run->firstLongMm),
            $k === count($shape->bends) => $this->atEnd($shape, $k, $beforeMm, $shape->run->lastLongMm),
            default => $this->between($shape, $k, $beforeMm, $afterMm),
        };
    }

    private function openingCost(): float
    {
        return is_infinite($this->opening) ? 0.0 : $this->opening;
    }

    /**
     * Straight pieces, as few as can be: long ones from stock that is opened for them, unless more joints cost less.
     *
     * @return array{float, float}
     */
    private function split(RunShape $shape, int $k, float $taken, int $joints): array
    {
        $cost = $joints * $this->rules->jointCost;
        $length = $shape->straightToMm($k) - $shape->straightFromMm($k) - $taken;
        $isEnd = $k === 0 || $k === count($shape->bends);
        $pieces = $shape->bends === [] ? $joints + 1 : $joints - ($isEnd ? 0 : 1);
        if ($pieces <= 0 || $length <= $pieces * $this->freeMm) {
            return [$cost, 0.0];
        }
        // At least one of them is longer than what comes for nothing, unless there are more.
        $more = (int) ceil(($length - self::SAME_MM) / $this->freeMm) - $pieces;

        return [$cost, min($more * $this->rules->jointCost, $this->openingCost())];
    }

    /**
     * How many joints it takes at least.
     *
     * @param  float  $before  what the leg of the bend before it can take of it
     * @param  float  $after  what that of the bend after it can take
     */
    public function joints(RunShape $shape, int $k, float $before, float $after): int
    {
        [$from, $to] = [$shape->straightFromMm($k), $shape->straightToMm($k)];
        $last = count($shape->bends);
        $joints = $shape->jointsOn[$k];
        // Between joints that are asked for, each stretch is taken by a leg or by straight pieces.
        $asked = array_filter($shape->joints, static fn (float $at): bool => $at >= $from && $at <= $to);
        $ends = [$from, ...$asked, $to];
        for ($i = 1; $i < count($ends); $i++) {
            $length = $ends[$i] - $ends[$i - 1];
            $isFirst = $i === 1 && $k > 0;
            $isLast = $i === count($ends) - 1 && $k < $last;
            $length -= ($isFirst ? $before : 0.0) + ($isLast ? $after : 0.0);
            $pieces = max(0, (int) ceil(($length - self::SAME_MM) / $this->longestMm));
            $joints += $pieces + ($isFirst && $isLast ? 1 : 0) - ($isFirst || $isLast ? 0 : 1);
        }

        return max($joints, $shape->jointsOn[$k]);
    }

    /** @return array{float, float} */
    private function atEnd(RunShape $shape, int $k, ?float $leg, float $endLong): array
    {
        $length = $shape->straightToMm($k) - $shape->straightFromMm($k);
        $least = INF;
        if ($shape->jointsOn[$k] === 0 || $length <= self::SAME_MM) {
            if ($leg === null) {
                $least = $length <= self::SAME_MM ? 0.0 : INF;
            } elseif ($length + $endLong <= $leg + self::SAME_MM || $length <= self::SAME_MM) {
                $isUsedUp = abs($length + $endLong - $leg) <= self::SAME_MM || $leg <= $endLong;
                $least = $isUsedUp ? 0.0 : $this->rules->cutCost;
            }
        }
        if ($length > self::SAME_MM) {
            $long = $k === 0 ? $this->rules->longStartMm : $this->rules->longEndMm;
            $taken = max(0.0, ($leg ?? 0.0) - $long);
            $split = $this->split($shape, $k, $taken, max(1, $this->joints($shape, $k, $taken, $taken)));

            // Whether something is opened for it or not is only known where it is the one way.
            return is_infinite($least) ? $split : [min($least, $split[0]), 0.0];
        }

        return [$least, 0.0];
    }

    /** @return array{float, float} */
    private function between(RunShape $shape, int $k, ?float $before, ?float $after): array
    {
        [$from, $to] = [$shape->straightFromMm($k), $shape->straightToMm($k)];
        $length = $to - $from;
        $mostBefore = max(0.0, ($before ?? 0.0) - $this->rules->longEndMm);
        $mostAfter = max(0.0, ($after ?? 0.0) - $this->rules->longStartMm);
        $least = INF;
        if ($shape->jointsOn[$k] <= 1) {
            $asked = array_filter($shape->joints, static fn (float $at): bool => $at >= $from && $at <= $to);
            foreach ($asked === [] ? $this->corners($shape, $from, $to, $mostBefore, $mostAfter) : $asked as $at) {
                [$taken, $rest] = [$at - $from, $to - $at];
                if ($taken <= $mostBefore + self::SAME_MM && $rest <= $mostAfter + self::SAME_MM) {
                    $cuts = ($before !== null && $taken < $mostBefore - self::SAME_MM ? 1 : 0)
                        + ($after !== null && $rest < $mostAfter - self::SAME_MM ? 1 : 0);
                    $least = min($least, $this->rules->jointCost + $cuts * $this->rules->cutCost);
                }
            }
        }
        if ($length > self::SAME_MM) {
            $taken = $mostBefore + $mostAfter;
            $split = $this->split($shape, $k, $taken, max(2, $this->joints($shape, $k, $mostBefore, $mostAfter)));

            return is_infinite($least) ? $split : [min($least, $split[0]), 0.0];
        }

        return [$least, 0.0];
    }

    /** @return list<float> where one joint may be, each leg used up or not */
    private function corners(RunShape $shape, float $from, float $to, float $before, float $after): array
    {
        $corners = [$from, $to, $from + $before, $to - $after];
        foreach ($shape->run->noJoint as $zone) {
            array_push($corners, ...$zone);
        }
        // One that uses neither up stands for all of its kind.
        $middle = [];
        sort($corners);
        for ($i = 1; $i < count($corners); $i++) {
            $middle[] = ($corners[$i - 1] + $corners[$i]) / 2;
        }

        return array_values(array_filter(
            [...$corners, ...$middle],
            static fn (float $at): bool => $at >= $from - 1e-9 && $at <= $to + 1e-9 && $shape->mayJoin($at),
        ));
    }
}

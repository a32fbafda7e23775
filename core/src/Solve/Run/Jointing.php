<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Run;

use UpsweptBead\Core\Shop\Stock\BendStock;
use UpsweptBead\Core\Solve\Run\Internal\DonorUse;

/**
 * Decides where a run is cut into pieces: fewest joints, straights absorbed into the legs that come with the bends.
 *
 * A bend of a donor's full angle keeps both legs; a smaller angle is cut out of one end and keeps that end's leg at
 * most. Chosen by dynamic programming over the donors of every bend. Ties go to the stock with less bend to throw away.
 */
final readonly class Jointing
{
    /** Straights shorter than this are taken as nothing (mm). */
    private const NOTHING_MM = 0.01;

    /** A chosen joint this near to a tangent lies at it (mm). */
    private const NEAR_MM = 0.02;

    /**
     * Leg left on a bend that meets a straight piece: a joint is rounder and easier to reach on a straight than at a
     * tangent.
     */
    private const STUB_MM = 25.4;

    /** A straight piece shorter than this is not made for the sake of a stub (mm). */
    private const LEAST_PIECE_MM = 50.8;

    /** Nor does a joint that is moved leave a shorter one (mm). */
    private const LEAST_LEFT_MM = 25.4;

    /**
     * @param  list<BendStock>  $stock  bends that may be used
     * @param  float  $endMm  what the last piece needs beyond the run's end, as it goes into an inlet
     * @return list<PieceSpan>|null in the order of flow; null if a bend is in no stock
     */
    public static function of(TubeRun $run, array $stock, float $endMm = 0.0): ?array
    {
        $uses = self::choose($run, $stock, $endMm);
        if ($uses === null) {
            return null;
        }
        [$spans, $station, $after] = [[], 0.0, 0.0];
        foreach ($run->straightsMm() as $i => $straightMm) {
            $donor = $uses[$i] ?? null;
            [$before, $left] = [$donor->beforeMm ?? 0.0, $straightMm];
            [$kept, $taken] = self::share($straightMm + ($donor === null ? $endMm : 0.0), $after, $before);
            [$kept, $taken] = $donor === null ? [min($kept, $straightMm), 0.0] : [$kept, $taken];
            if ($kept > self::NOTHING_MM && $spans !== []) {
                $spans[] = self::extended(array_pop($spans), $kept);
            }
            $station += $kept;
            $left -= $kept + $taken;
            if ($left > self::NOTHING_MM) {
                $spans[] = new PieceSpan($station, $station + $left, null, null);
                $station += $left;
            }
            if ($donor !== null) {
                $end = $station + $taken + $run->bends[$i]->arcMm();
                $spans[] = new PieceSpan($station, $end, $i, $donor->donor, $taken, 0.0);
                [$station, $after] = [$end, $donor->afterMm];
            }
        }

        return $spans;
    }

    /**
     * The same pieces with joints moved out of where none may lie, each to the nearest place that stock allows; one
     * that cannot move stays where it is.
     *
     * @param  list<PieceSpan>  $spans
     * @param  list<BendStock>  $stock
     * @param  list<array{float, float}>  $zones  from where to where along the run (mm)
     * @return list<PieceSpan>
     */
    public static function clearOf(array $zones, array $spans, TubeRun $run, array $stock): array
    {
        foreach (array_keys(array_slice($spans, 0, -1)) as $i) {
            foreach (self::wayOut($spans[$i]->toMm, $zones) as $mm) {
                $joints = [];
                foreach (array_slice($spans, 0, -1) as $k => $span) {
                    $joints[] = $k === $i ? $mm : $span->toMm;
                }
                $least = min($mm - $spans[$i]->fromMm, $spans[$i + 1]->toMm - $mm);
                $moved = $least < self::LEAST_LEFT_MM ? null : self::at($run, $stock, $joints);
                if ($moved !== null) {
                    $spans = $moved;
                    break;
                }
            }
        }

        return $spans;
    }

    /**
     * @param  list<array{float, float}>  $zones
     * @return list<float> stations outside of all zones, the nearest first; none where it is outside already
     */
    private static function wayOut(float $mm, array $zones): array
    {
        $isIn = static fn (float $at): bool => array_filter(
            $zones,
            static fn (array $zone): bool => $at > $zone[0] + self::NEAR_MM && $at < $zone[1] - self::NEAR_MM,
        ) !== [];
        if (! $isIn($mm)) {
            return [];
        }
        $edges = array_values(array_filter(array_merge(...$zones), static fn (float $edge): bool => ! $isIn($edge)));
        usort($edges, static fn (float $a, float $b): int => abs($a - $mm) <=> abs($b - $mm));

        return $edges;
    }

    /**
     * The pieces of a tube that is there already between seams in it: where they are is where they are, also in a bend.
     *
     * @param  list<float>  $joints  stations (mm)
     * @return list<PieceSpan>|null null if one lies beyond the tube, or at another
     */
    public static function asIs(TubeRun $run, array $joints): ?array
    {
        sort($joints);
        $spans = [];
        $from = 0.0;
        foreach ([...$joints, $run->lengthMm()] as $to) {
            if ($to - $from <= self::NEAR_MM) {
                return null;
            }
            $spans[] = new PieceSpan($from, $to, null, null);
            $from = $to;
        }

        return $spans;
    }

    /**
     * The pieces between joints that were chosen, each from the bend with the least angle that has what it takes.
     *
     * @param  list<BendStock>  $stock
     * @param  list<float>  $joints  stations in order (mm)
     * @return list<PieceSpan>|null null if a joint lies inside a bend or outside the run, a piece would have two bends,
     *                              or no stock has its legs
     */
    public static function at(TubeRun $run, array $stock, array $joints): ?array
    {
        $spans = [];
        $bends = self::tangents($run);
        $ends = [0.0, ...$joints, $run->lengthMm()];
        for ($i = 1; $i < count($ends); $i++) {
            [$from, $to] = [$ends[$i - 1], $ends[$i]];
            $inside = [];
            foreach ($bends as $k => [$first, $second]) {
                if ($second <= $from + self::NEAR_MM || $first >= $to - self::NEAR_MM) {
                    continue;
                }
                if ($first < $from - self::NEAR_MM || $second > $to + self::NEAR_MM) {
                    return null;
                }
                $inside[] = $k;
            }
            $span = $to - $from <= self::NEAR_MM || count($inside) > 1
                ? null
                : self::between($run, $stock, $from, $to, $inside[0] ?? null, $bends);
            if ($span === null) {
                return null;
            }
            $spans[] = $span;
        }

        return $spans;
    }

    /**
     * @param  list<BendStock>  $stock
     * @param  list<array{float, float}>  $bends
     */
    private static function between(
        TubeRun $run,
        array $stock,
        float $from,
        float $to,
        ?int $bend,
        array $bends,
    ): ?PieceSpan {
        if ($bend === null) {
            return new PieceSpan($from, $to, null, null);
        }
        $legs = [max(0.0, $bends[$bend][0] - $from), max(0.0, $to - $bends[$bend][1])];
        [$before, $after] = array_map(static fn (float $mm): float => $mm < self::NEAR_MM ? 0.0 : $mm, $legs);
        $best = null;
        foreach (DonorUse::options($run->bends[$bend], $stock) as $use) {
            $reaches = $use->beforeMm >= $before - self::NEAR_MM && $use->afterMm >= $after - self::NEAR_MM;
            if ($reaches && ($best === null || $use->wasteDeg < $best->wasteDeg)) {
                $best = $use;
            }
        }

        return $best === null ? null : new PieceSpan($from, $to, $bend, $best->donor, $before, $after);
    }

    /** @return list<array{float, float}> stations of both tangents of each bend */
    private static function tangents(TubeRun $run): array
    {
        $tangents = [];
        $at = 0.0;
        foreach ($run->bends as $bend) {
            $at += $bend->straightMm;
            $tangents[] = [$at, $at + $bend->arcMm()];
            $at += $bend->arcMm();
        }

        return $tangents;
    }

    /**
     * Splits a straight between the leg behind it and the leg before it; what neither reaches becomes a piece.
     *
     * @return array{float, float} kept on the bend behind, taken by the bend ahead
     */
    private static function share(float $straightMm, float $behindMm, float $aheadMm): array
    {
        if ($straightMm <= $behindMm + $aheadMm + self::NOTHING_MM) {
            $kept = min(max($straightMm / 2, $straightMm - $aheadMm), $behindMm);

            return [$kept, $straightMm - $kept];
        }
        [$behind, $ahead] = [min($behindMm, self::STUB_MM), min($aheadMm, self::STUB_MM)];

        return $straightMm - $behind - $ahead >= self::LEAST_PIECE_MM ? [$behind, $ahead] : [0.0, 0.0];
    }

    private static function extended(PieceSpan $span, float $mm): PieceSpan
    {
        return new PieceSpan(
            $span->fromMm,
            $span->toMm + $mm,
            $span->bendIndex,
            $span->donor,
            $span->legBeforeMm,
            $span->legAfterMm + $mm,
        );
    }

    /**
     * @param  list<BendStock>  $stock
     * @return list<DonorUse>|null
     */
    private static function choose(TubeRun $run, array $stock, float $endMm): ?array
    {
        $straights = $run->straightsMm();
        /** @var list<array{float, list<DonorUse>, float}> $states cost so far, uses so far, leg left behind the last bend */
        $states = [[0.0, [], 0.0]];
        foreach ($run->bends as $i => $bend) {
            $next = [];
            foreach (DonorUse::options($bend, $stock) as $use) {
                $best = null;
                foreach ($states as [$cost, $uses, $behind]) {
                    $total = $cost + self::cost($straights[$i], $behind, $use->beforeMm) + $use->wasteDeg / 1e4;
                    $best = $best === null || $total < $best[0] ? [$total, [...$uses, $use], $use->afterMm] : $best;
                }
                if ($best !== null) {
                    $next[] = $best;
                }
            }
            $states = $next;
        }
        $best = null;
        foreach ($states as [$cost, $uses, $behind]) {
            $total = $cost + self::cost($straights[count($run->bends)] + $endMm, $behind, 0.0);
            $best = $best === null || $total < $best[0] ? [$total, $uses] : $best;
        }

        return $best[1] ?? null;
    }

    /** Joints that a straight costs: none beyond the one it always has if the legs cover it, one more otherwise. */
    private static function cost(float $straightMm, float $behindMm, float $aheadMm): float
    {
        return $straightMm <= $behindMm + $aheadMm + self::NOTHING_MM ? 0.0 : 1.0;
    }
}

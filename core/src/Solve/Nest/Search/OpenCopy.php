<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Nest\Search;

use UpsweptBead\Core\Solve\Nest\Problem\CutRules;

/** One piece of stock that has been opened, what is cut from it, and how many cuts that takes. */
final class OpenCopy
{
    /** Parts whose places on one copy are remembered. */
    private const MOST_KNOWN = 400;

    /** @var array<int, list<array{self, float, bool}>> by part */
    private array $known = [];

    /**
     * @param  list<array{float, float}>  $taken  in order along it, extra length counted (mm)
     * @param  float  $longestMm  the longest of what is left, the kerf taken off
     * @param  float  $arcMm  the longest of what is left of its bend
     */
    private function __construct(
        public readonly Donor $donor,
        public readonly array $taken,
        public readonly int $cuts,
        public readonly float $longestMm,
        public readonly float $arcMm,
    ) {}

    public static function unused(Donor $donor): self
    {
        return new self($donor, [], 0, $donor->lengthMm(), $donor->arcToMm - $donor->arcFromMm);
    }

    /**
     * Straight stock with parts cut from it one behind the other.
     *
     * @param  list<Part>  $parts
     */
    public static function packed(Donor $donor, array $parts, CutRules $rules): ?self
    {
        $taken = [];
        $from = $donor->fromMm;
        foreach ($parts as $part) {
            $taken[] = [$from, $from + $part->cutMm];
            $from += $part->cutMm + $rules->kerfMm;
        }

        return self::holding($donor, $taken, $rules);
    }

    /**
     * Every way to cut a part from it, too: what it is then, where the part begins, extra length counted (mm), and
     * whether the part lies the other way round.
     *
     * @return list<array{self, float, bool}>
     */
    public function taking(Part $part, CutRules $rules): array
    {
        if (isset($this->known[$part->id])) {
            return $this->known[$part->id];
        }
        if (count($this->known) >= self::MOST_KNOWN) {
            $this->known = [];
        }
        $found = [];
        foreach ($this->places($part, $rules) as [$at, $reversed]) {
            $with = $this->with($at, $at + $part->cutMm, $rules);
            if ($with !== null) {
                $found[] = [$with, $at, $reversed];
            }
        }

        return $this->known[$part->id] = $found;
    }

    /**
     * Where a part can start on what is still free: the ends of each stretch that has room.
     *
     * @return list<array{float, bool}>
     */
    private function places(Part $part, CutRules $rules): array
    {
        $places = [];
        $gaps = $this->gaps($rules->kerfMm);
        // Of a straight, and of a ring with nothing taken, one side is as good as the other.
        $hasSides = $this->donor->clrMm > 0.0 && ! ($this->donor->isRing && $this->taken === []);
        foreach ($this->donor->ranges($part) as [$least, $most, $reversed]) {
            foreach ($gaps as [$from, $to]) {
                $low = max($least, $from);
                $high = min($most, $to - $part->cutMm);
                if ($low > $high + Donor::SAME_MM) {
                    continue;
                }
                $places[] = [$this->onceRound($low), $reversed];
                if ($high > $low + Donor::SAME_MM && $hasSides) {
                    $places[] = [$this->onceRound($high), $reversed];
                }
            }
        }

        return $places;
    }

    /**
     * What is left free for straight parts, extra length counted, and of a bend's legs what is left next to the bend.
     *
     * @return array{straights: list<float>, legs: list<float>} mm
     */
    public function rooms(float $kerfMm): array
    {
        $straights = $legs = [];
        $donor = $this->donor;
        foreach ($this->gaps($kerfMm) as [$from, $to]) {
            $before = min($to, $donor->arcFromMm) - $from;
            $after = $to - max($from, $donor->arcToMm);
            if ($before > 0.0) {
                $straights[] = $before;
                if ($to > $donor->arcFromMm) {
                    $legs[] = $before;
                }
            }
            if ($after > 0.0) {
                $straights[] = $after;
                if ($from < $donor->arcToMm) {
                    $legs[] = $after;
                }
            }
        }

        return ['straights' => $straights, 'legs' => $legs];
    }

    /** With one more part; null if the saw would have nothing left to hold it by. */
    private function with(float $fromMm, float $toMm, CutRules $rules): ?self
    {
        $taken = [];
        $isIn = false;
        foreach ($this->taken as $one) {
            if (! $isIn && $one[0] > $fromMm) {
                $taken[] = [$fromMm, $toMm];
                $isIn = true;
            }
            $taken[] = $one;
        }
        if (! $isIn) {
            $taken[] = [$fromMm, $toMm];
        }

        return self::holding($this->donor, $taken, $rules);
    }

    /** Without the part that starts there; null if nothing is left. Straight stock is closed up again. */
    public function without(float $fromMm, float $cutMm, CutRules $rules): ?self
    {
        $isStraight = $this->donor->clrMm === 0.0;
        $taken = [];
        $isOut = false;
        $next = $this->donor->fromMm;
        foreach ($this->taken as [$from, $to]) {
            $isIt = abs($to - $from - $cutMm) <= Donor::SAME_MM
                && ($isStraight || abs($from - $fromMm) <= Donor::SAME_MM);
            if ($isIt && ! $isOut) {
                $isOut = true;

                continue;
            }
            $taken[] = $isStraight ? [$next, $next + $to - $from] : [$from, $to];
            $next += $to - $from + $rules->kerfMm;
        }

        return $taken === [] ? null : self::holding($this->donor, $taken, $rules);
    }

    private function onceRound(float $mm): float
    {
        $round = $this->donor->item->chain->lengthMm;

        return $this->donor->isRing && $mm >= $round ? $mm - $round : $mm;
    }

    /** @param  list<array{float, float}>  $taken */
    private static function holding(Donor $donor, array $taken, CutRules $rules): ?self
    {
        $kerf = $rules->kerfMm;
        $cuts = 0;
        $length = $donor->item->chain->lengthMm;
        $last = $donor->isRing ? $taken[count($taken) - 1][1] - $length : null;
        $piece = $left = $arc = 0.0;
        [$arcFrom, $arcTo] = [$donor->arcFromMm, $donor->arcToMm];
        foreach ($taken as [$from, $to]) {
            if ($to - $from > $piece) {
                $piece = $to - $from;
            }
            $free = 0.0;
            if ($last === null) {
                if (! $donor->hasFreeEnds || $from > Donor::SAME_MM) {
                    $cuts++;
                    $free = $from - $kerf;
                }
            } elseif ($from - $last <= $kerf + Donor::SAME_MM) {
                $cuts++;
            } else {
                $cuts += 2;
                $free = $from - $last - 2 * $kerf;
            }
            if ($free > $left) {
                $left = $free;
            }
            $free = $donor->isRing
                ? $from - ($last ?? 0.0)
                : ($from < $arcTo ? $from : $arcTo) - ($last !== null && $last > $arcFrom ? $last : $arcFrom);
            if ($free > $arc) {
                $arc = $free;
            }
            $last = $to;
        }
        if (! $donor->isRing && $last !== null) {
            $arc = max($arc, $arcTo - max($last, $arcFrom));
            if (! $donor->hasFreeEnds || $last < $length - Donor::SAME_MM) {
                $cuts++;
                $left = max($left, $length - $last - $kerf);
            }
        }

        return $cuts > 0 && max($piece, $left) < $rules->holdMm - Donor::SAME_MM
            ? null
            : new self($donor, $taken, $cuts, $left, $arc);
    }

    /** @return list<array{float, float}> free stretches, a kerf away from what is taken */
    private function gaps(float $kerfMm): array
    {
        $gaps = [];
        $from = $this->donor->isRing && $this->taken !== [] ? INF : $this->donor->fromMm;
        foreach ($this->taken as [$start, $end]) {
            if ($start - $kerfMm > $from) {
                $gaps[] = [$from, $start - $kerfMm];
            }
            $from = $end + $kerfMm;
        }
        $to = $this->donor->toMm;
        if ($this->donor->isRing) {
            $to = ($this->taken[0][0] ?? 0.0) + $this->donor->item->chain->lengthMm - $kerfMm;
        }
        if ($to > $from) {
            $gaps[] = [$from, $to];
        }

        return $gaps;
    }
}

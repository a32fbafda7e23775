<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Nest\Search\Bound;

use UpsweptBead\Core\Solve\Nest\Search\Donor;

/** One piece of stock with a bend, and the bends that share it. */
final readonly class SharedStock
{
    private const GRANTED_MM = 0.06;

    private function __construct(
        public Donor $donor,
        private int $count,
        private float $takenMm,
        private bool $isFirstTaken,
        private bool $isLastTaken,
    ) {}

    public static function opened(BendToCut $bend, Mode $mode): self
    {
        return new self($mode->donor, 1, $bend->takesMm($mode), $mode->takesFirst, $mode->takesLast);
    }

    /**
     * @param  float  $longMm  the most extra length that is left anywhere
     * @return self|null null if there is no room for it
     */
    public function with(BendToCut $bend, Mode $mode, float $kerfMm, float $longMm): ?self
    {
        if (($mode->takesFirst && $this->isFirstTaken) || ($mode->takesLast && $this->isLastTaken)) {
            return null;
        }
        $with = new self(
            $this->donor,
            $this->count + 1,
            $this->takenMm + $bend->takesMm($mode),
            $this->isFirstTaken || $mode->takesFirst,
            $this->isLastTaken || $mode->takesLast,
        );

        return $with->leftMm($kerfMm, $longMm) < -self::GRANTED_MM ? null : $with;
    }

    /**
     * Cuts in the bend itself; those on the legs count with the straights. Between n pieces in a row there are n − 1,
     * one more where something is left, and one at an end that is not the stock's own.
     */
    public function leastCuts(float $kerfMm, float $longMm): int
    {
        if ($this->count === 1 && $this->isFirstTaken && $this->isLastTaken) {
            return 0;
        }
        $rest = $this->leftMm($kerfMm, $longMm) > self::GRANTED_MM ? 1 : 0;
        if ($this->donor->isRing) {
            return $this->count + $rest;
        }
        $first = $this->isFirstTaken || $this->donor->arcFromMm <= $longMm + self::GRANTED_MM;
        $last = $this->isLastTaken || $this->donor->lastLegMm() <= $longMm + self::GRANTED_MM;

        return $this->count - 1 + match (true) {
            $first && $last => $rest,
            $first || $last => 1,
            default => 2,
        };
    }

    /** What is left of the bend, if extra length that may lie in a leg does so. */
    private function leftMm(float $kerfMm, float $longMm): float
    {
        $donor = $this->donor;
        $room = $donor->arcToMm - $donor->arcFromMm - ($this->count - ($donor->isRing ? 0 : 1)) * $kerfMm;
        if (! $this->isFirstTaken) {
            $room += min($donor->arcFromMm, $longMm);
        }
        if (! $this->isLastTaken) {
            $room += min($donor->lastLegMm(), $longMm);
        }

        return $room - $this->takenMm;
    }
}

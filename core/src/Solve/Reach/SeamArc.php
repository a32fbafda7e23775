<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Reach;

/**
 * Neighbouring places of a seam that are looked at together. What moves with the seam is bounded by a turn about its
 * axis, so a whole stretch can be found closed at once.
 */
final readonly class SeamArc
{
    /**
     * @param  non-empty-list<SeamPlace>  $places
     * @param  list<float>  $rad  the angle of each about the seam's axis; empty for one place that stands alone
     */
    private function __construct(public array $places, private array $rad, private ?RoundSeam $seam) {}

    /** @param  non-empty-list<float>  $rad  ascending */
    public static function ofSeam(RoundSeam $seam, array $rad): self
    {
        return new self(array_map($seam->at(...), $rad), $rad, $seam);
    }

    public static function ofPlace(SeamPlace $place): self
    {
        return new self([$place], [], null);
    }

    /** Half the angle between two of its places. */
    public function halfRad(int $first, int $last): float
    {
        return $first === $last ? 0.0 : ($this->rad[$last] - $this->rad[$first]) / 2;
    }

    /** Midway between two of its places. */
    public function middle(int $first, int $last): SeamPlace
    {
        return $this->seam === null || $first === $last
            ? $this->places[$first]
            : $this->seam->at(($this->rad[$first] + $this->rad[$last]) / 2);
    }

    /** How far a place of the seam is from what it is turned about, mm. */
    public function radiusMm(): float
    {
        return $this->seam === null ? 0.0 : $this->seam->radiusMm;
    }
}

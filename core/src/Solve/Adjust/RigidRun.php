<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Adjust;

/**
 * A run whose shape is settled, held at its first end: it moves and tilts with that end as one piece.
 *
 * @phpstan-import-type Triple from Xyz
 */
final readonly class RigidRun implements FarPoint
{
    /**
     * @param  Triple  $axis  of its first end where it was worked out, length 1
     * @param  Triple  $across  from its first end to its last, mm
     * @param  Triple  $travel  there, length 1
     */
    public function __construct(private array $axis, private array $across, private array $travel) {}

    public function end(array $at, array $axis): array
    {
        return [Xyz::plus($at, $this->tilted($this->across, $axis)), $this->tilted($this->travel, $axis)];
    }

    /**
     * Turned as its first axis turns to another, by the least turn there is.
     *
     * @param  Triple  $of
     * @param  Triple  $axis
     * @return Triple
     */
    private function tilted(array $of, array $axis): array
    {
        $about = Xyz::cross($this->axis, $axis);
        $cosine = Xyz::dot($this->axis, $axis);
        // Rodrigues, with the sine in the vector; an axis is never turned right round by a doubt.
        $by = Xyz::dot($about, $of) / max(1e-9, 1 + $cosine);

        return Xyz::plus(Xyz::plus(Xyz::times($of, $cosine), Xyz::cross($about, $of)), $about, $by);
    }
}

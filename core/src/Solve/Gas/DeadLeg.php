<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Gas;

use UpsweptBead\Core\Solve\Gas\Internal\FlushedLines;

/** A part of an assembly that no way from the feed to an outlet passes. */
final readonly class DeadLeg
{
    /**
     * @param  string  $tube  by which it leaves the way
     * @param  string  $from  the node, branch or joint where it does
     * @param  float  $lengthMm  from there to its farthest end, along its lines
     * @param  list<array{string, float, float}>  $parts  tubes of it, from and until (mm)
     */
    public function __construct(
        public string $tube,
        public string $from,
        public float $lengthMm,
        public array $parts,
    ) {}

    /**
     * @param  list<GasJoint>  $leaks  open joints
     * @return list<self> those long enough that air stays in them
     */
    public static function all(Assembly $assembly, array $leaks, Held $held): array
    {
        return (new FlushedLines($assembly, $leaks))->dead($held);
    }

    public function holds(GasJoint $joint): bool
    {
        foreach ($this->parts as [$tube, $from, $until]) {
            if ($tube === $joint->tube && $joint->stationMm >= $from - 1e-6 && $joint->stationMm <= $until + 1e-6) {
                return true;
            }
        }

        return false;
    }
}

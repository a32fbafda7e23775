<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Search;

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Route\Problem\Inlet;
use UpsweptBead\Core\Solve\Route\Problem\InletRing;
use UpsweptBead\Core\Solve\Route\Problem\Port;
use UpsweptBead\Core\Solve\Route\Problem\SetRules;

/** From one port to one inlet: the ends that a way must join, and what it must keep. Millimetres and radians. */
final readonly class Span
{
    /** A half turn has no vertex; this close to one (°) the legs would be endless anyway. */
    private const MOST_DEG = 170.0;

    public float $ax;

    public float $ay;

    public float $az;

    public float $bx;

    public float $by;

    public float $bz;

    /** From port to inlet. */
    public Vector $across;

    /** @var non-empty-list<float> stocked radii, least first */
    public array $radii;

    /** @var non-empty-list<float> the greatest angle of each radius */
    public array $maxAngles;

    public float $minAngle;

    /** @var list<float> preferred angles that some radius can be bent to */
    public array $grid;

    public function __construct(
        public int $id,
        public Port $port,
        public Inlet $inlet,
        public InletRing $collector,
        public SetRules $rules,
    ) {
        [$this->ax, $this->ay, $this->az] = $port->direction->toArray();
        [$this->bx, $this->by, $this->bz] = $inlet->direction->toArray();
        $this->across = $inlet->at->minus($port->at);
        $radii = $most = [];
        foreach ($port->tube->bends as $bend) {
            $radii[] = $bend->radiusMm;
            $most[] = deg2rad(min($bend->maxAngleDeg, self::MOST_DEG));
        }
        $this->radii = $radii;
        $this->maxAngles = $most;
        $this->minAngle = deg2rad($rules->limits->minAngleDeg);
        $this->grid = array_map(
            deg2rad(...),
            $rules->limits->grid->between($rules->limits->minAngleDeg, rad2deg(max($most))),
        );
    }

    public function isEven(float $angleRad): bool
    {
        return $this->rules->limits->grid->isEven(rad2deg($angleRad));
    }

    /**
     * Gives the greatest angle that a stocked radius is bent to, or 0 if it is not stocked. Radius in mm, angle in
     * radians.
     */
    public function maxAngle(float $radius): float
    {
        $i = array_search($radius, $this->radii, true);

        return $i === false ? 0.0 : $this->maxAngles[$i];
    }

    /**
     * Gives the smallest stocked radius that can be bent to each of some angles.
     *
     * @param  list<float>  $angles
     * @return list<float>|null null if there is none
     */
    public function smallestRadii(array $angles): ?array
    {
        $radii = [];
        foreach ($angles as $angle) {
            foreach ($this->radii as $i => $radius) {
                if ($angle <= $this->maxAngles[$i] + 1e-9) {
                    $radii[] = $radius;

                    continue 2;
                }
            }

            return null;
        }

        return $radii;
    }
}

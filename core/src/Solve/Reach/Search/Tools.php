<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Reach\Search;

use UpsweptBead\Core\Solve\Reach\Cup;
use UpsweptBead\Core\Solve\Reach\FillerRod;
use UpsweptBead\Core\Solve\Reach\Obstacle\InTheWay;
use UpsweptBead\Core\Solve\Reach\SeamPlace;
use UpsweptBead\Core\Solve\Reach\Torch;

/** A torch with some cups, and a rod, as they are tried on many seams one after the other. */
final readonly class Tools
{
    public RodPoses $rod;

    /** @var array<string, TorchPoses> by cup */
    public array $torches;

    private float $middleMm;

    private float $ballMm;

    private float $rodMm;

    /** @param  non-empty-list<Cup>  $cups */
    public function __construct(public Torch $torch, FillerRod $rod, array $cups)
    {
        $this->rod = new RodPoses($rod);
        $torches = [];
        foreach ($cups as $cup) {
            $torches[$cup->id] = new TorchPoses($torch, $cup);
        }
        $this->torches = $torches;
        [$this->middleMm, $this->ballMm] = TorchPoses::ball($torch, $cups);
        $this->rodMm = $rod->startMm + $rod->lengthMm + $rod->radiusMm + $rod->gapMm;
    }

    /** How far anything can be from a seam and still be in the way, mm. */
    public function reachMm(): float
    {
        return max($this->middleMm + $this->ballMm, $this->rodMm);
    }

    /**
     * @param  array<string, list<InTheWay>>  $groups
     * @return array<string, list<InTheWay>> what a torch at a place may meet, without groups of which it meets nothing
     */
    public function besideTorch(SeamPlace $place, array $groups): array
    {
        return self::within(
            $place->px + $this->middleMm * $place->nx,
            $place->py + $this->middleMm * $place->ny,
            $place->pz + $this->middleMm * $place->nz,
            $this->ballMm,
            $groups,
        );
    }

    /**
     * @param  array<string, list<InTheWay>>  $groups
     * @return array<string, list<InTheWay>> the same of the rod
     */
    public function besideRod(SeamPlace $place, array $groups): array
    {
        return self::within($place->px, $place->py, $place->pz, $this->rodMm, $groups);
    }

    /**
     * @param  array<string, list<InTheWay>>  $groups
     * @return array<string, list<InTheWay>>
     */
    private static function within(float $x, float $y, float $z, float $ballMm, array $groups): array
    {
        $near = [];
        foreach ($groups as $name => $some) {
            $awayMm = [];
            foreach ($some as $i => $one) {
                $distance = $one->solid()->atLeast($x, $y, $z);
                if ($distance < $ballMm) {
                    $awayMm[$i] = $distance;
                }
            }
            if ($awayMm !== []) {
                // What stands deepest in the ball is the likeliest to be in the way.
                asort($awayMm);
                $near[$name] = array_map(static fn (int $i): InTheWay => $some[$i], array_keys($awayMm));
            }
        }

        return $near;
    }
}

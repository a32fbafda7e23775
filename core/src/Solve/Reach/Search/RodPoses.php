<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Reach\Search;

use UpsweptBead\Core\Solve\Reach\FillerRod;
use UpsweptBead\Core\Solve\Reach\Obstacle\InTheWay;
use UpsweptBead\Core\Solve\Reach\SeamPlace;

/** Tries the ways a rod can be held at a place, one after the other; the one that was free last comes first. */
final class RodPoses
{
    /** @var list<array{float, float, float}> the rod's way in shares of travel, side and normal */
    private readonly array $poses;

    private int $last = 0;

    public function __construct(private readonly FillerRod $rod)
    {
        $poses = [];
        foreach ($rod->riseRad as $rise) {
            foreach ($rod->sideRad as $side) {
                $poses[] = [cos($side) * cos($rise), sin($side) * cos($rise), sin($rise)];
            }
        }
        $this->poses = $poses;
    }

    /**
     * @param  array<int, InTheWay>  $obstacles
     * @return ?int the number of a pose that is free
     */
    public function find(SeamPlace $place, int $sense, array $obstacles): ?int
    {
        if ($this->isFree($place, $sense, $this->last, $obstacles)) {
            return $this->last;
        }
        foreach (array_keys($this->poses) as $pose) {
            if ($pose !== $this->last && $this->isFree($place, $sense, $pose, $obstacles)) {
                return $this->last = $pose;
            }
        }

        return null;
    }

    /** @param  array<int, InTheWay>  $obstacles  what is in the way comes first for the next pose */
    public function isFree(SeamPlace $place, int $sense, int $pose, array &$obstacles): bool
    {
        $rod = $this->rod;
        [$onT, $onB, $onN] = $this->poses[$pose];
        $onT *= $sense;
        $rx = $onT * $place->tx + $onB * $place->bx + $onN * $place->nx;
        $ry = $onT * $place->ty + $onB * $place->by + $onN * $place->ny;
        $rz = $onT * $place->tz + $onB * $place->bz + $onN * $place->nz;
        $apart = $rod->radiusMm + $rod->gapMm;
        $half = $rod->lengthMm / 2;
        $mid = $rod->startMm + $half;
        foreach ($obstacles as $k => $one) {
            $solid = $one->solid();
            $middle = $solid->distance($place->px + $mid * $rx, $place->py + $mid * $ry, $place->pz + $mid * $rz);
            if ($middle >= $half + $apart) {
                continue;
            }
            [$distance] = $middle < $apart ? [$middle] : $solid->along(
                $place->px + $rod->startMm * $rx,
                $place->py + $rod->startMm * $ry,
                $place->pz + $rod->startMm * $rz,
                $rod->lengthMm * $rx,
                $rod->lengthMm * $ry,
                $rod->lengthMm * $rz,
                $apart,
            );
            if ($distance < $apart) {
                if ($k > 0) {
                    [$obstacles[0], $obstacles[$k]] = [$one, $obstacles[0]];
                }

                return false;
            }
        }

        return true;
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Reach\Search;

use UpsweptBead\Core\Reach\FillerRod;
use UpsweptBead\Core\Reach\Obstacle\Obstacle;
use UpsweptBead\Core\Reach\Place;

/** Finds whether the rod can be held at a place; the same for every cup, so that it is worked out once. */
final class RodReach
{
    /** @var array<string, bool> by place and sense */
    private array $known = [];

    /** @var array{float, float}|null rise and side of the last pose that was free */
    private ?array $last = null;

    /** @param  array<int, Obstacle>  $obstacles */
    public function __construct(private readonly FillerRod $rod, private array $obstacles) {}

    /** @param  string  $name  of the place, the same only where the place is */
    public function isFree(string $name, Place $place, int $sense): bool
    {
        return $this->known["$name $sense"] ??= $this->search($place, $sense);
    }

    private function search(Place $place, int $sense): bool
    {
        if ($this->last !== null && $this->isFreeAt($place, $sense, ...$this->last)) {
            return true;
        }
        foreach ($this->rod->riseRad as $rise) {
            foreach ($this->rod->sideRad as $side) {
                if ($this->isFreeAt($place, $sense, $rise, $side)) {
                    $this->last = [$rise, $side];

                    return true;
                }
            }
        }

        return false;
    }

    private function isFreeAt(Place $place, int $sense, float $rise, float $side): bool
    {
        $rod = $this->rod;
        $onT = $sense * cos($side) * cos($rise);
        $onB = sin($side) * cos($rise);
        $onN = sin($rise);
        $rx = $onT * $place->tx + $onB * $place->bx + $onN * $place->nx;
        $ry = $onT * $place->ty + $onB * $place->by + $onN * $place->ny;
        $rz = $onT * $place->tz + $onB * $place->bz + $onN * $place->nz;
        $apart = $rod->radiusMm + $rod->gapMm;
        $half = $rod->lengthMm / 2;
        $mid = $rod->startMm + $half;
        foreach ($this->obstacles as $k => $one) {
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
                    [$this->obstacles[0], $this->obstacles[$k]] = [$one, $this->obstacles[0]];
                }

                return false;
            }
        }

        return true;
    }
}

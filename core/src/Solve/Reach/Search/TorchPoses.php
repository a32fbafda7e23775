<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Reach\Search;

use UpsweptBead\Core\Solve\Reach\Barrel;
use UpsweptBead\Core\Solve\Reach\Cup;
use UpsweptBead\Core\Solve\Reach\Obstacle\InTheWay;
use UpsweptBead\Core\Solve\Reach\SeamPlace;
use UpsweptBead\Core\Solve\Reach\Torch;

/**
 * Tries the ways one cup can be held at a place, one after the other: quicker than halving places and angles where a
 * torch has few of them, and for what stands there of any shape. The one that was free last comes first, then the
 * upright ones.
 */
final class TorchPoses
{
    /** @var array<int, list<array{float, float, float}>> by sense; the torch's way in shares of normal, side and seam */
    private readonly array $poses;

    /** @var array<int, int> by sense, the number of the pose that was free last */
    private array $last = [1 => 0, -1 => 0];

    /** @var non-empty-list<array{float, float, float, float, float, float}> of the torch with its cup */
    private readonly array $parts;

    public function __construct(private readonly Torch $torch, Cup $cup)
    {
        $angles = [];
        foreach ($torch->workRad as $work) {
            foreach ($torch->travelRad as $travel) {
                $angles[] = [$work, $travel];
            }
        }
        usort($angles, static fn (array $a, array $b): int => hypot(...$a) <=> hypot(...$b));
        $poses = [];
        foreach ([1, -1] as $sense) {
            $poses[$sense] = array_map(static fn (array $one): array => [
                cos($one[1]) * cos($one[0]),
                cos($one[1]) * sin($one[0]),
                $one[1] === 0.0 ? 0.0 : -$sense * sin($one[1]),
            ], $angles);
        }
        $this->poses = $poses;
        $this->parts = $torch->parts($cup);
    }

    /**
     * @param  array<int, InTheWay>  $obstacles
     * @param  bool  $isOtherClosed  whether the other sense is known to be closed: both have the upright poses in
     *   common
     * @return ?int the number of a pose that is free
     */
    public function find(SeamPlace $place, int $sense, array $obstacles, bool $isOtherClosed): ?int
    {
        $last = $this->last[$sense];
        if ($this->isFree($place, $sense, $last, $obstacles)) {
            return $last;
        }
        foreach ($this->poses[$sense] as $pose => [, , $onT]) {
            $isClosed = $pose === $last || ($isOtherClosed && $onT === 0.0);
            if (! $isClosed && $this->isFree($place, $sense, $pose, $obstacles)) {
                return $this->last[$sense] = $pose;
            }
        }

        return null;
    }

    /** @param  array<int, InTheWay>  $obstacles  what is in the way comes first for the next pose */
    public function isFree(SeamPlace $place, int $sense, int $pose, array &$obstacles): bool
    {
        [$onN, $onB, $onT] = $this->poses[$sense][$pose];
        $ax = $onN * $place->nx + $onB * $place->bx + $onT * $place->tx;
        $ay = $onN * $place->ny + $onB * $place->by + $onT * $place->ty;
        $az = $onN * $place->nz + $onB * $place->bz + $onT * $place->tz;
        [$px, $py, $pz, $gap] = [$place->px, $place->py, $place->pz, $this->torch->gapMm];
        foreach ($obstacles as $k => $one) {
            $solid = $one->solid();
            foreach ($this->parts as [$from, $to, $radius, $mid, $ball, $within]) {
                $distance = $solid->distance($px + $mid * $ax, $py + $mid * $ay, $pz + $mid * $az);
                $isClear = $distance >= $ball || ($distance >= $within
                    && $one->clears(new Barrel($px, $py, $pz, $ax, $ay, $az, $from, $to, $radius), $gap));
                if (! $isClear) {
                    if ($k > 0) {
                        [$obstacles[0], $obstacles[$k]] = [$one, $obstacles[0]];
                    }

                    return false;
                }
            }
        }

        return true;
    }

    /**
     * A ball that holds every pose of some cups: how far its middle stands off a place along the normal, and its
     * radius.
     *
     * @param  non-empty-list<Cup>  $cups
     * @return array{float, float} mm
     */
    public static function ball(Torch $torch, array $cups): array
    {
        $lean = max(array_map(abs(...), $torch->workRad));
        $back = max(array_map(abs(...), $torch->travelRad));
        $cos = cos($lean) * cos($back);
        $endMm = max(array_map(static fn (Cup $cup): float => $cup->endMm(), $cups)) + $torch->bodyLengthMm;
        $wideMm = max($torch->bodyRadiusMm, ...array_map(static fn (Cup $cup): float => $cup->radiusMm, $cups));
        // As far from the weld as from the end of a torch that leans as far as it may.
        $middleMm = min($endMm, $endMm / (2 * $cos));
        $farMm = max($middleMm, sqrt($endMm ** 2 + $middleMm ** 2 - 2 * $endMm * $middleMm * $cos));

        return [$middleMm, $farMm + $wideMm + $torch->gapMm];
    }
}

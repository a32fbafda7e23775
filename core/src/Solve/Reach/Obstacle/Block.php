<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Reach\Obstacle;

use UpsweptBead\Core\Base\Geometry\Solid\Box;
use UpsweptBead\Core\Solve\Reach\Barrel;

/** A box turned any way: a flange plate, a bracket, a bar of the fixture. */
final readonly class Block implements Obstacle
{
    /** Less than this (mm) is touching. */
    private const TOUCHING = 1e-9;

    public function __construct(private Box $solid) {}

    public function solid(): Box
    {
        return $this->solid;
    }

    public function deepest(Barrel $barrel): array
    {
        [$best, $t] = Parting::nearest($this->solid, $barrel);
        $place = $barrel->at($t);
        if ($best < self::TOUCHING) {
            return $place;
        }
        // Outside: from there as far against the way out of the box as the barrel goes.
        $centre = $this->solid->centre;
        $own = $this->own($place[0] - $centre->x, $place[1] - $centre->y, $place[2] - $centre->z);
        $near = $this->nearest($own);
        [$u, $v, $w] = [$own[0] - $near[0], $own[1] - $near[1], $own[2] - $near[2]];
        [$a, $b, $c] = $this->solid->axes;

        return $barrel->edge(
            $t,
            ($u * $a->x + $v * $b->x + $w * $c->x) / $best,
            ($u * $a->y + $v * $b->y + $w * $c->y) / $best,
            ($u * $a->z + $v * $b->z + $w * $c->z) / $best,
        );
    }

    public function clears(Barrel $barrel, float $gapMm): bool
    {
        $centre = $this->solid->centre;
        $own = new Barrel(
            ...$this->own($barrel->px - $centre->x, $barrel->py - $centre->y, $barrel->pz - $centre->z),
            ...$this->own($barrel->ax, $barrel->ay, $barrel->az),
            ...[$barrel->from, $barrel->to, $barrel->radius],
        );
        $half = ($own->to - $own->from) / 2;
        $middle = $own->at($own->from + $half);
        foreach ([$own->ax, $own->ay, $own->az] as $i => $a) {
            $width = abs($a) * $half + $own->radius * sqrt(max(0.0, 1 - $a * $a));
            if (abs($middle[$i]) - $width - $this->solid->halfMm[$i] >= $gapMm) {
                return true;
            }
        }

        return Parting::keeps($this->nearest(...), $own, $middle, $gapMm);
    }

    /**
     * The box's point nearest to a place.
     *
     * @param  array{float, float, float}  $x
     * @return array{float, float, float}
     */
    private function nearest(array $x): array
    {
        [$a, $b, $c] = $this->solid->halfMm;

        return [max(-$a, min($a, $x[0])), max(-$b, min($b, $x[1])), max(-$c, min($c, $x[2]))];
    }

    /** @return array{float, float, float} a direction in the box's own axes */
    private function own(float $x, float $y, float $z): array
    {
        [$a, $b, $c] = $this->solid->axes;

        return [
            $x * $a->x + $y * $a->y + $z * $a->z,
            $x * $b->x + $y * $b->y + $z * $b->z,
            $x * $c->x + $y * $c->y + $z * $c->z,
        ];
    }
}

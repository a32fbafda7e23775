<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Reach\Search;

use UpsweptBead\Core\Solve\Reach\Barrel;
use UpsweptBead\Core\Solve\Reach\Cup;
use UpsweptBead\Core\Solve\Reach\Obstacle\Obstacle;
use UpsweptBead\Core\Solve\Reach\SeamArc;
use UpsweptBead\Core\Solve\Reach\SeamPlace;
use UpsweptBead\Core\Solve\Reach\Torch;

/**
 * Finds which places of a stretch one cup can be held at. What was free at the place before is tried first; what is
 * left is halved, in place and in angle, until a part is closed as a whole or one single pose is free.
 */
final class TorchReach
{
    /** About how far from the weld what decides is (mm): weighs a turn along the seam against one of the torch. */
    private const MIDDLE_MM = 20.0;

    /** @var array<int, Obstacle> those in reach of the stretch, the last that was in the way first */
    private array $near = [];

    private SeamArc $stretch;

    /** @var array<int, bool> by the number of the place */
    private array $isFree = [];

    /** @var array{float, float, int}|null work, travel and sense of the last pose that was free */
    private ?array $last = null;

    /** @var non-empty-list<array{float, float, float, float, float, float}> of the torch with its cup */
    private readonly array $parts;

    /** @var list<array{float, float}> cosine and sine of each work angle */
    private readonly array $works;

    /** @var list<array{float, float}> and of each travel angle */
    private readonly array $travels;

    /** @param  list<Obstacle>  $obstacles */
    public function __construct(
        private readonly Torch $torch,
        Cup $cup,
        private readonly array $obstacles,
    ) {
        $turn = static fn (float $rad): array => [cos($rad), sin($rad)];
        $this->works = array_map($turn, $torch->workRad);
        $this->travels = array_map($turn, $torch->travelRad);
        $this->parts = $torch->parts($cup);
    }

    /**
     * @param  list<int>  $senses  1 and −1
     * @return list<bool> for each place whether a pose of any of the senses is free there
     */
    public function of(SeamArc $stretch, array $senses): array
    {
        $this->stretch = $stretch;
        $count = count($stretch->places);
        $this->isFree = array_fill(0, $count, false);
        $this->near = $this->inReach($stretch);
        if ($this->last !== null && in_array($this->last[2], $senses, true)) {
            $this->spread(0, ...$this->last);
        }
        [$works, $travels] = [count($this->torch->workRad), count($this->torch->travelRad)];
        foreach ($senses as $sense) {
            $this->search(0, $count - 1, 0, $works - 1, 0, $travels - 1, $sense);
        }

        return array_values($this->isFree);
    }

    /** @return list<Obstacle> */
    private function inReach(SeamArc $stretch): array
    {
        $last = count($stretch->places) - 1;
        $middle = $stretch->middle(0, $last);
        $reach = max(array_map(static fn (array $part): float => hypot($part[1], $part[2]), $this->parts))
            + $this->torch->gapMm + $stretch->radiusMm() * $stretch->halfRad(0, $last);

        return array_values(array_filter(
            $this->obstacles,
            static fn (Obstacle $one): bool => $one->solid()->distance($middle->px, $middle->py, $middle->pz) < $reach,
        ));
    }

    /** Places from $i to $j, work angles from $w to $x and travel angles from $v to $y, by their number. */
    private function search(int $i, int $j, int $w, int $x, int $v, int $y, int $sense): void
    {
        while ($i <= $j && $this->isFree[$i]) {
            $i++;
        }
        while ($i < $j && $this->isFree[$j]) {
            $j--;
        }
        if ($i > $j) {
            return;
        }
        [$work, $travel] = [$this->torch->workRad, $this->torch->travelRad];
        if ($this->isClosed($i, $j, $w, $x, $v, $y, $sense)) {
            return;
        }
        if ($i === $j && $w === $x && $v === $y) {
            if ($this->isFreeAt($this->stretch->places[$i], $work[$w], $travel[$v], $sense)) {
                $this->isFree[$i] = true;
                $this->spread($i, $work[$w], $travel[$v], $sense);
            }

            return;
        }
        $along = $this->stretch->halfRad($i, $j);
        $ofWork = ($work[$x] - $work[$w]) / 2;
        $ofTravel = ($travel[$y] - $travel[$v]) / 2;
        if ($along * (1 + $this->stretch->radiusMm() / self::MIDDLE_MM) >= max($ofWork, $ofTravel) && $i < $j) {
            $half = intdiv($i + $j, 2);
            $this->search($i, $half, $w, $x, $v, $y, $sense);
            $this->search($half + 1, $j, $w, $x, $v, $y, $sense);
        } elseif ($ofWork >= $ofTravel) {
            $half = intdiv($w + $x, 2);
            $this->search($i, $j, $w, $half, $v, $y, $sense);
            $this->search($i, $j, $half + 1, $x, $v, $y, $sense);
        } else {
            $half = intdiv($v + $y, 2);
            $this->search($i, $j, $w, $x, $v, $half, $sense);
            $this->search($i, $j, $w, $x, $half + 1, $y, $sense);
        }
    }

    /** Tries a pose at the places on either side of one, as far as it is free. */
    private function spread(int $from, float $work, float $travel, int $sense): void
    {
        $count = count($this->isFree);
        foreach ([1, -1] as $step) {
            $i = $this->isFree[$from] ? $from + $step : $from;
            while ($i >= 0 && $i < $count) {
                if (! $this->isFree[$i] && ! $this->isFreeAt($this->stretch->places[$i], $work, $travel, $sense)) {
                    break;
                }
                $this->isFree[$i] = true;
                $this->last = [$work, $travel, $sense];
                $i += $step;
            }
        }
    }

    private function isFreeAt(SeamPlace $place, float $work, float $travel, int $sense): bool
    {
        [$ax, $ay, $az] = self::axes($place, $work, $travel, $sense);
        [$px, $py, $pz, $gap] = [$place->px, $place->py, $place->pz, $this->torch->gapMm];
        foreach ($this->near as $k => $one) {
            $solid = $one->solid();
            foreach ($this->parts as [$from, $to, $radius, $mid, $ball, $within]) {
                $distance = $solid->distance($px + $mid * $ax, $py + $mid * $ay, $pz + $mid * $az);
                $isClear = $distance >= $ball || ($distance >= $within
                    && $one->clears(new Barrel($px, $py, $pz, $ax, $ay, $az, $from, $to, $radius), $gap));
                if (! $isClear) {
                    $this->remember($k);

                    return false;
                }
            }
        }

        return true;
    }

    /**
     * Whether one thing is in the way of the cup or of the body, whatever place and angle of a part is taken: a point
     * of the torch is deep in it at the part's middle and at all its corners, and what bulges out between the corners,
     * the point going round in arcs, is less than it is deep there.
     */
    private function isClosed(int $i, int $j, int $w, int $x, int $v, int $y, int $sense): bool
    {
        $torch = $this->torch;
        $place = $this->stretch->middle($i, $j);
        $axes = self::axes(
            $place,
            ($torch->workRad[$w] + $torch->workRad[$x]) / 2,
            ($torch->travelRad[$v] + $torch->travelRad[$y]) / 2,
            $sense,
        );
        [$ax, $ay, $az] = $axes;
        [$px, $py, $pz] = [$place->px, $place->py, $place->pz];
        $corners = [];
        // Bits of a corner's number: which end of the places, of the work angles, of the travel angles it stands at.
        $all = ($i === $j ? 0 : 1) | ($w === $x ? 0 : 2) | ($v === $y ? 0 : 4);
        $ofTilt = 2 - cos(($torch->workRad[$x] - $torch->workRad[$w]) / 2)
            - cos(($torch->travelRad[$y] - $torch->travelRad[$v]) / 2);
        $ofSeam = 1 - cos($this->stretch->halfRad($i, $j));
        foreach ($this->near as $k => $one) {
            $solid = $one->solid();
            foreach ($this->parts as [$from, $to, $radius, $mid, $ball]) {
                if ($solid->distance($px + $mid * $ax, $py + $mid * $ay, $pz + $mid * $az) >= $ball) {
                    continue;
                }
                [$dx, $dy, $dz] = $one->deepest(new Barrel($px, $py, $pz, $ax, $ay, $az, $from, $to, $radius));
                if ($solid->distance($dx, $dy, $dz) >= $torch->gapMm) {
                    continue;
                }
                [$dx, $dy, $dz] = [$dx - $px, $dy - $py, $dz - $pz];
                $a = $dx * $axes[0] + $dy * $axes[1] + $dz * $axes[2];
                $b = $dx * $axes[3] + $dy * $axes[4] + $dz * $axes[5];
                $c = $dx * $axes[6] + $dy * $axes[7] + $dz * $axes[8];
                $far = sqrt($a * $a + $b * $b + $c * $c);
                $bulge = $ofTilt * $far + $ofSeam * ($this->stretch->radiusMm() + $far);
                $isDeep = true;
                // Only as many corners are made as are looked at; those that are stay for the next thing.
                for ($corner = $all; $isDeep && $corner >= 0; $corner--) {
                    if (($corner & ~$all) !== 0) {
                        continue;
                    }
                    [$at, $of] = $corners[$corner] ??= $this->corner($corner, $i, $j, $w, $x, $v, $y, $sense);
                    $isDeep = $solid->distance(
                        $at->px + $a * $of[0] + $b * $of[3] + $c * $of[6],
                        $at->py + $a * $of[1] + $b * $of[4] + $c * $of[7],
                        $at->pz + $a * $of[2] + $b * $of[5] + $c * $of[8],
                    ) < $torch->gapMm - $bulge;
                }
                if ($isDeep) {
                    $this->remember($k);

                    return true;
                }
            }
        }

        return false;
    }

    /**
     * One of the eight corners of a part.
     *
     * @param  int  $corner  by its bits the second place, work angle, travel angle, or the first
     * @return array{SeamPlace, array{float, float, float, float, float, float, float, float, float}}
     */
    private function corner(int $corner, int $i, int $j, int $w, int $x, int $v, int $y, int $sense): array
    {
        $place = $this->stretch->places[($corner & 1) === 0 ? $i : $j];
        [$cw, $sw] = $this->works[($corner & 2) === 0 ? $w : $x];
        [$cv, $sv] = $this->travels[($corner & 4) === 0 ? $v : $y];

        return [$place, self::turned($place, $cw, $sw, $cv, $sense * $sv, $sense)];
    }

    /** What was in the way is asked first the next time. */
    private function remember(int $k): void
    {
        if ($k > 0) {
            [$this->near[0], $this->near[$k]] = [$this->near[$k], $this->near[0]];
        }
    }

    /**
     * The torch's own axes: from the weld along it, and the two ways it tilts as the work and the travel angle grow.
     *
     * @return array{float, float, float, float, float, float, float, float, float}
     */
    private static function axes(SeamPlace $place, float $work, float $travel, int $sense): array
    {
        return self::turned($place, cos($work), sin($work), cos($travel), $sense * sin($travel), $sense);
    }

    /**
     * The same by the cosines and sines of its angles; that of travel carries the sense.
     *
     * @return array{float, float, float, float, float, float, float, float, float}
     */
    private static function turned(SeamPlace $place, float $cw, float $sw, float $cv, float $sv, int $sense): array
    {
        $mx = $cw * $place->nx + $sw * $place->bx;
        $my = $cw * $place->ny + $sw * $place->by;
        $mz = $cw * $place->nz + $sw * $place->bz;

        // sv carries the sense; −m sin v − s·t cos v = −s·(m·sv + t·cv).
        return [
            $cv * $mx - $sv * $place->tx,
            $cv * $my - $sv * $place->ty,
            $cv * $mz - $sv * $place->tz,
            $cw * $place->bx - $sw * $place->nx,
            $cw * $place->by - $sw * $place->ny,
            $cw * $place->bz - $sw * $place->nz,
            -$sense * ($sv * $mx + $cv * $place->tx),
            -$sense * ($sv * $my + $cv * $place->ty),
            -$sense * ($sv * $mz + $cv * $place->tz),
        ];
    }
}

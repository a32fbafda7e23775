<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Gas\Internal;

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Gas\Assembly;
use UpsweptBead\Core\Solve\Gas\TubeInside;

/**
 * The inside of an assembly in slices along its tubes, and the balls of its nodes. A section is convex, so that from
 * anywhere in a slice its roof is reached without going lower; what decides where air stays is then a graph of roofs.
 * Where tubes share room, slices of one are tied to those of the other by the places they have in common, and the room
 * counts once. None of it depends on how the assembly is held.
 */
final class Slices
{
    /** Cells of a section where tubes share room. */
    private const RINGS = 6;

    private const SECTORS = 24;

    private const RIM = 72;

    private const LATTICE_MM = 2.0;

    /** However long a tube is and however wide a ball, no more than so many. */
    private const MOST_STEPS = 4000;

    private const MOST_CELLS = 24;

    /** Tubes may share room so many radii along from where they meet. */
    private const SHARED_RADII = 14.0;

    /** So many slices without anything in common end it. */
    private const APART = 4;

    /** @var list<array{float, float, float, float, float, float, float, float, float, float, float}> middle, way, curvature, radius, mm of tube */
    public array $slices = [];

    /** @var array<int, list<array{float, float, float, float}>> by slice where tubes share room, or ball: place and mL of its cells */
    public array $cells = [];

    /** @var list<array{int, int, list<array{float, float, float}>}> two that share room, and places of it; none for neighbours */
    public array $links = [];

    /** @var array<int, array{float, float, float, float}> by number behind the slices: middle and radius */
    public array $balls = [];

    /** @var array<string, int> number of the first slice of each tube */
    public array $first = [];

    /** @var array<string, int> how many follow it */
    public array $steps = [];

    public float $volumeMl = 0.0;

    public function __construct(private readonly Assembly $assembly, private readonly float $stepMm)
    {
        foreach ($assembly->tubes as $tube) {
            $this->cut($tube);
        }
        foreach ($assembly->branches as $branch) {
            $main = $assembly->tubes[$branch->on];
            $wide = self::SHARED_RADII * max($main->radiusMm, $assembly->tubes[$branch->tube]->radiusMm);
            $at = $branch->stationMm;
            $this->share($branch->tube, $branch->isStart, $branch->on, $at - $wide, $at + $wide);
        }
        $number = count($this->slices);
        foreach ($assembly->nodes as $node) {
            foreach ($node->ends as $i => [$tube, $isStart]) {
                foreach (array_slice($node->ends, 0, $i) as [$other, $isOtherStart]) {
                    $there = $assembly->tubes[$other];
                    $wide = self::SHARED_RADII * max($assembly->tubes[$tube]->radiusMm, $there->radiusMm);
                    [$from, $until] = $isOtherStart ? [0.0, $wide] : [$there->lengthMm - $wide, $there->lengthMm];
                    $this->share($tube, $isStart, $other, $from, $until);
                }
            }
            $this->balls[$number] = [$node->at->x, $node->at->y, $node->at->z, $node->radiusMm];
            foreach ($node->ends as [$tube, $isStart]) {
                $this->tie($tube, $isStart, $number, $node->at, $node->radiusMm);
            }
            $this->fill($number, $node->at, $node->radiusMm, array_column($node->ends, 0));
            $number++;
        }
        foreach ($this->slices as $i => $slice) {
            $this->volumeMl += isset($this->cells[$i])
                ? array_sum(array_column($this->cells[$i], 3))
                : M_PI * $slice[9] ** 2 * $slice[10] / 1000;
        }
        foreach (array_keys($this->balls) as $ball) {
            $this->volumeMl += array_sum(array_column($this->cells[$ball] ?? [], 3));
        }
    }

    /** The slice of an end of a tube. */
    public function ofEnd(string $tube, bool $isStart): int
    {
        return $this->first[$tube] + ($isStart ? 0 : $this->steps[$tube]);
    }

    /** The slice nearest to a station. */
    public function at(string $tube, float $stationMm): int
    {
        $share = $stationMm / max(1e-9, $this->assembly->tubes[$tube]->lengthMm);

        return $this->first[$tube] + (int) round(max(0.0, min(1.0, $share)) * $this->steps[$tube]);
    }

    private function cut(TubeInside $tube): void
    {
        $steps = max(2, (int) min(self::MOST_STEPS, ceil($tube->lengthMm / $this->stepMm)));
        $this->first[$tube->id] = count($this->slices);
        $this->steps[$tube->id] = $steps;
        for ($k = 0; $k <= $steps; $k++) {
            [$at, $way, $bend] = $tube->at($tube->lengthMm * $k / $steps);
            $this->slices[] = [
                $at->x, $at->y, $at->z, $way->x, $way->y, $way->z, $bend->x, $bend->y, $bend->z, $tube->radiusMm,
                $tube->lengthMm / $steps * ($k === 0 || $k === $steps ? 0.5 : 1.0),
            ];
            if ($k > 0) {
                $this->links[] = [count($this->slices) - 2, count($this->slices) - 1, []];
            }
        }
    }

    /** Ties the slices of a tube, from one of its ends on, to those of another that it shares room with. */
    private function share(string $tube, bool $isStart, string $other, float $fromMm, float $untilMm): void
    {
        $bore = $this->assembly->tubes[$other];
        $apart = 0;
        for ($k = 0; $k <= $this->steps[$tube] && $apart < self::APART; $k++) {
            $slice = $this->first[$tube] + ($isStart ? $k : $this->steps[$tube] - $k);
            $this->cells[$slice] ??= $this->section($slice);
            $common = $own = [];
            foreach ($this->cells[$slice] as $cell) {
                $station = $bore->within(new Vector($cell[0], $cell[1], $cell[2]), $fromMm, $untilMm);
                if ($station === null) {
                    $own[] = $cell;
                } else {
                    $common[$this->at($other, $station)][] = [$cell[0], $cell[1], $cell[2]];
                }
            }
            foreach ($this->rim($slice) as $place) {
                $station = $bore->within(new Vector(...$place), $fromMm, $untilMm);
                if ($station !== null) {
                    $common[$this->at($other, $station)][] = $place;
                }
            }
            $this->cells[$slice] = $own;
            foreach ($common as $there => $places) {
                $this->links[] = [$slice, $there, $places];
            }
            $apart = $common === [] ? $apart + 1 : 0;
        }
    }

    private function tie(string $tube, bool $isStart, int $ball, Vector $at, float $radiusMm): void
    {
        for ($k = 0; $k <= $this->steps[$tube]; $k++) {
            $slice = $this->first[$tube] + ($isStart ? $k : $this->steps[$tube] - $k);
            [$x, $y, $z] = $this->slices[$slice];
            $off = (new Vector($x, $y, $z))->distanceTo($at);
            if ($off > $radiusMm) {
                return;
            }
            $this->links[] = [
                $slice,
                $ball,
                $this->round($slice, min($this->slices[$slice][9], sqrt(max(0.0, $radiusMm ** 2 - $off ** 2)))),
            ];
        }
    }

    /** @param  list<string>  $tubes  that meet there */
    private function fill(int $ball, Vector $at, float $radiusMm, array $tubes): void
    {
        $count = (int) min(self::MOST_CELLS, ceil($radiusMm / self::LATTICE_MM));
        $step = $radiusMm / $count;
        $this->cells[$ball] = [];
        for ($i = -$count; $i < $count; $i++) {
            for ($j = -$count; $j < $count; $j++) {
                for ($k = -$count; $k < $count; $k++) {
                    $off = new Vector(($i + 0.5) * $step, ($j + 0.5) * $step, ($k + 0.5) * $step);
                    if ($off->length() > $radiusMm) {
                        continue;
                    }
                    $place = $at->plus($off);
                    foreach ($tubes as $tube) {
                        if ($this->assembly->tubes[$tube]->within($place, 0.0, INF) !== null) {
                            continue 2;
                        }
                    }
                    $this->cells[$ball][] = [$place->x, $place->y, $place->z, $step ** 3 / 1000];
                }
            }
        }
    }

    /** @return list<array{float, float, float, float}> cells of a slice, with their volume in mL */
    private function section(int $slice): array
    {
        [, , , , , , $kx, $ky, $kz, $radius, $long] = $this->slices[$slice];
        $cells = [];
        for ($ring = 0; $ring < self::RINGS; $ring++) {
            [$inner, $outer] = [$radius * $ring / self::RINGS, $radius * ($ring + 1) / self::RINGS];
            $out = sqrt(($inner ** 2 + $outer ** 2) / 2);
            $area = M_PI * ($outer ** 2 - $inner ** 2) / self::SECTORS;
            foreach ($this->round($slice, $out, self::SECTORS) as [$x, $y, $z]) {
                [$cx, $cy, $cz] = $this->slices[$slice];
                $bend = ($x - $cx) * $kx + ($y - $cy) * $ky + ($z - $cz) * $kz;
                $cells[] = [$x, $y, $z, $area * $long * (1 - $bend) / 1000];
            }
        }

        return $cells;
    }

    /** @return list<array{float, float, float}> */
    private function rim(int $slice): array
    {
        return $this->round($slice, $this->slices[$slice][9]);
    }

    /** @return list<array{float, float, float}> places round a slice at a radius */
    private function round(int $slice, float $radius, int $count = self::RIM): array
    {
        [$x, $y, $z, $tx, $ty, $tz] = $this->slices[$slice];
        $way = new Vector($tx, $ty, $tz);
        $side = (abs($tx) < 0.8 ? new Vector(1, 0, 0) : new Vector(0, 1, 0))->squareTo($way)->unit();
        $other = $way->cross($side);
        $places = [];
        for ($i = 0; $i < $count; $i++) {
            [$cos, $sin] = [$radius * cos(2 * M_PI * $i / $count), $radius * sin(2 * M_PI * $i / $count)];
            $places[] = [
                $x + $cos * $side->x + $sin * $other->x,
                $y + $cos * $side->y + $sin * $other->y,
                $z + $cos * $side->z + $sin * $other->z,
            ];
        }

        return $places;
    }
}

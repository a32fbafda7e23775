<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Gas\Internal;

use SplPriorityQueue;
use UpsweptBead\Core\Base\Geometry\Vector;

/**
 * The assembly held one way: how high the roof of every slice is, and for an outlet from how high air finds to it
 * without going down first: the widest way over the graph of roofs, highest first.
 */
final class Roofs
{
    /** @var list<float> of slices, then balls */
    public array $roof = [];

    /** @var array<int, list<array{int, float}>> by number: who is beside it, and how high the way there is */
    private array $beside = [];

    public function __construct(private readonly Slices $slices, private readonly Vector $up)
    {
        [$ux, $uy, $uz] = [$up->x, $up->y, $up->z];
        foreach ($slices->slices as [$x, $y, $z, $tx, $ty, $tz, , , , $radius]) {
            $lean = $tx * $ux + $ty * $uy + $tz * $uz;
            $this->roof[] = $x * $ux + $y * $uy + $z * $uz + $radius * sqrt(max(0.0, 1 - $lean * $lean));
        }
        foreach ($slices->balls as [$x, $y, $z, $radius]) {
            $this->roof[] = $x * $ux + $y * $uy + $z * $uz + $radius;
        }
        foreach ($slices->links as [$a, $b, $places]) {
            $high = $places === [] ? INF : -INF;
            foreach ($places as [$x, $y, $z]) {
                $one = $x * $ux + $y * $uy + $z * $uz;
                $high = $one > $high ? $one : $high;
            }
            $this->beside[$a][] = [$b, $high];
            $this->beside[$b][] = [$a, $high];
        }
    }

    /** @return list<float> for each slice and ball, from how high air finds to an outlet */
    public function from(int $outlet): array
    {
        $level = array_fill(0, count($this->roof), -INF);
        $queue = new SplPriorityQueue;
        $queue->setExtractFlags(SplPriorityQueue::EXTR_BOTH);
        $level[$outlet] = $this->roof[$outlet];
        $queue->insert($outlet, $level[$outlet]);
        while (! $queue->isEmpty()) {
            /** @var array{data: int, priority: float} $next */
            $next = $queue->extract();
            $one = $next['data'];
            $high = $next['priority'];
            if ($high < $level[$one]) {
                continue;
            }
            foreach ($this->beside[$one] ?? [] as [$other, $way]) {
                $there = min($high, $way, $this->roof[$other]);
                if ($there > $level[$other]) {
                    $level[$other] = $there;
                    $queue->insert($other, $there);
                }
            }
        }

        return array_values($level);
    }

    /**
     * What air stays, mL, where it finds out from so high.
     *
     * @param  list<float>  $level  by slice and ball
     */
    public function trappedMl(array $level): float
    {
        $ml = 0.0;
        foreach ($this->roof as $i => $roof) {
            if ($roof > $level[$i] + 1e-9) {
                $ml += $this->aboveMl($i, $level[$i]);
            }
        }

        return $ml;
    }

    /** What of a slice or a ball lies above a height, mL. */
    public function aboveMl(int $i, float $height): float
    {
        [$ux, $uy, $uz] = [$this->up->x, $this->up->y, $this->up->z];
        $cells = $this->slices->cells[$i] ?? null;
        if ($cells !== null) {
            $ml = 0.0;
            foreach ($cells as [$x, $y, $z, $one]) {
                if ($x * $ux + $y * $uy + $z * $uz > $height) {
                    $ml += $one;
                }
            }

            return $ml;
        }
        [$x, $y, $z, $tx, $ty, $tz, $kx, $ky, $kz, $radius, $long] = $this->slices->slices[$i];
        $lean = $tx * $ux + $ty * $uy + $tz * $uz;
        $flat = sqrt(max(0.0, 1 - $lean * $lean));
        $off = $height - ($x * $ux + $y * $uy + $z * $uz);
        $whole = M_PI * $radius * $radius;
        if ($flat < 1e-6) {
            // A section that lies level: as much of its slice as is above.
            $share = $long * abs($lean) > 0.0 ? 0.5 - $off / ($long * abs($lean)) : 0.0;

            return $whole * $long * max(0.0, min(1.0, $share)) / 1000;
        }
        $d = $off / $flat;
        if ($d >= $radius) {
            return 0.0;
        }
        if ($d <= -$radius) {
            return $whole * $long / 1000;
        }
        $chord = sqrt($radius * $radius - $d * $d);
        $area = $radius * $radius * acos($d / $radius) - $d * $chord;
        $bend = ($kx * ($ux - $lean * $tx) + $ky * ($uy - $lean * $ty) + $kz * ($uz - $lean * $tz)) / $flat;

        return $long * ($area - $bend * 2 / 3 * $chord ** 3) / 1000;
    }

    /**
     * Where air stays, in parts that hang together above their level.
     *
     * @param  list<float>  $level
     * @return list<non-empty-list<int>> slices and balls of each
     */
    public function trapped(array $level): array
    {
        $parts = [];
        $seen = [];
        foreach ($this->roof as $i => $roof) {
            if (isset($seen[$i]) || $roof <= $level[$i] + 1e-6) {
                continue;
            }
            $part = [];
            $open = [$i];
            $seen[$i] = true;
            while ($open !== []) {
                $part[] = $one = array_pop($open);
                foreach ($this->beside[$one] ?? [] as [$other, $way]) {
                    $isOne = ! isset($seen[$other]) && $this->roof[$other] > $level[$other] + 1e-6
                        && min($way, $this->roof[$one], $this->roof[$other]) > $level[$one] + 1e-6;
                    if ($isOne) {
                        $seen[$other] = true;
                        $open[] = $other;
                    }
                }
            }
            $parts[] = $part;
        }

        return $parts;
    }

    /** @return array{float, float, float} the highest place of a slice or a ball */
    public function topOf(int $i): array
    {
        [$ux, $uy, $uz] = [$this->up->x, $this->up->y, $this->up->z];
        if (isset($this->slices->balls[$i])) {
            [$x, $y, $z, $radius] = $this->slices->balls[$i];

            return [$x + $radius * $ux, $y + $radius * $uy, $z + $radius * $uz];
        }
        [$x, $y, $z, $tx, $ty, $tz, , , , $radius] = $this->slices->slices[$i];
        $lean = $tx * $ux + $ty * $uy + $tz * $uz;
        $flat = sqrt(max(1e-12, 1 - $lean * $lean));
        // A little below the wall, so that it is inside for certain.
        $out = 0.999 * $radius / $flat;

        return [$x + $out * ($ux - $lean * $tx), $y + $out * ($uy - $lean * $ty), $z + $out * ($uz - $lean * $tz)];
    }
}

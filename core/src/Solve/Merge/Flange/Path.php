<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Merge\Flange;

/**
 * A closed line in a plane, of straights and arcs. Each vertex has a bulge for what follows it: the tangent of a
 * quarter of the arc's angle, positive anticlockwise, 0 for a straight. Lengths in mm.
 */
final readonly class Path
{
    /** An arc is walked in steps of this (degrees). */
    private const STEP_DEG = 5.0;

    /** @param  non-empty-list<array{float, float, float}>  $vertices  x, y and bulge */
    public function __construct(public array $vertices) {}

    public static function circle(float $xMm, float $yMm, float $radiusMm): self
    {
        return new self([[$xMm - $radiusMm, $yMm, 1.0], [$xMm + $radiusMm, $yMm, 1.0]]);
    }

    /** A rectangle with one radius for its upper and one for its lower corners, as every shape of a port is. */
    public static function rounded(float $widthMm, float $heightMm, float $topMm, float $footMm): self
    {
        [$w, $h] = [$widthMm / 2, $heightMm / 2];
        $quarter = tan(M_PI / 8);
        $vertices = [];
        foreach ([[1, 1, $topMm], [-1, 1, $topMm], [-1, -1, $footMm], [1, -1, $footMm]] as [$x, $y, $radiusMm]) {
            $before = $x * $y > 0
                ? [$x * $w, $y * ($h - $radiusMm)]
                : [$x * ($w - $radiusMm), $y * $h];
            $after = $x * $y > 0
                ? [$x * ($w - $radiusMm), $y * $h]
                : [$x * $w, $y * ($h - $radiusMm)];
            array_push($vertices, ...($radiusMm > 0.0
                ? [[...$before, $quarter], [...$after, 0.0]]
                : [[...$before, 0.0]]));
        }

        return (new self($vertices))->withoutDoubles();
    }

    /** The same line seen from behind, its left to the right. */
    public function mirrored(): self
    {
        $count = count($this->vertices);

        // Walked backwards, so that it goes round the same way as before.
        return new self(array_map(fn (int $i): array => [
            -$this->vertices[$i][0] + 0.0,
            $this->vertices[$i][1],
            $this->vertices[($i + $count - 1) % $count][2],
        ], range($count - 1, 0)));
    }

    /** What it is round, if it is a circle. */
    public function asDisc(): ?Disc
    {
        $box = $this->box();
        [$x, $y, $r] = [($box[0] + $box[2]) / 2, ($box[1] + $box[3]) / 2, ($box[2] - $box[0]) / 2];
        foreach ($this->points() as [$px, $py]) {
            if (abs(hypot($px - $x, $py - $y) - $r) > max(0.01, 1e-3 * $r)) {
                return null;
            }
        }

        return new Disc($x, $y, $r);
    }

    /** @return non-empty-list<array{float, float}> the line as points, arcs in steps; the first is not repeated */
    public function points(float $stepDeg = self::STEP_DEG): array
    {
        $points = [];
        foreach ($this->vertices as $i => [$x, $y, $bulge]) {
            $points[] = [$x, $y];
            [$nx, $ny] = $this->vertices[($i + 1) % count($this->vertices)];
            if (abs($bulge) < 1e-9) {
                continue;
            }
            $angle = 4 * atan($bulge);
            // From the chord's middle to the centre: square to the chord, by chord/2 / tan(angle/2).
            $off = (1 - $bulge ** 2) / (4 * $bulge);
            [$cx, $cy] = [($x + $nx) / 2 - ($ny - $y) * $off, ($y + $ny) / 2 + ($nx - $x) * $off];
            $steps = max(1, (int) ceil(abs(rad2deg($angle)) / $stepDeg));
            for ($k = 1; $k < $steps; $k++) {
                [$cos, $sin] = [cos($angle * $k / $steps), sin($angle * $k / $steps)];
                $points[] = [
                    $cx + ($x - $cx) * $cos - ($y - $cy) * $sin,
                    $cy + ($x - $cx) * $sin + ($y - $cy) * $cos,
                ];
            }
        }

        return $points;
    }

    /** Positive where it runs anticlockwise; mm². Between points of an arc its circle segments are counted. */
    public function areaMm2(): float
    {
        $sum = 0.0;
        foreach ($this->vertices as $i => [$x, $y, $bulge]) {
            [$nx, $ny] = $this->vertices[($i + 1) % count($this->vertices)];
            $sum += ($x * $ny - $nx * $y) / 2;
            if (abs($bulge) > 1e-12) {
                $angle = 4 * atan($bulge);
                $radius = hypot($nx - $x, $ny - $y) / 2 / sin($angle / 2);
                $sum += $radius ** 2 * ($angle - sin($angle)) / 2;
            }
        }

        return $sum;
    }

    /** @return array{float, float, float, float} left, lower, right, upper */
    public function box(): array
    {
        $points = $this->points();

        return [
            min(array_column($points, 0)), min(array_column($points, 1)),
            max(array_column($points, 0)), max(array_column($points, 1)),
        ];
    }

    public function holds(float $xMm, float $yMm): bool
    {
        $isIn = false;
        $points = $this->points();
        $last = $points[count($points) - 1];
        foreach ($points as $point) {
            if (($point[1] > $yMm) !== ($last[1] > $yMm)) {
                $at = $point[0] + ($yMm - $point[1]) / ($last[1] - $point[1]) * ($last[0] - $point[0]);
                $isIn = $xMm < $at ? ! $isIn : $isIn;
            }
            $last = $point;
        }

        return $isIn;
    }

    /** How far a place is from the line; mm. */
    public function distanceMm(float $xMm, float $yMm): float
    {
        $least = INF;
        $points = $this->points();
        $last = $points[count($points) - 1];
        foreach ($points as $point) {
            [$dx, $dy] = [$point[0] - $last[0], $point[1] - $last[1]];
            $length2 = $dx ** 2 + $dy ** 2;
            $share = $length2 > 0.0
                ? max(0.0, min(1.0, (($xMm - $last[0]) * $dx + ($yMm - $last[1]) * $dy) / $length2))
                : 0.0;
            $least = min($least, hypot($xMm - $last[0] - $share * $dx, $yMm - $last[1] - $share * $dy));
            $last = $point;
        }

        return $least;
    }

    /** Turned about the middle, anticlockwise as it is drawn. */
    public function turned(float $deg): self
    {
        [$cos, $sin] = [cos(deg2rad($deg)), sin(deg2rad($deg))];

        return new self(array_map(static fn (array $one): array => [
            $one[0] * $cos - $one[1] * $sin,
            $one[0] * $sin + $one[1] * $cos,
            $one[2],
        ], $this->vertices));
    }

    public function moved(float $xMm, float $yMm): self
    {
        return new self(array_map(
            static fn (array $one): array => [$one[0] + $xMm, $one[1] + $yMm, $one[2]],
            $this->vertices,
        ));
    }

    public function scaled(float $by): self
    {
        return new self(array_map(
            static fn (array $one): array => [$one[0] * $by, $one[1] * $by, $one[2]],
            $this->vertices,
        ));
    }

    private function withoutDoubles(): self
    {
        $kept = [];
        foreach ($this->vertices as $i => $one) {
            $next = $this->vertices[($i + 1) % count($this->vertices)];
            if (hypot($next[0] - $one[0], $next[1] - $one[1]) > 1e-9) {
                $kept[] = $one;
            }
        }

        return new self($kept === [] ? $this->vertices : $kept);
    }
}

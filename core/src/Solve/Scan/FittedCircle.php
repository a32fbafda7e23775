<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Scan;

use UpsweptBead\Core\Base\Geometry\Vector;

/** A circle fitted to points in a plane. Lengths in mm. */
final readonly class FittedCircle
{
    /** Openings between these radii may be ports, mm; smaller ones are bolt holes. Our own figures. */
    public const LEAST_PORT_MM = 8.0;

    public const MOST_PORT_MM = 110.0;

    private const STEPS = 12;

    private const STILL_MM = 1e-9;

    private const SECTORS = 36;

    /** It is round if its edge is, within this share of its radius; our own figure. */
    private const ROUND = 0.06;

    /** @param  float  $covered  share of the way round that has points */
    private function __construct(
        public Vector $centre,
        public float $radiusMm,
        public float $rmsMm,
        public float $covered,
        public int $points,
    ) {}

    /**
     * By least squares: first of x² + y² [Kåsa], then of the distances themselves, by Gauss and Newton.
     *
     * @param  list<Vector>  $points
     * @param  Vector  $normal  of the plane they are looked at in
     * @return ?self null where they are too few, or lie in a line
     */
    public static function of(array $points, Vector $normal): ?self
    {
        $count = count($points);
        if ($count < 6) {
            return null;
        }
        $across = $normal->anySide();
        $along = $normal->cross($across);
        $middle = Vector::mean($points);
        $xy = array_map(static fn (Vector $one): array => [
            $one->minus($middle)->dot($across),
            $one->minus($middle)->dot($along),
        ], $points);
        $first = self::kasa($xy);
        if ($first === null) {
            return null;
        }
        [$x, $y, $r] = $first;
        for ($step = 0; $step < self::STEPS; $step++) {
            $next = self::closer($xy, $x, $y, $r);
            if ($next === null) {
                return null;
            }
            $isThere = hypot($next[0] - $x, $next[1] - $y) + abs($next[2] - $r) < self::STILL_MM;
            [$x, $y, $r] = $next;
            if ($isThere) {
                break;
            }
        }
        $square = 0.0;
        $sectors = [];
        foreach ($xy as [$px, $py]) {
            $square += (hypot($px - $x, $py - $y) - $r) ** 2;
            $turn = atan2($py - $y, $px - $x) / (2 * M_PI) + 0.5;
            $sectors[(int) floor(self::SECTORS * $turn) % self::SECTORS] = true;
        }

        return new self(
            $middle->plus($across->times($x))->plus($along->times($y)),
            $r,
            sqrt($square / max(1, $count - 3)),
            count($sectors) / self::SECTORS,
            $count,
        );
    }

    /** @param  float  $covered  so much of the way round has to be there */
    public function mayBePort(float $covered): bool
    {
        return $this->covered >= $covered
            && $this->radiusMm >= self::LEAST_PORT_MM && $this->radiusMm <= self::MOST_PORT_MM
            && $this->rmsMm <= self::ROUND * $this->radiusMm;
    }

    /**
     * @param  list<array{float, float}>  $xy  about their own middle
     * @return array{float, float, float}|null
     */
    private static function kasa(array $xy): ?array
    {
        [$xx, $xY, $yy, $xz, $yz, $z] = [0.0, 0.0, 0.0, 0.0, 0.0, 0.0];
        foreach ($xy as [$x, $y]) {
            $square = $x * $x + $y * $y;
            $xx += $x * $x;
            $xY += $x * $y;
            $yy += $y * $y;
            $xz += $x * $square;
            $yz += $y * $square;
            $z += $square;
        }
        $flat = $xx * $yy - $xY ** 2;
        if ($flat < 1e-9 * max(1e-9, $xx * $yy)) {
            return null;
        }
        $a = ($xz * $yy - $yz * $xY) / (2 * $flat);
        $b = ($yz * $xx - $xz * $xY) / (2 * $flat);

        return [$a, $b, sqrt($z / count($xy) + $a * $a + $b * $b)];
    }

    /**
     * @param  list<array{float, float}>  $xy
     * @return array{float, float, float}|null
     */
    private static function closer(array $xy, float $x, float $y, float $r): ?array
    {
        [$uu, $uv, $vv, $u1, $v1, $ue, $ve, $e1] = [0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0];
        foreach ($xy as [$px, $py]) {
            $away = hypot($px - $x, $py - $y);
            if ($away < 1e-9) {
                return null;
            }
            [$u, $v, $e] = [($px - $x) / $away, ($py - $y) / $away, $away - $r];
            $uu += $u * $u;
            $uv += $u * $v;
            $vv += $v * $v;
            $u1 += $u;
            $v1 += $v;
            $ue += $u * $e;
            $ve += $v * $e;
            $e1 += $e;
        }
        $n = count($xy);
        // The radius falls out of its own line; what is left are two for the centre.
        [$a, $b, $c] = [$uu - $u1 * $u1 / $n, $uv - $u1 * $v1 / $n, $vv - $v1 * $v1 / $n];
        [$p, $q] = [$ue - $u1 * $e1 / $n, $ve - $v1 * $e1 / $n];
        $flat = $a * $c - $b * $b;
        if ($flat < 1e-12) {
            return null;
        }
        [$dx, $dy] = [($p * $c - $q * $b) / $flat, ($q * $a - $p * $b) / $flat];

        return [$x + $dx, $y + $dy, $r + ($e1 - $u1 * $dx - $v1 * $dy) / $n];
    }
}

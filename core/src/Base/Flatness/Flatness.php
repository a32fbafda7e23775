<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Flatness;

/**
 * A face as it was measured: its heights over the plane that fits them best, so that a tilt of the set-up does not
 * count.
 *
 * Source: least squares (normal equations of z = a + b·x + c·y), general mathematics. Peak to valley over that plane is
 * never below the least zone of ISO 1101, and for six points up to a third above it: it errs to the safe side.
 */
final readonly class Flatness
{
    /** Through three points there is always a plane. */
    public const LEAST_POINTS = 4;

    /** Points nearer to one line than this (mm, root mean square) say nothing of a tilt about it; our own figure. */
    private const LEAST_WIDTH_MM = 1.0;

    /**
     * @param  array<string, float>  $highMm  square to the plane, over the lowest point, by point
     * @param  array<string, float>  $takeDownMm  what has to come off at least, by point; only those where anything has
     *   to
     */
    private function __construct(
        public array $highMm,
        public float $peakToValleyMm,
        public float $limitMm,
        public array $takeDownMm,
    ) {}

    /**
     * @param  array<string, float>  $readingsMm
     * @return ?self null where too few points were read to judge by, or all on one line
     */
    public static function of(Face $face, array $readingsMm): ?self
    {
        $points = array_values(array_filter(
            $face->points,
            static fn (FacePoint $one): bool => isset($readingsMm[$one->name]),
        ));
        if (count($points) < self::LEAST_POINTS) {
            return null;
        }
        $plane = self::plane($points, $readingsMm);
        if ($plane === null) {
            return null;
        }
        [$a, $b, $c] = $plane;
        $high = [];
        foreach ($points as $one) {
            $high[$one->name] = $readingsMm[$one->name] - $a - $b * $one->xMm - $c * $one->yMm;
        }
        $lowest = min($high);
        $over = array_map(static fn (float $mm): float => $mm - $lowest, $high);
        $down = array_filter(
            array_map(static fn (float $mm): float => $mm - $face->limitMm, $over),
            static fn (float $mm): bool => $mm > 1e-9,
        );

        return new self($over, max($over), $face->limitMm, $down);
    }

    public function isFlat(): bool
    {
        return $this->peakToValleyMm <= $this->limitMm + 1e-9;
    }

    /**
     * @param  non-empty-list<FacePoint>  $points
     * @param  array<string, float>  $readingsMm
     * @return array{float, float, float}|null a, b, c of z = a + b·x + c·y; null where they lie on one line
     */
    private static function plane(array $points, array $readingsMm): ?array
    {
        $count = count($points);
        $mean = static fn (\Closure $of): float => array_sum(array_map($of, $points)) / $count;
        $x0 = $mean(static fn (FacePoint $one): float => $one->xMm);
        $y0 = $mean(static fn (FacePoint $one): float => $one->yMm);
        $z0 = $mean(static fn (FacePoint $one): float => $readingsMm[$one->name]);
        $xx = $xy = $yy = $xz = $yz = 0.0;
        foreach ($points as $one) {
            [$x, $y, $z] = [$one->xMm - $x0, $one->yMm - $y0, $readingsMm[$one->name] - $z0];
            $xx += $x * $x;
            $xy += $x * $y;
            $yy += $y * $y;
            $xz += $x * $z;
            $yz += $y * $z;
        }
        $determinant = $xx * $yy - $xy * $xy;
        // Their least spread square to any line is about this over their greatest.
        if ($determinant < $count * self::LEAST_WIDTH_MM ** 2 * ($xx + $yy)) {
            return null;
        }
        [$b, $c] = [($xz * $yy - $yz * $xy) / $determinant, ($yz * $xx - $xz * $xy) / $determinant];

        return [$z0 - $b * $x0 - $c * $y0, $b, $c];
    }
}

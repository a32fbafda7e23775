<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Fit\Access;

use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Stage\Layout\RoutedRun;

/**
 * Whether the root of a joint is seen through the bore from an open end of its run, how much of it, and from how far.
 */
final readonly class RootView
{
    /** So many places round the root, and eyes across the opening, are looked at. */
    private const PLACES = 12;

    /** Looked along in steps of this (mm). */
    private const STEP_MM = 4.0;

    /** What grazes the wall is not seen: a sight line keeps this off it (mm). */
    private const GRAZE_MM = 0.5;

    /** Rounding (mm). */
    private const TOUCH_MM = 1e-6;

    /**
     * @param  float  $share  of the root that is seen from the better end, 0 to 1
     * @param  string  $from  'start' or 'end'; '' where it is not seen
     */
    private function __construct(public float $share, public string $from, public float $distanceMm) {}

    /** Of what no tube is round. */
    public static function none(): self
    {
        return new self(0.0, '', 0.0);
    }

    public static function of(RoutedRun $routed, float $stationMm): self
    {
        $boreMm = $routed->tube->idMm() / 2 - self::GRAZE_MM;
        $best = self::none();
        foreach (['start' => 0.0, 'end' => $routed->line->lengthMm] as $from => $endMm) {
            $share = self::seen($routed, $stationMm, $endMm, $boreMm);
            $awayMm = abs($stationMm - $endMm);
            if ($share > $best->share || ($share === $best->share && $share > 0.0 && $awayMm < $best->distanceMm)) {
                $best = new self($share, $from, $awayMm);
            }
        }

        return $best;
    }

    private static function seen(RoutedRun $routed, float $stationMm, float $endMm, float $boreMm): float
    {
        $end = $routed->line->frameAt($endMm);
        $eyes = [$end->at, ...self::ring($end, 0.6 * $boreMm)];
        $steps = max(1, (int) ceil(abs($stationMm - $endMm) / self::STEP_MM));
        $middles = array_map(
            static function (int $i) use ($routed, $endMm, $stationMm, $steps): array {
                return $routed->line->frameAt($endMm + ($stationMm - $endMm) * $i / $steps)->at->toArray();
            },
            range(0, $steps),
        );
        $seen = 0;
        $at = 0;
        foreach (self::ring($routed->line->frameAt($stationMm), $boreMm) as $place) {
            foreach ($eyes as $eye) {
                $hidden = self::hiddenAt($eye, $place, $middles, $at, ($boreMm + self::TOUCH_MM) ** 2);
                if ($hidden === null) {
                    $seen++;
                    break;
                }
                $at = $hidden;
            }
        }

        return $seen / self::PLACES;
    }

    /**
     * Where a sight line runs into the wall of the bore; null where it stays within.
     *
     * @param  non-empty-list<array{float, float, float}>  $middles  of the bore, from the eye's end to the joint
     * @param  int  $first  of them that is asked first: where the wall hid one place it likely hides the next
     * @param  float  $square  of the bore's radius
     */
    private static function hiddenAt(Vector $eye, Vector $place, array $middles, int $first, float $square): ?int
    {
        [$ex, $ey, $ez] = [$eye->x, $eye->y, $eye->z];
        [$wx, $wy, $wz] = [$place->x - $ex, $place->y - $ey, $place->z - $ez];
        $long = $wx * $wx + $wy * $wy + $wz * $wz;
        for ($i = -1; $i < count($middles); $i++) {
            [$x, $y, $z] = $middles[$i < 0 ? $first : $i];
            [$x, $y, $z] = [$x - $ex, $y - $ey, $z - $ez];
            $t = $long > 0.0 ? ($x * $wx + $y * $wy + $z * $wz) / $long : 0.0;
            $t = $t < 0.0 ? 0.0 : ($t > 1.0 ? 1.0 : $t);
            [$x, $y, $z] = [$x - $t * $wx, $y - $t * $wy, $z - $t * $wz];
            if ($x * $x + $y * $y + $z * $z > $square) {
                return $i < 0 ? $first : $i;
            }
        }

        return null;
    }

    /** @return non-empty-list<Vector> */
    private static function ring(Frame $at, float $radiusMm): array
    {
        return array_map(
            static fn (int $i): Vector => $at->at->plus(
                $at->turned(360.0 * $i / self::PLACES)->reference->times($radiusMm),
            ),
            range(0, self::PLACES - 1),
        );
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Joint;

use UpsweptBead\Core\Shop\Stock\TubeSize;
use UpsweptBead\Core\Stage\Cut\Piece;

/**
 * The seams inside pieces that are cut from a donut: it comes welded on the outside only, so the inside is welded
 * before the piece is closed in, common practice. Its halves meet along the outer edge of the bend and along the inner
 * one.
 */
final readonly class DonutSeams
{
    /**
     * @param  list<Piece>  $pieces  of one run or collector
     * @return list<Joint>
     */
    public static function of(string $letter, array $pieces, TubeSize $tube, string $metal): array
    {
        $joints = [];
        foreach ($pieces as $i => $piece) {
            if ($piece->place?->isOnRing !== true) {
                continue;
            }
            $side = new Side($piece->mark, $metal, $tube->wallMm);
            $joints[] = new Joint("{$letter}D".($i + 1), $letter, JointType::DonutSeam, $side, $side, new Seam(
                ($piece->span->fromMm + $piece->span->toMm) / 2,
                self::lengthMm($piece),
                $tube->odMm,
                IndexMark::forJoint($i + 1),
            ));
        }

        return $joints;
    }

    /** Both edges of the bore together: (R + d/2 + R − d/2)·angle = 2·R·angle, whatever the bore. */
    private static function lengthMm(Piece $piece): float
    {
        return 2 * $piece->cutLengthMm();
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Cool\Internal;

use UpsweptBead\Core\Solve\Cool\TubeSide;

/**
 * A tube cut into cells along its length: fine at the seam, and at the ends a mass or a plate stands at, wider between.
 */
final readonly class Grid
{
    private const FINE_MM = 0.75;

    /** So much wider all cells are, and grow, where a rough answer will do. */
    private const ROUGH = 2.5;

    private const ROUGH_GROWTH = 1.3;

    /** So far from the seam they stay fine; beyond they grow by a share each, up to the widest. */
    private const FINE_UNTIL_MM = 12.0;

    private const GROWTH = 1.10;

    private const WIDEST_MM = 14.0;

    /** A cell no wider than this beside what takes heat at an end. */
    private const AT_END_MM = 4.0;

    /**
     * @param  list<float>  $widthMm  from the far end of side 0 to that of side 1
     * @param  list<float>  $atMm  of their middles, from the seam
     */
    private function __construct(public array $widthMm, public array $atMm) {}

    /** @param  array{TubeSide, TubeSide}  $sides */
    public static function of(array $sides, float $beadMm, bool $isRough): self
    {
        $width = $at = [];
        foreach ($sides as $i => $side) {
            $cells = self::side($side, $beadMm, $isRough);
            $middle = 0.0;
            $places = [];
            foreach ($cells as $wide) {
                $places[] = ($i === 0 ? -1 : 1) * ($middle + $wide / 2);
                $middle += $wide;
            }
            [$width, $at] = $i === 0
                ? [array_reverse($cells), array_reverse($places)]
                : [[...$width, ...$cells], [...$at, ...$places]];
        }

        return new self($width, $at);
    }

    /** @return list<float> from the seam outwards */
    private static function side(TubeSide $side, float $beadMm, bool $isRough): array
    {
        $fineMm = self::FINE_MM * ($isRough ? self::ROUGH : 1.0);
        $growth = $isRough ? self::ROUGH_GROWTH : self::GROWTH;
        $widestMm = self::WIDEST_MM * ($isRough ? self::ROUGH : 1.0);
        if ($side->lengthMm <= 0.0) {
            return [];
        }
        $cells = [];
        $left = $side->lengthMm;
        $wide = $fineMm;
        $fine = max(self::FINE_UNTIL_MM, $beadMm / 2 + $fineMm);
        while ($left > 1e-9) {
            $gone = $side->lengthMm - $left;
            $wide = $gone < $fine ? $fineMm : min($widestMm, $wide * $growth);
            // The last of them narrow again where something takes heat at the end.
            $most = $side->end->isMass() || $side->end->isPlate()
                ? max($fineMm, min($wide, self::AT_END_MM + ($left - self::AT_END_MM) / 3))
                : $wide;
            $cells[] = $now = $left < 1.5 * $most ? $left : $most;
            $left -= $now;
        }

        return $cells;
    }
}

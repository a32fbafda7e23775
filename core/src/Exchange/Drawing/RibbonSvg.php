<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Drawing;

use UpsweptBead\Core\Stage\Cut\Piece;
use UpsweptBead\Core\Stage\Joint\Joint;

/** A run unrolled for paper: its pieces to scale, one after the other, with the joints between them. */
final readonly class RibbonSvg
{
    private const WIDE = 680.0;

    private const HIGH = 46.0;

    private const TOP = 16.0;

    private const BAR = 14.0;

    /**
     * @param  list<Piece>  $pieces
     * @param  list<Joint>  $joints
     */
    public static function of(array $pieces, array $joints, float $lengthMm): string
    {
        $x = static fn (float $mm): float => 6.0 + (self::WIDE - 12.0) * $mm / max(1.0, $lengthMm);
        $parts = [];
        foreach ($pieces as $piece) {
            [$from, $to] = [$x($piece->span->fromMm), $x($piece->span->toMm)];
            $parts[] = sprintf(
                '<rect x="%.1f" y="%.1f" width="%.1f" height="%.1f" fill="%s" stroke="%s" stroke-width="0.8"/>',
                $from, self::TOP, $to - $from, self::BAR,
                $piece->span->bendIndex === null ? '#eef2f4' : '#cfd8de',
                Svg::INK,
            );
            $parts[] = Svg::text(($from + $to) / 2, self::HIGH - 4.0, 8.0, $piece->mark);
        }
        $byPlace = [];
        foreach ($joints as $joint) {
            $byPlace[sprintf('%.1f', $joint->seam->stationMm)][] = $joint->id;
        }
        foreach ($byPlace as $mm => $ids) {
            $text = implode(', ', $ids);
            $half = 2.3 * strlen($text);
            $at = max($half, min(self::WIDE - $half, $x((float) $mm)));
            $parts[] = Svg::text($at, self::TOP - 5.0, 8.0, $text);
        }

        return Svg::drawing((int) self::WIDE, (int) self::HIGH, $parts);
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Drawing;

use UpsweptBead\Core\Stage\Fit\TackPattern;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Joint\JointFace;

/**
 * A joint seen end-on, looking with the flow, as a small SVG for paper: the index mark on top, tacks in their order,
 * where no torch gets to, straight up, the throat line of the next bend.
 */
final readonly class DialSvg
{
    private const RADIUS = 70.0;

    /** @param  list<array{float, float}>|null  $reached  arcs in degrees that a torch gets to; null where that is not known */
    public static function of(Joint $joint, TackPattern $tacks, ?JointFace $face, ?array $reached): string
    {
        $parts = [
            '<circle cx="100" cy="100" r="70" fill="none" stroke="#cdd6dc" stroke-width="12"/>',
            '<circle cx="100" cy="100" r="76" fill="none" stroke="#13181c" stroke-width="0.8"/>',
            '<circle cx="100" cy="100" r="64" fill="none" stroke="#13181c" stroke-width="0.8"/>',
        ];
        foreach (self::gaps($reached ?? [[0.0, 360.0]]) as [$from, $to]) {
            $parts[] = self::arc($from, $to);
        }
        $strokes = $joint->seam->index->long + $joint->seam->index->short;
        for ($i = 0; $i < $strokes; $i++) {
            $x = 100 + ($i - ($strokes - 1) / 2) * 4.0;
            $parts[] = sprintf(
                '<line x1="%1$.1f" x2="%1$.1f" y1="20" y2="%2$d" stroke="#13181c" stroke-width="1.8"/>',
                $x,
                $i < $joint->seam->index->long ? 6 : 12,
            );
        }
        foreach ([0, 90, 180, 270] as $deg) {
            $parts[] = self::text($deg, 52.0, "{$deg}°", 8.0);
        }
        if ($face?->nextThroatDeg !== null) {
            $throat = [self::spot($face->nextThroatDeg, 10.0), self::spot($face->nextThroatDeg, 44.0)];
            $parts[] = Svg::line($throat, Svg::INK, 1.0, 'stroke-dasharray="4 2.5"');
        }
        if ($face?->upDeg !== null) {
            $parts[] = self::text($face->upDeg, 90.0, 'up', 9.0);
        }
        foreach ($tacks->fullDeg as $i => $deg) {
            [$x, $y] = self::spot($deg, self::RADIUS);
            $parts[] = Svg::ring($x, $y, 7.0, 1.0);
            $parts[] = self::text($deg, self::RADIUS, (string) ($i + 1), 8.5);
        }

        return Svg::drawing(200, 200, $parts);
    }

    /** @return array{float, float} a place at so many degrees clockwise from the top */
    private static function spot(float $deg, float $radius): array
    {
        return [100 + $radius * sin(deg2rad($deg)), 100 - $radius * cos(deg2rad($deg))];
    }

    private static function text(float $deg, float $radius, string $text, float $size): string
    {
        [$x, $y] = self::spot($deg, $radius);

        return Svg::text($x, $y + $size * 0.36, $size, $text);
    }

    private static function arc(float $from, float $to): string
    {
        $points = [];
        for ($deg = $from; $deg < $to; $deg += 4.0) {
            $points[] = self::spot($deg, self::RADIUS);
        }

        return Svg::line([...$points, self::spot($to, self::RADIUS)], '#98231f', 12.0, 'stroke-dasharray="2.2 1.6"');
    }

    /**
     * What lies between some arcs.
     *
     * @param  list<array{float, float}>  $arcs
     * @return list<array{float, float}>
     */
    private static function gaps(array $arcs): array
    {
        if ($arcs === []) {
            return [[0.0, 360.0]];
        }
        usort($arcs, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        $gaps = [];
        foreach ($arcs as $i => [, $to]) {
            $next = $arcs[$i + 1][0] ?? $arcs[0][0] + 360.0;
            if ($next - $to > 0.5) {
                $gaps[] = [$to, $next];
            }
        }

        return $gaps;
    }
}

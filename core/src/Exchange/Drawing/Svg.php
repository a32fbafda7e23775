<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Drawing;

/** Pieces of a drawing for paper, in SVG. */
final readonly class Svg
{
    public const INK = '#13181c';

    /** A word round a place. */
    public static function text(float $x, float $y, float $size, string $text): string
    {
        return sprintf(
            '<text x="%.1f" y="%.1f" font-size="%.1f" text-anchor="middle" font-family="sans-serif" fill="%s">'
                .'%s</text>',
            $x, $y, $size, self::INK, htmlspecialchars($text, ENT_XML1),
        );
    }

    /** @param  list<array{float, float}>  $points */
    public static function line(array $points, string $colour, float $wide, string $more = ''): string
    {
        return sprintf(
            '<polyline points="%s" fill="none" stroke="%s" stroke-width="%.1f" %s/>',
            implode(' ', array_map(static fn (array $one): string => vsprintf('%.1f,%.1f', $one), $points)),
            $colour,
            $wide,
            $more,
        );
    }

    /**
     * Tubes, all edges first, so that none runs through another.
     *
     * @param  list<array{list<array{float, float}>, float}>  $lines  their middle lines and outside diameters (mm)
     * @param  \Closure(float, float): array{float, float}  $on  where a place lies on paper
     * @return list<string>
     */
    public static function tubes(array $lines, \Closure $on, float $scale): array
    {
        $parts = [];
        foreach ([[self::INK, 1.0], ['#dfe6ea', 0.86]] as [$colour, $share]) {
            foreach ($lines as [$points, $odMm]) {
                $placed = array_map(static fn (array $one): array => $on(...$one), $points);
                $parts[] = self::line($placed, $colour, max(2.0, $share * $odMm * $scale), 'stroke-linejoin="round"');
            }
        }

        return $parts;
    }

    public static function ring(float $x, float $y, float $radius, float $wide): string
    {
        return sprintf(
            '<circle cx="%.1f" cy="%.1f" r="%.1f" fill="#ffffff" stroke="%s" stroke-width="%.1f"/>',
            $x, $y, $radius, self::INK, $wide,
        );
    }

    /** @param  list<string>  $parts */
    public static function drawing(int $wide, int $high, array $parts): string
    {
        return sprintf(
            '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 %1$d %2$d" width="%1$d" height="%2$d">%3$s</svg>',
            $wide,
            $high,
            implode('', $parts),
        );
    }
}

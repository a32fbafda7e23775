<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Units\Internal;

use UpsweptBead\Core\Base\Units\Exception\UnreadableQuantity;

/** Splits what a person wrote into a number and a unit: `1 5/8"`, `1-5/8 in`, `.065`, `7 l/min`, `350F`. */
final readonly class QuantityText
{
    private const VULGAR = [
        '½' => '1/2',
        '¼' => '1/4',
        '¾' => '3/4',
        '⅛' => '1/8',
        '⅜' => '3/8',
        '⅝' => '5/8',
        '⅞' => '7/8',
    ];

    private const NUMBER = '(?<sign>[+-]?)\s*(?:(?:(?<whole>\d{1,7})(?:\s+|\s*-\s*))?(?<over>\d{1,5})\/(?<under>\d{1,5})|(?<decimal>\d{1,9}(?:\.\d*)?|\.\d+))';

    private function __construct(public float $number, public string $unit) {}

    /**
     * A decimal comma as a point, where it can be nothing else: `1,5 mm`, `0,065`. Three digits behind it may be
     * thousands, `1,500`, and are left for somebody to write again.
     */
    public static function pointed(string $text): string
    {
        $isSo = preg_match('/^(\s*[+−-]?\s*)(\d{0,9}),(\d+)([^\d.,][^.,]*)?$/u', $text, $found) === 1;
        $mayBeThousands = $isSo && strlen($found[3]) === 3 && preg_match('/^[1-9]/', $found[2]) === 1;

        return $isSo && ! $mayBeThousands ? "$found[1]$found[2].$found[3]".($found[4] ?? '') : $text;
    }

    /**
     * Reads a number and an optional unit.
     *
     * @throws UnreadableQuantity if there is no number, or a fraction divides by zero
     */
    public static function split(string $text, string $quantity, string $accepted): self
    {
        $plain = trim(str_replace(['−', '”', '″', '’', '′'], ['-', '"', '"', "'", "'"], self::pointed($text)));
        foreach (self::VULGAR as $glyph => $fraction) {
            $plain = str_replace($glyph, ' '.$fraction, $plain);
        }
        if (preg_match('/^'.self::NUMBER.'\s*(?<unit>[^\d\s.][^\d]*)?$/u', trim($plain), $found) !== 1) {
            throw UnreadableQuantity::notANumber($quantity, $text, $accepted);
        }
        $number =
            ($found['decimal'] ?? '') !== ''
                ? (float) $found['decimal']
                : self::fraction($found, $text, $quantity, $accepted);

        return new self($found['sign'] === '-' ? -$number : $number, mb_strtolower(trim($found['unit'] ?? '')));
    }

    /**
     * Converts with a table of unit => factor to the base unit; a bare number takes the unit `$bare`.
     *
     * @param  array<string, float>  $factors
     *
     * @throws UnreadableQuantity if the unit is not in the table, or is missing where none may be assumed
     */
    public static function toBase(
        string $text,
        array $factors,
        ?string $bare,
        string $quantity,
        string $accepted,
    ): float {
        $read = self::split($text, $quantity, $accepted);
        $unit = $read->unit === '' ? $bare : $read->unit;
        if ($unit === null) {
            throw UnreadableQuantity::unitMissing($quantity, $text, $accepted);
        }

        return $read->number *
            ($factors[$unit] ?? throw UnreadableQuantity::unknownUnit($quantity, $unit, $text, $accepted));
    }

    /** @param  array<int|string, string>  $found */
    private static function fraction(array $found, string $text, string $quantity, string $accepted): float
    {
        $under = (float) $found['under'];
        if ($under === 0.0) {
            throw UnreadableQuantity::notANumber($quantity, $text, $accepted);
        }

        return (float) $found['whole'] + (float) $found['over'] / $under;
    }
}

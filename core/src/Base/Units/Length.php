<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Units;

use UpsweptBead\Core\Base\Units\Exception\UnreadableQuantity;
use UpsweptBead\Core\Base\Units\Internal\QuantityText;

/** A length in millimetres, together with the way a person wrote it if one did. */
final readonly class Length
{
    public const MM_PER_INCH = 25.4;

    private const ACCEPTED = '1 5/8, 1-5/8", 1.625in, 2\' 3 1/2", .065, 65 thou, 16ga or 41.3mm';

    private const FACTORS = [
        'in' => 25.4,
        'in.' => 25.4,
        'inch' => 25.4,
        'inches' => 25.4,
        '"' => 25.4,
        'ft' => 304.8,
        'ft.' => 304.8,
        'foot' => 304.8,
        'feet' => 304.8,
        "'" => 304.8,
        'thou' => 0.0254,
        'mil' => 0.0254,
        'mm' => 1.0,
        'cm' => 10.0,
        'm' => 1000.0,
    ];

    /** Longer than anything that leaves a shop in one piece; catches a slipped unit. */
    private const MAX_MM = 100_000.0;

    private function __construct(public float $mm, public ?string $written = null) {}

    public static function ofMm(float $mm): self
    {
        return new self($mm);
    }

    /** A length given in inches; 1 in is 25.4 mm. */
    public static function ofInches(float $inches): self
    {
        return new self($inches * self::MM_PER_INCH);
    }

    /**
     * Reads any way a fabricator writes a length; a bare number is in the person's own units.
     *
     * `16ga` is a tube gauge (BWG), never a sheet gauge.
     *
     * @throws UnreadableQuantity if it is no length, or longer than 100 m
     */
    public static function parse(string $text, UnitSystem $bare): self
    {
        $written = trim($text);
        $bareUnit = $bare === UnitSystem::Inch ? 'in' : 'mm';
        [$feet, $inches] = self::feetAndInches($written);
        if ($feet !== null) {
            $mm = abs($feet) * self::FACTORS['ft'] + self::inchesMm($inches, $text);

            return self::checked(preg_match('/^[-−]/u', $written) === 1 ? -$mm : $mm, $text, $written);
        }
        $read = QuantityText::split($written, 'length', self::ACCEPTED);
        if (in_array($read->unit, ['ga', 'ga.', 'gauge'], true)) {
            return new self(TubeGauge::wallMm($read->number, $text), $written);
        }
        $mm = QuantityText::toBase($written, self::FACTORS, $bareUnit, 'length', self::ACCEPTED);

        // The unit is kept with the text, or a job would change size when its units are changed.
        return self::checked($mm, $text, $read->unit === '' ? "$written $bareUnit" : $written);
    }

    /** @throws UnreadableQuantity if it is longer than 100 m */
    private static function checked(float $mm, string $text, string $written): self
    {
        return abs($mm) <= self::MAX_MM
            ? new self($mm, $written)
            : throw UnreadableQuantity::outOfRange('length', $text, 'at most 100 m');
    }

    /**
     * Takes whole feet and what follows them apart: `2' 3 1/2"`, `2 ft 3 in`, `-1'6`.
     *
     * @return array{?float, string} null and nothing where it is not written so
     */
    private static function feetAndInches(string $written): array
    {
        $plain = str_replace(['−', '’', '′'], ['-', "'", "'"], $written);
        $isSo =
            preg_match(
                '/^([+-]?\s*\d{1,4})\s*(?:\'|ft\.?|foot|feet)\s*-?\s*(\d.*|\..*|[½¼¾⅛⅜⅝⅞].*)$/iu',
                $plain,
                $found,
            ) === 1;

        return $isSo ? [(float) str_replace(' ', '', $found[1]), $found[2]] : [null, ''];
    }

    /** @throws UnreadableQuantity if what follows the feet is not inches below a foot */
    private static function inchesMm(string $inches, string $text): float
    {
        $read = QuantityText::split($inches, 'length', self::ACCEPTED);
        $isInches = $read->unit === '' || (self::FACTORS[$read->unit] ?? 0.0) === self::MM_PER_INCH;
        if (! $isInches || $read->number >= 12) {
            throw UnreadableQuantity::outOfRange('length', $text, 'whole feet, then less than 12 inches');
        }

        return $read->number * self::MM_PER_INCH;
    }

    /** The length in inches. */
    public function inches(): float
    {
        return $this->mm / self::MM_PER_INCH;
    }

    /** The way it was written, or else the way these units show it. */
    public function text(UnitSystem $units): string
    {
        return $this->written ?? Quantity::Length->show($this->mm, $units);
    }

    /** The way it stands in a document: as written, or millimetres. */
    public function entered(): string|float
    {
        return $this->written ?? $this->mm;
    }
}

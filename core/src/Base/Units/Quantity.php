<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Units;

use UpsweptBead\Core\Base\Units\Exception\UnreadableQuantity;
use UpsweptBead\Core\Base\Units\Internal\AsRead;
use UpsweptBead\Core\Base\Units\Internal\QuantityText;

/**
 * What kind of number a figure is: how a person's text becomes the base unit, and how the base unit is shown.
 *
 * Base units: mm, °, °C, A, L/min, L, kPa (gauge), s, kg, ppm, mm/min, kJ/mm; of work min, of a draught Pa, of heat
 * through a face W/m²K; money in the shop's currency.
 */
enum Quantity: string
{
    case Length = 'length';
    case Wall = 'wall';
    /** A wire or a tungsten, by the name it is sold under. */
    case TradeSize = 'trade-size';
    case Angle = 'angle';
    case Temperature = 'temperature';
    case Current = 'current';
    case Flow = 'flow';
    case Volume = 'volume';
    case Pressure = 'pressure';
    case Duration = 'duration';
    case Mass = 'mass';
    case Oxygen = 'oxygen';
    case Travel = 'travel';
    case Heat = 'heat';
    case Moment = 'moment';
    case Force = 'force';
    case Percent = 'percent';
    case Count = 'count';
    case Ratio = 'ratio';
    /** How long somebody is at a piece of work: a bare number is minutes. */
    case Work = 'work';
    case Money = 'money';
    /** A pressure that only just moves a gas. */
    case Draught = 'draught';
    case Conductance = 'conductance';

    /** 1 ft³ in litres and 1 ft³/h in L/min; both exact from 1 ft = 304.8 mm. */
    private const L_PER_FT3 = 28.316846592;

    /** A pound's weight at standard gravity [NIST SP 811, from memory]. */
    private const N_PER_LBF = 4.4482216153;

    /** The same on a foot of arm [NIST SP 811, from memory]. */
    private const NM_PER_LBFFT = 1.3558179483;

    private const KPA_PER_PSI = 6.894757293168;

    /** An inch of water [NIST SP 811, from memory]. */
    private const PA_PER_INH2O = 249.08891;

    /** 1 BTU/(h·ft²·°F) in W/m²K [NIST SP 811, from memory]. */
    private const W_PER_BTU = 5.678263;

    /**
     * Reads a person's text into the base unit.
     *
     * @throws UnreadableQuantity if it is not a quantity of this kind
     */
    public function parse(string $text, UnitSystem $bare): float
    {
        if ($this === self::Length || $this === self::Wall || $this === self::TradeSize) {
            return Length::parse($text, $bare)->mm;
        }
        if ($this === self::Temperature) {
            return self::celsius($text, $bare);
        }
        if (
            $this === self::Angle &&
            preg_match('/^([+-]?\s*\d{1,6}(?:\.\d+)?)\s*:\s*(\d{1,6}(?:\.\d+)?)$/', trim($text), $slope) === 1
        ) {
            // A slope as a level or a square shows it: so much across for so much along.
            return rad2deg(atan2((float) str_replace(' ', '', $slope[1]), (float) $slope[2]));
        }
        [$factors, $bareUnit, $accepted] = $this->table($bare);

        return QuantityText::toBase($text, $factors, $bareUnit, $this->value, $accepted);
    }

    /** A value rounded to what a person reads it with, in the base unit. */
    public function rounded(float $value, UnitSystem $units): float
    {
        return AsRead::rounded($this, $value, $units);
    }

    /** Shows a value as a person reads it: to a 1/32 in of the tape, whole CFH, minutes. The exact one is `show`. */
    public function read(float $value, UnitSystem $units): string
    {
        $rounded = AsRead::rounded($this, $value, $units);

        return match ($this) {
            self::Length => match (true) {
                $units === UnitSystem::Metric => self::trimmed($rounded, 1).' mm',
                AsRead::isOnTape($value) => self::fraction($rounded, 32).' in',
                default => $this->show($value, $units),
            },
            self::Duration => self::spoken($rounded),
            default => $this->show($rounded, $units),
        };
    }

    /** Shows a base-unit value in the person's units, with its unit, as exactly as anybody could set it. */
    public function show(float $value, UnitSystem $units): string
    {
        $inch = $units === UnitSystem::Inch;

        return match ($this) {
            self::Length => $inch ? self::inchText($value) : self::decimals($value, 1).' mm',
            self::Wall => $inch
                ? preg_replace('/^(-?)0\./', '$1.', self::decimals($value / Length::MM_PER_INCH, 3)).' in'
                : self::decimals($value, 2).' mm',
            self::TradeSize => $inch ? self::tradeSize($value).' in' : self::trimmed($value, 1).' mm',
            self::Angle => self::trimmed($value, 1).'°',
            self::Temperature => $inch ? self::decimals($value * 1.8 + 32, 0).' °F' : self::decimals($value, 0).' °C',
            self::Current => self::decimals($value, 0).' A',
            self::Flow => $inch
                ? self::trimmed(($value * 60) / self::L_PER_FT3, 1).' CFH'
                : self::trimmed($value, 1).' L/min',
            self::Volume => $inch
                ? self::significant($value / self::L_PER_FT3).' ft³'
                : self::significant($value).' L',
            self::Pressure => $inch
                ? self::decimals($value / self::KPA_PER_PSI, 0).' psi'
                : self::trimmed($value / 100, 1).' bar',
            self::Duration => self::clock($value),
            self::Mass => self::mass($value, $inch),
            self::Oxygen => self::decimals($value, 0).' ppm',
            self::Travel => $inch
                ? self::trimmed($value / Length::MM_PER_INCH, 1).' in/min'
                : self::decimals($value, 0).' mm/min',
            self::Heat => self::decimals($value, 2).' kJ/mm',
            self::Force => $inch
                ? self::decimals($value / self::N_PER_LBF, 0).' lbf'
                : self::decimals($value, 0).' N',
            self::Moment => $inch
                ? self::decimals($value / self::NM_PER_LBFFT, 1).' lb·ft'
                : self::decimals($value, 1).' N·m',
            self::Percent => self::trimmed($value, 1).' %',
            self::Count => self::decimals($value, 0),
            self::Ratio => self::trimmed($value, 2),
            self::Work => self::trimmed($value, 1).' min',
            self::Money => self::decimals($value, floor($value) === $value ? 0 : 2),
            self::Draught => $inch
                ? self::significant($value / self::PA_PER_INH2O).' inH₂O'
                : self::decimals($value, 0).' Pa',
            self::Conductance => $inch
                ? self::decimals($value / self::W_PER_BTU, 0).' BTU/h·ft²·°F'
                : self::decimals($value, 0).' W/m²K',
        };
    }

    /** @return array{array<string, float>, ?string, string} factors to the base unit, the unit of a bare number, examples */
    private function table(UnitSystem $bare): array
    {
        $inch = $bare === UnitSystem::Inch;
        $flow = ['cfh' => self::L_PER_FT3 / 60, 'ft³/h' => self::L_PER_FT3 / 60, 'l/min' => 1.0, 'lpm' => 1.0];
        $volume = [
            'l' => 1.0,
            'cc' => 0.001,
            'm³' => 1000.0,
            'ft³' => self::L_PER_FT3,
            'cf' => self::L_PER_FT3,
            'cu ft' => self::L_PER_FT3,
        ];
        $pressure = ['psi' => self::KPA_PER_PSI, 'bar' => 100.0, 'kpa' => 1.0, 'mbar' => 0.1];

        return match ($this) {
            self::Angle => [
                ['°' => 1.0, 'deg' => 1.0, 'deg.' => 1.0, 'degree' => 1.0, 'degrees' => 1.0, 'rad' => 180 / M_PI],
                '°',
                '30, 30°, 30 deg or a slope such as 1:8',
            ],
            self::Current => [['a' => 1.0, 'amp' => 1.0, 'amps' => 1.0], 'a', '55 or 55 A'],
            self::Flow => [$flow, $inch ? 'cfh' : 'l/min', '15 cfh or 7 l/min'],
            self::Volume => [$volume, $inch ? 'ft³' : 'l', '150 ft³ or 4250 l'],
            self::Pressure => [$pressure, $inch ? 'psi' : 'bar', '2200 psi or 150 bar'],
            self::Duration => [['s' => 1.0, 'sec' => 1.0, 'min' => 60.0, 'h' => 3600.0], 's', '90, 90 s or 1.5 min'],
            self::Mass => [
                ['kg' => 1.0, 'g' => 0.001, 'lb' => 0.45359237, 'oz' => 0.028349523125],
                $inch ? 'lb' : 'kg',
                '2.4 lb or 1.1 kg',
            ],
            self::Oxygen => [['ppm' => 1.0, '%' => 10_000.0], 'ppm', '50 or 50 ppm'],
            self::Travel => [
                ['mm/min' => 1.0, 'in/min' => 25.4, 'ipm' => 25.4],
                $inch ? 'in/min' : 'mm/min',
                '3 in/min or 80 mm/min',
            ],
            self::Heat => [['kj/mm' => 1.0], 'kj/mm', '0.4 kJ/mm'],
            self::Force => [
                ['n' => 1.0, 'lbf' => self::N_PER_LBF],
                $bare === UnitSystem::Inch ? 'lbf' : 'n',
                '50 lbf or 220 N',
            ],
            self::Moment => [
                ['nm' => 1.0, 'n·m' => 1.0, 'lbft' => self::NM_PER_LBFFT, 'lb·ft' => self::NM_PER_LBFFT],
                $bare === UnitSystem::Inch ? 'lb·ft' : 'n·m',
                '30 lb·ft or 40 N·m',
            ],
            self::Percent => [['%' => 1.0], '%', '5 or 5 %'],
            self::Work => [['min' => 1.0, 's' => 1 / 60, 'h' => 60.0], 'min', '8, 8 min or 1.5 h'],
            self::Draught => [['pa' => 1.0, 'inh₂o' => self::PA_PER_INH2O, 'inh2o' => self::PA_PER_INH2O], $inch ? 'inh2o' : 'pa', '30 Pa or 0.12 inH2O'],
            self::Conductance => [['w/m²k' => 1.0, 'w/m2k' => 1.0, 'btu/h·ft²·°f' => self::W_PER_BTU], 'w/m2k', '3000 or 3000 W/m2K'],
            default => [['' => 1.0], '', 'a plain number such as 4'],
        };
    }

    private static function celsius(string $text, UnitSystem $bare): float
    {
        $accepted = '350F or 175C';
        $read = QuantityText::split($text, 'temperature', $accepted);
        $unit = $read->unit !== '' ? ltrim($read->unit, '°') : ($bare === UnitSystem::Inch ? 'f' : 'c');

        return match ($unit) {
            'f' => ($read->number - 32) / 1.8,
            'c' => $read->number,
            'k' => $read->number - 273.15,
            default => throw UnreadableQuantity::unknownUnit('temperature', $unit, $text, $accepted),
        };
    }

    /** Tape fractions where the value sits on a sixteenth (within 0.05 mm), thousandths otherwise. */
    private static function inchText(float $mm): string
    {
        $sixteenths = (int) round(abs($mm) / Length::MM_PER_INCH * 16);
        if (abs(abs($mm) - $sixteenths * Length::MM_PER_INCH / 16) > 0.05) {
            return self::decimals($mm / Length::MM_PER_INCH, 3).' in';
        }

        return self::fraction($mm, 16).' in';
    }

    /** In inches, to the nearest mark of a tape. */
    private static function fraction(float $mm, int $marks): string
    {
        $count = (int) round(abs($mm) / Length::MM_PER_INCH * $marks);
        $sign = $mm < 0 && $count > 0 ? '-' : '';
        [$whole, $over, $under] = [intdiv($count, $marks), $count % $marks, $marks];
        while ($over > 0 && $over % 2 === 0) {
            [$over, $under] = [intdiv($over, 2), intdiv($under, 2)];
        }
        $text = match (true) {
            $over === 0 => (string) $whole,
            $whole === 0 => "$over/$under",
            default => "$whole $over/$under",
        };

        return $sign.$text;
    }

    /** A time as somebody says it: seconds up to two minutes, then minutes, then hours and minutes. */
    private static function spoken(float $seconds): string
    {
        return match (true) {
            $seconds <= 120.0 => self::trimmed($seconds, 1).' s',
            $seconds < 3600.0 => self::decimals($seconds / 60, 0).' min',
            (int) $seconds % 3600 === 0 => sprintf('%d h', intdiv((int) $seconds, 3600)),
            default => sprintf('%d h %02d min', intdiv((int) $seconds, 3600), intdiv((int) $seconds % 3600, 60)),
        };
    }

    /** Fractions from 1/16 in on, thousandths below and between: .035, .045, 1/16, 3/32, 1/8. */
    private static function tradeSize(float $mm): string
    {
        $thirtyseconds = $mm / Length::MM_PER_INCH * 32;
        $isNamed = round($thirtyseconds) >= 2.0 && abs($thirtyseconds - round($thirtyseconds)) < 0.05;

        return $isNamed
            ? self::fraction($mm, 32)
            : (string) preg_replace('/^0\./', '.', self::decimals($mm / Length::MM_PER_INCH, 3));
    }

    private static function clock(float $seconds): string
    {
        $whole = (int) ceil($seconds - 1e-9);

        return match (true) {
            $whole < 60 => self::trimmed($seconds, 1).' s',
            $whole < 3600 => sprintf('%d min %02d s', intdiv($whole, 60), $whole % 60),
            default => sprintf('%d h %02d min', intdiv($whole, 3600), intdiv($whole % 3600, 60)),
        };
    }

    private static function significant(float $value): string
    {
        return self::trimmed($value, match (true) {
            abs($value) >= 100 => 0,
            abs($value) >= 10 => 1,
            abs($value) >= 1 => 2,
            default => 3,
        });
    }

    private static function trimmed(float $value, int $places): string
    {
        $text = self::decimals($value, $places);

        return str_contains($text, '.') ? rtrim(rtrim($text, '0'), '.') : $text;
    }

    /** Little of it in grams or ounces. */
    private static function mass(float $kg, bool $inch): string
    {
        $isLittle = $kg > 0.0 && $kg < 0.05;

        return match (true) {
            $inch && $isLittle => self::decimals($kg / 0.028349523125, 2).' oz',
            $inch => self::decimals($kg / 0.45359237, 2).' lb',
            $isLittle => self::decimals(1000 * $kg, 1).' g',
            default => self::decimals($kg, 2).' kg',
        };
    }

    /** Half away from zero, and never "-0". */
    private static function decimals(float $value, int $places): string
    {
        return number_format($value, $places, '.', '');
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Run;

/** What is welded on the side of a tube: something that is put there, or a crack that opened. */
enum FittingKind: string
{
    case OxygenSensorBung = 'oxygen-sensor-bung';
    case TemperatureProbe = 'temperature-probe';
    case Bracket = 'bracket';
    case Hanger = 'hanger';
    case Crack = 'crack';

    public function label(): string
    {
        return match ($this) {
            self::OxygenSensorBung => 'Oxygen-sensor bung M18 × 1.5',
            self::TemperatureProbe => 'Exhaust temperature probe',
            self::Bracket => 'Tab or bracket',
            self::Hanger => 'Hanger',
            self::Crack => 'Crack',
        };
    }

    /** As it is called in a sentence. */
    public function short(): string
    {
        return $this->isDrilled() ? 'bung' : $this->value;
    }

    /** Whether the tube is drilled for it; what is not is only welded on. */
    public function isDrilled(): bool
    {
        return $this === self::OxygenSensorBung || $this === self::TemperatureProbe;
    }

    /**
     * Outside of its foot (mm): for an M18 × 1.5 sensor common practice, for a probe's ⅛ NPT from memory, else ours.
     */
    public function odMm(): float
    {
        return match ($this) {
            self::OxygenSensorBung => 28.0,
            self::TemperatureProbe => 16.0,
            self::Bracket, self::Hanger, self::Crack => 25.0,
        };
    }

    /** The hole that is drilled for it (mm). */
    public function holeMm(): float
    {
        return match ($this) {
            self::OxygenSensorBung => 18.0,
            self::TemperatureProbe => 8.7,
            self::Bracket, self::Hanger, self::Crack => 0.0,
        };
    }

    /** Whether it stands off the tube and takes heat of its own. */
    public function stands(): bool
    {
        return $this !== self::Crack;
    }

    /** How far it stands off the tube (mm): common sizes, of a tab our own. */
    private function heightMm(): float
    {
        return match ($this) {
            self::OxygenSensorBung => 19.0,
            self::TemperatureProbe => 20.0,
            self::Bracket, self::Hanger => 40.0,
            self::Crack => 0.0,
        };
    }

    /** Of its metal (mm³): a ring, or a strip as wide as its foot. */
    public function volumeMm3(): float
    {
        return $this->heightMm() * ($this->isDrilled()
            ? M_PI / 4 * ($this->odMm() ** 2 - $this->holeMm() ** 2)
            : $this->odMm() * $this->wallMm());
    }

    /** Of its outside that air gets to (mm²). */
    public function freeAreaMm2(): float
    {
        return $this->isDrilled()
            ? M_PI * $this->odMm() * $this->heightMm() + M_PI / 4 * ($this->odMm() ** 2 - $this->holeMm() ** 2)
            : 2 * $this->odMm() * $this->heightMm();
    }

    /** The metal that is welded to the tube (mm): of a tab ⅛ in sheet, as is common. */
    public function wallMm(): float
    {
        return $this->isDrilled() ? ($this->odMm() - $this->holeMm()) / 2 : 3.2;
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job;

/** What is welded to the side of a tube. */
enum FittingKind: string
{
    case OxygenSensorBung = 'oxygen-sensor-bung';
    case TemperatureProbe = 'temperature-probe';

    public function label(): string
    {
        return match ($this) {
            self::OxygenSensorBung => 'Oxygen-sensor bung M18 × 1.5',
            self::TemperatureProbe => 'Exhaust temperature probe',
        };
    }

    /** Outside diameter of its bung (mm): for an M18 × 1.5 sensor common practice, for a probe's ⅛ NPT from memory. */
    public function odMm(): float
    {
        return match ($this) {
            self::OxygenSensorBung => 28.0,
            self::TemperatureProbe => 16.0,
        };
    }

    /** The hole that is drilled for it (mm). */
    public function holeMm(): float
    {
        return match ($this) {
            self::OxygenSensorBung => 18.0,
            self::TemperatureProbe => 8.7,
        };
    }

    public function wallMm(): float
    {
        return ($this->odMm() - $this->holeMm()) / 2;
    }
}

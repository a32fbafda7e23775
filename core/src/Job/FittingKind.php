<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job;

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
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Small;

use UpsweptBead\Core\Job\Purpose;

/** Where on an exhaust small work is done: what lies behind it decides how clean its root has to be. */
enum SmallPlace: string
{
    case BeforeTurbine = 'before-turbine';
    case AtEngine = 'at-engine';
    case BehindTurbine = 'behind-turbine';
    case Behind = 'behind';

    public function label(): string
    {
        return match ($this) {
            self::BeforeTurbine => 'Before a turbine',
            self::AtEngine => 'At the engine, no turbine',
            self::BehindTurbine => 'Right behind a turbine',
            self::Behind => 'Further behind',
        };
    }

    public function purpose(): Purpose
    {
        return match ($this) {
            self::BeforeTurbine => Purpose::TurboManifold,
            self::AtEngine => Purpose::Header,
            self::BehindTurbine => Purpose::TurboDownpipe,
            self::Behind => Purpose::System,
        };
    }
}

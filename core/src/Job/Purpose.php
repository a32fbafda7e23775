<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job;

/** What the exhaust is for; decides what its ends lead to where nobody says, and what is asked of its lengths. */
enum Purpose: string
{
    case TurboDownpipe = 'turbo-downpipe';
    case TurboManifold = 'turbo-manifold';
    case Header = 'header';
    case Collector = 'collector';
    case System = 'system';
    case Repair = 'repair';

    public function label(): string
    {
        return match ($this) {
            self::TurboDownpipe => 'Downpipe behind a turbine',
            self::TurboManifold => 'Turbo manifold',
            self::Header => 'Header, naturally aspirated',
            self::Collector => 'Collector',
            self::System => 'System behind the header',
            self::Repair => 'Repair',
        };
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Purge;

use UpsweptBead\Core\Job\Purpose;

/** Where a joint lies, which decides how little oxygen its purge may hold. */
enum PurgeCare
{
    case Upstream;
    case Downstream;
    /** Of a repair nobody says. */
    case Unknown;

    public function label(): string
    {
        return match ($this) {
            self::Upstream => 'upstream of a turbine',
            self::Downstream => 'downstream of turbine or engine',
            self::Unknown => 'nobody says',
        };
    }

    public static function of(Purpose $purpose): self
    {
        return match (true) {
            $purpose->isUpstreamOfTurbine() => self::Upstream,
            $purpose === Purpose::Repair => self::Unknown,
            default => self::Downstream,
        };
    }
}

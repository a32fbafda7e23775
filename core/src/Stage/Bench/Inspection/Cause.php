<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Bench\Inspection;

/** Why a joint was not right. */
enum Cause: string
{
    case Purge = 'purge';
    case Access = 'access';
    case Edge = 'edge';
    case Gap = 'gap';
    case Casting = 'casting';
    case Tungsten = 'tungsten';
    case Heat = 'heat';
    case Clocking = 'clocking';
    case Order = 'order';
    case Other = 'other';

    public function label(): string
    {
        return match ($this) {
            self::Purge => 'Purge',
            self::Access => 'Poor access',
            self::Edge => 'Burnt through at an edge',
            self::Gap => 'Gap',
            self::Casting => 'Dirt out of a casting',
            self::Tungsten => 'Dipped tungsten',
            self::Heat => 'Too hot',
            self::Clocking => 'Clocked wrongly',
            self::Order => 'Wrong order',
            self::Other => 'Something else',
        };
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Part;

/** What is bought, or brought by the customer, and built in. */
enum PartKind: string
{
    case Muffler = 'muffler';
    case Catalyst = 'catalyst';
    case Flex = 'flex';
    case Tip = 'tip';
    case Turbine = 'turbine';
    case Other = 'other';

    public function label(): string
    {
        return match ($this) {
            self::Muffler => 'Muffler',
            self::Catalyst => 'Catalyst',
            self::Flex => 'Flexible section',
            self::Tip => 'Tip',
            self::Turbine => 'Turbine',
            self::Other => 'Other part',
        };
    }
}

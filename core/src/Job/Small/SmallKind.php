<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Small;

use UpsweptBead\Core\Job\Run\FittingKind;

/** Small work on a tube that is there already. */
enum SmallKind: string
{
    case Bung = 'bung';
    case Tab = 'tab';
    case Hanger = 'hanger';
    case Crack = 'crack';
    case Seam = 'seam';

    public function label(): string
    {
        return match ($this) {
            self::Bung => 'Oxygen-sensor bung',
            self::Tab => 'Tab or bracket',
            self::Hanger => 'Hanger',
            self::Crack => 'Crack',
            self::Seam => 'Seam, cut out and welded again',
        };
    }

    /** What is welded on the side of the tube; a seam goes round it. */
    public function fitting(): ?FittingKind
    {
        return match ($this) {
            self::Bung => FittingKind::OxygenSensorBung,
            self::Tab => FittingKind::Bracket,
            self::Hanger => FittingKind::Hanger,
            self::Crack => FittingKind::Crack,
            self::Seam => null,
        };
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Account\Quote;

/** What a line of a quote is for. */
enum LineGroup: string
{
    case Material = 'material';
    case Consumables = 'consumables';
    case Labour = 'labour';
    case Outside = 'outside';

    public function label(): string
    {
        return match ($this) {
            self::Material => 'Tube and parts',
            self::Consumables => 'Used up at the bench',
            self::Labour => 'At the bench',
            self::Outside => 'Done by others',
        };
    }
}

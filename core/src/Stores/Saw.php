<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stores;

/** The kinds of saw that tube is cut with; what each takes stands in the shop's rules "saw.…". */
enum Saw: string
{
    case Friction = 'friction';
    case Band = 'band';
    case Cold = 'cold';
    case Abrasive = 'abrasive';

    public function label(): string
    {
        return match ($this) {
            self::Friction => 'Friction saw',
            self::Band => 'Band saw',
            self::Cold => 'Cold saw',
            self::Abrasive => 'Abrasive saw',
        };
    }
}

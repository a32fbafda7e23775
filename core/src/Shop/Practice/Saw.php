<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Shop\Practice;

/** The kinds of saw that tube is cut with; what each takes stands in the shop's rules "saw.…". */
enum Saw: string
{
    case Band = 'band';
    case Cold = 'cold';
    case Abrasive = 'abrasive';
    case Friction = 'friction';

    public function label(): string
    {
        return match ($this) {
            self::Band => 'Band saw',
            self::Cold => 'Cold saw',
            self::Abrasive => 'Abrasive saw',
            self::Friction => 'Friction saw',
        };
    }

    /** Why a shop works so. */
    public function why(): string
    {
        return match ($this) {
            self::Band => 'In nearly every shop, and cuts at any angle; slow in stainless, and its blades do not last.',
            self::Cold => 'Square and nearly without burr, for long; dear to buy.',
            self::Abrasive => 'Cheap to buy; hot, dusty, and it leaves a burr.',
            self::Friction => 'The quickest cut through thin stainless; loud, with sparks.',
        };
    }
}

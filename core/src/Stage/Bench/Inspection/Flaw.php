<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Bench\Inspection;

/** What may be wrong with a joint, and the least that is done about it; common practice. */
enum Flaw: string
{
    case Sugar = 'sugar';
    case Penetration = 'penetration';
    case Crack = 'crack';
    case Porosity = 'porosity';
    case BurnThrough = 'burn-through';
    case Leak = 'leak';
    case Mismatch = 'mismatch';
    case Undercut = 'undercut';
    case Hollow = 'hollow';

    public function label(): string
    {
        return match ($this) {
            self::Sugar => 'Sugar inside',
            self::Penetration => 'Lack of penetration',
            self::Crack => 'Crack',
            self::Porosity => 'Pores',
            self::BurnThrough => 'Burnt through',
            self::Leak => 'Leaks',
            self::Mismatch => 'Mismatch, high-low',
            self::Undercut => 'Undercut',
            self::Hollow => 'Underfill',
        };
    }

    /** Sugar and cracks are never welded over. */
    public function least(): Outcome
    {
        return match ($this) {
            self::Undercut, self::Hollow => Outcome::Add,
            default => Outcome::Redo,
        };
    }
}

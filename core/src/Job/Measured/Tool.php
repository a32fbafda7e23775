<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Measured;

/** What a reading was taken with; how far it may be off is the shop's, handbook of the trade's usual figures. */
enum Tool: string
{
    case Tape = 'tape';
    case Corner = 'corner';
    case Rod = 'rod';
    case Finder = 'finder';
    case Phone = 'phone';
    case Eye = 'eye';

    /** Whether it reads an angle; the others read a length. */
    public function readsAngles(): bool
    {
        return match ($this) {
            self::Finder, self::Phone, self::Eye => true,
            self::Tape, self::Corner, self::Rod => false,
        };
    }

    /** The rule that says how far it may be off: one standard deviation, mm or degrees. */
    public function rule(): string
    {
        return "measure.$this->value";
    }
}

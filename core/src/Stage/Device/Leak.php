<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Device;

/** How tight what is filled is: the air it draws in as a share of the argon let in; our own figures. */
enum Leak: string
{
    case Tight = 'tight';
    case Poor = 'poor';
    case Open = 'open';

    public function label(): string
    {
        return match ($this) {
            self::Tight => 'Taped tight',
            self::Poor => 'A poor joint',
            self::Open => 'Tape off',
        };
    }

    public function share(): float
    {
        return match ($this) {
            self::Tight => 0.00005,
            self::Poor => 0.0015,
            self::Open => 0.02,
        };
    }
}

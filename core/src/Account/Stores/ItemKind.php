<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Account\Stores;

/** What lies in the stores. */
enum ItemKind: string
{
    case Tube = 'tube';
    case Bend = 'bend';
    case Elbow = 'elbow';
    case Offcut = 'offcut';
    case Flange = 'flange';
    case Band = 'band';
    case Bung = 'bung';
    case Part = 'part';
    case Wire = 'wire';
    case Gas = 'gas';
    case Disc = 'disc';
    case Blade = 'blade';

    public function label(): string
    {
        return match ($this) {
            self::Tube => 'Tube',
            self::Bend => 'Bends',
            self::Elbow => 'Weld elbows',
            self::Offcut => 'Offcuts',
            self::Flange => 'Flanges',
            self::Band => 'V-bands',
            self::Bung => 'Bungs',
            self::Part => 'Bought parts',
            self::Wire => 'Wire',
            self::Gas => 'Gas',
            self::Disc => 'Discs',
            self::Blade => 'Blades',
        };
    }

    /** What its quantity counts, as it is said of so many. */
    public function unit(float $of = 2.0): string
    {
        $isOne = abs($of - 1.0) < 1e-9;

        return match ($this) {
            self::Tube => $isOne ? 'stick' : 'sticks',
            self::Wire => 'kg',
            self::Gas => $isOne ? 'bottle' : 'bottles',
            default => $isOne ? 'piece' : 'pieces',
        };
    }

    /** Whether there are only whole ones of it. */
    public function isCounted(): bool
    {
        return $this !== self::Wire;
    }

    /** Whether it is tube in some form, that pieces are cut from. */
    public function isStock(): bool
    {
        return in_array($this, [self::Tube, self::Bend, self::Elbow, self::Offcut], true);
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Measured;

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Adjust\Word;

/** A way at the vehicle, as a job says it. */
enum Way: string
{
    case Rearward = 'rearward';
    case Forward = 'forward';
    case Right = 'right';
    case Left = 'left';
    case Up = 'up';
    case Down = 'down';

    public function word(): Word
    {
        return match ($this) {
            self::Rearward => Word::Back,
            self::Forward => Word::Forward,
            self::Right => Word::Right,
            self::Left => Word::Left,
            self::Up => Word::Up,
            self::Down => Word::Down,
        };
    }

    /** Whether it is counted against its axis: rearward, right and up are not. */
    public function isAgainst(): bool
    {
        return in_array($this, [self::Forward, self::Left, self::Down], true);
    }

    /** Which of the three lengths of a place it is along: rearward, right, up. */
    public function axis(): int
    {
        return match ($this) {
            self::Rearward, self::Forward => 0,
            self::Right, self::Left => 1,
            self::Up, self::Down => 2,
        };
    }

    /** The way that most of a vector of a job goes. */
    public static function most(Vector $of): self
    {
        $parts = [$of->x, $of->y, $of->z];
        $axis = 0;
        foreach ($parts as $i => $part) {
            if (abs($part) > abs($parts[$axis])) {
                $axis = $i;
            }
        }

        return [
            [self::Rearward, self::Forward], [self::Right, self::Left], [self::Up, self::Down],
        ][$axis][$parts[$axis] < 0.0 ? 1 : 0];
    }
}

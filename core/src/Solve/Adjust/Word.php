<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Adjust;

/** A way at the vehicle, as it is said. */
enum Word: string
{
    case Forward = 'forward';
    case Back = 'back';
    case Left = 'left';
    case Right = 'right';
    case Up = 'up';
    case Down = 'down';

    /** @return array{float, float, float} */
    public function way(): array
    {
        return match ($this) {
            self::Forward => [1.0, 0.0, 0.0],
            self::Back => [-1.0, 0.0, 0.0],
            self::Left => [0.0, 1.0, 0.0],
            self::Right => [0.0, -1.0, 0.0],
            self::Up => [0.0, 0.0, 1.0],
            self::Down => [0.0, 0.0, -1.0],
        };
    }
}

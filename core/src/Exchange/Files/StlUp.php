<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

/** Which axis of an STL file points up; files carry no word of it. */
enum StlUp: string
{
    case Z = 'z';
    case Y = 'y';
    case X = 'x';

    /** @return array{float, float, float} the same point with its height last; turned, never mirrored */
    public function turned(float $x, float $y, float $z): array
    {
        return match ($this) {
            self::Z => [$x, $y, $z],
            self::Y => [$z, $x, $y],
            self::X => [$y, $z, $x],
        };
    }
}

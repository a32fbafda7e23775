<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Made;

use UpsweptBead\Core\Base\Units\Quantity;

/** In what a later plan wants a piece or a joint otherwise than it was made. */
enum DifferenceKind: string
{
    case Gone = 'gone';
    case Tube = 'tube';
    case Straight = 'straight';
    case Bent = 'bent';
    case Radius = 'radius';
    case Bend = 'bend';
    case Wedges = 'wedges';
    case Length = 'length';
    case Ends = 'ends';
    case Turn = 'turn';
    case Place = 'place';
    case Type = 'type';
    case Parts = 'parts';
    case Collector = 'collector';
    /** A joint of a piece that no longer fits. */
    case Piece = 'piece';

    /** What the numbers before and after are; null where there are none to show. */
    public function quantity(): ?Quantity
    {
        return match ($this) {
            self::Radius, self::Length, self::Place => Quantity::Length,
            self::Bend, self::Turn => Quantity::Angle,
            self::Wedges => Quantity::Count,
            default => null,
        };
    }

    public function label(): string
    {
        return match ($this) {
            self::Gone => 'no longer planned',
            self::Tube => 'another tube',
            self::Straight => 'a straight is wanted now',
            self::Bent => 'a bend is wanted now',
            self::Radius => 'bend radius',
            self::Bend => 'bend',
            self::Wedges => 'welds in its bend',
            self::Length => 'length',
            self::Ends => 'its ends are prepared otherwise',
            self::Turn => 'turn',
            self::Place => 'place along the piece',
            self::Type => 'another kind of joint',
            self::Parts => 'joins other parts',
            self::Collector => 'its collector was changed',
            self::Piece => 'a piece of it no longer fits',
        };
    }
}

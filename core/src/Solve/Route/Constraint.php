<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route;

/** What can stand in the way of a two-bend route. */
enum Constraint: string
{
    case FirstStraight = 'first-straight';
    case InnerStraight = 'inner-straight';
    case LastStraight = 'last-straight';
    case FirstBendGreatest = 'first-bend-greatest';
    case SecondBendGreatest = 'second-bend-greatest';
    case FirstBendLeast = 'first-bend-least';
    case SecondBendLeast = 'second-bend-least';
    case Stock = 'stock';

    public function isAngle(): bool
    {
        return in_array(
            $this,
            [self::FirstBendGreatest, self::SecondBendGreatest, self::FirstBendLeast, self::SecondBendLeast],
            true,
        );
    }

    public function label(): string
    {
        return match ($this) {
            self::FirstStraight => 'the straight before the first bend',
            self::InnerStraight => 'the straight between the bends',
            self::LastStraight => 'the straight after the last bend',
            self::FirstBendGreatest => 'the greatest angle of the first bend',
            self::SecondBendGreatest => 'the greatest angle of the second bend',
            self::FirstBendLeast => 'the least angle of the first bend',
            self::SecondBendLeast => 'the least angle of the second bend',
            self::Stock => 'the stock of bends',
        };
    }

    public function isLeastAngle(): bool
    {
        return $this === self::FirstBendLeast || $this === self::SecondBendLeast;
    }
}

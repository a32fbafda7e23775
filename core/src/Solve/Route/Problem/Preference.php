<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Problem;

/** What is to count most among designs that all hold. */
enum Preference: string
{
    case FewBends = 'few-bends';
    case WholeAngles = 'whole-angles';
    case LittleTurning = 'little-turning';
    case ShortTubes = 'short-tubes';

    public function label(): string
    {
        return match ($this) {
            self::FewBends => 'few bends',
            self::WholeAngles => 'whole angles',
            self::LittleTurning => 'little turning',
            self::ShortTubes => 'short tubes',
        };
    }
}

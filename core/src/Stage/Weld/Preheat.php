<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Weld;

use UpsweptBead\Core\Stage\Joint\Joint;

/** Castings are warmed before they are welded, and cooled slowly: common practice, the temperatures from memory. */
final readonly class Preheat
{
    private const CASTINGS = ['cast-steel', 'cast-iron'];

    /** A side that is warm already takes so much less current. */
    public const AMPS = 0.95;

    public static function isNeeded(Joint $joint): bool
    {
        return array_intersect([$joint->between->metal, $joint->and->metal], self::CASTINGS) !== [];
    }

    /** @return list<string> what is done before and after; nothing where no side is cast */
    public static function lines(Joint $joint): array
    {
        if (! self::isNeeded($joint)) {
            return [];
        }

        return [
            'Warm the cast side to 200–300 °C with a torch, evenly, measured with a crayon; tack the fit before.',
            'Short passes, a smooth transition rather than a bridged gap; then let it cool slowly under a cover, out of any draught.',
        ];
    }
}

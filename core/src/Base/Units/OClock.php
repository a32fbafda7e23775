<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Units;

/** Places round a tube as a welder says them: by the clock, with the mark at twelve. Angles in degrees, clockwise. */
final readonly class OClock
{
    private const HALF_HOUR_DEG = 15.0;

    /** To the half hour: "11", "1:30". */
    public static function of(float $deg): string
    {
        $halves = ((int) round($deg / self::HALF_HOUR_DEG) % 24 + 24) % 24;
        $hour = intdiv($halves, 2) === 0 ? 12 : intdiv($halves, 2);

        return $halves % 2 === 0 ? (string) $hour : "$hour:30";
    }

    /**
     * Several of them, with the degrees behind: "11 and 1 o'clock (323°, 38°)".
     *
     * @param  list<float>  $degrees
     */
    public static function list(array $degrees): string
    {
        if ($degrees === []) {
            return '';
        }
        $hours = array_map(self::of(...), $degrees);
        $last = array_pop($hours);
        $said = $hours === [] ? $last : implode(', ', $hours)." and $last";

        return "$said o’clock (".implode(', ', array_map(static fn (float $deg): string => "{$deg}°", $degrees)).')';
    }
}

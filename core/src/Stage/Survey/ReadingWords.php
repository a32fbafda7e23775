<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Survey;

use UpsweptBead\Core\Job\Measured\MeasuredSpec;
use UpsweptBead\Core\Job\Measured\ReadingSpec;
use UpsweptBead\Core\Job\Measured\Way;
use UpsweptBead\Core\Solve\Adjust\ReadingKind;

/** Readings, and what they are of, as people say them. */
final readonly class ReadingWords
{
    /** A point or an end: "start of A", "dowel". */
    public static function place(string $name): string
    {
        return match (true) {
            $name === MeasuredSpec::DATUM => 'the datum',
            str_ends_with($name, '.start') => 'start of '.substr($name, 0, -6),
            str_ends_with($name, '.end') => 'end of '.substr($name, 0, -4),
            default => $name,
        };
    }

    public static function of(ReadingSpec $one): string
    {
        $of = self::place($one->of);
        [$with, $other] = [self::place($one->with[0] ?? ''), self::place($one->with[1] ?? '')];
        $from = ($one->with[0] ?? '') === MeasuredSpec::DATUM ? '' : " from $with";

        return match ($one->kind) {
            ReadingKind::Offset => $one->way === null ? "Place of $of$from" : ucfirst($of).", {$one->way->value}$from",
            ReadingKind::Tape => "Tape, $of to $with",
            ReadingKind::Rod => "Rod in $of",
            ReadingKind::Face => "Face of $of",
            ReadingKind::BoltCircle => "Bolts of $of",
            ReadingKind::Dip => ucfirst($of).($one->toward === Way::Up ? ' rises' : ' falls'),
            ReadingKind::Bearing => ucfirst($of)." from above, {$one->way?->value} to {$one->toward?->value}",
            ReadingKind::Lean => ucfirst($of).sprintf(
                ' from the %s, off plumb %s to %s',
                $one->way?->axis() === 1 ? 'front' : 'side',
                $one->toward?->value,
                $one->way?->value,
            ),
            ReadingKind::Level => ucfirst($of).($one->isOther ? ' is plumb' : ' is level'),
            ReadingKind::SquareTo => ucfirst($of)." square to the face of $with",
            ReadingKind::Angle => "Angle of $of to $with",
            ReadingKind::Midpoint => ucfirst($of)." midway between $with and $other",
            ReadingKind::OnLine => ucfirst($of)." in line with $with and $other",
        };
    }
}

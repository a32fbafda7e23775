<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Intake;

use UpsweptBead\Core\Job\Intake\Ground;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Shop\Stock\TubeSize;

/** Tube that is too thin for a vehicle that is driven. Common practice. */
final readonly class ThinWall
{
    /** Good tube of 16 gauge is the thinnest for a road system; its wall in mm, less rounding. */
    public const ROAD_MM = 1.45;

    /** Whether it is too thin; where it only races, weight may count more. */
    public static function is(TubeSize $tube, Job $job): bool
    {
        return $tube->wallMm < self::ROAD_MM && $job->intake?->ground !== Ground::Sport;
    }

    /** @param  string  $what  the tube, and what is of it */
    public static function says(string $what): string
    {
        return "$what is thin: it dents by hand and splits when it is splashed hot. Good tube of 16 gauge (.065 in, 1.5 mm) or more, or plain steel, on a vehicle that is driven daily.";
    }
}

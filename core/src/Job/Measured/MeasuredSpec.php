<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Measured;

use UpsweptBead\Core\Solve\Adjust\Sheet;

/** What was read at the vehicle: points and ends that follow from it, and the readings. */
final readonly class MeasuredSpec
{
    /** What others are measured from, as readings name it. */
    public const DATUM = Sheet::DATUM;

    /**
     * @param  list<MeasuredPoint>  $points
     * @param  list<MeasuredEnd>  $ends
     * @param  list<ReadingSpec>  $readings
     */
    public function __construct(public array $points = [], public array $ends = [], public array $readings = []) {}

    public function isEmpty(): bool
    {
        return $this->points === [] && $this->ends === [] && $this->readings === [];
    }

    public function end(string $letter, bool $isStart): ?MeasuredEnd
    {
        foreach ($this->ends as $one) {
            if ($one->letter === $letter && $one->isStart === $isStart) {
                return $one;
            }
        }

        return null;
    }
}

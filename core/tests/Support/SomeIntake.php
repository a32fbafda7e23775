<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Tests\Support;

use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Stage\Intake\StartingPoint;

/** Jobs that have only been asked about: no run yet. */
final class SomeIntake
{
    /**
     * @param  array<string, mixed>  $answers
     * @param  array<string, mixed>  $more  of the document
     * @return array<string, mixed>
     */
    public static function document(string $purpose, array $answers = [], array $more = []): array
    {
        return $more + [
            'format' => 'upswept-bead/job',
            'version' => 1,
            'job' => ['number' => 'T-1', 'title' => 'Asked about', 'purpose' => $purpose, 'units' => 'inch', 'metal' => '304L'],
            ...$answers === [] ? [] : ['intake' => $answers],
            'runs' => [],
            'overrides' => [],
        ];
    }

    /**
     * @param  array<string, mixed>  $answers
     * @param  array<string, mixed>  $more
     */
    public static function job(string $purpose, array $answers = [], array $more = []): Job
    {
        $reading = JobReader::fromDecoded(self::document($purpose, $answers, $more));

        return $reading->job ?? throw new \LogicException((string) json_encode($reading->faults));
    }

    /**
     * @param  array<string, mixed>  $answers
     * @param  array<string, mixed>  $more
     */
    public static function start(string $purpose, array $answers = [], array $more = []): StartingPoint
    {
        return StartingPoint::of(self::job($purpose, $answers, $more), Some::shop());
    }

    /** @return array<string, mixed> what a person put in place of a proposal */
    public static function overruled(string $figure, string $value): array
    {
        return ['overrides' => [['figure' => $figure, 'value' => $value, 'why' => '']]];
    }
}

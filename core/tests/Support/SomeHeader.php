<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Tests\Support;

use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\JobReader;

/** A header job of four runs into one collector, as a document to change and as a job. */
final class SomeHeader
{
    /**
     * @param  array<string, mixed>  $change
     * @return array<string, mixed>
     */
    public static function document(array $change = []): array
    {
        $document = json_decode(
            (string) file_get_contents(dirname(__DIR__, 3).'/database/demo/hill-climb-header.job.json'),
            true,
        );

        return array_replace_recursive(is_array($document) ? $document : [], $change);
    }

    /** @param  array<string, mixed>  $change */
    public static function job(array $change = []): Job
    {
        $reading = JobReader::fromDecoded(self::document($change));

        return $reading->job ??
            throw new \LogicException($reading->faults[0]->path.' '.$reading->faults[0]->message);
    }
}

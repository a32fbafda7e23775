<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Tests\Support;

use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\JobReader;

/** Whole jobs of several runs with every route taken. */
final class SomeRoutedSets
{
    /**
     * The V8 of the benchmarks, two banks of four into two collectors, as a document.
     *
     * @return array<string, mixed>
     */
    public static function veeEight(): array
    {
        $document = json_decode((string) file_get_contents(dirname(__DIR__, 3).'/bench/eight-runs.job.json'), true);

        return is_array($document) ? $document : [];
    }

    /**
     * One bank of it: the runs E to H, into one collector.
     *
     * @param  array<string, mixed>  $change
     */
    public static function header(array $change = []): Job
    {
        $document = self::veeEight();
        $document['runs'] = array_slice($document['runs'], 4);
        $document['set']['collectors'] = array_slice($document['set']['collectors'], 1);
        $document['set']['lengths'] = [];
        $reading = JobReader::fromDecoded(array_replace_recursive($document, $change));

        return $reading->job ??
            throw new \LogicException($reading->faults[0]->path.' '.$reading->faults[0]->message);
    }

    public static function eight(): Job
    {
        return JobReader::fromDecoded(self::veeEight())->job ??
            throw new \LogicException('The eight runs cannot be read.');
    }
}

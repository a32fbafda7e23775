<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Tests\Support;

use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Stage\Layout\Layout;
use UpsweptBead\Core\Stage\Layout\RoutedRun;

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

    /** The same bank into a bought collector whose mouths stand where the runs end. */
    public static function joined(): Job
    {
        $job = self::header();
        $ends = array_map(static fn (RoutedRun $one): Frame => $one->run->end(), Layout::of($job, Some::shop())->runs);
        $middle = $along = new Vector(0, 0, 0);
        foreach ($ends as $end) {
            $middle = $middle->plus($end->at->times(1 / count($ends)));
            $along = $along->plus($end->forward);
        }
        $axis = $along->unit();
        $frame = Frame::facing($middle, $axis, new Vector(0, 0, 1));
        $own = static fn (Vector $one): array => [
            $one->dot($frame->reference),
            $one->dot($frame->forward->cross($frame->reference)),
            $one->dot($frame->forward),
        ];

        return self::header(['set' => ['collectors' => [['build' => [
            'letter' => 'K', 'make' => 'bought', 'inlets' => count($ends), 'tube' => $job->runs[0]->tubeId,
            'at' => $middle->toArray(), 'axis' => $axis->toArray(), 'turn' => 0,
            'poses' => array_map(static fn (Frame $end): array => [
                'at' => array_map(static fn (float $mm): string => sprintf('%.6f mm', $mm), $own($end->at->minus($middle))),
                'direction' => $own($end->forward),
            ], $ends),
        ]]]]]);
    }

    public static function eight(): Job
    {
        return JobReader::fromDecoded(self::veeEight())->job ??
            throw new \LogicException('The eight runs cannot be read.');
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Tests\Support;

use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Stage\Merge\BuiltCollector;
use UpsweptBead\Core\Stage\Merge\Collectors;

/** Collectors that are made here, alone or behind the runs of a header; and a downpipe with a branch on its side. */
final class SomeCollectors
{
    /**
     * @param  array<string, mixed>  $build
     * @param  array<string, string>  $overrides  values by figure
     */
    public static function job(array $build = [], array $overrides = []): Job
    {
        return self::read(self::document($build, $overrides));
    }

    /**
     * @param  array<string, mixed>  $build
     * @param  array<string, string>  $overrides  values by figure
     * @return array<string, mixed>
     */
    public static function document(array $build = [], array $overrides = []): array
    {
        return [
            'format' => 'upswept-bead/job',
            'version' => 1,
            'job' => [
                'number' => 'TB-0700', 'title' => 'Collector alone', 'customer' => '', 'vehicle' => '',
                'purpose' => 'collector', 'units' => 'metric', 'metal' => '304L', 'note' => '',
            ],
            'runs' => [],
            'set' => ['collectors' => [['name' => 'Collector', 'runs' => [], 'build' => [...self::build(), ...$build]]]],
            'overrides' => array_map(
                static fn (string $figure, string $value): array => ['figure' => $figure, 'value' => $value, 'why' => ''],
                array_keys($overrides),
                $overrides,
            ),
        ];
    }

    /**
     * @param  array<string, mixed>  $build
     * @param  array<string, string>  $overrides
     */
    public static function one(array $build = [], array $overrides = []): BuiltCollector
    {
        return Collectors::of(self::job($build, $overrides), Some::shop())->all[0]
            ?? throw new \LogicException('There is no collector.');
    }

    /** Two two-into-one collectors of merge bends by themselves, one seam each. */
    public static function two(): Job
    {
        $document = self::document();
        $one = [
            ...self::build(), 'make' => 'bent', 'inlets' => 2, 'tube' => 'T1.625x.065', 'bend' => 'B1.625x.065-R3-45',
            'turn' => 90, 'outlet' => 'T2.000x.065',
        ];
        $document['set'] = ['collectors' => [
            ['name' => 'Left', 'runs' => [], 'build' => [...$one, 'letter' => 'L', 'at' => [0, -150, 0]]],
            ['name' => 'Right', 'runs' => [], 'build' => [...$one, 'letter' => 'R', 'at' => [0, 150, 0]]],
        ]];

        return self::read($document);
    }

    /**
     * The demo header with its collector made of straight tube, and its runs going there.
     *
     * @param  array<string, mixed>  $build
     */
    public static function header(array $build = []): Job
    {
        $document = SomeHeader::document();
        $document['set']['collectors'][0]['build'] = [
            ...self::build(),
            'at' => [552, 170, -330],
            'axis' => [0.94, 0, -0.34],
            ...$build,
        ];

        return self::read($document);
    }

    /** The same of schedule 10 pipe, collector and runs. */
    public static function heavy(string $entry, string $tube = 'P1.5-10S'): Job
    {
        $document = SomeHeader::document();
        foreach (array_keys($document['runs']) as $i) {
            $document['runs'][$i]['tube'] = $tube;
        }
        $document['set']['collectors'][0]['entry'] = $entry;
        $document['set']['collectors'][0]['build'] = [
            ...self::build(),
            'tube' => 'P1.5-10S',
            'at' => [552, 170, -330],
            'axis' => [0.94, 0, -0.34],
        ];

        return self::read($document);
    }

    /**
     * A straight run A of 600 mm along x, and a branch W on its side.
     *
     * @param  array<string, mixed>  $saddle
     */
    public static function branched(array $saddle = [], bool $isReturn = false): Job
    {
        $end = static fn (string $kind, array $at): array => [
            'kind' => $kind, 'name' => 'End', 'at' => $at, 'direction' => [1, 0, 0], 'metal' => '304L', 'wall' => 5,
        ];
        $seated = [...$end('saddle', [0, 0, 0]), 'saddle' => [
            'on' => 'A', 'station' => 300, 'fromTop' => 0, 'angle' => 45, 'offset' => 0, 'stub' => 160, ...$saddle,
        ]];
        $document = self::document();
        $document['set'] = ['collectors' => []];
        $document['runs'] = [
            [
                'letter' => 'A', 'name' => 'Main', 'tube' => 'T3.000x.065', 'start' => $end('v-band', [0, 0, 0]),
                'end' => $end('v-band', [600, 0, 0]), 'route' => ['bends' => [], 'endStraight' => 600], 'fittings' => [],
            ],
            [
                'letter' => 'W', 'name' => 'Branch', 'tube' => 'T1.500x.065',
                'start' => $isReturn ? $end('v-band', [0, 0, 0]) : $seated,
                'end' => $isReturn ? $seated : $end('v-band', [0, 0, 0]), 'route' => null, 'fittings' => [],
            ],
        ];

        return self::read($document);
    }

    /** @return array<string, mixed> */
    private static function build(): array
    {
        return [
            'letter' => 'K', 'make' => 'straight', 'inlets' => 4, 'tube' => 'T1.750x.065', 'at' => [0, 0, 0],
            'axis' => [1, 0, 0], 'turn' => 45,
        ];
    }

    /** @param  array<string, mixed>  $document */
    private static function read(array $document): Job
    {
        $reading = JobReader::fromDecoded($document);

        return $reading->job
            ?? throw new \LogicException($reading->faults[0]->path.' '.$reading->faults[0]->message);
    }
}

<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Reason\Notice;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Stage\Survey\BoreFit;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeHeader;

/** @return list<string> what a job is told, as far as it is about some words */
function toldOf(Job $job, string $words): array
{
    return array_values(
        array_filter(
            array_map(static fn (Notice $one): string => $one->message, Planner::plan($job, Some::shop())->notices()),
            static fn (string $one): bool => str_contains($one, $words),
        ),
    );
}

/** @param  array<string, mixed>  $bore */
function withBore(array $bore): Job
{
    return SomeHeader::job(['runs' => [0 => ['start' => ['bore' => $bore]]]]);
}

it('finds the tube that forms to a port by the way round it', function () {
    $job = withBore(['shape' => 'oval', 'width' => '38 mm', 'height' => '46 mm']);
    $tube = Some::shop()->catalogue->tube($job->runs[0]->tubeId);
    $figures = BoreFit::figures($job->runs[0], $tube);
    expect($figures['round']->value)->toBeClose((M_PI * 38 + 16) / M_PI, 1e-9)
        ->and($figures['share']->value)->toBeClose((100 * $tube->boreAreaMm2()) / (M_PI * 19 ** 2 + 38 * 8), 1e-9);
});

it('warns of an edge where a port is longer round than the tube can be formed to, and of none where it is not', function () {
    expect(
        toldOf(
            withBore(['shape' => 'rectangle', 'width' => '46 mm', 'height' => '44 mm', 'corner' => '4 mm']),
            'meet an edge',
        ),
    )
        ->toHaveCount(1)
        ->and(toldOf(withBore(['shape' => 'round', 'width' => '40 mm']), 'meet an edge'))->toBe([])
        ->and(toldOf(SomeHeader::job(), 'meet an edge'))->toBe([]);
});

it('refuses ports that cannot be, naming the size', function (array $bore, string $place) {
    $reading = JobReader::fromDecoded(SomeHeader::document(['runs' => [0 => ['start' => ['bore' => $bore]]]]));
    expect(array_map(static fn ($one): string => $one->path, $reading->faults))->toContain("runs[0].start.bore.$place");
})->with([
    [['shape' => 'd', 'width' => '40 mm', 'height' => '18 mm'], 'height'],
    [['shape' => 'rectangle', 'width' => '40 mm', 'height' => '30 mm', 'corner' => '16 mm'], 'corner'],
    [['shape' => 'star', 'width' => '40 mm'], 'shape'],
    [['shape' => 'round', 'width' => '0 mm'], 'width'],
]);

it('writes ports, looks and outlets as they were read', function () {
    $job = SomeHeader::job([
        'runs' => [
            0 => ['start' => ['bore' => ['shape' => 'd', 'width' => '1 5/8 in', 'height' => '38 mm', 'turn' => 20]]],
        ],
        'set' => [
            'outlets' => [['name' => 'Class 4', 'axis' => 'right', 'least' => '600 mm', 'most' => '650 mm']],
            'routing' => ['planes' => ['crosswise', 'level', 'level'], 'evenGaps' => true],
        ],
    ]);
    $written = JobWriter::toArray($job);
    expect(JobWriter::toArray(JobReader::fromDecoded($written)->job ?? $job))->toEqual($written)
        ->and($written['set']['routing']['planes'])->toBe(['crosswise', 'level'])
        ->and($written['runs'][0]['start']['bore']['width'])->toBe('1 5/8 in')
        ->and($written['set']['outlets'][0]['most'])->toBe('650 mm');
});

/**
 * One tube that ends in the open, 600 mm behind the datum and 300 mm right of it.
 *
 * @param  array<string, mixed>  $set
 * @param  array{float|int, float|int, float|int}  $direction
 */
function tailpipe(array $set, array $direction = [1, 0, 0]): Job
{
    $document = SomeHeader::document();
    $document['runs'] = [array_replace($document['runs'][0], ['route' => null])];
    $document['runs'][0]['end'] = array_replace($document['runs'][0]['end'], [
        'kind' => 'open',
        'at' => ['600 mm', '300 mm', '-100 mm'],
        'direction' => $direction,
    ]);
    $document['set'] = ['collectors' => [], 'keepOuts' => [], 'lengths' => [], ...$set];

    return JobReader::fromDecoded($document)->job ?? throw new LogicException('No job.');
}

it('tells by how much an open end misses what its class asks', function () {
    $limit = static fn (array $more): array => ['outlets' => [['name' => 'Class rule 7', 'axis' => 'right', ...$more]]];
    expect(toldOf(tailpipe($limit(['least' => '320 mm'])), 'Class rule 7')[0])->toContain('20.0 mm short')
        ->and(toldOf(tailpipe($limit(['most' => '250 mm'])), 'Class rule 7')[0])->toContain('50.0 mm over')
        ->and(toldOf(tailpipe($limit(['least' => '250 mm', 'most' => '320 mm'])), 'Class rule 7'))->toBe([]);
});

it('asks nothing of ends inside a collector', function () {
    expect(
        toldOf(
            SomeHeader::job([
                'set' => ['outlets' => [['name' => 'Class rule 7', 'axis' => 'right', 'most' => '-5000 mm']]],
            ]),
            'Class rule 7',
        ),
    )->toBe([]);
});

it('warns of an open end that blows at something, not of one that passes it', function () {
    $tyre = [
        'keepOuts' => [
            [
                'name' => 'tyre',
                'kind' => 'tyre',
                'shape' => 'box',
                'at' => ['900 mm', '300 mm', '-100 mm'],
                'size' => ['200 mm', '200 mm', '200 mm'],
            ],
        ],
    ];
    expect(toldOf(tailpipe($tyre), 'blows at tyre')[0])->toContain('200.0 mm ahead')
        ->and(toldOf(tailpipe($tyre, [0, 1, 0]), 'blows at'))->toBe([]);
});

it('says once what is true of several ports alike', function () {
    $square = ['shape' => 'rectangle', 'width' => '46 mm', 'height' => '44 mm', 'corner' => '4 mm'];
    $job = SomeHeader::job(['runs' => array_fill(0, 4, ['start' => ['bore' => $square]])]);
    expect(toldOf($job, 'meet an edge'))->toHaveCount(1)
        ->and(toldOf($job, 'meet an edge')[0])->toContain('ports A, B, C, D');
});

it('says how much straight it takes to form a tube to a port that is not round', function (array $bore, bool $isTold) {
    $told = toldOf(withBore($bore), 'Forming a tube');
    expect($told !== [])->toBe($isTold);
})->with([
    'oval' => [['shape' => 'oval', 'width' => '34 mm', 'height' => '40 mm'], true],
    'round' => [['shape' => 'round', 'width' => '40 mm'], false],
]);

it('does not say so where enough is kept straight', function () {
    $oval = ['shape' => 'oval', 'width' => '34 mm', 'height' => '40 mm'];
    $long = SomeHeader::job([
        'runs' => [0 => ['start' => ['bore' => $oval]]],
        'set' => ['routing' => ['firstStraight' => '120 mm']],
    ]);
    expect(toldOf($long, 'Forming a tube'))->toBe([]);
});

it('says where a ring is too loose on its tube for a butt, and takes one that is not', function (string $bore, bool $isTold) {
    // 1 3/4 in tube: .060 in over it is too loose (common practice).
    $job = SomeHeader::job(['runs' => [0 => ['start' => ['kind' => 'v-band', 'bore' => ['shape' => 'round', 'width' => $bore, 'turn' => 0]]]]]);
    expect(toldOf($job, 'too loose for a butt') !== [])->toBe($isTold)
        // The tube goes into it, so its inside is no edge.
        ->and(toldOf($job, 'meet an edge'))->toBe([]);
})->with([['1.810 in', true], ['1.780 in', false]]);

<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Reason\Notice;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Stage\Survey\SurveyChecks;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeHeader;

/**
 * A box to keep clear of, as a job document has it.
 *
 * @param  array{int, int, int}  $at
 * @param  array{int, int, int}  $size
 * @return array<string, mixed>
 */
function solidBox(string $name, string $kind, array $at, array $size): array
{
    return ['name' => $name, 'kind' => $kind, 'shape' => 'box', 'at' => $at, 'size' => $size];
}

/**
 * @param  array<string, mixed>  $document
 * @return list<string>
 */
function cautions(array $document): array
{
    $job = JobReader::fromDecoded($document)->job ?? throw new LogicException('unreadable');

    return array_map(
        static fn (Notice $notice): string => "$notice->path $notice->message",
        SurveyChecks::notices($job, Some::shop()),
    );
}

it('has nothing to say of a survey that hangs together', function () {
    expect(cautions(SomeHeader::document()))->toBe([]);
});

it('says what can hardly be', function (callable $change, string $caution) {
    expect(implode("\n", cautions($change(SomeHeader::document()))))->toContain($caution);
})->with([
    'two ports in one place' => [
        function (array $job): array {
            $job['runs'][1]['start']['at'] = $job['runs'][0]['start']['at'];

            return $job;
        },
        'runs[0].start.at Runs A and B start at the same place.',
    ],
    'ports closer than their tubes' => [
        function (array $job): array {
            $job['runs'][1]['start']['at'] = ['30 mm', '0 mm', '0 mm'];

            return $job;
        },
        'start 30.0 mm apart, less than their tube is wide',
    ],
    'a port that points into the block' => [
        function (array $job): array {
            $job['runs'][2]['start']['direction'] = [0, -0.985, 0.174];

            return $job;
        },
        'runs[2].start.direction Port C points into',
    ],
    'an end closer than a bend needs' => [
        function (array $job): array {
            $job['runs'][0]['end']['at'] = ['30 mm', '40 mm', '-10 mm'];

            return $job;
        },
        'runs[0].end.at Run A ends 51.0 mm from its port and has to turn',
    ],
    'an end in a keep-out' => [
        function (array $job): array {
            $job['set']['keepOuts'][] = solidBox('Battery', 'other', [540, 146, -350], [80, 80, 80]);

            return $job;
        },
        'runs[0].end.at The end of run A lies inside Battery.',
    ],
    'a tyre in the frame' => [
        function (array $job): array {
            $job['set']['keepOuts'][] = solidBox('Front tyre', 'tyre', [-800, 500, -300], [700, 500, 700]);
            $job['set']['keepOuts'][] = solidBox('Side rail', 'frame', [-700, 480, -300], [600, 50, 50]);

            return $job;
        },
        'Front tyre and Side rail overlap',
    ],
    'a slanted bar in the tyre, by its middle only' => [
        function (array $job): array {
            $job['set']['keepOuts'][] = solidBox('Front tyre', 'tyre', [-800, 500, -300], [300, 300, 300]);
            $job['set']['keepOuts'][] = [
                'name' => 'Stay',
                'kind' => 'frame',
                'shape' => 'capsule',
                'at' => [-1100, 900, -700],
                'to' => [-500, 100, 100],
                'radius' => 15,
            ];

            return $job;
        },
        'Front tyre and Stay overlap',
    ],
    'an order that no usual crank fires in' => [
        function (array $job): array {
            $job['set']['collectors'][0]['firing'] = ['A', 'B', 'C', 'D'];

            return $job;
        },
        'a flat four fires 1-3-4-2 or 1-2-4-3',
    ],
]);

it('lets a bar pass a tyre that it does not touch', function () {
    $job = SomeHeader::document();
    $job['set']['keepOuts'][] = solidBox('Front tyre', 'tyre', [-800, 500, -300], [300, 300, 300]);
    // Its two ends' mirror image: the same box round it, but clear of the middle.
    $job['set']['keepOuts'][] = [
        'name' => 'Stay',
        'kind' => 'frame',
        'shape' => 'capsule',
        'at' => [-1100, 700, -700],
        'to' => [-700, 1100, 100],
        'radius' => 15,
    ];
    expect(implode(cautions($job)))->not->toContain('overlap');
});

it('says what one bend takes from end to end: straight, bend, straight', function () {
    $job = SomeHeader::document();
    $job['runs'][0]['start']['at'] = [0, 0, 0];
    $job['runs'][0]['start']['direction'] = [0, 1, 0];
    $job['runs'][0]['end']['at'] = [0, 10, -10];
    $job['runs'][0]['end']['direction'] = [0, 0, -1];
    $read = JobReader::fromDecoded($job)->job ?? throw new LogicException('unreadable');
    $limits = $read->set->routing->on(Some::shop()->rules->routing());
    $clrMm = Some::shop()->catalogue->bendsFor($read->runs[0]->tubeId)[0]->clrMm;
    // A right angle: along the port the first straight and one radius, down one radius and the last straight.
    $need = Quantity::Length->show(
        hypot($limits->firstStraightMm + $clrMm, $clrMm + $limits->lastStraightMm),
        $read->units,
    );
    expect(implode("\n", cautions($job)))->toContain('turn 90° on the way')->toContain("takes about $need.");
});

it('takes both firing orders of a flat four', function (array $firing) {
    $document = SomeHeader::document();
    $document['set']['collectors'][0]['firing'] = $firing;
    expect(cautions($document))->toBe([]);
})->with(['1-3-4-2' => [['A', 'C', 'D', 'B']], '1-2-4-3' => [['A', 'B', 'D', 'C']]]);

it('keeps tubes out of the room for a socket on every nut, but not out of the way while they go in', function () {
    $document = SomeHeader::document();
    // Two studs level on either side of the port; a tube that turned down at once would pass them, one turned aside
    // would not.
    $document['runs'][0]['start']['bolts'] = ['count' => 2, 'circle' => 80, 'turn' => 90, 'flats' => 13];
    $document['runs'][0]['route'] = [
        'bends' => [['straight' => 26, 'rotation' => 90, 'angle' => 60, 'clr' => 50.8]],
        'endStraight' => 60,
    ];
    $document['runs'][0]['end']['bolts'] = null;
    $plan = Planner::plan(
        JobReader::fromDecoded($document)->job ?? throw new LogicException('unreadable'),
        Some::shop(),
    );
    $gaps = array_filter($plan->layout->gaps, static fn ($gap): bool => str_starts_with($gap->other, 'nut A'));
    expect($gaps)->toHaveCount(2)
        ->and(array_values($gaps)[0]->isKept())->toBeFalse()
        ->and(array_values($gaps)[0]->neededMm)->toBeClose(3.0);
});

it('says of thin tube what it does, but not where it races or is there already', function (array $change, bool $isTold) {
    $document = SomeHeader::document($change);
    foreach ([0, 1] as $i) {
        $document['runs'][$i]['tube'] = 'T1.750x.049';
        $document['runs'][$i] = [...$document['runs'][$i], ...isset($change['there']) ? ['there' => true] : []];
    }
    unset($document['there']);
    $told = array_values(array_filter(cautions($document), static fn (string $one): bool => str_contains($one, 'is thin')));
    expect($told)->toHaveCount($isTold ? 1 : 0);
    if ($isTold) {
        expect($told[0])->toContain('1 3/4 in × .049 of runs A, B is thin');
    }
})->with([
    'on the road' => [['intake' => ['ground' => 'road']], true],
    'nobody said' => [[], true],
    'in a class' => [['intake' => ['ground' => 'class']], false],
    'there already' => [['there' => true], false],
]);

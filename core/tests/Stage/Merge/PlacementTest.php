<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Reason\Notice;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Stage\Merge\Branch;
use UpsweptBead\Core\Stage\Merge\Placement;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeCollectors;

function placedBranch(Job $job): Branch
{
    return Placement::of($job, Some::shop())->branches[0] ?? throw new LogicException('There is no branch.');
}

it('ends the runs of a collector in its mouths, in their order', function () {
    $placement = Placement::of(SomeCollectors::header(), Some::shop());
    $collector = $placement->collectors->all[0];
    foreach ($collector->spec->runs as $i => $letter) {
        $end = $placement->job->run($letter)->end ?? throw new LogicException($letter);
        expect($end->frame()->at->distanceTo($collector->inlet($i)->at))->toBeLessThan(2e-3)
            ->and($end->frame()->forward->distanceTo($collector->inlet($i)->forward))->toBeLessThan(1e-6)
            ->and($end->name)->toBe('K'.($i + 1));
    }
});

it('moves their ends with the collector, and leaves alone what is in its place', function () {
    $shop = Some::shop();
    $here = Placement::in(SomeCollectors::header(), $shop);
    $moved = Placement::in(SomeCollectors::header(['at' => [572, 170, -330]]), $shop);
    foreach (['A', 'B', 'C', 'D'] as $letter) {
        [$from, $to] = [$here->run($letter)?->end->frame()->at, $moved->run($letter)?->end->frame()->at];
        expect($from === null ? null : $to?->minus($from)->distanceTo(new Vector(20, 0, 0)))->toBeLessThan(3e-3);
    }
    expect(JobWriter::toJson(Placement::in($here, $shop)))->toBe(JobWriter::toJson($here));
});

it('is read back as it was written, with its collector and its branch', function () {
    foreach ([SomeCollectors::header(), SomeCollectors::job(['make' => 'bent']), SomeCollectors::branched()] as $job) {
        $job = Placement::in($job, Some::shop());
        $again = JobReader::fromJson(JobWriter::toJson($job))->job;
        expect(JobWriter::toArray($job))->toBeAn('JobDocument')
            ->and($again === null ? null : JobWriter::toJson($again))->toBe(JobWriter::toJson($job));
    }
});

it('begins the run behind a collector at its outlet', function () {
    $document = JobWriter::toArray(SomeCollectors::branched());
    $document['runs'][1]['start'] = [...$document['runs'][1]['end'], 'kind' => 'open'];
    $document['set'] = ['collectors' => [[
        'name' => 'Collector', 'runs' => [],
        'build' => [
            'letter' => 'K', 'make' => 'straight', 'inlets' => 2, 'tube' => 'T1.625x.065', 'at' => [5, 6, 7],
            'axis' => [0, 1, 0], 'outlet' => 'T2.000x.065', 'into' => 'W',
        ],
    ]]];
    $job = JobReader::fromDecoded($document)->job ?? throw new LogicException('unread');
    $placement = Placement::of($job, Some::shop());
    $start = $placement->job->run('W')?->start->frame();
    expect($start?->at->distanceTo($placement->collectors->all[0]->outlet()->at))->toBeLessThan(2e-3)
        ->and($start?->forward->distanceTo(new Vector(0, 1, 0)))->toBeLessThan(1e-6);
});

it('lets a branch go with the flow at the angle that was asked for, out of the main or into it', function (bool $isReturn) {
    $placement = Placement::of(SomeCollectors::branched(['angle' => 35], $isReturn), Some::shop());
    $run = $placement->job->run('W') ?? throw new LogicException('W');
    foreach ([$run->start, $run->end] as $end) {
        expect($end->frame()->forward->angleDegTo(new Vector(1, 0, 0)))->toBeClose(35.0, 0.0, 1e-4);
    }
    // A take-off leaves upward at the top of the main; a return comes down to it.
    expect($run->start->frame()->forward->z <=> 0.0)->toBe($isReturn ? -1 : 1);
    // The stub's far end stands 160 mm from the foot.
    $foot = $placement->branches[0]->foot ?? throw new LogicException('foot');
    $far = $isReturn ? $run->start : $run->end;
    expect($far->frame()->at->distanceTo($foot->at))->toBeClose(160.0, 0.0, 0.01);
})->with(['take-off' => false, 'return' => true]);

it('seats the end of a branch on the skin of the main and nowhere inside it', function (float $angleDeg, float $offsetMm) {
    $branch = placedBranch(SomeCollectors::branched(['angle' => $angleDeg, 'offset' => $offsetMm]));
    $frame = $branch->frame() ?? throw new LogicException($branch->lack);
    [$aside, $mainMm] = [$frame->forward->cross($frame->reference), 76.2 / 2];
    $least = INF;
    for ($deg = 0; $deg < 360; $deg += 5) {
        $sMm = $branch->saddle?->cutMm(deg2rad($deg)) - $branch->lowMm;
        foreach ([19.05 - 1.651, 19.05 - 0.8, 19.05] as $radiusMm) {
            $at = $frame->at
                ->plus($frame->forward->times($sMm))
                ->plus($frame->reference->times($radiusMm * cos(deg2rad($deg))))
                ->plus($aside->times($radiusMm * sin(deg2rad($deg))));
            // The main lies along x.
            $least = min($least, hypot($at->y, $at->z) - $mainMm);
        }
    }
    expect($least)->toBeGreaterThan(-0.02)->toBeLessThan(0.02);
})->with([[90.0, 0.0], [45.0, 0.0], [30.0, 0.0], [120.0, 8.0], [60.0, -15.0]]);

it('says why a branch cannot stand where it was put', function (array $saddle, string $said) {
    expect(placedBranch(SomeCollectors::branched($saddle))->lack)->toContain($said);
})->with([
    'beside the main' => [['offset' => 70], 'misses run A'],
    'over its side' => [['offset' => 25], 'hangs over the side'],
    'past its end' => [['station' => 700], 'the branch cannot stand further along'],
    'too near its end' => [['station' => 590], 'not straight all the way'],
]);

it('stops a release for a collector that cannot be made, and only warns of what is unusual', function () {
    $severities = static fn (Job $job): array => array_map(
        static fn (Notice $one): string => $one->severity->value,
        Planner::plan($job, Some::shop())->notices(),
    );
    expect($severities(SomeCollectors::job(['inlets' => 2, 'outlet' => 'T4.000x.065'])))->toBe(['problem'])
        ->and($severities(SomeCollectors::job([], ['merge.K.lean' => '14 deg'])))->toBe(['caution'])
        ->and($severities(SomeCollectors::job(['tube' => 'T9'])))->toContain('problem')
        ->and($severities(SomeCollectors::job()))->toBe([]);
});

it('warns of tubes that do not fit the inlets they go into', function () {
    $said = static fn (string $tube): string => implode(' ', array_map(
        static fn (Notice $one): string => $one->message,
        Planner::sketch(SomeCollectors::header(['tube' => $tube]), Some::shop())->notices(),
    ));
    expect($said('T2.000x.065'))->toContain('is loose in its inlet')
        ->and($said('T1.500x.065'))->toContain('expanded by')
        ->and($said('T1.750x.065'))->not->toContain('its inlet');
});

it('takes an inlet that would tear for a problem, one that is only expanded far for a caution', function () {
    $severities = static fn (string $tube): array => array_values(array_unique(array_map(
        static fn (Notice $one): string => $one->severity->value,
        array_filter(
            Planner::sketch(SomeCollectors::header(['tube' => $tube]), Some::shop())->notices(),
            static fn (Notice $one): bool => str_contains($one->message, 'expanded by'),
        ),
    )));
    // Runs of 1 3/4 in widen 1 5/8 in by 16 % and 1 1/2 in by 26 %: 12 may be, from 24 on it is taken to tear.
    expect($severities('T1.625x.065'))->toBe(['caution'])->and($severities('T1.500x.065'))->toBe(['problem']);
});

it('makes a 4-2-1 of three collectors, each pair running on into the last', function () {
    $document = JobWriter::toArray(SomeCollectors::header());
    $build = static fn (string $letter, string $tube, array $at, ?string $into): array => [
        'letter' => $letter, 'make' => 'straight', 'inlets' => 2, 'tube' => $tube, 'at' => $at, 'axis' => [1, 0, -0.3],
        ...$into === null ? [] : ['into' => $into],
    ];
    $second = static fn (string $letter): array => [...$document['runs'][0], 'letter' => $letter, 'tube' => 'T2.000x.065', 'route' => null, 'start' => [...$document['runs'][0]['end'], 'name' => '']];
    $document['runs'] = [...$document['runs'], $second('E'), $second('F')];
    $document['set']['collectors'] = [
        ['name' => 'First pair', 'runs' => ['A', 'D'], 'build' => $build('P', 'T1.750x.065', [520, 120, -300], 'E')],
        ['name' => 'Second pair', 'runs' => ['B', 'C'], 'build' => $build('Q', 'T1.750x.065', [520, 220, -300], 'F')],
        ['name' => 'Last', 'runs' => ['E', 'F'], 'build' => $build('R', 'T2.000x.065', [1100, 170, -480], null)],
    ];
    $placement = Placement::of(JobReader::fromDecoded($document)->job ?? throw new LogicException('unread'), Some::shop());
    [$p, $q, $r] = $placement->collectors->all;
    $run = static fn (string $letter) => $placement->job->run($letter) ?? throw new LogicException($letter);
    expect($run('D')->end->name)->toBe('P2')
        ->and($run('E')->start->frame()->at->distanceTo($p->outlet()->at))->toBeLessThan(2e-3)
        ->and($run('F')->start->frame()->at->distanceTo($q->outlet()->at))->toBeLessThan(2e-3)
        ->and($run('F')->end->frame()->at->distanceTo($r->inlet(1)->at))->toBeLessThan(2e-3)
        // The tube behind a pair is the run that begins there.
        ->and($p->sizes->outlet->id)->toBe('T2.000x.065');
});

it('lets a crossover stand on one run and go into another', function () {
    $document = JobWriter::toArray(SomeCollectors::branched(['angle' => 60]));
    $main = $document['runs'][0];
    $moved = static fn (array $end): array => [...$end, 'at' => [$end['at'][0], 300, 0]];
    $document['runs'][] = [...$main, 'letter' => 'B', 'start' => $moved($main['start']), 'end' => $moved($main['end'])];
    $saddle = static fn (string $on, float $turn): array => ['on' => $on, 'station' => 300, 'fromTop' => $turn, 'angle' => 60];
    $document['runs'][1]['start'] = [...$document['runs'][1]['start'], 'kind' => 'saddle', 'saddle' => $saddle('A', -90)];
    $document['runs'][1]['end'] = [...$document['runs'][1]['end'], 'kind' => 'saddle', 'saddle' => $saddle('B', 90)];
    $placement = Placement::of(JobReader::fromDecoded($document)->job ?? throw new LogicException('unread'), Some::shop());
    expect(count($placement->branches))->toBe(2)
        ->and(array_map(static fn (Branch $one): string => $one->lack, $placement->branches))->toBe(['', '']);
    $run = $placement->job->run('W') ?? throw new LogicException('W');
    // Both go with the flow, and it leaves one on the side that faces the other.
    foreach ([$run->start, $run->end] as $end) {
        expect($end->frame()->forward->angleDegTo(new Vector(1, 0, 0)))->toBeClose(60.0, 0.0, 1e-4);
    }
    expect(abs($run->start->frame()->at->y - 38.1))->toBeLessThan(20.0)
        ->and(abs($run->end->frame()->at->y - 300 + 38.1))->toBeLessThan(20.0);
});

it('measures the tubes of a collector against what must be kept clear of, and against runs that go elsewhere', function () {
    $said = static function (array $change): string {
        $document = JobWriter::toArray(SomeCollectors::header());
        $job = JobReader::fromDecoded(array_replace_recursive($document, $change))->job ?? throw new LogicException('unread');

        return implode(' ', array_map(
            static fn (Notice $one): string => $one->message,
            Planner::sketch($job, Some::shop())->notices(),
        ));
    };
    // Where it stands nothing is in its way, its own runs and the body that was surveyed for it least of all.
    expect($said([]))->not->toContain('Tube K');
    $rod = ['name' => 'Rod', 'kind' => 'steering', 'shape' => 'capsule', 'at' => [640, 0, -360], 'to' => [640, 400, -360], 'radius' => 10];
    $keepOuts = JobWriter::toArray(SomeCollectors::header())['set']['keepOuts'];
    expect($said(['set' => ['keepOuts' => [...$keepOuts, $rod]]]))->toContain('runs into Rod');
});

it('bends the tubes of a merge towards its axis where they are measured', function () {
    $legs = UpsweptBead\Core\Stage\Layout\CollectorLegs::of(Placement::of(SomeCollectors::job(['make' => 'bent', 'inlets' => 2]), Some::shop()))->all;
    [$a, $b] = [$legs[0]->run, $legs[1]->run];
    expect($a->start->at->distanceTo($b->start->at))->toBeGreaterThan($a->end()->at->distanceTo($b->end()->at) + 20.0)
        ->and($legs[0]->spec->letter)->toBe('K1');
});

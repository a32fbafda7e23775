<?php

declare(strict_types=1);

use UpsweptBead\Core\Account\Stores\Needs;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Job\Run\FittingKind;
use UpsweptBead\Core\Stage\Fit\Access\Solids;
use UpsweptBead\Core\Stage\Fit\Order\Phase;
use UpsweptBead\Core\Stage\Fit\Order\Task;
use UpsweptBead\Core\Stage\Fit\Twins;
use UpsweptBead\Core\Stage\Joint\JointType;
use UpsweptBead\Core\Stage\Layout\PlacedPart;
use UpsweptBead\Core\Stage\Plan\Plan;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Stage\Weld\Amperage;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeRoutedSets;

/**
 * The example downpipe, changed.
 *
 * @param  array<string, mixed>  $change
 */
function changedPipe(array $change): Job
{
    $reading = JobReader::fromDecoded(array_replace_recursive(JobWriter::toArray(Some::routedJob()), $change));

    return $reading->job ?? throw new LogicException($reading->faults[0]->path.' '.$reading->faults[0]->message);
}

/** @return array<string, int> the turn of every task */
function turns(Plan $plan): array
{
    return array_flip(array_map(static fn (Task $one): string => $one->id, $plan->fit->build->tasks));
}

/** @return list<string> what is said of a place of the job */
function saidAt(Job $job, string $path): array
{
    $notices = Planner::plan($job, Some::shop())->notices();

    return array_values(array_map(
        static fn ($one): string => $one->message,
        array_filter($notices, static fn ($one): bool => str_starts_with($one->path, $path)),
    ));
}

// Common practice: a small tab is placed by its own bolt through the finished hole, with three edge tacks.
it('places a bracket by its own bolt when the run stands there, and welds it on the bench', function () {
    $plan = Planner::plan(changedPipe(['runs' => [['fittings' => [['kind' => 'bracket', 'station' => '14 in', 'fromTop' => 180]]]]]), Some::shop());
    $turns = turns($plan);
    $joint = $plan->joints->find('AB1') ?? throw new LogicException('no joint');
    expect($joint->type)->toBe(JointType::Tab)
        ->and($turns['trial.A'])->toBeLessThan($turns['tack.AB1'])
        ->and($turns['tack.AB1'])->toBeLessThan($turns['full.A'])
        ->and($turns['tack.AB1'])->toBeLessThan($turns['weld.AB1'])
        ->and($plan->fit->tacks['AB1']->fullDeg)->toBe([0.0, 120.0, 240.0])
        ->and($plan->fit->build->find('weld.AB1')?->phase)->toBe(Phase::Bench)
        // Underneath is where brackets are; only a sensor may not lie there.
        ->and(saidAt($plan->job, 'runs[0].fittings'))->toBe([]);
});

// Common practice: amps for the wall and no more; observed on a .0625 in tab, 50 A.
it('welds a tab with the amps of the thinner wall', function () {
    expect(Amperage::workingA(JointType::Tab, 1.65, 1.5875, 0.8))->toBeClose(50.0, 0, 0.5)
        ->and(Amperage::workingA(JointType::Tab, 1.65, 6.0, 0.8))->toBeClose(52.0, 0, 0.5);
});

// Common practice: an attachment on a wall of .120 in is not meant to penetrate, and needs no argon behind it.
it('fills the bore for a tab on a thin tube, and not for one on a heavy wall', function (string $tube, bool $isPurged) {
    $plan = Planner::plan(changedPipe(['runs' => [['tube' => $tube, 'fittings' => [['kind' => 'bracket', 'station' => '14 in', 'fromTop' => 180]]]]]), Some::shop());
    expect($plan->joints->find('AB1')?->isPurged())->toBe($isPurged)
        ->and(in_array('purge.AB1', array_column($plan->steps, 'id'), true))->toBe($isPurged);
})->with([['T3.000x.065', true], ['T3.000x.120', false]]);

it('carries a run on a hanger that is welded to it', function () {
    $plan = Planner::plan(changedPipe(['runs' => [['fittings' => [['kind' => 'hanger', 'station' => '20 in', 'fromTop' => 0]]]]]), Some::shop());
    $alone = Planner::plan(Some::routedJob(), Some::shop())->fit->growth->weights[0];
    $carried = $plan->fit->growth->weights[0]->carried;
    expect($carried)->toHaveKey('hanger AB1')
        ->and(array_sum($carried))->toBeClose($alone->massKg, 0, 0.01)
        ->and($carried['hanger AB1'])->toBeGreaterThan(0.3 * $alone->massKg);
});

it('drills for sensors only', function () {
    foreach (FittingKind::cases() as $kind) {
        expect($kind->holeMm() > 0.0)->toBe($kind->isDrilled())->and($kind->wallMm())->toBeGreaterThan(2.0);
    }
});

// Common practice: the loose flange is on the tube before its end is flared.
it('puts the loose flange over a tube before its flare is pressed, and presses that before it is seated', function () {
    $plan = Planner::plan(changedPipe(['runs' => [['end' => ['kind' => 'flare', 'name' => 'Front pipe']]]]), Some::shop());
    $turns = turns($plan);
    $flare = array_values(array_filter($plan->joints->joints, static fn ($one): bool => $one->type === JointType::Flare))[0];
    expect($turns["put.$flare->id"])->toBeLessThan($turns["form.$flare->id"])
        ->and($turns["form.$flare->id"])->toBeLessThan($turns["tack.$flare->id"])
        ->and($turns["tack.$flare->id"])->toBeLessThan($turns['trial.A'])
        ->and($flare->type->isWelded())->toBeFalse()
        ->and(array_column($plan->steps, 'id'))->toContain("put.$flare->id", "form.$flare->id")
        ->and($plan->fit->service[0]->clamps)->toContain('Front pipe');
});

// Common practice: what no wheel reaches later is polished before it is closed in.
it('polishes a run before the others stand beside it, and one that stands free when all is welded', function () {
    $set = Planner::plan(SomeRoutedSets::header(['set' => ['polished' => ['E']]]), Some::shop());
    $turns = turns($set);
    expect($turns['polish.E'])->toBeLessThan($turns['refit.set'])
        ->and($set->fit->build->find('polish.E')?->why)->toContain('a wheel takes');
    foreach ($set->joints->ofRun('E') as $joint) {
        if ($joint->type->isButt()) {
            expect($turns["weld.$joint->id"])->toBeLessThan($turns['polish.E']);
        }
    }
    $free = Planner::plan(changedPipe(['set' => ['polished' => ['A']]]), Some::shop());
    expect(array_key_last(turns($free)))->toBe('polish.A');
});

// Common practice: the datum flange first, with stubs of an inch, welded flat and by itself.
it('makes a flange with its stubs whole before anything stands on it', function () {
    $plain = Planner::plan(SomeRoutedSets::header(), Some::shop());
    $plan = Planner::plan(SomeRoutedSets::header(['set' => ['stubs' => ['E', 'F', 'G', 'H']]]), Some::shop());
    $turns = turns($plan);
    $stubbed = 0;
    foreach (['E', 'F', 'G', 'H'] as $letter) {
        [$first] = $plan->cut->piecesOf($letter);
        $start = $plan->job->run($letter)->start ?? throw new LogicException('no run');
        if (count($plan->cut->piecesOf($letter)) === count($plain->cut->piecesOf($letter))) {
            continue;
        }
        $stubbed++;
        expect($first->span->toMm)->toBeClose($start->wall->mm + 25.4)
            ->and($plan->fit->build->find("weld.{$letter}J1")?->phase)->toBe(Phase::Stub)
            // Inside, outside, and only then the next piece.
            ->and($turns["tack.{$letter}J1"])->toBeLessThan($turns["weld.{$letter}J1"])
            ->and($turns["weld.{$letter}J1"])->toBeLessThan($turns["weld.{$letter}J2"])
            ->and($turns["weld.{$letter}J2"])->toBeLessThan($turns["tack.{$letter}J3"]);
    }
    expect($stubbed)->toBeGreaterThan(0);
    // All stubs are tacked before the first of them is welded.
    $tacked = array_filter($turns, static fn (string $id): bool => preg_match('/^tack\.[EFGH]J1$/', $id) === 1, ARRAY_FILTER_USE_KEY);
    $sealed = array_filter($plan->fit->build->tasks, static fn (Task $one): bool => $one->phase === Phase::Stub && str_starts_with($one->id, 'weld.'));
    $ofStubs = array_filter($tacked, static fn (int $at, string $id): bool => $plan->fit->build->find($id)?->phase === Phase::Stub, ARRAY_FILTER_USE_BOTH);
    expect(max($ofStubs))->toBeLessThan(min(array_map(static fn (Task $one): int => $turns[$one->id], $sealed)));
});

it('says where there is no room for a stub', function () {
    $document = JobWriter::toArray(Some::routedJob());
    $document['runs'][0]['start']['kind'] = 'flange';
    $document['runs'][0]['route']['bends'][0]['straight'] = '0.5 in';
    $document['set']['stubs'] = ['A'];
    $job = JobReader::fromDecoded($document)->job ?? throw new LogicException('unreadable');
    expect(implode(' ', saidAt($job, 'runs[0].route')))->toContain('no room for a stub')
        ->and(Planner::plan($job, Some::shop())->fit->build->find('weld.AJ1')?->phase)->toBe(Phase::Together);
});

it('stands a part that was measured behind its run, in the way of the torch', function () {
    $part = ['name' => 'Muffler', 'kind' => 'muffler', 'inlet' => 'A', 'length' => '400 mm', 'width' => '180 mm'];
    $job = changedPipe(['runs' => [['end' => ['kind' => 'socket', 'name' => 'Muffler']]], 'set' => ['parts' => [$part]]]);
    $sketch = Planner::sketch($job, Some::shop());
    [$placed] = PlacedPart::all($sketch->job, $sketch->layout);
    $end = $sketch->layout->runs[0]->line->end;
    expect($placed->start->at->distanceTo($end->at))->toBeLessThan(1e-6)
        ->and($placed->end->at->distanceTo($end->at))->toBeClose(400.0)
        ->and($placed->radiusMm)->toBe(90.0)
        ->and(Solids::of($sketch->layout, [$placed])->all)->toHaveKey('Muffler')
        // Written and read again.
        ->and(JobReader::fromDecoded(JobWriter::toArray($job))->job)->toEqual($job);
});

it('buys what the customer does not bring', function () {
    $bought = static fn (array $part): array => array_column(Needs::of(Planner::plan(changedPipe([
        'set' => ['parts' => [['name' => 'Long muffler', 'kind' => 'muffler', 'inlet' => 'A', ...$part]]],
    ]), Some::shop()), Some::shop()), 'name');
    expect($bought([]))->toContain('Long muffler')->and($bought(['brought' => true]))->not->toContain('Long muffler');
});

/** @param  array<string, mixed>  $other  of the second pipe's end */
function twoTips(array $other): Job
{
    $document = JobWriter::toArray(Some::routedJob());
    $first = $document['runs'][0];
    $first['start'] = [...$first['start'], 'kind' => 'open', 'at' => [0, -400, 0], 'direction' => [1, 0, 0]];
    $first['end'] = [...$first['end'], 'kind' => 'socket', 'at' => [900, -400, 0], 'direction' => [1, 0, 0]];
    $first['route'] = ['bends' => [], 'endStraight' => '900 mm'];
    $second = [...$first, 'letter' => 'B', 'name' => 'Right'];
    $second['start'] = [...$first['start'], 'at' => [0, 400, 0]];
    $second['end'] = [...$first['end'], 'at' => [900, 400, 0], ...$other];
    $second['route']['endStraight'] = ($other['at'][0] ?? 900).' mm';
    $second['start']['at'][2] = $other['at'][2] ?? 0;
    $document['job']['units'] = 'metric';
    $document['runs'] = [$first, $second];
    $document['set']['parts'] = [
        ['name' => 'Left tip', 'kind' => 'tip', 'inlet' => 'A'], ['name' => 'Right tip', 'kind' => 'tip', 'inlet' => 'B'],
    ];
    $reading = JobReader::fromDecoded($document);

    return $reading->job ?? throw new LogicException($reading->faults[0]->path.' '.$reading->faults[0]->message);
}

it('says of two tips in what they are not alike seen from the rear', function (array $other, array $said) {
    $told = saidAt(twoTips($other), 'set.parts');
    expect($told)->toHaveCount($said === [] ? 0 : 1);
    foreach ($said as $one) {
        expect($told[0])->toContain($one);
    }
})->with([
    'alike' => [[], []],
    'one lower' => [['at' => [900, 400, -8]], ['8 mm lower']],
    'one farther back' => [['at' => [920, 400, 0]], ['20 mm farther back']],
    'both' => [['at' => [890, 400, 5]], ['5 mm higher', '10 mm farther forward']],
]);

it('asks for the start of the next run where a part ends', function (float $x, bool $isSaid) {
    $document = JobWriter::toArray(twoTips([]));
    // The second pipe begins behind the first one's muffler.
    $document['runs'][1]['start']['at'] = [$x, -400, 0];
    $document['runs'][1]['end']['at'] = [$x + 900, -400, 0];
    $document['set']['parts'] = [
        ['name' => 'Muffler', 'kind' => 'muffler', 'inlet' => 'A', 'length' => '400 mm', 'width' => '150 mm', 'outlet' => 'B'],
    ];
    $told = saidAt(JobReader::fromDecoded($document)->job ?? throw new LogicException('unreadable'), 'set.parts[0].length');
    expect($told)->toHaveCount($isSaid ? 1 : 0);
})->with([[1300.0, false], [1302.0, false], [1312.0, true], [1285.0, true]]);

it('knows runs that are alike, and mirror images, by their bends', function () {
    $document = JobWriter::toArray(twoTips([]));
    $bends = static fn (float $turn): array => ['bends' => [
        ['straight' => '100 mm', 'rotation' => 12, 'angle' => 45, 'clr' => '4.5 in'],
        ['straight' => '80 mm', 'rotation' => $turn, 'angle' => 45, 'clr' => '4.5 in'],
    ], 'endStraight' => '200 mm'];
    $twins = static function (float $other) use ($document, $bends): ?array {
        $document['runs'][0]['route'] = $bends(70);
        $document['runs'][1]['route'] = $bends($other);
        $job = JobReader::fromDecoded($document)->job ?? throw new LogicException('unreadable');

        return Twins::of(Planner::sketch($job, Some::shop())->layout->runs)->twinOf('B');
    };
    expect($twins(70))->toBe(['A', false])->and($twins(-70))->toBe(['A', true])->and($twins(60))->toBeNull();
});

it('names the field, the value and what would be taken', function (array $set, string $path) {
    $document = array_replace_recursive(JobWriter::toArray(Some::routedJob()), ['set' => $set]);
    $faults = JobReader::fromDecoded($document)->faults;
    expect(array_column($faults, 'path'))->toContain($path);
})->with([
    'polished' => [['polished' => ['Q']], 'set.polished[0]'],
    'outlet' => [['parts' => [['name' => 'M', 'kind' => 'muffler', 'inlet' => 'A', 'outlet' => 'Q']]], 'set.parts[0].outlet'],
    'length' => [['parts' => [['name' => 'M', 'kind' => 'muffler', 'inlet' => 'A', 'length' => '-3 mm']]], 'set.parts[0].length'],
]);

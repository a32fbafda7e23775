<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Stage\Bench\EntryKind;
use UpsweptBead\Core\Stage\Bench\JobRecord;
use UpsweptBead\Core\Stage\Bench\LogEntry;
use UpsweptBead\Core\Stage\Bench\Progress;
use UpsweptBead\Core\Stage\Step\StepKind;
use UpsweptBead\Core\Tests\Support\Some;

/** @param  array<string, float>  $values */
function entry(string $step, EntryKind $kind = EntryKind::Done, array $values = [], string $note = ''): LogEntry
{
    return new LogEntry(uniqid(), $step, $kind, $values, $note, 'Wren', new DateTimeImmutable('2026-03-02 09:00'));
}

it('starts with the first piece and ends when every step is done', function () {
    $plan = Some::plan();
    expect(Progress::of($plan->steps, [])->next()?->id)->toBe('prepare.A1');
    $all = Progress::of($plan->steps, array_map(static fn ($step): LogEntry => entry($step->id), $plan->steps));
    expect($all->next())->toBeNull()
        ->and($all->jointsDone())->toBe(count($plan->joints->joints))
        ->and($all->stepsDone())->toBe(count($plan->steps));
});

it('follows the log, not the order of the plan', function () {
    expect(Progress::of(Some::plan()->steps, [entry('prepare.A2')])->next()?->id)->toBe('prepare.A1');
});

it('reopens a step by a new entry and keeps the last reading', function () {
    $progress = Progress::of(Some::plan()->steps, [
        entry('weld.AJ2', values: ['amps' => 55.0]),
        entry('weld.AJ2', EntryKind::Correct, ['amps' => 52.0]),
        entry('weld.AJ2', EntryKind::Reopen, note: 'pinhole'),
    ]);
    expect($progress->isDone('weld.AJ2'))->toBeFalse()
        ->and($progress->reading('weld.AJ2', 'amps'))->toBe(52.0);
});

it('keeps the newest three notes of a step, the oldest of them first', function () {
    $log = array_map(
        static fn (string $note): LogEntry => entry('trial.A', EntryKind::Note, note: $note),
        ['touches the rail', 'clears it', '', 'clears at full lock', 'shield bent'],
    );
    $notes = Progress::of(Some::plan()->steps, $log)->notes;
    expect(array_map(static fn (LogEntry $one): string => $one->note, $notes['trial.A']))
        ->toBe(['clears it', 'clears at full lock', 'shield bent']);
});

it('keeps a step done when a reading of it is corrected', function () {
    $progress = Progress::of(Some::plan()->steps, [
        entry('weld.AJ2', values: ['amps' => 55.0]),
        entry('weld.AJ2', EntryKind::Correct, ['amps' => 52.0]),
    ]);
    expect($progress->isDone('weld.AJ2'))->toBeTrue()
        ->and($progress->jointsDone())->toBe(1)
        ->and($progress->reading('weld.AJ2', 'amps'))->toBe(52.0);
});

it('purges before it welds and welds before it cools, at every joint', function () {
    $order = array_flip(array_map(static fn ($step): string => $step->id, Some::plan()->steps));
    foreach (['AJ1', 'AJ2', 'AJ3', 'AJ4', 'AJ5'] as $joint) {
        expect($order["purge.$joint"])->toBeLessThan($order["weld.$joint"])
            ->and($order["weld.$joint"])->toBeLessThan($order["cool.$joint"]);
    }
    expect($order['trial.A'])->toBeLessThan($order['full.A'])->and($order['full.A'])->toBeLessThan($order['weld.AJ2']);
});

it('has a caution at every kind of step', function () {
    foreach (StepKind::cases() as $kind) {
        expect($kind->caution())->not->toBe('');
    }
    expect(StepKind::Purge->caution())->toContain('Argon suffocates');
});

it('lists what went otherwise than planned', function (string $step, array $values, ?string $what) {
    $plan = Some::plan();
    $record = JobRecord::of(
        Progress::of($plan->steps, [entry($step, values: $values)]),
        ShopRules::shipped(),
        UnitSystem::Inch,
    );
    expect($record->deviations[0]->what ?? null)->toBe($what);
})->with([
    'amps within 15 %' => ['weld.AJ2', ['amps' => 57.0], null],
    'amps beyond' => ['weld.AJ2', ['amps' => 70.0], 'Amps used: 70 A, planned 50 A.'],
    'clean purge' => ['purge.AJ2', ['oxygen' => 120.0], null],
    'too much oxygen' => ['purge.AJ2', ['oxygen' => 400.0], 'Oxygen at the vent: 400 ppm, at most 200 ppm.'],
    'far too much' => [
        'purge.AJ2',
        ['oxygen' => 5000.0],
        'Oxygen at the vent: 5000 ppm, at most 200 ppm.',
    ],
    'gone on hot' => ['cool.AJ2', ['temperature' => 80.0], 'Temperature going on: 176 °F, at most 113 °F.'],
    'a gap no wire fills' => ['tack.AJ2', ['gap' => 1.5], 'Widest gap: .059 in, at most .033 in.'],
    'far end open' => ['trial.A', ['gap' => 6.35], 'Far-end gap: 1/4 in, at most 0.079 in.'],
    'a piece cut too long' => [
        'prepare.A1',
        ['length' => 900.0],
        'Length as cut: 35.433 in, planned 9 29/32 in: 25 17/32 in too long.',
    ],
    'a piece cut as planned' => ['prepare.A1', ['length' => 251.9], null],
    'torch argon is only noted' => ['weld.AJ2', ['flow' => 99.0], null],
    'time at the joint is only noted' => ['weld.AJ2', ['seconds' => 9000.0], null],
]);

it('tells what was gone on with before its turn, with the reason', function () {
    $steps = Some::plan()->steps;
    $log = static fn (string $step, string $time, string $why): LogEntry => new LogEntry(
        $step, $step, EntryKind::Done, $step === 'purge.AJ2' ? ['oxygen' => 100.0] : [], '', 'Pia', new DateTimeImmutable($time), $why,
    );
    $record = JobRecord::of(
        Progress::of($steps, [
            $log('purge.AJ2', '2026-03-02 09:00', ''),
            $log('weld.AJ2', '2026-03-02 09:10', 'tacked yesterday, not logged'),
            $log('full.A', '2026-03-02 09:20', ''),
        ]),
        ShopRules::shipped(),
        UnitSystem::Inch,
    );
    expect(array_map(static fn ($one): string => "{$one->step->id} $one->what", $record->deviations))->toBe([
        'weld.AJ2 Not done before it: Tack run A all round.',
        'weld.AJ2 Went on anyway: tacked yesterday, not logged',
    ]);
});

it('tells what was left out from what somebody only went past', function (array $readings, string $said) {
    $closed = new LogEntry(
        'one', 'purge.AJ2', EntryKind::Done, $readings, '', 'Pia', new DateTimeImmutable('2026-03-02 09:00'), 'no meter at hand',
    );
    $record = JobRecord::of(Progress::of(Some::plan()->steps, [$closed]), ShopRules::shipped(), UnitSystem::Inch);
    expect(array_column($record->deviations, 'what'))->toContain($said);
})->with([
    'nothing read' => [[], 'Skipped: no meter at hand'],
    'too much of it' => [['oxygen' => 320.0], 'Went on anyway: no meter at hand'],
]);

it('sets the time at the joints beside what was planned, where it was logged', function () {
    $record = JobRecord::of(
        Progress::of(Some::plan()->steps, [
            entry('weld.AJ2', values: ['seconds' => 400.0]),
            entry('weld.AJ3', values: ['seconds' => 200.0]),
            entry('weld.AJ1', values: ['amps' => 60.0]),
        ]),
        ShopRules::shipped(),
        UnitSystem::Inch,
    );
    $sheets = Some::plan()->weld->sheets;
    expect([$record->timed, $record->loggedS])->toBe([2, 600.0])
        ->and($record->plannedS)->toBeClose($sheets['AJ2']->times->weldS + $sheets['AJ3']->times->weldS);
});

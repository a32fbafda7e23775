<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Solve\Run\Bend;
use UpsweptBead\Core\Solve\Run\TubeRun;
use UpsweptBead\Core\Stage\Bench\BenchStep;
use UpsweptBead\Core\Stage\Bench\EntryKind;
use UpsweptBead\Core\Stage\Bench\LogEntry;
use UpsweptBead\Core\Stage\Cut\Rescue;
use UpsweptBead\Core\Stage\Cut\RescueKind;
use UpsweptBead\Core\Stage\Made\Difference;
use UpsweptBead\Core\Stage\Made\DifferenceKind;
use UpsweptBead\Core\Stage\Made\JointStanding;
use UpsweptBead\Core\Stage\Made\MadeWork;
use UpsweptBead\Core\Stage\Made\Outline;
use UpsweptBead\Core\Stage\Made\PieceStanding;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Stage\Step\StepKind;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeRoutedSets;

/** @param  callable(list<Bend>, float): array{list<Bend>, float}|null  $change  of the bends and the end straight of run A */
function outlineOf(?callable $change = null): Outline
{
    static $known = [];
    $job = SomeRoutedSets::eight();
    if ($change !== null) {
        $job = turnedRun($job, $change);
    }
    $make = static function () use ($job): Outline {
        $sketch = Planner::sketch($job, Some::shop());

        return Outline::of($sketch->layout, $sketch->cut, $sketch->joints, Some::shop()->rules);
    };

    return $change === null ? $known[''] ??= $make() : $make();
}

/** @param  callable(list<Bend>, float): array{list<Bend>, float}  $change */
function turnedRun(Job $job, callable $change): Job
{
    $spec = $job->run('A') ?? throw new LogicException('no run A');
    $route = $spec->route ?? throw new LogicException('no route');
    $run = $route->from($spec->start->frame());
    [$bends, $endMm] = $change($run->bends, $run->endStraightMm);

    return $job->routed('A', $route->changedTo(new TubeRun($run->start, $bends, $endMm)));
}

function longerEnd(float $mm): Closure
{
    return static fn (array $bends, float $endMm): array => [$bends, $endMm + $mm];
}

/** @param  array<string, float>  $values */
function madeAt(StepKind $kind, string $subject, array $values = [], int $revision = 1, EntryKind $as = EntryKind::Done): LogEntry
{
    return new LogEntry(
        uniqid(), $kind->key($subject), $as, $values, '', 'Wren', new DateTimeImmutable('2026-03-02 09:00'), subject: $subject, revision: $revision,
    );
}

/** @param  list<LogEntry>  $log */
function heldAgainst(Outline $now, array $log, int $revision = 2): MadeWork
{
    return MadeWork::of($now, $revision, [1 => outlineOf()], $log);
}

/** @return list<string> */
function marksOff(MadeWork $work): array
{
    return array_map(static fn (PieceStanding $one): string => $one->mark, $work->pieces);
}

/** @return list<string> */
function jointsOpened(MadeWork $work): array
{
    return array_map(static fn (JointStanding $one): string => $one->id, $work->joints);
}

/** @return list<DifferenceKind> */
function differencesOf(PieceStanding|JointStanding|null $one): array
{
    return array_map(static fn (Difference $each): DifferenceKind => $each->kind, $one->differences ?? []);
}

/** @return list<RescueKind> */
function waysOf(?PieceStanding $one): array
{
    return array_map(static fn (Rescue $each): RescueKind => $each->kind, [...$one->work ?? [], ...$one->rescues ?? []]);
}

$cut = static fn (string ...$marks): array => array_map(static fn (string $mark): LogEntry => madeAt(StepKind::Prepare, $mark), $marks);

it('leaves everything done where a revision changes nothing of it', function () use ($cut) {
    $log = [...$cut('A1', 'A2', 'A3'), madeAt(StepKind::Tack, 'AJ3')];
    $work = heldAgainst(outlineOf(), $log);
    expect($work->isNone())->toBeTrue()
        ->and($work->counting($log))->toBe($log)
        // A change of another piece leaves these done too.
        ->and(heldAgainst(outlineOf(longerEnd(20.0)), $cut('A1', 'B1'))->isNone())->toBeTrue();
});

it('leaves a piece as it is where only the extra length for the trial fit is less', function () use ($cut) {
    expect(outlineOf()->pieces['A3']->allowances->trim->value)->toBeGreaterThan(9.0)
        ->and(heldAgainst(outlineOf(longerEnd(9.0)), [...$cut('A3'), madeAt(StepKind::Tack, 'AJ4')])->isNone())->toBeTrue();
});

it('says of a straight that is now too short that it is lost there, and what else can be made of it', function () use ($cut) {
    $work = heldAgainst(outlineOf(longerEnd(60.0)), $cut('A3'));
    $a3 = $work->pieces[0];
    expect(marksOff($work))->toBe(['A3'])
        ->and(differencesOf($a3))->toBe([DifferenceKind::Length])
        ->and($a3->differences[0]->now - $a3->differences[0]->then)->toBeClose(60.0, 0, 1e-6)
        ->and($a3->isLost)->toBeTrue()
        ->and(waysOf($a3))->toContain(RescueKind::NewStock, RescueKind::Becomes);
    foreach ($a3->rescues as $way) {
        if ($way->kind === RescueKind::Becomes) {
            $other = outlineOf()->pieces[$way->with];
            expect($other->isBend())->toBeFalse()
                ->and($other->cutLengthMm() + $way->amount)->toBeClose($a3->made->lengthMm(), 0, 1e-6);
        }
    }
});

it('has a piece that is now too long sawn off', function () use ($cut) {
    $a3 = heldAgainst(outlineOf(longerEnd(-30.0)), $cut('A3'))->pieces[0];
    expect(waysOf($a3))->toBe([RescueKind::SawOff])
        ->and($a3->work[0]->amount)->toBeClose(30.0, 0, 1e-6)
        ->and($a3->isLost)->toBeFalse();
});

it('goes by the length a piece was measured to have, not by what was planned', function () {
    $now = outlineOf(longerEnd(60.0));
    $plannedMm = outlineOf()->pieces['A3']->cutLengthMm();
    $short = heldAgainst($now, [madeAt(StepKind::Prepare, 'A3', ['length' => $plannedMm - 4.0])])->pieces[0];
    expect($short->differences[0]->then)->toBeClose($plannedMm - 4.0, 0, 1e-6)
        // Cut long by chance, it is just what is wanted now.
        ->and(heldAgainst($now, [madeAt(StepKind::Prepare, 'A3', ['length' => $plannedMm + 60.0])])->isNone())->toBeTrue();
});

it('takes no stock bend for a larger one, and cuts a smaller one out of it', function () use ($cut) {
    $bent = static fn (float $deg): Closure => static fn (array $bends, float $endMm): array => [
        [$bends[0], new Bend($bends[1]->straightMm, $bends[1]->rotationDeg, $bends[1]->angleDeg + $deg, $bends[1]->clrMm)], $endMm,
    ];
    $larger = heldAgainst(outlineOf($bent(5.0)), $cut('A2'))->pieces[0];
    $smaller = heldAgainst(outlineOf($bent(-5.0)), $cut('A2'))->pieces[0];
    expect($larger->isLost)->toBeTrue()
        ->and(differencesOf($larger))->toContain(DifferenceKind::Bend)
        ->and($smaller->isLost)->toBeFalse()
        ->and(waysOf($smaller))->toContain(RescueKind::CutBack)
        ->and(array_column($smaller->work, 'amount', 'with')['A2'])->toBeClose(5.0, 0, 1e-6);
});

it('opens a joint whose pieces still fit but are turned otherwise', function () use ($cut) {
    $turned = static fn (array $bends, float $endMm): array => [[$bends[0], $bends[1]->with(rotationDeg: $bends[1]->rotationDeg + 12.0)], $endMm];
    $log = [...$cut('A1', 'A2'), madeAt(StepKind::Tack, 'AJ3'), madeAt(StepKind::Tack, 'BJ3')];
    $work = heldAgainst(outlineOf($turned), $log);
    expect($work->pieces)->toBe([])
        ->and(jointsOpened($work))->toBe(['AJ3'])
        ->and(differencesOf($work->joints[0]))->toBe([DifferenceKind::Turn])
        ->and($work->joints[0]->isWelded)->toBeFalse()
        // Less than an angle finder reads is no change.
        ->and(heldAgainst(outlineOf(static fn (array $bends, float $endMm): array => [
            [$bends[0], $bends[1]->with(rotationDeg: $bends[1]->rotationDeg + 0.2)], $endMm,
        ]), $log)->isNone())->toBeTrue();
});

it('opens every joint of a piece that no longer fits, and tries its run again', function () use ($cut) {
    $log = [
        ...$cut('A1', 'A2', 'A3', 'B1'), madeAt(StepKind::Tack, 'AJ3'), madeAt(StepKind::Tack, 'AJ4'), madeAt(StepKind::Weld, 'AJ4'),
        madeAt(StepKind::Trial, 'A'), madeAt(StepKind::Trial, 'B'),
    ];
    $work = heldAgainst(outlineOf(longerEnd(60.0)), $log);
    $left = array_map(static fn (LogEntry $one): string => $one->stepId, $work->counting($log));
    expect(jointsOpened($work))->toBe(['AJ4'])
        ->and($work->joints[0]->isWelded)->toBeTrue()
        ->and($work->joints[0]->pieces)->toBe(['A3'])
        ->and($left)->toBe(['prepare.A1', 'prepare.A2', 'prepare.B1', 'tack.AJ3', 'trial.B'])
        ->and($work->keys)->toBe(['prepare.A3' => 1, 'tack.AJ4' => 1, 'weld.AJ4' => 1, 'trial.A' => 1]);
});

it('counts what is made again by the new revision', function () use ($cut) {
    $log = [...$cut('A3'), madeAt(StepKind::Tack, 'AJ4'), madeAt(StepKind::Prepare, 'A3', revision: 2)];
    $work = heldAgainst(outlineOf(longerEnd(60.0)), $log);
    expect($work->pieces)->toBe([])
        // The joint was tacked to the old piece.
        ->and(jointsOpened($work))->toBe(['AJ4'])
        ->and(heldAgainst(outlineOf(longerEnd(60.0)), [...$log, madeAt(StepKind::Tack, 'AJ4', revision: 2)])->isNone())->toBeTrue()
        // What was opened again is not made.
        ->and(heldAgainst(outlineOf(longerEnd(60.0)), [...$cut('A3'), madeAt(StepKind::Prepare, 'A3', as: EntryKind::Reopen)])->isNone())->toBeTrue();
});

it('leaves a piece alone that comes back to what it was made as', function () use ($cut) {
    $plans = [1 => outlineOf(), 2 => outlineOf(longerEnd(60.0))];
    expect(MadeWork::of(outlineOf(), 3, $plans, $cut('A3'))->isNone())->toBeTrue();
});

it('says at the step what lies on the bench, and how to go on', function () use ($cut) {
    $steps = [
        new BenchStep(StepKind::Prepare, 'A3', 'Cut and prepare A3', ['Saw it.'], null, []),
        new BenchStep(StepKind::Tack, 'AJ4', 'Tack AJ4', ['Fit it.'], null, []),
        new BenchStep(StepKind::Prepare, 'B1', 'Cut and prepare B1', ['Saw it.'], null, []),
    ];
    $told = heldAgainst(outlineOf(longerEnd(-30.0)), [...$cut('A3', 'B1'), madeAt(StepKind::Weld, 'AJ4')])->telling($steps, UnitSystem::Metric);
    expect($told[0]->do)->toHaveCount(3)
        ->and($told[0]->do[0])->toStartWith('A3 is cut already, for an earlier revision: length 580 mm, now 550 mm')
        ->and($told[0]->do[1])->toBe('Saw 30 mm off its long end.')
        ->and($told[1]->do[0])->toBe('AJ4 is welded already, for an earlier revision: A3 must come off.')
        ->and($told[1]->do[1])->toBe('Cut the weld out and dress both ends before it is fitted again.')
        ->and($told[2]->do)->toBe(['Saw it.']);
});

it('calls a piece that no plan has any more what it is', function () use ($cut) {
    $straight = static fn (array $bends, float $endMm): array => [[$bends[0]], $endMm + 200.0];
    $work = heldAgainst(outlineOf($straight), [...$cut('A3'), madeAt(StepKind::Weld, 'AJ4')]);
    $gone = array_column($work->pieces, null, 'mark')['A3'] ?? null;
    expect($gone?->now)->toBeNull()
        ->and(differencesOf($gone))->toBe([DifferenceKind::Gone])
        ->and(in_array(RescueKind::NewStock, waysOf($gone), true))->toBeFalse();
});

it('takes nothing of what is left long at one end of a bend for what its other end lacks', function () use ($cut) {
    $longer = static fn (float $mm): Closure => static fn (array $bends, float $endMm): array => [
        [$bends[0]->with(straightMm: $bends[0]->straightMm + $mm), $bends[1]], $endMm,
    ];
    $a1 = outlineOf()->pieces['A1'];
    // All that A1 is left long by for the trial fit lies at its start: so much may it lack there.
    expect($a1->allowances->startMm)->toBe($a1->allowances->trim->value)->toBeGreaterThan(9.0)
        ->and(heldAgainst(outlineOf($longer(9.0)), $cut('A1'))->isNone())->toBeTrue()
        ->and(marksOff(heldAgainst(outlineOf($longer(20.0)), $cut('A1'))))->toBe(['A1']);
});

<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Units\OClock;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Stage\Bench\BenchStep;
use UpsweptBead\Core\Stage\Bench\FitSteps;
use UpsweptBead\Core\Stage\Step\StepKind;
use UpsweptBead\Core\Tests\Support\Some;

covers(FitSteps::class);

/** @return array<string, BenchStep> of the downpipe, by id */
function stepsOfDownpipe(): array
{
    return array_column(Some::plan()->steps, null, 'id');
}

it('says each piece’s cut length as it is read off the tape, and asks for that', function () {
    $tape = Some::plan()->cut->onTape(Some::plan()->job->units);
    foreach (Some::plan()->cut->piecesOf('A') as $piece) {
        $step = stepsOfDownpipe()["prepare.$piece->mark"];
        $text = Quantity::Length->read($tape->mm[$piece->mark], Some::plan()->job->units);
        expect($step->do[0])->toBe("Cut $piece->mark from $piece->stockId: $text along the centreline.")
            ->and($step->measures[0]->planned)->toBe($tape->mm[$piece->mark]);
    }
});

it('says where every mark of a piece lies, and how both ends are dressed', function () {
    foreach (Some::plan()->cut->piecesOf('A') as $piece) {
        $said = implode("\n", stepsOfDownpipe()["prepare.$piece->mark"]->do);
        foreach ($piece->marks as $mark) {
            expect($said)->toContain($mark->label);
        }
        expect($said)->toContain(lcfirst($piece->startPrep->label()))
            ->toContain(lcfirst($piece->endPrep->label()))
            ->toContain('Deburr inside and out');
    }
});

it('tacks for the trial fit on one side only, by the clock', function () {
    $seen = 0;
    foreach (Some::plan()->joints->ofRun('A') as $joint) {
        $step = stepsOfDownpipe()["tack.$joint->id"] ?? null;
        $tacks = Some::plan()->weld->sheets[$joint->id]->tacks->trialDeg;
        if ($step !== null && $joint->type->isButt()) {
            expect(implode("\n", $step->do))->toContain('at '.OClock::list($tacks))
                ->and($tacks)->toHaveCount(2);
            $seen++;
        }
    }
    expect($seen)->toBeGreaterThan(0);
});

it('turns each bend from the throat before it, and only where there is something to turn', function () {
    $seen = 0;
    foreach (Some::plan()->cut->piecesOf('A') as $piece) {
        $tack = array_values(array_filter(
            Some::plan()->fit->build->tasks,
            static fn ($task): bool => $task->kind === StepKind::Tack && $task->brings === $piece->mark,
        ))[0] ?? null;
        if ($tack === null || $piece->clocking === null) {
            continue;
        }
        $said = implode("\n", stepsOfDownpipe()[$tack->id]->do);
        $seen++;
        $isTurned = abs($piece->clocking->turnDeg) >= 0.5;
        expect(str_contains($said, "Turn $piece->mark by "))->toBe($isTurned)
            ->and(str_contains($said, "Do not turn $piece->mark"))->toBe(! $isTurned);
        if ($isTurned) {
            expect($said)->toContain($piece->clocking->turnDeg < 0 ? 'anticlockwise' : ' clockwise');
        }
    }
    expect($seen)->toBeGreaterThan(0);
});

it('asks at a trial fit for the gap and the angle at the far end, and no one goes on past 2 of either in silence', function () {
    [$gap, $angle] = stepsOfDownpipe()['trial.A']->measures;
    expect([$gap->name, $gap->quantity, $gap->most, $gap->isAsked])->toBe(['gap', Quantity::Length, 2.0, true])
        ->and([$angle->name, $angle->quantity, $angle->most, $angle->isAsked])->toBe(['angle', Quantity::Angle, 2.0, true])
        ->and(stepsOfDownpipe()['trial.A']->points)->not->toBe([]);
});

it('asks for the gap and the mismatch of what is welded, at the joint itself', function () {
    $seen = 0;
    foreach (Some::plan()->joints->welds() as $joint) {
        $step = stepsOfDownpipe()["tack.$joint->id"] ?? null;
        if ($step !== null && $joint->type->isButt()) {
            expect(array_column($step->measures, 'name'))->toContain('gap')->toContain('mismatch');
            $seen++;
        }
    }
    expect($seen)->toBeGreaterThan(0);
});

it('leak-tests with no more than 10 psi, when every joint was looked at', function () {
    $test = stepsOfDownpipe()['leak-test.A'];
    expect($test->kind)->toBe(StepKind::LeakTest)
        ->and($test->measures[0]->most)->toBeClose(10 * 6.894757, 1e-3);
    foreach (Some::plan()->joints->welds() as $joint) {
        expect($test->after)->toContain("inspect.$joint->id");
    }
});

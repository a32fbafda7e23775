<?php

declare(strict_types=1);

use UpsweptBead\Core\Account\Ledger\LoggedMinutes;
use UpsweptBead\Core\Stage\Bench\EntryKind;
use UpsweptBead\Core\Stage\Bench\Inspection\Cause;
use UpsweptBead\Core\Stage\Bench\Inspection\InspectedJoint;
use UpsweptBead\Core\Stage\Bench\Inspection\Outcome;
use UpsweptBead\Core\Stage\Bench\Inspection\Oxide;
use UpsweptBead\Core\Stage\Bench\LogEntry;
use UpsweptBead\Core\Stage\Bench\Progress;
use UpsweptBead\Core\Tests\Support\Some;

/** @return array{by: string, step: string, at: DateTimeImmutable} */
function loggedAt(string $at, string $step, string $by = 'Wren'): array
{
    return ['by' => $by, 'step' => $step, 'at' => new DateTimeImmutable("2026-03-02 $at")];
}

it('counts from one entry of a person to the next, and puts it to what was done', function () {
    $minutes = LoggedMinutes::minutes([
        loggedAt('08:00', 'prepare.A1'),
        loggedAt('08:20', 'tack.AJ1'),
        loggedAt('08:50', 'trial.A'),
        loggedAt('09:00', 'purge.AJ2'),
        loggedAt('09:10', 'weld.AJ2'),
    ], Progress::of(Some::plan()->steps, []));
    expect($minutes)->toBe(['prepare' => 5.0, 'fit' => 20.0, 'trial' => 30.0, 'weld' => 20.0]);
});

it('counts two people each for themselves', function () {
    $minutes = LoggedMinutes::minutes([
        loggedAt('08:00', 'prepare.A1'),
        loggedAt('08:05', 'prepare.A2', 'Pia'),
        loggedAt('08:20', 'prepare.A3'),
        loggedAt('08:25', 'tack.AJ2', 'Pia'),
    ], Progress::of(Some::plan()->steps, []));
    expect($minutes)->toBe(['prepare' => 5.0 + 5.0 + 20.0, 'fit' => 20.0]);
});

it('takes no night for work', function () {
    $minutes = LoggedMinutes::minutes([loggedAt('08:00', 'prepare.A1'), loggedAt('17:00', 'prepare.A2')], Progress::of(Some::plan()->steps, []));
    expect($minutes)->toBe(['prepare' => 10.0]);
});

it('counts apart what was done again', function () {
    $found = new InspectedJoint(Oxide::Straw, Oxide::Straw, [], Cause::Purge, Outcome::Add);
    $log = [new LogEntry('x', 'inspect.AJ2', EntryKind::Done, [], '', 'Wren', new DateTimeImmutable('2026-03-02'), '', [], $found)];
    $minutes = LoggedMinutes::minutes([
        loggedAt('08:00', 'inspect.AJ2'),
        loggedAt('08:09', 'purge.AJ2.2'),
        loggedAt('08:19', 'weld.AJ2.2'),
    ], Progress::of(Some::plan()->steps, $log));
    expect($minutes)->toBe(['inspect' => 5.0, 'again' => 19.0]);
});

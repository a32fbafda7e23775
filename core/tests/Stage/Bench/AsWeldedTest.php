<?php

declare(strict_types=1);

use UpsweptBead\Core\Stage\Bench\AsWelded;
use UpsweptBead\Core\Stage\Bench\EntryKind;
use UpsweptBead\Core\Stage\Bench\Inspection\Cause;
use UpsweptBead\Core\Stage\Bench\Inspection\InspectedJoint;
use UpsweptBead\Core\Stage\Bench\Inspection\Outcome;
use UpsweptBead\Core\Stage\Bench\Inspection\Oxide;
use UpsweptBead\Core\Stage\Bench\LogEntry;
use UpsweptBead\Core\Stage\Bench\Progress;
use UpsweptBead\Core\Tests\Support\Some;

/** @param  array<string, float>  $values */
function doneAt(string $step, array $values = [], ?Outcome $outcome = null): LogEntry
{
    $found = $outcome === null ? null : new InspectedJoint(
        Oxide::Straw, Oxide::Straw, [], $outcome === Outcome::Accept ? null : Cause::Purge, $outcome,
    );

    return new LogEntry($step, $step, EntryKind::Done, $values, '', 'Wren', new DateTimeImmutable('2026-03-02'), '', [], $found);
}

function asWelded(LogEntry ...$log): ?AsWelded
{
    return AsWelded::all(Progress::of(Some::plan()->steps, array_values($log)))['AJ2'] ?? null;
}

it('says nothing of a joint that nothing is known of', function () {
    expect(asWelded())->toBeNull()->and(asWelded(doneAt('prepare.A1', ['length' => 200.0])))->toBeNull();
});

it('gives what was read at the joint and what was found there', function () {
    $one = asWelded(
        doneAt('purge.AJ2', ['oxygen' => 120.0]),
        doneAt('weld.AJ2', ['amps' => 52.0, 'seconds' => 300.0]),
        doneAt('cool.AJ2', ['temperature' => 41.0]),
        doneAt('inspect.AJ2', [], Outcome::Accept),
    );
    expect($one?->values)->toBe(['oxygen' => 120.0, 'amps' => 52.0, 'seconds' => 300.0, 'temperature' => 41.0])
        ->and($one?->rounds)->toBe(1)
        ->and($one?->inspected?->outcome)->toBe(Outcome::Accept);
});

it('gives what was read the last time where it was cut out and done again', function () {
    $first = [
        doneAt('purge.AJ2', ['oxygen' => 900.0]),
        doneAt('weld.AJ2', ['amps' => 70.0, 'seconds' => 300.0]),
        doneAt('inspect.AJ2', [], Outcome::Redo),
    ];
    $again = asWelded(...$first, ...[doneAt('purge.AJ2.2', ['oxygen' => 60.0]), doneAt('weld.AJ2.2', ['amps' => 50.0])]);
    expect($again?->values['oxygen'])->toBe(60.0)
        ->and($again?->values['amps'])->toBe(50.0)
        // Nobody read the time the second time: that of the first is none of it.
        ->and($again?->values)->not->toHaveKey('seconds')
        ->and($again?->rounds)->toBe(2)
        ->and($again?->inspected?->outcome)->toBe(Outcome::Redo);
});

<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Document\Fault;
use UpsweptBead\Core\Stage\Bench\EntryKind;
use UpsweptBead\Core\Stage\Bench\EntryReader;
use UpsweptBead\Core\Stage\Bench\LogEntry;
use UpsweptBead\Core\Tests\Support\Some;

/** @param  array<string, mixed>  $change */
function entryRead(array $change = []): LogEntry|Fault
{
    static $steps = null;
    $steps ??= Some::plan()->steps;

    return EntryReader::read(
        [
            'id' => '6F9619FF-8B86-4011-B42D-00C04FC964FF',
            'units' => 'inch',
            'step' => 'prepare.A1',
            'kind' => 'done',
            'readings' => ['length' => '9 29/32'],
            'note' => ' clean ',
            'at' => '2026-03-02T11:30:00.250+02:00',
            ...$change,
        ],
        $steps,
        'Pia',
        new DateTimeImmutable('2026-03-02T10:00:00Z'),
    );
}

it('reads what was found in the units it was written in, and the time as one of everywhere', function () {
    $entry = entryRead();
    expect($entry)->toBeInstanceOf(LogEntry::class);
    assert($entry instanceof LogEntry);
    expect($entry->id)->toBe('6f9619ff-8b86-4011-b42d-00c04fc964ff')
        ->and($entry->values['length'])->toBeClose(251.61875, 0, 1e-9)
        ->and($entry->kind)->toBe(EntryKind::Done)
        ->and($entry->note)->toBe(' clean ')
        ->and($entry->by)->toBe('Pia')
        ->and($entry->at->format('c'))->toBe('2026-03-02T09:30:00+00:00');
});

it('takes a bare number in the units of the bench, and one with its own unit as it is', function (array $change, float $mm) {
    $entry = entryRead($change);
    expect($entry instanceof LogEntry ? $entry->values : $entry->message)->toBe(['length' => $mm]);
})->with([
    [['units' => 'metric', 'readings' => ['length' => '252']], 252.0],
    [['units' => 'inch', 'readings' => ['length' => '252 mm']], 252.0],
    [['units' => 'metric', 'readings' => ['length' => '9.9 in']], 251.46],
]);

it('takes a reading left empty for none', function () {
    $entry = entryRead(['readings' => ['length' => '  ']]);
    expect($entry instanceof LogEntry ? $entry->values : null)->toBe([]);
});

it('takes times up to a year from now, whichever way the clock is wrong', function (string $at, bool $isTaken) {
    expect(entryRead(['at' => $at]) instanceof LogEntry)->toBe($isTaken);
})->with([
    ['2025-03-02T10:00:00Z', true],
    ['2025-03-02T09:59:59Z', false],
    ['2027-03-02T10:00:00Z', true],
    ['2027-03-02T10:00:01Z', false],
    ['2026-02-30T25:00:00Z', false],
    ['2026-03-02', false],
]);

it('names the first field that is wrong and what would be taken', function (array $change, string $field, string $says) {
    $fault = entryRead($change);
    expect($fault instanceof Fault ? $fault->path : '')->toBe($field)
        ->and($fault instanceof Fault ? $fault->message : '')->toContain($says);
})->with([
    [['readings' => ['length' => 'about a foot']], 'readings.length', '"about a foot" is not a length'],
    [['readings' => ['width' => '1']], 'readings.width', 'prepare.A1 has no reading called "width"'],
    [['readings' => array_fill_keys(range('a', 'm'), '1')], 'readings', 'at most 12'],
    [['step' => 'weld.ZZ9'], 'step', 'no step "weld.ZZ9"'],
    [['id' => 'x'], 'id', 'UUID'],
    [['note' => "a\x07b"], 'note', 'cannot be printed'],
]);

it('does not go on past a limit, a reading that was not taken or a point not confirmed without a reason', function (
    array $change,
    string $says,
) {
    $fault = entryRead(['readings' => [], ...$change]);
    expect($fault instanceof Fault ? [$fault->path, $fault->code] : [])->toBe(['why', 'gate'])
        ->and($fault instanceof Fault ? $fault->message : '')->toContain($says)->toContain('say why you go on');
    $gone = entryRead(['readings' => [], ...$change, 'why' => ' meter broken, ten volume changes instead ']);
    expect($gone instanceof LogEntry ? $gone->why : $gone->message)->toBe('meter broken, ten volume changes instead');
})->with([
    'a purge above its target' => [
        ['step' => 'purge.AJ2', 'readings' => ['oxygen' => '320']],
        'Oxygen at the vent: 320 ppm, at most 200 ppm.',
    ],
    'a purge nobody read' => [['step' => 'purge.AJ2'], 'Oxygen at the vent was not read.'],
    'a joint that is hot' => [['step' => 'cool.AJ2', 'readings' => ['temperature' => '150']], '150 °F, at most 113 °F.'],
    'a gap that no wire fills' => [['step' => 'tack.AJ2', 'readings' => ['gap' => '.060']], 'at most .033 in.'],
    'walls that stand off' => [['step' => 'tack.AJ2', 'readings' => ['mismatch' => '.030']], 'Mismatch: .030 in'],
    'a leak test that throws' => [['step' => 'leak-test.A', 'readings' => ['pressure' => '40 psi']], 'at most 10 psi.'],
    'a trial fit that was not looked over' => [
        ['step' => 'trial.A', 'readings' => ['gap' => '0', 'angle' => '0'], 'points' => [0]],
        'Not confirmed: ',
    ],
    'a corrected reading' => [['step' => 'purge.AJ2', 'kind' => 'correct', 'readings' => ['oxygen' => '900']], 'at most 200'],
]);

it('goes on in silence where all is read and within its limits', function (array $change) {
    expect(entryRead(['readings' => [], ...$change]))->toBeInstanceOf(LogEntry::class);
})->with([
    [['step' => 'purge.AJ2', 'readings' => ['oxygen' => '200']]],
    [['step' => 'cool.AJ2', 'readings' => ['temperature' => '45 °C']]],
    [['step' => 'tack.AJ2', 'readings' => ['gap' => '.010']]],
    'a gap need not be read where no light passes' => [['step' => 'tack.AJ2']],
    'a note says what it says' => [['step' => 'purge.AJ2', 'kind' => 'note']],
    'opened again' => [['step' => 'purge.AJ2', 'kind' => 'reopen']],
]);

it('takes the points that were confirmed, each once', function () {
    $points = range(0, count(array_column(Some::plan()->steps, null, 'id')['trial.A']->points) - 1);
    $entry = entryRead(['step' => 'trial.A', 'readings' => ['gap' => '0', 'angle' => '0'], 'points' => [...$points, 0]]);
    expect($entry instanceof LogEntry ? $entry->points : $entry->message)->toBe($points)
        ->and(count($points))->toBeGreaterThan(1);
    $wrong = entryRead(['step' => 'trial.A', 'readings' => [], 'points' => [99]]);
    expect($wrong instanceof Fault ? $wrong->path : '')->toBe('points[0]');
});

<?php

declare(strict_types=1);

use UpsweptBead\Core\Bench\EntryKind;
use UpsweptBead\Core\Bench\EntryReader;
use UpsweptBead\Core\Bench\LogEntry;
use UpsweptBead\Core\Document\Fault;
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
            'readings' => ['length' => '10 1/2'],
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
        ->and($entry->values)->toBe(['length' => 266.7])
        ->and($entry->kind)->toBe(EntryKind::Done)
        ->and($entry->note)->toBe(' clean ')
        ->and($entry->by)->toBe('Pia')
        ->and($entry->at->format('c'))->toBe('2026-03-02T09:30:00+00:00');
});

it('takes a bare number in the units of the bench, and one with its own unit as it is', function (array $change, float $mm) {
    $entry = entryRead($change);
    expect($entry instanceof LogEntry ? $entry->values : $entry->message)->toBe(['length' => $mm]);
})->with([
    [['units' => 'metric', 'readings' => ['length' => '254']], 254.0],
    [['units' => 'inch', 'readings' => ['length' => '254 mm']], 254.0],
    [['units' => 'metric', 'readings' => ['length' => '10 in']], 254.0],
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
    [['note' => "a\x07b"], 'note', 'control characters'],
]);

<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Document\Fault;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Stage\Bench\BenchStep;
use UpsweptBead\Core\Stage\Bench\EntryKind;
use UpsweptBead\Core\Stage\Bench\EntryReader;
use UpsweptBead\Core\Stage\Bench\Inspection\Cause;
use UpsweptBead\Core\Stage\Bench\Inspection\Flaw;
use UpsweptBead\Core\Stage\Bench\Inspection\InspectedJoint;
use UpsweptBead\Core\Stage\Bench\Inspection\Outcome;
use UpsweptBead\Core\Stage\Bench\Inspection\Oxide;
use UpsweptBead\Core\Stage\Bench\JobRecord;
use UpsweptBead\Core\Stage\Bench\LogEntry;
use UpsweptBead\Core\Stage\Bench\Progress;
use UpsweptBead\Core\Tests\Support\Some;

function inspectedAs(string $step, Outcome $outcome, string $why = ''): LogEntry
{
    $flaws = $outcome === Outcome::Redo ? [Flaw::Sugar] : [];
    $cause = $outcome === Outcome::Accept ? null : Cause::Purge;
    $found = new InspectedJoint(Oxide::Straw, Oxide::Straw, $flaws, $cause, $outcome);

    return new LogEntry($step, $step, EntryKind::Done, [], '', 'Pia', new DateTimeImmutable('2026-03-02'), $why, [], $found);
}

/** @return list<string> ids that the plan itself has not */
function added(LogEntry ...$log): array
{
    $ids = static fn (array $steps): array => array_map(static fn (BenchStep $one): string => $one->id, $steps);

    return array_values(array_diff($ids(Progress::of(Some::plan()->steps, $log)->steps), $ids(Some::plan()->steps)));
}

it('adds nothing where a joint is accepted', function () {
    expect(added(inspectedAs('inspect.AJ2', Outcome::Accept)))->toBe([]);
});

it('puts behind it what has to be done, with its purge, and another look', function (Outcome $outcome, array $ids) {
    expect(added(inspectedAs('inspect.AJ2', $outcome)))->toBe($ids);
})->with([
    [Outcome::Dress, ['dress.AJ2.2']],
    [Outcome::Add, ['purge.AJ2.2', 'weld.AJ2.2', 'cool.AJ2.2', 'inspect.AJ2.2']],
    [Outcome::Redo, ['cut-out.AJ2.2', 'purge.AJ2.2', 'weld.AJ2.2', 'cool.AJ2.2', 'inspect.AJ2.2']],
]);

it('goes another round where it is not right the second time either', function () {
    $ids = added(inspectedAs('inspect.AJ2', Outcome::Redo), inspectedAs('inspect.AJ2.2', Outcome::Add));
    expect(array_slice($ids, 5))->toBe(['purge.AJ2.3', 'weld.AJ2.3', 'cool.AJ2.3', 'inspect.AJ2.3']);
});

it('asks the same of it as the first time, one step after the other', function () {
    $steps = array_column(Progress::of(Some::plan()->steps, [inspectedAs('inspect.AJ2', Outcome::Redo)])->steps, null, 'id');
    expect($steps['purge.AJ2.2']->measures)->toEqual($steps['purge.AJ2']->measures)
        ->and($steps['weld.AJ2.2']->coolsS)->toBe($steps['weld.AJ2']->coolsS)
        ->and($steps['cut-out.AJ2.2']->after)->toBe(['inspect.AJ2'])
        ->and($steps['weld.AJ2.2']->after)->toBe(['purge.AJ2.2'])
        ->and($steps['weld.AJ2.2']->group)->toBe($steps['weld.AJ2']->group);
});

it('counts a joint once, however often it was welded', function () {
    $done = static fn (string $step): LogEntry => new LogEntry(
        $step, $step, EntryKind::Done, [], '', 'Pia', new DateTimeImmutable('2026-03-02'),
    );
    $progress = Progress::of(
        Some::plan()->steps,
        [$done('weld.AJ2'), inspectedAs('inspect.AJ2', Outcome::Redo), $done('weld.AJ2.2')],
    );
    expect($progress->jointsDone())->toBe(1)->and($progress->isDone('weld.AJ2.2'))->toBeTrue();
});

it('does less than was found asks for only with a reason, which stays in the record', function () {
    $read = static fn (array $change): LogEntry|Fault => EntryReader::read([
        'id' => '6f9619ff-8b86-4011-b42d-00c04fc964ff', 'units' => 'metric', 'step' => 'inspect.AJ2', 'kind' => 'done',
        'readings' => [], 'note' => '', 'at' => '2026-03-02T10:00:00Z',
        'inspected' => ['outside' => 'straw', 'inside' => 'blue', 'flaws' => ['undercut'], 'cause' => 'heat', 'outcome' => 'dress'],
        ...$change,
    ], Some::plan()->steps, 'Pia', new DateTimeImmutable('2026-03-02T10:00:00Z'));
    $fault = $read([]);
    expect($fault instanceof Fault ? [$fault->path, $fault->message] : [])->toBe([
        'why', 'What was found asks for more than "Dress it": Add a pass. Put that right, or say why you go on.',
    ]);
    $entry = $read(['why' => 'inside a muffler, never seen again']);
    assert($entry instanceof LogEntry);
    $record = JobRecord::of(Progress::of(Some::plan()->steps, [$entry]), ShopRules::shipped(), UnitSystem::Metric);
    expect(array_column($record->deviations, 'what'))->toBe([
        'Outside straw, inside blue, undercut: to be dressed; cause: too hot.',
        'Not done before it: Let AJ2 cool.',
        'Went on anyway: inside a muffler, never seen again',
    ]);
    $missing = $read(['inspected' => null]);
    $elsewhere = $read(['step' => 'weld.AJ2']);
    expect($missing instanceof Fault ? $missing->path : '')->toBe('inspected')
        ->and($elsewhere instanceof Fault ? $elsewhere->path : '')->toBe('inspected');
});

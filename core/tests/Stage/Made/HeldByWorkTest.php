<?php

declare(strict_types=1);

use UpsweptBead\Core\Solve\Run\TubeRun;
use UpsweptBead\Core\Stage\Bench\EntryKind;
use UpsweptBead\Core\Stage\Bench\LogEntry;
use UpsweptBead\Core\Stage\Bench\Progress;
use UpsweptBead\Core\Stage\Layout\ByHand;
use UpsweptBead\Core\Stage\Made\HeldByWork;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeRoutedSets;

/** @return list<int> */
function heldAfter(string ...$steps): array
{
    $sketch = Planner::sketch(SomeRoutedSets::eight(), Some::shop());
    $run = $sketch->layout->run('A') ?? throw new LogicException('no run A');
    $log = array_map(static fn (string $step): LogEntry => new LogEntry(
        $step, $step, EntryKind::Done, [], '', 'Wren', new DateTimeImmutable('2026-03-02'),
    ), $steps);

    return HeldByWork::values($run, $sketch->cut->piecesOf('A'), $sketch->joints->ofRun('A'), Progress::of([], array_values($log)));
}

// Run A is a leg, a bend, a leg, a bend and a straight: A1 and A2 are bends with their legs, A3 is the straight.
it('holds the angle and the legs of what is cut, and the turns of what is tacked', function () {
    expect(heldAfter())->toBe([])
        ->and(heldAfter('prepare.A1'))->toBe([0, 2])
        ->and(heldAfter('prepare.A1', 'prepare.A2', 'prepare.A3'))->toBe([0, 2, 3, 5, 6])
        ->and(heldAfter('prepare.A1', 'prepare.A2', 'tack.AJ3'))->toBe([0, 2, 3, 4, 5])
        // One of the two seams at the flange is not enough to hold the first turn.
        ->and(heldAfter('tack.AJ1'))->toBe([])
        ->and(heldAfter('weld.AJ1', 'weld.AJ2'))->toBe([1]);
});

it('closes with what is not made yet, and keeps stock bends as they are', function () {
    $job = SomeRoutedSets::eight();
    $spec = $job->run('H');
    $route = $spec?->route;
    assert($spec !== null && $route !== null);
    $run = $route->from($spec->start->frame());
    $bends = $run->bends;
    $bends[0] = $bends[0]->with(rotationDeg: $bends[0]->rotationDeg + 1.0);
    $open = $job->routed('H', $route->changedTo(new TubeRun($run->start, $bends, $run->endStraightMm)));
    $hand = ByHand::of($open, Some::shop(), 'H');
    $closed = $hand->close([0, 1]);
    expect($closed->rows[0]->straight->mm)->toBeClose($bends[0]->straightMm, 0, 1e-6)
        ->and($closed->rows[0]->rotationDeg)->toBeClose($bends[0]->rotationDeg, 0, 1e-6);
    foreach ($closed->rows as $i => $row) {
        expect($row->angleDeg)->toBeClose($bends[$i]->angleDeg, 0, 1e-6);
    }
    $settled = Planner::sketch($open->routed('H', $closed), Some::shop())->layout->run('H');
    expect($settled?->farEnd->isClosed())->toBeTrue();
});

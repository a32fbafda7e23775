<?php

declare(strict_types=1);

use UpsweptBead\Core\Account\Ledger\LostWork;
use UpsweptBead\Core\Account\Ledger\StepTime;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Solve\Run\TubeRun;
use UpsweptBead\Core\Stage\Bench\EntryKind;
use UpsweptBead\Core\Stage\Bench\LogEntry;
use UpsweptBead\Core\Stage\Made\MadeWork;
use UpsweptBead\Core\Stage\Made\Outline;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeRoutedSets;

it('counts the time of what is done again, and a lost piece by its share of its stock', function () {
    $outline = static function (Job $job): Outline {
        $sketch = Planner::sketch($job, Some::shop());

        return Outline::of($sketch->layout, $sketch->cut, $sketch->joints, Some::shop()->rules);
    };
    $job = SomeRoutedSets::eight();
    $spec = $job->run('A');
    $route = $spec?->route;
    assert($spec !== null && $route !== null);
    $run = $route->from($spec->start->frame());
    $longer = $job->routed('A', $route->changedTo(new TubeRun($run->start, $run->bends, $run->endStraightMm + 60.0)));
    $done = static fn (string $kind, string $of): LogEntry => new LogEntry(
        "$kind.$of", "$kind.$of", EntryKind::Done, [], '', 'Wren', new DateTimeImmutable('2026-03-02'), subject: $of, revision: 1,
    );
    $then = $outline($job);
    $work = MadeWork::of($outline($longer), 2, [1 => $then], [$done('prepare', 'A1'), $done('prepare', 'A3'), $done('tack', 'AJ4')]);
    $time = static fn (float $minutes): StepTime => new StepTime($minutes, null, 1.0, 0.0);
    $times = [1 => ['prepare.A1' => $time(7.0), 'prepare.A3' => $time(11.0), 'tack.AJ4' => $time(4.0)]];

    $lost = LostWork::of($work, [1 => $then], $times, ['T1.625x.065' => 100.0]);
    $stick = array_values(array_filter($then->opened, static fn ($one): bool => in_array('A3', array_column($one->pieces, 'mark'), true)))[0];
    $lengths = [];
    foreach ($stick->pieces as $piece) {
        $lengths[$piece->mark] = $piece->cutLengthMm();
    }
    expect($lost->minutes)->toBe(15.0)
        ->and($lost->stock)->toBeClose(100.0 * $lengths['A3'] / array_sum($lengths), 0, 1e-9)
        ->and(LostWork::of($work, [1 => $then], $times, [])->stock)->toBeNull()
        ->and(LostWork::of(MadeWork::none(), [], [], []))->minutes->toBe(0.0)->stock->toBe(0.0);
});

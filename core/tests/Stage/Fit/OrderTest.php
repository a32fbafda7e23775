<?php

declare(strict_types=1);

use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Solve\Reach\FillerRod;
use UpsweptBead\Core\Solve\Reach\Obstacle\Obstacle;
use UpsweptBead\Core\Solve\Reach\Reach;
use UpsweptBead\Core\Solve\Reach\RoundSeam;
use UpsweptBead\Core\Solve\Reach\Torch;
use UpsweptBead\Core\Solve\Route\Insertion\Insertion;
use UpsweptBead\Core\Stage\Fit\Access\JointAccess;
use UpsweptBead\Core\Stage\Fit\Access\SeamShapes;
use UpsweptBead\Core\Stage\Fit\Access\Solids;
use UpsweptBead\Core\Stage\Fit\FitPlan;
use UpsweptBead\Core\Stage\Fit\Order\BuildOrder;
use UpsweptBead\Core\Stage\Fit\Order\CollectorTasks;
use UpsweptBead\Core\Stage\Fit\Order\GoingIn;
use UpsweptBead\Core\Stage\Fit\Order\Phase;
use UpsweptBead\Core\Stage\Fit\Order\PolishTasks;
use UpsweptBead\Core\Stage\Fit\Order\RunTasks;
use UpsweptBead\Core\Stage\Fit\Order\Sequence;
use UpsweptBead\Core\Stage\Fit\Order\SideTasks;
use UpsweptBead\Core\Stage\Fit\Order\StubTasks;
use UpsweptBead\Core\Stage\Fit\Order\Task;
use UpsweptBead\Core\Stage\Fit\Order\WeldTasks;
use UpsweptBead\Core\Stage\Layout\RoutedRun;
use UpsweptBead\Core\Stage\Plan\Plan;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Stage\Step\StepKind;
use UpsweptBead\Core\Stage\Survey\Surroundings;
use UpsweptBead\Core\Tests\Support\Some;

covers(
    StubTasks::class,
    GoingIn::class,
    RunTasks::class,
    PolishTasks::class,
    SideTasks::class,
    WeldTasks::class,
    CollectorTasks::class,
    BuildOrder::class,
);

/** One downpipe with a sensor; with a second of it far away beside it, a small set. */
function smallJob(int $runs): Job
{
    $document = JobWriter::toArray(Some::routedJob());
    $document['runs'][0]['fittings'] = [['kind' => 'oxygen-sensor-bung', 'station' => '14 in', 'fromTop' => 20]];
    if ($runs > 1) {
        $second = $document['runs'][0];
        $second['letter'] = 'B';
        $second['name'] = 'The other';
        $second['fittings'] = [];
        // 80 in to the left of the first, whose ends lie at 0 and 13 1/4 in.
        $second['start']['at'][1] = '80 in';
        $second['end']['at'][1] = '93 1/4 in';
        $document['runs'][] = $second;
    }

    return JobReader::fromDecoded($document)->job ?? throw new LogicException('unreadable');
}

/**
 * Every order there is that keeps all reasons, as the turns of its tasks; the least of them by the first turn that
 * differs. Tried by brute force: every task that waits for nothing is taken next once.
 *
 * @param  array<string, Task>  $left
 * @param  array<string, list<string>>  $waits  for what each task waits
 * @param  list<string>  $done
 * @param  list<string>|null  $best
 * @param  callable(list<string>, list<string>): bool  $isLess
 * @return list<string>|null
 */
function leastOrder(array $left, array $waits, array $done, ?array $best, callable $isLess, int &$count): ?array
{
    if ($left === []) {
        $count++;

        return $best === null || $isLess($done, $best) ? $done : $best;
    }
    foreach ($left as $id => $task) {
        if (array_diff($waits[$id] ?? [], $done) === []) {
            $rest = $left;
            unset($rest[$id]);
            $best = leastOrder($rest, $waits, [...$done, $id], $best, $isLess, $count);
        }
    }

    return $best;
}

it('is the first of all orders that keep the reasons, by the turns of the tasks', function (int $runs, int $atLeast) {
    // Worked out in full, the two wait for nothing of each other.
    $build = Planner::planInFull(smallJob($runs), Some::shop())->fit->build;
    $tasks = $waits = [];
    // Of two runs only what is done until they stand together: all orders of everything are too many.
    foreach ($build->tasks as $task) {
        if ($runs === 1 || $task->phase === Phase::Trial) {
            $tasks[$task->id] = $task;
        }
    }
    foreach ($build->reasons as $then => $reasons) {
        foreach ($reasons as $reason) {
            $waits[$then][] = $reason->first;
        }
        $waits[$then] = array_values(array_intersect($waits[$then] ?? [], array_keys($tasks)));
    }
    $isLess = static function (array $some, array $other) use ($tasks): bool {
        foreach ($some as $i => $id) {
            $first = $tasks[$id]->rank <=> $tasks[$other[$i]]->rank;
            if ($first !== 0) {
                return $first < 0;
            }
        }

        return false;
    };
    $count = 0;
    // Started from the order that was found: any order that is less would take its place.
    $found = array_keys($tasks);
    $best = leastOrder(array_reverse($tasks), $waits, [], null, $isLess, $count);
    expect($best)->toBe($found)->and($count)->toBeGreaterThanOrEqual($atLeast);
})->with(['one run' => [1, 2], 'two runs' => [2, 250]]);

it('keeps every reason whatever two tasks somebody puts before each other', function () {
    $dice = Some::dice(5);
    $ids = array_column(Planner::plan(smallJob(2), Some::shop())->fit->build->tasks, 'id');
    for ($i = 0; $i < 60; $i++) {
        [$one, $other] = [$ids[$dice->getInt(0, count($ids) - 1)], $ids[$dice->getInt(0, count($ids) - 1)]];
        if ($one === $other) {
            continue;
        }
        $document = JobWriter::toArray(smallJob(2));
        $document['overrides'] = [['figure' => Sequence::MOVED.$one, 'value' => $other, 'why' => '']];
        $build = Planner::plan(JobReader::fromDecoded($document)->job ?? throw new LogicException('unreadable'), Some::shop())->fit->build;
        $at = array_flip(array_column($build->tasks, 'id'));
        expect($at[$one])->toBeLessThan($at[$other])->and(count($build->tasks))->toBe(count($ids));
        foreach ($build->reasons as $then => $reasons) {
            foreach ($reasons as $reason) {
                expect($at[$reason->first])->toBeLessThan($at[$then], "$reason->first before $then, with $one before $other");
            }
        }
        // What is broken is broken by what was moved, and by nothing else.
        foreach ($build->broken as $reason) {
            expect($at[$reason->then])->toBeLessThan($at[$reason->first]);
        }
    }
});

/**
 * The share of a seam that a torch gets to past what stands there: by the search for the open problem, which shares
 * neither stages nor poses with the one that the plan is made with. Every cup of the shop is tried, 2° apart.
 *
 * @param  list<string>  $there  letters
 */
function reachedPast(Plan $plan, string $joint, array $there): float
{
    $shop = Some::shop();
    $rules = $shop->rules;
    $shape = (new SeamShapes($plan->sketch->layout, $plan->joints))->of($plan->joints->find($joint) ?? throw new LogicException('no joint'));
    $seam = $shape->seam ?? throw new LogicException('no seam');
    assert($seam instanceof RoundSeam);
    $all = Solids::of($plan->sketch->layout)->all;
    /** @var list<Obstacle> $obstacles */
    $obstacles = array_merge(...array_map(static fn (string $one): array => $all[$one] ?? [], $there));
    $angles = static fn (float $from, float $to): array => array_map(deg2rad(...), range($from, $to, 10.0));
    $torch = new Torch(
        $rules->value('torch.head'), $rules->value('torch.length'), $rules->value('torch.gap'), [1, -1],
        $angles(-$rules->value('torch.lean'), $rules->value('torch.lean')), $angles(0.0, $rules->value('torch.back')),
    );
    $rod = new FillerRod(
        $rules->value('rod.fingers'), $rules->value('rod.hand'), 2 * $rules->value('rod.fingers'), $rules->value('torch.gap'),
        array_map(deg2rad(...), [15.0, 30.0, 50.0]), array_map(deg2rad(...), [0.0, -40.0, 40.0]),
    );
    $cups = [];
    foreach ($shop->catalogue->cups as $cup) {
        if ($cup->number <= 12) {
            foreach ([$cup->stickOutMm, $cup->longMm] as $stickOutMm) {
                $cups[] = new UpsweptBead\Core\Solve\Reach\Cup("$cup->number $stickOutMm", $cup->outsideMm / 2, $cup->lengthMm, $stickOutMm);
            }
        }
    }

    return max(array_map(
        static fn ($one): float => $one->share,
        (new Reach($torch, $rod, $obstacles))->round($seam, $cups),
    ));
}

/** The manifold of the demo, whose five runs stand close at the collector. */
function demoManifold(): Plan
{
    static $plan = null;

    return $plan ??= Planner::planInFull(
        JobReader::fromJson((string) file_get_contents(dirname(__DIR__, 4).'/database/demo/rally-coupe-manifold.job.json'))->job
            ?? throw new LogicException('unreadable'),
        Some::shop(),
    );
}

// Removed, each reason of reach is true: welded where the order has it a torch gets all round, after what it is welded
// before it does not.
it('welds before others stand there what is out of reach behind them, and nothing else', function () {
    $plan = demoManifold();
    $letters = array_keys(Solids::of($plan->sketch->layout)->all);
    $early = array_filter($plan->fit->build->tasks, static fn (Task $one): bool => $one->phase === Phase::Alone);
    expect(count($early))->toBeGreaterThan(8);
    foreach (array_slice(array_values($early), 0, 5) as $task) {
        $id = $task->joint->id ?? '';
        expect(reachedPast($plan, $id, [$task->run]))->toBeGreaterThan(JointAccess::ENOUGH, $id)
            ->and(reachedPast($plan, $id, array_map(strval(...), $letters)))->toBeLessThan(JointAccess::ENOUGH + 0.01, $id);
    }
    $bench = array_filter($plan->fit->build->tasks, static fn (Task $one): bool => $one->phase === Phase::Bench);
    foreach (array_slice(array_values($bench), 0, 3) as $task) {
        expect(reachedPast($plan, $task->joint->id ?? '', array_map(strval(...), $letters)))->toBeGreaterThan(JointAccess::ENOUGH - 0.01);
    }
});

it('welds the side of a slip that the next runs close in before they go in, and gets round more of it so', function () {
    $fit = demoManifold()->fit;
    $sides = $fit->build->ofKind(StepKind::Side);
    $at = array_flip(array_column($fit->build->tasks, 'id'));
    expect(count($sides))->toBeGreaterThan(2);
    foreach ($sides as $task) {
        $one = $fit->access->joints[$task->joint->id ?? ''] ?? throw new LogicException('unknown');
        $next = $fit->letters[(int) array_search($task->run, $fit->letters, true) + 1];
        expect($at["refit.$task->run"])->toBeLessThan($at[$task->id])
            ->and($at[$task->id])->toBeLessThan($at["refit.$next"])
            ->and($at["refit.$next"])->toBeLessThan($at['refit.set'])
            ->and($at['refit.set'])->toBeLessThan($at["weld.$one->joint"])
            ->and($one->shareInTwo())->toBeGreaterThan($one->together->share + 0.05)
            ->and($one->shareInTwo())->toBeLessThanOrEqual($one->inTurn->share + $one->together->share)
            // With the runs that went in before it, what is welded then is in reach; found by the other search as well.
            ->and(reachedPast(demoManifold(), $one->joint, inPlaceBefore($fit, $task->run)))->toBeClose($one->inTurn->share, 0, 0.03);
    }
});

/** @return list<string> what stands there when a run has just gone back: collectors, and the runs up to it */
function inPlaceBefore(FitPlan $fit, string $run): array
{
    $collectors = array_map(static fn ($one): string => $one->build->letter, $fit->collectors);
    $all = array_map(static fn (RoutedRun $one): string => $one->spec->letter, demoManifold()->sketch->layout->runs);

    return [
        ...$collectors,
        ...array_slice($fit->letters, 0, (int) array_search($run, $fit->letters, true) + 1),
        ...array_diff(array_keys(Solids::of(demoManifold()->sketch->layout)->all), $all, $collectors),
    ];
}

// Each reason of going in is true: with all others there the run is stuck, and it comes out once those in its way are
// gone.
it('lets a run wait only for one that would not get past it', function () {
    $plan = demoManifold();
    $tubes = [];
    foreach ($plan->sketch->layout->runs as $routed) {
        $tubes[$routed->spec->letter] = $routed->inOnePiece();
    }
    $solids = Surroundings::goingIn($plan->sketch->job, Some::shop());
    $found = 0;
    foreach ($plan->fit->build->reasons as $then => $reasons) {
        foreach ($reasons as $reason) {
            $letter = substr($reason->first, strlen('trial.'));
            if (! str_starts_with($reason->first, 'trial.') || ! isset($tubes[$letter]) || ! str_starts_with($then, 'tack.')) {
                continue;
            }
            $found++;
            $stuck = array_column(Insertion::of(array_values($tubes), $solids)->alone, null, 'tube')[$letter];
            $without = array_diff_key($tubes, array_flip($stuck->by));
            $freed = array_column(Insertion::of(array_values($without), $solids)->alone, null, 'tube')[$letter];
            expect($stuck->by)->not->toBe([], $letter)->and($freed->by)->toBe([], $letter);
        }
    }
    expect($found)->toBeGreaterThan(0);
});

it('asks nothing of the order where every run comes out past all others', function () {
    $plan = Planner::planInFull(smallJob(2), Some::shop());
    expect($plan->fit->insertion?->alone)->toHaveCount(2)
        ->and(array_merge(...array_column($plan->fit->insertion->alone ?? [], 'by')))->toBe([])
        ->and(array_filter($plan->fit->build->reasons['tack.BJ1'] ?? [], static fn ($one): bool => $one->first === 'trial.A'))->toBe([]);
});

<?php

declare(strict_types=1);

use UpsweptBead\Core\Exchange\Files\ScheduleAnswerWriter;
use UpsweptBead\Core\Solve\Timing\BenchWork;
use UpsweptBead\Core\Solve\Timing\Search\Annealing;
use UpsweptBead\Core\Solve\Timing\Search\ByTurns;
use UpsweptBead\Core\Solve\Timing\Search\Walk;
use UpsweptBead\Core\Solve\Timing\TimedTask;
use UpsweptBead\Core\Solve\Timing\Timetable;
use UpsweptBead\Core\Solve\Timing\TimetableAnswer;
use UpsweptBead\Core\Solve\Timing\TimetableSolver;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeSchedules;

covers(Walk::class, ByTurns::class, Annealing::class);

/** @param  float  $looks  thousands of looks at the clock, in place of seconds: the same work every time */
function timetable(BenchWork $work, float $looks, int $seed = 1): TimetableAnswer
{
    $looked = 0;

    return (new TimetableSolver($work, $seed, static function () use (&$looked): float {
        return $looked++ / 1000;
    }))->solve($looks);
}

/**
 * What a timetable breaks of the rules, written from the format's page alone.
 *
 * @return list<string>
 */
function brokenRules(BenchWork $work, Timetable $table): array
{
    $broken = $purged = [];
    $seen = [];
    foreach ($table->tasks as $k => $one) {
        $task = $one->task;
        $id = $task->id;
        $number = (int) array_search($task, $work->tasks, true);
        $before = $table->tasks[$k - 1] ?? null;
        $isChange = $before === null || $before->task->piece !== $task->piece;
        $earliest = ($before->endMin ?? 0.0) + ($isChange ? $work->pieces[$task->piece]->changeMin : 0.0);
        foreach ($seen as $from => $earlier) {
            $earliest = max($earliest, $earlier->endMin + ($work->waits[$number][$from] ?? 0.0));
        }
        if ($one->startMin < $earliest - 0.01) {
            $broken[] = "$id starts too early";
        }
        if (array_diff($task->after, array_keys($seen)) !== []) {
            $broken[] = "$id comes before its forerunner";
        }
        if ($one->arcMin < $one->startMin + $task->setupMin - 0.01 || abs($one->endMin - $one->arcMin - $task->arcMin) > 0.01) {
            $broken[] = "$id has no time for itself";
        }
        if ($task->dueMin !== null && $one->endMin > $task->dueMin + 0.01) {
            $broken[] = "$id is late";
        }
        if ($task->fillMin > 0.0) {
            $free = 0.0;
            foreach ($seen as $from => $earlier) {
                if ($earlier->task->piece === $task->piece || in_array($from, $task->after, true)) {
                    $free = max($free, $earlier->endMin);
                }
            }
            if ($one->fillFromMin === null || $one->fillFromMin < $free - 0.01 || $one->arcMin < $one->fillFromMin + $task->fillMin - 0.01) {
                $broken[] = "$id is filled too early";
            }
            // A line is taken from the moment the argon is on until the root may see air.
            $taken = array_filter($purged, static fn (float $until): bool => $until > ($one->fillFromMin ?? INF) + 0.01);
            if (count($taken) >= $work->lines) {
                $broken[] = "$id has no line";
            }
            $purged[] = $one->endMin + $task->holdMin;
        }
        $seen[$number] = $one;
    }

    return count($seen) === count($work->tasks) ? $broken : [...$broken, 'some are missing'];
}

/**
 * The best of all orders there are.
 *
 * @param  list<int>  $order
 */
function bestOfAll(BenchWork $work, array $order = []): ?Timetable
{
    if (count($order) === count($work->tasks)) {
        $table = Timetable::of($work, $order);

        return $table->isInTime() ? $table : null;
    }
    $best = null;
    foreach (array_diff(array_keys($work->tasks), $order) as $next) {
        if (array_diff($work->tasks[$next]->after, $order) === []) {
            $table = bestOfAll($work, [...$order, $next]);
            $best = $table !== null && $table->isBetterThan($best) ? $table : $best;
        }
    }

    return $best;
}

it('answers the shipped problems as well as they are answered there', function (string $name) {
    $problem = SomeSchedules::read(SomeSchedules::shipped($name));
    $wanted = SomeSchedules::shipped($name, 'answers/');
    $answer = timetable($problem->work, 50.0);
    $told = ScheduleAnswerWriter::toArray($problem, $answer);
    expect($answer->isBest)->toBeTrue()
        ->and($told['makespan_min'])->toBeClose($wanted['makespan_min'], 0, 0.005)
        ->and($told['piece_changes'])->toBe($wanted['piece_changes'])
        ->and($told['naive_makespan_min'])->toBeClose($wanted['naive_makespan_min'], 0, 0.005);
})->with(['s02-downpipe-five', 's06-ten-tight']);

it('finds what looking at every order finds', function (int $seed, bool $isDue) {
    $dice = Some::dice(300 + $seed);
    $work = SomeSchedules::read(SomeSchedules::random($dice, $dice->getInt(4, 7), $dice->getInt(1, 3), $isDue))->work;
    $best = bestOfAll($work);
    $answer = timetable($work, 20.0);
    expect($answer->timetable?->endMin)->toBeClose($best->endMin ?? INF, 0, 1e-6)
        ->and($answer->timetable?->changes)->toBe($best?->changes)
        ->and(brokenRules($work, $answer->timetable ?? throw new LogicException('none')))->toBe([]);
})->with(range(1, 8))->with(['without due times' => false, 'with due times' => true]);

it('keeps every rule with many tasks, and takes less than the listed order', function (int $seed, int $count, int $pieces) {
    $work = SomeSchedules::read(SomeSchedules::random(Some::dice(400 + $seed), $count, $pieces))->work;
    $table = timetable($work, 0.6)->timetable ?? throw new LogicException('none');
    expect(brokenRules($work, $table))->toBe([])
        ->and($table->endMin)->toBeLessThan(0.93 * Timetable::of($work, $work->listed())->endMin);
})->with([[1, 20, 2], [2, 40, 4], [3, 60, 5]]);

// Nothing goes faster than hands do, and no chain of waits faster than it waits.
it('is never shorter than the hands are at it', function (int $seed) {
    $work = SomeSchedules::read(SomeSchedules::random(Some::dice(500 + $seed), 9, 3))->work;
    $hands = array_sum(array_map(static fn ($task): float => $task->handsMin(), $work->tasks))
        + array_sum(array_map(static fn ($piece): float => $piece->changeMin, $work->pieces));
    expect(timetable($work, 5.0)->timetable->endMin ?? 0.0)->toBeGreaterThanOrEqual($hands - 1e-6);
})->with([1, 2, 3, 4]);

it('welds elsewhere while one seam cools', function () {
    $task = static fn (string $id, string $piece): array => ['id' => $id, 'piece' => $piece, 'setup_min' => 1, 'fill_min' => 0, 'arc_min' => 3, 'after' => []];
    $work = SomeSchedules::read([
        'format' => 'schedule-problem/1', 'name' => 'two', 'purge_lines' => 1, 'hold_min' => 0,
        'pieces' => [['id' => 'A', 'change_min' => 1], ['id' => 'B', 'change_min' => 1]],
        'tasks' => [$task('a1', 'A'), $task('a2', 'A'), $task('b1', 'B'), $task('b2', 'B')],
        'waits' => [['from' => 'a1', 'to' => 'a2', 'minutes' => 20], ['from' => 'a2', 'to' => 'a1', 'minutes' => 20], ['from' => 'b1', 'to' => 'b2', 'minutes' => 20], ['from' => 'b2', 'to' => 'b1', 'minutes' => 20]],
    ])->work;
    $table = timetable($work, 2.0)->timetable ?? throw new LogicException('none');
    // By hand: 5 to the end of the first, 20 to cool, then 4; the other piece goes in between and ends 5 later: 34.
    expect($table->endMin)->toBeClose(34.0)
        ->and($table->changes)->toBe(3)
        ->and(Timetable::of($work, $work->listed())->endMin)->toBeClose(5 + 24 + 5 + 24);
});

it('turns the argon on as late as the arc allows, and not before a line is free', function () {
    $task = static fn (string $id, string $piece): array => ['id' => $id, 'piece' => $piece, 'setup_min' => 1, 'fill_min' => 6, 'arc_min' => 3, 'after' => []];
    $problem = [
        'format' => 'schedule-problem/1', 'name' => 'fill', 'purge_lines' => 1, 'hold_min' => 2,
        'pieces' => [['id' => 'A', 'change_min' => 0], ['id' => 'B', 'change_min' => 0]], 'tasks' => [$task('a', 'A'), $task('b', 'B')],
    ];
    $ends = static fn (int $lines): array => array_map(
        static fn (TimedTask $one): float => $one->endMin,
        (timetable(SomeSchedules::read([...$problem, 'purge_lines' => $lines])->work, 1.0)->timetable ?? throw new LogicException('none'))->tasks,
    );
    // One line: filled to 6, welded to 9, held to 11, filled to 17, welded to 20. Two: the second fills meanwhile.
    expect($ends(1))->toEqual([9.0, 20.0])->and($ends(2))->toEqual([9.0, 13.0]);
});

it('names what cannot be done in time', function () {
    $problem = SomeSchedules::shipped('s02-downpipe-five');
    $problem['tasks'][5]['due_min'] = 20;
    $answer = timetable(SomeSchedules::read($problem)->work, 3.0);
    expect($answer->late)->toBe(5)->and($answer->timetable)->toBeNull();
    // Each alone could be; both cannot.
    $problem['tasks'][5]['due_min'] = 36;
    $problem['tasks'][0]['due_min'] = 12;
    $read = SomeSchedules::read($problem);
    $told = ScheduleAnswerWriter::toArray($read, timetable($read->work, 50.0));
    expect($told['status'])->toBe('refused')
        ->and($told['reasons'][0]['field'])->toMatch('/^tasks\[(0|5)\]\.due_min$/');
});

it('names tasks that wait for each other in a ring', function () {
    $problem = SomeSchedules::shipped('s02-downpipe-five');
    $problem['tasks'][1]['after'] = ['out'];
    $work = SomeSchedules::read($problem)->work;
    [$refusal] = ScheduleAnswerWriter::impossible($work);
    $ring = $refusal->toArray()['by'];
    expect($ring)->toEqualCanonicalizing(['bend-1', 'bend-2', 'out'])
        ->and(ScheduleAnswerWriter::impossible(SomeSchedules::read(SomeSchedules::shipped('s02-downpipe-five'))->work))->toBe([]);
});

<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Solve\Route\Insertion\Step;
use UpsweptBead\Core\Solve\Run\Bend;
use UpsweptBead\Core\Solve\Run\Centreline;
use UpsweptBead\Core\Solve\Run\TubeRun;
use UpsweptBead\Core\Stage\Fit\Order\Before;
use UpsweptBead\Core\Stage\Fit\Order\Standing;
use UpsweptBead\Core\Stage\Fit\Order\Task;
use UpsweptBead\Core\Stage\Fit\TackPattern;
use UpsweptBead\Core\Stage\Fit\TrialFit;
use UpsweptBead\Core\Stage\Joint\IndexMark;
use UpsweptBead\Core\Stage\Joint\JointFace;
use UpsweptBead\Core\Stage\Plan\Plan;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Stage\Step\StepKind;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeRoutedSets;

covers(TrialFit::class, Standing::class);

/** The example downpipe with a sensor on it: ring, two butts, flange inside and out, one bung. */
function withSensor(): Plan
{
    $document = JobWriter::toArray(Some::routedJob());
    $document['runs'][0]['fittings'] = [['kind' => 'oxygen-sensor-bung', 'station' => '14 in', 'fromTop' => 20]];

    return Planner::plan(
        JobReader::fromDecoded($document)->job ?? throw new LogicException('unreadable'),
        Some::shop(),
    );
}

// Common practice: 4 tacks to 2 in, 6 to 3 in, 8 above.
it('sets the number of tacks by the tube', function (float $inches, int $count) {
    $pattern = TackPattern::forTube($inches * 25.4, 1.651);
    expect($pattern->fullDeg)->toHaveCount($count)
        ->and(array_unique($pattern->fullDeg))->toHaveCount($count)
        ->and($pattern->tackMm / 1.651)->toBeGreaterThanOrEqual(2.0)->toBeLessThanOrEqual(3.0);
})->with([[1.5, 4], [2, 4], [2.25, 6], [3, 6], [3.5, 8], [4, 8]]);

it('tacks opposite pairs in turn', function (float $inches) {
    foreach (array_chunk(TackPattern::forTube($inches * 25.4, 1.651)->fullDeg, 2) as [$one, $other]) {
        expect($other - $one)->toBe(180.0);
    }
})->with([1.5, 3, 4]);

it('holds a trial fit with two tacks close together on one side', function () {
    [$one, $other] = TackPattern::forTube(76.2, 1.651)->trialDeg;
    expect($other - $one)->toBeGreaterThanOrEqual(60.0)->toBeLessThanOrEqual(90.0);
});

// Our own reading of common practice: tacks at the top hold what the tube's weight pulls, and its foot stays closed.
it('puts the trial tacks about the top, and where no torch gets there as near to it as one does', function () {
    $pattern = TackPattern::forTube(50.8, 1.651);
    $middle = static function (TackPattern $one): float {
        [$a, $b] = $one->trialDeg;
        $spread = $b - $a - 360 * floor(($b - $a) / 360);
        expect($spread)->toBeClose(75.0, 0, 1.5);

        return fmod($a + $spread / 2, 360.0);
    };
    expect($middle($pattern->rocking(90.0, null)))->toBeClose(90.0, 0, 1.0)
        ->and($middle($pattern->rocking(-120.0, [[0.0, 360.0]])))->toBeClose(240.0, 0, 1.0)
        ->and($middle($pattern->rocking(0.0, [[60.0, 300.0]])))->toBeClose(97.5, 0, 1.0)
        ->and($middle($pattern->rocking(350.0, [[60.0, 300.0]])))->toBeClose(262.5, 0, 1.0)
        ->and($middle($pattern->rocking(0.0, [[330.0, 420.0]])))->toBeClose(7.5, 0, 1.0)
        ->and($pattern->rocking(null, null)->trialWhy)->toContain('upright')
        ->and($pattern->rocking(0.0, [[60.0, 300.0]])->trialWhy)->toContain('As near to the top');
});

it('gives every joint of a run a mark of its own', function () {
    $marks = array_map(static fn (int $n): string => IndexMark::forJoint($n)->text(), range(1, 24));
    expect(array_unique($marks))->toHaveCount(24)
        ->and($marks[0])->toBe('1 short stroke')
        ->and($marks[6])->toBe('1 long stroke, 2 short strokes');
});

/** @return list<string> */
function taskIds(Plan $plan): array
{
    return array_map(static fn (Task $one): string => $one->id, $plan->fit->build->tasks);
}

// Common practice: tacked and tried from the datum outwards; the sensor's hole only once its room was tried, and while
// its piece is loose; butts on the bench; last what ties the run to its flange, inside before outside.
it('builds from the datum outwards, tries, drills, and welds', function () {
    expect(taskIds(withSensor()))->toBe([
        'tack.AJ1', 'tack.AJ2', 'tack.AJ3', 'tack.AJ4', 'trial.A', 'weld.AB1', 'full.A',
        'weld.AJ2', 'weld.AJ3', 'weld.AJ1', 'weld.AJ4', 'weld.AJ5',
    ]);
});

it('gives every task but the first a reason to wait, and says what would go wrong otherwise', function () {
    $build = withSensor()->fit->build;
    foreach (array_slice($build->tasks, 1) as $task) {
        $reasons = $build->reasons[$task->id] ?? [];
        expect($reasons)->not->toBe([], $task->id);
        foreach ($reasons as $reason) {
            expect($reason->why)->not->toBe('')->and($reason->otherwise)->toEndWith('.');
        }
    }
    $why = array_map(static fn (Task $task): string => $task->why, $build->tasks);
    expect($why[0])->toContain('The datum')->and($why[1])->toContain('outwards')->and($why[3])->toContain('closing joint');
});

// Common practice: the loose nut or clamp must be on the tube before its end is closed.
it('puts the clamp of a slip over its tube before the slip is slid together', function () {
    $plan = Planner::plan(SomeRoutedSets::header(['set' => ['collectors' => [['entry' => 'slip']]]]), Some::shop());
    $at = array_flip(taskIds($plan));
    $steps = array_flip(array_column($plan->steps, 'id'));
    $slips = array_filter($plan->joints->joints, static fn ($one): bool => ! $one->type->isWelded());
    expect($slips)->toHaveCount(4);
    foreach ($slips as $slip) {
        expect($at["put.$slip->id"])->toBeLessThan($at["tack.$slip->id"])
            ->and($steps["put.$slip->id"])->toBeLessThan($steps["tack.$slip->id"]);
    }
});

it('keeps every reason it gives', function () {
    $plan = Planner::planInFull(SomeRoutedSets::eight(), Some::shop());
    $at = array_flip(taskIds($plan));
    $count = 0;
    foreach ($plan->fit->build->reasons as $then => $reasons) {
        foreach ($reasons as $reason) {
            expect($at[$reason->first])->toBeLessThan($at[$then], "$reason->first before $then");
            $count++;
        }
    }
    expect($count)->toBeGreaterThan(200);
});

it('puts a task where a person wants it, names the reasons that breaks, and lets the rest adapt', function () {
    $document = JobWriter::toArray(Some::routedJob());
    $document['runs'][0]['fittings'] = [['kind' => 'oxygen-sensor-bung', 'station' => '14 in', 'fromTop' => 20]];
    $document['overrides'] = [['figure' => 'build.weld.AB1', 'value' => 'tack.AJ3', 'why' => 'The sensor’s place is known.']];
    $job = JobReader::fromDecoded($document)->job ?? throw new LogicException('unreadable');
    $plan = Planner::plan($job, Some::shop());
    $build = $plan->fit->build;
    expect(array_slice(taskIds($plan), 0, 5))->toBe(['tack.AJ1', 'tack.AJ2', 'weld.AB1', 'tack.AJ3', 'tack.AJ4'])
        ->and(array_map(static fn (Before $one): array => [$one->first, $one->then], $build->broken))->toBe([['trial.A', 'weld.AB1']])
        ->and($build->broken[0]->otherwise)->toContain('does not go in')
        ->and(array_column($plan->notices(), 'path'))->toContain('build.weld.AB1')
        // The bench follows.
        ->and(array_search('weld.AB1', array_column($plan->steps, 'id'), true))
        ->toBeLessThan(array_search('tack.AJ3', array_column($plan->steps, 'id'), true));
});

it('lets what waits for a task go back with it', function () {
    $document = JobWriter::toArray(Some::routedJob());
    $document['overrides'] = [['figure' => 'build.weld.AJ4', 'value' => 'weld.AJ2', 'why' => '']];
    $job = JobReader::fromDecoded($document)->job ?? throw new LogicException('unreadable');
    $build = Planner::plan($job, Some::shop())->fit->build;
    // A flange welded before the butts: that breaks what was said of them, and nothing else.
    expect(array_map(static fn (Before $one): string => $one->then, $build->broken))->toBe(['weld.AJ4'])
        ->and(array_search('weld.AJ4', array_column($build->tasks, 'id'), true))
        ->toBeLessThan(array_search('weld.AJ5', array_column($build->tasks, 'id'), true));
});

it('builds a set in the order its runs go in, and says how each gets past the others', function () {
    $plan = Planner::planInFull(SomeRoutedSets::header(), Some::shop());
    $order = array_map(static fn (Step $step): string => $step->tube, $plan->fit->insertion->order ?? []);
    expect($plan->fit->letters)->toBe($order)->and($order)->toHaveCount(4);
    $first = array_values(array_filter(
        $plan->fit->build->ofKind(StepKind::Tack),
        static fn (Task $task): bool => str_ends_with($task->id, 'J1'),
    ));
    expect(array_map(static fn (Task $task): string => $task->run, $first))->toBe($order)
        ->and($first[0]->why)->toStartWith("Run $order[0] goes in first, ")
        ->and($first[2]->why)->toStartWith("Run $order[2] goes in after $order[0], $order[1], ")
        ->and($first[3]->why)->toStartWith("Run $order[3] goes in last, ");
});

it('keeps the order of the survey where nobody worked out another', function () {
    expect(Planner::plan(SomeRoutedSets::header(), Some::shop())->fit->letters)->toBe(['E', 'F', 'G', 'H']);
});

it('says where up and the next throat line lie round a joint, from its index mark', function () {
    // A level run along x whose reference is straight up, a bend to its right, then a turn of 90° clockwise.
    $run = new TubeRun(
        Frame::facing(new Vector(0, 0, 0), new Vector(1, 0, 0)),
        [new Bend(100, -90, 90, 76), new Bend(100, 90, 45, 76)],
        50,
    );
    expect(JointFace::of(Centreline::of($run), 50)->upDeg)->toBeClose(0.0, 0, 1e-9)
        ->and(JointFace::of(Centreline::of($run), 50)->nextThroatDeg)->toBeClose(-90.0)
        ->and(JointFace::of(Centreline::of($run), 250)->upDeg)->toBeClose(90.0)
        ->and(JointFace::of(Centreline::of($run), 250)->nextThroatDeg)->toBeClose(90.0)
        ->and(JointFace::of(Centreline::of($run), $run->lengthMm())->nextThroatDeg)->toBeNull();
    $upright = new TubeRun(Frame::facing(new Vector(0, 0, 0), new Vector(0, 0, 1)), [], 50);
    expect(JointFace::of(Centreline::of($upright), 20)->upDeg)->toBeNull();
});

it('goes across and then to the places furthest from it', function (float $inches, array $order) {
    expect(TackPattern::forTube($inches * 25.4, 1.651)->fullDeg)->toEqual($order);
})->with([
    'four' => [1.5, [0, 180, 90, 270]],
    'six' => [3, [0, 180, 120, 300, 60, 240]],
    'eight' => [4, [0, 180, 90, 270, 45, 225, 135, 315]],
]);

it('drills for a bung before its weld, and for nothing else', function () {
    $do = [];
    foreach (withSensor()->steps as $step) {
        $do[$step->id] = implode(' ', $step->do);
    }
    expect($do['purge.AB1'])->toContain('drill')
        ->and($do['purge.AJ2'])->not->toContain('drill')
        ->and($do['purge.AJ1'])->not->toContain('drill');
});

// An M18 × 1.5 sensor goes through a hole of 18 mm, common practice; a probe for a ⅛ NPT bung through one of 8.7 mm
// (11/32 in), from memory.
it('drills each fitting its own hole', function (string $kind, string $hole) {
    $document = JobWriter::toArray(Some::routedJob());
    $document['runs'][0]['fittings'] = [['kind' => $kind, 'station' => '14 in', 'fromTop' => 20]];
    $plan = Planner::plan(JobReader::fromDecoded($document)->job ?? throw new LogicException('unreadable'), Some::shop());
    expect(implode(' ', $plan->step('purge.AB1')->do ?? []))->toContain("step drill to $hole mm");
})->with([['oxygen-sensor-bung', '18'], ['temperature-probe', '8.7']]);

it('lets the first piece turn in its ring, and bevels and faces it at a flange', function () {
    $why = static function (string $kind): string {
        $document = JobWriter::toArray(Some::routedJob());
        $document['runs'][0]['start']['kind'] = $kind;
        $job = JobReader::fromDecoded($document)->job ?? throw new LogicException('unreadable');

        return Planner::plan($job, Some::shop())->fit->build->tasks[0]->why;
    };
    expect($why('v-band'))->toContain('turn in the ring')
        ->and($why('v-band'))->not->toContain('Bevelled')
        ->and($why('flange'))->toContain('Bevelled')
        ->and($why('flange'))->not->toContain('ring');
});

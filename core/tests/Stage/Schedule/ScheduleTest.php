<?php

declare(strict_types=1);

use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Shop\Practice\Bottle;
use UpsweptBead\Core\Shop\Practice\BottleUse;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Stage\Fit\Access\JointAccess;
use UpsweptBead\Core\Stage\Fit\Order\Phase;
use UpsweptBead\Core\Stage\Joint\JointType;
use UpsweptBead\Core\Stage\Plan\Plan;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Stage\Schedule\BottleChange;
use UpsweptBead\Core\Stage\Schedule\Internal\WeldSession;
use UpsweptBead\Core\Stage\Schedule\Slot;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeCollectors;
use UpsweptBead\Core\Tests\Support\SomeRoutedSets;

covers(BottleChange::class, WeldSession::class);

/** The example downpipe with a sensor on it. */
function withBung(): Plan
{
    $document = JobWriter::toArray(Some::routedJob());
    $document['runs'][0]['fittings'] = [['kind' => 'oxygen-sensor-bung', 'station' => '14 in', 'fromTop' => 20]];

    return Planner::plan(
        JobReader::fromDecoded($document)->job ?? throw new LogicException('unreadable'),
        Some::shop(),
    );
}

function veeEight(): Plan
{
    static $plan = null;

    return $plan ??= Planner::planInFull(SomeRoutedSets::eight(), Some::shop());
}

/** @return list<string> */
function welded(Plan $plan): array
{
    return array_map(static fn (Slot $slot): string => $slot->joint->id, $plan->schedule->slots);
}

it('welds the bung while its piece is open, the butts, then the ends, a flange inside before outside', function () {
    expect(welded(withBung()))->toBe(['AB1', 'AJ2', 'AJ3', 'AJ1', 'AJ4', 'AJ5'])
        ->and(welded(Some::plan()))->toBe(['AJ2', 'AJ3', 'AJ1', 'AJ4', 'AJ5']);
});

it('welds every joint of the job once, and none that only slips', function () {
    $plan = veeEight();
    $welds = array_map(static fn ($joint): string => $joint->id, $plan->joints->welds());
    expect(welded($plan))->toEqualCanonicalizing($welds)->and(array_unique(welded($plan)))->toHaveCount(count($welds));
    $slips = Planner::plan(SomeRoutedSets::header(['set' => ['collectors' => [['entry' => 'slip']]]]), Some::shop());
    expect($slips->joints->joints)->toHaveCount(count($slips->joints->welds()) + 4)
        ->and(array_intersect(welded($slips), ['EJ6', 'FJ7']))->toBe([]);
});

it('goes through the phases of the build one after the other', function () {
    // What is welded on the bench is one phase, whether a torch would still come to it later or not.
    $phases = array_map(
        static fn (Slot $slot): string => ($slot->phase === Phase::Alone ? Phase::Bench : $slot->phase)->value,
        veeEight()->schedule->slots,
    );
    $order = array_map(static fn (Phase $phase): string => $phase->value, Phase::cases());
    expect(array_values(array_unique($phases)))->toBe(array_values(array_intersect($order, $phases)));
});

it('welds seams that a neighbour would cover before the runs stand together', function () {
    $tight = array_values(array_filter(
        array_map(static fn (JointAccess $one): string => $one->joint, veeEight()->fit->closed()),
        static fn (string $id): bool => veeEight()->joints->find($id)?->type->isButt() === true,
    ));
    $alone = array_map(
        static fn (Slot $slot): string => $slot->joint->id,
        array_filter(veeEight()->schedule->slots, static fn (Slot $slot): bool => $slot->phase === Phase::Alone),
    );
    expect($tight)->not->toBe([])->and($alone)->toEqualCanonicalizing($tight);
});

// A seam waits for another of its run as far as that warms the tube beyond the limit, and nowhere else.
it('never welds beside a seam of the same run that has not been measured cool', function () {
    $hot = [];
    foreach (veeEight()->schedule->slots as $slot) {
        foreach (array_keys($slot->checks()) as $id) {
            unset($hot[$id]);
        }
        foreach ($hot as $joint) {
            expect(
                $joint->run === $slot->joint->run &&
                    abs($joint->seam->stationMm - $slot->joint->seam->stationMm) < veeEight()->weld->sheets[$joint->id]->times->apartMm,
            )->toBeFalse();
        }
        $hot[$slot->joint->id] = $slot->joint;
    }
});

it('lets one joint cool while it welds another, so that a set takes far less than joint after joint', function () {
    $schedule = veeEight()->schedule;
    expect($schedule->totalS)->toBeLessThan(0.6 * $schedule->oneByOneS)
        ->and($schedule->anotherLineS)->toBeLessThan($schedule->totalS);
});

it('begins each weld no earlier than the one before is done with, and what it waits for is cool', function () {
    $plan = veeEight();
    $freeS = 0.0;
    $coolAt = [];
    foreach ($plan->schedule->slots as $slot) {
        $times = $plan->weld->sheets[$slot->joint->id]->times;
        expect($slot->startS)->toBeGreaterThanOrEqual($freeS + $slot->changeS + $slot->waitS - 1e-6);
        foreach (array_keys($slot->checks()) as $id) {
            expect($coolAt[$id])->toBeLessThanOrEqual($slot->startS + 1e-6);
        }
        $freeS = $slot->endS;
        $coolAt[$slot->joint->id] = $freeS + $times->coolS;
    }
});

it('is made of putting pieces up, of the time somebody is at a joint and the time nobody can go on, and of nothing else', function () {
    $schedule = veeEight()->schedule;
    $attendedS = array_sum(
        array_map(static fn (Slot $slot): float => $slot->changeS + $slot->attendedS(), $schedule->slots),
    );
    expect($attendedS + $schedule->waitingS())->toEqualWithDelta($schedule->totalS, 1e-6);
});

it('is never longer than waiting for every joint, which counts the same putting up of pieces', function (Plan $plan) {
    $schedule = $plan->schedule;
    expect($schedule->totalS)->toBeLessThanOrEqual($schedule->oneByOneS + 1e-6);
    [$coolS, $doneS] = [0.0, 0.0];
    foreach ($schedule->oneByOne as [$joint, $startS, $endS]) {
        $times = $plan->weld->sheets[$joint]->times;
        expect($startS)->toBeGreaterThanOrEqual($coolS - 1e-6)
            ->and($endS - $startS)->toEqualWithDelta($times->fillS + $times->weldS, 1e-6);
        $coolS = $endS + max($times->keepS, $times->coolS);
        $doneS = max($doneS, $coolS, $endS + $times->touchS);
    }
    expect($schedule->oneByOneS)->toEqualWithDelta($doneS, 1e-6)
        ->and($schedule->oneByOne[0][1])->toEqualWithDelta(Some::shop()->rules->value('schedule.change'), 1e-6);
})->with([
    'eight into two' => fn () => veeEight(),
    'a downpipe' => fn () => Some::plan(),
    'two collectors by themselves' => fn () => Planner::plan(SomeCollectors::two(), Some::shop()),
]);

it('welds one collector while the other cools: hands go to each by itself', function () {
    $slots = Planner::plan(SomeCollectors::two(), Some::shop())->schedule->slots;
    expect(array_map(static fn (Slot $slot): string => $slot->joint->run, $slots))->toBe(['L', 'R'])
        ->and($slots[1]->checks())->toBe([])
        ->and($slots[1]->startS)->toBeLessThan($slots[0]->endS + $slots[0]->times->touchS);
});

/**
 * Seconds until the welds of one run are done and measured cool, in one order, with one purge line.
 *
 * @param  list<string>  $order  of joints
 */
function secondsOf(Plan $plan, array $order): float
{
    $now = Some::shop()->rules->value('schedule.change');
    $lineS = $coolS = 0.0;
    $done = [];
    foreach ($order as $id) {
        [$at, $times] = [$plan->joints->find($id)->seam->stationMm ?? 0.0, $plan->weld->sheets[$id]->times];
        $startS = $now;
        foreach ($done as $earlier => $endS) {
            $warm = $plan->weld->sheets[$earlier]->times;
            if (abs(($plan->joints->find($earlier)->seam->stationMm ?? 0.0) - $at) < $warm->apartMm) {
                $startS = max($startS, $endS + $warm->coolS);
            }
        }
        $isFirst = $done === [];
        $fromS = max($lineS, $isFirst ? 0.0 : $now);
        $done[$id] = $now = max($startS, $fromS + $times->fillS) + $times->weldS;
        $lineS = $now + $times->keepS;
        $coolS = max($coolS, $now + $times->coolS);
    }

    return $coolS;
}

/**
 * @param  list<string>  $some
 * @return iterable<list<string>>
 */
function orders(array $some): iterable
{
    if ($some === []) {
        yield [];
    }
    foreach ($some as $i => $first) {
        foreach (orders(array_values(array_diff_key($some, [$i => true]))) as $rest) {
            yield [$first, ...$rest];
        }
    }
}

it('is done as soon as in any order that the reasons of the build permit', function () {
    $plan = Planner::plan(Some::routedJob(), Some::shop());
    $leastS = INF;
    foreach (orders(['AJ1', 'AJ2', 'AJ3', 'AJ4', 'AJ5']) as $order) {
        $turn = array_flip($order);
        // Butts before what ties the run at its ends; a ring, then the flange inside, then outside.
        $isKept = max($turn['AJ2'], $turn['AJ3']) < $turn['AJ1'] && $turn['AJ1'] < $turn['AJ4'] && $turn['AJ4'] < $turn['AJ5'];
        $leastS = $isKept ? min($leastS, secondsOf($plan, $order)) : $leastS;
    }
    // Each seam by itself; what neighbours add to one another comes on top.
    expect(secondsOf($plan, welded($plan)))->toBeClose($leastS, 1e-6)
        ->and($plan->schedule->totalS)->toBeGreaterThanOrEqual($leastS - 1e-6)->toBeLessThan(1.3 * $leastS);
});

it('hops from port to port like a bolt pattern', function () {
    $seals = array_values(
        array_filter(
            veeEight()->schedule->slots,
            static fn (Slot $slot): bool => $slot->joint->type === JointType::FlangeSeal,
        ),
    );
    expect(array_map(static fn (Slot $slot): string => $slot->joint->run, $seals))->toBe([
        'A',
        'E',
        'B',
        'F',
        'C',
        'G',
        'D',
        'H',
    ]);
});

it('has every joint measured once, before its run is gone on with or at the end', function () {
    $schedule = veeEight()->schedule;
    $measured = array_merge(
        ...array_map(static fn (Slot $slot): array => array_keys($slot->checks()), $schedule->slots),
        ...[array_keys($schedule->last)],
    );
    expect($measured)->toEqualCanonicalizing(welded(veeEight()));
});

it('says of butts that they are welded in turn only where there are more than two of them', function () {
    $why = [];
    foreach ([veeEight(), Some::plan()] as $plan) {
        foreach ($plan->schedule->slots as $slot) {
            if ($slot->phase === Phase::Bench) {
                $butts = array_filter(
                    $plan->joints->ofRun($slot->joint->run),
                    static fn ($one): bool => $one->type === JointType::Butt,
                );
                $why[count($butts) > 2 ? 'many' : 'few'][$slot->why] = true;
            }
        }
    }
    expect(array_keys($why['many']))->toBe(['On the bench, in reach all round: while one cools, another is welded.'])
        ->and(array_keys($why['few']))->toBe(['Welded on the bench, in reach all round.']);
});

/** The example downpipe with bottles that are nearly empty. */
function withBottles(float $torchKpa, float ...$purgeKpa): Plan
{
    $bare = Some::shop();
    $bottles = [new Bottle('Torch', BottleUse::Torch, 4250.0, 16500.0, $torchKpa)];
    foreach ($purgeKpa as $i => $kpa) {
        $bottles[] = new Bottle('Purge '.($i + 1), BottleUse::Purge, 2265.0, 15200.0, $kpa);
    }
    $shop = new Shop('Shop', $bare->rules, $bare->catalogue, [], $bottles);

    return Planner::plan(Some::routedJob(), $shop);
}

it('says at which weld a bottle runs out, and what to go over to', function () {
    $full = withBottles(16000.0, 15000.0);
    expect($full->schedule->bottleChanges($full->weld))->toBe([]);
    $plan = withBottles(16000.0, 600.0, 15000.0);
    $changes = $plan->schedule->bottleChanges($plan->weld);
    expect($changes)->toHaveCount(1)
        ->and($changes[0]->bottle)->toBe('Purge 1')
        ->and($changes[0]->next)->toBe('Purge 2')
        ->and($changes[0]->text())->toContain('go over to Purge 2 before that weld is begun');
    // By hand: all purges up to that weld take no more than the bottle gives, with it they take more.
    $usableL = 2265.0 * (600.0 - 350.0) / (15200.0 + 101.325);
    $taken = 0.0;
    foreach ($plan->schedule->slots as $slot) {
        $argon = $plan->weld->sheets[$slot->joint->id]->purge->value('argon');
        if ($slot === $changes[0]->slot) {
            expect($taken)->toBeLessThanOrEqual($usableL)->and($taken + $argon)->toBeGreaterThan($usableL);
        }
        $taken += $argon;
    }
});

it('says to change a bottle that has none behind it', function () {
    $plan = withBottles(400.0, 15000.0);
    $changes = $plan->schedule->bottleChanges($plan->weld);
    expect($changes[0]->bottle)->toBe('Torch')->and($changes[0]->text())->toContain('change it before that weld is begun');
});

<?php

declare(strict_types=1);

use UpsweptBead\Core\Fit\Access\JointAccess;
use UpsweptBead\Core\Fit\Order\Phase;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Joint\JointType;
use UpsweptBead\Core\Plan\Plan;
use UpsweptBead\Core\Plan\Planner;
use UpsweptBead\Core\Schedule\Slot;
use UpsweptBead\Core\Shop\Shop;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeRoutedSets;

/** The example downpipe with a sensor on it. */
function withBung(): Plan
{
    $document = JobWriter::toArray(Some::routedJob());
    $document['runs'][0]['fittings'] = [['kind' => 'oxygen-sensor-bung', 'station' => '14 in', 'fromTop' => 20]];

    return Planner::plan(
        JobReader::fromDecoded($document)->job ?? throw new LogicException('unreadable'),
        Shop::bare(),
    );
}

function veeEight(): Plan
{
    static $plan = null;

    return $plan ??= Planner::planInFull(SomeRoutedSets::eight(), Shop::bare());
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
    $slips = Planner::plan(SomeRoutedSets::header(['set' => ['collectors' => [['entry' => 'slip']]]]), Shop::bare());
    expect($slips->joints->joints)->toHaveCount(count($slips->joints->welds()) + 4)
        ->and(array_intersect(welded($slips), ['EJ6', 'FJ7']))->toBe([]);
});

it('goes through the phases of the build one after the other', function () {
    $phases = array_map(static fn (Slot $slot): string => $slot->phase->value, veeEight()->schedule->slots);
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
        foreach (array_keys($slot->checks) as $id) {
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
        ->and($schedule->waitingS())->toBeLessThan(0.15 * $schedule->totalS);
});

it('begins each weld no earlier than the one before is done with, and what it waits for is cool', function () {
    $plan = veeEight();
    $freeS = 0.0;
    $coolAt = [];
    foreach ($plan->schedule->slots as $slot) {
        $times = $plan->weld->sheets[$slot->joint->id]->times;
        expect($slot->startS)->toBeGreaterThanOrEqual($freeS - 1e-6);
        foreach (array_keys($slot->checks) as $id) {
            expect($coolAt[$id])->toBeLessThanOrEqual($slot->startS + 1e-6);
        }
        $freeS = $slot->startS + $times->attendedS();
        $coolAt[$slot->joint->id] = $freeS - $times->keepS + $times->coolS;
    }
});

it('is made of the time somebody stands at a joint and the time nobody can go on, and of nothing else', function () {
    $schedule = veeEight()->schedule;
    $attendedS = array_sum(array_map(static fn (Slot $slot): float => $slot->times->attendedS(), $schedule->slots));
    $onTheirOwnS = array_sum(array_map(static fn (Slot $slot): float => $slot->times->oneByOneS(), $schedule->slots));
    expect($attendedS + $schedule->waitingS())->toEqualWithDelta($schedule->totalS, 1e-6)
        ->and($onTheirOwnS)->toEqualWithDelta($schedule->oneByOneS, 1e-6);
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
        ...array_map(static fn (Slot $slot): array => array_keys($slot->checks), $schedule->slots),
        ...[array_keys($schedule->last)],
    );
    expect($measured)->toEqualCanonicalizing(welded(veeEight()));
});

it('says of butts that they alternate only where there are more than two of them', function () {
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
    expect(array_keys($why['many']))->toBe(['Every other joint, so that its neighbours can cool.'])
        ->and(array_keys($why['few']))->toBe(['Welded on the bench, in reach all round.']);
});

<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Solid\Box;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Run\RouteChoice;
use UpsweptBead\Core\Job\Run\RouteRow;
use UpsweptBead\Core\Stage\Layout\NutReach;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeHeader;

/** The header with two studs on the flange of its first run alone. */
function studded(): Job
{
    return SomeHeader::job([
        'runs' => [
            0 => [
                'start' => [
                    'kind' => 'flange',
                    'bolts' => ['count' => 2, 'circle' => '84 mm', 'turn' => 90, 'flats' => '13 mm'],
                ],
            ],
        ],
    ]);
}

/**
 * @param  list<\UpsweptBead\Core\Base\Geometry\Solid\KeepOut>  $solids
 * @return list<NutReach>
 */
function reach(array $solids): array
{
    return NutReach::of(studded(), [], $solids, Some::shop()->rules);
}

/** A plate beside the first nut, the side away from the tube, between two angles' worth of reach. */
function plateAt(float $away): Box
{
    $end = studded()->runs[0]->start->frame();
    $right = $end->reference->turnedAbout($end->forward, 90);
    $axes = [$right, $end->reference, $end->forward];

    return new Box('plate', $end->at->plus($right->times(42 + $away))->plus($end->forward->times(6)), $axes, [
        2.0,
        300.0,
        30.0,
    ]);
}

it('swings all round where nothing stands', function () {
    expect(array_map(static fn (NutReach $nut): float => $nut->swingDeg, reach([])))->toBe([360.0, 360.0]);
});

it('swings through what a plate beside the nut leaves of the circle', function () {
    // 13 mm flats: the spanner is 156 mm long, its shank 7.8 mm to either side. A plate whose face stands 78 mm away is
    // met where the cosine is above (78 − 7.8) / 156, within 63° to either side: 360 − 2 × 63 = 233° are left, in steps
    // of 10° some less.
    [$first, $second] = reach([plateAt(80)]);
    expect($first->swingDeg)->toBeGreaterThanOrEqual(210.0)->toBeLessThanOrEqual(233.0)
        ->and($first->inTheWay)->toBe(['plate'])
        // The other nut stands 84 mm further off: 160 mm from the plate's face, which the spanner's tip just meets
        // straight on.
        ->and($second->swingDeg)->toBe(340.0);
});

it('is stopped by half the shank as well as by the middle of the spanner', function () {
    // A face 58 mm away: met where the cosine is above (58 − 7.8) / 156, to 71° either side; by the middle alone to
    // 68°.
    expect(reach([plateAt(60)])[0]->swingDeg)->toBe(200.0);
});

it('is stopped by a tube where the shank comes closer to its axis than both their halves', function () {
    // The nut stands 42 mm from the axis of a tube straight out, the tube 44.45 mm wide: 22.2 + 7.8 = 30 mm are needed,
    // so the spanner is stopped where 42 mm times the sine is less, 45° to either side of straight at it.
    $straight = new RouteChoice([], Length::ofMm(300));
    $job = studded()->routed('A', $straight);
    $nuts = NutReach::of($job, Planner::plan($job, Some::shop())->layout->runs, [], Some::shop()->rules);
    expect(studded()->runs[0]->tubeId)->toStartWith('T1.750')
        ->and(array_column($nuts, 'swingDeg'))->toBe([260.0, 260.0])
        ->and($nuts[0]->inTheWay)->toBe(['run A']);
});

it('does not stop at what the flange itself is bolted to', function () {
    $end = studded()->runs[0]->start->frame();
    $block = new Box(
        'block',
        $end->at->minus($end->forward->times(50)),
        [$end->forward, $end->reference, $end->forward->cross($end->reference)],
        [50.0, 200.0, 200.0],
    );
    expect(reach([$block])[0]->swingDeg)->toBe(360.0);
});

it('says so in the plan where a spanner cannot be swung to the next flats, and what is in its way', function () {
    $both = reach([
        plateAt(16),
        new Box('bracket', plateAt(0)->centre->minus(plateAt(0)->axes[0]->times(20)), plateAt(0)->axes, [
            2.0,
            300.0,
            30.0,
        ]),
    ]);
    [$notice] = NutReach::notices([$both[0]], studded(), Some::shop()->rules);
    expect($both[0]->swingDeg)->toBeLessThan(60.0)
        ->and($notice->message)->toContain('plate')->toContain('60')
        ->and(NutReach::notices(reach([]), studded(), Some::shop()->rules))->toBe([]);
});

it('counts the tubes that are in place', function () {
    // Straight out of the port: the spanner meets the tube when it is swung across it, on either nut.
    $out = new RouteChoice([new RouteRow(Length::ofMm(120), 0, 45, Length::ofMm(76.2))], Length::ofMm(200));
    $swings = static fn (Job $job): array => array_map(
        static fn (NutReach $nut): array => [$nut->nut, in_array('run A', $nut->inTheWay, true)],
        Planner::plan($job, Some::shop())->fit->nuts,
    );
    expect($swings(studded()->routed('A', $out)))->toBe([['nut A1', true], ['nut A2', true]])
        ->and($swings(studded()))->toBe([['nut A1', false], ['nut A2', false]]);
});

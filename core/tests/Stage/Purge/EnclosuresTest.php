<?php

declare(strict_types=1);

use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Stage\Joint\JointType;
use UpsweptBead\Core\Stage\Plan\Plan;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Stage\Purge\Mouth;
use UpsweptBead\Core\Stage\Purge\PurgePose;
use UpsweptBead\Core\Stage\Schedule\Slot;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeCollectors;
use UpsweptBead\Core\Tests\Support\SomeRoutedSets;

function joinedSet(): Plan
{
    static $plan = null;

    return $plan ??= Planner::planInFull(SomeRoutedSets::joined(), Some::shop());
}

function filledFor(Plan $plan, string $joint): PurgePose
{
    return $plan->weld->sheets[$joint]->purge->pose;
}

/** @return list<string> */
function mouthNames(PurgePose $pose): array
{
    return array_map(
        static fn (Mouth $one): string => $one->name,
        [$pose->feed, ...$pose->vents, ...$pose->dams],
    );
}

it('fills a run by itself while it lies on the bench alone', function () {
    $pose = filledFor(joinedSet(), 'EJ3');
    $routed = joinedSet()->layout->run('E') ?? throw new LogicException('no run');
    expect($pose->standing)->toBe(['E'])
        ->and($pose->volumeL)->toBeClose($routed->tube->boreAreaMm2() * $routed->run->lengthMm() * 1e-6, 1e-6)
        ->and(mouthNames($pose))->toHaveCount(2);
});

it('fills all that is fitted together, and closes every opening that is neither fed nor vented', function () {
    $pose = filledFor(joinedSet(), 'EJ6');
    expect($pose->standing)->toEqualCanonicalizing(['E', 'F', 'G', 'H', 'K'])
        ->and(mouthNames($pose))->toEqualCanonicalizing([
            'the start of E (Port 5)', 'the start of F (Port 6)', 'the start of G (Port 7)', 'the start of H (Port 8)',
            'the outlet of K',
        ]);
    $litres = 0.0;
    foreach (joinedSet()->layout->runs as $routed) {
        $litres += $routed->tube->boreAreaMm2() * $routed->run->lengthMm() * 1e-6;
    }
    $collector = joinedSet()->layout->placement->collectors->find('K') ?? throw new LogicException('no collector');
    // Its inlets run into each other, so it holds less than all of them by themselves.
    expect($pose->volumeL)->toBeGreaterThan($litres)->toBeLessThan($litres + $collector->volumeL());
});

it('lets the argon pass the joint that is welded, whichever run that is on', function (string $joint, string $own) {
    $pose = filledFor(joinedSet(), $joint);
    $used = array_map(static fn (Mouth $one): string => $one->id, [$pose->feed, ...$pose->vents]);
    expect($used)->toContain($own);
})->with([['EJ2', 'E.start'], ['FJ7', 'F.start'], ['HJ2', 'H.start']]);

it('feeds no higher than it vents in the pose it proposes', function () {
    foreach (joinedSet()->weld->sheets as $sheet) {
        $pose = $sheet->purge->pose;
        $heights = array_map(static fn (Mouth $one): float => $one->at->dot($pose->up), $pose->vents);
        expect($pose->feed->at->dot($pose->up))->toBeLessThan(max($heights) + 1e-6);
    }
});

it('leaves the end open by which the torch goes in to seal a flange', function () {
    foreach ([joinedSet(), Some::plan()] as $plan) {
        $seals = array_filter(
            $plan->joints->welds(),
            static fn ($joint): bool => $joint->type === JointType::FlangeSeal,
        );
        expect($seals)->not->toBe([]);
        foreach ($seals as $seal) {
            $pose = filledFor($plan, $seal->id);
            $end = $seal->run.($seal->seam->stationMm < 1.0 ? '.start' : '.end');
            // A second vent would stand above the open mouth or below it, and air would come in by one of them.
            expect(array_map(static fn (Mouth $one): string => $one->id, $pose->vents))->toBe([$end])
                ->and(implode(' ', $pose->lines(static fn (float $mm): string => "$mm", 6.0)))->toContain('the torch goes in there');
        }
    }
});

it('stands a collector on its inlets while its seams are welded', function () {
    $plan = Planner::plan(SomeCollectors::job(), Some::shop());
    $pose = filledFor($plan, 'KJ1');
    expect($pose->hold)->toBe('Stand it on its inlets, the outlet up.')
        ->and($pose->vents[0]->name)->toBe('the outlet of K')
        ->and($pose->dams)->toHaveCount(3)
        ->and($pose->trappedMl)->toBeLessThan(PurgePose::WORTH_ML);
});

it('counts what stands on a run with it', function () {
    $plan = Planner::planInFull(SomeCollectors::branched(), Some::shop());
    $pose = filledFor($plan, 'WJ1');
    expect($pose->standing)->toBe(['A', 'W'])->and(mouthNames($pose))->toHaveCount(3);
    // A joint beyond the branch would lie in a dead end if the argon left by the branch.
    $used = array_map(static fn (Mouth $one): string => $one->id, [$pose->feed, ...filledFor($plan, 'AJ2')->vents]);
    expect([...$used, filledFor($plan, 'AJ2')->feed->id])->toContain('A.end');
});

it('keeps joints of what is filled taped until their turn', function () {
    $plan = joinedSet();
    $slots = array_column(array_map(static fn (Slot $one): array => [$one->joint->id, $one], $plan->schedule->slots), 1, 0);
    $last = $plan->schedule->slots[count($plan->schedule->slots) - 1];
    // While the ports are welded every run still leaks where it goes into the collector.
    expect($plan->schedule->taped($slots['EJ2'], $plan->weld))->toEqualCanonicalizing(['EJ6', 'FJ7', 'GJ6', 'HJ7'])
        ->and($plan->schedule->taped($last, $plan->weld))->toBe([]);
    foreach ($plan->schedule->slots as $slot) {
        foreach ($plan->schedule->taped($slot, $plan->weld) as $id) {
            expect($slots[$id]->order)->toBeGreaterThan($slot->order);
        }
    }
});

it('takes a run by itself as long as what can be reached is not worked out', function () {
    $quick = Planner::plan(SomeRoutedSets::joined(), Shop::bare());
    expect(filledFor($quick, 'EJ6')->standing)->toBe(['E']);
});

<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Job\Run\RunSpec;
use UpsweptBead\Core\Stage\Bench\BenchStep;
use UpsweptBead\Core\Stage\Plan\Plan;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Stage\Step\StepKind;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeCollectors;
use UpsweptBead\Core\Tests\Support\SomeRoutedSets;

function ordered(): Plan
{
    static $plan = null;

    return $plan ??= Planner::planInFull(SomeRoutedSets::header(), Some::shop());
}

/** @return array<string, BenchStep> */
function stepsOf(Plan $plan): array
{
    return array_column($plan->steps, null, 'id');
}

/**
 * All that is done before a step, near and far.
 *
 * @param  array<string, BenchStep>  $steps
 * @return array<string, true>
 */
function before(array $steps, string $id): array
{
    $seen = [];
    $open = $steps[$id]->after;
    while ($open !== []) {
        $one = array_pop($open);
        if (! isset($seen[$one])) {
            $seen[$one] = true;
            array_push($open, ...$steps[$one]->after);
        }
    }

    return $seen;
}

it('lists no step before what it waits for', function () {
    $place = array_flip(array_keys(stepsOf(ordered())));
    foreach (ordered()->steps as $step) {
        foreach ($step->after as $first) {
            expect($place[$first])->toBeLessThan($place[$step->id], "$step->id waits for $first");
        }
    }
});

it('lets pieces be cut at any time, and tacks them once they are', function () {
    $steps = stepsOf(ordered());
    foreach ($steps as $step) {
        if (str_starts_with($step->id, 'prepare.')) {
            expect($step->after)->toBe([]);
        }
    }
    foreach (ordered()->joints->welds() as $joint) {
        if ($joint->type->isButt()) {
            expect(before($steps, "tack.$joint->id"))
                ->toHaveKeys(["prepare.{$joint->between->name}", "prepare.{$joint->and->name}"]);
        }
    }
});

it('purges before it welds, after what it is built on', function () {
    $steps = stepsOf(ordered());
    foreach (ordered()->joints->welds() as $joint) {
        $first = array_filter(["purge.$joint->id", "tack.$joint->id", 'trial.set'], static fn (string $id): bool => isset($steps[$id]));
        expect(count($first))->toBeGreaterThan(1)->and(before($steps, "weld.$joint->id"))->toHaveKeys($first);
    }
});

it('leaves joints of other runs to be welded while one cools', function () {
    $steps = stepsOf(ordered());
    $free = 0;
    foreach (ordered()->schedule->slots as $i => $slot) {
        $next = ordered()->schedule->slots[$i + 1] ?? null;
        $free += $next !== null && ! isset(before($steps, "weld.{$next->joint->id}")["cool.{$slot->joint->id}"]) ? 1 : 0;
    }
    expect($free)->toBeGreaterThan(5);
});

// Hot metal looks like cold metal: what hands go to has been measured.
it('lets no hand near a joint that has not been measured cool', function (Plan $plan) {
    $steps = stepsOf($plan);
    $welds = array_filter($steps, static fn (BenchStep $step): bool => $step->kind === StepKind::Weld);
    $byHand = array_filter($steps, static fn (BenchStep $step): bool => in_array($step->kind, [
        StepKind::Put, StepKind::Tack, StepKind::FullTack, StepKind::Trial, StepKind::Refit, StepKind::Polish,
        StepKind::Trueing, StepKind::Face, StepKind::LeakTest,
    ], true));
    $pairs = 0;
    foreach ($byHand as $step) {
        $before = before($steps, $step->id);
        foreach (array_intersect_key($welds, $before) as $weld) {
            $pairs++;
            expect($before)->toHaveKeys(
                [StepKind::Cool->key($weld->subject), StepKind::Inspect->key($weld->subject)],
                "$step->id comes after $weld->id",
            );
        }
    }
    expect($pairs)->toBeGreaterThan(0);
})->with([
    'a header' => fn () => ordered(),
    'two collectors' => fn () => Planner::planInFull(SomeCollectors::two(), Some::shop()),
]);

it('measures a face once all of its run is cold, and before the run is done with', function () {
    $steps = array_column(Some::plan()->steps, null, 'id');
    expect($steps['face.A.start']->after)->toContain('cool.AJ1')->toContain('inspect.AJ4')
        ->and($steps['leak-test.A']->after)->toContain('face.A.start')->toContain('face.A.end')
        ->and($steps['face.A.start']->face?->limitMm)->toBe(0.1);
});

it('measures ports together that a collector holds, once each of them was, and none that hang free', function () {
    $steps = array_column(Planner::planInFull(SomeRoutedSets::joined(), Some::shop())->steps, null, 'id');
    $letters = array_map(static fn (RunSpec $run): string => $run->letter, SomeRoutedSets::joined()->runs);
    $ports = $steps['face.'.implode('', $letters).'.ports'] ?? throw new LogicException('no step');
    expect($ports->after)->toBe(array_map(static fn (string $one): string => "face.$one.start", $letters))
        ->and(count($ports->face->lands ?? []))->toBe(4)
        ->and($ports->face?->limitMm)->toBe(0.2)
        ->and(array_filter(array_keys(array_column(Some::plan()->steps, null, 'id')), static fn (string $id): bool => str_ends_with($id, '.ports')))->toBe([]);
    // As far from each other on the face as they were surveyed.
    $ends = array_map(static fn (RunSpec $run): Vector => $run->start->frame()->at, SomeRoutedSets::joined()->runs);
    [$one, $two] = [$ports->face->lands[0], $ports->face->lands[3]];
    expect(hypot($two->xMm - $one->xMm, $two->yMm - $one->yMm))->toBeClose($ends[0]->distanceTo($ends[3]));
});

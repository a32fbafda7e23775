<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Solve\Run\TubeRun;
use UpsweptBead\Core\Stage\Made\Outline;
use UpsweptBead\Core\Stage\Made\PlanChanges;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeRoutedSets;

function outlinedPlan(Job $job): Outline
{
    $sketch = Planner::sketch($job, Some::shop());

    return Outline::of($sketch->layout, $sketch->cut, $sketch->joints, Some::shop()->rules);
}

/** Run A of the eight with its end straight so much longer, and without its last bends. */
function longerByEnd(float $longerMm, int $fewerBends = 0): Job
{
    $job = SomeRoutedSets::eight();
    $spec = $job->run('A');
    $route = $spec?->route;
    assert($spec !== null && $route !== null);
    $run = $route->from($spec->start->frame());
    $bends = array_slice($run->bends, 0, count($run->bends) - $fewerBends);

    return $job->routed('A', $route->changedTo(new TubeRun($run->start, $bends, $run->endStraightMm + $longerMm)));
}

it('tells run by run which pieces changed, from what to what', function () {
    $then = outlinedPlan(SomeRoutedSets::eight());
    expect(PlanChanges::between($then, outlinedPlan(SomeRoutedSets::eight()), UnitSystem::Metric))->toBe([])
        ->and(PlanChanges::between($then, outlinedPlan(longerByEnd(20.0)), UnitSystem::Metric))
        ->toBe(['A' => ['A3: length 580 mm, now 600 mm.']]);
});

it('tells which pieces are new and which are no longer needed', function () {
    [$all, $fewer] = [outlinedPlan(SomeRoutedSets::eight()), outlinedPlan(longerByEnd(0.0, 1))];
    expect(implode(' ', PlanChanges::between($all, $fewer, UnitSystem::Inch)['A']))->toContain('A3 is no longer needed.')
        ->and(implode(' ', PlanChanges::between($fewer, $all, UnitSystem::Inch)['A']))->toContain('A3 is new.');
});

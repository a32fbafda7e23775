<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Shop\Practice\CoolPractice;
use UpsweptBead\Core\Shop\Practice\Practices;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Stage\Bench\BenchStep;
use UpsweptBead\Core\Stage\Bench\WeldSteps;
use UpsweptBead\Core\Stage\Plan\Plan;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Stage\Step\StepKind;
use UpsweptBead\Core\Tests\Support\Some;

covers(WeldSteps::class);

/** @return list<BenchStep> */
function stepsOfKind(Plan $plan, StepKind $kind): array
{
    return array_values(array_filter($plan->steps, static fn (BenchStep $one): bool => $one->kind === $kind));
}

it('purges as long as the sheet says, to the limit the sheet says', function () {
    foreach (stepsOfKind(Some::plan(), StepKind::Purge) as $step) {
        $purge = Some::plan()->weld->sheets[$step->subject]->purge;
        expect($step->seconds)->toBe($purge->value('fill'))
            ->and($step->measures[0]->name)->toBe('oxygen')
            ->and($step->measures[0]->most)->toBe($purge->value('target'));
    }
});

it('sets the machine by the sheet, and times the joint by it', function () {
    foreach (stepsOfKind(Some::plan(), StepKind::Weld) as $step) {
        $sheet = Some::plan()->weld->sheets[$step->subject];
        $planned = array_column($step->measures, 'planned', 'name');
        expect($planned['amps'])->toBe($sheet->settings['amps']->value)
            ->and($planned['flow'])->toBe($sheet->settings['flow']->value)
            ->and($planned['seconds'])->toBe($sheet->times->weldS)
            ->and($step->seconds)->toBe($sheet->times->weldS);
    }
});

it('keeps the purge on until the root may see air', function () {
    foreach (stepsOfKind(Some::plan(), StepKind::Weld) as $step) {
        $said = implode("\n", $step->do);
        expect(str_contains($said, 'Purge on until below'))->toBe(Some::plan()->weld->sheets[$step->subject]->isFilled());
    }
});

it('lets a joint cool until a hand may rest on it before hands go there: 45 °C as shipped', function () {
    foreach (stepsOfKind(Some::plan(), StepKind::Cool) as $step) {
        expect($step->measures[0]->name)->toBe('temperature')
            ->and($step->measures[0]->most)->toBe(45.0)
            ->and($step->coolsS)->toBeGreaterThanOrEqual(Some::plan()->weld->sheets[$step->subject]->times->touchS);
    }
});

it('measures twice where the next seam is begun below the code limit: once for the torch, once for a hand', function () {
    $shop = new Shop('S', Some::shop()->rules, Some::shop()->catalogue, Some::shop()->shelf, [], practices: new Practices(cool: CoolPractice::Code));
    $plan = Planner::plan(Some::routedJob(), $shop);
    $limit = $shop->rules->value('cool.code');
    expect(stepsOfKind($plan, StepKind::Warm))->not->toBe([]);
    foreach (stepsOfKind($plan, StepKind::Warm) as $step) {
        expect($step->measures[0]->most)->toBe($limit)
            ->and(implode("\n", $step->do))->toContain('no hand on it')
            ->and($step->coolsS)->toBeLessThan(stepsOfKind($plan, StepKind::Cool)[0]->coolsS ?? 0.0);
    }
    foreach (stepsOfKind($plan, StepKind::Cool) as $step) {
        expect($step->measures[0]->most)->toBe(45.0);
    }
});

it('tells each step what must have cooled before it, how far and how long that takes', function () {
    $steps = array_column(Some::plan()->steps, null, 'id');
    $waits = 0;
    foreach (Some::plan()->steps as $step) {
        foreach ($step->ready as $one) {
            $cool = $steps[StepKind::Cool->key($one->joint)] ?? $steps[StepKind::Warm->key($one->joint)];
            expect($step->after)->toContain($cool->id)
                ->and($one->limitC)->toBe($cool->measures[0]->most)
                ->and($one->seconds)->toBe($cool->coolsS);
            $waits++;
        }
    }
    expect($waits)->toBeGreaterThan(0);
});

it('drills and dresses for a bung before it is purged, where its mark says', function () {
    $document = JobWriter::toArray(Some::routedJob());
    $document['runs'][0]['fittings'] = [['kind' => 'temperature-probe', 'station' => '120 mm', 'fromTop' => 20]];
    $job = JobReader::fromJson((string) json_encode($document))->job ?? throw new LogicException('No job.');
    $plan = Planner::plan($job, Some::shop());
    [$bung] = $plan->joints->fittings;
    $step = array_column($plan->steps, null, 'id')["purge.$bung->jointId"];
    expect($step->do[0])->toContain("Mark $bung->pieceMark")
        ->and($step->do[1])->toContain(sprintf('step drill to %g mm', $bung->fitting->kind->holeMm()));
});

it('shows no degree Celsius, litre or millimetre of its own on an inch job, and no inch on a metric one', function () {
    $metric = JobReader::fromJson((string) json_encode(JobWriter::toArray(Some::routedJob()->in(UnitSystem::Metric))))->job;
    $shown = static fn (Plan $plan): string => implode("\n", array_merge(...array_map(
        static fn (BenchStep $step): array => in_array($step->kind, [StepKind::Purge, StepKind::Weld, StepKind::Cool], true)
            ? $step->do
            : [],
        $plan->steps,
    )));
    expect($shown(Some::plan()))->not->toMatch('/\d ?(°C|L\/min)/')
        ->and($metric === null ? '' : $shown(Planner::plan($metric, Some::shop())))->not->toMatch('/\d ?(°F|CFH)/');
});

<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Document\Faults;
use UpsweptBead\Core\Base\Reason\Notice;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Shop\Practice\CoolPractice;
use UpsweptBead\Core\Shop\Practice\RootPractice;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Shop\Practice\ShopReader;
use UpsweptBead\Core\Stage\Bench\BenchStep;
use UpsweptBead\Core\Stage\Plan\Plan;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Stage\Step\StepKind;
use UpsweptBead\Core\Tests\Support\Some;

/**
 * The example downpipe, or the same as another kind of work, with something overruled.
 *
 * @param  list<array{string, string, string}>  $overrides  figure, value, why
 */
function practised(array $overrides, string $purpose = 'turbo-downpipe', ?Shop $shop = null): Plan
{
    $document = JobWriter::toArray(Some::routedJob());
    $document['job']['purpose'] = $purpose;
    $document['overrides'] = array_map(
        static fn (array $one): array => ['figure' => $one[0], 'value' => $one[1], 'why' => $one[2]],
        $overrides,
    );

    return Planner::plan(JobReader::fromDecoded($document)->job ?? throw new LogicException('unreadable'), $shop ?? Some::shop());
}

/** @return list<string> */
function idsOf(Plan $plan, StepKind $kind): array
{
    return array_values(array_map(
        static fn (BenchStep $one): string => $one->id,
        array_filter($plan->steps, static fn (BenchStep $one): bool => $one->kind === $kind),
    ));
}

/** @return list<string> */
function problemsOf(Plan $plan): array
{
    return array_map(static fn (Notice $one): string => $one->message, $plan->weld->notices);
}

it('works by argon and waits for touch-cool unless the shop says otherwise, and says why', function () {
    $plan = practised([]);
    expect($plan->weld->practices['root']->value)->toBe('Argon')
        ->and($plan->weld->practices['cool']->value)->toBe('Touch-cool')
        ->and($plan->weld->practices['root']->reason->rule)->toContain('turbine')
        ->and($plan->weld->sheets['AJ2']->isFilled())->toBeTrue();
});

it('takes the shop’s own practice where it may be', function () {
    $read = ShopReader::read([
        'format' => 'upswept-bead/shop', 'version' => 1, 'name' => 'A shop',
        'schools' => ['root' => 'flux', 'cool' => 'code'], 'rules' => [], 'shelf' => [], 'bottles' => [],
    ], new Faults);
    expect($read->practices->root)->toBe(RootPractice::Flux)->and($read->practices->cool)->toBe(CoolPractice::Code);
    $system = practised([], 'system', $read);
    expect($system->weld->sheets['AJ2']->root->practice)->toBe(RootPractice::Flux)
        ->and($system->weld->cool)->toBe(CoolPractice::Code);
    // A manifold stays argon, whatever the shop does elsewhere.
    expect(practised([], 'turbo-manifold', $read)->weld->sheets['AJ2']->root->practice)->toBe(RootPractice::Argon);
});

it('never lets flux or a bare root upstream of a turbine, nor where nobody says', function (string $purpose, string $value) {
    $plan = practised([['purge.AJ2.school', $value, 'saves gas']], $purpose);
    expect($plan->weld->sheets['AJ2']->root->practice)->toBe(RootPractice::Argon)
        ->and(implode(' ', problemsOf($plan)))->toContain('Joint AJ2')
        ->and($plan->problems())->not->toBe([]);
})->with(['turbo-manifold', 'repair'])->with(['Flux paste', 'none']);

it('asks for a reason where a root is left without any shield', function () {
    $plan = practised([['purge.AJ2.school', 'None', '']]);
    expect($plan->weld->sheets['AJ2']->isFilled())->toBeTrue()->and(implode(' ', problemsOf($plan)))->toContain('say why');
    $said = practised([['purge.AJ2.school', 'None', 'street muffler system']]);
    expect($said->weld->sheets['AJ2']->root->practice)->toBe(RootPractice::None)
        ->and(problemsOf($said))->toBe([])
        ->and(implode(' ', $said->step('weld.AJ2')->do ?? []))->toContain('street muffler system');
});

it('needs no gas, no filling and no purge step where flux shields the root, and warns of it at the step', function () {
    [$argon, $flux] = [practised([]), practised([['purge.school', 'flux paste', 'whole system']])];
    expect(idsOf($argon, StepKind::Purge))->not->toBe([])
        ->and(idsOf($flux, StepKind::Purge))->toBe([])
        ->and($flux->weld->argon->purgeL)->toBe(0.0)
        ->and($flux->weld->sheets['AJ2']->times->fillS)->toBe(0.0)
        ->and($flux->schedule->totalS)->toBeLessThanOrEqual($argon->schedule->totalS)
        ->and(implode(' ', $flux->step('tack.AJ2')->do ?? []))->toContain('last 20–25 mm')->toContain('flammable')
        ->and(implode(' ', $flux->weld->sheets['AJ2']->warnings()))->toContain('Fluoride');
});

it('lets one joint do otherwise than its job', function () {
    $plan = practised([['purge.school', 'flux paste', ''], ['purge.AJ2.school', 'argon', 'beside the sensor']]);
    expect($plan->weld->sheets['AJ2']->isFilled())->toBeTrue()
        ->and($plan->weld->sheets['AJ3']->isFilled())->toBeFalse();
});

it('refuses what is no practice', function () {
    $plan = practised([['purge.school', 'nitrogen', ''], ['cool.school', 'when it suits', '']]);
    expect(problemsOf($plan))->toHaveCount(2)
        ->and(problemsOf($plan)[0])->toContain('"nitrogen"')->toContain('argon, flux paste or none')
        ->and($plan->weld->cool)->toBe(CoolPractice::Touch);
});

it('waits less for the next seam below the code limit, but hands wait for touch-cool all the same', function () {
    [$touch, $code] = [practised([]), practised([['cool.school', 'below the code limit', 'quick job']])];
    $sheets = [$touch->weld->sheets['AJ2'], $code->weld->sheets['AJ2']];
    expect($sheets[1]->times->coolS)->toBeLessThan(0.5 * $sheets[0]->times->coolS)
        ->and($sheets[1]->times->touchS)->toBeClose($sheets[0]->times->touchS)
        ->and($code->schedule->totalS)->toBeLessThanOrEqual($touch->schedule->totalS);
});

it('asks for touch-cool of what hands go to next, and for the code limit of a neighbour that is welded beside', function () {
    $plan = practised([['cool.school', 'below the code limit', '']]);
    foreach ($plan->steps as $step) {
        if ($step->kind === StepKind::Cool) {
            // 45 °C and 175 °C, from the shop's rules.
            expect($step->measures[0]->planned)->toBe(str_starts_with($step->id, 'cool.') ? 45.0 : 175.0);
        }
    }
    $ids = idsOf($plan, StepKind::Cool);
    $last = array_map(static fn (string $id): string => "cool.$id", array_keys($plan->schedule->last));
    expect(array_diff($last, $ids))->toBe([])->and(array_unique($ids))->toBe($ids);
    expect($last)->not->toBe([])
        ->and($plan->schedule->oneByOneS)->toBeLessThan(0.7 * practised([])->schedule->oneByOneS);
});

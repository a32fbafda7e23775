<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Stage\Weld\Internal\EndPart;
use UpsweptBead\Core\Stage\Weld\JointSheet;
use UpsweptBead\Core\Tests\Support\Some;

covers(EndPart::class);

/**
 * The sheets of the example downpipe, 3 in × .065 between a V-band ring and a flange, with some things changed.
 *
 * @param  array<string, mixed>  $change
 * @return array<string, JointSheet>
 */
function cooled(array $change = []): array
{
    $document = array_replace_recursive(JobWriter::toArray(Some::routedJob()), $change);

    return Planner::plan(JobReader::fromDecoded($document)->job ?? throw new LogicException('unreadable'), Some::shop())->weld->sheets;
}

// An independent model: 3 in × .065 at 50 A in still air is down to 45 °C after 19.7 min in the middle of a long tube.
it('cools a seam in the middle of its tube as long as an independent model says', function () {
    $sheet = cooled()['AJ3'];
    expect($sheet->settings['amps']->value)->toBe(50.0)
        ->and($sheet->times->coolS / 60)->toBeClose(19.7, 0.15, 0);
});

// The same at 65 A at an end with a clamped pair, by a model in two dimensions (core/tests/problems/cool-2d/band.json):
// 44 min.
it('cools a ring in its clamp for much longer', function () {
    $sheet = cooled()['AJ1'];
    expect($sheet->settings['amps']->value)->toBe(65.0)
        ->and($sheet->times->coolS / 60)->toBeClose(44.0, 0.1, 0)
        ->and($sheet->settings['cool']->reason->inputs)->not->toBe([]);
});

// By the same model the hottest place is below 250 °C after 68 s; a mean all round would be after 7.
it('keeps the purge on behind a ring for more than a minute', function () {
    expect(cooled()['AJ1']->times->keepS)->toBeGreaterThan(60.0)->toBeLessThan(100.0);
});

// On a block that warms the fillet outside takes tens of minutes, free longer; neither is cool after the fraction of a
// minute that a plate which stays cold would take.
it('never calls a flange cool while its block is warm', function () {
    $bolted = cooled()['AJ5'];
    $free = cooled(['overrides' => [['figure' => 'weld.AJ5.backing', 'value' => 'nothing', 'why' => 'no room']]])['AJ5'];
    expect($bolted->joint->type->value)->toBe('flange-fillet')
        ->and($bolted->times->touchS / 60)->toBeGreaterThan(5.0)
        ->and($free->times->touchS)->toBeGreaterThan(30 * 60.0)
        ->and($free->times->keepS)->toBeGreaterThan(2 * $bolted->times->keepS);
});

it('says what it knows to bolt a flange to where something else is asked for', function () {
    $sheet = cooled(['overrides' => [['figure' => 'weld.AJ5.backing', 'value' => 'a brick', 'why' => 'it is heavy']]])['AJ5'];
    expect($sheet->lack)->toContain('a brick')->toContain('steel plate')
        ->and($sheet->choices['backing']->value)->toBe('aluminium block');
});

it('gives a bung its mass', function () {
    $bung = ['kind' => 'oxygen-sensor-bung', 'station' => '14 in', 'fromTop' => 20];
    $sheet = cooled(['runs' => [['fittings' => [$bung]]]])['AB1'];
    expect($sheet->times->touchS / 60)->toBeGreaterThan(17.0)
        ->and($sheet->times->keepS)->toBeGreaterThan(150.0);
});

// A shop warmer than 20 °C stopped every plan with a flange; hotter than a hand bears it cools to its own air.
it('plans in a hot shop and a cold one', function (string $air) {
    $shop = Some::shop()->withRules(ShopRules::shipped()->with('cool.ambient', $air, UnitSystem::Metric));
    $sheets = Planner::plan(Some::routedJob(), $shop)->weld->sheets;
    foreach ($sheets as $sheet) {
        expect($sheet->times->touchS)->toBeGreaterThan(0.0)->toBeLessThan(48 * 3600.0);
    }
})->with(['-15 C', '0 C', '20.5 C', '28 C', '40 C', '44.9 C', '45 C', '50 C']);

// 200 mm away the tube rises by about 5 K: it can be welded now.
it('lets a seam wait for another only as far as that warms the tube', function () {
    foreach (cooled() as $sheet) {
        expect($sheet->times->apartMm)->toBeLessThanOrEqual(200.0)->toBeGreaterThanOrEqual(40.0);
    }
    expect(cooled()['AJ3']->times->apartMm)->toBeLessThan(200.0);
});

it('waits the longer the more heat went in, and until it may see air less than until it is touched', function () {
    $hot = cooled(['overrides' => [['figure' => 'weld.AJ3.amps', 'value' => '80 A', 'why' => 'gap']]])['AJ3'];
    $cold = cooled()['AJ3'];
    expect($hot->times->coolS)->toBeGreaterThan($cold->times->coolS)
        ->and($cold->times->keepS)->toBeLessThan($cold->times->coolS);
});

// Common practice: a bung is drilled and welded while its piece lies loose; only that is dammed and filled.
it('fills only the piece that a bung is welded to', function () {
    $sheets = cooled(['runs' => [['fittings' => [['kind' => 'oxygen-sensor-bung', 'station' => '14 in', 'fromTop' => 20]]]]]);
    $whole = $sheets['AJ2']->purge->value('volume');
    $piece = $sheets['AB1']->purge->value('volume');
    expect($piece)->toBeLessThan(0.8 * $whole)->toBeGreaterThan(0.05 * $whole)
        ->and($sheets['AB1']->purge->value('fill') / $sheets['AJ2']->purge->value('fill'))->toBeClose($piece / $whole, 1e-6, 0);
});

it('is as careful with a repair as upstream of a turbine, as nobody says where it lies', function (string $purpose, float $ppm) {
    expect(cooled(['job' => ['purpose' => $purpose]])['AJ3']->purge->value('target'))->toBe($ppm);
})->with([['repair', 50.0], ['turbo-manifold', 50.0], ['turbo-downpipe', 200.0], ['system', 200.0]]);

it('counts stops and post-flow into the time at a joint', function () {
    $document = JobWriter::toArray(Some::routedJob());
    $plan = Planner::plan(JobReader::fromDecoded($document)->job ?? throw new LogicException('unreadable'), Some::shop());
    [$step] = array_values(array_filter($plan->steps, static fn ($one): bool => $one->id === 'weld.AJ3'));
    expect($step->seconds)->toBe($plan->weld->sheets['AJ3']->times->weldS)
        ->and($step->seconds)->toBeGreaterThan($plan->weld->sheets['AJ3']->settings['arc']->value);
});

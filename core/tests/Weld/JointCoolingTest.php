<?php

declare(strict_types=1);

use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Plan\Planner;
use UpsweptBead\Core\Shop\Shop;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Weld\JointSheet;

/**
 * The sheets of the example downpipe, 3 in × .065 between a V-band ring and a flange, with some things changed.
 *
 * @param  array<string, mixed>  $change
 * @return array<string, JointSheet>
 */
function cooled(array $change = []): array
{
    $document = array_replace_recursive(JobWriter::toArray(Some::routedJob()), $change);

    return Planner::plan(JobReader::fromDecoded($document)->job ?? throw new LogicException('unreadable'), Shop::bare())->weld->sheets;
}

// An independent model: 3 in × .065 at 50 A in still air is down to 45 °C after 19.7 min in the middle of a long tube.
it('cools a seam in the middle of its tube as long as an independent model says', function () {
    $sheet = cooled()['AJ3'];
    expect($sheet->settings['amps']->value)->toBe(50.0)
        ->and($sheet->times->coolS / 60)->toBeClose(19.7, 0.15, 0);
});

// The same at 65 A at an end with a clamped .7 kg pair: 35 min; bolted to a plate it is cool almost at once.
it('cools a ring in its clamp for much longer, and a flange on its plate at once', function () {
    $sheets = cooled();
    expect($sheets['AJ1']->settings['amps']->value)->toBe(65.0)
        ->and($sheets['AJ1']->times->coolS / 60)->toBeClose(35.0, 0.2, 0)
        ->and($sheets['AJ1']->settings['cool']->reason->inputs)->not->toBe([])
        ->and($sheets['AJ5']->times->coolS / 60)->toBeLessThan(4.0);
});

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
    $whole = $sheets['AJ3']->purge->value('volume');
    $piece = $sheets['AB1']->purge->value('volume');
    expect($piece)->toBeLessThan(0.8 * $whole)->toBeGreaterThan(0.05 * $whole)
        ->and($sheets['AB1']->purge->value('fill') / $sheets['AJ3']->purge->value('fill'))->toBeClose($piece / $whole, 1e-6, 0);
});

it('is as careful with a repair as upstream of a turbine, as nobody says where it lies', function (string $purpose, float $ppm) {
    expect(cooled(['job' => ['purpose' => $purpose]])['AJ3']->purge->value('target'))->toBe($ppm);
})->with([['repair', 50.0], ['turbo-manifold', 50.0], ['turbo-downpipe', 200.0], ['system', 200.0]]);

it('counts stops and post-flow into the time at a joint', function () {
    $document = JobWriter::toArray(Some::routedJob());
    $plan = Planner::plan(JobReader::fromDecoded($document)->job ?? throw new LogicException('unreadable'), Shop::bare());
    [$step] = array_values(array_filter($plan->steps, static fn ($one): bool => $one->id === 'weld.AJ3'));
    expect($step->seconds)->toBe($plan->weld->sheets['AJ3']->times->weldS)
        ->and($step->seconds)->toBeGreaterThan($plan->weld->sheets['AJ3']->settings['arc']->value);
});

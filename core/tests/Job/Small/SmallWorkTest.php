<?php

declare(strict_types=1);

use UpsweptBead\Core\Account\Stores\Need;
use UpsweptBead\Core\Account\Stores\Needs;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Job\Small\SmallKind;
use UpsweptBead\Core\Job\Small\SmallPlace;
use UpsweptBead\Core\Job\Small\SmallWork;
use UpsweptBead\Core\Stage\Bench\BenchStep;
use UpsweptBead\Core\Stage\Joint\JointType;
use UpsweptBead\Core\Stage\Plan\Plan;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Tests\Support\Some;

function smallWork(
    SmallKind $kind,
    SmallPlace $place = SmallPlace::Behind,
    string $metal = '304L',
    string $tube = 'T3.000x.065',
    float $crackMm = 25.0,
): SmallWork {
    return new SmallWork(
        $kind,
        $place,
        Some::shop()->catalogue->tube($tube),
        $metal,
        Length::ofMm($crackMm),
        Length::parse('12 in', UnitSystem::Inch),
    );
}

function smallPlan(SmallWork $work): Plan
{
    return Planner::planInFull($work->job('S-0001', UnitSystem::Inch), Some::shop());
}

/** @return list<string> */
function smallSteps(SmallKind $kind): array
{
    return array_map(static fn (BenchStep $step): string => $step->id, smallPlan(smallWork($kind))->steps);
}

it('keeps small work as a job like any other, in the open format', function (SmallKind $kind) {
    $job = smallWork($kind)->job('S-0001', UnitSystem::Inch);
    $again = JobReader::fromJson(JobWriter::toJson($job));
    expect($again->faults)->toBe([])
        ->and(JobWriter::toJson($again->job ?? $job))->toBe(JobWriter::toJson($job))
        ->and($again->job?->runs[0]->isThere)->toBeTrue();
})->with(SmallKind::cases());

it('cuts, fits and tries nothing on a tube that is there already', function (SmallKind $kind) {
    $plan = smallPlan(smallWork($kind));
    $ids = implode(' ', array_map(static fn (BenchStep $step): string => $step->id, $plan->steps));
    expect($ids)->not->toMatch('/prepare\.|trial\.|full\.|refit\./')
        ->and($plan->cut->stock)->toBe([])
        ->and(implode(' ', array_map(static fn (Need $need): string => $need->name, Needs::of($plan, Some::shop()))))->not->toContain('Crack')
        ->and($plan->problems())->toBe([]);
})->with(SmallKind::cases());

it('purges, welds, lets cool and looks at it; what is cut or ground out comes first', function () {
    $rest = ['purge', 'weld', 'cool', 'inspect'];
    $of = static fn (string $joint, string ...$kinds): array => array_map(
        static fn (string $kind): string => "$kind.$joint",
        array_values($kinds),
    );
    expect(smallSteps(SmallKind::Bung))->toBe([...$of('AB1', ...$rest), 'leak-test.A'])
        ->and(smallSteps(SmallKind::Crack))->toBe([...$of('AB1', 'tack', ...$rest), 'leak-test.A'])
        ->and(smallSteps(SmallKind::Seam))->toBe([...$of('AJ1', 'tack', ...$rest), 'leak-test.A']);
});

it('cuts the old weld out before it fills the tube with argon', function () {
    $steps = array_column(smallPlan(smallWork(SmallKind::Seam))->steps, null, 'id');
    expect($steps['tack.AJ1']->title)->toBe('Cut AJ1 out')
        ->and($steps['tack.AJ1']->do[0])->toContain('Never weld over sugar')
        ->and($steps['purge.AJ1']->after)->toBe(['tack.AJ1']);
});

// Common practice, and the shop's targets: 50 ppm before a turbine, 200 elsewhere.
it('asks for a cleaner root before a turbine than behind it', function () {
    $target = static fn (SmallPlace $place): float => smallPlan(smallWork(SmallKind::Seam, $place))
        ->weld->sheets['AJ1']->purge->value('target');
    expect($target(SmallPlace::BeforeTurbine))->toBe(50.0)->and($target(SmallPlace::Behind))->toBe(200.0);
});

it('welds a crack through its wall like a butt, as long as it was ground out', function () {
    $crack = smallPlan(smallWork(SmallKind::Crack, crackMm: 40.0));
    $seam = smallPlan(smallWork(SmallKind::Seam));
    expect($crack->joints->joints[0]->type)->toBe(JointType::Crack)
        ->and($crack->joints->joints[0]->seam->lengthMm)->toBe(40.0)
        ->and($crack->weld->sheets['AB1']->settings['amps']->value)
        ->toBe($seam->weld->sheets['AJ1']->settings['amps']->value);
});

it('fills what lies between the dams', function () {
    $litres = smallPlan(smallWork(SmallKind::Bung))->weld->sheets['AB1']->purge->value('volume');
    expect($litres)->toEqualWithDelta(M_PI / 4 * (72.898 / 100) ** 2 * 3.048, 0.001);
});

it('refuses what cannot be welded, and keeps the root as long as the torch stays over it', function () {
    expect(smallPlan(smallWork(SmallKind::Tab, metal: 'titanium'))->problems())->not->toBe([]);
    $sheet = smallPlan(smallWork(SmallKind::Crack, crackMm: 5.0))->weld->sheets['AB1'];
    expect($sheet->purge->value('keep'))->toBeGreaterThanOrEqual($sheet->settings['postflow']->value);
});

it('says where a length is given that is none of a crack', function () {
    $document = JobWriter::toArray(smallWork(SmallKind::Bung)->job('S-1', UnitSystem::Inch));
    $read = static fn (array $fitting): array => JobReader::fromJson((string) json_encode(
        array_replace_recursive($document, ['runs' => [['fittings' => [$fitting]]]]),
    ))->faults;
    expect($read(['length' => '1 in'])[0]->path)->toBe('runs[0].fittings[0].length')
        ->and($read(['kind' => 'crack', 'length' => '4 ft'])[0]->message)->toContain('3 mm and 1 m');
});

<?php

declare(strict_types=1);

use UpsweptBead\Core\Account\Stores\Needs;
use UpsweptBead\Core\Exchange\Screens\PlanWriter;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Stage\Bench\BenchStep;
use UpsweptBead\Core\Stage\Cut\EndPrep;
use UpsweptBead\Core\Stage\Fit\Order\Phase;
use UpsweptBead\Core\Stage\Fit\Order\Task;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Joint\JointType;
use UpsweptBead\Core\Stage\Plan\Plan;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Stage\Schedule\Slot;
use UpsweptBead\Core\Stage\Step\StepKind;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeCollectors;

/** @return list<string> */
function stepIds(Plan $plan): array
{
    return array_map(static fn (BenchStep $one): string => $one->id, $plan->steps);
}

/** The demo manifold, with all its routes, and its collector made here. */
function manifoldInto(string $part): Plan
{
    $document = json_decode((string) file_get_contents(dirname(__DIR__, 4).'/database/demo/rally-coupe-manifold.job.json'), true);
    assert(is_array($document));
    foreach ($document['set']['collectors'] as $i => $one) {
        $document['set']['collectors'][$i]['build'] = [
            'letter' => chr(ord('R') + $i), 'make' => 'bought', 'inlets' => max(2, count($one['runs'])), 'tube' => 'P1.5-10S',
            'at' => $document['runs'][0]['end']['at'], 'axis' => [0, 1, 0],
            'part' => ['kind' => $part, 'name' => 'Turbine flange', 'metal' => '304L', 'wall' => '1/2 in'],
        ];
    }

    return Planner::plan(JobReader::fromDecoded($document)->job ?? throw new LogicException('unread'), Some::shop());
}

it('cuts the tubes of a collector from the same sticks as everything else', function () {
    $plan = Planner::plan(SomeCollectors::job(), Some::shop());
    $pieces = $plan->cut->piecesOf('K');
    expect(array_map(static fn ($one): string => $one->mark, $pieces))->toBe(['K1', 'K2', 'K3', 'K4'])
        ->and($pieces[0]->endPrep)->toBe(EndPrep::Template)
        ->and($pieces[0]->startPrep)->toBe(EndPrep::Square)
        ->and($plan->cut->nestings[0]->bars)->not->toBe([])
        ->and($plan->cut->bars())->toBe(1)
        ->and($plan->cut->stock[0]->stockId)->toBe('T1.750x.065');
});

it('cuts merge bends out of the bends that are bought, with the slip on a leg', function () {
    $plan = Planner::plan(SomeCollectors::job(['make' => 'bent', 'inlets' => 2]), Some::shop());
    [$piece] = $plan->cut->piecesOf('K');
    expect($piece->isBend())->toBeTrue()
        ->and($piece->span->legBeforeMm)->toBeClose(57.15)
        ->and($piece->cutLengthMm())->toBeClose($piece->span->legBeforeMm + deg2rad($piece->angleDeg) * 76.2 + $piece->span->legAfterMm)
        ->and($piece->place)->not->toBeNull()
        ->and($plan->cut->bends())->toBeLessThanOrEqual(2);
});

it('has each seam as a joint with its true length, and sheets for all of them', function () {
    $plan = Planner::plan(SomeCollectors::job(['part' => ['kind' => 'flange', 'name' => 'Turbine flange', 'metal' => '304L', 'wall' => '1/2 in']]), Some::shop());
    $joints = $plan->joints->ofRun('K');
    $seams = array_filter($joints, static fn (Joint $one): bool => $one->type === JointType::MergeSeam);
    $shape = $plan->layout->placement->collectors->all[0]->shape;
    expect(count($seams))->toBe(4)
        ->and(array_values($seams)[0]->seam->lengthMm)->toBeClose($shape->seamMm ?? 0.0)
        ->and(count($joints))->toBe(6)
        ->and(array_keys($plan->weld->sheets))->toEqualCanonicalizing(array_map(static fn (Joint $one): string => $one->id, $joints))
        ->and($plan->weld->sheets['KJ1']->tacks->fullDeg)->toBe([])
        ->and($plan->weld->argon->purgeL)->toBeGreaterThan(0.0);
});

it('welds a collector whole before anything else, its flange behind its seams', function () {
    $plan = Planner::plan(SomeCollectors::job(['part' => ['kind' => 'flange', 'name' => 'Turbine flange', 'metal' => '304L', 'wall' => '1/2 in']]), Some::shop());
    $phases = array_map(static fn (Slot $one): Phase => $one->phase, $plan->schedule->slots);
    expect($phases)->toBe([...array_fill(0, 4, Phase::Merge), Phase::Outlet, Phase::Outlet])
        ->and($plan->schedule->slots[0]->why)->toContain('Pairs first')
        ->and(array_map(static fn (Task $one): string => $one->id, $plan->fit->build->ofKind(StepKind::Tack)))->toBe(['tack.KJ1', 'tack.KJ2', 'tack.KJ3', 'tack.KJ4', 'tack.KJ5']);
});

it('is a whole order without a single run', function () {
    $plan = Planner::plan(SomeCollectors::job(['make' => 'bent', 'inlets' => 2]), Some::shop());
    expect(stepIds($plan))->toBe([
        'prepare.K1', 'prepare.K2', 'tack.KJ1', 'purge.KJ1', 'weld.KJ1', 'cool.KJ1', 'inspect.KJ1', 'outlet.K', 'true.K',
        'leak-test.K',
    ])->and($plan->problems())->toBe([])
        ->and(json_decode((string) json_encode(PlanWriter::toArray($plan))))->toBeAn('WholePlan');
});

it('measures each seam once before it is gone on, and no joint twice', function () {
    $ids = stepIds(Planner::plan(SomeCollectors::job(['part' => ['kind' => 'v-band', 'name' => 'Ring', 'metal' => '304L', 'wall' => '5 mm']]), Some::shop()));
    expect(count($ids))->toBe(count(array_unique($ids)))
        ->and(array_search('outlet.K', $ids, true))->toBeGreaterThan(array_search('cool.KJ4', $ids, true))
        ->and(array_search('weld.KJ5', $ids, true))->toBeGreaterThan(array_search('outlet.K', $ids, true));
});

it('makes the collector first where runs go into it, and checks a bought one as it comes', function () {
    $plan = manifoldInto('flange');
    $ids = stepIds($plan);
    expect($ids[0])->toBe('check.R')
        ->and(array_search('weld.RJ1', $ids, true))->toBeLessThan(array_search('prepare.A1', $ids, true))
        ->and(array_search('prepare.A1', $ids, true))->not->toBeFalse()
        ->and(array_column(Needs::of($plan, Some::shop()), 'key'))->toContain('flange-P1.5-10S');
});

it('names the saddle of a branch with its true length, welds it last and cuts its end to a template', function () {
    $plan = Planner::plan(SomeCollectors::branched(), Some::shop());
    $saddles = array_values(array_filter($plan->joints->joints, static fn (Joint $one): bool => $one->type === JointType::Saddle));
    $last = $plan->schedule->slots[count($plan->schedule->slots) - 1];
    expect(count($saddles))->toBe(1)
        ->and($saddles[0]->seam->lengthMm)->toBeClose($plan->layout->placement->branches[0]->seamMm)
        ->and($saddles[0]->seam->lengthMm)->toBeGreaterThan(M_PI * 38.1)
        ->and($last->joint->type)->toBe(JointType::Saddle)
        ->and($plan->cut->piecesOf('W')[0]->startPrep)->toBe(EndPrep::Saddle)
        ->and($plan->layout->run('W')?->farEnd->isClosed())->toBeTrue()
        ->and($plan->problems())->toBe([])
        ->and(json_decode((string) json_encode(PlanWriter::toArray($plan))))->toBeAn('WholePlan');
});

it('routes a branch that is no stub like any other run, its straight beginning behind the saddle', function () {
    $document = UpsweptBead\Core\Job\JobWriter::toArray(SomeCollectors::branched());
    unset($document['runs'][1]['start']['saddle']['stub']);
    $document['runs'][1]['end'] = [...$document['runs'][1]['end'], 'at' => [650, 120, 260], 'direction' => [1, 0.2, 0]];
    $job = JobReader::fromDecoded($document)->job ?? throw new LogicException('unread');
    $answers = Planner::route($job, 'W', Some::shop());
    $reachMm = UpsweptBead\Core\Stage\Merge\Placement::of($job, Some::shop())->branches[0];
    expect($answers->answers)->not->toBe([])
        ->and($answers->answers[0]->run->straightsMm()[0])->toBeGreaterThan($reachMm->highMm - $reachMm->lowMm + 25.3);
});

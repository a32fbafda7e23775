<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Document\Faults;
use UpsweptBead\Core\Base\Reason\Notice;
use UpsweptBead\Core\Exchange\Screens\PlanWriter;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Shop\Practice\Rates;
use UpsweptBead\Core\Shop\Practice\ShopReader;
use UpsweptBead\Core\Stage\Cut\MakeOrBuy;
use UpsweptBead\Core\Stage\Cut\Piece;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Joint\JointType;
use UpsweptBead\Core\Stage\Layout\ByHand;
use UpsweptBead\Core\Stage\Plan\Plan;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeCollectors;

/**
 * A run of 3 in tube with one bend on a radius that nobody stocks, unless it is made of wedges.
 *
 * @param  array<string, mixed>  $bend
 */
function madeBend(array $bend, float $endMm = 200.0): Job
{
    $document = JobWriter::toArray(SomeCollectors::branched());
    $document['runs'] = [$document['runs'][0]];
    $document['runs'][0]['route'] = [
        'bends' => [['straight' => 150, 'rotation' => 0, 'angle' => 90, 'clr' => 114.3, ...$bend]],
        'endStraight' => $endMm,
    ];
    $job = JobReader::fromDecoded($document)->job ?? throw new LogicException('unread');
    // Its target is where it comes out.
    $end = Planner::sketch($job, Some::shop())->layout->run('A')?->run->end() ?? throw new LogicException('A');
    $document['runs'][0]['end'] = [
        ...$document['runs'][0]['end'], 'at' => $end->at->toArray(), 'direction' => $end->forward->toArray(),
    ];

    return JobReader::fromDecoded($document)->job ?? throw new LogicException('unread');
}

/** @return list<string> */
function saidOf(Plan $plan): array
{
    return array_map(static fn (Notice $one): string => $one->message, $plan->problems());
}

it('makes a bend of wedges that no bend on the list does', function () {
    expect(saidOf(Planner::plan(madeBend(['clr' => 100]), Some::shop()))[0])->toContain('No bend of 3 in × .065 is stocked');
    $plan = Planner::plan(madeBend(['clr' => 100, 'pie' => 5]), Some::shop());
    [$piece] = $plan->cut->piecesOf('A');
    expect(saidOf($plan))->toBe([])
        ->and($piece->pie?->welds)->toBe(5)
        ->and($piece->stockId)->toBe('T3.000x.065')
        ->and($plan->cut->bends())->toBe(0)
        ->and($plan->cut->bars())->toBe(1)
        ->and(json_decode((string) json_encode(PlanWriter::toArray($plan))))->toBeAn('WholePlan');
});

// Handbook 7.9: D 3 in, R 4.5 in, 90°, k = 5 gives 48.28 mm outside and 24.14 inside. 12.2: each weld draws its sides
// together by a tenth of the mean bead width.
it('has the wedges of the handbook, each longer by what a weld draws together, the ends by half of it', function () {
    $pie = Planner::plan(madeBend(['pie' => 5]), Some::shop())->cut->piecesOf('A')[0]->pie;
    $shrinkMm = 0.1 * 3 * 1.651;
    expect($pie?->shrinkMm)->toBeClose($shrinkMm)
        ->and($pie?->wedge()->outerMm)->toBeClose(48.28 + $shrinkMm, 0.0, 0.01)
        ->and($pie?->wedge()->innerMm)->toBeClose(24.14 + $shrinkMm, 0.0, 0.01)
        ->and($pie?->end()->centreMm)->toBeClose(114.3 * tan(deg2rad(9.0)) + $shrinkMm / 2);
});

it('has the very wedges where a shop’s seams draw nothing together', function () {
    $shop = ShopReader::read(
        ['format' => 'upswept-bead/shop', 'version' => 1, 'name' => 'S', 'rules' => ['weld.shrink_wedge' => '0 %']],
        new Faults(),
    );
    $pie = Planner::plan(madeBend(['pie' => 5]), $shop)->cut->piecesOf('A')[0]->pie;
    expect($pie?->wedge()->outerMm)->toBeClose(48.28, 0.0, 0.01)
        ->and($pie?->wedge()->innerMm)->toBeClose(24.14, 0.0, 0.01);
});

it('takes from the stick what its legs, its wedges and its allowances are long', function () {
    $plan = Planner::plan(madeBend(['pie' => 5]), Some::shop());
    [$piece] = $plan->cut->piecesOf('A');
    // Turned half round, wedges and ends lie in the stick with their middles: k·2R·tan δ, what each weld draws
    // together, and a slanted kerf each cut.
    $mitre = deg2rad(9.0);
    $stickMm = 5 * (2 * 114.3 * tan($mitre) + 0.1 * 3 * 1.651) + 5 * 1.0 / cos($mitre);
    expect($piece->cutLengthMm())->toBeClose(150 + 200 + $stickMm + $piece->allowances->totalMm(), 1e-6)
        ->and($piece->allowances->trim->value)->toBeClose(12.7)
        ->and($piece->place->untilMm ?? 0.0)->toBeClose(3.0 + $piece->cutLengthMm());
});

it('has a weld for each cut, each longer than once round, in the bend', function () {
    $plan = Planner::plan(madeBend(['pie' => 5]), Some::shop());
    $welds = array_values(array_filter(
        $plan->joints->ofRun('A'),
        static fn (Joint $one): bool => $one->type === JointType::PieCut,
    ));
    expect(array_map(static fn (Joint $one): string => $one->between->name, $welds))->toBe(['A1.1', 'A1.2', 'A1.3', 'A1.4', 'A1.5'])
        ->and($welds[0]->seam->lengthMm)->toBeGreaterThan(M_PI * 76.2)->toBeLessThan(M_PI * 76.2 * 1.02)
        ->and($welds[0]->seam->stationMm)->toBeClose(150 + 114.3 * deg2rad(9))
        ->and($welds[4]->seam->stationMm)->toBeClose(150 + 114.3 * deg2rad(81))
        ->and(array_keys($plan->weld->sheets))->toContain($welds[2]->id)
        ->and(count($plan->fit->build->ofKind(UpsweptBead\Core\Stage\Step\StepKind::Tack)))->toBe(7);
});

it('does not take wedges for a bend that is bought, nor a bought bend for wedges', function () {
    $both = madeBend(['pie' => 5]);
    $document = JobWriter::toArray($both);
    $document['runs'][0]['route']['bends'][] = ['straight' => 100, 'rotation' => 0, 'angle' => 45, 'clr' => 114.3];
    $job = JobReader::fromDecoded($document)->job ?? throw new LogicException('unread');
    $pieces = Planner::plan($job, Some::shop())->cut->piecesOf('A');
    $ofBends = array_values(array_filter($pieces, static fn (Piece $one): bool => $one->span->bendIndex !== null));
    expect(array_map(static fn (Piece $one): bool => $one->pie !== null, $ofBends))->toBe([true, false])
        ->and($ofBends[1]->stockId)->toStartWith('B3.000x.065-R4.5');
});

it('refuses wedges without a throat, and warns of few welds', function () {
    expect(saidOf(Planner::plan(madeBend(['clr' => 30, 'pie' => 5]), Some::shop()))[0])->toContain('no throat left');
    $notices = Planner::plan(madeBend(['pie' => 2]), Some::shop())->notices();
    expect(implode(' ', array_map(static fn (Notice $one): string => $one->message, $notices)))->toContain('turns the gas by 45°');
});

it('keeps its welds when the far end is closed and when the job is written', function () {
    $job = madeBend(['pie' => 5]);
    $again = JobReader::fromJson(JobWriter::toJson($job))->job;
    expect($again?->run('A')?->route?->rows[0]->pieWelds)->toBe(5)
        ->and(ByHand::of($job, Some::shop(), 'A')->close()->rows[0]->pieWelds)->toBe(5)
        ->and(JobReader::fromDecoded(array_replace_recursive(
            JobWriter::toArray($job),
            ['runs' => [['route' => ['bends' => [['pie' => 2.5]]]]]],
        ))->faults[0]->path)->toBe('runs[0].route.bends[0].pie');
});

// Handbook 2.8, common practice with no source: 60 cuts are 15 h and about 8 blades, against a set for about 30.
it('adds up what sawing wedges costs against a set cut ready', function () {
    $sum = MakeOrBuy::ofCuts(60, Rates::of(Some::shop()));
    expect($sum->minutes / 60)->toBeClose(15.0)
        ->and(ceil($sum->blades))->toBe(8.0)
        ->and($sum->set)->toBeClose(30.0)
        ->and($sum->making)->toBeClose(15 * 70 + 7.5 * 25)
        ->and($sum->isBought())->toBeTrue();
});

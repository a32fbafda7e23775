<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Document\Faults;
use UpsweptBead\Core\Base\Reason\Notice;
use UpsweptBead\Core\Exchange\Screens\PlanWriter;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Shop\Practice\ShopReader;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Joint\JointType;
use UpsweptBead\Core\Stage\Plan\NextAction;
use UpsweptBead\Core\Stage\Plan\Plan;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Tests\Support\Some;

covers(NextAction::class);

/** @param  callable(array<string, mixed>): array<string, mixed>  $change */
function planOf(callable $change): Plan
{
    $document = UpsweptBead\Core\Job\JobWriter::toArray(Some::routedJob());

    return Planner::plan(
        JobReader::fromDecoded($change($document))->job ?? throw new LogicException('unreadable'),
        Some::shop(),
    );
}

/** @return list<string> */
function messages(Plan $plan): array
{
    return array_map(static fn (Notice $notice): string => "$notice->path $notice->message", $plan->notices());
}

it('gives the same plan for the same job and shop', function () {
    expect(PlanWriter::toArray(Some::plan()))->toEqual(PlanWriter::toArray(Some::plan()));
});

it('plans the example without a problem: closed far end, every joint with a sheet and steps', function () {
    $plan = Some::plan();
    expect($plan->problems())->toBe([])
        ->and($plan->layout->runs[0]->farEnd->isClosed())->toBeTrue()
        ->and(array_map(static fn (Joint $joint): JointType => $joint->type, $plan->joints->joints))
        ->toBe([JointType::VBandButt, JointType::Butt, JointType::Butt, JointType::FlangeSeal, JointType::FlangeFillet])
        ->and($plan->weld->sheets)->toHaveCount(5);
    foreach ($plan->joints->joints as $joint) {
        foreach (['purge', 'weld', 'cool'] as $kind) {
            expect($plan->step("$kind.$joint->id"))->not->toBeNull();
        }
    }
});

it('does not plan past a run that has no route or no known tube', function () {
    expect(Planner::plan(Some::job(), Some::shop())->weld->sheets)->toBe([]);
    $plan = planOf(
        static fn (array $job): array => array_replace_recursive($job, ['runs' => [['tube' => 'T9.999x.065']]]),
    );
    expect(implode("\n", messages($plan)))->toContain('runs[0].tube There is no tube "T9.999x.065"');
});

it('says at its place what cannot be built', function (array $change, string $message) {
    $notices = messages(planOf(static fn (array $job): array => array_replace_recursive($job, $change)));
    expect(implode("\n", $notices))->toContain($message);
})->with([
    'a radius nobody stocks' => [
        ['runs' => [['route' => ['bends' => [['clr' => '5 in']]]]]],
        'runs[0].route.bends[0].clr No bend of 3 in × .065 is stocked on a centreline radius of 5 in',
    ],
    'an angle beyond the bends' => [
        ['runs' => [['route' => ['bends' => [['angle' => 95]]]]]],
        'runs[0].route.bends[0].angle Bends on this radius are bought up to 90°',
    ],
    'a leg of no length' => [
        ['runs' => [['route' => ['endStraight' => 0]]]],
        'runs[0].route.endStraight This straight has 0 in',
    ],
    'an open far end' => [['runs' => [['route' => ['endStraight' => '6 in']]]], 'runs[0].route The far end is open'],
    'titanium' => [['runs' => [['end' => ['metal' => 'titanium']]]], 'Titanium never joins steel'],
    'unheard-of metal' => [['job' => ['metal' => 'unobtainium']], 'job.metal "unobtainium" is not a metal'],
    '303' => [['runs' => [['start' => ['metal' => '303']]]], '303 free-machining stainless: cracks when welded'],
    'a bung below' => [
        ['runs' => [['fittings' => [['kind' => 'oxygen-sensor-bung', 'station' => '10 in', 'fromTop' => 150]]]]],
        'runs[0].fittings[0].fromTop A sensor in the lower half',
    ],
    'a bung off the top' => [
        ['runs' => [['fittings' => [['kind' => 'oxygen-sensor-bung', 'station' => '10 in', 'fromTop' => 75]]]]],
        'sits best between 10 and 2',
    ],
    'a bung on a joint' => [
        ['runs' => [['fittings' => [['kind' => 'oxygen-sensor-bung', 'station' => '0.4 in', 'fromTop' => 0]]]]],
        'runs[0].fittings[0].station The bung sits',
    ],
    'a bung past the end' => [
        ['runs' => [['fittings' => [['kind' => 'oxygen-sensor-bung', 'station' => '90 in', 'fromTop' => 0]]]]],
        'beyond the end of the run',
    ],
    'impossible straight' => [
        ['runs' => [['route' => ['bends' => [['straight' => '200 in']]]]]],
        'is longer than the tube comes',
    ],
]);

it('places a bung round the tube from the throat line before it', function () {
    $plan = planOf(
        static fn (array $job): array => array_replace_recursive($job, [
            'runs' => [['fittings' => [['kind' => 'oxygen-sensor-bung', 'station' => '14 in', 'fromTop' => 20]]]],
        ]),
    );
    $placed = $plan->joints->fittings[0];
    $run = $plan->layout->runs[0]->run;
    $frame = $run->frameAt(14 * 25.4)->turned($placed->fromThroat->turnDeg);
    // The marked line leans 20° from straight up, clockwise looking with the flow.
    $top = UpsweptBead\Core\Base\Geometry\Frame::facing($frame->at, $frame->forward)->reference;
    expect($top->turnedAbout($frame->forward, 20)->distanceTo($frame->reference))->toBeLessThan(1e-9)
        ->and($placed->pieceMark)->toBe('A2')
        ->and($placed->fromPieceStartMm)->toBeClose(14 * 25.4 - $plan->cut->piecesOf('A')[1]->span->fromMm)
        ->and($plan->step('weld.AB1'))->not->toBeNull();
});

it('asks for 50 ppm upstream of a turbine and 200 elsewhere', function (string $purpose, float $ppm) {
    $plan = planOf(static fn (array $job): array => array_replace_recursive($job, ['job' => ['purpose' => $purpose]]));
    expect($plan->weld->sheets['AJ1']->purge->value('target'))->toBe($ppm);
})->with([['turbo-manifold', 50.0], ['turbo-downpipe', 200.0]]);

it('accounts for argon joint by joint and against the bottles', function () {
    $plan = Some::plan();
    $sum = 0.0;
    foreach ($plan->weld->sheets as $sheet) {
        $sum += $sheet->settings['torchArgon']->value;
    }
    expect($plan->weld->argon->torchL)->toBeClose($sum)
        ->and($plan->weld->argon->isEnough())->toBeFalse();
    $shop = ShopReader::read(
        [
            'format' => 'upswept-bead/shop',
            'version' => 1,
            'name' => 'S',
            'bottles' => [
                ['name' => 'T', 'use' => 'torch', 'capacity' => '150 ft³', 'full' => '2400 psi', 'gauge' => '2400 psi'],
                ['name' => 'P', 'use' => 'purge', 'capacity' => '20 ft³', 'full' => '2000 psi', 'gauge' => '100 psi'],
            ],
        ],
        new Faults(),
    );
    $low = Planner::plan(Some::routedJob(), $shop);
    // What is left above the usable minimum, by absolute pressure: ideal gas at one temperature.
    expect($low->weld->argon->torchLeftL)
        ->toBeClose((150 * 28.316846592 * (2400 * 6.894757293168 - 350)) / (2400 * 6.894757293168 + 101.325))
        ->and($low->weld->argon->purgeLeftL)
        ->toBeClose((20 * 28.316846592 * (100 * 6.894757293168 - 350)) / (2000 * 6.894757293168 + 101.325))
        ->and(implode(' ', messages($low)))->toContain('cannot finish this job');
});

it('says what to buy beyond what is on the shelf', function () {
    $shop = ShopReader::read(
        ['format' => 'upswept-bead/shop', 'version' => 1, 'name' => 'S', 'shelf' => ['T3.000x.065' => 4]],
        new Faults(),
    );
    $needs = Planner::plan(Some::routedJob(), $shop)->cut->stock;
    foreach ($needs as $need) {
        expect($need->toBuy())->toBe($need->stockId === 'T3.000x.065' ? 0 : $need->needed);
    }
    expect($needs)->not->toBe([]);
});

it('notes what is wrong in a shop document and reads the rest', function () {
    $faults = new Faults();
    $shop = ShopReader::read(
        [
            'format' => 'upswept-bead/shop',
            'version' => 1,
            'name' => 'S',
            'rules' => ['cut.kerf' => '2 mm', 'cut.kerb' => '1 mm', 'purge.flow' => 'much'],
            'shelf' => ['nonsense' => 3],
        ],
        $faults,
    );
    expect(array_map(static fn ($fault): string => $fault->path, $faults->all()))
        ->toBe(['rules.cut.kerb', 'rules.purge.flow', 'shelf.nonsense'])
        ->and($shop->rules->value('cut.kerf'))->toBe(2.0)
        ->and($shop->rules->get('cut.kerf')->source->kind->label())->toContain('own rule');
});

it('plans by the shop’s own rules', function () {
    $shop = ShopReader::read(
        [
            'format' => 'upswept-bead/shop',
            'version' => 1,
            'name' => 'S',
            'rules' => ['weld.amps_per_thou' => '1', 'route.first_straight' => '5 in'],
        ],
        new Faults(),
    );
    $plan = Planner::plan(Some::routedJob(), $shop);
    expect($plan->weld->sheets['AJ2']->settings['amps']->value)->toBe(65.0)
        ->and(implode(' ', messages($plan)))->toContain('the shop’s least is 5 in');
});

it('takes a job without runs for what it is', function () {
    $job = Some::job();
    $plan = Planner::plan(
        new Job($job->number, $job->title, '', '', $job->purpose, $job->units, $job->metal, '', [], $job->overrides),
        Some::shop(),
    );
    expect($plan->layout->runs)->toBe([])->and($plan->steps)->toBe([])->and($plan->joints->joints)->toBe([]);
});

<?php

declare(strict_types=1);

use UpsweptBead\Core\Job\Collector\CollectorMake;
use UpsweptBead\Core\Solve\Merge\LinePoint;
use UpsweptBead\Core\Stage\Cut\CollectorPieces;
use UpsweptBead\Core\Stage\Joint\CollectorJoints;
use UpsweptBead\Core\Stage\Merge\BranchingChecks;
use UpsweptBead\Core\Stage\Merge\BuiltCollector;
use UpsweptBead\Core\Stage\Merge\CentrePlate;
use UpsweptBead\Core\Stage\Merge\CollectorShape;
use UpsweptBead\Core\Stage\Merge\CollectorSizes;
use UpsweptBead\Core\Stage\Merge\MergeSeam;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeCollectors;

covers(
    CollectorPieces::class,
    CollectorJoints::class,
    CollectorShape::class,
    CollectorSizes::class,
    BranchingChecks::class,
    CentrePlate::class,
);

/** Every collector that is made here, of 1 3/4 in tube or of pipe. */
dataset('made', [
    'two of straight tube' => [['inlets' => 2]],
    'three of straight tube' => [['inlets' => 3]],
    'four of straight tube' => [['inlets' => 4]],
    'five of straight tube' => [['inlets' => 5]],
    'six of straight tube' => [['inlets' => 6]],
    'two of merge bends' => [['inlets' => 2, 'make' => 'bent']],
    'four of merge bends' => [['inlets' => 4, 'make' => 'bent', 'outlet' => 'T2.500x.065']],
    'four quarters of pipe' => [['inlets' => 4, 'make' => 'quarters', 'tube' => 'P1.5-10S']],
]);

function figure(BuiltCollector $collector, string $name): float
{
    foreach ($collector->sizes->figures() as $figure) {
        if (str_ends_with($figure->key, ".$name")) {
            return $figure->value;
        }
    }
    throw new OutOfBoundsException($name);
}

it('is as long round its outlet as the tube behind it, since it is pressed round', function (array $build) {
    $collector = SomeCollectors::one($build);
    $shape = $collector->shape ?? throw new LogicException($collector->lack);
    $edgeMm = 0.0;
    $points = $shape->finished->line(0)->points;
    foreach (array_slice($points, 1) as $i => $point) {
        // Both ends of the chord in the outlet's plane: an edge of the outlet.
        $inPlane = static fn (LinePoint $one): bool => abs($one->at->z - $shape->finished->planeMm()) < 1e-6;
        $edgeMm += $inPlane($point) && $inPlane($points[$i]) ? $point->at->distanceTo($points[$i]->at) : 0.0;
    }
    expect($edgeMm * $collector->build->inlets)->toBeClose(M_PI * $collector->sizes->outlet->odMm, 2e-3);
})->with('made');

it('has its tubes clear of one another where their slips are expanded, and meeting behind', function (array $build) {
    $collector = SomeCollectors::one($build);
    $shape = $collector->shape ?? throw new LogicException($collector->lack);
    $stations = array_map(static fn (LinePoint $one): float => $one->sMm, $shape->finished->line(0)->points);
    expect(min($stations))->toBeGreaterThan(figure($collector, 'leg') - 0.01);
    // The expanded end of the slip stays on its own side of the plane halfway to its neighbour.
    $end = $collector->inlet(0)->advanced(min(50.8, figure($collector, 'leg')));
    $frame = $collector->build->frame();
    $halfway = $frame->turned(180.0 / $collector->build->inlets);
    $over = -INF;
    for ($deg = 0; $deg < 360; $deg++) {
        $rim = $end->turned((float) $deg)->reference->times($collector->sizes->mouthOdMm / 2);
        $over = max($over, $end->at->plus($rim)->minus($frame->at)->dot($frame->forward->cross($halfway->reference)));
    }
    // Twice the wall leaves the slips of bends just touching; half their play is little beside that.
    expect($over)->toBeLessThan($collector->isBent() ? 0.16 : 0.01);
})->with('made');

// Handbook 7.3, common practice with no source: 1/8 in for .065 wall, .100 in a side, 2 1/4 in legs, 1/4 in beyond.
it('keeps to what is done with a pair of merge bends', function () {
    $collector = SomeCollectors::one(['inlets' => 2, 'make' => 'bent']);
    expect(figure($collector, 'gap') / 25.4)->toBeClose(0.125, 0.0, 0.006)
        ->and(figure($collector, 'gap') / 2 / 25.4 + figure($collector, 'pullIn') / 25.4)->toBeClose(0.100, 0.0, 0.004)
        ->and(figure($collector, 'leg') / 25.4)->toBeClose(2.25)
        ->and(figure($collector, 'beyond') / 25.4)->toBeClose(0.25)
        ->and($collector->shimMm())->toBeClose(figure($collector, 'gap') + 2 * figure($collector, 'pullIn'));
});

it('cuts for what welding pulls in: as cut the inlets stand wider than as finished', function () {
    $collector = SomeCollectors::one(['inlets' => 2, 'make' => 'bent', 'outlet' => 'T2.250x.065']);
    $shape = $collector->shape ?? throw new LogicException($collector->lack);
    expect($shape->cut->at(0, 0.0, 0.0)->x - $shape->finished->at(0, 0.0, 0.0)->x)->toBeClose(25.4 * 0.0375)
        ->and($shape->cut->planeMm() - $shape->finished->planeMm())->toBeClose(6.35);
});

it('turns a pipe for its second lengthwise cut by a little more than a quarter', function () {
    // Handbook 7.4: 2·atan(cot(π/N)/cos α) is 90.9° for four at 10°.
    $collector = SomeCollectors::one(
        ['inlets' => 4, 'make' => 'quarters', 'tube' => 'P1.5-10S'],
        ['merge.K.lean' => '10 deg'],
    );
    [$first, $second] = $collector->shape->quarters->cuts ?? throw new LogicException($collector->lack);
    expect(rad2deg($second->psi - $first->psi))->toBeClose(90.9, 0.0, 0.05);
});

it('joins pairs first, then the pairs to one another, each seam once', function (int $count) {
    $seams = MergeSeam::all($count, 100.0);
    $pairs = array_map(static fn (MergeSeam $one): array => [$one->first, $one->second], $seams);
    $joined = array_map(static function (array $pair): array {
        sort($pair);

        return $pair;
    }, $pairs);
    expect(count($seams))->toBe($count === 2 ? 1 : $count)
        ->and(count(array_unique($joined, SORT_REGULAR)))->toBe(count($seams))
        ->and(array_slice($pairs, 0, intdiv($count, 2)))->toBe(
            array_map(static fn (int $i): array => [2 * $i, 2 * $i + 1], range(0, intdiv($count, 2) - 1)),
        );
})->with([2, 3, 4, 5, 6]);

it('carries its mouths and its outlet along wherever it is set', function () {
    $dice = Some::dice(71);
    $at = Some::vector($dice, 400);
    $axis = Some::vector($dice, 1)->plus(new UpsweptBead\Core\Base\Geometry\Vector(1.2, 0, 0));
    $here = SomeCollectors::one(['inlets' => 3]);
    $there = SomeCollectors::one(['inlets' => 3, 'at' => $at->toArray(), 'axis' => $axis->toArray(), 'turn' => -77]);
    foreach ([0, 1, 2] as $i) {
        expect($there->inlet($i)->at->distanceTo($at))->toBeClose(figure($there, 'circle') / 2)
            ->and($there->inlet($i)->forward->angleDegTo($axis->unit()))->toBeClose(8.0)
            ->and($there->inlet($i)->at->distanceTo($there->inlet(($i + 1) % 3)->at))
            ->toBeClose($here->inlet($i)->at->distanceTo($here->inlet(($i + 1) % 3)->at));
    }
    expect($there->outlet()->at->distanceTo($at->plus($axis->unit()->times($here->lengthMm()))))->toBeLessThan(1e-6);
});

it('weighs its tubes to their cut lines', function () {
    $collector = SomeCollectors::one();
    $shape = $collector->shape ?? throw new LogicException($collector->lack);
    $plan = UpsweptBead\Core\Stage\Plan\Planner::plan(SomeCollectors::job(), Some::shop());
    // Mean of the cut over equal steps round the tube, by Simpson's rule from the rows.
    $sum = 0.0;
    for ($i = 0; $i < 720; $i++) {
        $sum += ($shape->cut->row(0, 2 * M_PI * ($i + 0.5) / 720)['s'] ?? 0.0) / 720;
    }
    $kg = 4 * $sum * M_PI / 4 * (44.45 ** 2 - (44.45 - 2 * 1.651) ** 2) * 8000e-9;
    expect($plan->cut->massKg('K'))->toBeClose($kg, 0.02);
});

it('says what outlet its tubes can have where one cannot be had', function () {
    $lack = SomeCollectors::one(['inlets' => 2, 'outlet' => 'T4.000x.065'])->lack;
    expect($lack)->toContain('101.6 mm cannot be had')->toContain('44.7 mm')->toContain('cone behind it');
    expect(SomeCollectors::one(['outlet' => 'T1.250x.065'])->lack)->toContain('larger outlet');
});

it('says what is wrong with sizes that a person put in place', function (array $build, array $overrides, string $said) {
    expect(SomeCollectors::one($build, $overrides)->lack)->toContain($said);
})->with([
    'no lean' => [[], ['merge.K.lean' => '0 deg'], 'must lean'],
    'inlets in one another' => [[], ['merge.K.circle' => '50 mm'], 'inlets overlap'],
    'bends in one another' => [['make' => 'bent', 'inlets' => 2], ['merge.K.circle' => '40 mm'], 'inlets overlap'],
    'a bend on no list' => [['make' => 'bent', 'bend' => 'B9'], [], 'No bend on the list'],
    'elbows without legs behind' => [['make' => 'bent', 'tube' => 'P1.5-10S'], [], 'runs off the leg'],
]);

it('knows no more of a bought one than was measured', function () {
    $collector = SomeCollectors::one(['make' => 'bought'], ['merge.K.length' => '180 mm', 'merge.K.circle' => '70 mm']);
    expect($collector->build->make)->toBe(CollectorMake::Bought)
        ->and($collector->lengthMm())->toBeClose(180.0)
        ->and($collector->inlet(0)->at->length())->toBeClose(35.0)
        ->and($collector->seams())->toBe([])
        ->and($collector->shape)->toBeNull();
});

it('takes the inlets of a bought one as they were measured, in its own frame', function () {
    $pose = static fn (float $out, float $along): array => ['at' => [$out, 0, $along], 'direction' => [-0.2, 0, 1]];
    $collector = SomeCollectors::one([
        'make' => 'bought', 'inlets' => 2, 'axis' => [0, 0, 1], 'at' => [10, 20, 30], 'turn' => 0,
        'poses' => [$pose(40, 0), $pose(-40, 5)],
    ]);
    expect($collector->inlet(0)->at->distanceTo($collector->inlet(1)->at))->toBeClose(hypot(80, 5))
        ->and($collector->inlet(1)->at->z)->toBeClose(35.0)
        ->and($collector->inlet(0)->forward->angleDegTo(new UpsweptBead\Core\Base\Geometry\Vector(0, 0, 1)))
        ->toBeClose(rad2deg(atan(0.2)));
});

it('closes the middle with a plate where the outlet is so wide that its tubes leave it open', function (int $inlets) {
    $collector = SomeCollectors::one(['inlets' => $inlets, 'outlet' => 'T4.000x.065']);
    $shape = $collector->shape ?? throw new LogicException($collector->lack);
    $plate = $shape->plate ?? throw new LogicException('closed');
    // Inside no tube, and touching all of them: on the ellipse that each is in the outlet's plane.
    $lean = deg2rad(8.0);
    $awayMm = figure($collector, 'circle') / 2 - $shape->finished->planeMm() * tan($lean);
    foreach ($plate->outline->points() as [$x, $y]) {
        $off = [];
        for ($i = 0; $i < $inlets; $i++) {
            $turn = 2 * M_PI * $i / $inlets;
            [$out, $aside] = [$x * cos($turn) + $y * sin($turn) - $awayMm, $y * cos($turn) - $x * sin($turn)];
            $off[] = hypot($out * cos($lean), $aside) - 22.225;
        }
        expect(min($off))->toBeClose(0.0, 0.0, 0.02);
    }
    expect($plate->outline->areaMm2())->toBeGreaterThan(10.0)
        ->and($plate->outline->holds(0.0, 0.0))->toBeTrue();
    $plan = UpsweptBead\Core\Stage\Plan\Planner::plan(SomeCollectors::job(['inlets' => $inlets, 'outlet' => 'T4.000x.065']), Some::shop());
    $joints = $plan->joints->ofRun('K');
    expect(count($joints))->toBe($inlets + 1)
        ->and($joints[$inlets]->and->name)->toBe('Centre plate')
        ->and($joints[$inlets]->seam->lengthMm)->toBeClose($plate->edgeMm)
        ->and($plan->schedule->slots[$inlets]->why)->toContain('small cup')
        ->and($plan->problems())->toBe([]);
})->with([3, 4, 5, 6]);

it('needs no plate where the middle has closed', function (array $build) {
    expect(SomeCollectors::one($build)->shape?->plate)->toBeNull();
})->with('made');

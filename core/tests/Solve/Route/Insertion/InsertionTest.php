<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Solid\Box;
use UpsweptBead\Core\Base\Geometry\Solid\HalfSpace;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Route\Insertion\Along;
use UpsweptBead\Core\Solve\Route\Insertion\Insertion;
use UpsweptBead\Core\Solve\Route\Insertion\Step;
use UpsweptBead\Core\Solve\Route\Insertion\Stuck;
use UpsweptBead\Core\Solve\Route\Insertion\WholeTube;
use UpsweptBead\Core\Solve\Route\Problem\AssignmentMode;
use UpsweptBead\Core\Solve\Route\Problem\Inlet;
use UpsweptBead\Core\Solve\Route\Problem\InletRing;
use UpsweptBead\Core\Solve\Route\Problem\Port;
use UpsweptBead\Core\Solve\Route\Search\Span;
use UpsweptBead\Core\Solve\Route\Search\Way;
use UpsweptBead\Core\Solve\Route\Search\WayClearance;
use UpsweptBead\Core\Tests\Support\SomeSets;
use UpsweptBead\Core\Tests\Support\SomeWays;

/** @return list<WholeTube> */
function whole(Way ...$ways): array
{
    return array_values(array_map(SomeWays::whole(...), $ways));
}

it('puts an outer hoop in after the inner one', function () {
    // Two hoops out of one wall, one inside the other; both draw off along the port's axis.
    $inner = SomeWays::through('inner', [[0, 0, 0], [0, 150, 0], [200, 150, 0], [200, 0, 0]]);
    $outer = SomeWays::through('outer', [[-60, 0, 0], [-60, 210, 0], [260, 210, 0], [260, 0, 0]]);
    $wall = new HalfSpace('wall', new Vector(0, -12, 0), new Vector(0, 1, 0), null, 70.0, 70.0);
    // A floor and a lid leave no way but straight out.
    $lids = [
        new Box(
            'lid',
            new Vector(100, 100, 60),
            [new Vector(1, 0, 0), new Vector(0, 1, 0), new Vector(0, 0, 1)],
            [400.0, 400.0, 20.0],
        ),
        new Box(
            'floor',
            new Vector(100, 100, -60),
            [new Vector(1, 0, 0), new Vector(0, 1, 0), new Vector(0, 0, 1)],
            [400.0, 400.0, 20.0],
        ),
    ];
    $insertion = Insertion::of(whole($outer, $inner), [$wall, ...$lids]);
    expect($insertion->isPossible())->toBeTrue()
        ->and(array_map(static fn (Step $step): string => $step->tube, $insertion->order))->toBe(['inner', 'outer'])
        ->and($insertion->order[1]->along)->toBe(Along::Port)
        ->and($insertion->order[1]->direction[1])->toBeClose(-1.0);
});

it('knows two tubes that hook round each other, and names both', function () {
    // A hoop on a base, and a ring round its top bar that is open by less than a tube's width.
    $one = SomeWays::through('1', [[0, 0, 0], [0, 0, 200], [0, 200, 200], [0, 200, 0]]);
    $two = SomeWays::through('2', [
        [-110, 100, 100],
        [110, 100, 100],
        [110, 100, 330],
        [-110, 100, 330],
        [-110, 100, 165],
    ]);
    $insertion = Insertion::of(whole($one, $two), [
        new HalfSpace('base', new Vector(0, 0, -5), new Vector(0, 0, 1), null, 30.0, 30.0),
    ]);
    $blockers = array_map(static fn (Stuck $stuck): array => [$stuck->tube, $stuck->by], $insertion->stuck);
    expect($insertion->isPossible())->toBeFalse()
        ->and($blockers)->toEqualCanonicalizing([['1', ['2']], ['2', ['1']]]);
});

it('says so by steps: no tube runs into another that is there already while it is pushed in', function (string $name) {
    $problem = SomeSets::problem($name);
    $ways = SomeSets::solve($problem, 90)->ways;
    $insertion = Insertion::of(whole(...$ways), $problem->keepOuts);
    expect(count($insertion->order) + count($insertion->stuck))->toBe(count($ways));
    $there = [];
    $byId = array_combine(array_map(static fn (Way $way): string => $way->span->port->id, $ways), $ways);
    foreach ($insertion->order as $step) {
        // Walked apart from the sweep: the tube moved back along its way in, 15 mm at a time, and measured against
        // each.
        for ($back = 0.0; $back <= 900; $back += 15) {
            $moved = shifted($byId[$step->tube], $step->direction, -$back);
            foreach ($there as $other) {
                expect(WayClearance::pair($moved, $other, 0.0, 0.0))->toBeLessThan(0.9, "$step->tube at $back mm");
            }
        }
        $there[] = $byId[$step->tube];
    }
})->with(['08-inline-four', '23-opposed-four', '22-weld-elbows-five']);

/** @param  array{float, float, float}  $direction */
function shifted(Way $way, array $direction, float $mm): Way
{
    $by = (new Vector(...$direction))->times($mm);
    $port = $way->span->port;
    $inlet = $way->span->inlet;
    // Far from its inlet nothing is near it any more, so the whole gap counts.
    $collector = new InletRing("$port->id moved", [$inlet], AssignmentMode::Fixed, [$port->id], [0]);
    $span = new Span(
        0,
        new Port($port->id, $port->at->plus($by), $port->direction, $port->tube),
        new Inlet($inlet->id, $inlet->at->plus($by), $inlet->direction),
        $collector,
        $way->span->rules,
    );
    $inner = [];
    foreach (array_chunk(array_slice($way->vertices, 3, 3 * $way->bends()), 3) as [$x, $y, $z]) {
        array_push($inner, $x + $by->x, $y + $by->y, $z + $by->z);
    }

    return Way::of($span, $inner, $way->radii)->cut();
}

it('needs no order for tubes that stand apart', function () {
    $insertion = Insertion::of(
        whole(
            SomeWays::through('a', [[0, 0, 0], [0, 200, 0], [200, 200, 0]]),
            SomeWays::through('b', [[600, 0, 0], [600, 200, 0], [800, 200, 0]]),
        ),
        [],
    );
    expect($insertion->isPossible())->toBeTrue()
        ->and($insertion->order[0]->along)->toBe(Along::Port)
        ->and($insertion->stuck)->toBe([]);
});

it('tips a tube out where it does not come straight, and says about what', function () {
    // A long tube in a trough. Its near end lies under a lip, its far end behind a low wall, 15 mm off: straight up the
    // lip is in the way, straight along the wall is. Raised by 8° about the near end it slides out over the wall.
    $tube = SomeWays::through('long', [[0, 0, 0], [0, 300, 0], [0, 600, 3]]);
    $axes = [new Vector(1, 0, 0), new Vector(0, 1, 0), new Vector(0, 0, 1)];
    $solids = [
        new Box('left cheek', new Vector(-41, 400, 0), $axes, [20.0, 900.0, 300.0]),
        new Box('right cheek', new Vector(41, 400, 0), $axes, [20.0, 900.0, 300.0]),
        new Box('floor', new Vector(0, 400, -62), $axes, [20.0, 900.0, 40.0]),
        new Box('lip', new Vector(0, -35, 33), $axes, [20.0, 50.0, 10.0]),
        new Box('back', new Vector(0, -90, 0), $axes, [20.0, 60.0, 300.0]),
        new Box('wall', new Vector(0, 640, 0), $axes, [20.0, 5.0, 40.0]),
    ];
    $insertion = Insertion::of(whole($tube), $solids);
    expect($insertion->isPossible())->toBeTrue()
        ->and($insertion->order[0]->tip?->deg)->toBeClose(8.0)
        ->and($insertion->order[0]->tip->about)->toBe([0.0, 0.0, 0.0]);
    // A higher wall leaves no way.
    $solids[5] = new Box('wall', new Vector(0, 640, 0), $axes, [20.0, 5.0, 300.0]);
    expect(Insertion::of(whole($tube), $solids)->isPossible())->toBeFalse();
});

it('takes tubes in past the stubs of the others, not past its own', function () {
    $ways = [
        SomeWays::through('a', [[0, 0, 0], [0, 200, 0], [200, 200, 0]]),
        SomeWays::through('b', [[45, 0, 0], [45, 120, 0], [200, 120, 0]]),
    ];
    $with = Insertion::of(whole(...$ways), [], 25.4);
    expect($with->isPossible())->toBeTrue()->and(count($with->order))->toBe(2);
});

it('tells which tubes come out with the rest in place', function () {
    $inner = SomeWays::through('inner', [[0, 0, 0], [0, 150, 0], [200, 150, 0], [200, 0, 0]]);
    $outer = SomeWays::through('outer', [[-60, 0, 0], [-60, 210, 0], [260, 210, 0], [260, 0, 0]]);
    $axes = [new Vector(1, 0, 0), new Vector(0, 1, 0), new Vector(0, 0, 1)];
    $lids = [
        new HalfSpace('wall', new Vector(0, -12, 0), new Vector(0, 1, 0), null, 70.0, 70.0),
        new Box('lid', new Vector(100, 100, 45), $axes, [400.0, 400.0, 20.0]),
        new Box('floor', new Vector(100, 100, -45), $axes, [400.0, 400.0, 20.0]),
    ];
    $alone = [];
    foreach (Insertion::of(whole($inner, $outer), $lids)->alone as $one) {
        $alone[$one->tube] = $one->by;
    }
    expect($alone['outer'])->toBe([])->and($alone['inner'])->toContain('outer');
});

<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Clearance\Chords;
use UpsweptBead\Core\Base\Geometry\Solid\Capsule;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Route\Problem\LengthGroup;
use UpsweptBead\Core\Solve\Route\Search\FreeWay;
use UpsweptBead\Core\Solve\Route\Search\Groups;
use UpsweptBead\Core\Solve\Route\Search\Mending;
use UpsweptBead\Core\Solve\Route\Search\TwoBends;
use UpsweptBead\Core\Solve\Route\Search\Way;
use UpsweptBead\Core\Solve\Route\Search\WayClearance;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeSets;
use UpsweptBead\Core\Tests\Support\SomeWays;

/** @return array{float, float} how far apart the ends of the legs' directions are from the port's and the inlet's, degrees */
function offAxes(Way $way): array
{
    $points = array_map(static fn (array $xyz): Vector => new Vector(...$xyz), array_chunk($way->vertices, 3));
    $last = count($points) - 1;

    return [
        $points[1]->minus($points[0])->angleDegTo($way->span->port->direction),
        $points[$last]->minus($points[$last - 1])->angleDegTo($way->span->inlet->direction),
    ];
}

it('is the same tube after it was taken apart into its free values and put together', function () {
    $way = SomeWays::through('A', [[0, 0, 0], [0, 200, 0], [180, 260, 90], [400, 260, 90]]);
    $again = FreeWay::from($way)->way();
    expect($again->length)->toBeClose($way->length, 0, 1e-9);
    foreach ($way->vertices as $i => $value) {
        expect($again->vertices[$i])->toBeClose($value, 0, 1e-9);
    }
});

it('stays on both axes whatever its free values are', function () {
    $dice = Some::dice(11);
    $free = FreeWay::from(
        SomeWays::through('A', [[0, 0, 0], [0, 200, 0], [180, 260, 90], [400, 260, 90], [500, 100, 90]]),
    );
    for ($i = 0; $i < 20; $i++) {
        $free->set(array_map(static fn (float $value): float => $value + Some::between($dice, -40, 40), $free->values));
        [$atPort, $atInlet] = offAxes($free->way());
        expect($atPort)->toBeClose(0.0, 0, 1e-6)
            ->and($atInlet)->toBeClose(0.0, 0, 1e-6)
            ->and($free->way()->length)->toBeClose($free->length, 0, 1e-6);
    }
});

it('knows the places along a bend: all of them one radius from its centre', function () {
    // A right angle on 50 mm at (0, 200, 0): tangent points (0, 150, 0) and (50, 200, 0), centre (50, 150, 0).
    $free = FreeWay::from(SomeWays::through('A', [[0, 0, 0], [0, 200, 0], [300, 200, 0], [300, 200, 300]]));
    foreach ([0.0, 0.25, 0.5, 0.75, 1.0] as $share) {
        $point = new Vector(...$free->point(1, $share));
        $turned = deg2rad(90 * $share);
        expect($point->distanceTo(new Vector(50 - 50 * cos($turned), 150 + 50 * sin($turned), 0)))->toBeClose(
            0.0,
            0,
            1e-9,
        );
    }
    expect((new Vector(...$free->point(0, 0.5)))->distanceTo(new Vector(0, 75, 0)))->toBeClose(0.0, 0, 1e-9);
});

it('brings a tube clear of a rod that it comes 4 mm too near to, its ends where they were', function () {
    $problem = SomeSets::problem('01-two-bends');
    $mended = 0;
    foreach (TwoBends::onGrid(SomeSets::span($problem)) as $way) {
        // Beside the middle of the straight between the bends, across it.
        $leg = new Vector(...$way->unit(1));
        $out = $leg->cross(new Vector(0, 0, 1))->unit();
        $beside = (new Vector(...FreeWay::from($way)->point(2, 0.5)))->plus($out->times(41.275 / 2 + 12 + 10 - 4));
        $across = $leg->cross($out)->times(100);
        $rod = new Capsule('rod', $beside->minus($across), $beside->plus($across), 10.0);
        expect(WayClearance::solid($way->cut(Chords::FINE), $rod, 12.0, 0.0))->toBeClose(4.0, 0, 0.05);
        // Every angle is let go, or there would be nothing to move.
        $after = (new Mending($problem->keepingOut([$rod]), new Groups([])))->mend(
            [$way],
            [array_fill(0, $way->bends(), null)],
        );
        if ($after === null) {
            continue;
        }
        $mended++;
        [$atPort, $atInlet] = offAxes($after[0]);
        expect($atPort)->toBeClose(0.0, 0, 1e-6)
            ->and($atInlet)->toBeClose(0.0, 0, 1e-6)
            ->and($after[0]->breach())->toBeLessThan(0.02)
            ->and(WayClearance::solid($after[0]->cut(Chords::FINE), $rod, 12.0, 0.0))->toBeLessThan(0.01);
    }
    expect($mended)->toBeGreaterThan(10);
});

it('stretches a tube to the length that is asked for', function (float $lengthMm) {
    $problem = SomeSets::problem('01-two-bends');
    $problem = $problem->keepingOut([]);
    $span = SomeSets::span($problem);
    $groups = new Groups([new LengthGroup([$span->port->id], $lengthMm, 0.1)]);
    $ways = TwoBends::onGrid($span);
    usort($ways, static fn (Way $a, Way $b): int => abs($a->length - $lengthMm) <=> abs($b->length - $lengthMm));
    expect(abs($ways[0]->length - $lengthMm))->toBeGreaterThan($lengthMm * 0.001);
    $after = (new Mending($problem, $groups))->mend([$ways[0]], [array_fill(0, $ways[0]->bends(), null)]);
    expect($after[0]->length ?? 0.0)->toBeClose($lengthMm, 0, $lengthMm * 0.001);
})->with([470.0, 520.0]);

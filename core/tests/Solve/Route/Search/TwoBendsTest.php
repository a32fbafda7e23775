<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Route\Search\Chance;
use UpsweptBead\Core\Solve\Route\Search\FourBends;
use UpsweptBead\Core\Solve\Route\Search\Span;
use UpsweptBead\Core\Solve\Route\Search\ThreeBends;
use UpsweptBead\Core\Solve\Route\Search\TwoBends;
use UpsweptBead\Core\Solve\Route\Search\Way;
use UpsweptBead\Core\Tests\Support\SomeSets;

/** Checks a way from its vertices alone: ends, directions, length. */
function meets(Span $span, Way $way): void
{
    $points = array_map(static fn (array $xyz): Vector => new Vector(...$xyz), array_chunk($way->vertices, 3));
    $legs = array_map(
        static fn (Vector $from, Vector $to): Vector => $to->minus($from)->unit(),
        array_slice($points, 0, -1),
        array_slice($points, 1),
    );
    expect($legs[0]->angleDegTo($span->port->direction))->toBeClose(0, 0, 1e-6)
        ->and($legs[count($legs) - 1]->angleDegTo($span->inlet->direction))->toBeClose(0, 0, 1e-6);
    $length = 0.0;
    foreach ($way->radii as $i => $radius) {
        $turn = deg2rad($legs[$i]->angleDegTo($legs[$i + 1]));
        $length += $radius * $turn - 2 * $radius * tan($turn / 2);
    }
    foreach ($legs as $i => $leg) {
        $length += $points[$i]->distanceTo($points[$i + 1]);
    }
    expect($way->length)->toBeClose($length, 0, 1e-6);
}

it('joins the ends exactly with both angles on the grid', function () {
    $span = SomeSets::span(SomeSets::problem('01-two-bends'));
    $ways = TwoBends::onGrid($span);
    expect(count($ways))->toBeGreaterThan(10);
    foreach ($ways as $way) {
        meets($span, $way);
        expect($way->odd)->toBe(0)->and($way->breach())->toBeLessThan(0.02);
        foreach ($way->angles as $angle) {
            expect(fmod(rad2deg($angle) + 7.5, 15) - 7.5)->toBeClose(0, 0, 1e-6);
        }
    }
});

it('finds ways of just the length that is asked for', function (float $length) {
    $span = SomeSets::span(SomeSets::problem('08-inline-four'));
    $ways = TwoBends::ofLength($span, $length, [[50.8, 50.8], [76.2, 50.8]]);
    expect(count($ways))->toBeGreaterThan(3);
    foreach ($ways as $way) {
        meets($span, $way);
        expect($way->length)->toBeClose($length, 0, 0.05);
    }
    // Some have an angle on the grid, which costs less.
    expect(min(array_map(static fn (Way $way): int => $way->odd, $ways)))->toBeLessThan(2);
})->with([720.0, 800.0, 900.0]);

it('solves three bends on the grid from their directions, for any length they reach', function (?float $length) {
    $span = SomeSets::span(SomeSets::problem('08-inline-four'), 1, 2);
    $all = (new ThreeBends(new Chance(4), 8))->of($span);
    $reached = ThreeBends::reaching($all, $span, $length);
    expect(count($reached))->toBeGreaterThan(30);
    foreach (array_slice($reached, 0, 200) as [$i, $free]) {
        $way = Way::of(
            $span,
            ThreeBends::vertices($all, $i, $free, $span),
            $span->smallestRadii(array_slice($all, $i + 6, 3)) ?? [],
        );
        meets($span, $way);
        expect($way->odd)->toBe(0)->and($way->breach())->toBeLessThan(0.01);
        if ($length !== null) {
            expect($way->length)->toBeClose($length, 0, 1e-6);
        }
    }
})->with([null, 780.0, 860.0]);

it('draws four bends that meet', function () {
    $span = SomeSets::span(SomeSets::problem('08-inline-four'), 2, 1);
    $chance = new Chance(3);
    $found = 0;
    for ($i = 0; $i < 4000; $i++) {
        $way = FourBends::drawn($span, 900.0, $chance);
        if ($way !== null) {
            meets($span, $way);
            expect($way->length)->toBeClose(900.0, 0, 1e-6)->and($way->breach())->toBeLessThan(0.01);
            $found++;
        }
    }
    expect($found)->toBeGreaterThan(5);
});

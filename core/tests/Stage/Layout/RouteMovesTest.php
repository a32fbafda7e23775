<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Solve\Run\TubeRun;
use UpsweptBead\Core\Stage\Layout\RouteMoves;
use UpsweptBead\Core\Tests\Support\SomeRoutedSets;

it('names the straights, turns and bends that were moved, and leaves out what nobody sees', function () {
    $spec = SomeRoutedSets::eight()->run('A');
    $route = $spec?->route;
    assert($spec !== null && $route !== null);
    $run = $route->from($spec->start->frame());
    [$first, $second] = $run->bends;
    $moved = $route->changedTo(new TubeRun($run->start, [
        $first->with(straightMm: $first->straightMm + 0.04),
        $second->with(straightMm: 120.0, rotationDeg: -80.0),
    ], $run->endStraightMm));
    expect(RouteMoves::between($route, $moved, UnitSystem::Metric))->toBe([
        'straight before bend 2 108.5 mm, now 120 mm', 'turn of bend 2 -79.3°, now -80°',
    ])
        ->and(RouteMoves::between($route, $route, UnitSystem::Metric))->toBe([])
        ->and(RouteMoves::between($route, $route->changedTo(new TubeRun($run->start, [$first], 10.0)), UnitSystem::Metric))->toBe([]);
});

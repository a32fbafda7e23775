<?php

declare(strict_types=1);

use UpsweptBead\Core\Solve\Route\Search\Way;
use UpsweptBead\Core\Solve\Route\Search\WayChooser;
use UpsweptBead\Core\Tests\Support\SomeWays;

const GAP_MM = 6.0;

/** @return list<list<Way>> two ways for each of two tubes of 40 mm: a cheap one towards the other, and one that keeps away */
function twoTubes(): array
{
    // Ports 100 mm apart. With one bend each they come within 35 mm of each other, less than 40 and the gap.
    return [
        [
            SomeWays::through('a', [[0, 0, 0], [200, -10, 0], [400, 0, 0]]),
            SomeWays::through('a', [[0, 0, 0], [130, -60, 0], [270, -60, 0], [400, 0, 0]]),
        ],
        [
            SomeWays::through('b', [[0, 100, 0], [200, 25, 0], [400, 100, 0]]),
            SomeWays::through('b', [[0, 100, 0], [130, 110, 0], [270, 110, 0], [400, 100, 0]]),
        ],
    ];
}

/** @param  list<Way>  $ways */
function scoreOf(array $ways, float $weight): float
{
    return array_sum(array_map(static fn (Way $way): float => $way->cost, $ways)) +
        $weight * (new WayChooser(GAP_MM))->missing($ways);
}

it('weighs what is missing against what it costs to keep away', function (float $weight, bool $isClear) {
    $assembly = new WayChooser(GAP_MM);
    $chosen = $assembly->choose(twoTubes(), $weight, [0, 1]);
    expect($chosen)->toHaveCount(2)->and($assembly->missing($chosen ?? []) < 0.01)->toBe($isClear);
})->with(['hardly at all' => [0.1, false], 'dearly' => [50.0, true]]);

it('chooses what no other way of one tube betters, whatever the order', function (float $weight, array $order) {
    $options = twoTubes();
    $chosen = (new WayChooser(GAP_MM))->choose($options, $weight, $order) ?? [];
    expect($chosen[0]->span->port->id)->toBe('a')->and($chosen[1]->span->port->id)->toBe('b');
    foreach ($options as $tube => $ways) {
        foreach ($ways as $way) {
            $changed = array_values(array_replace($chosen, [$tube => $way]));
            expect(scoreOf($changed, $weight))->toBeGreaterThanOrEqual(scoreOf($chosen, $weight) - 1e-6);
        }
    }
})->with([[0.1, [0, 1]], [0.1, [1, 0]], [2.0, [0, 1]], [50.0, [1, 0]]]);

it('has nothing to choose where a tube has no way', function () {
    expect((new WayChooser(GAP_MM))->choose([twoTubes()[0], []], 1.0, [0, 1]))->toBeNull();
});

it('counts what is short between all, and of each by itself', function () {
    [[$a], [$b]] = twoTubes();
    $assembly = new WayChooser(GAP_MM);
    $between = $assembly->short($a, $b);
    // Bends cut the corners at 25 and −10 mm: a little more than 35 mm where 46 are asked for, and some in hand.
    expect($between)->toBeGreaterThan(5.0)->toBeLessThan(11.5)
        ->and($assembly->short($b, $a))->toBeClose($between, 0, 1e-9);
    $a->shortfall = 2.5;
    expect($assembly->missing([$a, $b]))->toBeClose($between + 2.5)
        ->and($assembly->missing([$a]))->toBe(2.5)
        ->and($assembly->missing([]))->toBe(0.0);
});

it('remembers what it measured between two ways that are kept', function () {
    [[$a, $away], [$b]] = twoTubes();
    $assembly = new WayChooser(GAP_MM);
    [$a->id, $b->id] = [1, 2];
    $first = $assembly->short($a, $b);
    // Another way under the number of the first is taken for it; one without a number is measured.
    $away->id = 1;
    expect($assembly->short($b, $away))->toBe($first);
    $away->id = 0;
    expect($assembly->short($b, $away))->toBe(0.0);
});

it('gives the ways that fit best among others, the best first, and no more than asked for', function () {
    [$options, [$b]] = twoTubes();
    $assembly = new WayChooser(GAP_MM);
    usort($options, static fn (Way $one, Way $other): int => $one->cost <=> $other->cost);
    [$cheap, $dear] = $options;
    // Weighed hardly, what touches comes first; weighed dearly, what keeps away.
    expect($assembly->bestFew($options, [1 => $b], 0.1, $dear->cost + 1.0, 4))->toBe([$cheap, $dear])
        ->and($assembly->bestFew($options, [1 => $b], 20.0, $dear->cost + 1.0, 4))->toBe([$dear])
        ->and($assembly->bestFew($options, [1 => $b], 0.1, $dear->cost + 1.0, 1))->toBe([$cheap])
        ->and($assembly->bestFew($options, [1 => $b], 0.1, $cheap->cost, 4))->toBe([]);
});

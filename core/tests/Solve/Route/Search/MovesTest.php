<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Route\Search\Appraisal;
use UpsweptBead\Core\Solve\Route\Search\Moves;
use UpsweptBead\Core\Solve\Route\Search\Span;
use UpsweptBead\Core\Solve\Route\Search\Way;
use UpsweptBead\Core\Solve\Route\Search\WayChooser;
use UpsweptBead\Core\Tests\Support\SomeSets;

/** @return list<Way> ways with two bends for a tube of the inline four, the cheapest first */
function cheapestFirst(int $tube): array
{
    $span = SomeSets::span(SomeSets::problem('08-inline-four'), $tube, $tube);
    $ways = [];
    foreach ([90.0, 130.0, 170.0, 210.0] as $firstMm) {
        foreach ([100.0, 150.0, 200.0, 250.0] as $lastMm) {
            $ways[] = between($span, $firstMm, $lastMm);
        }
    }
    usort($ways, static fn (Way $a, Way $b): int => $a->cost <=> $b->cost);

    return $ways;
}

/** @return list<Way> a way that is neither cheap nor dear for each of the first tubes */
function set(int $tubes = 2): array
{
    return array_map(static fn (int $tube): Way => cheapestFirst($tube)[8], range(0, $tubes - 1));
}

function between(Span $span, float $firstMm, float $lastMm): Way
{
    $inner = [
        ...$span->port->at->plus($span->port->direction->times($firstMm))->toArray(),
        ...$span->inlet->at->minus($span->inlet->direction->times($lastMm))->toArray(),
    ];

    return Way::of($span, $inner, [50.8, 50.8]);
}

function moves(): Moves
{
    return new Moves(new WayChooser(6.0), new Appraisal(SomeSets::problem('08-inline-four')), deg2rad(15.0));
}

/**
 * @param  list<Way>  $set
 * @param  array<string, list<Way>>  $instead  by port
 * @return list<array{list<Way>, array<int, list<?float>>}>
 */
function movesOf(array $set, array $instead = []): array
{
    $options = static fn (Way $way): array => $instead[$way->span->port->id] ?? [];

    return iterator_to_array(moves()->of($set, $options), false);
}

it('puts a cheaper way in the place of one tube, and leaves the others', function () {
    $set = set();
    [$cheaper, $dearer] = [cheapestFirst(1)[0], cheapestFirst(1)[15]];
    expect($cheaper->cost)->toBeLessThan($set[1]->cost - 0.3);
    $swaps = array_filter(
        movesOf($set, [$set[1]->span->port->id => [$cheaper, $dearer]]),
        static fn (array $move): bool => $move[0] !== $set,
    );
    expect($swaps)->not->toBe([])
        ->and(reset($swaps)[0])->toBe([$set[0], $cheaper])
        ->and(array_filter($swaps, static fn (array $move): bool => $move[0][1] === $dearer))->toBe([]);
});

it('does not bother about a gain too small to count', function () {
    $set = set();
    $hardly = cheapestFirst(1)[8];
    expect($hardly)->not->toBe($set[1]);
    $moved = array_filter(
        movesOf($set, [$set[1]->span->port->id => [$hardly]]),
        static fn (array $move): bool => in_array($hardly, $move[0], true),
    );
    expect($moved)->toBe([]);
});

it('brings every odd angle onto the grid, the nearer side first, and holds those that are on it', function () {
    $set = set(1);
    $goals = [[], []];
    foreach (movesOf($set) as [$ways, $held]) {
        expect($ways)->toBe($set)->and($held[0])->toHaveCount(2);
        // Both angles are odd: one is moved, the other is free.
        $moved = $held[0][0] !== null ? 0 : 1;
        expect($held[0][1 - $moved])->toBeNull();
        $goals[$moved][] = $held[0][$moved];
    }
    foreach ($set[0]->angles as $k => $angle) {
        expect(count($goals[$k]))->toBeGreaterThan(0);
        foreach ($goals[$k] as $goal) {
            expect(fmod(rad2deg($goal) + 7.5, 15.0) - 7.5)->toBeClose(0.0, 0, 1e-9)
                ->and(abs($goal - $angle))->toBeLessThan(deg2rad(15.0));
        }
        $off = array_map(static fn (float $goal): float => abs($goal - $angle), $goals[$k]);
        expect($off[0])->toBe(min($off));
    }
    expect(count($goals[0]) + count($goals[1]))->toBeGreaterThan(2);
});

it('holds an angle that is on the grid where it is, while another is moved', function () {
    // A right angle in the plane of the port, then an odd one.
    $span = SomeSets::span(SomeSets::problem('01-two-bends'));
    $first = $span->port->at->plus($span->port->direction->times(150.0));
    $aside = $span->port->direction->cross(new Vector(0.3, 0.5, 0.8))->unit();
    $inner = [...$first->toArray(), ...$first->plus($aside->times(200.0))->toArray()];
    $way = Way::of($span, $inner, [50.8, 50.8]);
    expect(rad2deg($way->angles[0]))->toBeClose(90.0)->and($span->isEven($way->angles[1]))->toBeFalse();
    foreach (movesOf([$way]) as [, $held]) {
        expect($held[0][0])->toBeClose(M_PI / 2);
    }
});

it('changes two tubes at once where that is cheaper together', function () {
    $set = set();
    $cheap = [cheapestFirst(0)[0], cheapestFirst(1)[0]];
    $both = array_filter(
        movesOf($set, [$set[0]->span->port->id => [$cheap[0]], $set[1]->span->port->id => [$cheap[1]]]),
        static fn (array $move): bool => $move[0] === $cheap,
    );
    expect($both)->not->toBe([]);
});

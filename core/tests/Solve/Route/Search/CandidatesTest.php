<?php

declare(strict_types=1);

use UpsweptBead\Core\Solve\Route\Problem\RouteProblem;
use UpsweptBead\Core\Solve\Route\Search\Candidates;
use UpsweptBead\Core\Solve\Route\Search\Chance;
use UpsweptBead\Core\Solve\Route\Search\Groups;
use UpsweptBead\Core\Solve\Route\Search\Mending;
use UpsweptBead\Core\Solve\Route\Search\ThreeBends;
use UpsweptBead\Core\Solve\Route\Search\Way;
use UpsweptBead\Core\Solve\Route\Search\WayClearance;
use UpsweptBead\Core\Tests\Support\SomeSets;

function candidates(RouteProblem $problem, int $seed = 1): Candidates
{
    $chance = new Chance($seed);
    $mending = new Mending($problem, new Groups($problem->lengths));

    return new Candidates($problem, new ThreeBends($chance), $chance, $mending);
}

/**
 * @param  list<Way>  $ways
 * @return list<float>
 */
function ranksOf(array $ways): array
{
    return array_map(static fn (Way $way): float => $way->cost + $way->shortfall, $ways);
}

it('gathers ways of one length, the best first, each between its ends and within its rules', function () {
    $problem = SomeSets::problem('08-inline-four');
    $span = SomeSets::span($problem, 1, 1);
    $ways = candidates($problem)->ofLength($span, 760.0, 7.6);
    expect(count($ways))->toBeGreaterThan(10);
    $ranks = $sorted = ranksOf($ways);
    sort($sorted);
    expect($ranks)->toBe($sorted);
    foreach ($ways as $way) {
        expect($way->breach())->toBeLessThan(0.02)
            ->and(abs($way->length - 760.0))->toBeLessThan(7.6 + 3.0 + 0.1)
            ->and($way->bends())->toBeLessThanOrEqual($problem->rules->maxBends);
    }
    expect(count(array_unique(array_map(static fn (Way $way): int => $way->id, $ways))))->toBe(count($ways));
});

it('tells of each way how far it is short, as measured afresh', function () {
    $problem = SomeSets::problem('05-around-a-box');
    $span = SomeSets::span($problem);
    $ways = candidates($problem)->ofAny($span, 0);
    expect($ways)->not->toBe([]);
    foreach ($ways as $way) {
        $short = 0.0;
        foreach ($problem->keepOuts as $solid) {
            $short = max($short, WayClearance::solid($way, $solid, $problem->rules->clearanceMm, Candidates::HAND));
        }
        expect($way->shortfall)->toBeClose($short, 0, 1e-9)->toBeLessThanOrEqual(7.0);
    }
});

it('gathers the same for the same seed, and once only', function () {
    $problem = SomeSets::problem('08-inline-four');
    $span = SomeSets::span($problem, 0, 0);
    $one = candidates($problem, 5);
    $first = $one->ofLength($span, 800.0, 8.0);
    expect($one->ofLength($span, 800.0, 8.0))->toBe($first)
        ->and(ranksOf(candidates($problem, 5)->ofLength($span, 800.0, 8.0)))->toBe(ranksOf($first));
    $one->afresh();
    expect($one->ofLength($span, 800.0, 8.0))->not->toBe($first);
});

it('finds less with less effort, and soonest what has two bends on the grid', function () {
    $problem = SomeSets::problem('08-inline-four');
    $span = SomeSets::span($problem, 1, 1);
    $light = candidates($problem);
    $light->gathering(true, false);
    expect(count($light->ofLength($span, 760.0, 7.6)))->toBeLessThanOrEqual(
        count(candidates($problem)->ofLength($span, 760.0, 7.6)),
    );
    foreach (candidates(SomeSets::problem('01-two-bends'))->quick(SomeSets::span(SomeSets::problem('01-two-bends'))) as $way) {
        expect($way->bends())->toBeLessThanOrEqual(2)->and($way->odd)->toBe(0);
    }
});

it('has other ways of any length each time, and begins again after the last', function () {
    $problem = SomeSets::problem('01-two-bends');
    $span = SomeSets::span($problem);
    $all = candidates($problem);
    $lengths = static fn (int $variant): array => array_map(
        static fn (Way $way): float => round($way->length, 3),
        $all->ofAny($span, $variant),
    );
    expect(array_diff($lengths(4), $lengths(0)))->not->toBe([])
        // As many variants as there are, and then the first again.
        ->and($all->ofAny($span, 8))->toBe($all->ofAny($span, 0));
});

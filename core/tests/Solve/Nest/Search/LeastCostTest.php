<?php

declare(strict_types=1);

use UpsweptBead\Core\Solve\Nest\Search\Bound\LeastCost;
use UpsweptBead\Core\Solve\Nest\Search\Donor;
use UpsweptBead\Core\Solve\Nest\Search\RunShape;
use UpsweptBead\Core\Tests\Support\SomeCuts;

/**
 * The bound alone, with no plan that would cap it.
 *
 * @param  array<string, mixed>  $document
 */
function leastCost(array $document): float
{
    $problem = SomeCuts::problem($document);
    $donors = [];
    foreach ($problem->stock as $i => $item) {
        $donors[] = new Donor($i, $item);
    }
    $shapes = [];
    foreach ($problem->runs as $i => $run) {
        $shapes[$i] = new RunShape($i, $run, $problem->rules, $donors);
    }

    return (new LeastCost($shapes, $donors, $problem->rules))->bound(1e9);
}

it('is never above a plan there is', function () {
    $kinds = array_map(static fn (int $seed): array => ['small', $seed], range(20, 39));
    foreach (SomeCuts::made([...$kinds, ['header', 1], ['header', 2]]) as $document) {
        $answer = SomeCuts::solve($document, 40);
        expect(leastCost($document))->toBeLessThanOrEqual($answer->cost + 1e-6, (string) $document['name']);
    }
});

it('is as much as one bend with its two cuts costs', function () {
    expect(leastCost(SomeCuts::document('01-absorb')))->toBeClose(18.0 + 2 * 3.0, 1e-9);
});

it('knows that a straight longer than both legs takes a joint more', function () {
    $document = SomeCuts::document('01-absorb');
    $run = static fn (float $mm): array => [['bend' => 90, 'clr' => 50.8], ['straight' => $mm], ['bend' => 90, 'clr' => 50.8]];
    $document['runs'][0]['elements'] = $run(2 * 139.7);
    // Both legs used up: the joint and the two bends, whose other legs are cut off.
    expect(leastCost($document))->toBeClose(25.0 + 2 * 18.0 + 2 * 3.0, 1e-9);
    $document['runs'][0]['elements'] = $run(2 * 139.7 + 30);
    expect(leastCost($document))->toBeClose(2 * 25.0 + 2 * 18.0 + 2 * 3.0, 1e-9);
});

it('knows that two bends share one where both fit with the kerf between them', function () {
    $document = SomeCuts::document('03-pair-from-one');
    expect(leastCost($document))->toBeClose(18.0 + 4 * 3.0, 1e-9);
    // 42 and 50 degrees do not: two bends of 45 and 90, two cuts each.
    $document['runs'][0]['elements'][1]['bend'] = 42;
    expect(leastCost($document))->toBeClose(14.0 + 18.0 + 4 * 3.0, 1e-9);
});

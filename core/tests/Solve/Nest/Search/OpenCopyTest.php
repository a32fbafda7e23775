<?php

declare(strict_types=1);

use UpsweptBead\Core\Solve\Nest\Problem\CutRules;
use UpsweptBead\Core\Solve\Nest\Search\Donor;
use UpsweptBead\Core\Solve\Nest\Search\OpenCopy;
use UpsweptBead\Core\Solve\Nest\Search\Part;
use UpsweptBead\Core\Solve\Nest\Search\RunShape;
use UpsweptBead\Core\Tests\Support\SomeCuts;

/**
 * A bend of 90 degrees on 50.8 mm with legs of 101.6 and 139.7 mm, or other stock.
 *
 * @param  array<string, mixed>  $item
 */
function cutStock(array $item = []): OpenCopy
{
    $document = SomeCuts::document('01-absorb');
    $document['stock'] = [[
        ...['id' => 'b', 'tube' => 't', 'kind' => 'bend', 'clr' => 50.8, 'angle' => 90, 'legs' => [101.6, 139.7], 'count' => 1],
        ...$item,
    ]];

    return OpenCopy::unused(new Donor(0, SomeCuts::problem($document)->stock[0]));
}

/**
 * The whole of a run as one part.
 *
 * @param  list<array<string, float|int>>  $elements
 */
function cutPart(array $elements, float $longMm = 0.0, float $leastMm = 10.0): Part
{
    $document = SomeCuts::document('01-absorb');
    $document['runs'] = [['id' => 'A', 'tube' => 't', 'elements' => $elements]];
    $document['rules'] = [...$document['rules'], 'long_by' => ['joint' => $longMm, 'end' => $longMm], 'least_piece' => $leastMm];
    $problem = SomeCuts::problem($document);
    static $runs = 0;
    $shape = new RunShape(++$runs, $problem->runs[0], $problem->rules, []);

    return $shape->part(0.0, $shape->endMm, $shape->bends === [] ? -1 : 0) ?? throw new RuntimeException('too short');
}

function cutRules(float $holdMm = 0.0): CutRules
{
    return new CutRules(2.0, $holdMm, 10.0, 8.25, 0.0, 0.0, 25.0, 3.0);
}

/** @return list<float> where the part can begin */
function cutPlaces(OpenCopy $copy, Part $part, float $holdMm = 0.0): array
{
    $places = array_map(static fn (array $one): float => round($one[1], 3), $copy->taking($part, cutRules($holdMm)));
    sort($places);

    return $places;
}

const ARC_90 = 79.796;

it('uses both legs of a bend for a piece with the whole angle, either way round', function () {
    $part = cutPart([['straight' => 100], ['bend' => 90, 'clr' => 50.8], ['straight' => 90]]);
    // Its first leg is 1.6 mm shorter than the clamp leg; turned round, its second leg lies in the clamp leg.
    expect(cutPlaces(cutStock(), $part))->toBe([round(101.6 - 100, 3), round(101.6 - 90, 3)])
        // More than the clamp leg has: only the pull leg is long enough.
        ->and(cutPlaces(cutStock(), cutPart([['straight' => 120], ['bend' => 90, 'clr' => 50.8], ['straight' => 90]])))
        ->toBe([round(101.6 - 90, 3)])
        ->and(cutPlaces(cutStock(), cutPart([['straight' => 120], ['bend' => 90, 'clr' => 50.8], ['straight' => 110]])))
        ->toBe([]);
});

it('gives a lesser angle a leg on one side at most', function () {
    $both = cutPart([['straight' => 30], ['bend' => 60, 'clr' => 50.8], ['straight' => 30]]);
    $one = cutPart([['straight' => 30], ['bend' => 60, 'clr' => 50.8]]);
    expect(cutPlaces(cutStock(), $both))->toBe([])
        // At the first tangent, or turned round at the second.
        ->and(cutPlaces(cutStock(), $one))->toBe([71.6, round(101.6 + ARC_90 * 30 / 90, 3)]);
});

it('does not take the second leg of a bend for granted', function () {
    // Two pieces of 20 degrees with legs of 137 mm: the clamp leg of 101.6 mm holds neither.
    $part = cutPart([['straight' => 137], ['bend' => 20, 'clr' => 50.8]]);
    $taking = cutStock()->taking($part, cutRules());
    expect($taking)->toHaveCount(1)
        ->and($taking[0][0]->taking($part, cutRules()))->toBe([]);
});

it('cuts 35 and 50 degrees and a kerf from one bend of 90', function () {
    $first = cutPart([['straight' => 70], ['bend' => 35, 'clr' => 50.8]]);
    $second = cutPart([['bend' => 50, 'clr' => 50.8], ['straight' => 120]]);
    [[$with]] = cutStock()->taking($first, cutRules());
    expect($with->taking($second, cutRules()))->not->toBe([])
        // 35 + 54 + the 2.3 degrees of a kerf are more than 90.
        ->and($with->taking(cutPart([['bend' => 54, 'clr' => 50.8], ['straight' => 120]]), cutRules()))->toBe([]);
});

it('has no room for extra length at a whole angle of an elbow', function () {
    $elbow = cutStock(['kind' => 'elbow']);
    expect(cutPlaces($elbow, cutPart([['bend' => 90, 'clr' => 50.8]])))->toBe([0.0])
        ->and(cutPlaces($elbow, cutPart([['bend' => 90, 'clr' => 50.8]], 1.0)))->toBe([])
        ->and(cutPlaces($elbow, cutPart([['bend' => 80, 'clr' => 50.8]], 1.0)))->toBe([0.0, round(ARC_90 / 9 - 2, 3)]);
});

it('counts the slots of the saw: none at the stock’s own ends, one where two pieces face each other', function () {
    $third = cutPart([['bend' => 28, 'clr' => 50.8]]);
    $elbow = cutStock(['kind' => 'elbow']);
    $one = $elbow->taking($third, cutRules())[0][0];
    $two = $one->taking($third, cutRules())[0][0];
    expect($one->cuts)->toBe(1)->and($two->cuts)->toBe(2);
    // A stick of 1500: two pieces of 749 use it up with the kerf between them.
    $stick = cutStock(['kind' => 'stick', 'length' => 1500]);
    $half = cutPart([['straight' => 749]]);
    $first = $stick->taking($half, cutRules())[0][0];
    expect($first->cuts)->toBe(1)
        ->and($first->taking($half, cutRules())[0][0]->cuts)->toBe(1);
});

it('cuts a ring anywhere, twice for one piece and once more for each other', function () {
    $ring = cutStock(['kind' => 'donut']);
    $part = cutPart([['bend' => 100, 'clr' => 50.8]]);
    $one = $ring->taking($part, cutRules())[0][0];
    $two = $one->taking($part, cutRules())[0][0];
    $three = $two->taking($part, cutRules())[0][0];
    // What is left of it counts round the turn as well.
    expect($one->arcMm)->toBeClose(2 * M_PI * 50.8 * 260 / 360)
        ->and($three->arcMm)->toBeClose(2 * M_PI * 50.8 * 60 / 360 - 4.0);
    expect([$one->cuts, $two->cuts, $three->cuts])->toBe([2, 3, 4])
        ->and($three->taking($part, cutRules()))->toBe([])
        ->and(cutPlaces($ring, cutPart([['straight' => 20], ['bend' => 60, 'clr' => 50.8]])))->toBe([]);
});

it('leaves the saw something to hold', function () {
    $elbow = static fn (): OpenCopy => cutStock(['kind' => 'elbow']);
    $part = cutPart([['bend' => 45, 'clr' => 50.8]]);
    // 39.9 mm of piece, 37.9 of the rest.
    expect(cutPlaces($elbow(), $part, 40))->toBe([])
        ->and(cutPlaces($elbow(), $part, 39.5))->not->toBe([])
        // What is not cut at all need not be held.
        ->and(cutPlaces($elbow(), cutPart([['bend' => 90, 'clr' => 50.8]]), 100))->toBe([0.0]);
});

it('closes straight stock up when a piece is taken out of it', function () {
    $stick = cutStock(['kind' => 'stick', 'length' => 1500]);
    $copy = $stick->taking(cutPart([['straight' => 300]]), cutRules())[0][0];
    $copy = $copy->taking(cutPart([['straight' => 500]]), cutRules())[0][0];
    expect($copy->taken)->toBe([[0.0, 300.0], [302.0, 802.0]])
        ->and($copy->without(0.0, 300.0, cutRules())?->taken)->toBe([[0.0, 500.0]])
        ->and($copy->without(0.0, 300.0, cutRules())?->without(0.0, 500.0, cutRules()))->toBeNull();
});

it('cuts a straight piece out of a leg that is left', function () {
    $leg = cutPart([['straight' => 100]]);
    expect(cutPlaces(cutStock(), $leg))->toBe([0.0, 1.6, round(101.6 + ARC_90, 3), round(101.6 + ARC_90 + 39.7, 3)])
        // The extra length of one end may lie in the bend, that of the other must be leg: 1 mm and 100 of 101.6.
        ->and(cutPlaces(cutStock(), cutPart([['straight' => 100]], 1.0)))->toContain(0.0, 0.6)
        ->and(cutPlaces(cutStock(), cutPart([['straight' => 100]], 2.0)))->not->toContain(0.0);
});

<?php

declare(strict_types=1);

use UpsweptBead\Core\Solve\Nest\Search\Straight\FullSticks;
use UpsweptBead\Core\Solve\Nest\Search\Straight\StraightBound;
use UpsweptBead\Core\Solve\Nest\Search\Straight\StraightFill;
use UpsweptBead\Core\Solve\Nest\Search\Straight\StraightNesting;
use UpsweptBead\Core\Solve\Nest\Search\Straight\Straights;
use UpsweptBead\Core\Solve\Nest\Search\Straight\StraightTube;
use UpsweptBead\Core\Tests\Support\NodeReference;
use UpsweptBead\Core\Tests\Support\SomeCuts;

covers(
    StraightBound::class,
    StraightTube::class,
    FullSticks::class,
    Straights::class,
    StraightFill::class,
    StraightNesting::class,
);

/**
 * Whole straight pieces from sticks of 1500 mm, kerf 2.
 *
 * @param  list<float>  $lengths
 * @param  array<string, mixed>  $stick
 * @return array<string, mixed>
 */
function straights(array $lengths, array $stick = []): array
{
    $document = SomeCuts::document('09-triplets-30');
    $document['stock'][0] = [...$document['stock'][0], ...$stick];
    $document['runs'] = array_map(static fn (int $i, float $mm): array => [
        'id' => "p$i", 'tube' => 't', 'elements' => [['straight' => $mm]], 'no_joint' => [[0, $mm]],
    ], array_keys($lengths), $lengths);

    return $document;
}

it('packs sets without waste into as few sticks as they were cut from', function (int $pieces) {
    $documents = SomeCuts::made([["triplets-$pieces", 1], ["triplets-$pieces", 2]]);
    foreach ($documents as $document) {
        $answer = SomeCuts::solve($document, 300);
        // First fit takes an eighth to a fifth more. n pieces to a full stick are n − 1 cuts.
        expect($answer->opened)->toBe(['stick' => $pieces / 3])
            ->and($answer->cuts)->toBe(2 * $pieces / 3)
            ->and($answer->isProven())->toBeTrue();
    }
})->with([30, 60, 120]);

it('takes as many sticks as an integer programme', function (int $seed) {
    mt_srand($seed);
    $lengths = array_map(static fn (): float => mt_rand(600, 6400) / 10, range(1, 15));
    $sizes = array_map(static fn (float $mm): int => (int) round($mm * 10) + 20, $lengths);
    ['sticks' => $sticks] = NodeReference::ask('nesting.mjs', ['sizes' => $sizes, 'room' => 15020]);
    expect(SomeCuts::solve(straights($lengths), 400)->opened)->toBe(['stick' => $sticks]);
})->with([1, 2, 3, 4]);

it('uses offcuts before it opens a stick', function () {
    $document = straights([400.0, 380.0, 1000.0]);
    $document['stock'][] = ['id' => 'rest', 'tube' => 't', 'kind' => 'offcut', 'length' => 405, 'count' => 1, 'cost' => 0];
    $answer = SomeCuts::solve($document, 50);
    expect($answer->opened)->toBe(['rest' => 1, 'stick' => 1]);
});

it('chooses the stick lengths that cost the least together', function () {
    // Two pieces of 700 fill one long stick; a third piece of 700 is cheaper from a short one.
    $document = straights([700.0, 700.0, 700.0]);
    $document['stock'][] = ['id' => 'short', 'tube' => 't', 'kind' => 'stick', 'length' => 750, 'count' => null, 'cost' => 25];
    expect(SomeCuts::solve($document, 50)->opened)->toBe(['short' => 1, 'stick' => 1]);
});

it('keeps so much of a stick of short pieces that the saw can hold it', function () {
    // Pieces of 88 mm, hold 100: with 16 of them 60 mm are left, with 15 a piece's room more.
    $document = straights(array_fill(0, 16, 88.0));
    expect(SomeCuts::solve($document, 50)->opened)->toBe(['stick' => 2]);
    $document['rules']['hold'] = 80;
    expect(SomeCuts::solve($document, 50)->opened)->toBe(['stick' => 1]);
});

it('trims both ends of a stick before a piece may begin', function () {
    $document = straights([749.0, 749.0]);
    expect(SomeCuts::solve($document, 20)->opened)->toBe(['stick' => 1]);
    $document['rules']['end_trim'] = 0.5;
    $answer = SomeCuts::solve($document, 20);
    expect($answer->opened)->toBe(['stick' => 2])->and($answer->cuts)->toBe(4);
});

it('states a bound that whole sticks round up to', function () {
    // Four pieces just over half a stick: one to a stick, however much is left.
    $answer = SomeCuts::solve(straights([760.0, 770.0, 780.0, 790.0]), 20);
    expect($answer->opened)->toBe(['stick' => 4])
        ->and($answer->lowerBound)->toBeClose(4 * 40.0 + 4 * 2.0, 1e-9);
});

it('splits straight runs where that saves a stick', function () {
    // Two of 800 leave 700 and 698 unused of two sticks; a third of 1300 is split in two pieces for one joint.
    $document = straights([800.0, 800.0, 1300.0]);
    foreach (array_keys($document['runs']) as $i) {
        $document['runs'][$i]['no_joint'] = [];
    }
    $answer = SomeCuts::solve($document, 100);
    expect($answer->joints)->toBe(1)
        ->and($answer->opened)->toBe(['stick' => 2]);
});

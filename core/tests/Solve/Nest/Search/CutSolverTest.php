<?php

declare(strict_types=1);

use UpsweptBead\Core\Solve\Nest\Problem\NoJointZone;
use UpsweptBead\Core\Solve\Nest\Problem\Shelf;
use UpsweptBead\Core\Solve\Nest\Search\CutPiece;
use UpsweptBead\Core\Solve\Nest\Search\CutStatus;
use UpsweptBead\Core\Solve\Nest\Search\RunSplitter;
use UpsweptBead\Core\Solve\Nest\Search\TubeSearch;
use UpsweptBead\Core\Tests\Support\SomeCuts;

covers(NoJointZone::class, Shelf::class, TubeSearch::class, RunSplitter::class);

// The costs are the least that are known for these problems, most of them proven by an integer programme.
it('finds the best known plan, and proves it where that is quick', function (string $name, float $cost, ?float $bound) {
    $document = SomeCuts::document($name);
    $answer = SomeCuts::solve($document, 600);
    [$verdict] = SomeCuts::judged([[$document, $answer]]);
    expect($verdict['faults'])->toBe([])
        ->and($verdict['cost'])->toBeClose($cost, 1e-9)
        ->and($answer->lowerBound)->toBeClose($bound ?? $answer->lowerBound ?? 0.0, 1e-9)
        ->and($answer->isProven())->toBe($bound !== null);
})->with([
    'one bend with both its legs' => ['01-absorb', 24.0, 24.0],
    'two bends of one run each from one bend' => ['03-pair-from-one', 30.0, 30.0],
    'ten sticks used up by thirty pieces' => ['09-triplets-30', 440.0, 440.0],
    'zones and joints asked for' => ['18-zones-and-forced', 243.0, null],
]);

it('cuts every kind of problem so that an independent judge finds nothing wrong', function () {
    $kinds = [];
    foreach (range(1, 12) as $seed) {
        $kinds[] = ['small', $seed];
    }
    array_push($kinds, ['header', 1], ['header', 2], ['manifold', 1], ['straights-40', 1], ['triplets-60', 1]);
    $answers = [];
    foreach (SomeCuts::made($kinds) as $document) {
        $answers[] = [$document, SomeCuts::solve($document, 30)];
    }
    foreach (SomeCuts::judged($answers) as $i => $verdict) {
        $answer = $answers[$i][1];
        expect($verdict['faults'])->toBe([], "{$kinds[$i][0]} {$kinds[$i][1]}")
            ->and($answer->cost)->toBeClose($verdict['cost'], 1e-9)
            ->and($answer->lowerBound)->toBeLessThanOrEqual($verdict['cost'] + 1e-6);
    }
});

it('does the same work for the same seed', function () {
    [$document] = SomeCuts::made([['small', 5]]);
    $pieces = static fn (int $seed): array => array_map(
        static fn (CutPiece $piece): array => (array) $piece,
        SomeCuts::solve($document, 20, $seed)->pieces,
    );
    expect($pieces(3))->toBe($pieces(3));
});

it('puts the pieces of a run end to end, none of them lost and none doubled', function () {
    [$document] = SomeCuts::made([['header', 3]]);
    $answer = SomeCuts::solve($document, 10);
    $problem = SomeCuts::problem($document);
    foreach ($problem->runs as $run) {
        $at = 0.0;
        foreach ($answer->pieces as $piece) {
            if ($piece->run === $run->id) {
                expect($piece->fromMm)->toBeClose($at, 1e-12, 1e-6);
                $at = $piece->toMm;
            }
        }
        expect($at)->toBeClose($run->chain->lengthMm, 1e-12, 1e-6);
    }
});

it('takes no more of a shelf than there is, and every millimetre of it is a piece, a cut, or left', function () {
    [$document] = SomeCuts::made([['straights-40', 2]]);
    $answer = SomeCuts::solve($document, 10);
    $problem = SomeCuts::problem($document);
    foreach ($problem->stock as $item) {
        expect($answer->opened[$item->id] ?? 0)->toBeLessThanOrEqual($item->count ?? PHP_INT_MAX);
    }
    foreach ($answer->opened as $id => $count) {
        $item = array_values(array_filter($problem->stock, static fn ($one): bool => $one->id === $id))[0];
        for ($copy = 1; $copy <= $count; $copy++) {
            $last = $item->trimMm - $problem->rules->kerfMm;
            $pieces = array_filter(
                $answer->pieces,
                static fn (CutPiece $piece): bool => $piece->item === $id && $piece->copy === $copy,
            );
            usort($pieces, static fn (CutPiece $a, CutPiece $b): int => $a->atMm <=> $b->atMm);
            foreach ($pieces as $piece) {
                expect($piece->atMm - $last)->toBeGreaterThanOrEqual($problem->rules->kerfMm - 1e-6);
                $last = $piece->untilMm;
            }
            expect($last)->toBeLessThanOrEqual($item->chain->lengthMm - $item->trimMm + 1e-6);
        }
    }
});

it('says that it found nothing where the saw has nothing to hold', function () {
    // The one elbow is used whole at 30 degrees and 27 mm, and the saw wants 60.
    $document = SomeCuts::document('01-absorb');
    $document['stock'] = [['id' => 'e45', 'tube' => 't', 'kind' => 'elbow', 'clr' => 50.8, 'angle' => 45, 'count' => null]];
    $document['runs'][0]['elements'] = [['bend' => 30, 'clr' => 50.8]];
    expect(SomeCuts::solve($document, 5)->status)->toBe(CutStatus::NotFound);
});

it('searches each tube with its own stock', function () {
    $document = SomeCuts::document('01-absorb');
    $document['tubes']['u'] = ['od' => 48.3, 'wall' => 1.65];
    $document['runs'][] = ['id' => 'B', 'tube' => 'u', 'elements' => [['straight' => 300]]];
    $document['stock'][] = ['id' => 'u-stick', 'tube' => 'u', 'kind' => 'stick', 'length' => 300, 'count' => 1, 'cost' => 7];
    $answer = SomeCuts::solve($document, 20);
    // The second needs no cut: it is as long as its stick.
    expect($answer->cost)->toBeClose(24.0 + 7.0, 1e-9)
        ->and($answer->opened)->toBe(['b90' => 1, 'u-stick' => 1])
        ->and($answer->isProven())->toBeTrue();
});

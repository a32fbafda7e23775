<?php

declare(strict_types=1);

use UpsweptBead\Core\Exchange\Screens\CuttingWriter;
use UpsweptBead\Core\Stage\Cut\Piece;
use UpsweptBead\Core\Stage\Cut\SawSetUp;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeRoutedSets;

covers(CuttingWriter::class);

it('puts every piece of a job in one set-up, with what the same clamp and stop can cut', function () {
    $cut = Planner::sketch(SomeRoutedSets::eight(), Some::shop())->cut;
    $setUps = SawSetUp::all($cut);
    $marks = [];
    foreach ($setUps as $setUp) {
        foreach ($setUp->pieces as $i => $piece) {
            $marks[] = $piece->mark;
            expect($piece->isBend() ? $piece->clrMm : 0.0)->toBe($setUp->clrMm);
            $before = $setUp->pieces[$i - 1] ?? null;
            if ($before !== null && ! $piece->isBend()) {
                expect($piece->cutLengthMm())->toBeLessThanOrEqual($before->cutLengthMm());
            }
        }
        expect($setUp->stops)->toBeGreaterThan(0)->toBeLessThanOrEqual(count($setUp->pieces));
    }
    $all = array_map(static fn (Piece $one): string => $one->mark, array_merge(...array_values($cut->pieces)));
    expect($marks)->toEqualCanonicalizing($all)
        ->and($setUps[0]->clrMm)->toBe(0.0)
        ->and(count($setUps))->toBeGreaterThan(2);
});

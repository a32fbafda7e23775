<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Stage\Cut\CutPlan;
use UpsweptBead\Core\Stage\Cut\OnTape;
use UpsweptBead\Core\Stage\Cut\Piece;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeRoutedSets;

function eightRunsCut(): CutPlan
{
    return Planner::sketch(SomeRoutedSets::eight(), Some::shop())->cut;
}

dataset('units', ['on an inch tape' => [UnitSystem::Inch, 25.4 / 32], 'on a metric one' => [UnitSystem::Metric, 0.5]]);

it('sets every length a hand wide or more to a mark of the tape', function (UnitSystem $units, float $markMm) {
    foreach (OnTape::of(Some::plan()->cut->pieces, $units)->mm as $mm) {
        if ($mm >= 75.0) {
            expect(abs($mm / $markMm - round($mm / $markMm)))->toBeLessThan(1e-6);
        }
    }
})->with('units');

it('rounds the pieces of a run together: it comes out as planned within half a mark', function (UnitSystem $units, float $markMm) {
    foreach ([Some::plan()->cut, eightRunsCut()] as $cut) {
        $tape = OnTape::of($cut->pieces, $units);
        foreach ($cut->pieces as $letter => $pieces) {
            $planned = array_sum(array_map(static fn (Piece $one): float => $one->cutLengthMm(), $pieces));
            $set = array_sum(array_map(static fn (Piece $one): float => $tape->mm[$one->mark], $pieces));
            expect(abs($set - $planned))->toBeLessThanOrEqual($markMm / 2 + 1e-9)
                ->and($tape->leftMm[$letter])->toBeClose($set - $planned, 1e-6);
        }
    }
})->with('units');

it('leaves each piece within one mark of what is planned', function (UnitSystem $units, float $markMm) {
    $tape = OnTape::of(eightRunsCut()->pieces, $units);
    foreach (eightRunsCut()->allPieces() as $piece) {
        expect(abs(($tape->mm[$piece->mark] ?? $piece->cutLengthMm()) - $piece->cutLengthMm()))->toBeLessThanOrEqual($markMm + 1e-9);
    }
})->with('units');

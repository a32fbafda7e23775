<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Document\Faults;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Shop\Practice\ShopReader;
use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Stage\Cut\Bar;
use UpsweptBead\Core\Stage\Cut\Bends;
use UpsweptBead\Core\Stage\Cut\CutPlan;
use UpsweptBead\Core\Stage\Cut\Nesting;
use UpsweptBead\Core\Stage\Cut\Piece;
use UpsweptBead\Core\Stage\Cut\StockNeed;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeRoutedSets;

/** @param  array<string, int>  $shelf */
function shopWith(array $shelf): Shop
{
    return ShopReader::read(
        ['format' => 'upswept-bead/shop', 'version' => 1, 'name' => 'S', 'shelf' => $shelf],
        new Faults(),
    );
}

/** @param  array<string, int>  $shelf */
function cutPlan(array $shelf = []): CutPlan
{
    return Planner::sketch(SomeRoutedSets::eight(), shopWith($shelf))->cut;
}

/** @return array<string, StockNeed> */
function needs(CutPlan $plan): array
{
    return array_column($plan->stock, null, 'stockId');
}

it('cuts the pieces of all runs from the same bars and bends', function () {
    $plan = cutPlan();
    expect($plan->nestings)->toHaveCount(1);
    $mixed = array_filter(
        $plan->nestings[0]->bars,
        static fn (Bar $bar): bool => count(array_unique(array_column($bar->pieces, 'run'))) > 1,
    );
    expect($mixed)->not->toBe([]);
    $cut = [];
    foreach ([...$plan->nestings[0]->bars, ...$plan->nestings[0]->donors] as $stock) {
        array_push($cut, ...array_map(static fn (Piece $piece): string => $piece->mark, $stock->pieces));
    }
    $all = array_map(static fn (Piece $piece): string => $piece->mark, array_merge(...array_values($plan->pieces)));
    expect($cut)->toEqualCanonicalizing($all);
});

it('counts the shelf once for the job: eight runs that need more than it holds are short of the rest', function () {
    $needed = needs(cutPlan());
    $bars = $needed['T1.625x.065']->needed;
    $bends = $needed['B1.625x.065-R2-180']->needed;
    expect($bars)->toBeGreaterThan(1)->and($bends)->toBeGreaterThan(4);
    $short = needs(cutPlan(['T1.625x.065' => 1, 'B1.625x.065-R2-180' => 4]));
    expect($short['T1.625x.065']->toBuy())->toBe($bars - 1)
        ->and($short['B1.625x.065-R2-180']->toBuy())->toBe($bends - 4)
        ->and(cutPlan(array_map(static fn (StockNeed $need): int => $need->needed, $needed))->toBuy())->toBe(0);
});

it('takes no more stock for all runs together than for each by itself, and no less than its lower bound', function () {
    $together = cutPlan()->nestings[0];
    $apart = 0;
    $catalogue = Some::shop()->catalogue;
    $bends = new Bends($catalogue->bendsFor('T1.625x.065'));
    foreach (cutPlan()->pieces as $pieces) {
        $alone = Nesting::of($catalogue->tube('T1.625x.065'), $pieces, $bends, Some::shop());
        $apart += count($alone->bars);
    }
    expect(count($together->bars))->toBeLessThan($apart)->toBeGreaterThanOrEqual($together->leastBars);
});

// Density of austenitic stainless, 7930 kg/m³ [from memory]; a ring's area is π·t·(D − t).
it('weighs what it cuts', function () {
    $sketch = Planner::sketch(SomeRoutedSets::eight(), Some::shop());
    $areaMm2 = M_PI * 1.651 * (41.275 - 1.651);
    foreach ($sketch->layout->runs as $routed) {
        expect($sketch->cut->massKg($routed->spec->letter))->toBeClose(
            $routed->run->lengthMm() * $areaMm2 * 7930e-9,
            1e-6,
        );
    }
});

it('cuts every piece of a bend a kerf away from the next, inside its stock, and leaves what it says', function () {
    $kerf = ShopRules::shipped()->value('cut.kerf');
    $donors = array_merge(...array_map(
        static fn (Nesting $nesting): array => $nesting->donors,
        cutPlan()->nestings,
    ));
    expect(count($donors))->toBeGreaterThan(3);
    $shared = 0;
    foreach ($donors as $donor) {
        $last = -$kerf;
        foreach ($donor->pieces as $piece) {
            $place = $piece->place ?? throw new RuntimeException('no place');
            expect($place->stockId)->toBe($donor->stock->id)
                ->and($place->atMm - $last)->toBeGreaterThanOrEqual($kerf - 0.01)
                ->and($place->untilMm - $place->atMm)->toBeClose($piece->cutLengthMm(), 0, 1e-6)
                ->and($place->untilMm)->toBeLessThanOrEqual($place->lengthMm + 0.01);
            $last = $place->untilMm;
        }
        $shared += count($donor->pieces) > 1 ? 1 : 0;
        expect($donor->leftDeg)->toBeLessThanOrEqual($donor->stock->angleDeg);
    }
    expect($shared)->toBeGreaterThan(0);
});

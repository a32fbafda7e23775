<?php

declare(strict_types=1);

use UpsweptBead\Core\Cut\Bar;
use UpsweptBead\Core\Cut\CutPlan;
use UpsweptBead\Core\Cut\Nesting;
use UpsweptBead\Core\Cut\Piece;
use UpsweptBead\Core\Cut\StockNeed;
use UpsweptBead\Core\Document\Faults;
use UpsweptBead\Core\Plan\Planner;
use UpsweptBead\Core\Shop\Shop;
use UpsweptBead\Core\Shop\ShopReader;
use UpsweptBead\Core\Shop\ShopRules;
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
    foreach (cutPlan()->pieces as $pieces) {
        $apart += count(Nesting::of('T1.625x.065', $pieces, Shop::bare()->rules)->bars);
    }
    expect(count($together->bars))->toBeLessThan($apart)->toBeGreaterThanOrEqual($together->leastBars);
});

// Density of austenitic stainless, 7930 kg/m³ [from memory]; a ring's area is π·t·(D − t).
it('weighs what it cuts', function () {
    $sketch = Planner::sketch(SomeRoutedSets::eight(), Shop::bare());
    $areaMm2 = M_PI * 1.651 * (41.275 - 1.651);
    foreach ($sketch->layout->runs as $routed) {
        expect($sketch->cut->massKg($routed->spec->letter))->toBeClose(
            $routed->run->lengthMm() * $areaMm2 * 7930e-9,
            1e-6,
        );
    }
});

it('takes no more legs or degrees out of a bend than it has', function () {
    $rules = ShopRules::shipped();
    $donors = array_merge(...array_map(
        static fn (Nesting $nesting): array => $nesting->donors,
        cutPlan()->nestings,
    ));
    expect(count($donors))->toBeGreaterThan(3);
    foreach ($donors as $donor) {
        $legs = 0;
        $left = $donor->stock->angleDeg;
        foreach ($donor->pieces as $piece) {
            $legs += ($piece->span->legBeforeMm > 0 ? 1 : 0) + ($piece->span->legAfterMm > 0 ? 1 : 0);
            $left = max(0.0, $left - $piece->angleDeg - rad2deg($rules->value('cut.kerf') / $donor->stock->clrMm));
        }
        expect($donor->freeLegs)->toBe(2 - $legs)->toBeGreaterThanOrEqual(0)
            ->and($donor->leftDeg)->toBeClose($left, 0, 1e-9);
    }
});

<?php

declare(strict_types=1);

use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Shop\Stock\Offcut;
use UpsweptBead\Core\Stage\Cut\Bends;
use UpsweptBead\Core\Stage\Cut\CutPlan;
use UpsweptBead\Core\Stage\Cut\Leftover;
use UpsweptBead\Core\Stage\Cut\OpenedStock;
use UpsweptBead\Core\Stage\Cut\StockPlace;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeRoutedSets;

/** A place on a bend of 100 mm legs with an arc of 200 mm between. */
function on(float $atMm, float $untilMm): StockPlace
{
    return new StockPlace('B', 1, $atMm, $untilMm, false, 100.0, 300.0, 400.0);
}

/** @param  list<Offcut>  $offcuts */
function eightWith(array $offcuts): CutPlan
{
    return Planner::sketch(SomeRoutedSets::eight(), Some::shop()->withShelf([], $offcuts))->cut;
}

it('leaves what is beside and between the pieces, a kerf away from each', function () {
    $clrMm = 200.0 / deg2rad(90.0);
    $left = Leftover::of([on(150.0, 250.0), on(260.0, 320.0)], $clrMm, 2.0);
    expect($left)->toHaveCount(3)
        ->and([$left[0]->beforeMm, $left[0]->afterMm])->toBe([100.0, 0.0])
        ->and($left[0]->angleDeg)->toBeClose(90.0 * 48.0 / 200.0, 1e-9)
        ->and($left[1]->angleDeg)->toBeClose(90.0 * 6.0 / 200.0, 1e-9)
        ->and([$left[2]->beforeMm, $left[2]->angleDeg, $left[2]->afterMm])->toBe([0.0, 0.0, 78.0]);
});

it('leaves nothing of stock that is used whole, and no dust', function () {
    expect(Leftover::of([on(0.0, 400.0)], 127.0, 1.0))->toBe([])
        ->and(Leftover::of([on(0.0, 399.0)], 127.0, 1.0))->toBe([])
        ->and(Leftover::of([], 127.0, 1.0))->toBe([]);
});

it('keeps a straight or a bend that is worth it by the rules of the shop', function () {
    $rules = ShopRules::shipped();
    [$bent] = Leftover::of([on(115.0, 400.0)], 200.0 / deg2rad(90.0), 1.0);
    [$leg] = Leftover::of([on(101.0, 400.0)], 200.0 / deg2rad(90.0), 1.0);
    [$short] = Leftover::of([on(60.0, 400.0)], 200.0 / deg2rad(90.0), 1.0);
    expect($bent->isWorthKeeping($rules))->toBeFalse('100 mm is less than 4 in, 6.3° less than 15°')
        ->and($leg->isWorthKeeping($rules->with('cut.offcut', '100 mm', UpsweptBead\Core\Base\Units\UnitSystem::Metric)))->toBeTrue()
        ->and($short->isWorthKeeping($rules))->toBeFalse();
});

it('accounts for every millimetre of what eight runs open', function () {
    $rules = ShopRules::shipped();
    $kerfMm = $rules->value('cut.kerf');
    $opened = eightWith([])->opened($rules);
    expect(count($opened))->toBeGreaterThan(10);
    foreach ($opened as $one) {
        $whole = $one->pieces[0]->place->lengthMm ?? 0.0;
        $isStick = $one->stockId === $one->tubeId;
        $known = $isStick ? $rules->value('cut.end_trim') : 0.0;
        foreach ($one->pieces as $piece) {
            $known += $piece->cutLengthMm();
        }
        foreach ($one->left as $left) {
            $known += $left->lengthMm();
        }
        // What is missing are the cuts: one on each side of a piece at most.
        $cuts = $whole - $known;
        expect($cuts)->toBeGreaterThan(-0.05)->toBeLessThan(2 * count($one->pieces) * $kerfMm + 0.05);
    }
});

it('cuts from offcuts before new stock, each of them once', function () {
    $none = eightWith([]);
    $straight = new Offcut('K-1', 'T1.625x.065', 'T1.625x.065', 0.0, 700.0, 0.0, 0.0);
    $some = eightWith([$straight, new Offcut('K-2', 'T1.625x.065', 'T1.625x.065', 0.0, 650.0, 0.0, 0.0)]);
    $used = array_filter(
        $some->opened(ShopRules::shipped()),
        static fn (OpenedStock $one): bool => str_starts_with($one->stockId, 'K-'),
    );
    expect(count($used))->toBeGreaterThan(0)
        ->and(count(array_unique(array_map(static fn (OpenedStock $one): string => $one->key(), $used))))->toBe(count($used))
        ->and($some->toBuy())->toBeLessThan($none->toBuy())
        ->and($some->nestings[0]->leastBars)->toBeLessThanOrEqual($none->nestings[0]->leastBars);
});

it('cuts a bend from what is left of one, and never twice from the same', function () {
    $whole = Some::shop()->catalogue->bend('B1.625x.065-R2-180') ?? throw new LogicException('no bend');
    $offcut = new Offcut('K-7', $whole->id, 'T1.625x.065', $whole->clrMm, 0.0, 120.0, $whole->pullLegMm);
    $shop = Some::shop()->withShelf([], [$offcut]);
    $bends = Bends::of($shop->catalogue->tube('T1.625x.065'), $shop);
    $used = array_filter(
        eightWith([$offcut])->opened($shop->rules),
        static fn (OpenedStock $one): bool => $one->stockId === 'K-7',
    );
    expect($bends->isOffcut(count($bends->stock) - 1))->toBeTrue()
        ->and($used)->toHaveCount(1);
    foreach (array_values($used)[0]->pieces as $piece) {
        expect($piece->place?->lengthMm)->toBeClose($offcut->lengthMm(), 1e-9)
            ->and($piece->place->untilMm ?? 0.0)->toBeLessThanOrEqual($offcut->lengthMm() + 0.01);
    }
});

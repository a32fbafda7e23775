<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Document\Faults;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Job\Run\CutChoice;
use UpsweptBead\Core\Shop\Practice\ShopReader;
use UpsweptBead\Core\Shop\Stock\Offcut;
use UpsweptBead\Core\Solve\Nest\Problem\Impossible;
use UpsweptBead\Core\Solve\Nest\Problem\StockItem;
use UpsweptBead\Core\Solve\Nest\Search\Bound\SharedStock;
use UpsweptBead\Core\Solve\Nest\Search\Bound\StraightLeast;
use UpsweptBead\Core\Stage\Cut\CutPlan;
use UpsweptBead\Core\Stage\Cut\Estimate;
use UpsweptBead\Core\Stage\Cut\LeastStock;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Stage\Plan\StockOffer;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeRoutedSets;

covers(StraightLeast::class, SharedStock::class);

/** @return Closure(): float a clock that only runs when it is looked at */
function tickingClock(): Closure
{
    $ticks = 0;

    return static function () use (&$ticks): float {
        return (float) ++$ticks;
    };
}

function offered(Job $job): StockOffer
{
    return StockOffer::of($job, Some::shop(), 300.0, 1, tickingClock());
}

/** What is found for the eight runs: the same search is done once for all tests. */
function offeredEight(): StockOffer
{
    static $offer = null;

    return $offer ??= offered(SomeRoutedSets::eight());
}

/** @param  list<float>  $joints */
function cutAt(array $joints, string $letter = 'A'): CutPlan
{
    $job = SomeRoutedSets::eight();
    $index = array_search($letter, array_column($job->runs, 'letter'), true);
    $route = $job->runs[(int) $index]->route ?? throw new RuntimeException('no route');
    $choice = new CutChoice(array_map(Length::ofMm(...), $joints));

    return Planner::sketch($job->routed($letter, $route->cutAs($choice)), Some::shop())->cut;
}

it('states a job as a problem of cutting: its runs, what the shelf has, and what can be bought', function () {
    $job = SomeRoutedSets::eight();
    $shop = ShopReader::read(
        ['format' => 'upswept-bead/shop', 'version' => 1, 'name' => 'S', 'shelf' => ['B1.625x.065-R2-90' => 3]],
        new Faults,
    );
    $layout = Planner::sketch($job, $shop)->layout;
    $problem = LeastStock::problem($job, $layout, $shop);
    expect($problem->runs)->toHaveCount(8)->and(Impossible::in($problem))->toBe([]);
    foreach ($problem->runs as $i => $run) {
        expect($run->chain->lengthMm)->toBeClose($layout->runs[$i]->run->lengthMm(), 1e-4);
    }
    $bends = array_values(array_filter(
        $problem->stock,
        static fn (StockItem $item): bool => str_starts_with($item->id, 'B1.625x.065-R2-90'),
    ));
    // What lies on the shelf is not for nothing, but comes before what has to be bought.
    expect($bends)->toHaveCount(2)
        ->and($bends[0]->count)->toBe(3)
        ->and($bends[1]->count)->toBeNull()
        ->and($bends[0]->cost)->toBeLessThan($bends[1]->cost);
});

it('has what was left of sticks and bends in it, one of each, for less than new', function () {
    $job = SomeRoutedSets::eight();
    $shop = Some::shop()->withShelf([], [
        new Offcut('K-1', 'T1.625x.065', 'T1.625x.065', 0.0, 300.0, 0.0, 0.0),
        new Offcut('K-2', 'B1.625x.065-R2-180', 'T1.625x.065', 50.8, 0.0, 100.0, 127.0),
    ]);
    $stock = array_column(LeastStock::problem($job, Planner::sketch($job, $shop)->layout, $shop)->stock, null, 'id');
    expect($stock['K-1 on the shelf']->count)->toBe(1)
        ->and($stock['K-1 on the shelf']->chain->lengthMm)->toBeClose(300.0)
        ->and($stock['K-1 on the shelf']->cost)->toBeLessThan($stock['T1.625x.065']->cost)
        ->and($stock['K-2 on the shelf']->legsMm())->toBe([0.0, $stock['K-2 on the shelf']->chain->lengthMm - $stock['K-2 on the shelf']->chain->bends()[0]['to']])
        ->and($stock['K-2 on the shelf']->cost)->toBeLessThan($stock['B1.625x.065-R2-90']->cost);
});

it('finds cuts of eight runs that cost less and take no more joints', function () {
    $offer = offeredEight();
    assert($offer->found !== null && $offer->job !== null);
    expect($offer->found->joints())->toBeLessThanOrEqual($offer->now->joints())
        ->and(Estimate::of($offer->found, Some::shop()))->toBeLessThan(Estimate::of($offer->now, Some::shop()) - 0.01);
    // The document keeps them, and what is cut then is the same.
    $read = JobReader::fromJson(JobWriter::toJson($offer->job))->job;
    assert($read !== null);
    $cut = Planner::sketch($read, Some::shop())->cut;
    expect([$cut->joints(), $cut->bends(), $cut->bars()])
        ->toBe([$offer->found->joints(), $offer->found->bends(), $offer->found->bars()]);
});

it('offers nothing where nothing is better', function () {
    // Its cuts are those that were found; another look with the same seed finds no others.
    $job = offeredEight()->job ?? throw new RuntimeException('nothing found');
    expect(offered($job)->job)->toBeNull();
});

it('works cuts out again where a piece would have two bends, and says so', function () {
    // No joint at all in run A, which has two bends.
    $cut = cutAt([]);
    expect($cut->notices[0]->path)->toBe('runs[0].route.cuts')
        ->and($cut->notices[0]->message)->toContain('worked out again')
        ->and($cut->piecesOf('A'))->toHaveCount(3);
});

it('works cuts out again where a chosen joint would lie in a bend', function () {
    $job = SomeRoutedSets::eight();
    $bend = $job->runs[0]->route?->rows[0] ?? throw new RuntimeException('no bend');
    $inside = $bend->straight->mm + 10.0;
    expect(cutAt([$inside])->notices[0]->path)->toBe('runs[0].route.cuts');
});

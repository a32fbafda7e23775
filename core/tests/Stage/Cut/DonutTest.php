<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Shop\Stock\Catalogue;
use UpsweptBead\Core\Solve\Merge\BendMarks;
use UpsweptBead\Core\Solve\Merge\RoundTube;
use UpsweptBead\Core\Stage\Bench\BenchStep;
use UpsweptBead\Core\Stage\Cut\BentDonor;
use UpsweptBead\Core\Stage\Cut\CutMark;
use UpsweptBead\Core\Stage\Cut\CutPlan;
use UpsweptBead\Core\Stage\Cut\Leftover;
use UpsweptBead\Core\Stage\Cut\MarkKind;
use UpsweptBead\Core\Stage\Cut\Nesting;
use UpsweptBead\Core\Stage\Cut\OpenedStock;
use UpsweptBead\Core\Stage\Cut\Piece;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Joint\JointType;
use UpsweptBead\Core\Stage\Plan\DonutChoice;
use UpsweptBead\Core\Stage\Plan\JointOffer;
use UpsweptBead\Core\Stage\Plan\JointWish;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeRoutedSets;

covers(DonutChoice::class);

const RING = 'D1.625x.065-R2-ring';

/** The eight runs with the bends that begin these pieces cut from donuts, one after the other. */
function fromDonuts(string ...$runs): Job
{
    $job = SomeRoutedSets::eight();
    foreach ($runs as $run) {
        $pieces = Planner::sketch($job, Some::shop())->cut->piecesOf($run);
        $bent = array_values(array_filter(
            $pieces,
            static fn (Piece $one): bool => $one->isBend() && abs($one->clrMm - 50.8) < 0.01 && $one->wanted === '',
        ));
        $job = JointOffer::of($job, Some::shop(), $bent[0]->mark, JointWish::FromDonut)->job;
    }

    return $job;
}

/** @return list<BentDonor> the rings that a plan opens */
function rings(CutPlan $cut): array
{
    return array_values(array_filter(
        array_merge(...array_map(static fn (Nesting $one): array => $one->donors, $cut->nestings)),
        static fn (BentDonor $one): bool => $one->stock->isRing(),
    ));
}

it('has donuts on the radii on which a tube is bent, and routes nothing round them', function () {
    $catalogue = Catalogue::shipped();
    foreach (array_keys($catalogue->tubes) as $tube) {
        $radii = array_map(static fn ($bend): float => $bend->clrMm, $catalogue->bendsFor((string) $tube));
        foreach ($catalogue->donutsFor((string) $tube) as $ring) {
            expect($ring->isRing())->toBeTrue()
                ->and($ring->longestLegMm())->toBe(0.0)
                ->and($radii)->toContain($ring->clrMm)
                ->and($catalogue->bend($ring->id))->toEqual($ring);
        }
        expect(array_filter($catalogue->bendsFor((string) $tube), static fn ($bend): bool => $bend->isRing()))->toBe([]);
    }
});

it('cuts the bend alone out of a donut, with joints at its tangents, and leaves the run as it was', function () {
    $before = Planner::sketch(SomeRoutedSets::eight(), Some::shop())->cut;
    $after = Planner::sketch(fromDonuts('A', 'B'), Some::shop())->cut;
    [$ring] = rings($after);
    expect(rings($before))->toBe([])
        ->and(rings($after))->toHaveCount(1)
        ->and($ring->stock->id)->toBe(RING)
        ->and(array_map(static fn (Piece $one): string => $one->run, $ring->pieces))->toEqualCanonicalizing(['A', 'B']);
    foreach ($ring->pieces as $piece) {
        expect($piece->span->legBeforeMm)->toBeClose(0.0, 0, 0.001)
            ->and($piece->span->legAfterMm)->toBeClose(0.0, 0, 0.001);
    }
    $length = static fn (CutPlan $cut, string $run): float => array_sum(array_map(
        static fn (Piece $one): float => $one->span->lengthMm(),
        $cut->piecesOf($run),
    ));
    foreach (['A', 'B'] as $run) {
        expect($length($after, $run))->toBeClose($length($before, $run), 0, 0.01);
    }
});

// The same marks as the stand-alone answer for a donut, which is checked against the ring's own geometry.
it('marks each piece along the outer and inner edge from the face where it is sawn open', function () {
    $cut = Planner::sketch(fromDonuts('A', 'B', 'C'), Some::shop())->cut;
    [$ring] = rings($cut);
    expect(count($ring->pieces))->toBeGreaterThan(1);
    $marks = BendMarks::of(
        new RoundTube(41.275, 1.651),
        50.8,
        1.0,
        array_map(static fn (Piece $one): float => $one->cutLengthMm() / 50.8, $ring->pieces),
        null,
    );
    if (! $marks instanceof BendMarks) {
        throw new LogicException('The pieces do not go into one ring.');
    }
    foreach ($ring->pieces as $i => $piece) {
        $ofPiece = $piece->marks;
        usort($ofPiece, static fn (CutMark $a, CutMark $b): int => $a->centreMm <=> $b->centreMm);
        foreach ($ofPiece as $end => $mark) {
            // There everything is measured from before the cut that opens the ring, here from behind it.
            $expected = $marks->mark($marks->pieces[$i][$end] - 1.0 / 50.8);
            expect($mark->outerMm)->toBeClose($expected->outerMm, 0, 0.01)
                ->and($mark->innerMm)->toBeClose($expected->innerMm, 0, 0.01)
                ->and($mark->kind)->toBe($i + $end === 0 ? MarkKind::Opening : MarkKind::Bend);
        }
    }
});

it('takes a kerf for the cut that opens it: one cut more than there are pieces, and a kerf for each', function () {
    $cut = Planner::sketch(fromDonuts('A', 'B'), Some::shop());
    $rules = Some::shop()->rules;
    $opened = array_values(array_filter(
        array_merge(...array_map(static fn (Nesting $one): array => $one->opened($rules), $cut->cut->nestings)),
        static fn (OpenedStock $one): bool => $one->stockId === RING,
    ));
    $pieces = $opened[0]->pieces;
    $left = array_sum(array_map(static fn (Leftover $one): float => $one->lengthMm(), $opened[0]->left));
    $used = array_sum(array_map(static fn (Piece $one): float => $one->cutLengthMm(), $pieces));
    $cuts = $opened[0]->cuts();
    expect($cuts)->toBe(count($pieces) + 1)
        ->and($left + $used + $cuts * $rules->value('cut.kerf'))->toBeClose(2 * M_PI * 50.8, 0, 0.01);
});

it('opens a second donut where the first is used up', function () {
    $cut = Planner::sketch(fromDonuts('A', 'B', 'C', 'D', 'E', 'F', 'G', 'H'), Some::shop())->cut;
    expect(count(rings($cut)))->toBeGreaterThan(1);
    foreach (rings($cut) as $ring) {
        $mm = array_sum(array_map(static fn (Piece $one): float => $one->cutLengthMm() + 1.0, $ring->pieces));
        expect($mm)->toBeLessThanOrEqual(2 * M_PI * 50.8 + 1e-6);
    }
});

// Common practice: a donut is welded on the outside only; the inside seam is welded before the piece is closed in.
it('welds the seam inside each piece before anything closes it in', function () {
    $plan = Planner::plan(fromDonuts('A'), Some::shop());
    $seams = array_values(array_filter(
        $plan->joints->joints,
        static fn (Joint $one): bool => $one->type === JointType::DonutSeam,
    ));
    [$ring] = rings($plan->cut);
    $piece = $ring->pieces[0];
    $steps = array_map(static fn (BenchStep $one): string => $one->id, $plan->steps);
    $first = array_search('weld.'.$seams[0]->id, $steps, true);
    $tacks = array_keys(array_filter($steps, static fn (string $id): bool => str_starts_with($id, 'tack.AJ')));
    expect($seams)->toHaveCount(1)
        ->and($seams[0]->between->name)->toBe($piece->mark)
        // Both edges of the bore: (R + d/2 + R − d/2) · angle.
        ->and($seams[0]->seam->lengthMm)->toBeClose(2 * $piece->cutLengthMm(), 0, 1e-6)
        ->and($first)->toBeLessThan(min($tacks))
        ->and($steps)->not->toContain('purge.'.$seams[0]->id)
        ->and($plan->weld->sheets[$seams[0]->id]->choices['filler']->value)->toBe('none');
});

it('takes a donut from the shelf, or buys one where the shop does, only where that saves something', function () {
    $job = fromDonuts('A', 'B');
    $loose = $job->routed('A', $job->runs[0]->route->cutAs(new UpsweptBead\Core\Job\Run\CutChoice(
        $job->runs[0]->route->cuts->joints ?? [],
    )));
    expect(rings(Planner::sketch($loose, Some::shop()->withShelf([RING => 1], []))->cut))->not->toBe([]);
    $bare = Some::shop();
    $buying = new Shop(
        'S',
        $bare->rules->with('cut.donuts', '1', UnitSystem::Metric),
        $bare->catalogue,
        [],
        [],
    );
    $cost = static fn (Shop $shop): int => Planner::sketch(SomeRoutedSets::eight(), $shop)->cut->toBuy();
    expect($cost($buying))->toBeLessThanOrEqual($cost($bare));
});

it('says where no donut can give a bend', function () {
    $pieces = Planner::sketch(SomeRoutedSets::eight(), Some::shop())->cut->piecesOf('A');
    $straight = array_values(array_filter($pieces, static fn (Piece $one): bool => ! $one->isBend()))[0];
    expect(fn () => JointOffer::of(SomeRoutedSets::eight(), Some::shop(), $straight->mark, JointWish::FromDonut))
        ->toThrow(DomainException::class, 'no bend that could come out of a donut');
});

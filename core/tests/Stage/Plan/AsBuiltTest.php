<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Job\Run\RouteRow;
use UpsweptBead\Core\Stage\Cut\Piece;
use UpsweptBead\Core\Stage\Plan\AsBuilt;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeRoutedSets;

/** A run of eight as it stands up to one of its joints. */
function standing(string $joint, Vector $off): AsBuilt
{
    return AsBuilt::of(SomeRoutedSets::eight(), Some::shop(), $joint, $off);
}

/** The butt of a run behind its first bend. */
function buttBehindABend(string $letter): string
{
    $sketch = Planner::sketch(SomeRoutedSets::eight(), Some::shop());
    $run = $sketch->layout->run($letter) ?? throw new LogicException('no run');
    foreach ($sketch->joints->ofRun($letter) as $joint) {
        if ($joint->type->isButt() && $joint->seam->stationMm > $run->line->segments[1]->toMm() - 0.01) {
            return $joint->id;
        }
    }
    throw new LogicException('no butt behind a bend');
}

it('takes what stands as it was measured: its end lies where it was found', function (float $x, float $y, float $z) {
    $id = buttBehindABend('C');
    $before = Planner::sketch(SomeRoutedSets::eight(), Some::shop());
    $joint = $before->joints->find($id) ?? throw new LogicException('no joint');
    $at = $before->layout->run('C')?->line->frameAt($joint->seam->stationMm)->at ?? throw new LogicException('no run');
    $built = standing($id, new Vector($x, $y, $z));
    $after = Planner::sketch($built->job, Some::shop());
    $now = $after->joints->find($id) ?? throw new LogicException('the joint is gone');
    $there = $after->layout->run('C')?->line->frameAt($now->seam->stationMm)->at ?? throw new LogicException('no run');
    expect($there->distanceTo($at->plus(new Vector($x, $y, $z))))->toBeLessThan(0.05)
        ->and($built->isClosed())->toBeTrue();
})->with([[2.0, 0.0, 0.0], [0.0, -3.0, 1.0], [1.5, 1.5, -2.0]]);

it('brings the rest to its end again, and holds what stands from then on', function () {
    $id = buttBehindABend('C');
    $built = standing($id, new Vector(2.0, -1.0, 1.5));
    $after = Planner::sketch($built->job, Some::shop());
    $run = $after->layout->run('C') ?? throw new LogicException('no run');
    expect($run->farEnd->isClosed())->toBeTrue()
        ->and($run->spec->route?->rows[0]->locked)->toBe(RouteRow::LOCKABLE)
        ->and($run->spec->route->rows[2]->locked ?? ['none'])->toBe([])
        ->and($built->changes())->not->toBe([]);
    // As many pieces and joints as before: what is cut already keeps its mark.
    $marks = static fn ($sketch): array => array_map(static fn (Piece $one): string => $one->mark, $sketch->cut->piecesOf('C'));
    expect($marks($after))->toBe($marks(Planner::sketch(SomeRoutedSets::eight(), Some::shop())));
});

it('points at its end the way a rod was found to, where that was measured', function (float $x, float $y, float $z) {
    $id = buttBehindABend('C');
    $before = Planner::sketch(SomeRoutedSets::eight(), Some::shop());
    $joint = $before->joints->find($id) ?? throw new LogicException('no joint');
    $frame = $before->layout->run('C')?->line->frameAt($joint->seam->stationMm) ?? throw new LogicException('no run');
    $off = new Vector(1.0, -1.0, 0.5);
    $rod = new Vector($x, $y, $z);
    $built = AsBuilt::of(SomeRoutedSets::eight(), Some::shop(), $id, $off, $rod, 250.0);
    $after = Planner::sketch($built->job, Some::shop());
    $now = $after->joints->find($id) ?? throw new LogicException('the joint is gone');
    $there = $after->layout->run('C')?->line->frameAt($now->seam->stationMm) ?? throw new LogicException('no run');
    $wanted = $frame->at->plus($frame->forward->times(250.0))->plus($rod)->minus($frame->at->plus($off))->unit();
    expect($there->at->distanceTo($frame->at->plus($off)))->toBeLessThan(0.1)
        ->and($there->forward->distanceTo($wanted))->toBeLessThan(deg2rad(0.05))
        ->and($built->isClosed())->toBeTrue();
})->with([[1.0, -1.0, 0.5], [6.0, -1.0, 0.5], [1.0, 4.0, -5.0]]);

it('changes nothing where nothing is off', function () {
    expect(standing(buttBehindABend('C'), new Vector(0, 0, 0))->changes())->toBe([]);
});

it('leaves the other runs alone', function () {
    $built = standing(buttBehindABend('C'), new Vector(2.0, 0.0, 0.0));
    foreach (SomeRoutedSets::eight()->runs as $i => $run) {
        if ($run->letter !== 'C') {
            expect($built->job->runs[$i])->toEqual($run);
        }
    }
});

it('takes other bends from what stands where those that were planned do not lead there any more', function () {
    // Behind the last bend but one only three values are left for what takes five.
    $sketch = Planner::sketch(SomeRoutedSets::eight(), Some::shop());
    $butts = array_values(array_filter($sketch->joints->ofRun('C'), static fn ($one): bool => $one->type->isButt()));
    $built = standing(end($butts)->id ?? '', new Vector(2.0, -1.0, 1.5));
    $run = Planner::sketch($built->job, Some::shop())->layout->run('C') ?? throw new LogicException('no run');
    $rows = $run->spec->route->rows ?? [];
    $planned = $sketch->layout->run('C')->run->bends ?? [];
    expect($built->isClosed())->toBeTrue()
        ->and($built->isOtherWay)->toBeTrue()
        ->and($run->farEnd->isClosed())->toBeTrue()
        // What stands keeps its bends and is held; what comes new is free, of bends that are stocked, and cut apart.
        ->and(count($rows))->toBeGreaterThan(count($planned))
        ->and($rows[2]->angleDeg)->toBeClose($planned[2]->angleDeg, 0, 1.0)
        ->and($rows[2]->locked)->toBe(RouteRow::LOCKABLE)
        ->and($rows[3]->locked)->toBe([])
        ->and(array_column($built->changes(), 'mark'))->not->toBe([])
        ->and(count(Planner::sketch($built->job, Some::shop())->cut->piecesOf('C')))->toBeGreaterThan(count($sketch->cut->piecesOf('C')));
});

it('says how far its end stays off where no way leads there any more', function () {
    $sketch = Planner::sketch(SomeRoutedSets::eight(), Some::shop());
    $butts = array_values(array_filter($sketch->joints->ofRun('C'), static fn ($one): bool => $one->type->isButt()));
    $built = standing(end($butts)->id ?? '', new Vector(0.0, 0.0, -55.0));
    expect($built->isClosed())->toBeFalse()->and($built->isOtherWay)->toBeFalse()->and($built->left->gapMm)->toBeGreaterThan(8.0);
});

it('says what cannot be', function (string $joint, float $mm, string $said) {
    expect(fn () => standing($joint, new Vector($mm, 0, 0)))->toThrow(DomainException::class, $said);
})->with([
    'no such joint' => ['ZJ9', 1.0, 'no joint ZJ9'],
    'a flange' => ['AJ1', 1.0, 'no butt'],
    'a slip of the hand' => ['AJ4', 400.0, 'measure it again'],
]);

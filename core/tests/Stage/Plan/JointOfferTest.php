<?php

declare(strict_types=1);

use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Stage\Cut\Piece;
use UpsweptBead\Core\Stage\Plan\JointOffer;
use UpsweptBead\Core\Stage\Plan\JointWish;
use UpsweptBead\Core\Stage\Plan\OtherWays;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeRoutedSets;

covers(OtherWays::class);

function wished(string $mark, JointWish $wish, float $atMm = 0.0, ?Job $job = null): JointOffer
{
    return JointOffer::of($job ?? SomeRoutedSets::eight(), Some::shop(), $mark, $wish, $atMm);
}

/** The longest straight piece of the job. */
function longStraight(): Piece
{
    $best = null;
    foreach (Planner::sketch(SomeRoutedSets::eight(), Some::shop())->cut->pieces as $pieces) {
        foreach ($pieces as $piece) {
            if (! $piece->isBend() && ($best === null || $piece->span->lengthMm() > $best->span->lengthMm())) {
                $best = $piece;
            }
        }
    }

    return $best ?? throw new LogicException('no straight');
}

it('puts a joint where it is wanted, costs it, and leaves the run as long as it was', function () {
    $piece = longStraight();
    $offer = wished($piece->mark, JointWish::Split, 40.0);
    $stations = array_map(static fn (Piece $one): float => $one->span->toMm, $offer->found->piecesOf($piece->run));
    expect($offer->found->joints())->toBe($offer->now->joints() + 1)
        ->and(min(array_map(static fn (float $one): float => abs($one - $piece->span->fromMm - 40.0), $stations)))->toBeLessThan(0.01)
        ->and(end($stations))->toBeClose(array_sum(array_map(
            static fn (Piece $one): float => $one->span->lengthMm(),
            $offer->now->piecesOf($piece->run),
        )), 1e-6);
});

it('takes it out again: the cuts are then what they were', function () {
    $piece = longStraight();
    $with = wished($piece->mark, JointWish::Split, 40.0);
    $back = wished($piece->mark, JointWish::WithoutAfter, 0.0, $with->job);
    expect($back->found->joints())->toBe($with->now->joints())
        ->and($back->now->joints())->toBe($with->found->joints())
        ->and(array_map(static fn (Piece $one): float => round($one->span->toMm, 2), $back->found->piecesOf($piece->run)))
        ->toBe(array_map(static fn (Piece $one): float => round($one->span->toMm, 2), $with->now->piecesOf($piece->run)));
});

it('says why a joint cannot be had or done without', function (string $mark, JointWish $wish, float $atMm, string $why) {
    expect(fn () => wished($mark, $wish, $atMm))->toThrow(DomainException::class, $why);
})->with([
    'no such piece' => ['Z1', JointWish::Split, 10.0, 'The job has no piece Z1.'],
    'beyond its end' => ['A1', JointWish::Split, 5000.0, 'A joint in A1 lies between 0 and'],
    'at its end' => ['A1', JointWish::Split, 0.0, 'A joint in A1 lies between 0 and'],
    'before the first' => ['A1', JointWish::WithoutBefore, 0.0, 'there is no joint between pieces'],
    'two bends in one' => ['A1', JointWish::WithoutAfter, 0.0, 'No stock has both bends'],
    'in the bend' => ['A1', JointWish::Split, 60.0, 'A joint cannot lie in the bend of A1'],
]);

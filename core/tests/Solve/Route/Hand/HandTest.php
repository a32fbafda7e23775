<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Shop\Practice\RoutingLimits;
use UpsweptBead\Core\Shop\Stock\Catalogue;
use UpsweptBead\Core\Solve\Route\Hand\AsMeasured;
use UpsweptBead\Core\Solve\Route\Hand\Bounds;
use UpsweptBead\Core\Solve\Route\Hand\Closing;
use UpsweptBead\Core\Solve\Route\Hand\Vertices;
use UpsweptBead\Core\Solve\Run\Bend;
use UpsweptBead\Core\Solve\Run\FarEnd;
use UpsweptBead\Core\Solve\Run\Locks;
use UpsweptBead\Core\Solve\Run\TubeRun;
use UpsweptBead\Core\Tests\Support\Some;

covers(AsMeasured::class);

/** A run of 1 3/4 in tube on stocked radii, with room to change. */
function handRun(int $seed, int $bends): TubeRun
{
    $dice = Some::dice($seed);
    $rows = [];
    for ($i = 0; $i < $bends; $i++) {
        $rows[] = new Bend(
            Some::between($dice, 60, 140),
            Some::between($dice, -150, 150),
            Some::between($dice, 25, 80),
            50.8,
        );
    }

    return new TubeRun(Some::frame($dice), $rows, Some::between($dice, 80, 140));
}

function handBounds(TubeRun $run): Bounds
{
    return Bounds::of($run, Catalogue::shipped()->bendsFor('T1.750x.065'), new RoutingLimits());
}

/** Gives the run with its values knocked off by a few mm and degrees. */
function knocked(TubeRun $run, int $seed): TubeRun
{
    $dice = Some::dice(900 + $seed);
    $bends = array_map(
        static fn (Bend $bend): Bend => new Bend(
            $bend->straightMm + Some::between($dice, -15, 15),
            $bend->rotationDeg + Some::between($dice, -12, 12),
            $bend->angleDeg + Some::between($dice, -8, 8),
            $bend->clrMm,
        ),
        $run->bends,
    );

    return new TubeRun($run->start, $bends, $run->endStraightMm + Some::between($dice, -15, 15));
}

it('closes a run that was knocked out of place', function (int $seed) {
    $run = handRun($seed, 2 + ($seed % 3));
    $closing = Closing::of(knocked($run, $seed), $run->end(), new Locks(), handBounds($run));
    expect($closing->isClosed())->toBeTrue()
        ->and(FarEnd::of($closing->run, $run->end())->gapMm)->toBeLessThan(FarEnd::CLOSED_MM)
        ->and(handBounds($run)->hold($closing->run))->toBeTrue();
})->with(range(1, 12));

it('leaves alone what is locked', function (int $seed) {
    $run = handRun($seed, 3);
    $off = knocked($run, $seed);
    // Ten values, five needed: the first bend whole and the last straight may stay.
    $closing = Closing::of($off, $run->end(), new Locks([0, 1, 2, 9]), handBounds($run));
    expect($closing->run->bends[0])->toEqual($off->bends[0])
        ->and($closing->run->endStraightMm)->toBe($off->endStraightMm);
})->with(range(1, 6));

it('says that it cannot close with too little left free, and comes no worse than it was', function () {
    $run = handRun(5, 2);
    $off = knocked($run, 5);
    $closing = Closing::of($off, $run->end(), new Locks([0, 1, 2, 3, 4]), handBounds($run));
    expect($closing->isClosed())->toBeFalse()
        ->and($closing->left->badness())->toBeLessThanOrEqual(FarEnd::of($off, $run->end())->badness());
});

it('brings a run with room to a length, closed', function (float $by) {
    $run = handRun(3, 4);
    $closing = Closing::of($run, $run->end(), new Locks(), handBounds($run), $run->lengthMm() + $by);
    expect($closing->isClosed())->toBeTrue()
        ->and($closing->run->lengthMm())->toBeClose($run->lengthMm() + $by, 0, 0.1);
})->with([-12.0, 20.0, 60.0]);

it('never makes a straight shorter or a bend greater than there is', function () {
    $run = handRun(8, 3);
    $closing = Closing::of($run, $run->end(), new Locks(), handBounds($run), $run->lengthMm() / 3);
    expect(handBounds($run)->hold($closing->run))->toBeTrue();
});

it('keeps a closed run closed while a vertex is dragged, wherever to', function (int $seed) {
    $run = handRun($seed, 4);
    $dice = Some::dice(400 + $seed);
    foreach (range(0, 3) as $vertex) {
        $to = $run->toXyz()[$vertex + 1]->plus(Some::vector($dice, $seed % 2 === 0 ? 25 : 600));
        $moved = Vertices::moved($run, $run->end(), handBounds($run), $vertex, $to);
        $far = FarEnd::of($moved, $run->end());
        expect($far->isClosed())->toBeTrue()
            ->and($moved->start->forward->distanceTo($run->start->forward))->toBeLessThan(1e-9);
    }
})->with(range(1, 6));

it('moves a vertex just where it is dragged to, if the legs have room', function () {
    $run = handRun(2, 4);
    $to = $run->toXyz()[2]->plus(new Vector(4, -3, 5));
    expect(Vertices::moved($run, $run->end(), handBounds($run), 1, $to)->toXyz()[2]->distanceTo($to))->toBeLessThan(
        1e-6,
    );
});

it('moves the first and the last vertex on the axes of the ends only', function () {
    $run = handRun(2, 3);
    $first = Vertices::moved(
        $run,
        $run->end(),
        handBounds($run),
        0,
        $run->toXyz()[1]->plus(new Vector(30, 30, 30)),
    )->toXyz()[1];
    $off = $first->minus($run->start->at)->squareTo($run->start->forward);
    expect($off->length())->toBeLessThan(1e-6);
});

it('puts another bend into any leg and stays closed', function (int $leg) {
    $run = handRun(4, 3);
    $more = Vertices::inserted($run, $run->end(), handBounds($run), $leg, 50.8);
    expect($more->bends)->toHaveCount(4)
        ->and(FarEnd::of($more, $run->end())->isClosed())->toBeTrue();
})->with([0, 1, 2, 3]);

it('merges two bends of one plane into one, and nothing beyond them moves', function () {
    $start = Some::frame(Some::dice(1));
    $run = new TubeRun($start, [new Bend(60, 20, 30, 50.8), new Bend(30, 0, 35, 50.8), new Bend(90, 75, 40, 50.8)], 90);
    $merged = Vertices::merged($run, 0);
    expect($merged->bends)->toHaveCount(2)
        ->and($merged->bends[0]->angleDeg)->toBeClose(65.0)
        ->and($merged->end()->forward->angleDegTo($run->end()->forward))->toBeLessThan(1e-4);
});

it('refuses a vertex, a leg or a pair that is not there', function () {
    $run = handRun(4, 2);
    expect(fn () => Vertices::moved($run, $run->end(), handBounds($run), 2, new Vector(0, 0, 0)))
        ->toThrow(DomainException::class, 'there is no bend 3')
        ->and(fn () => Vertices::inserted($run, $run->end(), handBounds($run), 3, 50.8))
        ->toThrow(DomainException::class, 'there is no leg 4')
        ->and(fn () => Vertices::merged($run, 1))->toThrow(DomainException::class, 'no bend behind');
});

<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Tests\Support\Some;

function distance(Vector $a, float $x, float $y, float $z): float
{
    return $a->distanceTo(new Vector($x, $y, $z));
}

it('follows a right-angle bend: one radius ahead and one to the inside', function () {
    $end = Frame::facing(new Vector(0, 0, 0), new Vector(1, 0, 0), new Vector(0, 0, 1))->bent(76.2, 90.0);
    expect(distance($end->at, 76.2, 0, 76.2))->toBeClose(0.0, 0, 1e-9)
        ->and(distance($end->forward, 0, 0, 1))->toBeClose(0.0, 0, 1e-12)
        ->and(distance($end->reference, -1, 0, 0))->toBeClose(0.0, 0, 1e-12);
});

it('ends beside where it began after a half turn', function () {
    $end = Frame::facing(new Vector(5, 6, 7), new Vector(0, 1, 0), new Vector(1, 0, 0))->bent(50.8, 180.0);
    expect(distance($end->at, 5 + 101.6, 6, 7))->toBeClose(0.0, 0, 1e-9)
        ->and(distance($end->forward, 0, -1, 0))->toBeClose(0.0, 0, 1e-12);
});

it('turns clockwise for someone who looks with the flow', function () {
    // By the right hand about x, y goes to z.
    $frame = Frame::facing(new Vector(0, 0, 0), new Vector(1, 0, 0), new Vector(0, 1, 0));
    expect(distance($frame->turned(90)->reference, 0, 0, 1))->toBeClose(0.0, 0, 1e-12)
        ->and($frame->turnDegTo(new Vector(0, 0, 1)))->toBeClose(90.0)
        ->and($frame->turnDegTo(new Vector(0, 0, -1)))->toBeClose(-90.0)
        ->and($frame->turnDegTo(new Vector(0, -1, 0)))->toBeClose(180.0);
});

it('keeps its three lines square and of length 1 along any run', function () {
    $dice = Some::dice(3);
    $frame = Frame::facing(Some::vector($dice, 100), Some::vector($dice, 1));
    for ($i = 0; $i < 50; $i++) {
        $frame = $frame
            ->advanced(Some::between($dice, 0, 100))
            ->turned(Some::between($dice, -180, 180))
            ->bent(50.8, Some::between($dice, 1, 170));
    }
    expect($frame->forward->length())->toBeClose(1.0, 0, 1e-11)
        ->and($frame->reference->length())->toBeClose(1.0, 0, 1e-11)
        ->and($frame->forward->dot($frame->reference))->toBeClose(0.0, 0, 1e-11);
});

it('comes back to where it was by four quarter turns in one plane', function () {
    $start = Frame::facing(new Vector(1, 2, 3), new Vector(1, 1, 0), new Vector(0, 0, 1));
    $end = $start;
    for ($i = 0; $i < 4; $i++) {
        $end = $end->advanced(200)->bent(76.2, 90);
    }
    expect($end->at->distanceTo($start->at))->toBeClose(0.0, 0, 1e-9)
        ->and($end->forward->distanceTo($start->forward))->toBeClose(0.0, 0, 1e-12);
});

it('finds a reference of its own where the hint lies along the flow, and has none without a direction', function () {
    $frame = Frame::facing(new Vector(0, 0, 0), new Vector(0, 0, 2), new Vector(0, 0, 1));
    expect(distance($frame->reference, 0, 1, 0))->toBeClose(0.0, 0, 1e-12);
    Frame::facing(new Vector(0, 0, 0), new Vector(0, 0, 0));
})->throws(DomainException::class);

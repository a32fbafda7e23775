<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Shop\Stock\Catalogue;
use UpsweptBead\Core\Solve\Run\Bend;
use UpsweptBead\Core\Solve\Run\Jointing;
use UpsweptBead\Core\Solve\Run\PieceSpan;
use UpsweptBead\Core\Solve\Run\TubeRun;

/**
 * @param  list<array{float, float}>  $bends straight before and angle of each bend on a 4 1/2 in radius
 * @return list<PieceSpan>|null
 */
function piecesOf(array $bends, float $endStraightMm): ?array
{
    $rows = array_map(static fn (array $bend): Bend => new Bend($bend[0], 0, $bend[1], 114.3), $bends);

    return Jointing::of(
        new TubeRun(Frame::facing(new Vector(0, 0, 0), new Vector(1, 0, 0)), $rows, $endStraightMm),
        Catalogue::shipped()->bendsFor('T3.000x.065'),
    );
}

// Legs of the stocked bends: 4 in clamp, 6 in pull.
it('absorbs straights into the legs of a bend of the full angle', function () {
    expect(piecesOf([[100.0, 90.0]], 150.0))->toHaveCount(1);
});

it('turns the donor round when the longer straight lies upstream', function () {
    expect(piecesOf([[150.0, 90.0]], 100.0))->toHaveCount(1);
});

it('keeps one leg only on a bend cut out of a larger one', function () {
    $pieces = piecesOf([[100.0, 60.0]], 100.0);
    expect($pieces)->toHaveCount(2);
    $bend = array_values(
        array_filter($pieces ?? [], static fn (PieceSpan $piece): bool => $piece->bendIndex !== null),
    )[0];
    expect(min($bend->legBeforeMm, $bend->legAfterMm))->toBe(0.0)->and($bend->donor?->angleDeg)->toBe(90.0);
});

it('joins two bends with one joint while their legs cover the straight between them', function (
    float $between,
    int $pieces,
) {
    expect(piecesOf([[50.0, 90.0], [$between, 90.0]], 50.0))->toHaveCount($pieces);
})->with([[0.0, 2], [200.0, 2], [304.0, 2], [306.0, 3]]);

it('leaves a stub of leg on a bend that meets a straight piece', function () {
    $pieces = piecesOf([[50.0, 90.0], [500.0, 90.0]], 50.0) ?? [];
    expect($pieces[1]->bendIndex)->toBeNull()
        ->and($pieces[1]->lengthMm())->toBeClose(500 - 2 * 25.4);
});

it('covers the run from end to end without gap or overlap', function (array $bends, float $end) {
    $pieces = piecesOf($bends, $end) ?? [];
    $at = 0.0;
    foreach ($pieces as $piece) {
        expect($piece->fromMm)->toBeClose($at, 0, 1e-9);
        $at = $piece->toMm;
    }
    $length =
        array_sum(array_map(static fn (array $bend): float => $bend[0] + 114.3 * deg2rad($bend[1]), $bends)) + $end;
    expect($at)->toBeClose($length, 0, 1e-9);
})->with([
    [[[10.0, 30.0], [170.0, 45.0], [0.0, 90.0]], 400.0],
    [[[400.0, 90.0]], 0.0],
    [[], 300.0],
    [[[160.0, 60.0], [160.0, 60.0]], 160.0],
]);

it('says no to a bend that no stock holds', function () {
    expect(piecesOf([[50.0, 120.0]], 50.0))->toBeNull();
});

it('takes no piece more where the legs cover the straight to the last', function (float $between, int $pieces) {
    // A clamp leg of 4 in and a pull leg of 6 in meet between the bends: 254 mm, or 304.8 with both pulls.
    expect(piecesOf([[101.6, 90.0], [$between, 90.0]], 101.6))->toHaveCount($pieces);
})->with([[304.8, 2], [304.85, 3]]);

it('cuts a bend out of the donor that wastes least', function (float $angleDeg, float $donorDeg) {
    $pieces = piecesOf([[0.0, $angleDeg]], 0.0) ?? [];
    expect($pieces)->toHaveCount(1)->and($pieces[0]->donor?->angleDeg)->toBe($donorDeg);
})->with([[40.0, 45.0], [45.0, 45.0], [60.0, 90.0]]);

it('says how much of each leg a piece keeps, which is the straight it stands for', function () {
    [$first, $second] = piecesOf([[80.0, 90.0], [200.0, 90.0]], 60.0) ?? [];
    expect($first->legBeforeMm)->toBeClose(80.0)
        ->and($first->legAfterMm + $second->legBeforeMm)->toBeClose(200.0)
        ->and($second->legAfterMm)->toBeClose(60.0)
        ->and($first->toMm)->toBeClose($second->fromMm);
});

/**
 * @param  list<array{float, float}>  $bends
 * @param  list<float>  $joints
 * @return list<PieceSpan>|null
 */
function piecesAt(array $bends, float $endStraightMm, array $joints): ?array
{
    $rows = array_map(static fn (array $bend): Bend => new Bend($bend[0], 0, $bend[1], 114.3), $bends);

    return Jointing::at(
        new TubeRun(Frame::facing(new Vector(0, 0, 0), new Vector(1, 0, 0)), $rows, $endStraightMm),
        Catalogue::shipped()->bendsFor('T3.000x.065'),
        $joints,
    );
}

it('cuts a run at the joints that were chosen', function () {
    $arc = 114.3 * M_PI / 4;
    $pieces = piecesAt([[80.0, 45.0], [200.0, 45.0]], 60.0, [80 + $arc + 100, 80 + $arc + 150]) ?? [];
    expect(array_map(static fn (PieceSpan $piece): ?int => $piece->bendIndex, $pieces))->toBe([0, null, 1])
        ->and($pieces[0]->legAfterMm)->toBeClose(100.0)
        ->and($pieces[1]->lengthMm())->toBeClose(50.0)
        ->and($pieces[2]->legBeforeMm)->toBeClose(50.0)
        ->and($pieces[2]->legAfterMm)->toBeClose(60.0)
        ->and(array_sum(array_map(static fn (PieceSpan $piece): float => $piece->lengthMm(), $pieces)))
        ->toBeClose(340 + 2 * $arc);
});

it('takes no joint inside a bend, outside the run, or where a piece would ask too much of its stock', function (array $joints) {
    expect(piecesAt([[80.0, 45.0], [200.0, 60.0]], 60.0, $joints))->toBeNull();
})->with([
    'inside a bend' => [[100.0]],
    'beyond the end' => [[230.0, 2000.0]],
    'two bends in one piece' => [[30.0]],
    // 60 degrees come from a bend of 90, which has one leg for them.
    'legs on both sides of a lesser angle' => [[230.0]],
    'two joints in one place' => [[230.0, 230.0]],
]);

it('takes a joint at a tangent for one at the tangent', function () {
    $arc = 114.3 * M_PI / 4;
    $pieces = piecesAt([[80.0, 45.0], [0.0, 45.0]], 0.0, [80 + $arc + 0.004]) ?? [];
    expect($pieces)->toHaveCount(2)->and($pieces[0]->legAfterMm)->toBe(0.0)->and($pieces[1]->legBeforeMm)->toBe(0.0);
});

it('moves a joint out of a place where none may lie, to the nearest that stock allows', function () {
    $run = new TubeRun(
        Frame::facing(new Vector(0, 0, 0), new Vector(1, 0, 0)),
        [new Bend(80.0, 0, 45.0, 114.3), new Bend(160.0, 0, 45.0, 114.3)],
        60.0,
    );
    $stock = Catalogue::shipped()->bendsFor('T3.000x.065');
    $spans = Jointing::of($run, $stock) ?? [];
    expect($spans)->toHaveCount(2);
    $at = $spans[0]->toMm;
    $moved = Jointing::clearOf([[$at - 10.0, $at + 22.0]], $spans, $run, $stock);
    $far = Jointing::clearOf([[$at - 22.0, $at + 10.0]], $spans, $run, $stock);
    expect($moved[0]->toMm)->toBeClose($at - 10.0, 1e-6)
        ->and($far[0]->toMm)->toBeClose($at + 10.0, 1e-6)
        ->and($moved[1]->toMm)->toBeClose($run->lengthMm(), 1e-6)
        ->and(Jointing::clearOf([[0.0, $at - 1.0]], $spans, $run, $stock))->toBe($spans)
        ->and(Jointing::clearOf([[0.0, $run->lengthMm()]], $spans, $run, $stock))->toBe($spans, 'nowhere to go');
});

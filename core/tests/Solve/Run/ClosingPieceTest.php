<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Shop\Stock\BendStock;
use UpsweptBead\Core\Solve\Merge\Template\WrapTemplate;
use UpsweptBead\Core\Solve\Run\Bend;
use UpsweptBead\Core\Solve\Run\ClosingPiece;
use UpsweptBead\Core\Solve\Run\StandingGap;
use UpsweptBead\Core\Solve\Run\TubeRun;
use UpsweptBead\Core\Tests\Support\Some;

const WIDE_MM = 63.5;

/**
 * The readings of a gap whose far tube stands at a place and runs on some way: along the near tube's skin to the plane
 * of the far end.
 */
function gapTo(Vector $far, Vector $onward, float $sigmaMm = 0.5): StandingGap
{
    $gap = static fn (Vector $rim): float => $onward->dot($far->minus($rim)) / $onward->z;
    $r = WIDE_MM / 2;

    return new StandingGap(
        [$gap(new Vector($r, 0, 0)), $gap(new Vector(0, $r, 0)), $gap(new Vector(-$r, 0, 0)), $gap(new Vector(0, -$r, 0))],
        $far->x,
        $far->y,
        WIDE_MM,
        $sigmaMm,
    );
}

/** @return list<BendStock> */
function bendsOfIt(): array
{
    return Some::shop()->catalogue->bendsFor('T2.500x.065');
}

it('finds where the far tube stands and how it leans from the four readings and the straight-edge', function () {
    $dice = Some::dice(5);
    for ($i = 0; $i < 50; $i++) {
        $far = new Vector(Some::between($dice, -8, 8), Some::between($dice, -8, 8), Some::between($dice, 40, 200));
        $onward = (new Vector(Some::between($dice, -0.4, 0.4), Some::between($dice, -0.4, 0.4), 1.0))->unit();
        $gap = gapTo($far, $onward);
        expect($gap->far->distanceTo($far))->toBeLessThan(1e-9)
            ->and($gap->onward->angleDegTo($onward))->toBeLessThan(1e-5)
            ->and($gap->quarrelMm())->toBeLessThan(1e-9);
    }
});

it('cuts a straight piece that leaves no light: placed back, both its rims meet those of the tubes within 0.3 mm', function () {
    $dice = Some::dice(6);
    for ($i = 0; $i < 200; $i++) {
        $far = new Vector(Some::between($dice, -3, 3), Some::between($dice, -3, 3), Some::between($dice, 60, 200));
        $onward = (new Vector(Some::between($dice, -0.05, 0.05), Some::between($dice, -0.05, 0.05), 1.0))->unit();
        $piece = ClosingPiece::of(gapTo($far, $onward), []);
        for ($deg = 0; $deg < 360; $deg += 10) {
            [$near, $end] = $piece->onSkin($deg);
            // In the plane of each end, and as far from its middle as the tube's own rim.
            expect($near->z)->toEqualWithDelta(0.0, 1e-9)
                ->and($onward->dot($end->minus($far)))->toEqualWithDelta(0.0, 1e-9)
                ->and(abs($near->length() - WIDE_MM / 2))->toBeLessThan(0.3)
                ->and(abs($end->distanceTo($far) - WIDE_MM / 2))->toBeLessThan(0.3);
        }
    }
});

it('is as long as the gap where both tubes stand in line, and marked so all round', function () {
    $piece = ClosingPiece::of(gapTo(new Vector(0, 0, 101.6), new Vector(0, 0, 1)), []);
    expect($piece->lengthMm())->toEqualWithDelta(101.6, 1e-9)
        ->and(array_column($piece->skin(), 'mm'))->each->toEqualWithDelta(101.6, 1e-9)
        ->and($piece->nearMitreDeg())->toEqualWithDelta(0.0, 1e-5)
        ->and(array_column($piece->skin(), 'deg'))->toBe([0.0, 45.0, 90.0, 135.0, 180.0, 225.0, 270.0, 315.0]);
});

it('takes the angle of the tilt out of a stocked bend where a mitre would leave light, and ends at the far tube', function (float $deg, float $turnDeg) {
    $start = Frame::facing(new Vector(0, 0, 0), new Vector(0, 0, 1), new Vector(1, 0, 0));
    $clrMm = bendsOfIt()[0]->clrMm;
    // Clockwise looking with the flow from 12 o'clock, as a run is turned.
    $end = (new TubeRun($start, [new Bend(22.0, $turnDeg, $deg, $clrMm)], 31.0))->end();
    $piece = ClosingPiece::of(gapTo($end->at, $end->forward), [bendsOfIt()[0]]);
    $made = new TubeRun($start, [new Bend($piece->beforeMm, $piece->insideDeg(), $piece->gap->tiltDeg(), $clrMm)], $piece->afterMm);
    expect($piece->donor)->not->toBeNull()
        ->and($piece->beforeMm)->toEqualWithDelta(22.0, 1e-6)
        ->and($piece->afterMm)->toEqualWithDelta(31.0, 1e-6)
        ->and($piece->insideDeg())->toEqualWithDelta($turnDeg, 1e-6)
        ->and($made->end()->at->distanceTo($end->at))->toBeLessThan(1e-6)
        ->and($made->end()->forward->angleDegTo($end->forward))->toBeLessThan(1e-5);
})->with([[20.0, 90.0], [33.0, 187.3], [45.0, 311.0], [15.0, 0.0]]);

it('knows how sure it is: two readings across give the tilt, four the length', function () {
    $gap = gapTo(new Vector(0, 0, 80), new Vector(0, 0, 1), 0.5);
    expect($gap->tiltSdDeg())->toEqualWithDelta(rad2deg(0.7071 / WIDE_MM), 1e-3)
        ->and($gap->lengthSdMm())->toBe(0.25);
});

it('says when one of the four readings must be wrong', function () {
    expect((new StandingGap([80, 80, 80, 80], 0, 0, WIDE_MM, 0.5))->isAtOdds())->toBeFalse()
        ->and((new StandingGap([84, 80, 80, 80], 0, 0, WIDE_MM, 0.5))->isAtOdds())->toBeTrue();
});

it('refuses what takes two bends', function (Vector $far, Vector $onward) {
    ClosingPiece::of(gapTo($far, $onward->unit()), bendsOfIt());
})->with([
    'side by side' => [new Vector(40, 0, 120), new Vector(0, 0, 1)],
    'beside the plane of its bend' => [new Vector(0, 30, 150), new Vector(0.5, 0, 1)],
    'too near for any radius' => [new Vector(4, 0, 15), new Vector(0.6, 0, 1)],
])->throws(DomainException::class, 'takes two bends');

it('lays its rims flat as long as its skin is, from twelve round to twelve', function () {
    $piece = ClosingPiece::of(gapTo(new Vector(3.0, -2.0, 90.0), (new Vector(0.03, -0.02, 1.0))->unit()), bendsOfIt());
    $rims = $piece->rims(8);
    foreach ($piece->skin() as $i => $one) {
        expect($rims[$i]['farMm'] - $rims[$i]['nearMm'])->toBeClose($one['mm'], 0, 1e-9)->and($rims[$i]['deg'])->toBe($one['deg']);
    }
    expect($rims[8]['farMm'])->toBeClose($rims[0]['farMm'], 0, 1e-9)
        // Met square, the rim at the near tube would be level; it leans, so it is not.
        ->and(max(array_column($piece->rims(3600), 'nearMm')) - min(array_column($piece->rims(3600), 'nearMm')))
        ->toBeClose($piece->gap->odMm * tan(deg2rad($piece->nearMitreDeg())), 0, 1e-4);
    $template = WrapTemplate::ofPiece('T', $rims, $piece->gap->odMm, 0.1);
    $cut = $template->strokes[0]->points;
    expect($template->strokes[0]->isClosed)->toBeTrue()
        ->and(count($cut))->toBe(18)
        ->and(max(array_column($cut, 0)))->toBeClose(M_PI * ($piece->gap->odMm + 0.1), 0, 1e-9);
});

it('finds where the near end stands from where the far one does', function () {
    $dice = Some::dice(30);
    for ($i = 0; $i < 200; $i++) {
        $near = Frame::facing(Some::vector($dice, 400), Some::vector($dice, 1)->plus(new Vector(1.2, 0, 0)));
        $tilt = (new Vector(Some::between($dice, -0.3, 0.3), Some::between($dice, -0.3, 0.3), 1.0))->unit();
        $to = new Vector(Some::between($dice, -8, 8), Some::between($dice, -8, 8), Some::between($dice, 60, 200));
        $world = static fn (Vector $one): Vector => $near->reference->times($one->x)
            ->plus($near->turned(90)->reference->times($one->y))
            ->plus($near->forward->times($one->z));
        $far = Frame::facing($near->at->plus($world($to)), $world($tilt));
        $found = gapTo($to, $tilt)->nearOf($far);
        expect($found->at->distanceTo($near->at))->toBeLessThan(1e-4)
            ->and($found->forward->distanceTo($near->forward))->toBeLessThan(1e-6);
    }
});

<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Stage\Fit\FitUp;
use UpsweptBead\Core\Stage\Fit\FitVerdict;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Joint\JointType;
use UpsweptBead\Core\Stage\Joint\Seam;
use UpsweptBead\Core\Stage\Joint\Side;

/** A butt of 2 in × .065 as it was measured; the far end 500 mm from it. */
function measuredButt(float $gapMm, float $mismatchMm = 0.0, float $offMm = 0.0, float $towardsDeg = 0.0): FitUp
{
    $side = new Side('A1', '304L', 1.651);
    $joint = new Joint('AJ2', 'A', JointType::Butt, $side, $side, Seam::round(100.0, 50.8, 50.8, 2));

    return FitUp::of($joint, $gapMm, $mismatchMm, $offMm, $towardsDeg, 500.0, ShopRules::shipped(), UnitSystem::Metric);
}

// Common practice, by the wall t: to 0.25 mm as it is; to 0.5·t with wire of the gap's size; to t with larger wire and
// a note; above that it is cut again.
it('says of a gap what is done with it', function (float $gapMm, FitVerdict $verdict) {
    expect(measuredButt($gapMm)->verdict)->toBe($verdict);
})->with([
    [0.0, FitVerdict::Weld],
    [0.25, FitVerdict::Weld],
    [0.3, FitVerdict::WithWire],
    [0.82, FitVerdict::WithWire],
    [0.83, FitVerdict::WithNote],
    [1.65, FitVerdict::WithNote],
    [1.7, FitVerdict::Refit],
]);

it('names wire that is at least as thick as the gap', function (float $gapMm, string $wire) {
    expect(measuredButt($gapMm)->lines[0])->toContain("$wire mm");
})->with([[0.5, '0.90'], [0.95, '1.14'], [1.5, '1.60']]);

// Common practice: no more than a quarter of the wall, and never more than half a millimetre.
it('takes a joint apart whose walls stand too far off each other', function () {
    expect(measuredButt(0.1, 0.4)->verdict)->toBe(FitVerdict::Weld)
        ->and(measuredButt(0.1, 0.45)->verdict)->toBe(FitVerdict::Refit)
        ->and(measuredButt(0.1, 0.45)->lines[1])->toContain('off each other');
});

// A tack pulls its side short. Worked by hand: 4 mm at 500 mm close a joint of 50.8 mm by 50.8 · 4/500 = 0.406 mm on
// the side it goes towards, one tack of 0.3 · 1.651 = 0.495 mm.
it('tacks on the side that the tube should move towards', function () {
    expect(measuredButt(0.1, 0.0, 4.0, 90.0)->tackDeg)->toEqual([90.0])
        ->and(measuredButt(0.1, 0.0, 4.0, 90.0)->lines[1])->toContain('One tack at 90°')->toContain('0.41 mm is wanted')
        ->and(measuredButt(0.1, 0.0, 9.0, 0.0)->tackDeg)->toEqual([345.0, 15.0])
        ->and(measuredButt(0.1, 0.0, 4.0, -90.0)->tackDeg)->toEqual([270.0])
        ->and(measuredButt(0.1)->tackDeg)->toBe([]);
});

it('does not hope for tacks to pull what they cannot', function () {
    $fit = measuredButt(0.1, 0.0, 30.0, 10.0);
    expect($fit->verdict)->toBe(FitVerdict::Refit)->and($fit->tackDeg)->toBe([])
        ->and($fit->lines[1])->toContain('more than tacks pull');
});

<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Clearance\Chords;
use UpsweptBead\Core\Base\Geometry\Clearance\Clearance;
use UpsweptBead\Core\Base\Geometry\Clearance\Contact;
use UpsweptBead\Core\Base\Geometry\Clearance\LinePair;
use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Solid\HalfSpace;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Run\Bend;
use UpsweptBead\Core\Solve\Run\Centreline;
use UpsweptBead\Core\Solve\Run\TubeRun;
use UpsweptBead\Core\Tests\Support\Some;

/** A straight tube of 40 mm. */
function bar(Vector $at, Vector $along, float $lengthMm, float $nearMm = 0.0): Chords
{
    return Centreline::of(new TubeRun(Frame::facing($at, $along), [], $lengthMm))->chords(40.0, $nearMm, Chords::FINE);
}

/** The least distance of any two lines of two tubes, one pair after the other. */
function leastOfAll(Chords $p, Chords $q): float
{
    $least = INF;
    $lines = static function (Chords $tube): array {
        $lines = [];
        foreach ($tube->from as $i => $first) {
            for ($k = $first; $k < $tube->to[$i]; $k++) {
                $at = array_slice($tube->points, 3 * $k, 6);
                $lines[] = [$at[0], $at[1], $at[2], $at[3] - $at[0], $at[4] - $at[1], $at[5] - $at[2]];
            }
        }

        return $lines;
    };
    foreach ($lines($p) as [$px, $py, $pz, $ux, $uy, $uz]) {
        foreach ($lines($q) as [$qx, $qy, $qz, $vx, $vy, $vz]) {
            $least = min($least, LinePair::nearest($ux, $uy, $uz, $vx, $vy, $vz, $px - $qx, $py - $qy, $pz - $qz)[2]);
        }
    }

    return sqrt($least);
}

it('is the distance of the nearest two lines, as one pair after the other tells', function (int $seed) {
    $dice = Some::dice($seed);
    $p = Centreline::of(Some::run($dice, 3))->chords(40.0, 0.0, Chords::ROUGH);
    $q = Centreline::of(Some::run($dice, 2))->chords(40.0, 0.0, Chords::ROUGH);
    $far = 5000.0;
    expect($far - Clearance::ofTubes($p, $q, $far, $far))->toBeClose(leastOfAll($p, $q), 0, 1e-9)
        ->and(Clearance::ofTubes($p, $q, $far, $far))->toBeClose(Clearance::ofTubes($q, $p, $far, $far), 0, 1e-9);
})->with(range(1, 12));

it('measures bars that pass each other, and says where', function () {
    $p = bar(new Vector(-100, 0, 0), new Vector(1, 0, 0), 300);
    $q = bar(new Vector(20, -150, 55), new Vector(0, 1, 0), 300);
    $contacts = [];
    // 55 mm apart where 60 are needed.
    expect(Clearance::ofTubes($p, $q, 60.0, 60.0, $contacts))->toBeClose(5.0);
    $worst = Contact::worst($contacts);
    expect($worst?->share)->toBeClose(120 / 300)
        ->and($worst?->otherShare)->toBeClose(0.5)
        ->and($worst?->neededMm)->toBe(60.0)
        ->and($worst?->shortMm)->toBeClose(5.0)
        ->and(Clearance::ofTubes($p, $q, 54.0, 54.0))->toBe(0.0)
        ->and(Contact::worst([]))->toBeNull();
});

it('asks less only where both tubes are near their ends', function () {
    $p = bar(new Vector(0, 0, 0), new Vector(1, 0, 0), 300, 100.0);
    $q = bar(new Vector(0, 50, 0), new Vector(1, 0, 0), 300, 100.0);
    $far = bar(new Vector(0, 50, 0), new Vector(1, 0, 0), 300);
    expect(Clearance::ofTubes($p, $q, 60.0, 45.0))->toBeClose(10.0);
    // Spread before the near zone: 90 apart at the start, 50 at the end.
    $spread = bar(new Vector(0, 90, 0), new Vector(300, -40, 0), hypot(300, 40), 100.0);
    expect(Clearance::ofTubes($p, $spread, 60.0, 45.0))->toBeLessThan(3.5)
        ->and(Clearance::ofTubes($p, $far, 60.0, 45.0))->toBeClose(10.0);
});

it('measures a half turn and a straight tube against a plane', function () {
    $wall = new HalfSpace('wall', new Vector(200, 0, 0), new Vector(-1, 0, 0));
    $start = Frame::facing(new Vector(0, 0, 0), new Vector(1, 0, 0), new Vector(0, 1, 0));
    $back = Centreline::of(new TubeRun($start, [new Bend(120, 0, 180, 50)], 120))->chords(40.0, 0.0, Chords::FINE);
    // The crown of the half turn lies at 170 mm: 30 mm off the wall.
    expect(Clearance::toSolid($back, $wall, 45.0))->toBeClose(15.0, 0, 0.01)
        ->and(Clearance::toSolid(bar(new Vector(0, 0, 0), new Vector(1, 0, 0), 190), $wall, 45.0))->toBeClose(35.0);
});

it('passes over the exempt ends', function () {
    $floor = new HalfSpace('floor', new Vector(0, 0, -30), new Vector(0, 0, 1), null, 80.0, 0.0);
    $rising = bar(new Vector(0, 0, 0), new Vector(1, 0, 0.1), 300);
    // Past 80 mm along it the axis has risen by 80 · 0.1/√1.01.
    expect(Clearance::toSolid($rising, $floor, 40.0))->toBeClose(10.0 - (80 * 0.1) / sqrt(1.01), 0, 1e-9);
});

it('sees a tube that comes back onto itself, and lets a hairpin be', function () {
    $start = Frame::facing(new Vector(0, 0, 0), new Vector(1, 0, 0), new Vector(0, 1, 0));
    $loop = Centreline::of(new TubeRun($start, [new Bend(200, 0, 180, 30), new Bend(150, 180, 170, 30)], 150))->chords(
        40.0,
        0.0,
        Chords::FINE,
    );
    $hairpin = Centreline::of(new TubeRun($start, [new Bend(200, 0, 180, 30)], 200))->chords(40.0, 0.0, Chords::FINE);
    expect(Clearance::toItself($hairpin, 65.0, M_PI * 30, 1.0))->toBe(0.0)
        ->and(Clearance::toItself($loop, 65.0, M_PI * 30, 1.0))->toBeGreaterThan(4.0)->toBeLessThan(6.0);
});

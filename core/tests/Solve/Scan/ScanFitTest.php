<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Mesh\MeshBuilder;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Scan\ScanFit;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeScan;

/** A place on the face of a port, so far from its middle. */
function besidePort(Frame $port, float $deg, float $mm): Vector
{
    return $port->at->plus($port->turned($deg)->reference->times($mm));
}

it('finds the face, the way out of it and the bore in it where it is tapped beside a port', function (float $roughMm) {
    $dice = Some::dice(7);
    $off = [];
    for ($i = 0; $i < 6; $i++) {
        $port = Some::frame($dice);
        $fit = ScanFit::at(SomeScan::mesh($port, 44.0, $roughMm, $dice), besidePort($port, 60.0 * $i, 30.0));
        expect($fit->isFace)->toBeTrue()
            ->and($fit->way->dot($port->forward))->toBeGreaterThan(0.0)
            ->and($fit->rmsMm)->toBeLessThan(1.3 * $roughMm + 0.01)
            ->and($fit->bores)->not->toBe([])
            ->and($fit->bores[0]->radiusMm)->toBeClose(22.0, 0, 0.1 + $roughMm)
            ->and($fit->bores[0]->centre->distanceTo($port->at))->toBeLessThan(0.02 + 3.5 * $fit->centreSdMm($fit->bores[0]));
        $off[] = $fit->way->angleDegTo($port->forward) / max(1e-3, $fit->offDeg);
    }
    // How sure it says it is: seldom farther off than three of its own doubts, and not always far nearer.
    expect(max($off))->toBeLessThan(3.5);
})->with(['as drawn' => 0.0, 'a good scanner' => 0.05, 'a phone' => 0.3]);

it('finds the bore by its wall, and which way it runs', function () {
    $dice = Some::dice(11);
    for ($i = 0; $i < 4; $i++) {
        $port = Some::frame($dice);
        $mesh = SomeScan::mesh($port, 40.0, 0.1, $dice);
        $tap = besidePort($port, 45.0 * $i, 20.0)->minus($port->forward->times(14.0));
        $fit = ScanFit::at($mesh, $tap);
        expect($fit->isFace)->toBeFalse()
            ->and(abs($fit->way->dot($port->forward)))->toBeGreaterThan(cos(deg2rad(1.0)))
            ->and($fit->bores[0]->radiusMm)->toBeClose(20.0, 0, 0.15);
        $aside = $fit->at->minus($port->at);
        expect($aside->minus($port->forward->times($aside->dot($port->forward)))->length())->toBeLessThan(0.3);
    }
});

it('says that nothing is there where it was not tapped on the scan, or where nothing is flat or round', function () {
    $dice = Some::dice(3);
    $port = Some::frame($dice);
    $mesh = SomeScan::mesh($port, 44.0, 0.1, $dice);
    expect(fn () => ScanFit::at($mesh, $port->at->plus(new Vector(900, 0, 0))))->toThrow(DomainException::class, 'tap on its surface');
    $rough = [];
    for ($i = 0; $i < 900; $i++) {
        $at = Some::vector($dice, 40.0);
        foreach ([0, 1, 2] as $_) {
            $corner = $at->plus(Some::vector($dice, 3.0));
            array_push($rough, $corner->x, $corner->y, $corner->z);
        }
    }
    expect(fn () => ScanFit::at(MeshBuilder::build($rough), new Vector(0, 0, 0)))->toThrow(DomainException::class, 'Neither a flat face nor');
});

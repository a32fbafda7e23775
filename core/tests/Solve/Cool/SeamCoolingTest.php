<?php

declare(strict_types=1);

use UpsweptBead\Core\Solve\Cool\ArcHeat;
use UpsweptBead\Core\Solve\Cool\Film;
use UpsweptBead\Core\Solve\Cool\Internal\Course;
use UpsweptBead\Core\Solve\Cool\Internal\Gauges;
use UpsweptBead\Core\Solve\Cool\Internal\Grid;
use UpsweptBead\Core\Solve\Cool\Internal\HeatChain;
use UpsweptBead\Core\Solve\Cool\Internal\Waves;
use UpsweptBead\Core\Solve\Cool\Property;
use UpsweptBead\Core\Solve\Cool\SeamCooling;
use UpsweptBead\Core\Solve\Cool\TubeEnd;
use UpsweptBead\Core\Solve\Cool\TubeSide;
use UpsweptBead\Core\Tests\Support\SomeCooling;

covers(Grid::class, HeatChain::class, Course::class, Gauges::class, Waves::class);

// An independent solver: the method of lines on a finer grid by SciPy's BDF (core/tests/reference/cool.py made the
// answers).
it('cools as an independent solver says', function (string $name) {
    $answer = SomeCooling::answer(SomeCooling::shipped($name));
    $wanted = SomeCooling::shipped($name, 'answers/');
    expect($answer['status'])->toBe($wanted['status']);
    if ($wanted['status'] === 'refused') {
        expect($answer['reasons'][0]['field'])->toBe($wanted['reasons'][0]['field'])
            ->and($answer['reasons'][0]['by'])->toEqual($wanted['reasons'][0]['by']);

        return;
    }
    expect($answer['heat_kj'])->toBeClose($wanted['heat_kj'], 1e-4, 0)
        ->and($answer['peak_near_c'])->toBeClose($wanted['peak_near_c'], 0.005, 0);
    foreach ($wanted['below'] as $i => $below) {
        expect($answer['below'][$i]['minutes'])->toBeClose($below['minutes'], 0.01, 0.01);
    }
    foreach ($wanted['seam_c'] as $i => $celsius) {
        expect($answer['seam_c'][$i])->toBeClose($celsius, 0.005, 0.5);
    }
    foreach ($wanted['rises'] as $i => $rise) {
        expect($answer['rises'][$i]['peak_rise_k'])->toBeClose($rise['peak_rise_k'], 0.01, 0.3);
        foreach ($rise['rise_k'] as $j => $kelvin) {
            expect($answer['rises'][$i]['rise_k'][$j])->toBeClose($kelvin, 0.02, 0.5);
        }
    }
})->with(SomeCooling::names());

// Newton's law: one temperature all through, a constant film, nothing else: T − Ta falls by e in ρ·c·A/(h·π·od).
it('falls by e in one time constant where the tube is of one temperature', function () {
    $tube = SomeCooling::tube(
        sides: [new TubeSide(5.0, TubeEnd::bare()), new TubeSide(5.0, TubeEnd::bare())],
        film: Film::given(10.0),
        conductivity: 1e6,
        startC: 120.0,
    );
    $constantS = 7930 * 500 * $tube->areaMm2() * 1e-6 / (10 * M_PI * 0.0762);
    $limits = [20 + 100 / M_E, 20 + 100 / M_E ** 2];
    $curve = SeamCooling::of($tube, SomeCooling::flash(1e-6), 5.0, $limits);
    expect($curve->belowMin[0])->toBeClose($constantS / 60, 0.003, 0)
        ->and($curve->belowMin[1])->toBeClose(2 * $constantS / 60, 0.003, 0);
});

// An instantaneous plane source in a long rod that loses nothing [Carslaw & Jaeger, Conduction of Heat in Solids, from
// memory]: T − Ta = E/(ρ·c·A·√(4π·α·t))·exp(−x²/(4αt)).
it('spreads along a long tube as a plane source does', function (float $minutes, float $mm) {
    $tube = SomeCooling::tube();
    $curve = SeamCooling::of($tube, SomeCooling::flash(50000.0), 1.0, [], [$minutes], [[1, $mm]]);
    $diffusivity = 18 / (7930 * 500);
    $seconds = $minutes * 60 + 0.025;
    $wanted = 50000 / (7930 * 500 * $tube->areaMm2() * 1e-6 * sqrt(4 * M_PI * $diffusivity * $seconds))
        * exp(-($mm / 1000) ** 2 / (4 * $diffusivity * $seconds));
    expect($curve->rises[0][0][0])->toBeClose($wanted, 0.01, 0.1);
})->with([[0.5, 0.0], [1.0, 20.0], [3.0, 50.0], [10.0, 100.0]]);

it('keeps all the heat where nothing is lost: in the end it is spread over tube and mass', function () {
    $sides = [new TubeSide(0.0, TubeEnd::mass(0.4, 0.0)), new TubeSide(150.0, TubeEnd::bare())];
    $tube = SomeCooling::tube(sides: $sides);
    $heat = new ArcHeat(400.0, 100.0, 4, 8.0, 6.0);
    $tubeKg = 7930 * $tube->areaMm2() * 150 * 1e-9;
    $curve = SeamCooling::of($tube, $heat, 10.0, [], [600.0], [[1, 150.0]]);
    $rise = $heat->heatJ() / (500 * ($tubeKg + 0.4));
    expect($curve->seamC[0] - 20)->toBeClose($rise, 0.002, 0)->and($curve->rises[0][0][0])->toBeClose($rise, 0.002, 0);
});

// A fin whose far end is held warm settles to cosh(m(L − x))/cosh(mL), m² = h·p/(k·A) [Incropera, table 3.4, from
// memory].
it('settles beside a warm plate as a fin does, and says that it never gets below', function () {
    $sides = [new TubeSide(0.0, TubeEnd::bare()), new TubeSide(100.0, TubeEnd::plate(120.0))];
    $tube = SomeCooling::tube(sides: $sides, film: Film::given(12.0));
    $m = sqrt(12 * M_PI * 0.0762 / (18 * $tube->areaMm2() * 1e-6));
    $settles = 20 + 100 / cosh($m * 0.1);
    $curve = SeamCooling::of($tube, SomeCooling::flash(1000.0), 1.0, [$settles + 1.0, $settles - 1.0]);
    expect($curve->belowMin[0])->not->toBeNull()->and($curve->belowMin[1])->toBeNull();
});

// Common practice and the figures of an independent model: in still air, to 45 °C.
it('takes as long as an independent model says until a hand can rest on it', function (float $amps, float $emissivity, float $minutes) {
    $far = new TubeSide(600.0, TubeEnd::bare());
    $tube = SomeCooling::tube([$far, $far], Film::still(), $emissivity);
    $heat = new ArcHeat(0.6 * ArcHeat::volts($amps) * $amps, 60 * $tube->seamMm() / 80, 10, 6.5, 6.0);
    $curve = SeamCooling::of($tube, $heat, 10.0, [45.0]);
    expect($curve->belowMin[0])->toBeClose($minutes, 0.05, 0);
})->with([[50.0, 0.3, 19.7], [50.0, 0.5, 16.6], [65.0, 0.3, 21.5], [65.0, 0.5, 18.1]]);

it('warms a seam 200 mm away by a few kelvin only', function () {
    $far = new TubeSide(600.0, TubeEnd::bare());
    $tube = SomeCooling::tube([$far, $far], Film::still(), 0.3);
    $heat = new ArcHeat(0.6 * ArcHeat::volts(65) * 65, 60 * $tube->seamMm() / 80, 10, 6.5, 6.0);
    expect(SeamCooling::of($tube, $heat, 10.0, [], [], [[0, 200.0]])->rises[0][1])->toBeGreaterThan(4.0)->toBeLessThan(7.0);
});

it('cools the slower the more stands at its end, and at once where it is bolted to a plate', function () {
    $with = static function (TubeEnd $end): float {
        $tube = SomeCooling::tube([new TubeSide(0.0, $end), new TubeSide(600.0, TubeEnd::bare())], Film::still(), 0.3);
        $heat = new ArcHeat(0.6 * ArcHeat::volts(65) * 65, 60 * $tube->seamMm() / 80, 10, 6.5, 6.0);

        return SeamCooling::of($tube, $heat, 10.0, [45.0])->belowMin[0] ?? INF;
    };
    $ring = $with(TubeEnd::mass(0.2, 12000.0));
    $pair = $with(TubeEnd::mass(0.7, 30000.0));
    // At an open end half as much leaves along the tube as in the middle of it, where it takes 21.5 min.
    expect($with(TubeEnd::bare()))->toBeGreaterThan(21.5)->toBeLessThan($ring)
        ->and($ring)->toBeLessThan($pair)
        ->and($with(TubeEnd::plate(22.0)))->toBeLessThan(2.0);
});

// Examples 9.4 and 7.4 of Incropera, Fundamentals of Heat and Mass Transfer, from memory: a level pipe of 0.1 m at 165
// °C in air of 23 °C, Nu = 23.3 with 0.0313 W/mK; a cylinder of 12.7 mm at 128.4 °C across air of 26.2 °C at 10 m/s, 96
// W/m²K.
it('knows what air takes, still and moved', function () {
    expect(Film::still()->wM2K(100.0, 165.0, 23.0))->toBeClose(23.3 * 0.0313 / 0.1, 0.01, 0)
        ->and(Film::fan(10.0)->wM2K(12.7, 128.4, 26.2))->toBeClose(96.0, 0.03, 0)
        // A breath of air takes no less than still air does.
        ->and(Film::fan(0.01)->wM2K(76.2, 100.0, 20.0))->toBe(Film::still()->wM2K(76.2, 100.0, 20.0));
});

it('takes a property straight between the places of its table, and from its ends beyond', function () {
    $heat = new Property([[20.0, 500.0], [420.0, 550.0], [820.0, 600.0]]);
    expect($heat->at(-50.0))->toBe(500.0)->and($heat->at(220.0))->toBeClose(525.0)
        ->and($heat->at(620.0))->toBeClose(575.0)->and($heat->at(2000.0))->toBe(600.0);
});

<?php

declare(strict_types=1);

use UpsweptBead\Core\Reason\Source;
use UpsweptBead\Core\Stock\Catalogue;
use UpsweptBead\Core\Stock\Exception\UnknownStock;
use UpsweptBead\Core\Stock\TubeSize;

// Source: ASME B36.19M, values written down from memory.
it('has the pipe of ASME B36.19M', function (string $nps, float $od, float $s5, float $s10, float $s40) {
    $stock = Catalogue::shipped();
    foreach (['5S' => $s5, '10S' => $s10, '40S' => $s40] as $schedule => $wall) {
        $pipe = $stock->tube("P$nps-$schedule");
        expect($pipe->odMm)->toBe($od)
            ->and($pipe->wallMm)->toBe($wall)
            ->and($pipe->isPipe)->toBeTrue()
            ->and($pipe->source->citation)->toBe('ASME B36.19M');
    }
})->with([
    ['1', 33.4, 1.65, 2.77, 3.38],
    ['1.25', 42.2, 1.65, 2.77, 3.56],
    ['1.5', 48.3, 1.65, 2.77, 3.68],
    ['2', 60.3, 1.65, 2.77, 3.91],
    ['2.5', 73.0, 2.11, 3.05, 5.16],
    ['3', 88.9, 2.11, 3.05, 5.49],
    ['4', 114.3, 2.11, 3.05, 6.02],
]);

// Source: ASME B16.9: long radius 1.5 × NPS, short radius 1.0 × NPS.
it('has the butt-weld elbows of ASME B16.9, without legs at 90°', function (float $nps) {
    foreach (['5S', '10S', '40S'] as $schedule) {
        $elbows = Catalogue::shipped()->bendsFor("P$nps-$schedule");
        expect($elbows)->toHaveCount(3);
        foreach ($elbows as $elbow) {
            $times = str_contains($elbow->id, 'SR') ? 1.0 : 1.5;
            expect($elbow->clrMm)->toBeClose($times * $nps * 25.4, 1e-6, 0.001);
            if ($elbow->angleDeg === 90.0) {
                expect($elbow->longestLegMm())->toBe(0.0);
            }
        }
    }
})->with([1, 1.25, 1.5, 2, 2.5, 3, 4]);

// Centre-to-end of a 45° long-radius elbow, ASME B16.9, from memory: the little straight it carries is the difference.
it('gives a 45° elbow the straight that makes up its centre-to-end', function (string $nps, float $centreToEnd) {
    $elbow = Catalogue::shipped()->bends["E$nps-10S-LR45"];
    expect($elbow->clrMm * tan(deg2rad(22.5)) + $elbow->clampLegMm)->toBeClose($centreToEnd, 0, 0.01);
})->with([['1', 22], ['1.25', 25], ['1.5', 29], ['2', 35], ['2.5', 44], ['3', 51], ['4', 64]]);

// Common practice: mandrel bends are sold by radius in inches.
it('has mandrel bends on radii of whole sixteenths of an inch', function () {
    foreach (Catalogue::shipped()->bends as $bend) {
        $sixteenths = $bend->clrMm / 25.4 * 16;
        expect(abs($sixteenths - round($sixteenths)))->toBeLessThan(1e-9, $bend->id);
    }
});

it('names a source for every row', function () {
    $stock = Catalogue::shipped();
    foreach ([...$stock->tubes, ...$stock->bends] as $item) {
        expect($item->source->text())->not->toBe('');
    }
    expect(count($stock->tubes))->toBe(14 * 4 + 7 * 3);
});

it('offers bends only from the tube they are made of, and only tube it knows', function () {
    $stock = Catalogue::shipped();
    foreach ($stock->bends as $bend) {
        expect($stock->tubes)->toHaveKey($bend->tubeId)
            ->and($bend->clrMm)->toBeGreaterThanOrEqual($stock->tube($bend->tubeId)->odMm / 2);
    }
});

it('says which tubes are near one it does not have', function () {
    expect(fn () => Catalogue::shipped()->tube('T3.000x.066'))->toThrow(UnknownStock::class, 'near it: T3.000x.065');
});

it('refuses tube whose wall leaves no bore', function (float $od, float $wall) {
    new TubeSize('x', 'x', $od, $wall, false, Source::trade());
})
    ->with([[50.8, 25.4], [50.8, 30], [50.8, 0], [0, 1], [-1, 0.1]])
    ->throws(DomainException::class, 'below half the diameter');

it('says which table and line is malformed', function () {
    $folder = sys_get_temp_dir().'/bead-tables-'.getmypid();
    @mkdir($folder);
    file_put_contents("$folder/tubes.csv", "id,name,od_mm,wall_mm,source_kind,source\nT1,one\n");
    try {
        Catalogue::fromFolder($folder);
    } finally {
        unlink("$folder/tubes.csv");
        rmdir($folder);
    }
})->throws(RuntimeException::class, 'tubes.csv line 2 has 2 cells, not 6');

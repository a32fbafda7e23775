<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Reason\Source;
use UpsweptBead\Core\Shop\Stock\BendStock;
use UpsweptBead\Core\Shop\Stock\Catalogue;
use UpsweptBead\Core\Shop\Stock\Exception\UnknownStock;
use UpsweptBead\Core\Shop\Stock\Internal\BendTable;
use UpsweptBead\Core\Shop\Stock\TubeSize;

covers(BendTable::class);

/** @return list<BendStock> of every tube there is */
function everyBend(): array
{
    $stock = Catalogue::shipped();

    return array_merge(...array_map(
        static fn (string $tubeId): array => $stock->bendsFor($tubeId),
        array_map(strval(...), array_keys($stock->tubes)),
    ));
}

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
    $elbow = Catalogue::shipped()->bend("E$nps-10S-LR45") ?? throw new LogicException('no such elbow');
    expect($elbow->clrMm * tan(deg2rad(22.5)) + $elbow->clampLegMm)->toBeClose($centreToEnd, 0, 0.01);
})->with([['1', 22], ['1.25', 25], ['1.5', 29], ['2', 35], ['2.5', 44], ['3', 51], ['4', 64]]);

// Common practice: mandrel bends are sold by radius in inches.
it('has mandrel bends on radii of whole sixteenths of an inch', function () {
    foreach (everyBend() as $bend) {
        if (str_starts_with($bend->id, 'B')) {
            $sixteenths = $bend->clrMm / 25.4 * 16;
            expect(abs($sixteenths - round($sixteenths)))->toBeLessThan(1e-9, $bend->id);
        }
    }
});

// Walls of tube, common practice (.049, .065, .083, .120); a bender does not care which, so each has the same radii.
it('has the same bends in every wall of a size', function () {
    $radii = [];
    foreach (everyBend() as $bend) {
        if (str_starts_with($bend->id, 'B')) {
            [$od, $wall] = explode('x', $bend->tubeId);
            $radii[$od][$wall][] = [$bend->clrMm, $bend->angleDeg];
        }
    }
    expect($radii)->toHaveCount(14);
    foreach ($radii as $byWall) {
        expect(array_keys($byWall))->toEqualCanonicalizing(['.049', '.065', '.083', '.120'])
            ->and(array_unique($byWall, SORT_REGULAR))->toHaveCount(1);
    }
});

// As European and Asian shops buy it: outside diameters of EN ISO 1127, from memory.
it('has metric tube with bends on its own diameter', function () {
    $stock = Catalogue::shipped();
    foreach ([38, 42.4, 44.5, 48.3, 50.8, 60.3, 63.5, 76.1] as $odMm) {
        foreach (['1.5', '2.0'] as $wall) {
            $tube = $stock->tube("M{$odMm}x$wall");
            expect([$tube->odMm, $tube->wallMm])->toBe([(float) $odMm, (float) $wall]);
            foreach ($stock->bendsFor($tube->id) as $bend) {
                expect(round($bend->clrMm / $odMm, 9))->toBeIn([1.0, 1.5, 2.0]);
            }
            expect(count($stock->bendsFor($tube->id)))->toBe(8);
        }
    }
});

it('is brought out of memory as it was put there', function () {
    $again = unserialize(serialize(Catalogue::shipped()));
    expect($again->bendsFor('T1.625x.065'))->toEqual(Catalogue::shipped()->bendsFor('T1.625x.065'))
        ->and($again->bend('B3.000x.065-R4.5-90'))->toEqual(Catalogue::shipped()->bend('B3.000x.065-R4.5-90'))
        ->and($again->bend('B3.000x.065-R4.5'))->toBeNull();
});

it('names a source for every row', function () {
    $stock = Catalogue::shipped();
    foreach ([...$stock->tubes, ...everyBend()] as $item) {
        expect($item->source->text())->not->toBe('');
    }
    expect(count($stock->tubes))->toBe(14 * 4 + 8 * 2 + 7 * 3);
});

it('offers bends only from the tube they are made of, and only tube it knows', function () {
    $stock = Catalogue::shipped();
    $listed = 0;
    foreach (['bends.csv', 'elbows.csv'] as $file) {
        $listed += count((array) file(dirname(__DIR__, 3)."/data/$file", FILE_SKIP_EMPTY_LINES)) - 1;
    }
    expect(everyBend())->toHaveCount($listed);
    foreach (everyBend() as $bend) {
        expect($bend->clrMm)->toBeGreaterThanOrEqual($stock->tube($bend->tubeId)->odMm / 2);
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

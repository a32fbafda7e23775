<?php

declare(strict_types=1);

use UpsweptBead\Core\Exchange\Files\Flange\DxfEntities;
use UpsweptBead\Core\Exchange\Files\Flange\FlangeDxf;
use UpsweptBead\Core\Exchange\Files\Flange\Loops;
use UpsweptBead\Core\Exchange\Screens\PlanWriter;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Stage\Merge\FlangePlan;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Tests\Support\NodeReference;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeHeader;

covers(Loops::class, DxfEntities::class);

/** A drawing by the independent library. */
function drawnFlange(string $kind): string
{
    $dxf = NodeReference::ask('flange-dxf.py', ['make' => $kind])['dxf'] ?? null;

    return is_string($dxf) ? $dxf : throw new LogicException('nothing drawn');
}

/** @param  array<int, string|int|float>  ...$entities */
function dxfOf(array ...$entities): string
{
    $lines = ['0', 'SECTION', '2', 'HEADER', '9', '$INSUNITS', '70', '4', '0', 'ENDSEC', '0', 'SECTION', '2', 'ENTITIES'];
    foreach ($entities as $entity) {
        foreach ($entity as $code => $value) {
            array_push($lines, (string) $code, (string) $value);
        }
    }

    return implode("\n", [...$lines, '0', 'ENDSEC', '0', 'EOF', '']);
}

/** @return array<int, string|int|float> */
function lineFrom(float $x, float $y, float $toX, float $toY): array
{
    return [0 => 'LINE', 10 => $x, 20 => $y, 11 => $toX, 21 => $toY];
}

/** @param  array<string, mixed>  $start */
function flanged(array $start): Job
{
    return SomeHeader::job(['runs' => [['start' => $start]]]);
}

function flangeA(Job $job): FlangePlan
{
    return FlangePlan::all($job, Some::shop())[0] ?? throw new LogicException('no flange');
}

// Read back by ezdxf, which shares nothing with the writer.
it('writes a flange that another library reads in its true size', function (array $start, string $shape) {
    $flange = flangeA(flanged($start))->flange;
    $read = NodeReference::ask('flange-dxf.py', ['dxf' => FlangeDxf::write($flange)]);
    assert(is_array($read['lines']));
    $ofLayer = static fn (string $layer): array => array_values(array_filter(
        $read['lines'],
        static fn (mixed $one): bool => is_array($one) && $one['layer'] === $layer,
    ));
    [$outside] = $ofLayer('OUTSIDE');
    assert(is_array($outside));
    expect($read['units'])->toBe(4)
        ->and($outside['area'])->toBeClose(abs($flange->outline->areaMm2()), 2e-5)
        ->and($outside['type'])->toBe($shape)
        ->and(count($ofLayer('INSIDE')))->toBe(1 + count($flange->holes));
    foreach ([0, 1, 2, 3] as $i) {
        expect($outside['box'][$i])->toBeClose($flange->outline->box()[$i], 0.0, 0.05);
    }
})->with([
    'a ring' => [[], 'CIRCLE'],
    'the blank of a V-band ring' => [['kind' => 'v-band'], 'CIRCLE'],
    'two bolts' => [['bolts' => ['count' => 2, 'circle' => '76 mm', 'turn' => 90, 'flats' => '13 mm']], 'POLYLINE'],
    'three bolts' => [['bolts' => ['count' => 3, 'circle' => '80 mm', 'turn' => 0, 'flats' => '13 mm']], 'POLYLINE'],
    'four bolts round a D port' => [[
        'bolts' => ['count' => 4, 'circle' => '90 mm', 'turn' => 45, 'flats' => '17 mm'],
        'bore' => ['shape' => 'd', 'width' => '38 mm', 'height' => '44 mm', 'turn' => 10],
    ], 'POLYLINE'],
    'two bolts round an oval port' => [[
        'bolts' => ['count' => 2, 'circle' => '88 mm', 'turn' => 90, 'flats' => '13 mm'],
        'bore' => ['shape' => 'oval', 'width' => '50 mm', 'height' => '36 mm', 'turn' => 0],
    ], 'POLYLINE'],
]);

// Common practice: a V-band ring, or the pair of them, weighs .2 to .7 kg on 3 in tube; it has no bolts, and one bore.
it('lays the blank of a V-band ring round its tube, with the tube’s own bore', function () {
    $rings = array_values(array_filter(
        FlangePlan::all(Some::job(), Some::shop()),
        static fn (FlangePlan $one): bool => $one->isBand(),
    ));
    $ring = $rings[0] ?? throw new LogicException('no ring');
    expect($ring->massKg(Some::shop()))->toBeGreaterThan(0.2)->toBeLessThan(0.7)
        ->and($ring->flange->holes)->toBe([])
        ->and($ring->flange->opening->asDisc()?->radiusMm)->toBeClose($ring->tube->idMm() / 2, 1e-9)
        ->and($ring->flange->outline->asDisc()?->radiusMm)->toBeClose($ring->tube->odMm / 2 + 9.0, 1e-9)
        ->and($ring->guidance(Some::job()))->toBe('');
});

it('reads what another library drew, as polylines, as loose lines and arcs, and in inches', function (string $kind) {
    $plate = FlangeDxf::read(drawnFlange($kind), $kind === 'none' ? 1.0 : null);
    expect(abs($plate->outline->areaMm2()))->toBeClose(80 * 60 - (4 - M_PI) * 100, 1e-6)
        ->and(count($plate->openings))->toBe(3)
        // About the middle of the opening that the gas goes through.
        ->and($plate->openings[0]->asDisc()?->radiusMm)->toBeClose(22.0, 0.0, 1e-6)
        ->and($plate->openings[0]->asDisc()?->xMm)->toBeClose(0.0, 0.0, 1e-6)
        ->and($plate->openings[1]->asDisc()?->radiusMm)->toBeClose(4.5, 0.0, 1e-6)
        ->and($plate->outline->box())->sequence(
            fn ($at) => $at->toBeClose(-40.0, 0.0, 1e-6), fn ($at) => $at->toBeClose(-30.0, 0.0, 1e-6),
            fn ($at) => $at->toBeClose(40.0, 0.0, 1e-6), fn ($at) => $at->toBeClose(30.0, 0.0, 1e-6),
        );
})->with(['polyline', 'loose', 'inch', 'none']);

it('reads back what it writes itself', function () {
    $flange = flangeA(flanged(['bolts' => ['count' => 3, 'circle' => '80 mm', 'turn' => 20, 'flats' => '13 mm']]))->flange;
    $plate = FlangeDxf::read(FlangeDxf::write($flange));
    expect(abs($plate->outline->areaMm2()))->toBeClose(abs($flange->outline->areaMm2()), 1e-6)
        ->and(count($plate->openings))->toBe(4);
});

it('refuses a drawing that says no unit, or says the wrong one', function () {
    expect(fn () => FlangeDxf::read(drawnFlange('none')))->toThrow(DomainException::class, 'does not say its unit')
        ->and(fn () => FlangeDxf::read(drawnFlange('polyline'), 25.4))->toThrow(DomainException::class, 'the unit is wrong')
        ->and(fn () => FlangeDxf::read(drawnFlange('inch'), 1.0))->toThrow(DomainException::class, '3.1 mm wide');
});

it('says where a drawing is broken', function (string $dxf, string $said) {
    expect(fn () => FlangeDxf::read($dxf))->toThrow(DomainException::class, $said);
})->with([
    'an open line' => [dxfOf(lineFrom(0, 0, 80, 0), lineFrom(80, 0, 80, 60), lineFrom(80, 60, 3, 0)), 'open at 3.00, 0.00 mm'],
    'a gap' => [dxfOf(lineFrom(0, 0, 80, 0), lineFrom(80, 1, 80, 60), lineFrom(80, 60, 0, 0)), 'the next end is 1.00 mm away'],
    'no opening' => [dxfOf([0 => 'CIRCLE', 10 => 0, 20 => 0, 40 => 40]), 'no opening'],
    'a line that crosses itself' => [
        dxfOf([0 => 'CIRCLE', 10 => 40, 20 => 25, 40 => 1], lineFrom(0, 0, 80, 0), lineFrom(80, 0, 0, 60), lineFrom(0, 60, 80, 60), lineFrom(80, 60, 0, 0)),
        'crosses itself',
    ],
    'holes in one another' => [
        dxfOf([0 => 'CIRCLE', 10 => 0, 20 => 0, 40 => 60], [0 => 'CIRCLE', 10 => 0, 20 => 0, 40 => 20], [0 => 'CIRCLE', 10 => 0, 20 => 0, 40 => 5]),
        'inside an opening',
    ],
    'holes that cross' => [
        dxfOf([0 => 'CIRCLE', 10 => 0, 20 => 0, 40 => 60], [0 => 'CIRCLE', 10 => 0, 20 => 0, 40 => 20], [0 => 'CIRCLE', 10 => 22, 20 => 0, 40 => 5]),
        'lines cross near',
    ],
    'a hole beside the plate' => [
        dxfOf([0 => 'CIRCLE', 10 => 0, 20 => 0, 40 => 60], [0 => 'CIRCLE', 10 => 0, 20 => 0, 40 => 20], [0 => 'CIRCLE', 10 => 90, 20 => 0, 40 => 5]),
        'outside the outline',
    ],
    'a spline' => [dxfOf([0 => 'SPLINE', 10 => 0, 20 => 0]), 'SPLINE is not read'],
    'a circle without a radius' => [dxfOf([0 => 'CIRCLE', 10 => 0, 20 => 0, 40 => 0]), 'radius above 0'],
    'no number' => [dxfOf([0 => 'LINE', 10 => 'abc', 20 => 0, 11 => 1, 21 => 1]), '"abc" is no usable number'],
    'nothing at all' => ['', 'no closed line'],
    'something else' => ["%PDF-1.7\nhello", 'no group code'],
    'a binary drawing' => ["AutoCAD Binary DXF\r\n\x1a\0", 'binary DXF'],
    'far too much' => [str_repeat("0\nLINE\n", 200_000), 'at most 1 MB'],
    'too many lines' => [dxfOf(...array_fill(0, 2500, lineFrom(0, 0, 1, 1))), 'more than 2000'],
]);

it('never takes long, nor anything but a clear answer, whatever it is fed', function () {
    $dice = Some::dice(44);
    $good = drawnFlange('loose');
    $started = hrtime(true);
    for ($i = 0; $i < 120; $i++) {
        $text = $good;
        for ($k = 0; $k < $dice->getInt(1, 6); $k++) {
            $text = substr_replace($text, $dice->getBytes($dice->getInt(1, 9)), $dice->getInt(0, strlen($text) - 1), $dice->getInt(0, 40));
        }
        try {
            FlangeDxf::read($text);
        } catch (DomainException $error) {
            expect(strlen($error->getMessage()))->toBeLessThan(250);
        }
    }
    // The most that is let in: a polyline of many points, and many loose lines that never meet.
    foreach ([
        dxfOf([0 => 'CIRCLE', 10 => 0, 20 => 0, 40 => 200], ...array_map(
            static fn (int $k): array => [0 => 'CIRCLE', 10 => 20 * ($k % 6) - 60, 20 => 20 * intdiv($k, 6) - 40, 40 => 4 + $k % 5],
            range(0, 29),
        )),
        dxfOf(...array_map(static fn (int $k): array => lineFrom($k, 0, $k + 0.4, 1), range(0, 1400))),
    ] as $heavy) {
        try {
            FlangeDxf::read($heavy);
        } catch (DomainException) {
        }
    }
    expect((hrtime(true) - $started) / 1e9)->toBeLessThan(20.0);
});

it('is kept in the job as it was drawn, counts from then on, and can be laid out again', function () {
    $job = flanged([]);
    $plate = FlangeDxf::read(drawnFlange('polyline'));
    $drawn = $job->with([$job->runs[0]->between($job->runs[0]->start->plated($plate), $job->runs[0]->end), ...array_slice($job->runs, 1)], $job->set);
    $again = JobReader::fromJson(JobWriter::toJson($drawn))->job ?? throw new LogicException('unread');
    expect(JobWriter::toArray($again))->toBeAn('JobDocument')
        ->and(flangeA($again)->isDrawn())->toBeTrue()
        ->and(abs(flangeA($again)->flange->outline->areaMm2()))->toBeClose(80 * 60 - (4 - M_PI) * 100, 1e-5)
        ->and(flangeA($job)->isDrawn())->toBeFalse()
        ->and(json_decode((string) json_encode(PlanWriter::toArray(Planner::plan($again, Some::shop())))))->toBeAn('WholePlan');
});

it('tells to scribe and grind where the tube stands over the edge of a drawn plate', function () {
    $narrow = $job = flanged([]);
    $plate = FlangeDxf::read(dxfOf(
        lineFrom(-21, -40, 21, -40), lineFrom(21, -40, 21, 40), lineFrom(21, 40, -21, 40), lineFrom(-21, 40, -21, -40),
        [0 => 'CIRCLE', 10 => 0, 20 => 0, 40 => 18],
    ));
    $narrow = $job->with([$job->runs[0]->between($job->runs[0]->start->plated($plate), $job->runs[0]->end), ...array_slice($job->runs, 1)], $job->set);
    // 1 3/4 in tube on a plate 42 mm wide: 1.2 mm over each edge.
    expect(flangeA($narrow)->guidance($narrow))->toContain('1.2 mm')->toContain('scribe round it')
        ->and(flangeA($job)->guidance($job))->toBe('');
});

it('warns of bolt holes that leave no metal to the tube', function () {
    $tight = flanged(['bolts' => ['count' => 2, 'circle' => '52 mm', 'turn' => 90, 'flats' => '13 mm']]);
    $messages = array_map(static fn ($one): string => $one->message, flangeA($tight)->notices($tight));
    expect(implode(' ', $messages))->toContain('leaves 0.0 mm to the tube');
});

// ISO 272 (widths across flats) and ISO 273 (clearance holes), both from memory.
it('proposes a bolt hole from the nut', function (int $flats, float $holeMm) {
    $plan = flangeA(flanged(['bolts' => ['count' => 2, 'circle' => '90 mm', 'turn' => 0, 'flats' => "$flats mm"]]));
    expect($plan->flange->holes[0]->asDisc()?->radiusMm)->toBeClose($holeMm / 2, 0.0, 1e-6);
})->with([[10, 7.0], [13, 9.0], [16, 11.0], [17, 11.0], [18, 13.0]]);

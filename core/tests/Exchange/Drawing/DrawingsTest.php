<?php

declare(strict_types=1);

use UpsweptBead\Core\Exchange\Drawing\DxfWriter;
use UpsweptBead\Core\Exchange\Drawing\StepWriter;
use UpsweptBead\Core\Exchange\Drawing\StlWriter;
use UpsweptBead\Core\Exchange\Drawing\TubeSkin;
use UpsweptBead\Core\Exchange\Files\StlReader;
use UpsweptBead\Core\Exchange\Files\StlUp;
use UpsweptBead\Core\Stage\Layout\RoutedRun;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Tests\Support\NodeReference;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeRoutedSets;

/** @return list<RoutedRun> eight runs of straights and bends, turned every way */
function drawnRuns(): array
{
    static $runs = null;

    return $runs ??= Planner::sketch(SomeRoutedSets::eight(), Some::shop())->layout->runs;
}

/** @return list<TubeSkin> */
function skins(): array
{
    return array_map(TubeSkin::of(...), drawnRuns());
}

it('writes STEP solids of true cylinders and tori that an OpenCASCADE kernel finds valid and of the metal’s volume', function () {
    [$read] = NodeReference::ask('step.mjs', [StepWriter::write("Eight's é", skins(), '2026-02-09T08:10:00')]);
    expect($read['status'])->toBe('IFSelect_RetDone')
        ->and($read['solids'])->toHaveCount(8);
    foreach (drawnRuns() as $i => $run) {
        $solid = $read['solids'][$i];
        $parts = TubeSkin::of($run)->parts;
        $bends = count(array_filter($parts, static fn ($part): bool => $part->axis !== null));
        // Metal of a tube: its ring times the length of the centreline, by Pappus in bends too.
        $metal = $run->tube->metalAreaMm2() * $run->run->lengthMm();
        expect($solid['valid'])->toBeTrue()
            ->and($solid['volume'])->toBeClose($metal, 0, 1e-6 * $metal)
            ->and($solid['kinds'])->toEqualCanonicalizing([
                'GeomAbs_Cylinder' => 4 * (count($parts) - $bends),
                'GeomAbs_Torus' => 4 * $bends,
                'GeomAbs_Plane' => 2,
            ]);
    }
});

it('writes DXF centrelines that another reader joins end to end from port to inlet', function () {
    [$read] = NodeReference::ask('dxf.py', [DxfWriter::write(skins())]);
    expect($read['version'])->toBe('AC1009')->and($read['errors'])->toBe([]);
    $near = static fn (array $a, array $b): float => max(array_map(static fn (float $x, float $y): float => abs($x - $y), $a, $b));
    foreach (drawnRuns() as $run) {
        $layer = "RUN-{$run->spec->letter}";
        $entities = array_values(array_filter($read['entities'], static fn (array $one): bool => $one['layer'] === $layer));
        $at = $run->line->start->at->toArray();
        $length = 0.0;
        foreach ($entities as $entity) {
            expect($near($entity['from'], $at))->toBeLessThan(1e-5);
            $at = $entity['to'];
            $length += $entity['length'];
        }
        expect($near($run->line->end->at->toArray(), $at))->toBeLessThan(1e-5)
            ->and($length)->toBeClose($run->run->lengthMm(), 1e-5)
            ->and(count($entities))->toBe(count(TubeSkin::of($run)->parts));
    }
});

it('writes STL skins that are closed, near the tube, and read back here too', function () {
    $stl = StlWriter::write(skins());
    [$read] = NodeReference::ask('stl.mjs', [base64_encode($stl)]);
    $metal = array_map(static fn (RoutedRun $run): float => $run->tube->metalAreaMm2() * $run->run->lengthMm(), drawnRuns());
    // Facets lie 0.05 mm within the tube at most, on both sides of a wall of 1.65 mm.
    expect($read['volumes'])->toHaveCount(8)
        ->and($read['size'])->toBe(84 + 50 * $read['triangles'])
        ->and(array_sum($read['volumes']))->toBeClose(array_sum($metal), 0, 0.01 * array_sum($metal));
    [$one] = [StlWriter::write([skins()[0]])];
    expect(StlReader::read($one, 1.0, StlUp::Z))->toHaveCount(9 * unpack('V', substr($one, 80, 4))[1]);
});

it('keeps the line on the side of a tube from twisting', function () {
    foreach (skins() as $skin) {
        foreach ($skin->rings() as $i => $ring) {
            expect($ring->side->dot($ring->forward))->toBeClose(0.0, 1e-9)
                ->and($ring->side->length())->toBeClose(1.0, 1e-9);
        }
        foreach ($skin->parts as $i => $part) {
            $next = $skin->parts[$i + 1] ?? null;
            expect($next === null ? 0.0 : $next->side->minus($part->endSide)->length())->toBeClose(0.0, 1e-9);
        }
    }
});

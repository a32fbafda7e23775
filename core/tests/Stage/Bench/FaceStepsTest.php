<?php

declare(strict_types=1);

use UpsweptBead\Core\Stage\Bench\BenchStep;
use UpsweptBead\Core\Stage\Bench\FaceSteps;
use UpsweptBead\Core\Stage\Joint\JointType;
use UpsweptBead\Core\Stage\Step\StepKind;
use UpsweptBead\Core\Tests\Support\Some;

covers(FaceSteps::class);

/** @return array<string, BenchStep> by subject */
function facesOfDownpipe(): array
{
    return array_column(array_filter(
        Some::plan()->steps,
        static fn (BenchStep $one): bool => $one->kind === StepKind::Face,
    ), null, 'subject');
}

it('measures every flange and ring of a run once, and nothing else', function () {
    $faced = array_filter(
        Some::plan()->joints->ofRun('A'),
        static fn ($joint): bool => in_array($joint->type, [JointType::VBandButt, JointType::FlangeFillet], true),
    );
    expect(facesOfDownpipe())->toHaveCount(count($faced))
        ->and(array_keys(facesOfDownpipe()))->each->toBeIn(['A.start', 'A.end']);
});

it('judges only the land that seals, at six points by the clock', function () {
    foreach (facesOfDownpipe() as $step) {
        [$land] = $step->face->lands ?? [];
        $joint = array_values(array_filter(
            Some::plan()->joints->ofRun('A'),
            static fn ($one): bool => in_array($one->type, [JointType::VBandButt, JointType::FlangeFillet], true)
                && ($one->seam->stationMm <= 0.0) === ($step->subject === 'A.start'),
        ))[0];
        expect($step->measures)->toHaveCount(6)
            ->and($land->innerMm)->toBe($joint->seam->odMm / 2)
            ->and($land->outerMm)->toBeGreaterThan($land->innerMm);
        foreach ($step->face->points ?? [] as $point) {
            expect(hypot($point->xMm, $point->yMm))->toBeGreaterThan($land->innerMm)->toBeLessThan($land->outerMm);
        }
    }
});

it('takes a flange bowed by a tenth of a millimetre, and no more, as shipped', function () {
    foreach (facesOfDownpipe() as $step) {
        $face = $step->face ?? throw new LogicException('No face.');
        $bowed = static fn (float $mm): array => array_combine(
            array_column($face->points, 'name'),
            array_map(static fn (int $i): float => $i % 2 === 0 ? $mm : 0.0, array_keys($face->points)),
        );
        expect($face->judge($bowed(0.9 * $face->limitMm))?->isFlat())->toBeTrue()
            ->and($face->judge($bowed(1.6 * $face->limitMm))?->isFlat())->toBeFalse();
    }
});

it('is done when all of the run is cold, and before its leak test', function () {
    foreach (facesOfDownpipe() as $step) {
        expect($step->of)->toBe('A')
            ->and(array_column(Some::plan()->steps, null, 'id')['leak-test.A']->after)->toContain($step->id);
        foreach (Some::plan()->joints->welds() as $joint) {
            expect($step->after)->toContain("cool.$joint->id");
        }
    }
});

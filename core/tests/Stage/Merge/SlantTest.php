<?php

declare(strict_types=1);

use UpsweptBead\Core\Exchange\Files\Template\JobTemplate;
use UpsweptBead\Core\Exchange\Screens\PlanWriter;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Solve\Merge\Template\Layer;
use UpsweptBead\Core\Solve\Merge\Template\Stroke;
use UpsweptBead\Core\Solve\Merge\Template\WrapTemplate;
use UpsweptBead\Core\Stage\Cut\EndPrep;
use UpsweptBead\Core\Stage\Merge\Placement;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeCollectors;

/**
 * The straight 3 in run, its far end open and slanted.
 *
 * @param  array<string, mixed>  $slant
 * @return array<string, mixed>
 */
function slanted(array $slant): array
{
    $document = JobWriter::toArray(SomeCollectors::branched());
    $document['runs'] = [$document['runs'][0]];
    $document['runs'][0]['end'] = [...$document['runs'][0]['end'], 'kind' => 'open', 'slant' => $slant];

    return $document;
}

/** @param  array<string, mixed>  $document */
function tipOf(array $document): Job
{
    return JobReader::fromDecoded($document)->job ?? throw new LogicException('unread');
}

it('cuts a tip to its slant, with the longest side where the run ends', function () {
    $plan = Planner::plan(tipOf(slanted(['angle' => 20, 'turn' => 90])), Some::shop());
    [$slant] = $plan->layout->placement->slants;
    $pieces = $plan->cut->piecesOf('A');
    expect($slant->reachMm())->toBeClose(76.2 * tan(deg2rad(20)), 1e-9)
        ->and($pieces[count($pieces) - 1]->endPrep)->toBe(EndPrep::Slant)
        ->and($plan->layout->run('A')?->run->lengthMm())->toBeClose(600.0)
        ->and(json_decode((string) json_encode(PlanWriter::toArray($plan))))->toBeAn('WholePlan');
    // The run lies along x with its reference up: the longest side is a quarter round from there, the shortest
    // opposite.
    expect($slant->backMm(M_PI / 2))->toBeClose(0.0, 0.0, 1e-9)
        ->and($slant->backMm(-M_PI / 2))->toBeClose($slant->reachMm(), 1e-9)
        ->and($slant->backMm(0.0))->toBeClose($slant->reachMm() / 2, 1e-9);
});

it('has a template as high as the slant reaches', function () {
    $sketch = Planner::sketch(tipOf(slanted(['angle' => 30])), Some::shop());
    $template = JobTemplate::of($sketch, 'A1-slant', 0.0);
    assert($template instanceof WrapTemplate);
    $cut = array_values(array_filter($template->strokes, static fn (Stroke $one): bool => $one->layer === Layer::Cut))[0];
    $heights = array_column($cut->points, 1);
    expect(max($heights) - min($heights))->toBeClose(76.2 * tan(deg2rad(30)), 1e-4)
        ->and(max(array_column($cut->points, 0)))->toBeClose(M_PI * 76.2, 1e-9);
});

it('is read back, and refused where the end meets a part or leans too far', function () {
    $job = tipOf(slanted(['angle' => '15 deg', 'turn' => -30]));
    expect(JobReader::fromJson(JobWriter::toJson($job))->job?->run('A')?->end->slant?->turnDeg)->toBe(-30.0)
        ->and(JobWriter::toArray(Placement::in($job, Some::shop())))->toBeAn('JobDocument');
    $faults = static fn (array $document): array => array_map(static fn ($one): string => $one->path, JobReader::fromDecoded($document)->faults);
    $welded = slanted(['angle' => 20]);
    $welded['runs'][0]['end']['kind'] = 'v-band';
    expect($faults($welded))->toBe(['runs[0].end.slant'])
        ->and($faults(slanted(['angle' => 80])))->toBe(['runs[0].end.slant.angle']);
});

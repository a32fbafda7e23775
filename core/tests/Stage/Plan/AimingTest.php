<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\Run\RouteChoice;
use UpsweptBead\Core\Stage\Plan\Aiming;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Stage\Survey\Surroundings;
use UpsweptBead\Core\Tests\Support\Some;

/**
 * A run that has come straight rearward so far, with things in its way.
 *
 * @param  list<array<string, mixed>>  $keepOuts
 * @param  list<array<string, mixed>>  $outlets
 */
function comingBack(array $keepOuts = [], array $outlets = []): Job
{
    $document = Some::document();
    $run = &$document['runs'][0];
    $run['start']['at'] = [0, 0, 0];
    $run['start']['direction'] = [1, 0, 0];
    $run['end'] = [...$run['end'], 'kind' => 'open', 'free' => true];
    unset($run['end']['bolts'], $run['start']['up']);
    $run['route'] = ['bends' => [], 'endStraight' => '10 in'];
    $run['fittings'] = [];
    $document['set'] = ['collectors' => [], 'keepOuts' => $keepOuts, 'outlets' => $outlets];
    $reading = JobReader::fromDecoded($document);

    return $reading->job ?? throw new LogicException((string) json_encode($reading->faults));
}

function aimed(Job $job, Vector $way, float $clearMm = 0.0): RouteChoice
{
    return Aiming::of($job, Some::shop(), 'A')->route($way, $clearMm);
}

/** The least room between tube and solids behind the first 10 in, mm. */
function leastRoomMm(Job $job, RouteChoice $route): float
{
    $run = $route->from($job->runs[0]->start->frame());
    $radiusMm = Some::shop()->catalogue->tube($job->runs[0]->tubeId)->odMm / 2;
    $least = INF;
    foreach (Surroundings::inPlace($job, Some::shop()) as $solid) {
        for ($mm = 254.0; $mm <= $run->lengthMm(); $mm += 3.0) {
            $at = $run->frameAt($mm)->at;
            $least = min($least, $solid->distance($at->x, $at->y, $at->z) - $radiusMm);
        }
    }

    return $least;
}

$tyre = [
    'name' => 'Tyre', 'kind' => 'tyre', 'shape' => 'box', 'at' => ['22 in', '12 in', '0 in'], 'direction' => [1, 0, 0],
    'size' => ['20 in', '10 in', '24 in'], 'clearance' => '10 mm', 'note' => '',
];

it('points the outlet as it was said, in as little tube as it takes', function (float $turnDeg, float $fallsDeg) {
    $job = comingBack();
    $way = Aiming::way($turnDeg, $fallsDeg);
    $route = aimed($job, $way);
    $run = $route->from($job->runs[0]->start->frame());
    expect($run->end()->forward->angleDegTo($way))->toBeLessThan(0.01)
        // One bend at the most, begun where the tube ends now.
        ->and(count($route->rows))->toBe($turnDeg === 0.0 && $fallsDeg === 0.0 ? 0 : 1);
})->with([
    'down and out to the right' => [90.0, 10.0],
    'to the left' => [-90.0, 0.0],
    'straight down' => [0.0, 90.0],
    'rearward and left, rising' => [-45.0, -8.0],
    'as it is' => [0.0, 0.0],
]);

it('goes on straight until the bend comes clear of the tyre by as much as is asked, and does not blow at it', function (float $clearMm) use ($tyre) {
    $job = comingBack([$tyre]);
    $way = Aiming::way(90.0, 10.0);
    $route = aimed($job, $way, $clearMm);
    $end = $route->from($job->runs[0]->start->frame())->end();
    $ahead = $end->advanced(Some::shop()->rules->value('outlet.jet') - 10.0)->at;
    expect(leastRoomMm($job, $route))->toBeGreaterThanOrEqual(max(10.0, $clearMm) - 0.5)
        ->and(Surroundings::inPlace($job, Some::shop())[0]->distance($ahead->x, $ahead->y, $ahead->z))->toBeGreaterThan(0.0)
        ->and($route->rows[0]->straight->mm)->toBeGreaterThan(aimed(comingBack(), $way)->rows[0]->straight->mm)
        ->and($route->from($job->runs[0]->start->frame())->end()->forward->angleDegTo($way))->toBeLessThan(0.01);
})->with([0.0, 40.0]);

it('leaves by no other place than outlets are asked to have', function () {
    $job = comingBack([], [['name' => 'Behind the axle', 'axis' => 'right', 'least' => '14 in', 'most' => null]]);
    $route = aimed($job, Aiming::way(90.0, 0.0));
    expect($route->from($job->runs[0]->start->frame())->end()->at->y)->toBeGreaterThanOrEqual(14 * 25.4);
});

it('says what is in the way where nothing comes clear', function () {
    $wall = [
        'name' => 'Sill', 'kind' => 'frame', 'shape' => 'half-space', 'at' => ['0', '4 in', '0'], 'direction' => [0, -1, 0],
        'clearance' => '10 mm', 'note' => '',
    ];
    expect(fn () => aimed(comingBack([$wall]), Aiming::way(90.0, 0.0)))->toThrow(DomainException::class, 'Sill is in the way')
        ->and(fn () => aimed(comingBack(), new Vector(-1, 0, 0)))->toThrow(DomainException::class, 'straight back');
});

it('makes the tip out of the leg that the bend comes with, without a joint for it', function () {
    $job = comingBack();
    $route = aimed($job, Aiming::way(90.0, 10.0));
    expect($route->endStraight->mm)->toBeGreaterThanOrEqual(40.0)
        ->and(Planner::sketch($job->routed('A', $route), Some::shop())->cut->piecesOf('A'))->toHaveCount(2);
});

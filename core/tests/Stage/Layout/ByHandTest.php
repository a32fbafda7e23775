<?php

declare(strict_types=1);

use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\Run\RouteChoice;
use UpsweptBead\Core\Solve\Run\FarEnd;
use UpsweptBead\Core\Stage\Layout\ByHand;
use UpsweptBead\Core\Tests\Support\Some;

/**
 * A downpipe of two bends that closes, its first bend already the most that is sold and the straight before it locked.
 */
function closedDownpipe(): Job
{
    $document = json_decode(
        (string) file_get_contents(dirname(__DIR__, 4).'/database/demo/camper-van-downpipe.job.json'),
        true,
        512,
        JSON_THROW_ON_ERROR,
    );
    assert(is_array($document));
    $document['runs'][0]['end'] = [
        ...$document['runs'][0]['end'],
        'at' => ['620 mm', '90 mm', '-300 mm'],
        'direction' => [1, 0, -0.2],
    ];
    $document['runs'][0]['start'] = [
        ...$document['runs'][0]['start'],
        'at' => ['0 mm', '0 mm', '0 mm'],
        'direction' => [0, 1, -0.1],
    ];
    $document['runs'][0]['fittings'] = [];
    $document['runs'][0]['route'] = [
        'bends' => [
            ['straight' => 33.4, 'rotation' => 159.89, 'angle' => 90, 'clr' => 76.2, 'locked' => ['straight']],
            ['straight' => 29.1, 'rotation' => -91.24, 'angle' => 58.64, 'clr' => 152.4],
        ],
        'endStraight' => 479.7,
    ];
    $job = JobReader::fromDecoded($document)->job ?? throw new LogicException('unreadable');

    return $job->routed('A', ByHand::of($job, Some::shop(), 'A')->close());
}

/** @return array{float, FarEnd} the length of a route of the downpipe in mm, and how its far end stands */
function asBuilt(Job $job, RouteChoice $route): array
{
    $spec = $job->run('A') ?? throw new LogicException('no run');
    $run = $route->from($spec->start->frame());

    return [$run->lengthMm(), FarEnd::of($run, $spec->end->frame())];
}

it('brings a run to a length with its far end in place, and no further than it stays closed', function () {
    $job = closedDownpipe();
    $route = $job->run('A')->route ?? throw new LogicException('no route');
    [$lengthMm, $end] = asBuilt($job, $route);
    expect($end->isClosed())->toBeTrue();
    $hand = ByHand::of($job, Some::shop(), 'A');
    [$shorter, $there] = asBuilt($job, $hand->bringToLength($lengthMm - 25));
    expect($there->isClosed())->toBeTrue()->and($shorter)->toBeClose($lengthMm - 25, 0, 0.1);
    // Longer it does not go: the first bend would have to turn more than is sold.
    foreach ([15, 80] as $more) {
        [$longer, $there] = asBuilt($job, $hand->bringToLength($lengthMm + $more));
        expect($there->isClosed())->toBeTrue()->and($longer)->toBeLessThan($lengthMm + $more - 5);
    }
});

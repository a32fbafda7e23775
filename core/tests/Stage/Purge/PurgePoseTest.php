<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Reason\Source;
use UpsweptBead\Core\Shop\Stock\TubeSize;
use UpsweptBead\Core\Solve\Gas\Assembly;
use UpsweptBead\Core\Solve\Gas\Hold;
use UpsweptBead\Core\Solve\Gas\TubeInside;
use UpsweptBead\Core\Solve\Run\Bend;
use UpsweptBead\Core\Solve\Run\Centreline;
use UpsweptBead\Core\Solve\Run\Segment;
use UpsweptBead\Core\Solve\Run\TubeRun;
use UpsweptBead\Core\Stage\Purge\Enclosure;
use UpsweptBead\Core\Stage\Purge\Internal\Joined;
use UpsweptBead\Core\Stage\Purge\Internal\Ways;
use UpsweptBead\Core\Stage\Purge\Mouth;
use UpsweptBead\Core\Stage\Purge\PurgePose;

/** @param  array{float|int, float|int, float|int}  $direction */
function tubeFrom(array $direction, Bend ...$bends): TubeRun
{
    return new TubeRun(
        Frame::facing(new Vector(0, 0, 0), new Vector(...$direction), new Vector(0, 0, 1)),
        array_values($bends),
        100,
    );
}

/** How one tube by itself is best held. */
function poseOf(TubeRun $run, float $boreMm): PurgePose
{
    $line = Centreline::of($run);
    $mouth = static fn (bool $isStart, Frame $at): Mouth => new Mouth(
        $isStart ? 'A.start' : 'A.end', '', 'A', $isStart, $at->at, $at->forward, $boreMm,
    );
    $bore = TubeInside::ofParts('A', $boreMm, array_map(static fn (Segment $one): array => [
        $one->lengthMm,
        $one->start->at,
        $one->start->forward,
        $one->bendIndex === null ? null : $one->start->at->plus($one->start->reference->times($one->clrMm)),
    ], $run->segments()));
    $enclosed = new Enclosure(
        ['A'],
        new TubeSize('T', 'Some tube', $boreMm + 3.3, 1.65, false, Source::geometry()),
        new Joined(
            new Assembly(['A' => $bore], [], []),
            ['A'],
            ['A.start' => $mouth(true, $line->start), 'A.end' => $mouth(false, $line->end)],
            'A',
        ),
        Ways::ofTube($line, 0.0, $line->lengthMm),
        null,
        false,
    );

    return PurgePose::of($enclosed, PurgePose::inside($enclosed), new Hold(2.36, 6.4));
}

it('feeds the low end and vents the high one', function () {
    expect(poseOf(tubeFrom([1, 0, 0.5]), 70)->feed->id)->toBe('A.start')
        ->and(poseOf(tubeFrom([1, 0, -0.5]), 70)->feed->id)->toBe('A.end');
});

it('finds air trapped in a high bend and stands the run on end when that frees it', function () {
    // Up, over the top and down again: an arch that keeps air between two low ends.
    $arch = tubeFrom([0, 0, 1], new Bend(100, 0, 90, 76.2), new Bend(100, 0, 90, 76.2));
    $pose = poseOf($arch, 70);
    expect($pose->hold)->not->toBe('')->and($pose->trappedMl)->toBeLessThan(5.0);
    $hook = poseOf(tubeFrom([1, 0, 0], new Bend(400, 180, 90, 76.2)), 70);
    expect($hook->hold)->toBe('')->and($hook->trappedMl)->toBeLessThan(5.0);
});

it('sees a hump that is lower than the vent, behind a dip', function () {
    // Level, up over a hump, down, and up again to a vent that is higher than the hump.
    $run = tubeFrom(
        [1, 0, 0],
        new Bend(60, 0, 45, 114.3), new Bend(40, 180, 90, 114.3), new Bend(40, 180, 90, 114.3),
    );
    $up = poseOf($run, 70);
    expect($up->hold)->not->toBe('')->and($up->trappedMl)->toBeLessThan(5.0);
});

it('turns a nearly closed loop so that its two ends are up', function () {
    $loop = tubeFrom([0, 0, 1], new Bend(60, 0, 90, 76.2), new Bend(200, 0, 90, 76.2), new Bend(60, 0, 90, 76.2));
    expect(poseOf($loop, 70)->trappedMl)->toBeLessThan(5.0)->and(poseOf($loop, 70)->hold)->not->toBe('');
});

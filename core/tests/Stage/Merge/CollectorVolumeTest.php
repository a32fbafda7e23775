<?php

declare(strict_types=1);

use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Stage\Merge\BuiltCollector;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeCollectors;

/** The inside of a collector of straight tubes counted in small cubes: all that lies in one bore or another. */
function countedMl(BuiltCollector $one, float $stepMm): float
{
    $boreMm = $one->tube()->idMm() / 2;
    $frame = $one->build->frame();
    $lengthMm = $one->lengthMm();
    $inlets = array_map($one->inlet(...), range(0, $one->build->inlets - 1));
    $axis = $frame->forward;
    [$x, $y] = [$frame->reference, $axis->cross($frame->reference)];
    $reachMm = $one->sizes->circle->value / 2 + $boreMm + 2;
    $count = 0;
    for ($z = $stepMm / 2; $z < $lengthMm; $z += $stepMm) {
        for ($u = -$reachMm; $u < $reachMm; $u += $stepMm) {
            for ($v = -$reachMm; $v < $reachMm; $v += $stepMm) {
                $at = $frame->at->plus($axis->times($z))->plus($x->times($u))->plus($y->times($v));
                foreach ($inlets as $inlet) {
                    $off = $at->minus($inlet->at);
                    $along = $off->dot($inlet->forward);
                    if ($along >= 0.0 && $off->minus($inlet->forward->times($along))->length() <= $boreMm) {
                        $count++;
                        break;
                    }
                }
            }
        }
    }

    return $count * $stepMm ** 3 / 1000;
}

it('holds what is counted in cubes, and is filled by the same volume', function () {
    $plan = Planner::plan(SomeCollectors::job(), Some::shop());
    $one = $plan->layout->placement->collectors->find('K') ?? throw new LogicException('no collector');
    $counted = countedMl($one, 2.5);
    expect(1000 * $one->volumeL())->toBeClose($counted, 0.02, 0)
        ->and($plan->weld->sheets['KJ1']->purge->value('volume'))->toBeClose($one->volumeL(), 0.001, 0);
});

// By Pappus a tube along a bend holds its bore times its centreline; two of them share what lies beyond the middle
// plane.
it('holds less than its tubes laid end to end, and more than half of that', function () {
    $file = dirname(__DIR__, 4).'/database/demo/sidecar-collectors.job.json';
    $read = JobReader::fromJson((string) file_get_contents($file));
    $plan = Planner::plan($read->job ?? throw new LogicException('unreadable'), Some::shop());
    foreach ($plan->layout->placement->collectors->all as $one) {
        $apartMl = $one->build->inlets * $one->tube()->boreAreaMm2() * $one->lengthMm() * 1.02 / 1000;
        expect(1000 * $one->volumeL())->toBeLessThan($apartMl)->toBeGreaterThan($apartMl / 2);
        foreach ($plan->weld->sheets as $sheet) {
            if ($sheet->joint->run === $one->build->letter) {
                expect($sheet->purge->value('volume'))->toBeClose($one->volumeL(), 0.001, 0);
            }
        }
    }
});

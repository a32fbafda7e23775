<?php

declare(strict_types=1);

use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Solve\Cool\Film;
use UpsweptBead\Core\Stage\Plan\Plan;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Stage\Schedule\Slot;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeCollectors;

/** A 3 in × .065 tube with a bend of wedges, five welds about 31 mm apart. */
function wedged(string $practice): Plan
{
    $document = JobWriter::toArray(SomeCollectors::branched());
    $document['runs'] = [[
        ...$document['runs'][0],
        'route' => [
            'bends' => [['straight' => 150, 'rotation' => 0, 'angle' => 90, 'clr' => 100, 'pie' => 5]],
            'endStraight' => 200,
        ],
        'fittings' => [],
    ]];
    $document['overrides'] = [['figure' => 'cool.school', 'value' => $practice, 'why' => 'practice']];

    return Planner::plan(JobReader::fromDecoded($document)->job ?? throw new LogicException('unread'), Some::shop());
}

/**
 * All seams of a schedule welded into one tube after the other, by small explicit steps on even cells: another method
 * than the one that times them.
 *
 * @return array<string, float> the mean near each seam at the moment the schedule calls it cool, °C
 */
function whenCalledCool(Plan $plan): array
{
    [$cellMm, $stepS, $lengthMm] = [4.0, 0.5, $plan->layout->runs[0]->run->lengthMm()];
    $cells = (int) ceil($lengthMm / $cellMm);
    [$odM, $wallM] = [0.0762, 0.001651];
    $areaM2 = M_PI * ($odM - $wallM) * $wallM;
    $capacity = $areaM2 * $cellMm / 1000 * 7930 * 500;
    $link = 18.0 * $areaM2 / ($cellMm / 1000);
    $film = Film::still();
    $loss = [];
    for ($k = 0; $k < 1500; $k++) {
        $loss[$k] = M_PI * $odM * $cellMm / 1000 * ($film->wM2K(76.2, 20.0 + $k, 20.0) * $k
            + 0.3 * 5.670374e-8 * ((293.15 + $k) ** 4 - 293.15 ** 4));
    }
    $called = [];
    foreach ($plan->schedule->slots as $i => $slot) {
        $atS = $slot->startS - $slot->waitS;
        foreach ($slot->handled + $slot->beside as $id => $leftS) {
            $called[$id] ??= $slot->startS;
        }
    }
    $heat = static function (Slot $slot, float $nowS) use ($plan): float {
        $sheet = $plan->weld->sheets[$slot->joint->id];
        // Spread evenly over the time at the joint, its arc and its stops.
        $fromS = $slot->endS - $sheet->times->weldS;
        $joule = $sheet->settings['heat']->value * 1000 * $slot->joint->seam->lengthMm;

        return $nowS > $fromS && $nowS <= $slot->endS ? $joule / $sheet->times->weldS : 0.0;
    };
    $now = array_fill(0, $cells, 0.0);
    $found = [];
    $untilS = max([0.0, ...$called]);
    for ($t = 0.0; $t <= $untilS; $t += $stepS) {
        $flow = [];
        for ($i = 0; $i < $cells; $i++) {
            $k = (int) $now[$i];
            $flow[$i] = -($loss[$k] + ($now[$i] - $k) * ($loss[$k + 1] - $loss[$k]));
            $flow[$i] += $i > 0 ? $link * ($now[$i - 1] - $now[$i]) : 0.0;
            $flow[$i] += $i < $cells - 1 ? $link * ($now[$i + 1] - $now[$i]) : 0.0;
        }
        foreach ($plan->schedule->slots as $slot) {
            $watts = $heat($slot, $t);
            if ($watts > 0.0 && $slot->joint->type->isButt()) {
                $flow[min($cells - 1, (int) ($slot->joint->seam->stationMm / $cellMm))] += $watts;
            }
        }
        foreach ($flow as $i => $watts) {
            $now[$i] += $watts * $stepS / $capacity;
        }
        foreach ($called as $id => $atS) {
            $joint = $plan->joints->find("$id");
            if (! isset($found[$id]) && $t >= $atS - $stepS && $joint !== null) {
                $cell = (int) ($joint->seam->stationMm / $cellMm);
                $near = array_slice($now, max(0, $cell - 2), 5);
                $found[$id] = 20.0 + array_sum($near) / count($near);
            }
        }
    }

    return $found;
}

// Timed alone, seams of a pie-cut bend were called cool at 55.6 and 47.3 °C.
it('calls no seam of a pie-cut bend cool while its neighbours keep it warm', function () {
    $found = whenCalledCool(wedged('touch-cool'));
    expect(count($found))->toBeGreaterThan(2);
    foreach ($found as $celsius) {
        expect($celsius)->toBeLessThan(46.5);
    }
});

it('is never planned longer below the code limit than touch-cool', function () {
    expect(wedged('below the code limit')->schedule->totalS)->toBeLessThan(wedged('touch-cool')->schedule->totalS);
});

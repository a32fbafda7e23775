<?php

declare(strict_types=1);

use UpsweptBead\Core\Stage\Plan\Plan;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Stage\Schedule\Internal\OneBench;
use UpsweptBead\Core\Stage\Schedule\JobAtBench;
use UpsweptBead\Core\Stage\Schedule\JobsTogether;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeRoutedSets;

covers(OneBench::class);

/** @return array{Plan, Plan, JobsTogether} */
function twoJobs(): array
{
    static $found = null;
    if ($found === null) {
        [$header, $downpipe] = [Planner::plan(SomeRoutedSets::header(), Some::shop()), Some::plan()];
        $looked = 0;
        $clock = static function () use (&$looked): float {
            return $looked++ / 1000;
        };
        $found = [$header, $downpipe, JobsTogether::of([
            new JobAtBench('H', $header->fit, $header->weld, $header->schedule),
            new JobAtBench('D', $downpipe->fit, $downpipe->weld, $downpipe->schedule),
        ], Some::shop()->rules, $clock, 0.3)];
    }

    return $found;
}

it('welds every seam of both once, one at a time', function () {
    [$header, $downpipe, $together] = twoJobs();
    $wanted = [];
    foreach (['H' => $header, 'D' => $downpipe] as $job => $plan) {
        foreach ($plan->schedule->slots as $slot) {
            $wanted[] = "$job {$slot->joint->id}";
        }
    }
    expect(array_map(static fn (array $one): string => "$one[0] $one[1]", $together->welds))->toEqualCanonicalizing($wanted);
    $freeS = 0.0;
    foreach ($together->welds as [, , $startS, $endS]) {
        expect($startS)->toBeGreaterThanOrEqual($freeS - 1e-6);
        $freeS = $endS;
    }
});

it('takes less than one after the other, and not less than either by itself', function () {
    [$header, $downpipe, $together] = twoJobs();
    expect($together->oneAfterOtherS)->toBeClose($header->schedule->totalS + $downpipe->schedule->totalS)
        ->and($together->totalS)->toBeLessThan(0.95 * $together->oneAfterOtherS)
        ->and($together->totalS)->toBeGreaterThan(max($header->schedule->totalS, $downpipe->schedule->totalS) - 1.0);
});

it('has of each job everything cold before hands go there', function () {
    [$header, , $together] = twoJobs();
    $at = array_column(array_map(
        static fn (array $one): array => ["$one[0] $one[1]", [$one[2], $one[3]]],
        $together->welds,
    ), 1, 0);
    // The header's runs are welded alone, and then fitted together: all of that is cold before.
    $batches = array_unique(array_map(static fn ($slot): int => $slot->batch, $header->schedule->slots));
    expect(count($batches))->toBeGreaterThan(1);
    foreach ($header->schedule->slots as $later) {
        foreach ($header->schedule->slots as $earlier) {
            if ($earlier->batch < $later->batch) {
                $coldS = $at["H {$earlier->joint->id}"][1] + $earlier->times->touchS;
                expect($at["H {$later->joint->id}"][0])->toBeGreaterThanOrEqual($coldS - 1e-6);
            }
        }
    }
});

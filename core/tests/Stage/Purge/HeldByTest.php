<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Reason\Notice;
use UpsweptBead\Core\Base\Reason\Option;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Stage\Plan\Plan;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Tests\Support\Some;

/** The example downpipe with one of its seams held as somebody says. */
function heldAs(string $value): Plan
{
    $document = JobWriter::toArray(Some::routedJob());
    $document['overrides'] = $value === '' ? [] : [['figure' => 'purge.AJ2.held', 'value' => $value, 'why' => 'no vise free']];

    return Planner::plan(JobReader::fromDecoded($document)->job ?? throw new LogicException('unreadable'), Some::shop());
}

it('offers every way there is to hold a piece, as on the vehicle first', function () {
    $held = heldAs('')->weld->sheets['AJ2']->choices['held'];
    $ways = array_map(static fn (Option $one): string => $one->value, $held->options);
    expect($ways[0])->toBe('As on the vehicle')
        ->and($ways)->toContain('Stand it with its far end straight up')
        ->and(count($ways))->toBeGreaterThan(10)
        ->and($ways)->toContain($held->value);
});

it('is held as somebody says, for that joint only, and tells the air that then stays', function () {
    $proposed = heldAs('')->weld;
    $most = 0.0;
    foreach ($proposed->sheets['AJ2']->choices['held']->options as $one) {
        $plan = heldAs($one->value);
        $sheet = $plan->weld->sheets['AJ2'];
        expect($sheet->choices['held']->value)->toBe($one->value)
            ->and($plan->weld->sheets['AJ3']->purge->pose->up)->toEqual($proposed->sheets['AJ3']->purge->pose->up);
        $pose = $sheet->purge->pose;
        expect($pose->trappedMl)->toBeGreaterThanOrEqual(min(5.0, $proposed->sheets['AJ2']->purge->pose->trappedMl) - 5.0);
        $lines = implode(' ', $pose->lines(static fn (float $mm): string => "$mm", 6.0));
        expect(str_contains($lines, 'mL of air stay'))->toBe($pose->trappedMl >= 5.0);
        $most = max($most, $pose->trappedMl);
    }
    // Bent, some way to hold it keeps air.
    expect($most)->toBeGreaterThan(20.0);
});

it('refuses a way there is not, and stays as proposed', function () {
    $plan = heldAs('on its head');
    expect($plan->weld->sheets['AJ2']->purge->pose)->toEqual(heldAs('')->weld->sheets['AJ2']->purge->pose)
        ->and(array_map(static fn (Notice $one): string => $one->message, $plan->weld->notices))
        ->toContain('Joint AJ2: "on its head" is no way to hold it for this weld: one of the 17 that are listed with its purge.');
});

<?php

declare(strict_types=1);

use UpsweptBead\Core\Solve\Gas\Filling;
use UpsweptBead\Core\Stage\Schedule\Slot;
use UpsweptBead\Core\Tests\Support\Some;

// Common practice: what stays dammed and taped stays filled; only what crept in is rinsed out before the next seam.
it('fills what stays closed from air once, and rinses it before each further seam', function () {
    $sheets = Some::plan()->weld->sheets;
    [$first, $second] = [$sheets['AJ2']->purge, $sheets['AJ3']->purge];
    expect($first->since)->toBe('')
        ->and($second->since)->toBe('AJ2')
        ->and($first->value('changes'))->toBeClose(Filling::changes(200.0))
        ->and($second->value('changes'))->toBeClose(log(1000 / 200))
        ->and($second->value('fill'))->toBeClose($second->value('volume') * log(5) / $second->value('flow') * 60, 1e-6)
        ->and($second->value('argon'))->toBeLessThan($first->value('argon'));
});

it('fills it anew where the torch’s mouth or a hole was open', function () {
    foreach (Some::plan()->weld->sheets as $sheet) {
        if ($sheet->purge->pose->isEntered() || $sheet->joint->type->isOnSide()) {
            expect($sheet->purge->since)->toBe('');
        }
    }
});

it('welds the joint it was filled for first', function () {
    $turn = array_flip(array_map(static fn (Slot $one): string => $one->joint->id, Some::plan()->schedule->slots));
    foreach (Some::plan()->weld->sheets as $id => $sheet) {
        if ($sheet->purge->since !== '') {
            expect($turn[$sheet->purge->since])->toBeLessThan($turn[$id]);
        }
    }
});

it('says at the bench that it has stayed closed', function () {
    expect(implode(' ', Some::plan()->step('purge.AJ3')->do ?? []))->toContain('stayed closed since AJ2');
});

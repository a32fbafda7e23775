<?php

declare(strict_types=1);

use UpsweptBead\Core\Job\Run\RouteRow;
use UpsweptBead\Core\Stage\Plan\FromBlocks;
use UpsweptBead\Core\Tests\Support\Some;

it('reads a mock-up block by block: straights by their pitch, turns by clicks, bends on the nearest stocked radius', function () {
    // Handbook 2.11: number of straight blocks × pitch, bend angle, clicks × click angle.
    $route = FromBlocks::route(Some::job(), Some::shop(), 'A', "3 straight, 45 bend\n2 clicks; bend 90°, 1 straight, -1 click, 30 bend, 2 straight");
    $rules = Some::shop()->rules;
    [$pitchMm, $clickDeg] = [$rules->value('mock.pitch'), $rules->value('mock.click')];
    $tubeId = Some::job()->runs[0]->tubeId;
    $radii = array_map(static fn ($one): float => $one->clrMm, Some::shop()->catalogue->bendsFor($tubeId));
    expect(array_map(static fn (RouteRow $one): array => [$one->straight->mm, $one->rotationDeg, $one->angleDeg], $route->rows))->toBe([
        [round(3 * $pitchMm, 3), 0.0, 45.0], [0.0, 2 * $clickDeg, 90.0], [$pitchMm, -$clickDeg, 30.0],
    ])
        ->and($route->endStraight->mm)->toBe(2 * $pitchMm)
        ->and($radii)->toContain($route->rows[0]->clr->mm);
});

it('takes bends that follow one another unturned for one', function () {
    expect(FromBlocks::route(Some::job(), Some::shop(), 'A', '1 straight, 30 bend, 30 bend, 1 straight')->rows)->toHaveCount(1);
});

it('names the block that it cannot read', function (string $text, string $why) {
    expect(static fn () => FromBlocks::route(Some::job(), Some::shop(), 'A', $text))->toThrow(DomainException::class, $why);
})->with([
    ['', 'Write its blocks'],
    ['3 straight, 2 elbows', '“2 elbows” is no block'],
    ['1.5 straight', '“1.5 straight” is no block'],
    ['200 bend', 'comes to 200°'],
    ['2 clicks', 'no length'],
]);

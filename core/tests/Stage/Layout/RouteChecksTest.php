<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Reason\Notice;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeHeader;

/**
 * What is said of one run's route.
 *
 * @param  array<string, mixed>  $bend  what differs from a bend that can be bought
 * @return list<string>
 */
function routeNotices(array $bend, float|string $endStraight = 300): array
{
    $document = SomeHeader::document();
    $document['runs'] = array_slice($document['runs'], 0, 1);
    // 3 in tube: its bends are made up to 90°.
    $document['runs'][0]['tube'] = 'T3.000x.065';
    $document['runs'][0]['route'] = [
        'bends' => [['straight' => 150, 'rotation' => 0, 'angle' => 45, 'clr' => 76.2, ...$bend]],
        'endStraight' => $endStraight,
    ];
    $document['set'] = ['collectors' => [], 'keepOuts' => [], 'lengths' => []];
    $plan = Planner::plan(
        JobReader::fromDecoded($document)->job ?? throw new LogicException('unreadable'),
        Some::shop(),
    );

    return array_values(
        array_map(
            static fn (Notice $notice): string => $notice->path,
            array_filter(
                $plan->notices(),
                static fn (Notice $notice): bool => str_starts_with($notice->path, 'runs[0].route'),
            ),
        ),
    );
}

it('takes a bend up to the angle it is made to, and no further', function (float $angle, bool $isRefused) {
    expect(in_array('runs[0].route.bends[0].angle', routeNotices(['angle' => $angle]), true))->toBe($isRefused);
})->with([
    'to the degree' => [90.0, false],
    'within what a protractor reads' => [90.04, false],
    'a tenth beyond' => [90.1, true],
]);

it('takes a straight as long as the least, and refuses a shorter one', function (float $shorterMm, bool $isRefused) {
    $least = SomeHeader::job()->set->routing->on(Some::shop()->rules->routing())->lastStraightMm;
    expect(in_array('runs[0].route.endStraight', routeNotices([], $least - $shorterMm), true))->toBe($isRefused);
})->with([
    'the least' => [0.0, false],
    'a hair less' => [0.005, false],
    'a twentieth of a millimetre less' => [0.05, true],
]);

it('refuses a radius nobody stocks', function () {
    expect(routeNotices(['clr' => 61]))->toContain('runs[0].route.bends[0].clr');
});

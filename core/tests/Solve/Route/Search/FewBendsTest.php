<?php

declare(strict_types=1);

use UpsweptBead\Core\Solve\Route\Search\SetStatus;
use UpsweptBead\Core\Tests\Support\SomeSets;

/**
 * The two-bend problem with its inlet put elsewhere.
 *
 * @param  ?array<string, mixed>  $port
 * @param  array{float, float, float}  $at
 * @param  array{float, float, float}  $dir
 * @return array<string, mixed>
 */
function withInlet(array $at, array $dir, ?array $port = null): array
{
    $document = SomeSets::document('01-two-bends');
    $document['keepouts'] = [];
    [$document['ports'][0]['at'], $document['ports'][0]['dir']] = $port ?? [[0, 0, 0], [1, 0, 0]];
    [$document['collectors'][0]['inlets'][0]['at'], $document['collectors'][0]['inlets'][0]['dir']] = [$at, $dir];

    return $document;
}

it('bends no tube whose ends stand in line', function () {
    $document = withInlet([400, 0, 0], [1, 0, 0]);
    $answer = SomeSets::solve(SomeSets::problem($document), 10);
    expect($answer->ways[0]->bends())->toBe(0)
        ->and($answer->ways[0]->length)->toBeClose(400.0, 0, 1e-9)
        ->and(SomeSets::judged($document, $answer)['failures'])->toBe([]);
});

it('turns once where the axes of both ends meet', function () {
    $document = withInlet([300, 200, 0], [0, 1, 0]);
    $answer = SomeSets::solve(SomeSets::problem($document), 10);
    [$way] = $answer->ways;
    expect($way->bends())->toBe(1)
        ->and(rad2deg($way->angles[0]))->toBeClose(90.0, 0, 1e-9)
        ->and($way->length)->toBeClose(500 - (2 - M_PI / 2) * $way->radii[0], 0, 1e-9)
        ->and(SomeSets::judged($document, $answer)['failures'])->toBe([]);
});

it('needs two bends as soon as the axes pass each other by a millimetre', function () {
    $document = withInlet([300, 200, 1], [0, 1, 0]);
    $answer = SomeSets::solve(SomeSets::problem($document), 20);
    expect($answer->status)->toBe(SetStatus::Solved)
        ->and($answer->ways[0]->bends())->toBeGreaterThan(1);
});

it('does not run straight through an inlet that points back', function () {
    $answer = SomeSets::solve(SomeSets::problem(withInlet([400, 0, 0], [-1, 0, 0])), 20);
    expect($answer->status)->toBe(SetStatus::Solved)
        ->and($answer->ways[0]->bends())->toBeGreaterThan(1);
});

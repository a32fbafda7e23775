<?php

declare(strict_types=1);

use UpsweptBead\Core\Solve\Route\Search\Hindrance;
use UpsweptBead\Core\Solve\Route\Search\Impossible;
use UpsweptBead\Core\Solve\Route\Search\InletSharing;
use UpsweptBead\Core\Solve\Route\Search\Lack;
use UpsweptBead\Core\Solve\Route\Search\Proof;
use UpsweptBead\Core\Tests\Support\SomeSets;

covers(Proof::class);

/**
 * @param  array<string, mixed>  $document
 * @return list<Hindrance>
 */
function reasons(array $document): array
{
    $problem = SomeSets::problem($document);

    return Impossible::reasons($problem, new InletSharing($problem));
}

/** @return array<string, mixed> */
function oneTube(): array
{
    $document = SomeSets::document('01-two-bends');
    $document['keepouts'] = [];

    return $document;
}

it('has nothing against what a search solves', function (string $name) {
    expect(reasons(SomeSets::document($name)))->toBe([]);
})->with(['01-two-bends', '08-inline-four']);

it('proves that a half turn does not come from one bend of 135°', function () {
    $document = oneTube();
    $document['rules']['max_bends'] = 1;
    [$document['collectors'][0]['inlets'][0]['at'], $document['collectors'][0]['inlets'][0]['dir']] = [
        [300, 0, 0],
        [0, -1, 0],
    ];
    [$reason] = reasons($document);
    expect($reason->what)->toBe(Lack::Turn)
        ->and($reason->amount)->toBeClose(45.0, 0, 1e-6)
        ->and($reason->by)->toBeNull();
    $document['rules']['max_bends'] = 2;
    expect(reasons($document))->toBe([]);
});

it('names the box before a port, and no less than it has to move', function (float $atMm) {
    $document = oneTube();
    // A wall of 400 × 400 mm square to the port’s axis, its face 20 mm thick in front of the port; the first straight
    // is 25.4 mm.
    $document['keepouts'] = [
        ['id' => 'wall', 'type' => 'box', 'centre' => [0, $atMm + 10, 0], 'size' => [400, 20, 400]],
    ];
    [$reason] = reasons($document);
    expect($reason->what)->toBe(Lack::Clearance)
        ->and($reason->by)->toBe('wall')
        ->and($reason->runner)->toBe('1')
        ->and($reason->opens)->toContain('first straight');
    // Moved off by what is named less a millimetre, it is closed still: the figure is a least.
    $document['keepouts'][0]['centre'][1] += $reason->amount - 1.0;
    expect(reasons($document))->not->toBe([]);
})->with([30.0, 50.0]);

it('lets a tube turn away before a wall that stands further off', function () {
    $document = oneTube();
    // First straight, the least radius, half the tube and its clearance fit in before the wall.
    $rules = $document['rules'];
    $room = $rules['first_straight'] + 50.8 + 41.275 / 2 + $rules['clearance'];
    $document['keepouts'] = [
        ['id' => 'wall', 'type' => 'box', 'centre' => [0, $room + 12, 0], 'size' => [400, 20, 400]],
    ];
    $document['collectors'][0]['inlets'][0]['at'] = [260, 60, -45];
    expect(reasons($document))->toBe([]);
});

it('sees two ports that stand closer than their tubes and the gap', function () {
    $document = SomeSets::document('08-inline-four');
    $document['keepouts'] = [];
    [$first, $second] = [$document['ports'][0], $document['ports'][1]];
    // 41.275 mm of tube and 6 mm of gap between axes at the least.
    $document['ports'][1]['at'] = [$first['at'][0] + 40.0, $first['at'][1], $first['at'][2]];
    $document['ports'][1]['dir'] = $first['dir'];
    $found = array_values(
        array_filter(reasons($document), static fn (Hindrance $one): bool => $one->what === Lack::Gap),
    );
    expect($found)->toHaveCount(1)
        ->and($found[0]->runner)->toBe($first['id'])
        ->and($found[0]->by)->toBe($second['id'])
        ->and($found[0]->amount)->toBeClose(7.275, 0, 1e-6);
});

it('knows that no tube is shorter than the straight line', function () {
    $document = oneTube();
    $across = sqrt(260 ** 2 + 190 ** 2 + 45 ** 2);
    $document['lengths'] = [['runners' => ['1'], 'target' => 300, 'tol_pct' => 1.0]];
    [$reason] = reasons($document);
    expect($reason->what)->toBe(Lack::Length)
        ->and($reason->amount)->toBeClose($across - 303.0, 0, 1e-6);
    $document['lengths'][0]['target'] = 340;
    expect(reasons($document))->toBe([]);
});

it('needs every inlet of a tube closed before it says that the tube has none', function () {
    $document = SomeSets::document('08-inline-four');
    $document['keepouts'] = [];
    $document['collectors'][0]['assignment'] = ['mode' => 'any', 'runners' => ['1', '2', '3', '4']];
    $problem = SomeSets::problem($document);
    $at = $problem->collectors[0]->inlets[0];
    $behind = $at->at->minus($at->direction->times(35));
    $document['keepouts'] = [['id' => 'plate', 'type' => 'box', 'centre' => $behind->toArray(), 'size' => [8, 8, 8]]];
    // So small that it closes one inlet of the four, 44 mm apart; and four tubes need all four.
    $found = reasons($document);
    expect($found)->not->toBe([])->and($found[0]->by)->toBe('plate')->and($found[0]->opens)->toContain('last straight');
    // With a tube less, the other three inlets do.
    $document['collectors'][0]['assignment']['runners'] = ['1', '2', '3'];
    $document['ports'] = array_slice($document['ports'], 0, 3);
    $document['lengths'] = [];
    expect(reasons($document))->toBe([]);
});

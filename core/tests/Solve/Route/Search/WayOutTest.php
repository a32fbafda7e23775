<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Solid\Box;
use UpsweptBead\Core\Base\Geometry\Solid\KeepOut;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Route\Search\SetStatus;
use UpsweptBead\Core\Solve\Route\Search\Span;
use UpsweptBead\Core\Solve\Route\Search\WayOut;
use UpsweptBead\Core\Tests\Support\SomeSets;

/**
 * From the datum along x, far to an inlet off to the side. Tube of 41.275 mm, bends from 50.8 mm, 25.4 mm of straight
 * first.
 */
function alongX(): Span
{
    $document = SomeSets::document('01-two-bends');
    [$document['ports'][0]['at'], $document['ports'][0]['dir']] = [[0, 0, 0], [1, 0, 0]];
    [$document['collectors'][0]['inlets'][0]['at'], $document['collectors'][0]['inlets'][0]['dir']] = [
        [200, 400, 0],
        [0, 1, 0],
    ];

    return SomeSets::span(SomeSets::problem($document));
}

/** A slab square to x whose near face stands so far ahead, over a part of y. */
function slab(string $id, float $ahead, float $fromY, float $toY): Box
{
    return new Box(
        $id,
        new Vector($ahead + 50, ($fromY + $toY) / 2, 0),
        [new Vector(1, 0, 0), new Vector(0, 1, 0), new Vector(0, 0, 1)],
        [50.0, ($toY - $fromY) / 2, 400.0],
    );
}

/**
 * @param  list<KeepOut>  $solids
 * @return array{string, float}|null
 */
function closed(array $solids, float $clearance = 12.0): ?array
{
    return WayOut::closedBy(alongX(), false, $solids, $clearance, M_PI / 2);
}

it('finds a port open that has room ahead', function () {
    expect(closed([]))->toBeNull()->and(closed([slab('wall', 250, -400, 400)]))->toBeNull();
});

it('finds a port closed by a wall nearer than the tightest turn, and by how much', function () {
    // A right angle takes 25.4 + 50.8 mm on the axis, half a tube and the clearance stand before the wall: 108.8 mm in
    // all.
    $need = 25.4 + 50.8 + 41.275 / 2 + 12;
    expect(closed([slab('wall', $need + 1, -400, 400)]))->toBeNull();
    [$id, $by] = closed([slab('wall', $need - 20, -400, 400)]);
    // The cubes cost some mm of what is proved.
    expect($id)->toBe('wall')->and($by)->toBeLessThanOrEqual(20.0)->toBeGreaterThan(10.0);
});

it('finds two that leave a slit too narrow between them to close a port together', function (
    float $slit,
    bool $isClosed,
) {
    $solids = [slab('left', 98, -400, -$slit / 2), slab('right', 98, $slit / 2, 400)];
    // Neither does alone.
    expect(closed([$solids[0]]))->toBeNull()->and(closed([$solids[1]]))->toBeNull();
    $both = closed($solids);
    expect($both !== null)->toBe($isClosed);
})->with([
    // A tube and its clearance to either side need 65.3 mm.
    'half of what it needs' => [32.0, true],
    'more than it needs' => [70.0, false],
]);

it('never calls an end closed that a way was found through', function (string $name) {
    $problem = SomeSets::problem($name);
    $answer = SomeSets::solve($problem, 90);
    expect($answer->status)->toBe(SetStatus::Solved);
    foreach ($answer->ways as $way) {
        foreach ([false, true] as $atInlet) {
            expect(
                WayOut::closedBy($way->span, $atInlet, $problem->keepOuts, $problem->rules->clearanceMm, $way->turning),
            )->toBeNull();
        }
    }
})->with(['05-around-a-box', '22-weld-elbows-five', '23-opposed-four', '24-target-four', '25-tight-at-the-box']);

it('refuses a set of which every way of sharing out the inlets goes through a closed one', function () {
    // A post right before inlet b: each of two tubes could go to a, but one of them has to go to b.
    $document = SomeSets::document('01-two-bends');
    $document['keepouts'] = [];
    $document['ports'] = [
        ['id' => '1', 'at' => [0, 0, 0], 'dir' => [0, 1, 0], 'tube' => 't'],
        ['id' => '2', 'at' => [100, 0, 0], 'dir' => [0, 1, 0], 'tube' => 't'],
    ];
    $document['collectors'][0]['inlets'] = [
        ['id' => 'a', 'at' => [500, 300, 0], 'dir' => [1, 0, 0]],
        ['id' => 'b', 'at' => [500, 420, 0], 'dir' => [1, 0, 0]],
    ];
    $document['collectors'][0]['assignment'] = ['mode' => 'any', 'runners' => ['1', '2']];
    expect(SomeSets::solve(SomeSets::problem($document), 60)->status)->toBe(SetStatus::Solved);
    $document['keepouts'] = [['id' => 'post', 'type' => 'box', 'centre' => [480, 420, 0], 'size' => [20, 30, 30]]];
    $answer = SomeSets::solve(SomeSets::problem($document), 60);
    expect($answer->status)->toBe(SetStatus::Infeasible)
        ->and($answer->reasons[0]->by)->toBe('post')
        ->and($answer->reasons[0]->opens)->toContain('last straight');
});

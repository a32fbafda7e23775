<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Mesh\MeshBuilder;
use UpsweptBead\Core\Base\Geometry\Solid\Box;
use UpsweptBead\Core\Base\Geometry\Solid\MeshSolid;
use UpsweptBead\Core\Solve\Reach\Barrel;
use UpsweptBead\Core\Solve\Reach\FillerRod;
use UpsweptBead\Core\Solve\Reach\Obstacle\Block;
use UpsweptBead\Core\Solve\Reach\Obstacle\Obstacle;
use UpsweptBead\Core\Solve\Reach\Obstacle\Scan;
use UpsweptBead\Core\Solve\Reach\Reach;
use UpsweptBead\Core\Solve\Reach\RoundSeam;
use UpsweptBead\Core\Solve\Reach\Search\StagedPlace;
use UpsweptBead\Core\Solve\Reach\Search\StagedSeam;
use UpsweptBead\Core\Solve\Reach\Search\Tools;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeMeshes;
use UpsweptBead\Core\Tests\Support\SomeReach;

covers(StagedPlace::class);

/**
 * @param  list<Obstacle>  $obstacles
 * @return array<string, list<Obstacle>> by what each is part of
 */
function byName(array $obstacles): array
{
    $groups = [];
    foreach ($obstacles as $one) {
        $groups[$one->solid()->id][] = $one;
    }

    return $groups;
}

it('finds at every stage what the search for all at once finds', function (int $seed) {
    $problem = SomeReach::read(SomeReach::crowded(Some::dice($seed), true));
    assert($problem->seam instanceof RoundSeam && $problem->rod instanceof FillerRod);
    $groups = byName($problem->obstacles);
    $stages = [['own'], ['n0', 'n1'], ['n2', 'wall']];
    $seam = new StagedSeam(new Tools($problem->torch, $problem->rod, $problem->cups), $problem->seam, $groups, $stages, 48);
    $there = [];
    foreach ($stages as $stage => $new) {
        array_push($there, ...array_merge(...array_map(static fn (string $one): array => $groups[$one], $new)));
        foreach ((new Reach($problem->torch, $problem->rod, $there, 48))->round($problem->seam, $problem->cups) as $cup) {
            [$arcs, $share] = $seam->reached($cup->cup->id, $stage);
            expect($arcs)->toEqual($cup->rodArcs)->and($share)->toBeClose($cup->share, 0, 1e-9);
        }
    }
})->with([1, 2, 3, 4, 5, 6, 7, 8]);

it('blames a neighbour that closes some of it by itself, and no other', function (int $seed) {
    $problem = SomeReach::read(SomeReach::crowded(Some::dice($seed), true));
    assert($problem->seam instanceof RoundSeam && $problem->rod instanceof FillerRod);
    $groups = byName($problem->obstacles);
    $cup = $problem->cups[0];
    $share = static fn (string ...$names): float => (new Reach(
        $problem->torch,
        $problem->rod,
        array_merge(...array_map(static fn (string $one): array => $groups[$one], $names)),
        48,
    ))->round($problem->seam, [$cup])[0]->share;
    $seam = new StagedSeam(
        new Tools($problem->torch, $problem->rod, $problem->cups),
        $problem->seam,
        $groups,
        [['own'], ['n0', 'n1', 'n2', 'wall']],
        48,
    );
    foreach (['n0', 'n1', 'n2', 'wall'] as $name) {
        // A place of 48 is two hundredths of the seam; less is only lost between two of them.
        $lost = $share('own') - $share('own', $name);
        if ($lost < 1e-9 || $lost > 0.021) {
            expect($seam->isClosedBy($name, $cup->id, 1))->toBe($lost > 0.021, "$name of $seed");
        }
    }
})->with([1, 2, 3, 4, 5, 6]);

it('never takes a scan to be farther than it is, nor by more than a cup’s radius nearer', function () {
    $dice = Some::dice(77);
    $seen = [true => 0, false => 0];
    for ($i = 0; $i < 120; $i++) {
        $half = [Some::between($dice, 5.0, 30.0), Some::between($dice, 5.0, 30.0), Some::between($dice, 5.0, 30.0)];
        [$at, $axes] = [SomeReach::vector($dice, 30.0), SomeReach::axes($dice)];
        $scan = new Scan(new MeshSolid('scan', MeshBuilder::build(SomeMeshes::box($half)), $at, $axes));
        $block = new Block(new Box('block', $at, $axes, $half));
        [$p, $way] = [SomeReach::vector($dice, 50.0), SomeReach::axes($dice)[0]];
        $radius = Some::between($dice, 4.0, 13.0);
        $barrel = new Barrel($p->x, $p->y, $p->z, $way->x, $way->y, $way->z, 8.0, 40.0, $radius);
        $isClear = $scan->clears($barrel, 1.0);
        $seen[$isClear]++;
        expect($block->clears($barrel, $isClear ? 1.0 - 0.05 : 1.0 + $radius + 0.05))->toBe($isClear);
    }
    expect(min($seen))->toBeGreaterThan(20);
});

<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Solid\Box;
use UpsweptBead\Core\Base\Geometry\Solid\Capsule;
use UpsweptBead\Core\Base\Geometry\Solid\HalfSpace;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Reach\Barrel;
use UpsweptBead\Core\Solve\Reach\Obstacle\Block;
use UpsweptBead\Core\Solve\Reach\Obstacle\Obstacle;
use UpsweptBead\Core\Solve\Reach\Obstacle\Parting;
use UpsweptBead\Core\Solve\Reach\Obstacle\RoundBar;
use UpsweptBead\Core\Solve\Reach\Obstacle\Wall;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeReach;

covers(Parting::class);

/**
 * How near a flat-ended cylinder comes to something, by walking over its skin; no formula but the distance of a point.
 *
 * @param  array{Vector, Vector, Vector}  $axes  the first along the cylinder
 */
function walkedDistance(Obstacle $one, Vector $p, array $axes, float $from, float $to, float $radius): float
{
    $least = INF;
    $at = static function (float $t, float $out, float $turn) use ($one, $p, $axes, &$least): void {
        $x = $p->plus($axes[0]->times($t))->plus($axes[1]->times($out * cos($turn)))->plus($axes[2]->times($out * sin($turn)));
        $least = min($least, $one->solid()->distance($x->x, $x->y, $x->z));
    };
    for ($turn = 0; $turn < 90; $turn++) {
        $rad = $turn * 2 * M_PI / 90;
        for ($k = 0; $k <= 30; $k++) {
            $at($from + ($to - $from) * $k / 30, $radius, $rad);
        }
        for ($k = 0; $k < 6; $k++) {
            $at($from, $radius * $k / 6, $rad);
            $at($to, $radius * $k / 6, $rad);
        }
    }
    // What stands wholly within the cylinder.
    for ($k = 0; $k <= 30; $k++) {
        $at($from + ($to - $from) * $k / 30, 0.0, 0.0);
    }

    return $least;
}

it('says of a cup whether it keeps its gap, as walking over its skin does', function (int $kind) {
    $dice = Some::dice(40 + $kind);
    $seen = [true => 0, false => 0];
    for ($i = 0; $i < 150; $i++) {
        $one = SomeReach::obstacle($dice, $kind);
        $axes = SomeReach::axes($dice);
        $p = SomeReach::vector($dice, 40.0);
        [$from, $radius, $gap] = [Some::between($dice, 4.0, 12.0), Some::between($dice, 4.0, 13.0), Some::between($dice, 0.0, 3.0)];
        $to = $from + Some::between($dice, 10.0, 60.0);
        $isClear = $one->clears(new Barrel($p->x, $p->y, $p->z, $axes[0]->x, $axes[0]->y, $axes[0]->z, $from, $to, $radius), $gap);
        $walked = walkedDistance($one, $p, $axes, $from, $to, $radius);
        expect($isClear ? $walked : $gap)->toBeGreaterThanOrEqual($gap - 0.02)
            // Steps of 2 mm over the skin miss the nearest point by less than this.
            ->and($isClear ? $gap : $walked)->toBeLessThanOrEqual($gap + 0.25);
        $seen[$isClear]++;
    }
    expect(min($seen))->toBeGreaterThan(20);
})->with(['a tube' => 0, 'a plate' => 1, 'a ring' => 2, 'a wall' => 3]);

it('finds a point of the cup itself that is in the way', function (int $kind) {
    $dice = Some::dice(50 + $kind);
    $found = $met = 0;
    for ($i = 0; $i < 400; $i++) {
        $one = SomeReach::obstacle($dice, $kind);
        [$axes, $p] = [SomeReach::axes($dice), SomeReach::vector($dice, 40.0)];
        [$x, $y, $z] = $one->deepest(new Barrel($p->x, $p->y, $p->z, $axes[0]->x, $axes[0]->y, $axes[0]->z, 8.0, 30.0, 9.0));
        $point = (new Vector($x, $y, $z))->minus($p);
        expect($point->dot($axes[0]))->toBeGreaterThan(8.0 - 1e-6)->toBeLessThan(30.0 + 1e-6)
            ->and($point->minus($axes[0]->times($point->dot($axes[0])))->length())->toBeLessThan(9.0 + 1e-6);
        $found += (int) ($one->solid()->distance($x, $y, $z) < 0.0);
        $met += (int) ! $one->clears(new Barrel($p->x, $p->y, $p->z, $axes[0]->x, $axes[0]->y, $axes[0]->z, 8.0, 30.0, 9.0), 0.0);
    }
    // Not always the deepest, but mostly one.
    expect($found)->toBeGreaterThan(20)->toBeGreaterThan(0.8 * $met)->toBeLessThanOrEqual($met);
})->with([0, 1, 2, 3]);

it('measures the flat front of a cup, not a round one', function () {
    // Over a corner of 90 degrees, held midway: the rim is nearest [worked by hand: 10·sin 45° − 8·cos 45° = 1.414].
    $floor = new Wall(new HalfSpace('floor', new Vector(0, 0, 0), new Vector(0, 0, 1)));
    $up = sqrt(0.5);
    expect($floor->clears(new Barrel(0, 0, 0, $up, 0, $up, 10, 30, 8), 1.41))->toBeTrue()
        ->and($floor->clears(new Barrel(0, 0, 0, $up, 0, $up, 10, 30, 8), 1.42))->toBeFalse();
    $plate = new Block(new Box('plate', new Vector(0, 0, -6), [new Vector(1, 0, 0), new Vector(0, 1, 0), new Vector(0, 0, 1)], [60.0, 60.0, 6.0]));
    expect($plate->clears(new Barrel(0, 0, 0, $up, 0, $up, 10, 30, 8), 1.41))->toBeTrue()
        ->and($plate->clears(new Barrel(0, 0, 0, $up, 0, $up, 10, 30, 8), 1.42))->toBeFalse();
    // A bar square across the front of the cup, 5 before it.
    $bar = new RoundBar(new Capsule('bar', new Vector(-50, 0, 0), new Vector(50, 0, 0), 3));
    expect($bar->clears(new Barrel(0, 0, 0, 0, 0, 1, 8, 30, 8), 4.99))->toBeTrue()
        ->and($bar->clears(new Barrel(0, 0, 0, 0, 0, 1, 8, 30, 8), 5.01))->toBeFalse();
});

<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Clearance\LinePair;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Tests\Support\Some;

/** @return array{float, float, float} */
function nearestOf(Vector $p, Vector $u, Vector $q, Vector $v): array
{
    $r = $p->minus($q);

    return LinePair::nearest($u->x, $u->y, $u->z, $v->x, $v->y, $v->z, $r->x, $r->y, $r->z);
}

it('finds the nearest points of known lines', function (array $p, array $u, array $q, array $v, float $distance) {
    [$s, $t, $square] = nearestOf(new Vector(...$p), new Vector(...$u), new Vector(...$q), new Vector(...$v));
    expect(sqrt($square))->toBeClose($distance, 0, 1e-12)
        ->and($s)->toBeGreaterThanOrEqual(0.0)->toBeLessThanOrEqual(1.0)
        ->and($t)->toBeGreaterThanOrEqual(0.0)->toBeLessThanOrEqual(1.0);
})->with([
    'crossing 5 apart' => [[-10, 0, 0], [20, 0, 0], [0, -10, 5], [0, 20, 0], 5.0],
    'meeting' => [[0, 0, 0], [10, 0, 0], [5, -5, 0], [0, 10, 0], 0.0],
    'side by side' => [[0, 0, 0], [10, 0, 0], [2, 3, 4], [10, 0, 0], 5.0],
    'side by side, against each other' => [[0, 0, 0], [10, 0, 0], [12, 3, 4], [-10, 0, 0], 5.0],
    'one behind the other' => [[0, 0, 0], [10, 0, 0], [13, 4, 0], [10, 0, 0], 5.0],
    'end to the middle' => [[0, 0, 0], [10, 0, 0], [20, -5, 0], [0, 10, 0], 10.0],
    'a point and a line' => [[5, 7, 0], [0, 0, 0], [0, 0, 0], [10, 0, 0], 7.0],
    'a line and a point' => [[0, 0, 0], [10, 0, 0], [5, 7, 0], [0, 0, 0], 7.0],
    'two points' => [[0, 0, 0], [0, 0, 0], [0, 3, 4], [0, 0, 0], 5.0],
]);

it('finds no pair of points nearer by trying, and finds its own points that far apart', function (int $seed) {
    $dice = Some::dice($seed);
    [$p, $q] = [Some::vector($dice, 100), Some::vector($dice, 100)];
    [$u, $v] = [Some::vector($dice, 80), Some::vector($dice, 80)];
    [$s, $t, $square] = nearestOf($p, $u, $q, $v);
    expect($p->plus($u->times($s))->distanceTo($q->plus($v->times($t))))->toBeClose(sqrt($square), 0, 1e-9);
    $least = INF;
    for ($i = 0; $i <= 100; $i++) {
        $at = $p->plus($u->times($i / 100));
        // The nearest point of one line is known in closed form; only the other is tried.
        $on = max(0.0, min(1.0, $at->minus($q)->dot($v) / $v->dot($v)));
        $least = min($least, $at->distanceTo($q->plus($v->times($on))));
    }
    expect(sqrt($square))->toBeLessThanOrEqual($least + 1e-9)->toBeGreaterThan($least - $u->length() / 100);
})->with(range(1, 20));

<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Clearance\Chords;
use UpsweptBead\Core\Base\Geometry\Solid\Box;
use UpsweptBead\Core\Base\Geometry\Solid\Capsule;
use UpsweptBead\Core\Base\Geometry\Solid\Cylinder;
use UpsweptBead\Core\Base\Geometry\Solid\KeepOut;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Route\Search\Way;
use UpsweptBead\Core\Solve\Route\Search\WayClearance;
use UpsweptBead\Core\Tests\Support\NodeReference;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeSets;

/** A tube between the ends of the first span with seeded vertices; bends of 50.8 mm, nothing asked of its straights. */
function someWay(int $seed, int $port = 0, int $bends = 2): Way
{
    $document = SomeSets::document('08-inline-four');
    unset($document['collectors'][0]['near']);
    $document['tubes']['t']['od'] = 16;
    $span = SomeSets::span(SomeSets::problem($document), $port, $port);
    $dice = Some::dice($seed);
    $first = $span->port->at->plus($span->port->direction->times(Some::between($dice, 110, 190)));
    $last = $span->inlet->at->minus($span->inlet->direction->times(Some::between($dice, 120, 200)));
    $inner = $first->toArray();
    for ($i = 0; $i < $bends - 2; $i++) {
        $middle = $first->plus($last->minus($first)->times(($i + 1) / ($bends - 1)))->plus(Some::vector($dice, 60));
        array_push($inner, ...$middle->toArray());
    }

    return Way::of($span, [...$inner, ...$last->toArray()], array_fill(0, $bends, 50.8));
}

/** @return array<string, mixed> */
function asMesh(Way $way): array
{
    return ['vertices' => array_chunk($way->vertices, 3), 'radii' => $way->radii, 'od' => $way->span->port->tube->odMm];
}

it('measures a tube to each kind of solid as a mesh library does', function (int $seed) {
    $way = someWay($seed, 0, 2 + ($seed % 2))->cut(Chords::FINE);
    $dice = Some::dice(100 + $seed);
    $u = Some::vector($dice, 1)->unit();
    $v = $u->cross(Some::vector($dice, 1))->unit();
    // Beside some point of the tube, and reaching away from it.
    $at = static function (float $away) use ($dice, $way): array {
        $point = 3 * $dice->getInt(5, count($way->chords()->stations) - 6);
        $out = Some::vector($dice, 1)->unit();

        return [(new Vector(...array_slice($way->chords()->points, $point, 3)))->plus($out->times($away)), $out];
    };
    [[$a], [$b, $w], [$c, $x]] = [$at(75), $at(35), $at(45)];
    $solids = [
        new Box('box', $a, [$u, $v, $u->cross($v)], [30.0, 45.0, 20.0]),
        new Cylinder('cylinder', $b, $b->plus($w->times(120)), 14.0),
        new Capsule('capsule', $c, $c->plus($x->times(140)), 18.0),
    ];
    $asked = [
        [
            'type' => 'box',
            'centre' => $a->toArray(),
            'size' => [60, 90, 40],
            'axes' => [$u->toArray(), $v->toArray(), $u->cross($v)->toArray()],
        ],
        ['type' => 'cylinder', 'from' => $b->toArray(), 'to' => $b->plus($w->times(120))->toArray(), 'radius' => 14],
        ['type' => 'capsule', 'from' => $c->toArray(), 'to' => $c->plus($x->times(140))->toArray(), 'radius' => 18],
    ];
    $gaps = array_map(static fn (KeepOut $solid): float => 900 - WayClearance::solid($way, $solid, 900.0, 0.0), $solids);
    // manifold-3d, meshes of 64 facets: a wall of 48 mm radius lies up to 0.06 mm inside its circle.
    $grown = array_filter($gaps, static fn (float $gap): bool => $gap > 1 && $gap < 40);
    // Grown beyond its bends' radius a tube would fold into itself.
    expect($grown)->not->toBe([]);
    foreach (
        NodeReference::ask('gaps.mjs', [
            'tubes' => [asMesh($way)],
            'solids' => array_values(array_intersect_key($asked, $grown)),
            'gaps' => array_values($grown),
            'within' => 0.25,
        ])['touching'] as [$less, $more]
    ) {
        expect($less)->toBeFalse()->and($more)->toBeTrue();
    }
})->with(range(1, 4));

it('measures a tube to another as a mesh library does', function (int $seed) {
    [$p, $q] = [someWay($seed, 0)->cut(Chords::FINE), someWay($seed + 60, 2, 3)->cut(Chords::FINE)];
    $gap = 900 - WayClearance::pair($p, $q, 900.0, 0.0);
    expect($gap)->toBeGreaterThan(1);
    [[$less, $more]] = NodeReference::ask('gaps.mjs', [
        'tubes' => [asMesh($p), asMesh($q)],
        'gaps' => [$gap],
        'within' => 0.25,
    ])['touching'];
    expect($less)->toBeFalse()->and($more)->toBeTrue();
})->with(range(1, 4));

it('lies as far outside an arc as inside, by what it says of itself', function (float $step, float $within) {
    $way = someWay(3)->cut($step);
    $fine = someWay(3)->cut(0.002);
    $solid = new Capsule('line', new Vector(300, 300, -100), new Vector(320, 310, -90), 5);
    expect(WayClearance::solid($way, $solid, 500, 0))->toBeClose(
        WayClearance::solid($fine, $solid, 500, 0),
        0,
        $within,
    );
})->with(['rough' => [Chords::ROUGH, 0.3], 'coarse' => [Chords::COARSE, 0.15], 'fine' => [Chords::FINE, 0.01]]);

it('does not ask what lies within the exempt ends', function () {
    $way = someWay(1)->cut();
    $port = $way->span->port;
    $across = $port->at->plus($port->direction->times(10));
    $near = static fn (float $exempt): KeepOut => new Box(
        'stud',
        $across,
        [new Vector(1, 0, 0), new Vector(0, 1, 0), new Vector(0, 0, 1)],
        [4.0, 4.0, 4.0],
        2.0,
        $exempt,
    );
    expect(WayClearance::solid($way, $near(0.0), 12, 0))->toBeGreaterThan(10)
        ->and(WayClearance::solid($way, $near(60.0), 12, 0))->toBe(0.0);
});

it('is distance 1 per mm moved, and convex, for every kind of solid', function (KeepOut $solid) {
    $dice = Some::dice(9);
    for ($i = 0; $i < 300; $i++) {
        [$p, $q] = [Some::vector($dice, 120), Some::vector($dice, 120)];
        $middle = $p->plus($q)->times(0.5);
        [$dp, $dq, $dm] = [
            $solid->distance($p->x, $p->y, $p->z),
            $solid->distance($q->x, $q->y, $q->z),
            $solid->distance($middle->x, $middle->y, $middle->z),
        ];
        expect(abs($dp - $dq))->toBeLessThanOrEqual($p->distanceTo($q) + 1e-9)
            ->and($dm)->toBeLessThanOrEqual(($dp + $dq) / 2 + 1e-9);
    }
})->with([
    'box' => [
        new Box(
            'b',
            new Vector(5, 5, 5),
            [new Vector(1, 0, 0), new Vector(0, 1, 0), new Vector(0, 0, 1)],
            [20.0, 30.0, 40.0],
        ),
    ],
    'cylinder' => [new Cylinder('c', new Vector(0, 0, 0), new Vector(40, 10, -20), 15)],
    'capsule' => [new Capsule('k', new Vector(0, 0, 0), new Vector(40, 10, -20), 15)],
]);

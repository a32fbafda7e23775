<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Shop\Practice\RoutingLimits;
use UpsweptBead\Core\Solve\Route\Blocked;
use UpsweptBead\Core\Solve\Route\Constraint;
use UpsweptBead\Core\Solve\Route\RouteRequest;
use UpsweptBead\Core\Solve\Route\Search\Span;
use UpsweptBead\Core\Solve\Route\Search\TwoBends;
use UpsweptBead\Core\Solve\Route\Search\Way;
use UpsweptBead\Core\Solve\Route\TwoBend\NearestMiss;
use UpsweptBead\Core\Solve\Route\TwoBend\TwoBendFamily;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeSets;

function familyOf(Span $span, float $firstClrMm, float $secondClrMm): TwoBendFamily
{
    $request = Some::request(
        Frame::facing($span->port->at, $span->port->direction),
        Frame::facing($span->inlet->at, $span->inlet->direction),
    );

    return new TwoBendFamily($request, $firstClrMm, 170.0, $secondClrMm, 170.0);
}

/**
 * Lengths of the first and the last leg of a way, vertex to vertex.
 *
 * @return array{float, float}
 */
function outerLegs(Way $way): array
{
    [$a, $b, $c, $d] = array_map(static fn (array $xyz): Vector => new Vector(...$xyz), array_chunk($way->vertices, 3));

    return [$a->distanceTo($b), $c->distanceTo($d)];
}

it('is one family for the router and for the search: the same angles, straights and length', function (string $name) {
    $span = SomeSets::span(SomeSets::problem($name));
    $ways = [...TwoBends::onGrid($span), ...TwoBends::ofLength($span, 800.0, [[50.8, 50.8], [76.2, 50.8]])];
    expect(count($ways))->toBeGreaterThan(3);
    foreach ($ways as $way) {
        [$p, $q] = outerLegs($way);
        $legs = familyOf($span, ...$way->radii)->at($p, $q);
        expect($legs)->not->toBeNull()
            ->and($legs->lengthMm)->toBeClose($way->length, 0, 1e-6)
            ->and($legs->firstAngleDeg)->toBeClose(rad2deg($way->angles[0]), 0, 1e-6)
            ->and($legs->secondAngleDeg)->toBeClose(rad2deg($way->angles[1]), 0, 1e-6)
            ->and([$legs->firstMm, $legs->innerMm, $legs->lastMm])
            ->each(fn ($mm, $i) => $mm->toBeClose($way->straights[$i], 0, 1e-6));
    }
})->with(['01-two-bends', '08-inline-four']);

it('finds the legs for a direction of the middle one', function () {
    $span = SomeSets::span(SomeSets::problem('01-two-bends'));
    foreach (TwoBends::onGrid($span) as $way) {
        [$p, $q] = outerLegs($way);
        $legs = familyOf($span, ...$way->radii)->along($way->unit(1));
        expect($legs?->p)->toBeClose($p, 0, 1e-6)->and($legs?->q)->toBeClose($q, 0, 1e-6);
    }
});

it('finds the leg that gives a bend its angle', function (float $angleDeg) {
    $family = familyOf(SomeSets::span(SomeSets::problem('01-two-bends')), 76.2, 76.2);
    foreach ([40.0, 120.0, 260.0] as $other) {
        expect($family->at($family->pFor($angleDeg, $other), $other)?->firstAngleDeg)->toBeClose($angleDeg, 0, 1e-9)
            ->and($family->at($other, $family->qFor($angleDeg, $other))?->secondAngleDeg)
            ->toBeClose($angleDeg, 0, 1e-9);
    }
})->with([30.0, 45.0, 90.0, 120.0]);

it('says which one constraint is in the way, the least first, and that it is enough', function () {
    // 260 mm on and 140 mm aside between parallel ends: two bends of 114.3 mm leave the straights 1.9 mm short.
    $start = Frame::facing(new Vector(0, 0, 0), new Vector(1, 0, 0));
    $end = Frame::facing(new Vector(260, 140, 0), new Vector(1, 0, 0));
    $request = Some::request($start, $end, new RoutingLimits(25.4, 12.7, 25.4));
    $tight = new TwoBendFamily($request, 114.3, 90.0, 114.3, 90.0);
    $wide = new TwoBendFamily($request, 152.4, 90.0, 152.4, 90.0);
    $blocked = NearestMiss::of([$wide, $tight]);
    $by = array_map(static fn (Blocked $one): float => $one->by, $blocked);
    $sorted = $by;
    sort($sorted);
    expect($by)->toBe($sorted)
        ->and($blocked[0]->firstClrMm)->toBe(114.3)
        ->and(array_column($blocked, 'constraint'))
        ->toEqualCanonicalizing([Constraint::FirstStraight, Constraint::LastStraight]);
    foreach ($blocked as $one) {
        // Let go by as much, there is a way; by a little less, there is none.
        foreach ([[$one->by + 0.05, true], [$one->by - 0.05, false]] as [$less, $isOpen]) {
            $eased =
                $one->constraint === Constraint::FirstStraight
                    ? new RoutingLimits(25.4 - $less, 12.7, 25.4)
                    : new RoutingLimits(25.4, 12.7, 25.4 - $less);
            $left = NearestMiss::of([
                new TwoBendFamily(new RouteRequest($start, $end, $request->stock, $eased), 114.3, 90.0, 114.3, 90.0),
            ]);
            expect($one->alone)->toBeTrue()->and($left === [])->toBe($isOpen);
        }
    }
});

it('finds nothing in the way of what can be built', function () {
    $request = Some::request(
        Frame::facing(new Vector(0, 0, 0), new Vector(1, 0, 0)),
        Frame::facing(new Vector(600, 300, 0), new Vector(1, 0, 0)),
    );
    expect(NearestMiss::of([new TwoBendFamily($request, 76.2, 90.0, 76.2, 90.0)]))->toBe([]);
});

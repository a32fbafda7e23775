<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Document\Faults;
use UpsweptBead\Core\Base\Document\Node;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Job\Run\RouteChoice;
use UpsweptBead\Core\Stage\Cut\Piece;
use UpsweptBead\Core\Stage\Layout\WhereItEnds;
use UpsweptBead\Core\Stage\Plan\Growing;
use UpsweptBead\Core\Stage\Plan\GrowthReader;
use UpsweptBead\Core\Stage\Plan\Plan;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Stage\Plan\Turn;
use UpsweptBead\Core\Tests\Support\Some;

const INCH_MM = 25.4;

/** A job with one known end, level to the right at the datum, and an open end that is wherever its pieces end. */
function sprout(?RouteChoice $route = null): Job
{
    $document = Some::document();
    $run = &$document['runs'][0];
    $run['start']['at'] = [0, 0, 0];
    $run['start']['direction'] = [0, 1, 0];
    $run['end'] = [...$run['end'], 'kind' => 'open', 'free' => true];
    unset($run['end']['bolts'], $run['start']['up']);
    $run['route'] = $route === null ? null : JobWriter::route($route);
    $reading = JobReader::fromDecoded($document);

    return $reading->job ?? throw new LogicException((string) json_encode($reading->faults));
}

function grow(Job $job): Growing
{
    return Growing::of($job, Some::shop(), 'A');
}

/** Its first bend of 45° on the tightest radius there is, with the legs it comes with. */
function firstBend(Turn $turn): RouteChoice
{
    return grow(sprout())->bend(tightestMm(), 45.0, $turn, null, null);
}

function tightestMm(): float
{
    return min(array_map(
        static fn ($one): float => $one->clrMm,
        array_filter(Some::shop()->catalogue->bendsFor(sprout()->runs[0]->tubeId), static fn ($one): bool => ! $one->isRing()),
    ));
}

function grown(RouteChoice $route): Plan
{
    return Planner::plan(sprout($route), Some::shop());
}

/** @return list<float> */
function jointsOf(Plan $plan): array
{
    return array_map(static fn (Piece $one): float => round($one->span->toMm, 2), $plan->cut->pieces['A']);
}

it('ends where its pieces end, and is closed there', function () {
    $plan = grown(firstBend(Turn::byDeg(180.0)));
    $routed = $plan->layout->runs[0];
    expect($routed->farEnd->isClosed())->toBeTrue()
        ->and($plan->problems())->toBe([])
        ->and($plan->job->runs[0]->end->frame()->at->distanceTo($routed->run->end()->at))->toBeLessThan(1e-3)
        ->and(JobWriter::toArray($plan->job)['runs'][0]['end']['free'])->toBeTrue();
});

it('turns a bend by the clock: with its inside at 6 the tube goes down, at 3 to whoever looks with the flow on the right', function () {
    // Looking to the right of the vehicle, rearward lies on the right hand.
    $down = grown(firstBend(Turn::byClock(6.0)))->layout->runs[0]->run->end()->forward;
    $rearward = grown(firstBend(Turn::byClock(3.0)))->layout->runs[0]->run->end()->forward;
    expect($down->z)->toEqualWithDelta(-sin(deg2rad(45)), 1e-6)
        ->and($down->y)->toEqualWithDelta(cos(deg2rad(45)), 1e-6)
        ->and($rearward->z)->toEqualWithDelta(0.0, 1e-6)
        ->and(abs($rearward->x))->toEqualWithDelta(sin(deg2rad(45)), 1e-6)
        ->and($rearward->x)->toBeGreaterThan(0.0);
});

it('turns a bend until the tube falls as the angle finder says, to the side that was said', function (float $falls) {
    $one = grown(firstBend(Turn::byFall($falls, false)))->layout->runs[0]->run->end()->forward;
    $other = grown(firstBend(Turn::byFall($falls, true)))->layout->runs[0]->run->end()->forward;
    expect(rad2deg(asin(-$one->z)))->toEqualWithDelta($falls, 0.01)
        ->and(rad2deg(asin(-$other->z)))->toEqualWithDelta($falls, 0.01)
        ->and($one->x)->toEqualWithDelta(-$other->x, 1e-4)
        ->and(abs($one->x))->toBeGreaterThan(0.1);
})->with([0.0, 20.0, -30.0]);

it('says how far a tube can fall behind a bend where it cannot fall so far', function () {
    firstBend(Turn::byFall(60.0, false));
})->throws(DomainException::class, 'the tube falls between -45.0° and 45.0°');

it('turns a bend by marks: a quarter round the tube is 90°', function () {
    $odMm = Some::shop()->catalogue->tube(sprout()->runs[0]->tubeId)->odMm;
    expect(firstBend(Turn::byMarks(M_PI * $odMm / 4))->rows[0]->rotationDeg)->toEqualWithDelta(90.0, 1e-3);
});

it('takes the angle of a bend from two marks along it', function (string $on, float $side) {
    $odMm = Some::shop()->catalogue->tube(sprout()->runs[0]->tubeId)->odMm;
    $faults = new Faults;
    $arcMm = deg2rad(37.0) * (tightestMm() + $side * $odMm / 2);
    $read = (new GrowthReader(UnitSystem::Metric, $odMm))->bend(Node::of(
        ['clr' => tightestMm(), 'angleBy' => $on, 'angle' => $arcMm, 'turnBy' => 'clock', 'turn' => '4:30', 'before' => '', 'after' => '2 in'],
        $faults,
    ));
    expect($faults->all())->toBe([])
        ->and($read['angleDeg'])->toEqualWithDelta(37.0, 1e-9)
        ->and($read['beforeMm'])->toBeNull()
        ->and($read['afterMm'])->toEqualWithDelta(2 * INCH_MM, 1e-9);
})->with([['outside', 1.0], ['inside', -1.0], ['side', 0.0]]);

it('puts piece behind piece, each with the joints it was put on with, and takes the last one off again', function () {
    $first = firstBend(Turn::byDeg(180.0));
    $one = jointsOf(grown($first));
    $second = grow(sprout($first))->leg(200.0);
    $two = jointsOf(grown($second));
    $third = grow(sprout($second))->bend(tightestMm(), 90.0, Turn::byDeg(0.0), null, null);
    $plan = grown($third);
    $three = jointsOf($plan);
    expect($two)->toBe([$one[0], round($one[0] + 200.0, 2)])
        ->and(array_slice($three, 0, 2))->toBe($two)
        ->and($three)->toHaveCount(3)
        ->and($plan->problems())->toBe([])
        ->and($plan->joints->ofRun('A'))->toHaveCount(3);
    $back = grow(sprout($third))->shorter();
    expect(jointsOf(grown($back ?? throw new LogicException)))->toBe($two);
    $back = grow(sprout($back))->shorter();
    expect(jointsOf(grown($back ?? throw new LogicException)))->toBe($one)
        ->and(grow(sprout($back))->shorter())->toBeNull();
});

it('refuses a bend that nobody sells, and legs it does not come with', function (Closure $put, string $why) {
    expect(static fn () => $put())->toThrow(DomainException::class, $why);
})->with([
    'no such radius' => [fn () => grow(sprout())->bend(12.0, 45.0, Turn::byDeg(0.0), null, null), 'No bend of this tube'],
    'too far round' => [fn () => grow(sprout())->bend(tightestMm(), 181.0, Turn::byDeg(0.0), null, null), 'are bought up to'],
    'a leg too long' => [fn () => grow(sprout())->bend(tightestMm(), 45.0, Turn::byDeg(0.0), 900.0, null), 'a straight piece of their own'],
    'no length' => [fn () => grow(sprout())->leg(0.2), 'between'],
    'an end to meet' => [fn () => Growing::of(Some::job(), Some::shop(), 'A'), 'has a far end to meet'],
]);

it('says in words where it ends and where it points', function () {
    $run = grown(firstBend(Turn::byClock(6.0)))->layout->runs[0]->run;
    expect(WhereItEnds::text($run->start, $run->end(), UnitSystem::Metric))
        ->toMatch('/^From its start [\d.]+ mm right, [\d.]+ mm below\. It points to the right, falling 45°\.$/');
    $start = $run->start;
    $at = static fn (Vector $way): string => WhereItEnds::text($start, $start::facing($start->at, $way), UnitSystem::Metric);
    expect($at(new Vector(0, 0, -1)))->toContain('straight down')
        ->and($at(new Vector(1, 0, 0)))->toContain('It points rearward, level')
        ->and($at(new Vector(1, -0.5, 0.2)))->toContain('It points rearward, 27° to the left, rising 10°')
        ->and($at(new Vector(-0.5, -1, 0)))->toContain('It points to the left, 27° forward of it, level');
});

it('takes a bend of wedges on any radius above the tube’s own, and none of more welds than can be', function () {
    $route = grow(sprout())->bend(70.0, 50.0, Turn::byClock(6.0), null, 40.0, 4);
    expect($route->rows[0]->pieWelds)->toBe(4)
        ->and($route->rows[0]->clr->mm)->toBe(70.0)
        ->and(grown($route)->cut->piecesOf('A'))->not->toBe([])
        ->and(fn () => grow(sprout())->bend(20.0, 50.0, Turn::byClock(6.0), null, null, 4))->toThrow(DomainException::class, 'above half the tube')
        ->and(fn () => grow(sprout())->bend(70.0, 50.0, Turn::byClock(6.0), null, null, 90))->toThrow(DomainException::class, '1 to 24 welds');
});

<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Shop\Practice\RoutingLimits;
use UpsweptBead\Core\Solve\Route\Blocked;
use UpsweptBead\Core\Solve\Route\Constraint;
use UpsweptBead\Core\Solve\Route\EndsRelation;
use UpsweptBead\Core\Solve\Route\RouteAnswer;
use UpsweptBead\Core\Solve\Route\RouteAnswers;
use UpsweptBead\Core\Solve\Route\RouteRequest;
use UpsweptBead\Core\Solve\Route\TwoBend\TwoBendRouter;
use UpsweptBead\Core\Solve\Run\Bend;
use UpsweptBead\Core\Solve\Run\FarEnd;
use UpsweptBead\Core\Solve\Run\TubeRun;
use UpsweptBead\Core\Tests\Support\Some;

/** @param  array{float|int, float|int, float|int}  $at
 * @param  array{float|int, float|int, float|int}  $direction */
function facing(array $at, array $direction): Frame
{
    return Frame::facing(new Vector(...$at), new Vector(...$direction));
}

/** @return list<float> the lengths of the best answers, to a tenth of a micrometre */
function lengthsOf(RouteAnswers $answers): array
{
    return array_map(static fn (RouteAnswer $answer): float => round($answer->lengthMm, 4), $answers->answers);
}

it('gives only answers that close, keep the rules and can be cut from stock', function (int $seed) {
    $dice = Some::dice($seed);
    $request = Some::request(
        facing([0, 0, 0], [0, 1, 0]),
        Frame::facing(
            Some::vector($dice, 150)->plus(new Vector(400, 450, -200)),
            Some::vector($dice, 0.8)->plus(new Vector(1, 0, 0)),
        ),
    );
    $answers = TwoBendRouter::solve($request)->answers;
    expect($answers)->not->toBe([]);
    foreach ($answers as $answer) {
        $end = FarEnd::of($answer->run, $request->end);
        expect($end->gapMm)->toBeLessThan(1e-6)
            ->and($end->angleDeg)->toBeLessThan(1e-6)
            ->and($answer->run->bends[0]->straightMm)->toBeGreaterThan(25.4 - 1e-6)
            ->and($answer->run->endStraightMm)->toBeGreaterThan(25.4 - 1e-6)
            ->and(min($answer->run->straightsMm()))->toBeGreaterThan(-1e-6);
        foreach ($answer->run->bends as $bend) {
            expect($bend->angleDeg)->toBeGreaterThan(8 - 1e-6)->toBeLessThan(90 + 1e-6)
                ->and([76.2, 114.3, 152.4])->toContain(round($bend->clrMm, 3));
        }
    }
})->with(range(1, 25));

it('ranks by joints, then bends, then odd angles, then length', function () {
    $ranks = array_map(
        static fn (RouteAnswer $answer): array => $answer->rank(),
        TwoBendRouter::solve(
            Some::request(facing([0, 0, 0], [0.2, 0.9, -0.4]), facing([546, 336, -432], [1, 0, -0.05])),
        )->answers,
    );
    $sorted = $ranks;
    usort($sorted, static fn (array $a, array $b): int => $a <=> $b);
    expect($ranks)->toBe($sorted);
});

it('uses a plain tube where the axes are one, and one bend where they meet', function () {
    expect(
        TwoBendRouter::solve(
            Some::request(facing([0, 0, 0], [1, 0, 0]), facing([300, 0, 0], [1, 0, 0])),
        )->answers[0]->bends(),
    )->toBe(0);
    $best = TwoBendRouter::solve(Some::request(facing([0, 0, 0], [1, 0, 0]), facing([300, 250, 0], [0, 1, 0])))
        ->answers[0];
    expect($best->bends())->toBe(1)
        ->and($best->run->bends[0]->angleDeg)->toBeClose(90.0, 0, 1e-9);
});

it('steps over to a parallel axis with two equal bends', function () {
    $best = TwoBendRouter::solve(Some::request(facing([0, 0, 0], [1, 0, 0]), facing([500, 120, 0], [1, 0, 0])))
        ->answers[0];
    expect($best->bends())->toBe(2)
        ->and($best->run->bends[0]->angleDeg)->toBeClose($best->run->bends[1]->angleDeg, 0, 1e-6)
        ->and($best->run->bends[1]->rotationDeg)->toBeClose(180.0, 0, 1e-6);
});

// Dubins (1957): with bends of one radius and no straights asked for, no plane path of bend–straight–bend is shorter.
it('finds the shortest plane path of Dubins where that theorem applies', function (
    float $x,
    float $y,
    float $headingDeg,
) {
    $rules = new RoutingLimits(0, 0, 0, 0.01, new UpsweptBead\Core\Shop\Practice\AngleGrid(400));
    $stock = array_values(
        array_filter(
            Some::request(facing([0, 0, 0], [1, 0, 0]), facing([1, 0, 0], [1, 0, 0]))->stock,
            static fn ($bend): bool => abs($bend->clrMm - 76.2) < 0.01,
        ),
    );
    $end = facing([$x, $y, 0], [cos(deg2rad($headingDeg)), sin(deg2rad($headingDeg)), 0]);
    $shortest = min(
        array_map(
            static fn (RouteAnswer $answer): float => $answer->lengthMm,
            TwoBendRouter::solve(new RouteRequest(facing([0, 0, 0], [1, 0, 0]), $end, $stock, $rules))->answers,
        ),
    );
    expect($shortest)->toBeClose(dubinsBendStraightBendMm($x, $y, deg2rad($headingDeg), 76.2), 2e-4);
})->with([[400, 150, 60], [500, -200, -45], [450, 200, 0], [380, 260, 80], [600, 90, -30]]);

/**
 * Shortest of LSL, RSR, LSR, RSL by the closed forms of Shkel & Lumelsky (2001), for a start at the origin heading x.
 */
function dubinsBendStraightBendMm(float $x, float $y, float $heading, float $radius): float
{
    $best = INF;
    foreach ([1, -1] as $first) {
        foreach ([1, -1] as $last) {
            [$cx, $cy] = [0.0, $first * $radius];
            [$ex, $ey] = [$x - $last * $radius * sin($heading), $y + $last * $radius * cos($heading)];
            [$distance, $bearing] = [hypot($ex - $cx, $ey - $cy), atan2($ey - $cy, $ex - $cx)];
            if ($first === $last) {
                [$along, $straight] = [$bearing, $distance];
            } elseif ($distance >= 2 * $radius) {
                $straight = sqrt($distance ** 2 - 4 * $radius ** 2);
                $along = $bearing + $first * atan2(2 * $radius, $straight);
            } else {
                continue;
            }
            $turn = static fn (float $from, float $to, int $way): float => fmod(
                fmod($way * ($to - $from), 2 * M_PI) + 2 * M_PI + 1e-12,
                2 * M_PI,
            ) - 1e-12;
            $best = min($best, $radius * ($turn(0, $along, $first) + $turn($along, $heading, $last)) + $straight);
        }
    }

    return $best;
}

it('moves its answers with a rigid motion of the question', function (int $seed) {
    $dice = Some::dice($seed);
    [$at, $direction, $axis] = [
        new Vector(420, 380, -250),
        Some::vector($dice, 0.5)->plus(new Vector(1, 0.3, 0)),
        Some::vector($dice, 1)->unit(),
    ];
    $move = static fn (Vector $vector): Vector => $vector->turnedAbout($axis, 40 * $seed);
    $still = TwoBendRouter::solve(Some::request(facing([0, 0, 0], [0, 1, 0]), Frame::facing($at, $direction)));
    $moved = TwoBendRouter::solve(
        Some::request(
            Frame::facing(new Vector(50, 60, 70), $move(new Vector(0, 1, 0))),
            Frame::facing($move($at)->plus(new Vector(50, 60, 70)), $move($direction)),
        ),
    );
    foreach (array_slice(lengthsOf($still), 0, 20) as $i => $length) {
        expect(lengthsOf($moved)[$i])->toBeClose($length, 0, 2e-3);
    }
})->with(range(1, 6));

it('gives the mirrored answer to the mirrored question', function () {
    $answers = TwoBendRouter::solve(
        Some::request(facing([0, 0, 0], [0, 1, 0]), facing([420, 380, -250], [1, 0.3, -0.2])),
    );
    $mirrored = TwoBendRouter::solve(
        Some::request(facing([0, 0, 0], [0, 1, 0]), facing([-420, 380, -250], [-1, 0.3, -0.2])),
    );
    foreach (array_slice($answers->answers, 0, 20) as $i => $answer) {
        expect($mirrored->answers[$i]->lengthMm)->toBeClose($answer->lengthMm, 0, 2e-3);
        $turn = static fn (RouteAnswer $one): float => $one->run->bends[1]->rotationDeg;
        expect($turn($mirrored->answers[$i]))->toBeClose(-$turn($answer), 0, 1e-3);
    }
});

it('answers the open route problem of two skew axes that one bend cannot join', function () {
    // The trade's usual header bends: 1 5/8 in tube on 2 and 3 in radii.
    $rules = new RoutingLimits(25.4, 0, 50.8);
    $stock = array_map(
        static fn (array $bend) => new UpsweptBead\Core\Shop\Stock\BendStock(
            "b$bend[0]-$bend[1]",
            't',
            $bend[0],
            $bend[1],
            $bend[0],
            $bend[0],
            UpsweptBead\Core\Base\Reason\Source::trade(),
        ),
        [[50.8, 135], [76.2, 90]],
    );
    $answers = TwoBendRouter::solve(
        new RouteRequest(facing([0, 0, 0], [0, 1, 0]), facing([260, 190, -45], [1, 0, 0]), $stock, $rules),
    );
    expect($answers->answers[0]->bends())->toBe(2)
        ->and($answers->blocked)->toBe([]);
});

it('says no with the constraint that blocks and by how much: giving way by that much opens it', function (
    array $at,
    array $direction,
    Constraint $constraint,
) {
    [$start, $end] = [facing([0, 0, 0], [0, 1, 0]), facing($at, $direction)];
    $answers = TwoBendRouter::solve(Some::request($start, $end));
    $blocked = array_values(
        array_filter($answers->blocked, static fn (Blocked $one): bool => $one->constraint === $constraint),
    )[0];
    expect($answers->answers)->toBe([])->and($blocked->alone)->toBeTrue();
    $opened = new RoutingLimits(
        25.4 - ($constraint === Constraint::FirstStraight ? $blocked->by + 0.02 : 0),
        0,
        25.4 - ($constraint === Constraint::LastStraight ? $blocked->by + 0.02 : 0),
    );
    expect(TwoBendRouter::solve(Some::request($start, $end, $opened))->answers)->not->toBe([]);
})->with([
    'the end too close' => [[100, 110, 0], [1, 0, 0], Constraint::LastStraight],
    'the start too close' => [[110, 90, 0], [1, 0, 0], Constraint::FirstStraight],
]);

it('names all that would have to give way where no one thing is enough', function () {
    $blocked = TwoBendRouter::solve(Some::request(facing([0, 0, 0], [0, 1, 0]), facing([60, 80, -30], [1, 0, 0])))
        ->blocked;
    expect(count($blocked))->toBeGreaterThan(1)
        ->and($blocked[0]->alone)->toBeFalse()
        ->and($blocked[0]->by)->toBeLessThanOrEqual($blocked[1]->by);
});

it('blames the angle the bends are bought to when that is what is missing', function () {
    // Back past the start and across: more than two right angles of turning, in one plane.
    $blocked = TwoBendRouter::solve(
        Some::request(facing([0, 0, 0], [0, 1, 0]), facing([400, -300, 0], [-0.5, -0.866, 0])),
    )->blocked;
    expect(
        array_filter($blocked, static fn (Blocked $one): bool => $one->alone && $one->constraint->isAngle()),
    )->not->toBe([]);
});

it('does not blame a constraint by less than it takes', function () {
    [$start, $end] = [facing([0, 0, 0], [0, 1, 0]), facing([100, 110, 0], [1, 0, 0])];
    $blocked = TwoBendRouter::solve(Some::request($start, $end))->blocked[0];
    expect($blocked->alone)->toBeTrue()->and($blocked->constraint)->toBe(Constraint::LastStraight);
    $almost = new RoutingLimits(25.4, 0, 25.4 - 0.9 * $blocked->by);
    expect(TwoBendRouter::solve(Some::request($start, $end, $almost))->answers)->toBe([]);
});

it('says that there is no stock where there is none', function () {
    $answers = TwoBendRouter::solve(
        new RouteRequest(facing([0, 0, 0], [0, 1, 0]), facing([300, 300, 0], [1, 0, 0]), [], new RoutingLimits()),
    );
    expect($answers->blocked[0]->constraint)->toBe(Constraint::Stock);
});

it('says beforehand how two ends lie to each other', function (
    array $at,
    array $direction,
    float $turnDeg,
    float $missMm,
    int $leastBends,
) {
    $relation = EndsRelation::of(facing([0, 0, 0], [1, 0, 0]), facing($at, $direction));
    expect($relation->turnDeg)->toBeClose($turnDeg, 0, 1e-9)
        ->and($relation->missMm)->toBeClose($missMm, 0, 1e-9)
        ->and($relation->leastBends)->toBe($leastBends);
})->with([
    'one axis' => [[300, 0, 0], [1, 0, 0], 0, 0, 0],
    'side by side' => [[300, 40, 0], [1, 0, 0], 0, 40, 2],
    'axes that meet ahead' => [[300, 250, 0], [0, 1, 0], 90, 0, 1],
    'axes that meet behind' => [[-300, 250, 0], [0, 1, 0], 90, 0, 2],
    'axes that pass each other' => [[300, 250, 45], [0, 1, 0], 90, 45, 2],
]);

it('says what an answer gives up against the best of the others', function () {
    $run = Some::run(Some::dice(1), 1);
    $best = new RouteAnswer($run, 4, 0, 800);
    expect($best->givesUp([$best]))->toBe([])
        ->and((new RouteAnswer($run, 6, 1, 1000))->givesUp([$best]))
        ->toBe(['2 more joints', '1 odd angle', '25 % longer'])
        ->and((new RouteAnswer($run, 4, 0, 810))->givesUp([$best]))->toBe([]);
});

it('prefers what is on the shelf where all else is equal, then the wider radius', function () {
    // The same offset with either radius: two bends of 45° in a plane, lengths within a millimetre by the straights
    // between.
    $bend = static fn (float $clrMm): TubeRun => new TubeRun(
        facing([0, 0, 0], [1, 0, 0]),
        [new Bend(50, 0, 45, $clrMm)],
        50,
    );
    $tight = new RouteAnswer($bend(50.8), 3, 0, 400.2);
    $wide = new RouteAnswer($bend(76.2), 3, 0, 400.4);
    $bought = new RouteAnswer($bend(76.2), 3, 0, 400.1, ['B-R3-45' => 1]);
    $ranked = [$bought, $tight, $wide];
    usort($ranked, static fn (RouteAnswer $a, RouteAnswer $b): int => $a->rank() <=> $b->rank());
    expect($ranked)->toBe([$wide, $tight, $bought]);
});

it('counts what a way takes against the shelf', function () {
    $start = facing([0, 0, 0], [0, 1, 0]);
    $end = facing([300, 300, 0], [1, 0, 0]);
    $stock = Some::request($start, $end)->stock;
    $none = TwoBendRouter::solve(new RouteRequest($start, $end, $stock, new RoutingLimits()))->answers[0];
    expect($none->toBuy)->not->toBe([]);
    $all = TwoBendRouter::solve(
        new RouteRequest($start, $end, $stock, new RoutingLimits(), array_fill_keys(array_keys($none->toBuy), 9)),
    )->answers;
    $same = array_values(
        array_filter($all, static fn (RouteAnswer $one): bool => serialize($one->run) === serialize($none->run)),
    )[0];
    expect($same->toBuy)->toBe([]);
});

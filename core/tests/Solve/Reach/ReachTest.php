<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Solid\KeepOut;
use UpsweptBead\Core\Exchange\Files\ReachProblem;
use UpsweptBead\Core\Solve\Reach\Arcs;
use UpsweptBead\Core\Solve\Reach\Barrel;
use UpsweptBead\Core\Solve\Reach\Cup;
use UpsweptBead\Core\Solve\Reach\FillerRod;
use UpsweptBead\Core\Solve\Reach\Reach;
use UpsweptBead\Core\Solve\Reach\RoundSeam;
use UpsweptBead\Core\Solve\Reach\SeamPlace;
use UpsweptBead\Core\Solve\Reach\Search\RodPoses;
use UpsweptBead\Core\Solve\Reach\Search\TorchPoses;
use UpsweptBead\Core\Solve\Reach\Search\TorchReach;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeReach;

covers(Arcs::class, TorchReach::class, RodPoses::class, TorchPoses::class);

/** @return array{float, float, float} so much along each of a place's own directions */
function along(SeamPlace $at, float $onN, float $onB, float $onT): array
{
    return [
        $onN * $at->nx + $onB * $at->bx + $onT * $at->tx,
        $onN * $at->ny + $onB * $at->by + $onT * $at->ty,
        $onN * $at->nz + $onB * $at->bz + $onT * $at->tz,
    ];
}

/**
 * Whether a rod comes too near to something, by the distance of places 1 mm apart along it.
 *
 * @param  array{float, float, float}  $way
 */
function isHit(KeepOut $solid, SeamPlace $at, array $way, FillerRod $rod): bool
{
    for ($t = $rod->startMm; $t <= $rod->startMm + $rod->lengthMm; $t++) {
        if ($solid->distance($at->px + $t * $way[0], $at->py + $t * $way[1], $at->pz + $t * $way[2]) < $rod->radiusMm + $rod->gapMm) {
            return true;
        }
    }

    return false;
}

function rodIsFree(ReachProblem $problem, FillerRod $rod, SeamPlace $at, int $sense): bool
{
    foreach ($rod->riseRad as $e) {
        foreach ($rod->sideRad as $z) {
            $r = along($at, sin($e), sin($z) * cos($e), $sense * cos($z) * cos($e));
            $hit = array_filter($problem->obstacles, static fn ($one): bool => isHit($one->solid(), $at, $r, $rod));
            if ($hit === []) {
                return true;
            }
        }
    }

    return false;
}

function torchIsFree(ReachProblem $problem, Cup $cup, SeamPlace $at, int $sense): bool
{
    [$torch, $end] = [$problem->torch, $cup->endMm()];
    foreach ($torch->workRad as $w) {
        foreach ($torch->travelRad as $v) {
            $a = along($at, cos($w) * cos($v), sin($w) * cos($v), -$sense * sin($v));
            $hit = array_filter($problem->obstacles, static fn ($one): bool => ! $one->clears(new Barrel($at->px, $at->py, $at->pz, $a[0], $a[1], $a[2], $cup->stickOutMm, $end, $cup->radiusMm), $torch->gapMm)
                || ! $one->clears(new Barrel($at->px, $at->py, $at->pz, $a[0], $a[1], $a[2], $end, $end + $torch->bodyLengthMm, $torch->bodyRadiusMm), $torch->gapMm));
            if ($hit === []) {
                return true;
            }
        }
    }

    return false;
}

/** Every pose tried, one after the other, against everything that stands there. */
function anyPoseIsFree(ReachProblem $problem, Cup $cup, SeamPlace $at, bool $isFed): bool
{
    foreach ($problem->torch->senses as $sense) {
        if (torchIsFree($problem, $cup, $at, $sense) && (! $isFed || $problem->rod === null || rodIsFree($problem, $problem->rod, $at, $sense))) {
            return true;
        }
    }

    return false;
}

/**
 * @param  list<array{float, float}>  $arcs
 * @return bool|null null within so many degrees of an arc's end
 */
function isWithinArcs(array $arcs, float $deg, float $slackDeg): ?bool
{
    if ($arcs === [[0.0, 360.0]]) {
        return true;
    }
    foreach ($arcs as [$from, $to]) {
        foreach ([$deg, $deg + 360] as $at) {
            if (min(abs($at - $from), abs($at - $to), abs($at - 360 - $to)) < $slackDeg) {
                return null;
            }
            if ($at > $from && $at < $to) {
                return true;
            }
        }
    }

    return false;
}

it('answers the shipped problems as they are answered there, within 2°', function (string $name) {
    $right = SomeReach::shipped($name, 'answers/');
    $answer = SomeReach::answer(SomeReach::shipped($name));
    expect([$answer['status'], $answer['smallest_usable'] ?? null, $answer['largest_usable'] ?? null])
        ->toBe([$right['status'], $right['smallest_usable'] ?? null, $right['largest_usable'] ?? null])
        ->and($answer['reasons'][0]['by'] ?? null)->toBe($right['reasons'][0]['by'] ?? null);
    foreach ($right['cups'] ?? [] as $i => $cup) {
        expect($answer['cups'][$i]['id'])->toBe($cup['id'])->and(count($answer['cups'][$i]['arcs']))->toBe(count($cup['arcs']));
        foreach ($cup['arcs'] as $k => $arc) {
            expect($answer['cups'][$i]['arcs'][$k][0])->toEqualWithDelta($arc[0], 2)->and($answer['cups'][$i]['arcs'][$k][1])->toEqualWithDelta($arc[1], 2);
        }
    }
})->with(['r04-flange-fillet', 'r10-one-block-hides-all']);

it('finds what trying every pose at every place finds', function (int $seed, bool $hasRod) {
    $problem = SomeReach::read(SomeReach::crowded(Some::dice($seed), $hasRod));
    assert($problem->seam instanceof RoundSeam);
    $seen = [];
    foreach ((new Reach($problem->torch, $problem->rod, $problem->obstacles))->round($problem->seam, $problem->cups) as $cup) {
        for ($deg = 1.0; $deg < 360; $deg += 7) {
            $isIn = isWithinArcs($cup->rodArcs ?? $cup->arcs, $deg, 2);
            if ($isIn !== null) {
                expect(anyPoseIsFree($problem, $cup->cup, $problem->seam->at(deg2rad($deg)), $hasRod))->toBe($isIn);
                $seen[$isIn ? 'in' : 'out'] = true;
            }
        }
    }
    expect($seen)->not->toBe([]);
})->with([1, 2, 3, 4, 5, 6])->with(['torch alone' => false, 'torch and rod' => true]);

it('gets into a fillet as far as the rim of the cup lets it', function (float $radius, float $stickOut, float $workDeg) {
    // Flange below, the tube's own wall above it: held midway and tilted by the work angle, the rim keeps stick-out ·
    // sin(45° ± tilt) − radius · cos(45° ± tilt) from flange and wall [worked by hand; the wall taken flat].
    $keeps = static fn (float $deg): float => $stickOut * sin(deg2rad($deg)) - $radius * cos(deg2rad($deg));
    $problem = [
        'format' => 'reach-problem/1', 'name' => 'fillet',
        'seam' => ['kind' => 'points', 'points' => [['at' => [0, 0, 0], 'normal' => [1, 0, 1], 'tangent' => [0, 1, 0]]]],
        'torch' => ['body_radius' => 1, 'body_length' => 70, 'gap' => 1, 'work_deg' => $workDeg, 'travel_deg' => 0],
        'cups' => [['id' => 'c', 'radius' => $radius, 'length' => 24, 'stick_out' => $stickOut]],
        'neighbours' => [
            ['id' => 'flange', 'type' => 'halfspace', 'point' => [0, 0, 0], 'normal' => [0, 0, 1]],
            ['id' => 'tube', 'type' => 'halfspace', 'point' => [0, 0, 0], 'normal' => [1, 0, 0]],
        ],
    ];
    $isFree = min($keeps(45 + $workDeg), $keeps(45 - $workDeg)) >= 1;
    expect(SomeReach::answer($problem)['status'])->toBe($isFree ? 'solved' : 'refused');
})->with([[5, 8, 0], [6.5, 8, 0], [6.5, 8, 10], [9.5, 10, 0], [8, 10, 0], [8, 10, -5], [5, 8, 20], [5, 8, 12]]);

it('loses reach as the gap grows and as more stands there, and never gains it', function (int $seed) {
    $problem = SomeReach::crowded(Some::dice($seed));
    $shares = static function (array $problem): array {
        $read = SomeReach::read($problem);
        assert($read->seam instanceof RoundSeam);

        return array_map(static fn ($one): float => $one->share, (new Reach($read->torch, null, $read->obstacles))->round($read->seam, $read->cups));
    };
    $all = $shares($problem);
    $wider = $shares(array_replace_recursive($problem, ['torch' => ['gap' => 5]]));
    $fewer = $shares([...$problem, 'neighbours' => array_slice($problem['neighbours'], 0, 3)]);
    $alone = $shares([...$problem, 'neighbours' => []]);
    foreach ($all as $i => $share) {
        // Ends are found to an eighth of a degree.
        expect($wider[$i])->toBeLessThanOrEqual($share + 0.003)->and($fewer[$i])->toBeGreaterThanOrEqual($share - 0.003)->and($alone[$i])->toBe(1.0);
    }
})->with([11, 12, 13]);

it('knows nothing of where the bench stands: turned and moved as a whole, the arcs are the same', function () {
    $problem = SomeReach::crowded(Some::dice(21));
    // z becomes x, x becomes y, y becomes z, all moved by the same.
    $turn = static fn (array $v): array => [$v[2], $v[0], $v[1]];
    $move = static fn (array $v): array => [$v[2] + 100, $v[0] - 50, $v[1] + 7];
    $moved = $problem;
    $moved['seam'] = [...$problem['seam'], 'centre' => $move([0, 0, 0]), 'axis' => $turn([0, 0, 1]), 'zero' => $turn([1, 0, 0])];
    $moved['neighbours'] = array_map(static fn (array $one): array => [
        ...$one,
        ...(isset($one['points']) ? ['points' => array_map($move, $one['points'])] : []),
        ...(isset($one['centre']) ? ['centre' => $move($one['centre']), 'axes' => array_map($turn, $one['axes'])] : []),
        ...(isset($one['point']) ? ['point' => $move($one['point']), 'normal' => $turn($one['normal'])] : []),
    ], $problem['neighbours']);
    expect(SomeReach::answer($moved)['cups'])->toBe(SomeReach::answer($problem)['cups']);
});

it('wants one sense of travel for torch and rod: where the rod goes the torch must not lean', function () {
    $problem = [
        'format' => 'reach-problem/1', 'name' => 'one sense',
        'seam' => ['kind' => 'points', 'points' => [['at' => [0, 0, 0], 'normal' => [0, 0, 1], 'tangent' => [1, 0, 0]], ['at' => [-200, 0, 0], 'normal' => [0, 0, 1], 'tangent' => [1, 0, 0]]]],
        'torch' => ['body_radius' => 8, 'body_length' => 60, 'gap' => 1, 'work_deg' => 0, 'travel_deg' => 20],
        'cups' => [['id' => 'c', 'radius' => 6, 'length' => 24, 'stick_out' => 8]],
        'rod' => ['radius' => 1, 'start' => 6, 'length' => 80, 'gap' => 1, 'rise_deg' => 15, 'side_deg' => 0],
        // Ahead of the first place: the rod runs into it going with the seam, the torch leaning over it going against.
        'neighbours' => [['id' => 'block', 'type' => 'box', 'centre' => [30, 0, 40], 'size' => [30, 80, 80]]],
    ];
    $cup = SomeReach::answer($problem)['cups'][0];
    expect($cup['arcs'])->toBe([[0.0, 1.0]])->and($cup['rod_arcs'])->toBe([[1.0, 1.0]]);
});

it('names the neighbour to take away, where one alone is in the way', function () {
    $problem = SomeReach::shipped('r10-one-block-hides-all');
    $problem['neighbours'][] = ['id' => 'far off', 'type' => 'halfspace', 'point' => [0, 0, -500], 'normal' => [0, 0, 1]];
    expect(SomeReach::answer($problem)['reasons'][0]['by'])->toBe('heat-sink');
    $problem['neighbours'][] = [...$problem['neighbours'][1], 'id' => 'another'];
    expect(SomeReach::answer($problem)['reasons'][0]['by'])->toBeIn(['own', 'heat-sink', 'far off', 'another']);
});

it('calls a cup usable that gets to as much as is needed, and names the least and the largest', function (float $needPct, ?string $least, ?string $largest) {
    $problem = [...SomeReach::shipped('r04-flange-fillet'), 'need_percent' => $needPct];
    $answer = SomeReach::answer($problem);
    expect([$answer['smallest_usable'], $answer['largest_usable']])->toBe([$least, $largest]);
})->with([[95, '10', '19'], [97, '13', '13'], [100, null, null]]);

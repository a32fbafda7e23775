<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Merge\Collector\BentCollector;
use UpsweptBead\Core\Solve\Merge\Collector\LeaningTube;
use UpsweptBead\Core\Solve\Merge\Collector\MergeBend;
use UpsweptBead\Core\Solve\Merge\Collector\StraightCollector;
use UpsweptBead\Core\Tests\Support\NodeReference;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeMerges;

covers(LeaningTube::class, MergeBend::class, StraightCollector::class, BentCollector::class);

/**
 * @param  callable(int): array<string, mixed>  $make
 * @return list<array{array<string, mixed>, array<string, mixed>}> solved problems with their answers, the outlet by its plane
 */
function solvedMerges(callable $make, int $count): array
{
    $solved = [];
    for ($seed = 1; count($solved) < $count && $seed < 20 * $count; $seed++) {
        $problem = $make($seed);
        $answer = SomeMerges::answer($problem);
        if ($answer['status'] === 'solved') {
            $solved[] = [[...$problem, 'outlet' => ['plane' => $answer['outlet']['plane'] ?? 0.0]], $answer];
        }
    }

    return $solved;
}

/**
 * A pair of equal tubes, the plainest collector there is.
 *
 * @param  array<string, mixed>  $change
 * @return array<string, mixed>
 */
function pairOfTubes(array $change = []): array
{
    return [
        'format' => 'merge-problem/1', 'case' => 'pair', 'kind' => 'collector-straight', 'half_angle' => 10, 'inlet_radius' => 28,
        'tubes' => [['id' => 'A', 'od' => 44.45, 'wall' => 1.65], ['id' => 'B', 'od' => 44.45, 'wall' => 1.65]],
        'outlet' => ['plane' => 120], 'psi' => [0, 90, 180, 270],
        ...$change,
    ];
}

/**
 * @param  array<string, mixed>  $problem
 * @return array<string, mixed> the only reason of a refusal
 */
function refusedFor(array $problem): array
{
    $answer = SomeMerges::answer($problem);
    expect($answer['status'])->toBe('refused')->and($answer['reasons'])->toHaveCount(1);

    return $answer['reasons'][0];
}

// The tubes as solids: a point walks along one until it lies deeper in another, with no formula of a cut line.
it('cuts every tube where the solids themselves meet', function (callable $make, int $count) {
    $solved = solvedMerges($make, $count);
    expect($solved)->toHaveCount($count);
    $found = NodeReference::ask('merge-cuts.mjs', array_column($solved, 0));
    foreach ($solved as $i => [$problem, $answer]) {
        foreach ($answer['tubes'] as $k => $tube) {
            foreach ($tube['table'] as $j => $row) {
                $reference = $found[$i][$k][$j];
                expect($row['s'])->toBeClose($reference['s'], 0, 0.01);
                if (isset($row['s_inside'])) {
                    expect($row['s_inside'])->toBeClose($reference['s_inside'], 0, 0.01);
                }
            }
        }
    }
})->with([
    'equal straight tubes' => [fn (int $seed): array => SomeMerges::straight(Some::dice($seed), true), 6],
    'unequal straight tubes' => [fn (int $seed): array => SomeMerges::straight(Some::dice(100 + $seed), false), 6],
    'bent tubes' => [fn (int $seed): array => SomeMerges::bent(Some::dice($seed)), 6],
]);

// manifold-3d, an independent library of solids: the union of the tubes, sliced across.
it('has its seams where a mesh library has the creases of the joined tubes', function (bool $isEven) {
    foreach (solvedMerges(fn (int $seed): array => SomeMerges::straight(Some::dice(40 + $seed), $isEven), 1) as [$problem, $answer]) {
        $count = count($problem['tubes']);
        $tubes = $expected = [];
        $plane = $answer['outlet']['plane'];
        $heights = [0.7 * $plane, 0.85 * $plane];
        foreach ($problem['tubes'] as $i => $tube) {
            $turn = 2 * M_PI * $i / $count;
            $lean = deg2rad($tube['half_angle'] ?? $problem['half_angle']);
            $at = static fn (float $s): array => [
                ($problem['inlet_radius'] - $s * sin($lean)) * cos($turn),
                ($problem['inlet_radius'] - $s * sin($lean)) * sin($turn),
                $s * cos($lean),
            ];
            $tubes[] = ['od' => $tube['od'], 'from' => $at(-60.0), 'to' => $at($plane + 100.0)];
        }
        $corners = NodeReference::ask('merge-slice.mjs', ['tubes' => $tubes, 'heights' => $heights]);
        // Our line of the first tube, finely, as places in space.
        $fine = SomeMerges::answer([...$problem, 'psi' => array_map(static fn (int $i): float => $i / 10, range(0, 3599))]);
        $lean = deg2rad($problem['tubes'][0]['half_angle'] ?? $problem['half_angle']);
        $radius = $problem['tubes'][0]['od'] / 2;
        foreach ($heights as $h => $height) {
            expect($corners[$h])->not->toBe([]);
            [$before, $met] = [null, 0];
            foreach ($fine['tubes'][0]['table'] as ['psi' => $deg, 's' => $s]) {
                $psi = deg2rad($deg);
                $point = [
                    $problem['inlet_radius'] - $s * sin($lean) + $radius * cos($psi) * cos($lean),
                    $radius * sin($psi),
                    $s * cos($lean) + $radius * cos($psi) * sin($lean),
                ];
                if ($before !== null && ($before[2] - $height) * ($point[2] - $height) < 0.0 && $point[2] < $plane - 0.01) {
                    $share = ($height - $before[2]) / ($point[2] - $before[2]);
                    $x = $before[0] + $share * ($point[0] - $before[0]);
                    $y = $before[1] + $share * ($point[1] - $before[1]);
                    $nearest = min(array_map(static fn (array $one): float => hypot($one[0] - $x, $one[1] - $y), $corners[$h]));
                    expect($nearest)->toBeLessThan(0.05);
                    $met++;
                }
                $before = $point;
            }
            expect($met)->toBeGreaterThan(0);
        }
    }
})->with(['equal tubes' => true, 'unequal tubes' => false]);

it('answers the shipped problems as they are answered there', function (string $name) {
    $answer = SomeMerges::answer(SomeMerges::shipped($name));
    $expected = SomeMerges::shipped($name, 'answers/');
    $walk = function (mixed $is, mixed $should, string $place) use (&$walk): void {
        if (is_array($should)) {
            foreach ($should as $key => $one) {
                $walk($is[$key] ?? null, $one, "$place.$key");
            }
        } elseif (is_numeric($should)) {
            // Lengths of lines are sums of chords.
            expect($is)->toBeClose((float) $should, 1e-4, 1e-4);
        } else {
            expect($is)->toBe($should, $place);
        }
    };
    $walk($answer, $expected, $name);
})->with(['03-straight-4', '10-bent-4-run-on', '16-saddle-60-offset', '23-piecut-check', '31-no-overlap-straight']);

it('does not depend on which tube is named first, nor on the side it is seen from', function () {
    foreach (solvedMerges(fn (int $seed): array => SomeMerges::straight(Some::dice(200 + $seed), false), 4) as [$problem, $answer]) {
        $turned = $problem;
        $turned['tubes'] = [...array_slice($problem['tubes'], 1), $problem['tubes'][0]];
        $again = SomeMerges::answer($turned);
        $mirrored = $problem;
        $mirrored['tubes'] = array_reverse($problem['tubes']);
        $seen = SomeMerges::answer($mirrored);
        $count = count($problem['tubes']);
        foreach ($answer['tubes'] as $i => $tube) {
            foreach ($tube['table'] as $j => $row) {
                expect($again['tubes'][($i + $count - 1) % $count]['table'][$j]['s'])->toBeClose($row['s'], 0, 1e-5)
                    ->and($seen['tubes'][$count - 1 - $i]['table'][(36 - $j) % 36]['s'])->toBeClose($row['s'], 0, 1e-5);
            }
        }
        expect(array_sum(array_column($seen['seams'], 'length')))->toBeClose(array_sum(array_column($answer['seams'], 'length')), 1e-4);
    }
});

// Two equal tubes meet in one plane: half an ellipse on each side of the corner.
it('has the seam of two tubes as one plane curve', function () {
    $answer = SomeMerges::answer(pairOfTubes());
    expect($answer['seams'])->toHaveCount(1)
        ->and($answer['seams'][0]['length'])->toBeClose(188.616, 1e-4)
        ->and($answer['outlet']['diameter'])->toBeClose(58.8172, 0, 1e-3)
        ->and($answer['outlet_edge'])->toBeClose(168.510, 1e-4);
});

it('tells the outlet by its plane or by its width, and one gives the other', function () {
    foreach ([pairOfTubes(), SomeMerges::shipped('10-bent-4-run-on')] as $problem) {
        $answer = SomeMerges::answer($problem);
        foreach ([['plane' => $answer['outlet']['plane']], ['diameter' => $answer['outlet']['diameter']]] as $outlet) {
            $again = SomeMerges::answer([...$problem, 'outlet' => $outlet]);
            expect($again['outlet']['plane'])->toBeClose($answer['outlet']['plane'], 0, 1e-3)
                ->and($again['outlet']['diameter'])->toBeClose($answer['outlet']['diameter'], 0, 1e-3);
        }
    }
});

it('saws a quarter twice, the pipe turned by a little more than a right angle between', function () {
    $four = [
        ...SomeMerges::shipped('03-straight-4'), 'kind' => 'collector-quarters', 'half_angle' => 10, 'blank' => 200.0,
        'outlet' => ['diameter' => 76.2],
    ];
    $answer = SomeMerges::answer($four);
    [$first, $second] = $answer['cuts'];
    // The handbook: 90.9° for four at 10°.
    expect($second['psi'] - $first['psi'])->toBeClose(90.9, 0, 0.05)
        ->and($first['start'])->toBe($second['start'])
        ->and($second['angle'])->toBe($first['angle']);
    // The plane again, through three places of the seam on one side: how steeply the pipe runs through it.
    $rows = array_column(SomeMerges::answer([...$four, 'psi' => [110, 140, 170]])['tubes'][0]['table'], 's', 'psi');
    [$a, $b, $c] = array_map(static fn (int $deg): Vector => new Vector(
        22.225 * cos(deg2rad($deg)),
        22.225 * sin(deg2rad($deg)),
        $rows[$deg],
    ), [110, 140, 170]);
    $normal = $b->minus($a)->cross($c->minus($a))->unit();
    expect(abs(rad2deg(asin($normal->z))))->toBeClose($first['angle'], 0, 0.001);
    $least = min(array_column(SomeMerges::answer([...$four, 'psi' => range(90, 180)])['tubes'][0]['table'], 's'));
    expect($first['start'])->toBeClose($least, 0, 0.05)->and($first['start'])->toBeLessThanOrEqual($least);
});

it('refuses what cannot be built, with the field and the amount', function (array $problem, string $what, string $field, ?float $by) {
    $reason = refusedFor($problem);
    expect([$reason['what'], $reason['field']])->toBe([$what, $field]);
    expect($reason['by'] === null)->toBe($by === null)
        ->and(abs((float) $reason['by'] - (float) $by))->toBeLessThanOrEqual(max(0.1, 0.01 * (float) $by));
})->with([
    // 22.225 × √(cos² 10° + 0) is what the inlet circle of a pair needs.
    'ends that overlap' => [fn () => pairOfTubes(['inlet_radius' => 20]), 'tubes-overlap', 'inlet_radius', 22.225 * cos(deg2rad(10)) - 20],
    'no lean' => [fn () => pairOfTubes(['half_angle' => 0]), 'half-angle-zero', 'half_angle', null],
    'an outlet behind the apex' => [fn () => pairOfTubes(['outlet' => ['plane' => 170]]), 'outlet-past-apex', 'outlet', 170 - 28 / tan(deg2rad(10))],
    'an outlet before the middle closes' => [fn () => pairOfTubes(['outlet' => ['plane' => 20]]), 'centre-open', 'outlet', 28 / tan(deg2rad(10)) - 22.225 / sin(deg2rad(10)) - 20],
    'an outlet as wide as the inlet' => [fn () => pairOfTubes(['outlet' => ['diameter' => 110]]), 'outlet-too-large', 'outlet.diameter', 110 - 56 - 44.45 / cos(deg2rad(10))],
    'bent tubes of two sizes' => [
        fn () => array_replace_recursive(SomeMerges::shipped('10-bent-4-run-on'), ['tubes' => [1 => ['od' => 48.45]]]),
        'unequal-tubes', 'tubes.od', 4.0,
    ],
    'bent tubes that overlap' => [
        fn () => [...SomeMerges::shipped('10-bent-4-run-on'), 'inlet_radius' => 30], 'tubes-overlap', 'inlet_radius', 22.225 * M_SQRT2 - 30,
    ],
    'a leg that is too short' => [
        fn () => array_replace_recursive(SomeMerges::shipped('10-bent-4-run-on'), ['bend' => ['far_leg' => 60]]), // The shipped table has 157.8 at 60°, a little before the corner; the bend ends at 77.1.
        'runs-off-leg', 'bend.far_leg', 158.0 - 77.1 - 60,
    ],
    'a bend that is too tight' => [
        fn () => array_replace_recursive(SomeMerges::shipped('10-bent-4-run-on'), ['bend' => ['clr' => 20]]), 'bend-too-tight', 'bend.clr', 2.225,
    ],
    'a blank that is too short' => [
        fn () => [...SomeMerges::shipped('03-straight-4'), 'kind' => 'collector-quarters', 'blank' => 120], 'blank-too-short', 'blank', 9.5,
    ],
    'quarters of two sizes' => [
        fn () => array_replace_recursive(SomeMerges::shipped('03-straight-4'), ['kind' => 'collector-quarters', 'blank' => 200, 'tubes' => [1 => ['od' => 43.45]]]),
        'unequal-tubes', 'tubes.od', 1.0,
    ],
    'a thin tube that comes out of a thick one again' => [
        fn () => pairOfTubes([
            'tubes' => [['id' => 'A', 'od' => 60, 'wall' => 1.65], ['id' => 'B', 'od' => 25, 'wall' => 1.65, 'half_angle' => 40, 'inlet_radius' => 80]],
            'inlet_radius' => 30, 'outlet' => ['plane' => 94],
        ]),
        'pokes-through', 'outlet', null,
    ],
    'unequal ends that overlap' => [
        fn () => pairOfTubes(['tubes' => [['id' => 'A', 'od' => 60, 'wall' => 1.65], ['id' => 'B', 'od' => 44.45, 'wall' => 1.65]], 'inlet_radius' => 22]),
        // The end of B, square, reaches into A: 2 r cos α ≥ 30 + 22.225 cos 2α.
        'tubes-overlap', 'inlet_radius', (30 + 22.225 * cos(deg2rad(20))) / 2 / cos(deg2rad(10)) - 22,
    ],
]);

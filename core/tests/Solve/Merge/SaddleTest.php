<?php

declare(strict_types=1);

use UpsweptBead\Core\Tests\Support\NodeReference;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeMerges;

/**
 * @param  array<string, mixed>  $change
 * @return array<string, mixed>
 */
function branchAt(float $angle, array $change = []): array
{
    return [
        'format' => 'merge-problem/1', 'case' => 'branch', 'kind' => 'saddle',
        'main' => ['od' => 101.6, 'wall' => 1.65], 'branch' => ['od' => 44.45, 'wall' => 1.65],
        'angle' => $angle, 'offset' => 0, 'seat' => 'set-on', 'psi' => range(0, 350, 10),
        ...$change,
    ];
}

// The end slides outward until nothing of its wall is in the main: solids, no formula.
it('seats where the first edge of its wall touches', function () {
    $problems = array_map(static fn (int $seed): array => [...SomeMerges::saddle(Some::dice($seed)), 'psi' => range(0, 345, 15)], range(1, 12));
    $found = NodeReference::ask('merge-cuts.mjs', $problems);
    foreach ($problems as $i => $problem) {
        $answer = SomeMerges::answer($problem);
        expect($answer['status'])->toBe('solved');
        foreach ($answer['tubes'][0]['table'] as $j => $row) {
            expect($row['s'])->toBeClose($found[$i][$j]['s'], 0, 0.01);
        }
    }
});

it('makes a hole that lies on the main, as far from the branch as its bore, or its outside where it goes in', function (string $seat) {
    $problem = branchAt(60, ['offset' => 12.5, 'seat' => $seat]);
    $answer = SomeMerges::answer($problem);
    $along = [sin(deg2rad(60)), 0.0, cos(deg2rad(60))];
    $edge = 0.0;
    $before = null;
    foreach ([...$answer['hole'], $answer['hole'][0]] as ['phi' => $phi, 'z' => $z]) {
        $point = [50.8 * cos(deg2rad($phi)), 50.8 * sin(deg2rad($phi)) - 12.5, $z];
        $reach = $point[0] * $along[0] + $point[2] * $along[2];
        $apart = sqrt($point[0] ** 2 + $point[1] ** 2 + $point[2] ** 2 - $reach ** 2);
        expect($apart)->toBeClose($seat === 'set-on' ? 20.575 : 22.225, 0, 1e-4);
        $edge += $before === null ? 0.0 : sqrt(array_sum(array_map(static fn (float $a, float $b): float => ($a - $b) ** 2, $point, $before)));
        $before = $point;
    }
    // Thirty-six chords are a little shorter than the curve.
    expect($answer['hole_edge'])->toBeClose($edge, 0.005)->toBeGreaterThan($edge);
})->with(['set-on', 'set-in']);

// The handbook, §7.7: square at 90° the inside edge touches first; at 45° on the acute side the outside one, and going
// by the inside one fouls by (r_o − r_i) cot β: 1.6 mm for these.
it('goes by the inside edge at a right angle, and by the outside one on the acute side', function () {
    $main = ['od' => 101.6, 'wall' => 1.65];
    $branch = ['od' => 44.4, 'wall' => 1.6];
    $square = SomeMerges::answer(branchAt(90, ['main' => $main, 'branch' => $branch]));
    expect(array_column($square['tubes'][0]['table'], 's', 'psi')[90])->toBeClose(sqrt(50.8 ** 2 - 20.6 ** 2), 0, 1e-4);
    $leaning = SomeMerges::answer(branchAt(45, ['main' => $main, 'branch' => $branch]));
    $at = static fn (float $r): float => (50.8 + $r * cos(deg2rad(45))) / sin(deg2rad(45));
    expect(array_column($leaning['tubes'][0]['table'], 's', 'psi')[180])->toBeClose($at(22.2), 0, 1e-4)
        ->and($at(22.2) - $at(20.6))->toBeClose(1.6, 0, 0.01);
});

it('is the same from the other side', function () {
    $one = SomeMerges::answer(branchAt(50, ['offset' => 9]));
    $other = SomeMerges::answer(branchAt(50, ['offset' => -9]));
    foreach ($one['tubes'][0]['table'] as $i => $row) {
        expect($other['tubes'][0]['table'][(36 - $i) % 36]['s'])->toBeClose($row['s'], 0, 1e-5);
    }
    expect($other['seams'][0]['length'])->toBeClose($one['seams'][0]['length'], 1e-6);
});

// Two equal cylinders at right angles meet in two ellipses (Steinmetz); each half is seen once.
it('has the seam of equal tubes at a right angle as two half ellipses', function () {
    $answer = SomeMerges::answer(branchAt(90, ['branch' => ['od' => 101.6, 'wall' => 1.65]]));
    $ellipse = 0.0;
    for ($i = 0; $i < 20000; $i++) {
        $t = 2 * M_PI * ($i + 0.5) / 20000;
        $ellipse += hypot(50.8 * M_SQRT2 * sin($t), 50.8 * cos($t)) * 2 * M_PI / 20000;
    }
    expect($answer['seams'][0]['length'])->toBeClose($ellipse, 1e-4);
});

it('refuses a branch that misses, overhangs or is too large', function (array $change, string $what, string $field, float $by) {
    $answer = SomeMerges::answer(branchAt(60, $change));
    expect($answer['status'])->toBe('refused')
        ->and([$answer['reasons'][0]['what'], $answer['reasons'][0]['field']])->toBe([$what, $field])
        ->and($answer['reasons'][0]['by'])->toBeClose($by, 1e-6, 1e-6);
})->with([
    'misses' => [['offset' => 80], 'branch-misses', 'offset', 80 - 50.8 - 22.225],
    'overhangs' => [['offset' => -40], 'offset-too-large', 'offset', 40 + 22.225 - 50.8],
    'overhangs the bore' => [['offset' => 28, 'seat' => 'set-in'], 'offset-too-large', 'offset', 28 + 22.225 - 49.15],
    'too large' => [['branch' => ['od' => 110, 'wall' => 2]], 'branch-too-large', 'branch.od', 8.4],
    'too large for the bore' => [['branch' => ['od' => 100, 'wall' => 2], 'seat' => 'set-in'], 'branch-too-large', 'branch.od', 1.7],
]);

// Both tubes joined as meshes by another library: where their skins meet the sections of the whole have corners.
it('has its seam where a mesh boolean finds the crease', function (float $angle, float $offset) {
    $problem = branchAt($angle, ['offset' => $offset, 'seat' => 'set-in', 'psi' => array_map(static fn (int $i): float => $i / 5, range(0, 1799))]);
    $hole = SomeMerges::answer($problem)['hole'];
    $zs = array_column($hole, 'z');
    $heights = array_map(static fn (int $i): float => min($zs) + (max($zs) - min($zs)) * ($i + 0.37) / 8, range(0, 7));
    [$x, $z] = [sin(deg2rad($angle)), cos(deg2rad($angle))];
    $corners = NodeReference::ask('merge-slice.mjs', ['heights' => $heights, 'tubes' => [
        ['od' => 101.6, 'from' => [0, 0, -400], 'to' => [0, 0, 400]],
        ['od' => 44.45, 'from' => [0, $offset, 0], 'to' => [300 * $x, $offset, 300 * $z]],
    ]]);
    foreach ($heights as $h => $height) {
        $met = 0;
        foreach ($hole as $i => ['phi' => $phi, 'z' => $at]) {
            $next = $hole[($i + 1) % count($hole)];
            if (($at - $height) * ($next['z'] - $height) < 0.0) {
                $share = ($height - $at) / ($next['z'] - $at);
                $turn = deg2rad($phi + $share * ($next['phi'] - $phi));
                $nearest = min(array_map(
                    static fn (array $one): float => hypot($one[0] - 50.8 * cos($turn), $one[1] - 50.8 * sin($turn)),
                    $corners[$h],
                ));
                expect($nearest)->toBeLessThan(0.05);
                $met++;
            }
        }
        expect($met)->toBe(2);
    }
})->with([[90.0, 0.0], [45.0, 0.0], [60.0, 12.5], [120.0, -20.0], [30.0, 8.0]]);

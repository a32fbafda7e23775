<?php

declare(strict_types=1);

use UpsweptBead\Core\Solve\Merge\Ellipse;
use UpsweptBead\Core\Tests\Support\SomeMerges;

/**
 * @param  array<string, mixed>  $fields
 * @return array<string, mixed>
 */
function single(string $kind, array $fields): array
{
    return ['format' => 'merge-problem/1', 'case' => $kind, 'kind' => $kind, 'tube' => ['od' => 76.2, 'wall' => 1.65], ...$fields];
}

// Abramowitz and Stegun, table 17.2, from memory: E(m = 0.5) = 1.3506438810.
it('measures an ellipse as the complete elliptic integral does', function () {
    expect(Ellipse::perimeter(1.0, sqrt(0.5)))->toBeClose(4 * 1.3506438810, 1e-9)
        ->and(Ellipse::perimeter(3.0, 3.0))->toBeClose(6 * M_PI, 1e-12)
        ->and(Ellipse::perimeter(0.0, 2.0))->toBe(8.0);
});

it('cuts a mitre longest at psi 0 and shortest opposite, with the edge of an ellipse', function () {
    $answer = SomeMerges::answer(single('mitre', ['angle' => 22.5, 'length' => 100, 'psi' => [0, 90, 180, 270]]));
    $rows = array_column($answer['tubes'][0]['table'], null, 'psi');
    expect($rows[0]['s'])->toBeClose(38.1 * tan(deg2rad(22.5)), 0, 1e-5)
        ->and($rows[90]['s'])->toBeClose(0.0, 0, 1e-5)
        ->and($rows[180]['s'])->toBe(-$rows[0]['s'])
        ->and($rows[0]['s_inside'])->toBeClose((38.1 - 1.65) * tan(deg2rad(22.5)), 0, 1e-5)
        ->and($answer['longest'] + $answer['shortest'])->toBeClose(200.0, 1e-9)
        ->and($answer['edge'])->toBeGreaterThan(2 * M_PI * 38.1)->toBeLessThan(2 * M_PI * 38.1 / cos(deg2rad(22.5)));
});

// The handbook, §7.9: 3 in on 4.5 in CLR, 90° in five welds.
it('makes a pie-cut bend of the wedges the handbook has', function () {
    $answer = SomeMerges::answer(single('piecut', ['clr' => 114.3, 'angle' => 90, 'welds' => 5, 'kerf' => 1.1, 'end_leg' => 25, 'flip' => true]));
    expect($answer['wedge']['outside'])->toBeClose(48.28, 0, 0.005)
        ->and($answer['wedge']['inside'])->toBeClose(24.14, 0, 0.005)
        ->and($answer['wedges'])->toBe(4)
        ->and($answer['mitre'])->toBe(9.0);
});

it('takes a longer stick where the tube is not turned between cuts', function () {
    $pie = ['clr' => 114.3, 'angle' => 60, 'welds' => 3, 'kerf' => 2, 'end_leg' => 10];
    $flipped = SomeMerges::answer(single('piecut', [...$pie, 'flip' => true]))['stick'];
    $plain = SomeMerges::answer(single('piecut', [...$pie, 'flip' => false]))['stick'];
    // Every piece then takes its outer side: two half ends and two wedges of 2 (D/2) tan δ more.
    expect($plain - $flipped)->toBeClose(3 * 2 * 38.1 * tan(deg2rad(10)), 1e-6);
    $one = SomeMerges::answer(single('piecut', [...$pie, 'welds' => 1, 'flip' => true]));
    expect($one['wedges'])->toBe(0)->and($one['mitre'])->toBe(30.0);
});

it('marks pieces of a bend one behind another, a kerf apart', function () {
    $answer = SomeMerges::answer(single('bend', ['clr' => 114.3, 'kerf' => 2, 'angles' => [35, 50], 'stock_angle' => 90]));
    $kerfDeg = rad2deg(2 / 114.3);
    [$first, $second] = $answer['pieces'];
    expect($first['from'])->toBe(['outer' => 0.0, 'centre' => 0.0, 'inner' => 0.0])
        ->and($first['to']['centre'])->toBeClose(114.3 * deg2rad(35), 0, 1e-5)
        ->and($second['from']['centre'] - $first['to']['centre'])->toBeClose(2.0, 0, 1e-5)
        ->and($second['to']['outer'])->toBeClose(152.4 * deg2rad(85 + $kerfDeg), 0, 1e-4)
        ->and($second['to']['inner'])->toBeClose(76.2 * deg2rad(85 + $kerfDeg), 0, 1e-4)
        ->and($answer['remainder'])->toBeClose(5 - 2 * $kerfDeg, 0, 1e-4);
});

it('opens a ring with a kerf first', function () {
    $answer = SomeMerges::answer(single('donut', ['clr' => 114.3, 'kerf' => 2, 'angles' => [90, 90, 90]]));
    expect($answer['pieces'][0]['from']['centre'])->toBeClose(2.0, 0, 1e-5)
        ->and($answer['remainder'])->toBeClose(90 - 4 * rad2deg(2 / 114.3), 0, 1e-4);
});

it('expands the outer end until the inner one goes in', function () {
    $slip = ['upstream' => ['od' => 41.28, 'wall' => 1.65], 'downstream' => ['od' => 41.28, 'wall' => 1.65],
        'depth' => 50.8, 'lead_in' => 6.35, 'clearance' => 0.4, 'max_clearance' => 1.0, 'max_expand_pct' => 12];
    $answer = SomeMerges::answer(single('slip', $slip));
    expect($answer['inner'])->toBe('upstream')
        ->and($answer['bore'])->toBeClose(41.68, 0, 1e-6)
        ->and($answer['expand'])->toBeClose(41.68 - 37.98, 0, 1e-6)
        ->and($answer['expand_pct'])->toBeClose(100 * 3.7 / 37.98, 0, 1e-4)
        // Common practice (handbook §7.3): a slip of 2 in with ¼ in to lead in wants legs of 2¼ in.
        ->and($answer['leg'])->toBeClose(57.15, 0, 1e-6);
    $fits = SomeMerges::answer(single('slip', [...$slip, 'downstream' => ['od' => 45.0, 'wall' => 1.5]]));
    expect($fits['expand'])->toBe(0.0)->and($fits['bore'])->toBe(42.0);
});

it('refuses single cuts that cannot be made, with the field and the amount', function (string $kind, array $fields, string $what, string $field, float $by) {
    $answer = SomeMerges::answer(single($kind, $fields));
    expect($answer['status'])->toBe('refused')
        ->and([$answer['reasons'][0]['what'], $answer['reasons'][0]['field']])->toBe([$what, $field])
        ->and($answer['reasons'][0]['by'])->toBeClose($by, 1e-4, 1e-4);
})->with([
    'a mitre that runs off' => ['mitre', ['angle' => 45, 'length' => 30, 'psi' => []], 'cut-runs-off', 'length', 8.1],
    'a throat of less than nothing' => [
        'piecut', ['clr' => 30, 'angle' => 90, 'welds' => 4, 'kerf' => 1, 'end_leg' => 0, 'flip' => true], 'throat-negative', 'clr', 8.1,
    ],
    'a short stick' => [
        'piecut', ['clr' => 114.3, 'angle' => 90, 'welds' => 5, 'kerf' => 1.1, 'end_leg' => 25, 'flip' => true, 'stick' => 200],
        'stick-too-short', 'stick', 36.60197,
    ],
    'too much out of one bend' => [
        'bend', ['clr' => 114.3, 'kerf' => 2, 'angles' => [60, 35], 'stock_angle' => 90], 'stock-too-short', 'angles', 5 + rad2deg(2 / 114.3),
    ],
    'a ring that is too tight' => ['donut', ['clr' => 38.1, 'kerf' => 2, 'angles' => [60]], 'bend-too-tight', 'clr', 0.0],
    'a short leg' => [
        'slip', ['upstream' => ['od' => 41.28, 'wall' => 1.65], 'downstream' => ['od' => 45, 'wall' => 1.5], 'depth' => 50, 'lead_in' => 6,
            'clearance' => 0.4, 'max_clearance' => 1, 'max_expand_pct' => 12, 'legs' => ['downstream' => 40]],
        'leg-too-short', 'legs.downstream', 16.0,
    ],
    'a loose slip' => [
        'slip', ['upstream' => ['od' => 40, 'wall' => 1.65], 'downstream' => ['od' => 45, 'wall' => 1.5], 'depth' => 50, 'lead_in' => 6,
            'clearance' => 0.4, 'max_clearance' => 1, 'max_expand_pct' => 12],
        'too-loose', 'downstream', 1.0,
    ],
    'more expansion than the metal bears' => [
        'slip', ['upstream' => ['od' => 41.28, 'wall' => 1.65], 'downstream' => ['od' => 41.28, 'wall' => 1.65], 'depth' => 50, 'lead_in' => 6,
            'clearance' => 0.4, 'max_clearance' => 1, 'max_expand_pct' => 8],
        'expansion-too-large', 'max_expand_pct', 100 * 3.7 / 37.98 - 8,
    ],
]);

<?php

declare(strict_types=1);

use UpsweptBead\Core\Solve\Gas\Draught;
use UpsweptBead\Core\Tests\Support\SomePurges;

/** The area of a round hole, mm². */
function hole(float $mm): float
{
    return M_PI / 4 * $mm ** 2;
}

// By hand: argon is .457 kg/m³ heavier than air, 1.8 Pa over 400 mm; a 6.4 mm hole lets 2.0 L/min of air in at that.
it('draws air in at a vent above a wide open mouth', function () {
    $flows = Draught::flows(['mouth' => [0.0, hole(42.7)], 'vent' => [400.0, hole(6.4)]], 2.36);
    $pa = (1.661 - 1.204) * 9.81 * 0.4;
    expect(-$flows['vent'])->toBeClose(0.61 * hole(6.4) * 1e-6 * sqrt(2 * $pa / 1.204) * 60_000, 0.01, 0)
        ->and($flows['mouth'] + $flows['vent'])->toBeClose(2.36, 1e-6);
});

it('draws none in where both holes hold the argon back, nor at one height, nor at a single one', function () {
    expect(Draught::drawnLMin(['low' => [0.0, hole(6.4)], 'high' => [400.0, hole(6.4)]], 2.36))->toBe(0.0)
        ->and(Draught::drawnLMin(['one' => [100.0, hole(42.7)], 'other' => [100.0, hole(6.4)]], 2.36))->toBe(0.0)
        ->and(Draught::drawnLMin(['only' => [0.0, hole(42.7)]], 2.36))->toBe(0.0);
});

it('lets out what is fed, whatever the holes and heights, and air comes in only above where argon goes out', function () {
    $random = new Random\Randomizer(new Random\Engine\Mt19937(7));
    for ($i = 0; $i < 300; $i++) {
        $openings = [];
        foreach (range(1, $random->getInt(1, 4)) as $k) {
            $openings["o$k"] = [(float) $random->getInt(0, 1200), hole($random->getInt(2, 60))];
        }
        $flow = $random->getInt(1, 200) / 10;
        $flows = Draught::flows($openings, $flow);
        expect(array_sum($flows))->toBeClose($flow, 1e-6, 1e-6);
        foreach ($flows as $in => $litres) {
            foreach ($litres < -1e-6 ? $flows : [] as $out => $other) {
                expect($other <= 0.0 || $openings[$out][0] <= $openings[$in][0])->toBeTrue();
            }
        }
    }
});

/** @return array<string, mixed> a level tube of 38 bore, 600 long, with a joint left open in its middle */
function halfOpen(float $gap, float $rise = 0.0): array
{
    return SomePurges::answer([
        'format' => 'purge-problem/1', 'name' => 'half open',
        'tubes' => [['id' => 'A', 'bore' => 38, 'points' => [[0, 0, 0], [600, 0, $rise]], 'radii' => []]],
        'openings' => [
            ['id' => 'in', 'end' => 'A:start', 'feed' => true, 'vent' => []],
            ['id' => 'out', 'end' => 'A:end', 'feed' => false, 'vent' => [6.5]],
        ],
        'joints' => [
            ['id' => 'open', 'tube' => 'A', 'station' => 300, 'gap' => $gap, 'tape' => false],
            ['id' => 'j1', 'tube' => 'A', 'station' => 450, 'gap' => 8],
        ],
        'rules' => ['target_ppm' => 50, 'pressure_limit' => 30],
        'gas' => ['fill_flow' => 7, 'hold_flow' => 3, 'torch_flow' => 9],
        'sequence' => [['joint' => 'j1', 'arc_s' => 90, 'starts' => 7, 'amps' => 50, 'cool_s' => 200]],
    ]);
}

// What lies beyond an open joint is still on a way from the feed to the vent; by area a share of the flow gets there.
it('does not call dead what lies between an open joint and the vent, and says how long that takes to fill', function () {
    $answer = halfOpen(hole(6.5));
    $far = $answer['far_legs'][0];
    $litres = M_PI / 4 * 38 ** 2 * 300 * 1e-6;
    expect($answer['dead_legs'])->toBe([])
        ->and($far['joint'])->toBe('open')
        ->and($far['share'])->toBeClose(0.5, 1e-4)
        ->and($far['volume_ml'])->toBeClose(1000 * $litres, 1e-4)
        ->and($far['fill_min'])->toBeClose(log(209_500 / 50) * $litres / 3.5, 1e-3)
        ->and($answer['warnings'])->toBe([['what' => 'leak', 'by' => ['open']]]);
});

it('says how much air an opening draws in where another stands wide open below it', function () {
    $answer = halfOpen(hole(30), 520);
    $leaks = array_values(array_filter($answer['warnings'], static fn (array $one): bool => $one['what'] === 'leak'));
    expect($leaks[0]['by'])->toBe(['open', 'out'])->and($leaks[0]['air_l_min']['out'])->toBeGreaterThan(1.0);
});

<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Document\UnusableDocument;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Exchange\Files\PurgeAnswerWriter;
use UpsweptBead\Core\Exchange\Files\PurgeParts;
use UpsweptBead\Core\Exchange\Files\PurgeProblem;
use UpsweptBead\Core\Exchange\Files\PurgeProblemReader;
use UpsweptBead\Core\Shop\Practice\Contents;
use UpsweptBead\Core\Solve\Gas\Assembly;
use UpsweptBead\Core\Solve\Gas\BottleDraw;
use UpsweptBead\Core\Solve\Gas\FarLeg;
use UpsweptBead\Core\Solve\Gas\Filling;
use UpsweptBead\Core\Solve\Gas\GasJoint;
use UpsweptBead\Core\Solve\Gas\Holes;
use UpsweptBead\Core\Solve\Gas\Inside;
use UpsweptBead\Core\Solve\Gas\Internal\FlushedLines;
use UpsweptBead\Core\Solve\Gas\Internal\Roofs;
use UpsweptBead\Core\Solve\Gas\Internal\Slices;
use UpsweptBead\Core\Solve\Gas\Node;
use UpsweptBead\Core\Solve\Gas\Opening;
use UpsweptBead\Core\Solve\Gas\Pose;
use UpsweptBead\Core\Solve\Gas\PurgeRules;
use UpsweptBead\Core\Solve\Gas\PurgeStep;
use UpsweptBead\Core\Solve\Gas\TubeBranch;
use UpsweptBead\Core\Solve\Gas\TubeInside;
use UpsweptBead\Core\Tests\Support\Mutations;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomePurges;

covers(PurgeParts::class, FarLeg::class, Slices::class, Roofs::class, FlushedLines::class);

/** @param  list<array{float, float, float}>  $points */
function purgedTube(string $id, float $mm, array $points, float $radius = 60.0): TubeInside
{
    $places = array_map(static fn (array $one): Vector => new Vector(...$one), $points);
    if ($places === []) {
        throw new LogicException('no points');
    }

    return TubeInside::of($id, $mm, $places, array_fill(0, max(0, count($points) - 2), $radius)) ?? throw new LogicException('does not fit');
}

/** @return list<Opening> either end of a tube, one to feed and one to vent */
function bothEnds(string $tube = 'A'): array
{
    return [new Opening('feed', $tube, true, true, []), new Opening('vent', $tube, false, false, [10.0])];
}

it('answers the shipped problems as they are answered there', function (string $name) {
    $wanted = SomePurges::shipped($name, 'answers/');
    $answer = SomePurges::answer(SomePurges::shipped($name));
    expect($answer['status'])->toBe($wanted['status']);
    if ($wanted['status'] === 'refused') {
        expect($answer['reasons'][0]['what'])->toBe($wanted['reasons'][0]['what'])
            ->and($answer['reasons'][0]['field'])->toBe($wanted['reasons'][0]['field']);

        return;
    }
    expect($answer['volume_ml'])->toBeClose($wanted['volume_ml'], 0.001, 0)
        ->and($answer['trapped_ml'])->toBeClose($wanted['trapped_ml'], 0.01, 1.0)
        ->and($answer['feed'])->toBe($wanted['feed'])
        ->and($answer['vents'])->toEqual($wanted['vents'])
        ->and($answer['dams'])->toEqual($wanted['dams'])
        ->and($answer['tape'])->toBe($wanted['tape'])
        ->and($answer['peel'])->toBe($wanted['peel'])
        ->and($answer['pose'] ?? null)->toEqual($wanted['pose'] ?? null)
        ->and(array_column($answer['warnings'], 'what'))->toBe(array_column($wanted['warnings'], 'what'))
        ->and($answer['argon']['total_l'])->toBeClose($wanted['argon']['total_l'], 0.002, 0)
        ->and($answer['room_m3'])->toBeClose($wanted['room_m3'], 0.002, 0);
    foreach (['min_vent_diameter', 'pressure_pa', 'max_flow', 'hold_flow'] as $figure) {
        expect($answer[$figure])->toBeClose($wanted[$figure], 0.001, 0);
    }
    foreach ($wanted['dead_legs'] as $i => $leg) {
        expect($answer['dead_legs'][$i]['from'])->toBe($leg['from'])->and($answer['dead_legs'][$i]['length'])->toBeClose($leg['length'], 0.001, 0.1);
    }
})->with(['01-straight-level', '08-s-standing', '13-wastegate-one-vent', '16-best-of-24', '24-no-vent']);

// A U of 38 bore, bends of 76.2, legs of 300 up: of 779.1 mL with one end as the vent 328.6 stay in the other leg.
it('keeps the air of the other leg of a U', function () {
    $tube = purgedTube('A', 38.0, [[0, 0, 300], [0, 0, 0], [152.4, 0, 0], [152.4, 0, 300]], 76.2);
    $inside = new Inside(new Assembly(['A' => $tube], [], []), bothEnds(), []);
    expect($inside->volumeMl())->toBeClose(779.1, 0, 0.2)
        ->and($inside->best([new Pose(new Vector(0, 0, 1))], 1)?->trappedMl)->toBeClose(328.6, 0.03, 5.0);
});

/**
 * Air that stays in a tube of straights and round corners by brute force: voxels, flooded from the outlet, highest
 * first.
 *
 * @param  callable(Vector): bool  $isIn
 * @return array{float, float} mL of the whole, and of what stays
 */
function voxels(callable $isIn, Vector $low, Vector $high, Vector $up, Vector $outlet, float $mm): array
{
    $height = $in = [];
    $n = [(int) ceil(($high->x - $low->x) / $mm), (int) ceil(($high->y - $low->y) / $mm), (int) ceil(($high->z - $low->z) / $mm)];
    for ($i = 0; $i < $n[0]; $i++) {
        for ($j = 0; $j < $n[1]; $j++) {
            for ($k = 0; $k < $n[2]; $k++) {
                $at = new Vector($low->x + ($i + 0.5) * $mm, $low->y + ($j + 0.5) * $mm, $low->z + ($k + 0.5) * $mm);
                if ($isIn($at)) {
                    $height["$i $j $k"] = $at->dot($up);
                    $in["$i $j $k"] = $at->distanceTo($outlet);
                }
            }
        }
    }
    asort($in);
    $queue = new SplPriorityQueue;
    $level = [];
    // The outlet touches the highest place of its end: the nearest voxels, taken to be as high as it is.
    foreach (array_slice(array_keys($in), 0, 8) as $one) {
        $level[$one] = $outlet->dot($up);
        $queue->insert($one, $level[$one]);
    }
    while (! $queue->isEmpty()) {
        $one = (string) $queue->extract();
        [$i, $j, $k] = array_map(intval(...), explode(' ', $one));
        for ($a = -1; $a <= 1; $a++) {
            for ($b = -1; $b <= 1; $b++) {
                for ($c = -1; $c <= 1; $c++) {
                    $next = ($i + $a).' '.($j + $b).' '.($k + $c);
                    if (isset($height[$next]) && min($level[$one], $height[$next] + $mm / 2) > ($level[$next] ?? -INF)) {
                        $level[$next] = min($level[$one], $height[$next] + $mm / 2);
                        $queue->insert($next, $level[$next]);
                    }
                }
            }
        }
    }
    $stays = count(array_filter($height, static fn (float $one, string $key): bool => $one > ($level[$key] ?? -INF), ARRAY_FILTER_USE_BOTH));

    return [count($height) * $mm ** 3 / 1000, $stays * $mm ** 3 / 1000];
}

/** Whether a place lies in a straight tube with flat ends; no code of the core. */
function inStraight(Vector $at, Vector $from, Vector $to, float $radius): bool
{
    $way = $to->minus($from);
    $share = $at->minus($from)->dot($way) / $way->dot($way);

    return $share >= 0.0 && $share <= 1.0 && $at->minus($from->plus($way->times($share)))->length() <= $radius;
}

it('finds the air that stays as flooded voxels do', function (int $seed) {
    $dice = Some::dice(700 + $seed);
    $up = (new Vector(Some::between($dice, -0.4, 0.4), Some::between($dice, -0.4, 0.4), 1.0))->unit();
    // A main and a branch on its side, both straight: a pocket in the branch, or above its sill in the main.
    $main = purgedTube('A', 44.0, [[0, 0, 0], [160, 0, Some::between($dice, -60.0, 60.0)]]);
    $station = Some::between($dice, 60.0, 100.0);
    [$foot] = $main->at($station);
    $tip = $foot->plus(new Vector(Some::between($dice, -20.0, 20.0), Some::between($dice, 30.0, 60.0), Some::between($dice, 30.0, 70.0)));
    $branch = purgedTube('B', 30.0, [$foot->toArray(), $tip->toArray()]);
    $assembly = new Assembly(['A' => $main, 'B' => $branch], [], [new TubeBranch('b', 'A', $station, 'B', true)]);
    $inside = new Inside($assembly, bothEnds('A'), []);
    $held = $inside->best([new Pose($up)], 1);
    [$end, $way] = $main->at($main->lengthMm);
    $outlet = $end->plus($up->minus($way->times($up->dot($way)))->unit()->times(22.0));
    [$start] = $main->at(0.0);
    [$all, $stays] = voxels(
        static fn (Vector $at): bool => inStraight($at, $start, $end, 22.0) || inStraight($at, $foot, $tip, 15.0),
        new Vector(-30, -40, -100), new Vector(200, 100, 180), $up, $outlet, 3.0,
    );
    expect($inside->volumeMl())->toBeClose($all, 0.03, 0)
        ->and($held?->trappedMl)->toBeClose($stays, 0.06, 9.0);
})->with([1, 2, 3, 4, 5]);

it('counts room that four tubes share where they meet once', function () {
    $tubes = [];
    $ends = [];
    $hub = new Vector(0, 0, 0);
    foreach ([[1, 1], [1, -1], [-1, 1], [-1, -1]] as $i => [$x, $y]) {
        $tubes["P$i"] = purgedTube("P$i", 40.0, [[40 * $x, 40 * $y, -220], [0, 0, 0]]);
        $ends[] = ["P$i", false];
    }
    $tubes['O'] = purgedTube('O', 60.0, [[0, 0, 0], [0, 0, 120]]);
    $ends[] = ['O', true];
    $inside = new Inside(new Assembly($tubes, [new Node('hub', $hub, $ends, 20.0)], []), bothEnds('O'), []);
    $in = static function (Vector $at) use ($tubes, $hub): bool {
        foreach ($tubes as $id => $tube) {
            [$from] = $tube->at(0.0);
            [$to] = $tube->at($tube->lengthMm);
            if (inStraight($at, $from, $to, $tube->radiusMm)) {
                return true;
            }
        }

        return $at->distanceTo($hub) <= 20.0;
    };
    [$all] = voxels($in, new Vector(-70, -70, -245), new Vector(70, 70, 125), new Vector(0, 0, 1), new Vector(0, 0, 120), 4.0);
    expect($inside->volumeMl())->toBeClose($all, 0.02, 0);
});

// 15 CFH through 6.35 mm holds 31 Pa, through 2.4 mm 1.5 kPa, which at 30 Pa lets 0.995 L/min through: by the formula.
it('knows what a vent holds back', function () {
    $rules = new PurgeRules(50.0, 30.0, 2, 15 * 0.4719474, 3.0, 9.0);
    $through = static fn (float $mm): Holes => Holes::of([[$mm]], 0.0, $rules);
    expect($through(6.35)->pressurePa($rules->fillFlow))->toBeClose(31.0, 0.02, 0)
        ->and($through(2.4)->pressurePa($rules->fillFlow))->toBeClose(1500.0, 0.03, 0)
        ->and($through(2.4)->mostFlow(30.0))->toBeClose(0.995, 0.005, 0)
        ->and(Filling::ventMm($rules->fillFlow, 30.0))->toBeClose(6.4, 0.01, 0)
        // The least that keeps the pressure; where none does, the largest.
        ->and(Holes::of([[3.0, 6.5, 10.0]], 0.0, $rules)->mm)->toBe([6.5])
        ->and(Holes::of([[2.4, 3.0]], 0.0, $rules)->mm)->toBe([3.0])
        ->and(Holes::of([[3.0, 5.0], [3.0, 5.0]], 0.0, $rules)->mm)->toBe([5.0, 5.0]);
});

// Well mixed: n = ln(start/target); 8.340 for 50 ppm and 6.954 for 200.
it('counts volume changes, and a post-flow of a second for ten amps', function () {
    $joint = new GasJoint('j', 'A', 10.0, 8.0, true, false);
    $step = new PurgeStep($joint, 95.0, 8, 55.0, 240.0, 209500.0);
    expect($step->changes(50.0))->toBeClose(8.340, 0, 0.001)
        ->and($step->changes(200.0))->toBeClose(6.954, 0, 0.001)
        ->and((new PurgeStep($joint, 95.0, 8, 55.0, 240.0, 40.0))->changes(50.0))->toBe(0.0)
        ->and($step->weldMin())->toBeClose((95 + 8 * 5.5) / 60);
});

it('draws a shared bottle down by both lines, then each from its own next one', function () {
    // 1000 L when full at 10 000 kPa: 10 L and 5 L are left.
    $bottle = static fn (string $id, float $litres): Contents => new Contents($id, 1000.0, 10000.0 - 101.325, 100.0 + $litres * 10, 100.0);
    $bottles = [$bottle('a', 10.0), $bottle('b', 5.0)];
    expect($bottles[0]->usableL())->toBeClose(10.0);
    $drawn = BottleDraw::of($bottles, ['purge' => ['a', 'b'], 'torch' => ['a']], [['j', 'weld', 4.0, ['purge' => 3.0, 'torch' => 2.0]]]);
    // Five a minute: a is empty after 2; then 3 a minute from b, which is empty after 1.67 more; the torch goes short
    // for 2.
    expect($drawn->runsOut['a'][2])->toBeClose(2.0)
        ->and($drawn->runsOut['b'][2])->toBeClose(2.0 + 5 / 3)
        ->and($drawn->shortL['torch'])->toBeClose(4.0)
        ->and($drawn->shortL['purge'])->toBeClose(3.0 * (2.0 - 5 / 3))
        ->and($drawn->usedL)->toEqual(['a' => 10.0, 'b' => 5.0]);
});

it('answers or refuses, whatever was done to a file, and what it says can be sent', function (int $seed) {
    $mutations = new Mutations($seed);
    $files = [SomePurges::shipped('13-wastegate-one-vent'), SomePurges::shipped('01-straight-level')];
    $seen = [];
    for ($i = 0; $i < 60; $i++) {
        try {
            $read = PurgeProblemReader::read((string) json_encode($mutations->of($files[$i % 2]), JSON_PARTIAL_OUTPUT_ON_ERROR));
            $answer = $read instanceof PurgeProblem ? PurgeAnswerWriter::toArray($read) : PurgeAnswerWriter::refused('', $read);
            expect(json_encode($answer, JSON_THROW_ON_ERROR))->toBeString();
            $seen[is_string($answer['status']) ? $answer['status'] : ''] = true;
        } catch (UnusableDocument $error) {
            expect($error->getMessage())->not->toBe('');
        }
    }
    expect($seen)->toHaveKey('refused')->toHaveKey('planned');
})->with([1, 2, 3]);

it('takes a tube back whose bends do not fit', function () {
    $points = [new Vector(0, 0, 0), new Vector(50, 0, 0), new Vector(50, 40, 0)];
    expect(TubeInside::of('A', 38.0, $points, [60.0]))->toBeNull()
        ->and(TubeInside::of('A', 38.0, $points, [10.0]))->toBeNull()
        ->and(TubeInside::of('A', 38.0, $points, [30.0])?->lengthMm)->toBeClose(20 + M_PI / 2 * 30 + 10);
});

it('never vents and feeds by one opening, and says what cannot be', function (array $change, string $what, string $field) {
    $problem = array_replace_recursive(SomePurges::shipped('13-wastegate-one-vent'), $change);
    $read = PurgeProblemReader::read(json_encode($problem, JSON_THROW_ON_ERROR));
    $answer = $read instanceof PurgeProblem ? PurgeAnswerWriter::toArray($read) : PurgeAnswerWriter::refused('', $read);
    expect($answer['status'])->toBe('refused')
        ->and($answer['reasons'][0]['what'])->toBe($what)
        ->and($answer['reasons'][0]['field'])->toBe($field);
})->with([
    'nothing to feed' => [['openings' => [['feed' => false], [], ['feed' => false]]], 'no-feed', 'openings'],
    'no flow' => [['gas' => ['fill_flow' => 0]], 'invalid', 'gas.fill_flow'],
    'a bore of nothing' => [['tubes' => [['bore' => -3]]], 'invalid', 'tubes.main.bore'],
    'a bend too tight' => [['tubes' => [['radii' => [5]]]], 'invalid', 'tubes.main.radii'],
    'an end nobody has' => [['openings' => [['end' => 'main:middle']]], 'invalid', 'openings.flange.end'],
    'a joint nobody has' => [['sequence' => [['joint' => 'ghost']]], 'invalid', 'sequence[0].joint'],
    'a branch off its main' => [['tubes' => [1 => ['points' => [[0, 5, 130]]]]], 'invalid', 'saddles.branch.end'],
]);

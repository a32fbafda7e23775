<?php

declare(strict_types=1);

use UpsweptBead\Core\Exchange\Files\SurveyAnswerWriter;
use UpsweptBead\Core\Exchange\Files\SurveyProblemReader;
use UpsweptBead\Core\Exchange\Files\SurveyRefusals;
use UpsweptBead\Core\Tests\Support\NodeReference;

const SURVEYS = __DIR__.'/../../problems/survey';

/**
 * @param  array<string, mixed>  $problem
 * @return array<string, mixed>
 */
function surveyed(array $problem): array
{
    return surveyedText((string) json_encode($problem));
}

/** @return array<string, mixed> */
function surveyedText(string $json): array
{
    $refusals = new SurveyRefusals;
    $problem = SurveyProblemReader::read($json, $refusals);
    $answer = $problem === null
        ? SurveyAnswerWriter::refused('', $refusals->all())
        : SurveyAnswerWriter::answer($problem);
    /** @var array<string, mixed> $plain */
    $plain = json_decode((string) json_encode($answer), true);

    return $plain;
}

/** The port face of a head, with three places that are known on it. */
const KNOWN = [
    ['id' => 'A', 'at' => [0, 0, 0]], ['id' => 'B', 'at' => [-315, 5, 0]], ['id' => 'C', 'at' => [-160, -20, 190]],
];

/**
 * @param  list<array<string, mixed>>  $ends
 * @param  list<array<string, mixed>>  $readings
 * @param  array<string, mixed>  $more
 * @return array<string, mixed>
 */
function surveyOf(array $ends, array $readings, array $more = []): array
{
    return [
        'format' => 'survey-problem/1', 'name' => 'a test', 'points' => KNOWN, 'ends' => $ends,
        'readings' => array_map(static fn (int $i): array => ['id' => "r$i", ...$readings[$i]], array_keys($readings)),
        ...$more,
    ];
}

/** @return list<array<string, mixed>> */
function tapesTo(string $name, float ...$lengths): array
{
    return array_map(static fn (string $from, float $mm): array => [
        'kind' => 'tape', 'between' => [$from, $name], 'value' => $mm, 'sigma' => 1.5,
    ], array_slice(['A', 'B', 'C'], 0, count($lengths)), $lengths);
}

/** How far two answers differ, each number beside the other's size. */
function apart(mixed $mine, mixed $theirs): float
{
    if (is_array($theirs)) {
        $most = is_array($mine) && array_keys($mine) === array_keys($theirs) ? 0.0 : INF;
        foreach (is_finite($most) ? $theirs : [] as $key => $value) {
            $most = max($most, apart(is_array($mine) ? $mine[$key] : null, $value));
        }

        return $most;
    }
    if (is_numeric($theirs) && ! is_string($theirs)) {
        return is_numeric($mine) ? abs($mine - $theirs) / max(0.05, abs((float) $theirs)) : INF;
    }

    return $mine === $theirs ? 0.0 : INF;
}

it('answers the examples as their answers say', function (string $name) {
    $answer = surveyedText((string) file_get_contents(SURVEYS."/$name.json"));
    $theirs = json_decode((string) file_get_contents(SURVEYS."/answers/$name.json"), true);
    ksort($answer);
    assert(is_array($theirs));
    ksort($theirs);
    foreach ($theirs as $key => $value) {
        expect(apart($answer[$key], $value))->toBeLessThan(3e-4, "$key of $name");
    }
})->with(['02-port-row', '04-three-tapes-side', '07-one-wrong', '18-run-and-retake']);

it('agrees with a least-squares library of another maker on whole surveys', function (int $seed) {
    $made = NodeReference::ask('survey.py', ['make' => $seed]);
    $answer = surveyed($made['problem']);
    expect(NodeReference::ask('survey.py', ['problem' => $made['problem'], 'answer' => $answer]))->toBe([]);
    if ($seed % 3 === 0) {
        // One tape of it was read 25 mm too long.
        expect(array_column($answer['suspects'], 'id'))->not->toBe([]);
    }
})->with(range(1, 12));

it('says what is not determined, and readings that mend all of it with no number too many', function () {
    $problem = json_decode((string) file_get_contents(SURVEYS.'/10-undetermined.json'), true);
    assert(is_array($problem));
    $answer = surveyed($problem);
    expect($answer['status'])->toBe('refused')
        ->and(array_column($answer['reasons'], 'field'))
        ->toBe(['points/bracket/place', 'ends/turbine/place', 'ends/turbine/direction'])
        ->and($answer['reasons'][0]['by'])->toHaveCount(3);
    foreach ($answer['reasons'][0]['by'] as $i => $reading) {
        $value = $reading['kind'] === 'offset' ? 90.0 : 20.0;
        $problem['readings'][] = ['id' => "cure$i", ...$reading, 'value' => $value, 'sigma' => 1.0];
    }
    expect(surveyed($problem)['status'])->not->toBe('refused');
});

it('tells mirror answers apart by what is said, and gives all of them where nothing is', function (array $ends, array $readings, int $rivals) {
    $answer = surveyed(surveyOf($ends, $readings));
    expect($rivals === 1 ? $answer['status'] : count($answer['solutions'] ?? []))->toBe($rivals === 1 ? 'adjusted' : $rivals);
})->with(static function (): array {
    $dip = ['kind' => 'dip', 'end' => 't', 'value' => -74.0, 'sigma' => 0.3];
    $bearing = ['kind' => 'bearing', 'end' => 't', 'from' => 'x', 'value' => 21.7, 'sigma' => 0.3];
    $tapes = tapesTo('t', 423.5, 420.0, 540.5);
    $face = ['kind' => 'face', 'end' => 't', 'points' => [[0, 0, 0], [50, 2, 0], [50, 40, -30], [0, 38, -30]], 'sigma' => 0.5];
    $at = ['kind' => 'offset', 'of' => 't', 'axis' => 'xyz', 'value' => [25, 20, -15], 'sigma' => 1];

    return [
        'three tapes' => [[['id' => 't']], [...$tapes, $dip, $bearing], 2],
        'three tapes, to the left' => [[['id' => 't', 'side' => 'left']], [...$tapes, $dip, $bearing], 1],
        'two tapes and a height' => [[['id' => 't']], [...tapesTo('t', 423.5, 420.0), ['kind' => 'offset', 'of' => 't', 'axis' => 'z', 'value' => -232, 'sigma' => 1], $dip, $bearing], 2],
        'a face' => [[['id' => 't']], [$face, $at], 2],
        'a face that looks down' => [[['id' => 't', 'facing' => 'down']], [$face, $at], 1],
        'plumb' => [[['id' => 't', 'at' => [1, 2, 3]]], [['kind' => 'level', 'end' => 't', 'is' => 'plumb', 'sigma' => 0.3]], 2],
        'a dip and an angle to a known axis' => [
            [['id' => 'p', 'at' => [0, 0, 0], 'dir' => [0, 1, -0.3]], ['id' => 't', 'at' => [1, 2, 3]]],
            [['kind' => 'dip', 'end' => 't', 'value' => 20, 'sigma' => 0.3], ['kind' => 'angle', 'ends' => ['p', 't'], 'value' => 40, 'sigma' => 0.4]],
            2,
        ],
        'a rod, and a tape to its first point' => [
            [['id' => 't']],
            [['kind' => 'rod', 'end' => 't', 'points' => ['A', 'B'], 'sigma' => 1], ['kind' => 'tape', 'between' => ['A', 't'], 'value' => 60, 'sigma' => 1]],
            1,
        ],
    ];
});

it('refuses what is wrong, each at its field', function (array $problem, array $fields) {
    $answer = surveyed($problem);
    expect($answer['status'])->toBe('refused')
        ->and(array_map(static fn (array $one): string => "$one[what] $one[field]", $answer['reasons']))->toBe($fields);
})->with(static function (): array {
    $end = [['id' => 't', 'at' => [0, 0, 0], 'dir' => [1, 0, 0]]];
    $box = ['id' => 'b', 'kind' => 'box', 'points' => ['A', 'B', 'C', 'C']];

    return [
        'another format' => [['format' => 'x'], ['invalid format']],
        'a sigma of nothing' => [surveyOf($end, [['kind' => 'tape', 'between' => ['A', 'B'], 'value' => 315, 'sigma' => 0]]), ['invalid readings/r0/sigma']],
        'a text for a number' => [surveyOf($end, [['kind' => 'dip', 'end' => 't', 'value' => '20', 'sigma' => 1]]), ['invalid readings/r0/value']],
        'no such place' => [surveyOf($end, [['kind' => 'tape', 'between' => ['A', 'Z'], 'value' => 1, 'sigma' => 1]]), ['unknown readings/r0/between']],
        'no such kind' => [surveyOf($end, [['kind' => 'guess', 'sigma' => 1]]), ['unknown readings/r0/kind']],
        'one id twice' => [
            surveyOf($end, [['kind' => 'dip', 'end' => 't', 'value' => 2, 'sigma' => 1, 'id' => 'x'], ['kind' => 'dip', 'end' => 't', 'value' => 3, 'sigma' => 1, 'id' => 'x']]),
            ['duplicate readings/x'],
        ],
        'a box without height' => [surveyOf($end, [], ['keepouts' => [$box]]), ['degenerate keepouts/b']],
        'an unknown corner' => [surveyOf($end, [], ['keepouts' => [[...$box, 'points' => ['A', 'B', 'C', 'Q']]]]), ['unknown keepouts/b/points']],
    ];
});

it('says of a file that is none that it is none', function () {
    expect(surveyedText('{')['reasons'])->toBe([['what' => 'invalid', 'field' => 'file', 'by' => []]]);
});

it('squares touched solids up, and grows them by how sure their points are', function () {
    $answer = surveyed(surveyOf([], [
        ['kind' => 'offset', 'of' => 'S', 'axis' => 'xyz', 'value' => [100, 0, 0], 'sigma' => 2.0],
    ], ['points' => [...KNOWN, ['id' => 'S']], 'keepouts' => [
        ['id' => 'shaft', 'kind' => 'capsule', 'points' => ['A', 'S'], 'diameter' => 40],
        ['id' => 'frame', 'kind' => 'halfspace', 'points' => ['A', 'B', 'C'], 'free' => 'left'],
        ['id' => 'starter', 'kind' => 'box', 'points' => ['A', 'S', 'B', 'C']],
    ]]));
    expect($answer['reasons'] ?? [])->toHaveCount(0)
        ->and($answer['keepouts']['shaft']['radius'])->toEqual(20)
        ->and($answer['keepouts']['shaft']['grow'])->toBeClose(1.6449 * 2.0, 1e-6)
        ->and($answer['keepouts']['frame']['normal'][1])->toBeGreaterThan(0.0);
    $axes = $answer['keepouts']['starter']['axes'];
    expect($axes[0])->toEqual([1, 0, 0])
        ->and(array_sum(array_map(static fn ($a, $b) => $a * $b, $axes[1], $axes[2])))->toBeClose(0.0, 0.0, 1e-12);
});

it('reads a mock-up of blocks off as a run, bends in one plane as one bend', function () {
    $answer = surveyed(surveyOf([], [], ['mockups' => [[
        'id' => 'm', 'pitch' => 25, 'click' => 15, 'clr' => 38, 'stock_clr' => 50, 'blocks' => [
            ['straight' => 2], ['clicks' => 3], ['bend' => 45], ['clicks' => 1], ['clicks' => -1], ['bend' => 45],
            ['straight' => 1], ['clicks' => 12], ['bend' => 30], ['straight' => 3],
        ],
    ]]]))['mockups']['m'];
    expect($answer['bends'])->toEqual([
        ['length' => 50, 'rotation' => 45, 'angle' => 90, 'clr' => 38],
        ['length' => 25, 'rotation' => 180, 'angle' => 30, 'clr' => 38],
    ])->and($answer['last'])->toEqual(75)
        ->and($answer['length'])->toBeClose(150 + 38 * deg2rad(120), 1e-9)
        // 12 mm more radius move the end by 12 along each leg of the square bend, and by that of the second on top.
        ->and($answer['moved'][0])->toBeClose(12 + 12 * (1 - cos(deg2rad(30))), 1e-9)
        ->and(hypot($answer['moved'][1], $answer['moved'][2]))->toBeClose(12 + 12 * sin(deg2rad(30)), 1e-9);
});

it('holds one end against the other bank, mirrored', function () {
    $ends = [
        ['id' => 'left', 'at' => [0, 300, 0], 'dir' => [0, 1, -0.2]],
        ['id' => 'right', 'at' => [2, -301, 0], 'dir' => [0, -1, -0.2]],
    ];
    $mirror = ['plane' => 'y', 'at' => 0, 'pairs' => [['left', 'right']]];
    [$check] = surveyed(surveyOf($ends, [], ['mirror' => $mirror]))['mirror'];
    expect($check['gap'])->toEqual([-2, -1, 0])->and($check['angle'])->toBeClose(0.0, 0.0, 1e-9)->and($check['differs'])->toBeTrue();
});

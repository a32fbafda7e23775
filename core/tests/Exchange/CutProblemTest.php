<?php

declare(strict_types=1);

use UpsweptBead\Core\Cut\Problem\CutProblem;
use UpsweptBead\Core\Cut\Problem\Impossible;
use UpsweptBead\Core\Cut\Problem\Refusal;
use UpsweptBead\Core\Document\Fault;
use UpsweptBead\Core\Document\UnusableDocument;
use UpsweptBead\Core\Exchange\CutProblemReader;

/**
 * Two runs of one tube, one with a bend: 400 mm of it in a piece with legs, the rest straight.
 *
 * @param  array<string, mixed>  $change
 * @return array<string, mixed>
 */
function cutCase(array $change = []): array
{
    return array_replace_recursive([
        'format' => 'cut-problem/1',
        'name' => 'two runs',
        'tubes' => ['t' => ['od' => 41.28, 'wall' => 1.65]],
        'stock' => [
            ['id' => 'stick', 'tube' => 't', 'kind' => 'stick', 'length' => 1500, 'count' => null, 'cost' => 40],
            ['id' => 'b90', 'tube' => 't', 'kind' => 'bend', 'clr' => 50.8, 'angle' => 90, 'legs' => [101.6, 139.7], 'count' => 4],
        ],
        'rules' => [
            'kerf' => 2, 'end_trim' => 5, 'hold' => 60, 'least_piece' => 20, 'joint_spacing' => 8.25,
            'long_by' => ['joint' => 1, 'end' => 6], 'joint_cost' => 25, 'cut_cost' => 3,
        ],
        'runs' => [
            ['id' => 'A', 'tube' => 't', 'elements' => [['straight' => 80], ['bend' => 90, 'clr' => 50.8], ['straight' => 190]]],
            ['id' => 'B', 'tube' => 't', 'elements' => [['straight' => 200]]],
        ],
    ], $change);
}

/**
 * @param  array<string, mixed>  $case
 * @return CutProblem|list<string> the problem, or what is wrong and where
 */
function cutRead(array $case): CutProblem|array
{
    $read = CutProblemReader::read(json_encode($case, JSON_THROW_ON_ERROR));

    return $read instanceof CutProblem
        ? $read
        : array_map(static fn (Fault $one): string => "$one->path $one->message", $read);
}

/**
 * @param  array<string, mixed>  $case
 * @return list<Refusal>
 */
function cutRefusals(array $case): array
{
    $read = cutRead($case);
    expect($read)->toBeInstanceOf(CutProblem::class);
    assert($read instanceof CutProblem);

    return Impossible::in($read);
}

it('reads runs and stock as chains along their centreline', function () {
    $problem = cutRead(cutCase());
    assert($problem instanceof CutProblem);
    // Worked by hand: an arc is radius times angle.
    $arc = 50.8 * M_PI / 2;
    expect($problem->runs[0]->chain->lengthMm)->toBeClose(80 + $arc + 190, 1e-12, 0)
        ->and($problem->runs[0]->chain->bends()[0]['from'])->toBe(80.0)
        ->and($problem->stock[1]->chain->lengthMm)->toBeClose(101.6 + $arc + 139.7, 1e-12, 0)
        ->and($problem->stock[0]->usableMm())->toBe(1490.0)
        ->and($problem->stock[0]->count)->toBeNull()
        ->and($problem->runs[1]->lastLongMm)->toBe(6.0)
        ->and(Impossible::in($problem))->toBe([]);
});

it('replaces the extra length at an end of a run that says so', function () {
    $problem = cutRead(cutCase(['runs' => [['ends' => ['last' => ['long_by' => 0]]]]]));
    assert($problem instanceof CutProblem);
    expect([$problem->runs[0]->firstLongMm, $problem->runs[0]->lastLongMm])->toBe([6.0, 0.0]);
});

it('names every fault at its place', function (array $change, string $fault) {
    $wrong = cutRead(cutCase($change));
    expect($wrong)->toBeArray()->and(implode("\n", is_array($wrong) ? $wrong : []))->toContain($fault);
})->with([
    'a negative length' => [['stock' => [['length' => -1]]], 'stock[0].length is -1, but must be 0 or more'],
    'no length' => [['stock' => [['length' => 0]]], 'stock[0].length must be more than 0'],
    'a word for a number' => [['rules' => ['kerf' => 'thin']], 'rules.kerf must be a number'],
    'a rule left out' => [['rules' => ['hold' => null]], 'rules.hold is missing'],
    'an unknown tube' => [['runs' => [['tube' => 'u']]], 'runs[0].tube "u" is none of the tubes'],
    'an id twice' => [['stock' => [1 => ['id' => 'stick']]], 'stock[1].id "stick" is there already'],
    'a run twice' => [['runs' => [1 => ['id' => 'A']]], 'runs[1].id "A" is there already'],
    'an unknown kind' => [['stock' => [['kind' => 'plank']]], 'stock[0].kind must be one of'],
    'half a bend' => [['stock' => [1 => ['count' => 1.5]]], 'stock[1].count must be a whole number'],
    'a zone backwards' => [['runs' => [['no_joint' => [[30, 10]]]]], 'runs[0].no_joint[0] must be two stations'],
    'neither straight nor bend' => [['runs' => [['elements' => [2 => ['straight' => null]]]]], 'runs[0].elements[2] must be a straight or a bend'],
    'a bend of nothing' => [['runs' => [['elements' => [1 => ['bend' => 0]]]]], 'runs[0].elements[1].bend must be more than 0'],
]);

it('lists all faults of a file, not only the first', function () {
    expect(cutRead(cutCase(['rules' => ['kerf' => -1, 'hold' => -2], 'runs' => [['tube' => 'u']]])))->toHaveCount(3);
});

it('takes an infinite number for none', function () {
    $json = str_replace('"length":1500', '"length":1e999', json_encode(cutCase(), JSON_THROW_ON_ERROR));
    $read = CutProblemReader::read($json);
    expect(is_array($read) ? $read[0]->path : '')->toBe('stock[0].length');
});

it('is no cut problem without being JSON of that format', function (string $text) {
    CutProblemReader::read($text);
})->with(['{', '[]', '{"format":"route-case/1"}', '{"length": NaN}'])->throws(UnusableDocument::class);

// The format says by how much: degrees too many, mm to the nearest tangent or edge, mm that a piece lacks.
it('names what no plan of cuts can meet, and by how much', function (array $change, string $field, ?float $by) {
    $refusals = cutRefusals(cutCase($change));
    expect($refusals)->toHaveCount(1)
        ->and($refusals[0]->field)->toBe($field);
    $by === null ? expect($refusals[0]->by)->toBeNull() : expect($refusals[0]->by)->toBeClose($by, 1e-9, 1e-9);
})->with([
    'an angle above every bend' => [['runs' => [['elements' => [1 => ['bend' => 100]]]]], 'runs[0].elements[1].bend', 10.0],
    'a radius that is not sold' => [['runs' => [['elements' => [1 => ['clr' => 60]]]]], 'runs[0].elements[1].clr', null],
    'a joint inside a bend' => [['runs' => [['joints' => [92]]]], 'runs[0].joints[0]', 12.0],
    'a joint inside a zone' => [['runs' => [1 => ['joints' => [100], 'no_joint' => [[70, 120]]]]], 'runs[1].joints[0]', 20.0],
    'a joint beyond its run' => [['runs' => [1 => ['joints' => [205]]]], 'runs[1].joints[0]', 5.0],
    // 12 mm from end to joint, with 6 and 1 left long: 19 mm as cut, a piece has 20.
    'too short a piece' => [['runs' => [1 => ['joints' => [12]]]], 'runs[1].joints', 1.0],
    'joints too near' => [['rules' => ['least_piece' => 0], 'runs' => [1 => ['joints' => [100, 106]]]], 'runs[1].joints', 2.25],
    'a shelf without enough bends' => [['stock' => [1 => ['angle' => 90, 'count' => 1]], 'runs' => [1 => ['elements' => [['straight' => 50], ['bend' => 45, 'clr' => 50.8]]]]], 'stock', 45.0],
    'a shelf without enough tube' => [['stock' => [['length' => 110, 'count' => 1], ['count' => 1]], 'runs' => [1 => ['elements' => [['straight' => 400]]]]], 'stock', 80 + 190 + 400 - 100 - 101.6 - 139.7],
]);

it('wants a place for the joint between two bends', function () {
    $bend = ['bend' => 45, 'clr' => 50.8];
    $from = 50.8 * M_PI / 4;
    $refused = static function (float $least) use ($bend, $from): array {
        $case = cutCase();
        $case['runs'][1]['elements'] = [$bend, ['straight' => 100], $bend];
        $case['runs'][1]['no_joint'] = [[$least, $from + 107]];

        return cutRefusals($case);
    };
    $refusals = $refused($from - 5);
    expect($refusals[0]->field)->toBe('runs[1].no_joint[0]')
        ->and($refusals[0]->by)->toBeClose(5.0, 1e-9, 1e-9)
        // A joint may lie at the edge of a zone, here at the tangent.
        ->and($refused($from))->toBe([]);
});

<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Document\Fault;
use UpsweptBead\Core\Base\Document\Refusal;
use UpsweptBead\Core\Base\Document\UnusableDocument;
use UpsweptBead\Core\Exchange\Files\CutProblemReader;
use UpsweptBead\Core\Solve\Nest\Problem\CutProblem;
use UpsweptBead\Core\Solve\Nest\Problem\Impossible;

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
    expect($refusals[0]->field)->toBe($field);
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
    // The only elbow there is for it has no room for the extra length of its ends.
    'an elbow without room' => [
        ['stock' => [1 => ['kind' => 'elbow']], 'runs' => [['elements' => [['straight' => 0], ['bend' => 90, 'clr' => 50.8], ['straight' => 0]]]]],
        'runs[0].elements[1].bend', 12.0,
    ],
    // 200 mm that must stay in one piece before a bend: the longer leg has 139.7, and 6 mm are left long.
    'a zone longer than a leg' => [['runs' => [['elements' => [['straight' => 200]], 'no_joint' => [[0, 210]]]]], 'runs[0].no_joint[0]', 200 + 6 - 139.7],
    'a whole piece longer than a stick' => [['runs' => [1 => ['elements' => [['straight' => 1600]], 'no_joint' => [[0, 1600]]]]], 'runs[1].no_joint[0]', 1600 + 12 - 1490],
    'a run shorter than a piece' => [['rules' => ['least_piece' => 30], 'runs' => [1 => ['elements' => [['straight' => 10]]]]], 'runs[1].elements', 8.0],
]);

it('says what is lacking on a shelf from which nothing can be bought, as pieces, degrees and mm', function () {
    $bends = cutRefusals(cutCase([
        'stock' => [1 => ['count' => 1]],
        'runs' => [1 => ['elements' => [['straight' => 50], ['bend' => 45, 'clr' => 50.8]]]],
    ]));
    // Each cut but the last takes 2 mm of the bend.
    expect(array_column($bends, 'field'))->toBe(['stock', 'stock'])
        ->and($bends[0]->by)->toBe(1.0)
        ->and($bends[1]->by)->toBeClose(45 + rad2deg(2 / 50.8), 1e-9, 1e-9);
    $tube = cutRefusals(cutCase([
        'stock' => [['length' => 110, 'count' => 1], ['count' => 1]],
        'runs' => [1 => ['elements' => [['straight' => 400]]]],
    ]));
    expect($tube)->toHaveCount(1)
        ->and($tube[0]->by)->toBeClose(80 + 190 + 400 + 4 * 6 - 100 - 101.6 - 139.7, 1e-9, 1e-9);
});

it('takes a shelf for enough where three bends of 60 degrees come from three of 90, and not from two', function (int $count, int $refused) {
    $bend = ['bend' => 60, 'clr' => 50.8];
    $refusals = cutRefusals(cutCase([
        'stock' => [1 => ['count' => $count]],
        'runs' => [['elements' => [1 => $bend]], ['elements' => [['straight' => 30], $bend, ['straight' => 40], $bend]]],
    ]));
    expect($refusals !== [])->toBe($refused === 1);
})->with([[3, 0], [2, 1]]);

it('names both the zone and the stock where one piece would have to be too long', function () {
    $refusals = cutRefusals(cutCase(['runs' => [1 => ['elements' => [['straight' => 1600]], 'no_joint' => [[0, 1600]]]]]));
    expect(array_column($refusals, 'field'))->toBe(['runs[1].no_joint[0]', 'stock']);
});

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

<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Document\Fault;
use UpsweptBead\Core\Base\Document\UnusableDocument;
use UpsweptBead\Core\Base\Geometry\Solid\Box;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Exchange\Files\ProblemCollectors;
use UpsweptBead\Core\Exchange\Files\ProblemKeepOuts;
use UpsweptBead\Core\Exchange\Files\ProblemNumbers;
use UpsweptBead\Core\Exchange\Files\RouteProblemReader;
use UpsweptBead\Core\Exchange\Files\RouteProblemWriter;
use UpsweptBead\Core\Solve\Route\Problem\AssignmentMode;
use UpsweptBead\Core\Solve\Route\Problem\Inlet;
use UpsweptBead\Core\Solve\Route\Problem\InletRing;
use UpsweptBead\Core\Solve\Route\Problem\RouteProblem;
use UpsweptBead\Core\Tests\Support\SomeSets;

covers(ProblemCollectors::class, ProblemKeepOuts::class, ProblemNumbers::class);

it('reads what a problem file says', function () {
    $problem = SomeSets::problem('05-around-a-box');
    $box = $problem->keepOuts[1];
    expect($problem->ports[0]->tube->bends[0]->radiusMm)->toBe(50.8)
        ->and($problem->ports[0]->tube->bends[1]->maxAngleDeg)->toBe(90.0)
        ->and($problem->rules->limits->lastStraightMm)->toBe(50.8)
        ->and($box instanceof Box ? $box->halfMm : 'no box')->toBe([85.0, 115.0, 85.0])
        ->and($problem->keepOuts[0]->exemptFirstMm)->toBe(70.0);
});

it('says at which place a problem file is wrong, and what would be right', function (
    Closure $break,
    string $path,
    string $message,
) {
    $document = SomeSets::document('08-inline-four');
    $break($document);
    $read = RouteProblemReader::read(json_encode($document, JSON_THROW_ON_ERROR));
    expect($read)->toBeArray();
    $found = array_filter($read, static fn (Fault $problem): bool => $problem->path === $path);
    expect(
        array_map(static fn (Fault $problem): string => $problem->message, array_values($found))[0] ??
            'nothing at '.$path,
    )->toContain($message);
})->with([
    'a zero direction' => [
        function (array &$d) {
            $d['ports'][1]['dir'] = [0, 0, 0];
        },
        'ports[1].dir',
        'three numbers that are not all 0',
    ],
    'two ports of one name' => [
        function (array &$d) {
            $d['ports'][1]['id'] = '1';
        },
        'ports[1].id',
        'another port already',
    ],
    'an unknown tube' => [
        function (array &$d) {
            $d['ports'][0]['tube'] = 'x';
        },
        'ports[0].tube',
        'not the name of one of the tubes',
    ],
    'a text for a number' => [
        function (array &$d) {
            $d['rules']['gap'] = 'wide';
        },
        'rules.gap',
        'must be a number',
    ],
    'a negative gap' => [
        function (array &$d) {
            $d['rules']['gap'] = -1;
        },
        'rules.gap',
        'must not be negative',
    ],
    'a misspelt member' => [
        function (array &$d) {
            $d['rules']['gab'] = 3;
        },
        'rules.gab',
        'is not a field',
    ],
    'a runner without a port' => [
        function (array &$d) {
            $d['collectors'][0]['assignment']['order'][] = '9';
        },
        'collectors[0].assignment',
        'names no port',
    ],
    'a port without an inlet' => [
        function (array &$d) {
            array_pop($d['collectors'][0]['assignment']['order']);
        },
        'collectors',
        'give the port 2 no inlet',
    ],
    'a bar without length' => [
        function (array &$d) {
            $d['keepouts'][1]['to'] = $d['keepouts'][1]['from'];
        },
        'keepouts[1].to',
        'another point',
    ],
    'an unknown solid' => [
        function (array &$d) {
            $d['keepouts'][1]['type'] = 'cone';
        },
        'keepouts[1].type',
        'halfspace, box, cylinder, capsule',
    ],
    'a point of two numbers' => [
        function (array &$d) {
            $d['ports'][0]['at'] = [1, 2];
        },
        'ports[0].at',
        'three numbers',
    ],
    'numbers without end' => [
        function (array &$d) {
            $d['ports'][0]['at'] = [1e300, 0, 0];
        },
        'ports[0].at[0]',
        'must lie between',
    ],
    'too many bends' => [
        function (array &$d) {
            $d['rules']['max_bends'] = 40;
        },
        'rules.max_bends',
        'between 0 and 6',
    ],
]);

it('refuses what is no problem file', function (string $json) {
    RouteProblemReader::read($json);
})
    ->with(['', '{', '[]', '{"format": "route-case/2"}', '{"format": "other"}', str_repeat('[', 100)])
    ->throws(UnusableDocument::class);

it('knows every permitted way into a collector', function (AssignmentMode $mode, int $runners, int $inlets, int $ways) {
    $make = static fn (int $i): Inlet => new Inlet("i$i", new Vector($i, 0, 0), new Vector(1, 0, 0));
    $collector = new InletRing(
        'C',
        array_map($make, range(1, $inlets)),
        $mode,
        array_map(strval(...), range(1, $runners)),
        range(0, $runners - 1),
    );
    $assignments = $collector->assignments();
    expect($assignments)->toHaveCount($ways);
    foreach ($assignments as $places) {
        expect(array_unique($places))->toHaveCount($runners);
    }
})->with([
    'fixed' => [AssignmentMode::Fixed, 4, 4, 1],
    'any of four in four' => [AssignmentMode::Any, 4, 4, 24],
    'any of two in three' => [AssignmentMode::Any, 2, 3, 6],
    'four round four, both senses' => [AssignmentMode::Cyclic, 4, 4, 8],
    'three round four, beside each other' => [AssignmentMode::Cyclic, 3, 4, 8],
    'two round two' => [AssignmentMode::Cyclic, 2, 2, 2],
]);

it('reads back what the writer wrote, for every problem there is', function (string $file) {
    $problem = SomeSets::problem(basename($file, '.json'));
    $again = RouteProblemReader::read(json_encode(RouteProblemWriter::toArray($problem), JSON_THROW_ON_ERROR));
    // Directions are normalised again, so their last digit may move.
    $plain = static function (RouteProblem $one): array {
        $array = json_decode(json_encode(RouteProblemWriter::toArray($one), JSON_THROW_ON_ERROR), true);
        array_walk_recursive(
            $array,
            static fn (mixed & $value): mixed => is_float($value) ? ($value = round($value, 9)) : null,
        );

        return $array;
    };
    expect($again)->toBeInstanceOf(RouteProblem::class)->and($plain($again))->toEqual($plain($problem));
})->with(fn () => (array) glob(dirname(__DIR__, 2).'/problems/*.json'));

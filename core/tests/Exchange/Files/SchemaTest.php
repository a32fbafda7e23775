<?php

declare(strict_types=1);

use UpsweptBead\Core\Exchange\Files\RouteProblemReader;
use UpsweptBead\Core\Exchange\Files\RouteProblemWriter;
use UpsweptBead\Core\Exchange\Files\RouteSolutionWriter;
use UpsweptBead\Core\Solve\Route\Problem\RouteProblem;
use UpsweptBead\Core\Solve\Route\Search\SetSolver;
use UpsweptBead\Core\Tests\Support\Schemas;

function problemFile(string $name): string
{
    return (string) file_get_contents(dirname(__DIR__, 2)."/problems/$name.json");
}

it('publishes a schema that every shipped route problem keeps to, read and written again', function () {
    $files = (array) glob(dirname(__DIR__, 2).'/problems/*.json');
    expect(count($files))->toBeGreaterThan(5);
    foreach ($files as $file) {
        $text = (string) file_get_contents((string) $file);
        $problem = RouteProblemReader::read($text);
        expect($problem)->toBeInstanceOf(RouteProblem::class)
            ->and(json_decode($text))->toBeAn('RouteProblem')
            ->and(RouteProblemWriter::toArray($problem))->toBeAn('RouteProblem');
    }
});

it('answers a route problem as the schema of solutions says, solved or not', function (
    string $name,
    float $seconds,
    string $status,
) {
    $problem = RouteProblemReader::read(problemFile($name));
    assert($problem instanceof RouteProblem);
    $now = 0.0;
    $clock = static function () use (&$now): float {
        return $now += 1e-4;
    };
    $answer = RouteSolutionWriter::toArray($problem, (new SetSolver($problem, 1, $clock))->solve($seconds));
    expect($answer)->toBeAn('RouteSolution')->and($answer['status'])->toBe($status);
})->with([
    'solved' => ['01-two-bends', 1.0, 'solved'],
    'proved to be impossible' => ['14-no-room', 1.0, 'infeasible'],
    'not found in no time' => ['20-inline-six', 0.0, 'not-found'],
]);

it('refuses by schema what the reader refuses', function (callable $spoil) {
    $problem = json_decode(problemFile('01-two-bends'), true);
    $spoilt = $spoil($problem);
    expect(Schemas::wrong($spoilt, 'RouteProblem'))->not->toBe('')
        ->and(RouteProblemReader::read((string) json_encode($spoilt)))->toBeArray();
})->with([
    'a member of another program' => [static fn (array $one): array => [...$one, 'colour' => 'red']],
    'a tube without bends' => [
        static fn (array $one): array => [
            ...$one,
            'tubes' => array_map(static fn (array $tube): array => [...$tube, 'bends' => []], $one['tubes']),
        ],
    ],
    'a bend past a half turn' => [
        static fn (array $one): array => [
            ...$one,
            'tubes' => array_map(
                static fn (array $tube): array => [...$tube, 'bends' => [['radius' => 50, 'max_angle' => 181]]],
                $one['tubes'],
            ),
        ],
    ],
    'a port in two coordinates' => [
        static fn (array $one): array => [
            ...$one,
            'ports' => array_map(static fn (array $port): array => [...$port, 'at' => [1, 2]], $one['ports']),
        ],
    ],
]);

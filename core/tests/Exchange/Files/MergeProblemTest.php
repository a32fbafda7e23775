<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Document\Fault;
use UpsweptBead\Core\Base\Document\UnusableDocument;
use UpsweptBead\Core\Exchange\Files\MergeCollectors;
use UpsweptBead\Core\Exchange\Files\MergeProblemReader;
use UpsweptBead\Core\Tests\Support\Mutations;
use UpsweptBead\Core\Tests\Support\SomeMerges;

covers(MergeCollectors::class);

/**
 * @param  array<string, mixed>  $problem
 * @return list<string> the places of a file that are wrong
 */
function mergeFaults(array $problem): array
{
    $read = MergeProblemReader::read(json_encode($problem, JSON_THROW_ON_ERROR));

    return array_map(
        static fn ($one): string => $one instanceof Fault ? $one->path : '?',
        is_array($read) ? $read : [],
    );
}

it('names every field that is wrong, and nothing else', function (string $name, array $change, array $fields) {
    expect(mergeFaults(array_replace_recursive(SomeMerges::shipped($name), $change)))->toBe($fields);
})->with([
    'a negative wall and no od' => ['03-straight-4', ['tubes' => [['od' => null, 'wall' => -1]]], ['tubes[0].od', 'tubes[0].wall']],
    'no od, so that nothing can be said of its wall' => ['16-saddle-60-offset', ['branch' => ['od' => -50.8]], ['branch.od']],
    'a wall as thick as the tube' => ['16-saddle-60-offset', ['branch' => ['wall' => 30]], ['branch.wall']],
    'two names alike' => ['03-straight-4', ['tubes' => [1 => ['id' => 'A']]], ['tubes[1].id']],
    'no outlet' => ['03-straight-4', ['outlet' => ['diameter' => null]], ['outlet']],
    'two outlets' => ['03-straight-4', ['outlet' => ['plane' => 100]], ['outlet']],
    'a lean of 60' => ['03-straight-4', ['half_angle' => 60], ['half_angle']],
    'a bend of more than a right angle' => ['10-bent-4-run-on', ['bend' => ['angle' => 91]], ['bend.angle']],
    'a full turn in a table' => ['03-straight-4', ['psi' => [2 => 360]], ['psi[2]']],
    'a branch along the main' => ['16-saddle-60-offset', ['angle' => 180], ['angle']],
    'no seat' => ['16-saddle-60-offset', ['seat' => null], ['seat']],
    'half a weld' => ['23-piecut-check', ['welds' => 2.5], ['welds']],
    'an unknown kind' => ['23-piecut-check', ['kind' => 'knot'], ['kind']],
]);

it('takes two to six tubes', function (int $count, array $fields) {
    $problem = SomeMerges::shipped('03-straight-4');
    $problem['inlet_radius'] = 80;
    $problem['outlet'] = ['plane' => 450];
    $problem['tubes'] = array_map(static fn (int $i): array => ['id' => "T$i", 'od' => 44.45, 'wall' => 1.65], $count === 0 ? [] : range(1, $count));
    expect(mergeFaults($problem))->toBe($fields);
})->with([[0, ['tubes']], [1, ['tubes']], [6, []], [7, ['tubes']]]);

it('refuses what is no merge problem at all', function (string $text) {
    expect(fn () => MergeProblemReader::read($text))->toThrow(UnusableDocument::class);
})->with(['{"kind": "slip"}', 'no json', '[]', '{"format": "merge-problem/1", "x": NaN}', fn () => str_repeat('[', 100)]);

it('answers or refuses, whatever was done to a file, and what it says can be sent', function (int $seed) {
    $mutations = new Mutations($seed);
    $files = array_map(
        static fn (string $name): array => SomeMerges::shipped($name),
        ['03-straight-4', '10-bent-4-run-on', '16-saddle-60-offset', '23-piecut-check'],
    );
    $files[] = ['format' => 'merge-problem/1', 'case' => 's', 'kind' => 'slip', 'upstream' => ['od' => 41.28, 'wall' => 1.65], 'depth' => 50,
        'downstream' => ['od' => 45, 'wall' => 1.5], 'lead_in' => 6, 'clearance' => 0.4, 'max_clearance' => 1, 'max_expand_pct' => 12, 'legs' => ['upstream' => 60]];
    $seen = [];
    for ($i = 0; $i < 200; $i++) {
        $document = $mutations->of([...$files[$i % 5], 'psi' => [0, 90]]);
        try {
            $answer = SomeMerges::answer(['case' => '', ...$document]);
            $seen[is_string($answer['status']) ? $answer['status'] : ''] = true;
            expect(json_encode($answer, JSON_THROW_ON_ERROR))->toBeString();
        } catch (UnusableDocument $error) {
            expect($error->getMessage())->not->toBe('');
        }
    }
    expect(array_keys($seen))->toEqualCanonicalizing(['solved', 'refused']);
})->with([1, 2, 3]);

it('reads a number beyond all numbers as out of range', function () {
    $text = str_replace('"half_angle": 9', '"half_angle": 1e999', (string) file_get_contents(dirname(__DIR__, 2).'/problems/merge/03-straight-4.json'));
    $read = MergeProblemReader::read($text);
    expect(is_array($read) && $read[0] instanceof Fault ? $read[0]->path : '')->toBe('half_angle');
});

<?php

declare(strict_types=1);

use UpsweptBead\Core\Solve\Route\Problem\LengthGroup;
use UpsweptBead\Core\Solve\Route\Search\Chance;
use UpsweptBead\Core\Solve\Route\Search\Groups;
use UpsweptBead\Core\Solve\Route\Search\InletChoices;
use UpsweptBead\Core\Solve\Route\Search\InletSharing;
use UpsweptBead\Core\Tests\Support\SomeSets;
use UpsweptBead\Core\Tests\Support\SomeWays;

covers(InletChoices::class);

/**
 * @param  array<string, mixed>  $document
 * @return list<string> each way of sharing out, the inlets in the order of the ports
 */
function sharings(array $document): array
{
    $all = (new InletSharing(SomeSets::problem($document)))->assignments(new Chance(1), 10_000);
    $texts = array_map(static fn (array $inlets): string => implode(' ', $inlets), $all);
    sort($texts);

    return $texts;
}

it('takes the tubes round the collector in firing order: four places to begin, either way round', function () {
    $document = SomeSets::document('08-inline-four');
    $order = $document['collectors'][0]['assignment']['order'];
    $ports = array_column($document['ports'], 'id');
    $expected = [];
    foreach ([[0, 1, 2, 3], [3, 2, 1, 0]] as $round) {
        for ($turn = 0; $turn < 4; $turn++) {
            $inlet = [];
            foreach ($order as $k => $runner) {
                $inlet[$runner] = $round[($k + $turn) % 4];
            }
            $expected[] = implode(' ', array_map(static fn (string $port): int => $inlet[$port], $ports));
        }
    }
    sort($expected);
    expect(sharings($document))->toBe($expected);
});

it('takes every order where any will do: 4! = 24, each once', function () {
    $document = SomeSets::document('08-inline-four');
    $document['collectors'][0]['assignment'] = ['mode' => 'any', 'runners' => ['1', '2', '3', '4']];
    $all = sharings($document);
    expect(array_unique($all))->toHaveCount(24);
    foreach ($all as $one) {
        $inlets = explode(' ', $one);
        sort($inlets);
        expect($inlets)->toBe(['0', '1', '2', '3']);
    }
});

it('draws some of them where there are too many to look at, never one that is not permitted', function () {
    $problem = SomeSets::problem('08-inline-four');
    $sharing = new InletSharing($problem);
    $all = $sharing->assignments(new Chance(1), 10_000);
    $some = $sharing->assignments(new Chance(2), 3);
    expect($some)->toHaveCount(3);
    foreach ($some as $one) {
        expect($all)->toContain($one);
    }
});

it('counts the inlets of a second collector on from those of the first', function () {
    $two = null;
    foreach ((array) glob(dirname(__DIR__, 3).'/problems/*.json') as $file) {
        $document = SomeSets::document(basename((string) $file, '.json'));
        if (count($document['collectors']) === 2) {
            $two = SomeSets::problem($document);
        }
    }
    $sharing = new InletSharing($two ?? throw new LogicException('no problem with two collectors'));
    $first = count($two->collectors[0]->inlets);
    expect(array_intersect($sharing->groups[0], $sharing->groups[1]))->toBe([]);
    foreach ($sharing->groups[1] as $port) {
        expect(min(array_keys($sharing->spans[$port])))->toBeGreaterThanOrEqual($first);
    }
    foreach ($sharing->assignments(new Chance(1), 50) as $inlets) {
        expect(array_unique($inlets))->toHaveCount(count($two->ports));
        foreach ($inlets as $port => $inlet) {
            expect($sharing->spans[$port])->toHaveKey($inlet);
        }
    }
});

it('measures lengths against their target, or against the middle of what the tubes have', function () {
    $ways = [
        SomeWays::through('A', [[0, 0, 0], [0, 400, 0]]),
        SomeWays::through('B', [[50, 0, 0], [50, 410, 0]]),
        SomeWays::through('C', [[99, 0, 0], [99, 700, 0]]),
    ];
    $free = new Groups([new LengthGroup(['A', 'B'], null, 1.0)]);
    // Middle 405 mm; 1 % of it is 4.05 mm, and both lie 5 mm off.
    expect($free->commons($ways))->toBe([405.0])
        ->and($free->breach($ways))->toBeClose(5.0 - 4.05, 0, 1e-9)
        ->and($free->of('A'))->toBe(0)
        ->and($free->of('C'))->toBeNull();
    $set = new Groups([new LengthGroup(['A', 'B'], 402.0, 1.0)]);
    expect($set->breach($ways))->toBeClose(8.0 - 4.02, 0, 1e-9)
        ->and($set->isFree(0))->toBeFalse()
        ->and($free->isFree(0))->toBeTrue()
        ->and((new Groups([new LengthGroup(['A', 'B'], 402.0, 2.0)]))->breach($ways))->toBe(0.0);
});

<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Shop\Practice\Memo;
use UpsweptBead\Core\Stage\Layout\Gap;
use UpsweptBead\Core\Stage\Layout\Lines;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeHeader;
use UpsweptBead\Core\Tests\Support\SomeRoutedSets;

covers(Lines::class);

/**
 * The gaps of two runs of the header's tube (44.45 mm), each with a route of its own.
 *
 * @param  list<array<string, mixed>>  $routes
 * @param  array<string, mixed>  $set
 * @return list<Gap>
 */
function gapsOf(float $apartMm, array $routes, array $set = []): array
{
    $document = SomeHeader::document();
    $document['runs'] = array_slice($document['runs'], 0, 2);
    foreach ($routes as $i => $route) {
        $document['runs'][$i]['start']['at'] = [$i * $apartMm, 0, 0];
        $document['runs'][$i]['start']['direction'] = [0, 1, 0];
        $document['runs'][$i]['route'] = $route;
    }
    $document['set'] = [...['collectors' => [], 'keepOuts' => [], 'lengths' => []], ...$set];
    $job = JobReader::fromDecoded($document)->job ?? throw new LogicException('unreadable');

    return Planner::sketch($job, Some::shop())->layout->gaps;
}

const STRAIGHT = ['bends' => [], 'endStraight' => 300];

it('measures straight runs beside each other', function () {
    $gap = gapsOf(60, [STRAIGHT, STRAIGHT])[0];
    expect($gap->isRun)->toBeTrue()
        ->and($gap->gapMm)->toBeClose(60 - 44.45, 0, 1e-9)
        ->and($gap->from->x)->toBeClose(0.0)
        ->and($gap->to?->x)->toBeClose(60.0);
});

it('measures a half turn, which has no vertex', function () {
    $back = ['bends' => [['straight' => 100, 'rotation' => 90, 'angle' => 180, 'clr' => 50.8]], 'endStraight' => 40];
    [$near] = gapsOf(160, [$back, STRAIGHT]);
    // The half turn comes back 2 · 50.8 mm nearer to the other than it began.
    expect($near->gapMm)->toBeClose(160 - 101.6 - 44.45, 0, 0.01);
});

it('asks for the narrow gap only between runs of one collector, near their ends', function () {
    $collector = [['name' => 'One', 'runs' => ['A', 'B'], 'assignment' => 'fixed', 'firing' => []]];
    $short = ['bends' => [], 'endStraight' => 40];
    [$apart] = gapsOf(60, [$short, $short]);
    [$together] = gapsOf(60, [$short, $short], ['collectors' => $collector]);
    expect($together->gapMm)->toBeClose($apart->gapMm)->and($together->neededMm)->toBeLessThan($apart->neededMm);
});

it('gives a line only to what comes near', function () {
    expect(gapsOf(400, [STRAIGHT, STRAIGHT]))->toBe([]);
});

it('measures to a keep-out by its own clearance, or by the shop’s', function () {
    $box = [
        'name' => 'Box',
        'kind' => 'other',
        'shape' => 'box',
        'at' => [-70, 150, 0],
        'direction' => [1, 0, 0],
        'size' => [40, 60, 60],
    ];
    // Its face at −50 mm; half the tube of 44.45 leaves 27.775.
    [$gap] = gapsOf(400, [STRAIGHT, STRAIGHT], ['keepOuts' => [$box]]);
    [$own] = gapsOf(400, [STRAIGHT, STRAIGHT], ['keepOuts' => [[...$box, 'clearance' => 30]]]);
    expect($gap->other)->toBe('Box')
        ->and($gap->isRun)->toBeFalse()
        ->and($gap->gapMm)->toBeClose(50 - 44.45 / 2, 0, 1e-9)
        ->and($gap->to)->toBeNull()
        ->and($gap->isKept())->toBeTrue()
        ->and($own->neededMm)->toBeClose(30.0)
        ->and($own->isKept())->toBeFalse();
});

it('grants as much as the judge of the route format does', function (float $gapMm, bool $isKept) {
    expect((new Gap('A', 'B', true, $gapMm, 6.0, new Vector(0, 0, 0), null))->isKept())->toBe($isKept);
})->with([[6.0, true], [5.951, true], [5.949, false], [6.3, true]]);

it('gives the same with a memory of what it measured, and measures nothing twice', function () {
    $memo = new class implements Memo
    {
        /** @var array<string, mixed> */
        public array $kept = [];

        public int $found = 0;

        public int $keptLast = 0;

        public function recall(array $keys): array
        {
            $known = array_intersect_key($this->kept, array_flip($keys));
            $this->found = count($known);

            return $known;
        }

        public function keep(array $values): void
        {
            $this->kept = [...$this->kept, ...$values];
            $this->keptLast = count($values);
        }
    };
    $job = SomeRoutedSets::header();
    $shop = Some::shop();
    $plain = Planner::sketch($job, $shop)->layout->gaps;
    $first = Planner::sketch($job, $shop->withMemo($memo))->layout->gaps;
    $asked = count($memo->kept);
    $again = Planner::sketch($job, $shop->withMemo($memo))->layout->gaps;
    // What is near and what is too far for a line are both remembered.
    expect($first)->toEqual($plain)->and($again)->toEqual($plain)
        ->and($asked)->toBeGreaterThan(count($plain))
        ->and($memo->found)->toBe($asked)
        ->and($memo->keptLast)->toBe(0)
        ->and($memo->kept)->toHaveCount($asked);
});

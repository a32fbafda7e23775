<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Shop\Practice\Memo;
use UpsweptBead\Core\Solve\Run\Bend;
use UpsweptBead\Core\Solve\Run\FarEnd;
use UpsweptBead\Core\Solve\Run\TubeRun;
use UpsweptBead\Core\Stage\Fit\Access\Access;
use UpsweptBead\Core\Stage\Fit\Access\Cups;
use UpsweptBead\Core\Stage\Fit\Access\JointAccess;
use UpsweptBead\Core\Stage\Fit\Access\JointScene;
use UpsweptBead\Core\Stage\Fit\Access\RootView;
use UpsweptBead\Core\Stage\Joint\JointType;
use UpsweptBead\Core\Stage\Layout\RoutedRun;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Stage\Plan\Sketch;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeRoutedSets;

covers(Cups::class, JointScene::class);

/**
 * Two straight tubes of 1 5/8 in side by side along x, each of two pieces that meet in the middle.
 *
 * @param  float  $apartMm  between their middles
 */
function sideBySide(float $apartMm): Sketch
{
    $run = static fn (string $letter, float $y): array => [
        'letter' => $letter,
        'name' => "Tube $letter",
        'tube' => 'T1.625x.065',
        'start' => ['kind' => 'open', 'at' => [0, $y, 0], 'direction' => [1, 0, 0], 'metal' => '304L', 'wall' => '1.65 mm'],
        'end' => ['kind' => 'open', 'at' => [800, $y, 0], 'direction' => [1, 0, 0], 'metal' => '304L', 'wall' => '1.65 mm'],
        'route' => ['bends' => [], 'endStraight' => '800 mm', 'cuts' => ['joints' => ['400 mm']]],
    ];
    $document = JobWriter::toArray(Some::job());
    $document['job']['units'] = 'metric';
    $document['runs'] = [$run('A', 0.0), $run('B', $apartMm)];
    $reading = JobReader::fromDecoded($document);

    return Planner::sketch($reading->job ?? throw new LogicException($reading->faults[0]->message ?? ''), Some::shop());
}

/** @return array<string, JointAccess> */
function accessOf(Sketch $sketch): array
{
    return Access::of($sketch->job, $sketch->layout, $sketch->joints, Some::shop())->joints;
}

it('gets all round a butt that stands alone, with the cup the shop likes', function () {
    $access = accessOf(sideBySide(600.0));
    expect($access['AJ1']->alone->isWhole())->toBeTrue()
        ->and($access['AJ1']->alone->cup)->toBe(12)
        ->and($access['AJ1']->alone->isLong)->toBeFalse()
        ->and($access['AJ1']->together)->toEqual($access['AJ1']->alone)
        ->and($access['AJ1']->by)->toBe([]);
});

// Worked by hand: the neighbour lies to one side, so what is lost lies there and is the same on both sides of it.
it('loses the side on which a neighbour stands, and says whose it is', function () {
    $access = accessOf(sideBySide(41.275 + 10.0));
    $one = $access['AJ1'];
    // The index mark is up; y is to the left of someone looking along x, a quarter turn back from the mark.
    $closedDeg = [];
    for ($deg = 0; $deg < 360; $deg += 5) {
        $isOpen = array_filter($one->together->arcs, static fn (array $arc): bool => ($deg >= $arc[0] && $deg <= $arc[1])
            || ($deg + 360 >= $arc[0] && $deg + 360 <= $arc[1]));
        if ($isOpen === []) {
            $closedDeg[] = $deg;
        }
    }
    $middle = array_sum($closedDeg) / max(1, count($closedDeg));
    expect($one->alone->isWhole())->toBeTrue()
        ->and($one->by)->toBe(['B'])
        ->and($one->together->share)->toBeGreaterThan(0.3)->toBeLessThan(0.9)
        ->and($middle)->toBeClose(270.0, 0, 5.0)
        ->and($access['BJ1']->together->share)->toBeClose($one->together->share, 0, 0.03);
});

it('gets round less on the vehicle than on the bench, where a frame rail stands beside it', function () {
    $document = JobWriter::toArray(Planner::sketch(sideBySide(600.0)->job, Some::shop())->job);
    $document['set']['keepOuts'] = [[
        'name' => 'Rail', 'kind' => 'frame', 'shape' => 'box', 'at' => [400, -70, 0], 'size' => [300, 60, 100],
    ]];
    $job = JobReader::fromDecoded($document)->job ?? throw new LogicException('unreadable');
    $one = accessOf(Planner::sketch($job, Some::shop()))['AJ1'];
    expect($one->together->isWhole())->toBeTrue()
        ->and($one->inPlace->share)->toBeLessThan(0.95)
        // Seen with the flow along x, with up as the mark, the rail at −y lies to the right: a quarter turn on.
        ->and(array_filter($one->inPlace->arcs, static fn (array $arc): bool => $arc[0] <= 90.0 && $arc[1] >= 90.0))->toBe([]);
});

it('loses the more, the nearer the neighbour stands', function () {
    $last = 1.0;
    foreach ([200.0, 60.0, 30.0, 10.0] as $gapMm) {
        $share = accessOf(sideBySide(41.275 + $gapMm))['AJ1']->together->share;
        expect($share)->toBeLessThanOrEqual($last + 0.01, "$gapMm mm apart");
        $last = $share;
    }
    expect($last)->toBeLessThan(0.9);
});

it('gets into the corner of a flange with the tungsten far out', function () {
    $sketch = Planner::sketch(SomeRoutedSets::header(), Some::shop());
    foreach (accessOf($sketch) as $one) {
        if ($sketch->joints->find($one->joint)?->type === JointType::FlangeFillet) {
            expect($one->alone->isLong)->toBeTrue()->and($one->alone->share)->toBeGreaterThan(0.9);
        }
    }
});

it('knows every weld that a torch comes to from outside', function () {
    $sketch = Planner::sketch(SomeRoutedSets::header(), Some::shop());
    $inside = [JointType::FlangeSeal, JointType::DonutSeam];
    $access = accessOf($sketch);
    foreach ($sketch->joints->welds() as $joint) {
        expect(isset($access[$joint->id]))->toBe(! in_array($joint->type, $inside, true), $joint->id);
    }
});

it('is worked out once for the same routes and joints', function () {
    $memo = new class implements Memo
    {
        /** @var array<string, mixed> */
        public array $known = [];

        public int $kept = 0;

        public function recall(array $keys): array
        {
            return array_intersect_key($this->known, array_flip($keys));
        }

        public function keep(array $values): void
        {
            $this->known = [...$this->known, ...$values];
            $this->kept += count(array_filter(array_keys($values), static fn (string $key): bool => str_starts_with($key, 'access')));
        }
    };
    $shop = Some::shop()->withMemo($memo);
    $sketch = sideBySide(60.0);
    expect(Access::known($sketch->job, $sketch->layout, $sketch->joints, $shop))->toBeNull();
    $access = Access::of($sketch->job, $sketch->layout, $sketch->joints, $shop);
    expect(Access::of($sketch->job, $sketch->layout, $sketch->joints, $shop))->toEqual($access)
        ->and(Access::known($sketch->job, $sketch->layout, $sketch->joints, $shop))->toEqual($access)
        ->and($memo->kept)->toBe(1);
    $moved = sideBySide(61.0);
    expect(Access::known($moved->job, $moved->layout, $moved->joints, $shop))->toBeNull();
});

it('sees a root through a straight bore, from the nearer end, and not round a bend', function () {
    [$straight] = sideBySide(600.0)->layout->runs;
    $view = RootView::of($straight, 250.0);
    expect($view->share)->toBe(1.0)->and($view->from)->toBe('start')->and($view->distanceMm)->toBe(250.0)
        ->and(RootView::of($straight, 600.0)->from)->toBe('end');
    $around = new TubeRun(Frame::facing(new Vector(0, 0, 0), new Vector(1, 0, 0)), [
        new Bend(100, 0, 90, 76.2), new Bend(200, 0, 90, 76.2),
    ], 100);
    $bent = new RoutedRun($straight->spec, 'runs[0]', $straight->tube, $around, FarEnd::of($around, $around->end()));
    expect(RootView::of($bent, 60.0)->share)->toBe(1.0)
        ->and(RootView::of($bent, 60.0)->from)->toBe('start')
        ->and(RootView::of($bent, $around->lengthMm() - 30.0)->from)->toBe('end')
        // Between two quarter turns neither end is in sight.
        ->and(RootView::of($bent, $around->lengthMm() / 2)->share)->toBe(0.0)
        ->and(RootView::of($bent, $around->lengthMm() / 2)->from)->toBe('');
});

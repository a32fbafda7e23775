<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Document\Faults;
use UpsweptBead\Core\Base\Document\Node;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Exchange\Screens\FigureWriter;
use UpsweptBead\Core\Exchange\Screens\SetPlanWriter;
use UpsweptBead\Core\Solve\Route\Search\FoundDesign;
use UpsweptBead\Core\Solve\Route\Search\FoundRun;
use UpsweptBead\Core\Solve\Route\Search\Hindrance;
use UpsweptBead\Core\Solve\Route\Search\Lack;
use UpsweptBead\Core\Solve\Route\Search\Miss;
use UpsweptBead\Core\Solve\Route\Search\SetAnswer;
use UpsweptBead\Core\Solve\Route\Search\SetRefusal;
use UpsweptBead\Core\Solve\Route\Search\SetStatus;
use UpsweptBead\Core\Tests\Support\SomeWays;

covers(FoundRun::class);

/** @param  array<array-key, mixed>  $value */
function stored(array $value): Node
{
    $again = json_decode(json_encode($value, JSON_THROW_ON_ERROR), true, 64, JSON_THROW_ON_ERROR);

    return Node::wrap(['format' => 'stored', 'all' => $again], 'stored', null, new Faults())->at('all');
}

/** @param  float  $aside  how far the second run goes further out, mm */
function foundDesign(float $aside = 0.0): FoundDesign
{
    $ways = [
        SomeWays::through('A', [[0, 0, 0], [200, 0, 0], [200, 200, 0], [200, 200, -300]]),
        SomeWays::through('B', [[0, 90, 0], [260 + $aside, 90, 0], [260 + $aside, 90, -300]]),
    ];

    return FoundDesign::of(new SetAnswer(SetStatus::Solved, $ways, 54.321, bestSeconds: 1.25), 3);
}

it('keeps a design as it was found, to the last digit, through being stored', function () {
    $found = foundDesign();
    $again = FoundDesign::read(stored($found->toArray()));
    expect($again->toArray())->toEqual($found->toArray())->and($again->lengthsMm())->toEqual($found->lengthsMm());
});

it('says how many bends there are, how long the tubes are, and where each ends', function () {
    $found = foundDesign();
    expect($found->bends())->toBe(3)->and($found->seed)->toBe(3);
    // Two legs of a right angle on 50 mm lose 2 · 50 at the vertex and win a quarter of 2π · 50.
    $saved = 100 - M_PI * 25;
    expect($found->lengthsMm()[0])->toBeClose(200 + 200 + 300 - 2 * $saved, 0, 1e-9)
        ->and($found->lengthsMm()[1])->toBeClose(260 + 300 - $saved, 0, 1e-9)
        ->and($found->runs[0]->run->end()->at->distanceTo($found->runs[0]->at))->toBeLessThan(1e-9)
        ->and($found->runs[1]->inlet)->toBe('B');
});

it('tells designs apart by how far their runs lie from one another, and takes those for one that nobody could', function () {
    $apart = foundDesign(40.0)->apartMm(foundDesign());
    expect($apart['A'])->toBeClose(0.0, 0, 1e-9)
        // Its lower leg lies 40 mm further out; the longer way is walked in longer parts.
        ->and($apart['B'])->toBeGreaterThan(40.0)->toBeLessThan(45.0)
        ->and(foundDesign(40.0)->isLike(foundDesign()))->toBeFalse()
        ->and(foundDesign(5.0)->isLike(foundDesign()))->toBeTrue();
});

it('says of each design how it differs from the one before it that is most like it', function () {
    $written = (new SetPlanWriter(new FigureWriter(UnitSystem::Metric)))->found([foundDesign(), foundDesign(90.0), foundDesign(50.0)]);
    expect(array_column($written, 'differs'))->sequence(
        static fn ($first) => $first->toBe(''),
        static fn ($second) => $second->toStartWith('Beside design 1: other ways for B by 9'),
        // 40 mm from the second, 50 from the first.
        static fn ($third) => $third->toStartWith('Beside design 2: other ways for B by 4'),
    );
});

it('makes no design of an answer that has none', function () {
    FoundDesign::of(new SetAnswer(SetStatus::Infeasible), 1);
})->throws(LogicException::class);

it('keeps why nothing was found through being stored', function () {
    foreach (
        [
            new SetRefusal(
                [
                    new Hindrance('A', 'wall', Lack::Clearance, 3.25, 'moving it'),
                    new Hindrance('B', null, Lack::Turn, 9.0, 'more bends'),
                ],
                null,
            ),
            new SetRefusal([], new Miss('A', '', Lack::Bend, 0.75)),
            new SetRefusal([], null),
        ] as $refusal
    ) {
        expect(SetRefusal::read(stored($refusal->toArray())))->toEqual($refusal);
    }
    expect(
        SetRefusal::of(new SetAnswer(SetStatus::NotFound, nearest: new Miss('A', 'B', Lack::Gap, 1.0)))?->nearest?->other,
    )
        ->toBe('B')
        ->and(SetRefusal::of(new SetAnswer(SetStatus::Solved)))->toBeNull();
});

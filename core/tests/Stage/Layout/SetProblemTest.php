<?php

declare(strict_types=1);

use UpsweptBead\Core\Shop\Stock\Exception\UnknownStock;
use UpsweptBead\Core\Solve\Route\Problem\StockBend;
use UpsweptBead\Core\Stage\Layout\SetProblem;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeHeader;

it('knows each radius once, by the greatest angle it is made to and the shortest leg a bend has', function () {
    // 1 5/8 in: 45°, 90° and 180° on 2, 2 1/2 and 3 in, clamped leg 4 in, pulled leg 6 in (the shipped catalogue).
    $tube = SetProblem::tube('T1.625x.065', Some::shop());
    expect($tube->odMm)->toBeClose(41.275)
        ->and(
            array_map(
                static fn (StockBend $bend): array => [
                    round($bend->radiusMm, 3),
                    $bend->maxAngleDeg,
                    round($bend->legMm, 3),
                ],
                $tube->bends,
            ),
        )
        ->toBe([[50.8, 180.0, 101.6], [63.5, 180.0, 101.6], [76.2, 180.0, 101.6]]);
});

it('refuses tube that no bend is made of', function () {
    SetProblem::tube('T9.999x.065', Some::shop());
})->throws(UnknownStock::class);

it('asks the search for what the job says: its ports, what they lead to, what is in the way', function () {
    $job = SomeHeader::job();
    $problem = SetProblem::of($job, Some::shop());
    expect(array_column($problem->ports, 'id'))->toBe(array_column($job->runs, 'letter'))
        ->and($problem->collectors[0]->inlets)->toHaveCount(4)
        ->and($problem->collectors[0]->runners)->toBe($job->set->collectors[0]->firing);
    foreach ($job->runs as $i => $run) {
        expect($problem->ports[$i]->at->distanceTo($run->start->frame()->at))->toBeClose(0.0, 0, 1e-9);
    }
});

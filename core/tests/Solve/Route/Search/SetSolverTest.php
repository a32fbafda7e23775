<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Mesh\MeshBuilder;
use UpsweptBead\Core\Base\Geometry\Solid\Box;
use UpsweptBead\Core\Base\Geometry\Solid\KeepOut;
use UpsweptBead\Core\Base\Geometry\Solid\MeshSolid;
use UpsweptBead\Core\Solve\Route\Problem\Port;
use UpsweptBead\Core\Solve\Route\Problem\RouteProblem;
use UpsweptBead\Core\Solve\Route\Search\SetAnswer;
use UpsweptBead\Core\Solve\Route\Search\SetSolver;
use UpsweptBead\Core\Solve\Route\Search\SetStatus;
use UpsweptBead\Core\Solve\Route\Search\Way;
use UpsweptBead\Core\Tests\Support\SomeMeshes;
use UpsweptBead\Core\Tests\Support\SomeSets;

it('answers whole sets so that an independent judge finds nothing wrong', function (string $name, int $most) {
    $answer = SomeSets::solve(SomeSets::problem($name), 90);
    expect($answer->status)->toBe(SetStatus::Solved);
    $verdict = SomeSets::judged($name, $answer);
    expect($verdict['failures'])->toBe([])
        ->and($verdict['objective'])->toBeClose($answer->objective, 1e-4)
        ->and($verdict['objective'])->toBeLessThan($most);
})->with([
    'one tube between skew axes' => ['01-two-bends', 24],
    'one tube round a box' => ['05-around-a-box', 42],
    'an inline four, equal lengths' => ['08-inline-four', 165],
    'an inline six into two threes' => ['20-inline-six', 260],
    'a V8, bank by bank' => ['21-vee-eight', 340],
    'five weld elbows below a turbine' => ['22-weld-elbows-five', 200],
    'an opposed four' => ['23-opposed-four', 170],
    'a target length' => ['24-target-four', 170],
    'a box too near for whole angles' => ['25-tight-at-the-box', 40],
]);

it('does the same work for the same seed', function () {
    $problem = SomeSets::problem('08-inline-four');
    $vertices = static fn (SetAnswer $answer): array => array_map(
        static fn (Way $way): array => $way->vertices,
        $answer->ways,
    );
    expect($vertices(SomeSets::solveAfresh($problem, 30, 5)))->toBe($vertices(SomeSets::solveAfresh($problem, 30, 5)));
});

it('tells each better answer as it comes, and stops when told to', function () {
    $told = [];
    $solver = new SetSolver(SomeSets::problem('08-inline-four'), 1, SomeSets::ticking(), static function (
        SetAnswer $answer,
    ) use (&$told): bool {
        $told[] = $answer->objective;

        return count($told) < 2;
    });
    $answer = $solver->solve(5.0);
    expect($told)->toHaveCount(2)->and($told[1])->toBeLessThan($told[0])->and($answer->objective)->toBe($told[1]);
});

it('stops when it is asked to', function () {
    $asked = 0;
    $solver = new SetSolver(SomeSets::problem('08-inline-four'), 1, SomeSets::ticking(), null, static function () use (
        &$asked,
    ): bool {
        return ++$asked > 3;
    });
    $solver->solve(1000);
    expect($asked)->toBeLessThan(40);
});

it('refuses what cannot be built, naming the tube, the keep-out and by how much', function () {
    $answer = SomeSets::solve(SomeSets::problem('14-no-room'));
    expect($answer->status)->toBe(SetStatus::Infeasible)
        ->and($answer->reasons)->toHaveCount(1)
        ->and($answer->reasons[0]->runner)->toBe('2')
        ->and($answer->reasons[0]->by)->toBe('rail')
        // It needs 108.84 mm before its port to turn at all; the rail stands at 96.
        ->and($answer->reasons[0]->amount)->toBeClose(12.84, 1e-3);
});

it('finds a way as soon as the rail is moved by what was said, and a little for the inlet', function () {
    $document = SomeSets::document('14-no-room');
    $document['keepouts'][1]['centre'][1] += 12.84 + 25;
    expect(SomeSets::solve(SomeSets::problem($document))->status)->not->toBe(SetStatus::Infeasible);
});

it('says that nothing was found, and what the nearest miss lacks, where it can prove nothing', function () {
    $document = SomeSets::document('08-inline-four');
    $document['rules']['max_bends'] = 2;
    $document['rules']['gap'] = 30;
    $answer = SomeSets::solve(SomeSets::problem($document), 8);
    expect($answer->status)->toBe(SetStatus::NotFound)
        ->and($answer->ways)->toBe([])
        ->and($answer->nearest?->byMm)->toBeGreaterThan(0);
});

it('moves its answer with the whole problem', function (int $seed) {
    $document = SomeSets::document('01-two-bends');
    $before = SomeSets::solve(SomeSets::problem($document));
    $moved = SomeSets::solve(SomeSets::problem(SomeSets::moved($document, $seed)));
    expect($moved->objective)->toBeClose($before->objective, 1e-6)
        ->and($moved->ways[0]->length)->toBeClose($before->ways[0]->length, 1e-6)
        ->and(SomeSets::judged(SomeSets::moved($document, $seed), $moved)['failures'])->toBe([]);
})->with([1, 2, 3]);

it('gives the mirrored answer to the mirrored problem', function () {
    $document = SomeSets::document('01-two-bends');
    $mirrored = SomeSets::mirrored($document);
    $answer = SomeSets::solve(SomeSets::problem($mirrored));
    expect($answer->objective)->toBeClose(SomeSets::solve(SomeSets::problem($document))->objective, 1e-9)
        ->and(SomeSets::judged($mirrored, $answer)['failures'])->toBe([]);
});

it('never comes out better for one keep-out more', function (array $centre) {
    $document = SomeSets::document('01-two-bends');
    $free = SomeSets::solve(SomeSets::problem($document), 30);
    $document['keepouts'][] = ['id' => 'more', 'type' => 'box', 'centre' => $centre, 'size' => [60, 60, 60]];
    $answer = SomeSets::solve(SomeSets::problem($document), 30);
    // No answer at all counts as endlessly dear.
    expect($answer->objective)->toBeGreaterThanOrEqual($free->objective - 1e-9);
})->with([[[60, 160, -20]], [[120, 120, -80]], [[150, 190, -30]]]);

it('finds its way round a mesh as round the solid it is of', function () {
    // The box of the example as triangles: what is found with them is judged against the box itself.
    $problem = SomeSets::problem('05-around-a-box');
    $keepOuts = array_map(static function (KeepOut $one): KeepOut {
        if (! ($one instanceof Box)) {
            return $one;
        }

        return new MeshSolid(
            $one->id,
            MeshBuilder::build(SomeMeshes::box($one->halfMm)),
            $one->centre,
            $one->axes,
            $one->clearanceMm,
            $one->exemptFirstMm,
            $one->exemptLastMm,
        );
    }, $problem->keepOuts);
    $answer = SomeSets::solve(
        new RouteProblem(
            $problem->name,
            $problem->rules,
            $problem->ports,
            $problem->collectors,
            $keepOuts,
            $problem->lengths,
        ),
        400,
    );
    expect($answer->status)->toBe(SetStatus::Solved)
        ->and(SomeSets::judged('05-around-a-box', $answer)['failures'])->toBe([]);
});

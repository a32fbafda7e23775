<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Exchange\Files\RouteProblemJob;
use UpsweptBead\Core\Exchange\Files\RouteProblemWriter;
use UpsweptBead\Core\Exchange\Files\RouteSolutionReader;
use UpsweptBead\Core\Exchange\Files\RouteSolutionWriter;
use UpsweptBead\Core\Exchange\Files\RunTables;
use UpsweptBead\Core\Exchange\Files\RunTablesReader;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\Run\RouteChoice;
use UpsweptBead\Core\Job\Run\RouteRow;
use UpsweptBead\Core\Job\Set\DesignRun;
use UpsweptBead\Core\Job\Set\DesignSpec;
use UpsweptBead\Core\Shop\Stock\Catalogue;
use UpsweptBead\Core\Stage\Layout\SetProblem;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeHeader;
use UpsweptBead\Core\Tests\Support\SomeSets;

/** The header with four seeded routes, none of which need end anywhere. */
function routedHeader(int $seed): Job
{
    $job = SomeHeader::job();
    foreach (['A', 'B', 'C', 'D'] as $i => $letter) {
        $run = Some::run(Some::dice(10 * $seed + $i), 2 + ($i % 3));
        $rows = array_map(
            static fn ($bend): RouteRow => new RouteRow(
                Length::ofMm(round($bend->straightMm, 3)),
                round($bend->rotationDeg, 4),
                round($bend->angleDeg, 4),
                Length::ofMm(round($bend->clrMm, 3)),
            ),
            $run->bends,
        );
        $job = $job->routed($letter, new RouteChoice($rows, Length::ofMm(round($run->endStraightMm, 3))));
    }

    return $job;
}

it('gives the same table again when a table of bends is read back', function (int $seed) {
    $job = routedHeader($seed);
    $lra = RunTables::lra(Planner::plan($job, Some::shop()));
    $read = RunTablesReader::read($lra, SomeHeader::job());
    expect($read->rejected)->toBe([]);
    $again = $job;
    foreach ($read->routes as $letter => $route) {
        $again = $again->routed($letter, $route);
    }
    expect(RunTables::lra(Planner::plan($again, Some::shop())))->toBe($lra);
})->with(range(1, 8));

it('comes back from bends to vertices to bends', function (int $seed) {
    $plan = Planner::plan(routedHeader($seed), Some::shop());
    $read = RunTablesReader::read(RunTables::xyz($plan), SomeHeader::job());
    expect($read->rejected)->toBe([])->and($read->routes)->toHaveCount(4);
    foreach ($plan->layout->runs as $one) {
        $back = $read->routes[$one->spec->letter]->from($one->spec->start->frame());
        // Written to a thousandth of a millimetre, read back as near as that allows.
        expect($back->end()->at->distanceTo($one->run->end()->at))->toBeLessThan(0.02)
            ->and($back->lengthMm())->toBeClose($one->run->lengthMm(), 0, 0.02);
    }
})->with(range(1, 8));

it('takes headings with other units, semicolons and decimal commas', function () {
    $read = RunTablesReader::read(
        "run;bend;straight_in;rotation_deg;angle_deg;clr_in\nA;1;2,5;-90;45;3\nA;end;4;;;\n",
        SomeHeader::job(),
    );
    expect($read->rejected)->toBe([])
        ->and($read->routes['A']->rows[0]->straight->mm)->toBeClose(63.5)
        ->and($read->routes['A']->rows[0]->rotationDeg)->toBe(-90.0)
        ->and($read->routes['A']->endStraight->mm)->toBeClose(101.6);
});

it('says of a line that cannot be used why, and keeps the other runs', function (string $lines, string $why) {
    $read = RunTablesReader::read(
        "run,bend,straight_mm,rotation_deg,angle_deg,clr_mm\nB,1,50,0,45,76.2\nB,end,80,,,\n$lines",
        SomeHeader::job(),
    );
    expect($read->routes)->toHaveKey('B')
        ->and($read->routes)->toHaveCount(1)
        ->and($read->rejected[0]['why'] ?? '')->toContain($why);
})->with([
    'no such run' => ["Q,1,50,0,45,76.2\n", 'no run "Q"'],
    'no end' => ["A,1,50,0,45,76.2\n", 'no line "end"'],
    'a bend after the end' => ["A,end,50,,,\nA,1,50,0,45,76.2\n", 'after the end'],
    'a word' => ["A,1,fifty,0,45,76.2\nA,end,1,,,\n", 'fifty'],
    'too far round' => ["A,1,50,0,245,76.2\nA,end,1,,,\n", 'at most 180'],
    'backwards' => ["A,1,-50,0,45,76.2\nA,end,1,,,\n", 'negative'],
]);

it('refuses vertices that start elsewhere, or leave in another direction', function (string $second, string $why) {
    $text = "run,point,x_mm,y_mm,z_mm,clr_mm\n$second";
    expect(RunTablesReader::read($text, SomeHeader::job())->rejected[0]['why'] ?? '')->toContain($why);
})->with([
    'elsewhere' => ["A,0,50,0,0,\nA,1,50,100,0,50\nA,2,200,100,0,\n", 'starts 50.0 mm from the port'],
    'aside' => ["A,0,0,0,0,\nA,1,100,100,0,50\nA,2,300,100,0,\n", 'off the direction of its port'],
    'too short for its bend' => ["A,0,0,0,0,\nA,1,0,9.85,-1.74,76.2\nA,2,300,9.85,-1.74,\n", 'too short'],
]);

it('wants to know its columns', function () {
    expect(RunTablesReader::read("A,1,50,0,45,76.2\n", SomeHeader::job())->rejected[0]['why'])->toContain(
        'must name the columns',
    );
});

it('takes an answer to the exported problem over as a design that closes every run', function () {
    $job = SomeHeader::job();
    $problem = SetProblem::of($job, Some::shop());
    $answer = SomeSets::solve($problem, 40);
    $json = json_encode(RouteSolutionWriter::toArray($problem, $answer), JSON_THROW_ON_ERROR);
    $design = RouteSolutionReader::read($json, $job, 'answer');
    assert($design instanceof DesignSpec);
    expect($design->runs)->toHaveCount(4);
    foreach ($design->runs as $run) {
        assert($run instanceof DesignRun);
        $start = $job->run($run->letter)?->start->frame() ?? throw new LogicException('no run');
        $end = $run->route->from($start)->end();
        expect(
            hypot(hypot($end->at->x - $run->at[0]->mm, $end->at->y - $run->at[1]->mm), $end->at->z - $run->at[2]->mm),
        )->toBeLessThan(0.05);
    }
});

it('does not take an answer that is none, or for other runs', function (callable $change, string $path) {
    $document = $change([
        'format' => 'route-solution/1',
        'case' => 'x',
        'status' => 'solved',
        'runners' => [['id' => 'A', 'inlet' => 'A', 'vertices' => [[0, 98.5, -17.4]], 'radii' => [50.8]]],
    ]);
    $read = RouteSolutionReader::read(json_encode($document, JSON_THROW_ON_ERROR), SomeHeader::job(), 'answer');
    expect($read)->toBeArray()
        ->and(implode(' ', array_map(static fn ($one): string => $one->path, is_array($read) ? $read : [])))
        ->toContain($path);
})->with([
    'not found' => [fn (array $it): array => ['status' => 'not-found'] + $it, 'status'],
    'another run' => [
        fn (array $it): array => array_replace_recursive($it, ['runners' => [['id' => 'Q']]]),
        'runners[0]',
    ],
    'a radius short' => [
        fn (array $it): array => array_replace($it, ['runners' => [['radii' => []] + $it['runners'][0]]]),
        'runners[0]',
    ],
    'no runners' => [fn (array $it): array => array_replace($it, ['runners' => []]), 'runners'],
]);

it('begins a job from a route problem that asks the same again', function (string $name) {
    $problem = SomeSets::problem($name);
    $job = RouteProblemJob::of($problem, Catalogue::shipped());
    $reading = JobReader::fromDecoded(UpsweptBead\Core\Job\JobWriter::toArray($job));
    expect($reading->faults)->toBe([]);
    $again = RouteProblemWriter::toArray(SetProblem::of($reading->job ?? $job, Some::shop()));
    $first = RouteProblemWriter::toArray($problem);
    expect(array_column($again['ports'], 'at'))->toEqual(array_column($first['ports'], 'at'))
        ->and(count($again['keepouts']))->toBe(count($first['keepouts']))
        ->and(array_column($again['keepouts'], 'clearance'))
        ->toEqual(array_map(static fn (array $one): float => (float) ($one['clearance'] ?? 12.0), $first['keepouts']))
        ->and(array_column($again['lengths'], 'target'))->toEqual(array_column($first['lengths'], 'target'));
})->with(['08-inline-four', '20-inline-six', '21-vee-eight', '23-opposed-four']);

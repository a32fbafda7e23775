<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Job\Run\BendPlane;
use UpsweptBead\Core\Solve\Route\Looks\Row;
use UpsweptBead\Core\Solve\Route\Problem\ObjectiveWeights;
use UpsweptBead\Core\Solve\Route\Problem\Port;
use UpsweptBead\Core\Solve\Route\Problem\Preference;
use UpsweptBead\Core\Solve\Route\Search\Appraisal;
use UpsweptBead\Core\Solve\Route\Search\SetAnswer;
use UpsweptBead\Core\Solve\Route\Search\SetStatus;
use UpsweptBead\Core\Solve\Route\Search\Way;
use UpsweptBead\Core\Tests\Support\SomeSets;

it('prefers what it is asked to prefer', function () {
    // Crowded elbows, where the three wishes lead to three designs of ten bends each.
    $problem = SomeSets::problem('22-weld-elbows-five');
    $with = static function (Preference $preference, int $rounds) use ($problem): array {
        $ways = SomeSets::solve(SomeSets::weighing($problem, ObjectiveWeights::of($preference)), $rounds)->ways;

        return [
            'length' => array_sum(array_map(static fn (Way $way): float => $way->length, $ways)),
            'turning' => array_sum(array_map(static fn (Way $way): float => $way->turning, $ways)),
        ];
    };
    $few = $with(Preference::FewBends, 100);
    expect($with(Preference::ShortTubes, 400)['length'])->toBeGreaterThan(0.0)->toBeLessThan($few['length'] - 10)
        ->and($with(Preference::LittleTurning, 300)['turning'])->toBeGreaterThan(0.0)->toBeLessThan($few['turning'] - 0.05);
});

it('evens the gaps of a row where that is to count, and pays for it', function () {
    $problem = SomeSets::problem('22-weld-elbows-five');
    $row = Row::of(array_map(static fn (Port $port): Vector => $port->at, $problem->ports));
    $odMm = array_map(static fn (Port $port): float => $port->tube->odMm, $problem->ports);
    $spread = static fn (SetAnswer $answer): ?float => $row->gapSpreadMm(
        array_map(static fn (Way $way): array => $way->evenly(24), $answer->ways),
        $odMm,
    );
    $even = SomeSets::solve(SomeSets::weighing($problem, (new ObjectiveWeights())->withLooks([], true, false)), 100);
    expect($spread($even))->toBeLessThan($spread(SomeSets::solve($problem, 100)) - 15);
    $verdict = SomeSets::judged('22-weld-elbows-five', $even);
    expect($verdict['failures'])->toBe([])->and($verdict['objective'])->toBeLessThan($even->objective);
});

it('makes one bank the mirror image of the other where that is to count', function () {
    // The opposed four without its stagger, its tubes as long as they like, any of them to any inlet.
    $document = SomeSets::document('23-opposed-four');
    $document['lengths'] = [];
    $document['ports'][2]['at'][0] -= 20;
    $document['ports'][3]['at'][0] -= 20;
    $document['collectors'][0]['assignment'] = ['mode' => 'any', 'runners' => ['1', '3', '2', '4']];
    $problem = SomeSets::problem($document);
    $mirrored = SomeSets::weighing($problem, (new ObjectiveWeights())->withLooks([], false, true));
    $mirror = (new Appraisal($mirrored))->mirror;
    $error = static fn (SetAnswer $answer): float => $mirror->errorMm(
        array_map(static fn (Way $way): array => $way->evenly(24), $answer->ways),
    );
    $answer = SomeSets::solve($mirrored, 80);
    expect($error($answer))->toBeLessThan(0.1)
        ->and($error(SomeSets::solve($problem, 80)))->toBeGreaterThan(20.0)
        ->and(SomeSets::judged($document, $answer)['failures'])->toBe([]);
});

it('turns bends in planes of the datum where that is to count', function () {
    $problem = SomeSets::problem('05-around-a-box');
    $weights = (new ObjectiveWeights())->withLooks(
        array_map(static fn (BendPlane $plane): Vector => $plane->normal(), BendPlane::cases()),
        false,
        false,
    );
    $off = static fn (SetAnswer $answer): float => array_sum(
        array_map(
            static fn (Way $way): float => $weights->offPlanes(
                array_merge(...array_map($way->unit(...), range(0, $way->bends()))),
            ),
            $answer->ways,
        ),
    );
    $flat = SomeSets::solve(SomeSets::weighing($problem, $weights), 30);
    expect($flat->status)->toBe(SetStatus::Solved)
        ->and($off($flat))->toBeLessThan(0.6 * $off(SomeSets::solve($problem, 30)));
});

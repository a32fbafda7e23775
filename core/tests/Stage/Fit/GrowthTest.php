<?php

declare(strict_types=1);

use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Shop\Stock\Catalogue;
use UpsweptBead\Core\Stage\Fit\Growth\GrowthPlan;
use UpsweptBead\Core\Stage\Fit\Growth\Loop;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeRoutedSets;

function growthOf(string $entry = 'welded'): GrowthPlan
{
    return Planner::plan(
        SomeRoutedSets::header(['set' => ['collectors' => [['entry' => $entry]]]]),
        Some::shop(),
    )->fit->growth;
}

// Worked by hand: 600 mm of 304 from 20 to 650 °C, a mean of 18.7 µm/m·K over 630 K: 7.07 mm.
it('grows as the sum of expansion, length and rise', function () {
    $steel = Catalogue::shipped()->expansion('304L');
    expect($steel->growthMm(600.0, 650.0))->toBeClose(7.07, 0, 0.005)
        ->and($steel->growthMm(600.0, 20.0))->toBe(0.0);
});

it('takes what lies between two temperatures of the table from a straight line, and what lies beyond from its end', function () {
    $steel = Catalogue::shipped()->expansion('304L');
    expect($steel->meanUmMK(595.0))->toBeClose((18.4 + 18.7) / 2)
        ->and($steel->meanUmMK(50.0))->toBe(17.3)
        ->and($steel->meanUmMK(900.0))->toBe(19.1);
});

// Mean expansion, from memory: ferritic 409 grows less than austenitic steel, mild steel too.
it('lets ferritic steel grow less', function () {
    $grow = static fn (string $metal): float => Catalogue::shipped()->expansion($metal)->growthMm(1000.0, 540.0);
    expect($grow('409'))->toBeLessThan($grow('mild'))->and($grow('mild'))->toBeLessThan($grow('304L'));
});

it('counts the line between two fixed places, whatever way the tube takes', function () {
    $plan = Planner::plan(Some::routedJob(), Some::shop());
    [$loop] = $plan->fit->growth->loops;
    $line = $plan->layout->runs[0]->line;
    $expected = Catalogue::shipped()->expansion('304L')->growthMm(
        $line->start->at->distanceTo($line->end->at),
        $plan->fit->growth->temperature->value,
    );
    expect($loop->growthMm)->toBeClose($expected)->and($loop->growthMm)->toBeLessThan(
        Catalogue::shipped()->expansion('304L')->growthMm($line->lengthMm, $plan->fit->growth->temperature->value),
    );
});

it('finds the two ports of a collector that lie farthest apart, and what gives way between them', function () {
    $tied = array_values(array_filter(growthOf()->loops, static fn (Loop $one): bool => count($one->runs) === 2));
    $slips = array_values(array_filter(growthOf('slip')->loops, static fn (Loop $one): bool => count($one->runs) === 2));
    expect($tied)->toHaveCount(1)
        ->and($tied[0]->isRigid())->toBeTrue()
        ->and($slips[0]->isRigid())->toBeFalse()
        ->and($slips[0]->taken)->toContain('slips')
        ->and($slips[0]->growthMm)->toBeClose($tied[0]->growthMm);
});

it('warns where nothing gives way, and not where bends take it', function () {
    $said = static fn (array $overrides): array => array_values(array_filter(
        array_column(Planner::plan(
            JobReader::fromDecoded([...JobWriter::toArray(SomeRoutedSets::header()), 'overrides' => $overrides])->job
                ?? throw new LogicException('unreadable'),
            Some::shop(),
        )->notices(), 'message'),
        static fn (string $text): bool => str_contains($text, 'wants to grow'),
    ));
    // Bends of two tubes take 4 mm between them; a hotter header wants more.
    expect($said([]))->toBe([])
        ->and($said([['figure' => 'growth.temperature', 'value' => '900 C', 'why' => 'on the dynamometer']]))->toHaveCount(1);
});

// Statics: a mass at the end of an arm; 1 kg at 1 m pulls with 9.81 N·m.
it('weighs what hangs on the start of a run', function () {
    $weight = new UpsweptBead\Core\Stage\Fit\Growth\Weight('A', 1.0, 1000.0, []);
    expect($weight->momentNm())->toBeClose(9.81);
    $plan = Planner::plan(Some::routedJob(), Some::shop());
    expect($plan->fit->growth->weights[0]->massKg)->toBeClose($plan->cut->massKg('A'), 1e-6);
});

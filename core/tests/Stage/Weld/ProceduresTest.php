<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Reason\Notice;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Exchange\Screens\FigureWriter;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Stage\Plan\Plan;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Tests\Support\Some;

/**
 * The example downpipe as a customer asks for it.
 *
 * @param  list<array<string, mixed>>  $procedures
 * @param  list<array<string, string>>  $overrides
 * @return array<string, mixed>
 */
function procedureJob(array $procedures, array $overrides = []): array
{
    return ['procedures' => $procedures, 'overrides' => $overrides] + JobWriter::toArray(Some::routedJob());
}

/** @param  array<string, mixed>  $document */
function plannedAs(array $document): Plan
{
    return Planner::plan(JobReader::fromDecoded($document)->job ?? throw new LogicException('unreadable'), Some::shop());
}

const BUTTS = ['name' => 'WPS-12 rev B', 'seams' => 'butts', 'settings' => ['amps' => '58 A', 'filler' => 'ER316L', 'oxygen' => '20 ppm']];

it('puts what a written procedure asks for before every proposal, for the seams it is for', function () {
    $plan = plannedAs(procedureJob([BUTTS]));
    [$butt, $fillet] = [$plan->weld->sheets['AJ2'], $plan->weld->sheets['AJ5']];
    expect($butt->settings['amps']->value)->toBe(58.0)
        ->and($butt->choices['filler']->value)->toBe('ER316L')
        ->and($butt->purge->value('target'))->toBe(20.0)
        ->and($butt->settings['amps']->override?->procedure)->toBe('WPS-12 rev B')
        ->and($fillet->settings['amps']->override)->toBeNull();
    // What follows from it follows: the pedal, the heat, the filling.
    $own = Some::plan()->weld->sheets['AJ2'];
    expect($butt->settings['pedal']->value)->toBeGreaterThan($own->settings['pedal']->value)
        ->and($butt->purge->value('fill'))->toBeGreaterThan($own->purge->value('fill'));
});

it('shows whose value it is', function () {
    $written = (new FigureWriter(UnitSystem::Metric))->figure(plannedAs(procedureJob([BUTTS]))->weld->sheets['AJ2']->settings['amps']);
    expect($written['override'])->toBe(['value' => '58 A', 'why' => '', 'procedure' => 'WPS-12 rev B'])
        ->and($written['proposed'])->toBe(Some::plan()->weld->sheets['AJ2']->settings['amps']->quantity->show(
            Some::plan()->weld->sheets['AJ2']->settings['amps']->value,
            UnitSystem::Metric,
        ));
});

it('takes the first procedure that is for a seam', function () {
    $all = ['name' => 'General', 'seams' => 'all', 'settings' => ['amps' => '45 A']];
    $plan = plannedAs(procedureJob([BUTTS, $all]));
    expect($plan->weld->sheets['AJ2']->settings['amps']->value)->toBe(58.0)
        ->and($plan->weld->sheets['AJ5']->settings['amps']->value)->toBe(45.0);
});

it('lets a person depart from it, and says so', function () {
    $plan = plannedAs(procedureJob([BUTTS], [['figure' => 'weld.AJ2.amps', 'value' => '50 A', 'why' => 'thin spot']]));
    $said = array_map(static fn (Notice $one): string => $one->message, $plan->weld->notices);
    expect($plan->weld->sheets['AJ2']->settings['amps']->value)->toBe(50.0)
        ->and(implode(' ', $said))->toContain('AJ2 departs from WPS-12 rev B: amps 50 A in place of 58 A');
});

it('keeps procedures in the job file', function () {
    $document = procedureJob([BUTTS]);
    $again = JobWriter::toArray(JobReader::fromDecoded($document)->job ?? throw new LogicException('unreadable'));
    expect($again['procedures'])->toEqual([BUTTS])->and($again)->toBeAn('JobDocument');
});

it('refuses a procedure that asks for nothing, or for what cannot be read', function (array $procedure, string $path) {
    $faults = JobReader::fromDecoded(procedureJob([$procedure]))->faults;
    expect(array_map(static fn ($one): string => $one->path, $faults))->toContain($path);
})->with([
    'nothing' => [['name' => 'X', 'settings' => []], 'procedures[0].settings'],
    'amps' => [['name' => 'X', 'settings' => ['amps' => 'plenty']], 'procedures[0].settings.amps'],
    'a stranger' => [['name' => 'X', 'settings' => ['volts' => '12']], 'procedures[0].settings.volts'],
    'no name' => [['name' => '', 'settings' => ['amps' => '50 A']], 'procedures[0].name'],
    'seams' => [['name' => 'X', 'seams' => 'tacks', 'settings' => ['amps' => '50 A']], 'procedures[0].seams'],
]);

<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Solve\Run\Bend;
use UpsweptBead\Core\Solve\Run\FarEnd;
use UpsweptBead\Core\Solve\Run\TubeRun;
use UpsweptBead\Core\Stage\Fit\Growth\Hung;
use UpsweptBead\Core\Stage\Fit\TackPattern;
use UpsweptBead\Core\Stage\Layout\RoutedRun;
use UpsweptBead\Core\Stage\Plan\Plan;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Tests\Support\Some;

/** @param  list<Bend>  $bends */
function hungRun(Vector $forward, array $bends, float $endMm): RoutedRun
{
    [$like] = Planner::sketch(Some::routedJob(), Some::shop())->layout->runs;
    $run = new TubeRun(Frame::facing(new Vector(0, 0, 0), $forward), $bends, $endMm);

    return new RoutedRun($like->spec, 'runs[0]', $like->tube, $run, FarEnd::of($run, $run->end()));
}

function inertiaMm4(RoutedRun $run): float
{
    return M_PI / 64 * ($run->tube->odMm ** 4 - $run->tube->idMm() ** 4);
}

// A level cantilever with a load at its end: F·L³/(3·E·I), any textbook of statics.
it('sags as a cantilever does where the tube is straight and level', function () {
    $run = hungRun(new Vector(1, 0, 0), [], 800.0);
    expect(Hung::mmPerN($run, 20.0))->toBeClose(800 ** 3 / (3 * 193000 * inertiaMm4($run)), 1e-3, 0.0);
});

// A quarter circle held at one end and loaded square to its plane at the other [Timoshenko, Strength of Materials, from
// memory]: F·R³·(π/4/(E·I) + (3π/4 − 2)/(G·J)), with G·J = E·I/(1 + ν) for a round tube.
it('sags as a quarter ring does, bent and twisted', function () {
    $radius = 300.0;
    $run = hungRun(new Vector(1, 0, 0), [new Bend(0, 90, 90, $radius)], 0.0);
    $flat = $run->line->end->at;
    expect(abs($flat->z))->toBeLessThan(1e-6);
    $share = M_PI / 4 + 1.3 * (3 * M_PI / 4 - 2);
    expect(Hung::mmPerN($run, 20.0))->toBeClose($share * $radius ** 3 / (193000 * inertiaMm4($run)), 1e-3, 0.0);
});

it('does not sag where it hangs straight down, and sags more when it is hot', function () {
    $level = hungRun(new Vector(1, 0, 0), [], 500.0);
    expect(Hung::mmPerN(hungRun(new Vector(0, 0, -1), [], 500.0), 20.0))->toBeClose(0.0, 0, 1e-12)
        ->and(Hung::mmPerN($level, 650.0) / Hung::mmPerN($level, 20.0))->toBeClose(193.0 / 150.0, 0, 0.01);
});

/**
 * @param  array<string, mixed>  $part
 * @param  list<array<string, mixed>>  $hangers
 */
function withTurbine(array $part, array $hangers = []): Job
{
    $document = JobWriter::toArray(Some::routedJob());
    $document['set']['parts'] = [['name' => 'Muffler', 'kind' => 'muffler', 'inlet' => 'A', ...$part]];
    $document['set']['hangers'] = $hangers;

    return JobReader::fromDecoded($document)->job ?? throw new LogicException('unreadable');
}

function turbinePlan(Job $job): Plan
{
    return Planner::plan($job, Some::shop());
}

it('asks for a bracket under what sags, and says what that carries', function () {
    $plan = turbinePlan(withTurbine(['mass' => '40 kg']));
    [$one] = $plan->fit->growth->hung;
    expect($one->loadN)->toBeClose(40 * 9.81, 0, 0.1)
        ->and($one->bumpN)->toBeClose(3 * 40 * 9.81, 0, 0.1)
        ->and($one->sagMm)->toBeGreaterThan(1.0)
        ->and(implode(' ', array_map(static fn ($notice): string => $notice->message, $plan->notices())))->toContain('put a bracket under it');
});

it('leaves alone what a hanger carries, and what nobody weighed', function (array $part, array $hangers) {
    expect(turbinePlan(withTurbine($part, $hangers))->fit->growth->hung)->toBe([]);
})->with([
    'hanger' => [['mass' => '12 kg'], [['name' => 'Rear', 'run' => 'A', 'station' => '20 in']]],
    'unknown' => [[], []],
]);

it('asks for a bracket under a turbo however little its tubes give, and though a downpipe goes on behind it', function () {
    // Common practice: the turbo is carried by a bracket with rod ends, never by the primaries.
    $plan = turbinePlan(withTurbine(['name' => 'Turbo', 'kind' => 'turbine', 'mass' => '6 kg', 'outlet' => 'A']));
    [$one] = $plan->fit->growth->hung;
    $said = implode(' ', array_map(static fn ($notice): string => $notice->message, $plan->notices()));
    $run = $plan->layout->runs[0]->line;
    $armMm = hypot($run->end->at->x - $run->start->at->x, $run->end->at->y - $run->start->at->y);
    expect($one->momentNm())->toBeClose(6 * 9.81 * $armMm / 1000, 0, 0.01)
        ->and($said)->toContain('Turbo hangs')->toContain('primaries carry no turbo')
        ->and(implode(' ', array_map(
            static fn ($notice): string => $notice->message,
            turbinePlan(withTurbine(['mass' => '6 kg', 'outlet' => 'A']))->notices(),
        )))->not->toContain('bracket');
});

// A pound-force is 4.448 N, and a foot of it 1.3558 N·m [NIST SP 811].
it('shows forces and moments in the units of the job', function () {
    expect(Quantity::Force->show(100.0, UnitSystem::Inch))->toBe('22 lbf')
        ->and(Quantity::Force->show(100.0, UnitSystem::Metric))->toBe('100 N')
        ->and(Quantity::Moment->show(40.0, UnitSystem::Inch))->toBe('29.5 lb·ft')
        ->and(Quantity::Moment->show(40.0, UnitSystem::Metric))->toBe('40.0 N·m')
        ->and(Quantity::Moment->parse('30 lb·ft', UnitSystem::Metric))->toBeClose(40.67, 0, 0.01)
        ->and(Quantity::Force->parse('50', UnitSystem::Inch))->toBeClose(222.4, 0, 0.1);
});

// Common practice: the root of a tack that the weld does not melt again is shielded.
it('shields the root of tacks that the weld does not reach', function () {
    $pattern = TackPattern::forTube(50.8, 1.65);
    expect($pattern->fullDeg)->toBe([0.0, 180.0, 90.0, 270.0])
        ->and($pattern->shielding([[0.0, 360.0]])->shieldedDeg)->toBe([])
        ->and($pattern->shielding([[200.0, 460.0]])->shieldedDeg)->toBe([180.0])
        ->and($pattern->shielding([])->shieldedDeg)->toBe([0.0, 180.0, 90.0, 270.0]);
});

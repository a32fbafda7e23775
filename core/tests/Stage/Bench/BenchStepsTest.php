<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Stage\Bench\BenchStep;
use UpsweptBead\Core\Stage\Bench\CollectorSteps;
use UpsweptBead\Core\Stage\Bench\FitSteps;
use UpsweptBead\Core\Stage\Bench\WeldSteps;
use UpsweptBead\Core\Stage\Plan\Plan;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Stage\Step\StepKind;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeRoutedSets;

covers(CollectorSteps::class, FitSteps::class, WeldSteps::class);

function bench(): Plan
{
    static $plan = null;

    return $plan ??= Planner::planInFull(
        SomeRoutedSets::header([
            'runs' => [0 => ['fittings' => [['kind' => 'temperature-probe', 'station' => '40 mm', 'fromTop' => 20]]]],
        ]),
        Some::shop(),
    );
}

/** @return array<string, int> the place of each step */
function benchPlaces(): array
{
    return array_flip(array_map(static fn (BenchStep $step): string => $step->id, bench()->steps));
}

it('takes every piece, joint and run to the bench once', function () {
    $ids = array_map(static fn (BenchStep $step): string => $step->id, bench()->steps);
    expect(array_unique($ids))->toHaveCount(count($ids));
    foreach (array_merge(...array_values(bench()->cut->pieces)) as $piece) {
        expect($ids)->toContain("prepare.$piece->mark");
    }
    foreach (bench()->joints->welds() as $joint) {
        expect($ids)->toContain("purge.$joint->id", "weld.$joint->id", "cool.$joint->id");
    }
    foreach (bench()->fit->letters as $letter) {
        expect($ids)->toContain("trial.$letter", "full.$letter", "leak-test.$letter");
    }
});

it('cuts, tries and tacks the runs as they go in', function () {
    $at = benchPlaces();
    $letters = bench()->fit->letters;
    foreach (array_slice($letters, 1) as $i => $letter) {
        expect($at["trial.$letters[$i]"])->toBeLessThan($at["trial.$letter"])
            ->and($at["prepare.{$letters[$i]}1"])->toBeLessThan($at["prepare.{$letter}1"]);
    }
});

it('proves all runs together before any is finished, and fits them together again before they are tied', function () {
    $at = benchPlaces();
    foreach (bench()->fit->letters as $letter) {
        expect($at["trial.$letter"])->toBeLessThan($at['trial.set'])
            ->and($at['trial.set'])->toBeLessThan($at["full.$letter"]);
    }
    foreach (bench()->joints->welds() as $joint) {
        if ($joint->type->isAtPart()) {
            expect($at["weld.$joint->id"])->toBeGreaterThan($at['refit.set']);
        } elseif ($joint->id !== 'EB1') {
            expect($at["weld.$joint->id"])->toBeLessThan($at['refit.set'])->toBeGreaterThan($at['trial.set']);
        }
    }
});

// Common practice: the sensor is tried in its place before a hole is drilled for it.
it('drills for a fitting once it was tried, welds it while its piece is loose, and lets it cool before that is closed in', function () {
    $at = benchPlaces();
    expect($at['trial.set'])->toBeLessThan($at['purge.EB1'])
        ->and($at['purge.EB1'])->toBeLessThan($at['weld.EB1'])
        ->and($at['weld.EB1'])->toBeLessThan($at['cool.EB1'])
        ->and($at['cool.EB1'])->toBeLessThan($at['full.E']);
});

it('asks for a wait only where there is nothing else to do, and never longer than the joint takes to cool', function () {
    $waits = 0.0;
    foreach (bench()->steps as $step) {
        if ($step->kind === StepKind::Cool) {
            expect($step->seconds ?? 0.0)->toBeLessThanOrEqual(bench()->weld->sheets[$step->subject]->times->coolS);
            $waits += $step->seconds ?? 0.0;
        }
    }
    // The rest of the waiting is for the purge line.
    expect($waits)->toBeGreaterThan(0.0)->toBeLessThanOrEqual(bench()->schedule->waitingS());
});

it('says what to do meanwhile', function () {
    $during = array_merge(
        ...array_map(
            static fn (BenchStep $step): array => $step->kind === StepKind::Weld ? $step->do : [],
            bench()->steps,
        ),
    );
    expect(
        array_filter($during, static fn (string $line): bool => str_starts_with($line, 'While it cools: ')),
    )->not->toBe([]);
});

it('measures, then lets a hand be laid on it: a hand is no thermometer', function () {
    $cool = bench()->step('cool.EB1');
    expect($cool?->do[0])->toStartWith('Measure it')->and($cool?->measures[0]->planned)->toBe(45.0);
});

it('says how far to turn a piece where two pieces meet, and not where a flange or collector stops it', function () {
    $turned = [];
    foreach (bench()->steps as $step) {
        if ($step->kind === StepKind::Tack && preg_grep('/^Turn /', $step->do) !== []) {
            $turned[] = $step->subject;
        }
    }
    expect($turned)->not->toBe([]);
    foreach ($turned as $id) {
        $joint = bench()->joints->find($id);
        expect($joint?->type->isAtPart() && $joint->seam->stationMm > 0.0)->toBeFalse();
    }
});

it('tries a single run in full, and runs of a set past each other before all are tried together', function () {
    $do = static fn (array $steps, string $id): array => array_values(
        array_filter($steps, static fn (BenchStep $step): bool => $step->id === $id),
    )[0]->do ?? [];
    expect(implode(' ', $do(Some::plan()->steps, 'trial.A')))->toContain('Then strip')
        ->and($do(Some::plan()->steps, 'trial.set'))->toBe([])
        ->and(implode(' ', $do(bench()->steps, 'trial.E')))->toContain('Past the runs that are there already')
        ->and($do(bench()->steps, 'trial.set'))->not->toBe([]);
});

it('asks what a butt drew together, of each kind by its own rule, and nothing of a fillet', function () {
    $plan = Some::plan();
    $rules = [];
    foreach ($plan->steps as $step) {
        $joint = $plan->joints->find($step->subject);
        if ($joint !== null && $step->id === "cool.$joint->id") {
            $rules[$joint->type->value][] = array_column($step->measures, null, 'name')['shrink']->rule ?? null;
        }
    }
    expect(array_map(array_unique(...), $rules))->toEqualCanonicalizing([
        'butt' => ['weld.shrink'],
        'v-band-butt' => ['weld.shrink_ring'],
        'flange-seal' => [null],
        'flange-fillet' => [null],
    ]);
});

it('tells nobody to turn a piece by nothing', function () {
    foreach (bench()->steps as $step) {
        expect(preg_grep('/Turn \S+ by 0°/', $step->do))->toBe([]);
    }
});

// Common practice: a tab and a bung are filleted onto the side of a tube; there is no gap to be taped.
it('tells nobody to tape and peel what is filleted onto the side of a tube', function () {
    $document = JobWriter::toArray(Some::routedJob());
    $tab = ['kind' => 'bracket', 'station' => '14 in', 'fromTop' => 20];
    $document['runs'] = [[...is_array($document['runs'][0]) ? $document['runs'][0] : [], 'fittings' => [$tab]]];
    $plan = Planner::plan(JobReader::fromDecoded($document)->job ?? throw new LogicException('unreadable'), Some::shop());
    $said = implode(' ', [...$plan->step('purge.AB1')->do ?? [], ...$plan->step('weld.AB1')->do ?? []]);
    expect(preg_match('/Tape AB1|Peel/', $said))->toBe(0)
        ->and($plan->weld->sheets['AB1']->purge->begin($plan->weld->sheets['AB1']->joint, UnitSystem::Inch))->toStartWith('Begin');
});

it('bolts a flange to its block before the seal inside, once for both seams', function () {
    $ids = array_map(static fn (BenchStep $one): string => $one->id, Some::plan()->steps);
    $bolts = array_values(array_filter($ids, static fn (string $id): bool => str_starts_with($id, 'bolt.')));
    expect($bolts)->toBe(['bolt.AJ4'])
        ->and(array_search('bolt.AJ4', $ids, true))->toBeLessThan(array_search('purge.AJ4', $ids, true))
        ->and(Some::plan()->step('purge.AJ4')->after ?? [])->toContain('bolt.AJ4');
});

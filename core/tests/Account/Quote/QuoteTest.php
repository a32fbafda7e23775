<?php

declare(strict_types=1);

use UpsweptBead\Core\Account\Ledger\Ledger;
use UpsweptBead\Core\Account\Quote\LineGroup;
use UpsweptBead\Core\Account\Quote\Quote;
use UpsweptBead\Core\Account\Quote\QuoteLine;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Stage\Bench\BenchStep;
use UpsweptBead\Core\Stage\Plan\Plan;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Stage\Step\StepKind;
use UpsweptBead\Core\Tests\Support\Some;

function quoteOf(Plan $plan): Quote
{
    return Quote::of($plan, Ledger::of($plan, Some::shop()), Some::shop());
}

/** @return array<string, QuoteLine> */
function quoted(?Job $job = null): array
{
    $shop = Some::shop();

    return array_column(quoteOf($job === null ? Some::plan() : Planner::plan($job, $shop))->lines, null, 'key');
}

function withOutside(mixed $outside): Job
{
    $document = JobWriter::toArray(Some::routedJob());
    $reading = JobReader::fromJson((string) json_encode([...$document, 'outside' => $outside]));

    return $reading->job ?? throw new RuntimeException($reading->faults[0]->message);
}

it('counts tube and bends whole, as they are bought', function () {
    $lines = array_values(array_filter(quoted(), static fn (QuoteLine $one): bool => str_starts_with($one->key, 'B3.')));
    $line = $lines[0];
    expect($line->group)->toBe(LineGroup::Material)
        ->and($line->quantity)->toBe(floor($line->quantity))
        ->and($line->cost())->toBe($line->quantity * 32.0);
});

it('counts argon by what the job takes and wire by its mass', function () {
    $lines = quoted();
    $argon = Some::plan()->weld->argon;
    expect($lines['argon-m3']->quantity)->toEqualWithDelta(($argon->torchL + $argon->purgeL) / 1000, 1e-9);
    $wire = array_values(array_filter($lines, static fn (QuoteLine $one): bool => str_starts_with($one->key, 'wire-')));
    expect($wire[0]->unit)->toBe('kg')->and($wire[0]->each)->toBe(40.0)->and($wire[0]->quantity)->toBeLessThan(0.2);
});

it('pays minutes by the hour: pieces cut, joints fitted and looked at, trial fits, and what the welds take', function () {
    $lines = quoted();
    $plan = Some::plan();
    $count = static fn (StepKind $kind): int => count(array_filter(
        $plan->steps,
        static fn (BenchStep $step): bool => $step->kind === $kind,
    ));
    $fit = 25.0 * $count(StepKind::Tack) + 3.0 * count($plan->joints->ofRun('A'));
    expect($lines['labour.fit']->quantity)->toBeClose($fit, 1e-9)
        ->and($lines['labour.inspect']->quantity)->toBeClose(
            2.0 * $count(StepKind::Inspect) + 6.0 * $count(StepKind::Face) + 10.0 * $count(StepKind::LeakTest),
            1e-9,
        )
        ->and($lines['labour.trial']->quantity)->toBe(30.0)
        ->and($lines['labour.fit']->cost())->toEqualWithDelta($fit / 60 * 70.0, 1e-9);
});

it('adds what others do, and a margin on all of it', function () {
    $quote = quoteOf(Planner::plan(withOutside([['what' => 'Ceramic coating', 'cost' => 180]]), Some::shop()));
    $plain = quoteOf(Some::plan());
    expect($quote->cost() - $plain->cost())->toEqualWithDelta(180.0, 1e-6)
        ->and($quote->price())->toEqualWithDelta(1.2 * $quote->cost(), 1e-6);
});

it('says what has no price and leaves it out, until the stores know what it costs', function () {
    $quote = quoteOf(Some::plan());
    expect($quote->unpriced())->toContain('V-band ring for 3 in × .065');
    $ring = array_values(array_filter($quote->lines, static fn (QuoteLine $one): bool => str_starts_with($one->key, 'v-band')))[0];
    $priced = $quote->at([$ring->key => 24.0]);
    expect($priced->cost() - $quote->cost())->toEqualWithDelta(24.0 * $ring->quantity, 1e-9)
        ->and($priced->unpriced())->not->toContain('V-band ring for 3 in × .065');
});

it('takes what was said for the job before what the stores know, and keeps it in the job file', function () {
    $ring = array_key_first(quoteOf(Some::plan())->unpriced());
    $document = [...JobWriter::toArray(Some::routedJob()), 'prices' => [$ring => 31.5]];
    $job = JobReader::fromJson((string) json_encode($document))->job ?? throw new RuntimeException;
    $quote = quoteOf(Planner::plan($job, Some::shop()));
    expect($quote->at([$ring => 24.0])->cost() - quoteOf(Some::plan())->cost())
        ->toEqualWithDelta(31.5 * array_column($quote->lines, 'quantity', 'key')[$ring], 1e-9)
        ->and(JobWriter::toArray($job->in(UnitSystem::Metric))['prices'])->toBe([$ring => 31.5]);
});

it('keeps outside work in the job file and through a change of units', function () {
    $job = withOutside([['what' => 'Laser-cut flange', 'cost' => 65.5]]);
    expect(JobWriter::toArray($job)['outside'])->toBe([['what' => 'Laser-cut flange', 'cost' => 65.5]])
        ->and($job->in(UnitSystem::Metric)->outside)->toEqual($job->outside)
        ->and(fn () => withOutside([['what' => 'Coating', 'cost' => -1]]))->toThrow('must not be negative');
});

it('adds the tax the shop has to ask for to its price, none where it asks for none', function () {
    $plan = Some::plan();
    $shop = Some::shop()->withRules(Some::shop()->rules->with('cost.tax', '19 %', UnitSystem::Metric));
    $taxed = Quote::of($plan, Ledger::of($plan, $shop), $shop);
    expect(quoteOf($plan)->tax())->toBe(0.0)
        ->and($taxed->price())->toEqualWithDelta(quoteOf($plan)->price(), 1e-9)
        ->and($taxed->tax())->toEqualWithDelta(0.19 * $taxed->price(), 1e-9)
        ->and($taxed->at([])->tax())->toEqualWithDelta($taxed->tax(), 1e-9);
});

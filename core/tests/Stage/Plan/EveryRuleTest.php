<?php

declare(strict_types=1);

use UpsweptBead\Core\Account\Ledger\Ledger;
use UpsweptBead\Core\Account\Quote\Quote;
use UpsweptBead\Core\Base\Units\Exception\UnreadableQuantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Shop\Practice\Rule;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Tests\Support\KeptMemo;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeCollectors;

// Plans hundreds of times: not among the quick tests that bench/mutants.php runs.
uses()->group('slow');

/** @return list<Job> jobs that between them have butts, rings, flanges, bungs, wedges, a saddle and a made collector */
function jobsForRules(): array
{
    static $jobs = null;
    if ($jobs === null) {
        $document = JobWriter::toArray(Some::routedJob());
        $run = is_array($document['runs']) && is_array($document['runs'][0]) ? $document['runs'][0] : [];
        $bung = ['kind' => 'oxygen-sensor-bung', 'station' => '14 in', 'fromTop' => 20];
        $document['runs'] = [[...$run, 'fittings' => [$bung]]];
        $jobs = [
            JobReader::fromDecoded($document)->job ?? throw new LogicException('unreadable'),
            SomeCollectors::job(),
        ];
    }

    return $jobs;
}

/** A value of a rule as somebody would write it. */
function writtenAs(Rule $rule, float $share): string
{
    $value = $rule->least + $share * ($rule->most - $rule->least);

    return match ($rule->quantity->value) {
        'length', 'wall' => sprintf('%.6F mm', $value),
        'temperature' => sprintf('%.6F C', $value),
        'flow' => sprintf('%.6F l/min', $value),
        default => $rule->quantity->show($value, UnitSystem::Metric),
    };
}

/** Whether a rule is about minutes and money only: no plan is any other for it. */
function isOfTheLedger(string $key): bool
{
    return preg_match('/^(cost|saw|time|use)\./', $key) === 1;
}

/**
 * One rule each at its least, at its most and, where it is about heat, between; its name, the share of its range and all rules with it.
 *
 * @return iterable<string, array{string, float, ShopRules}>
 */
function ruleEnds(): iterable
{
    foreach (ShopRules::shipped()->rules as $key => $rule) {
        foreach (isOfHeat($key) ? [0.0, 0.37, 1.0] : [0.0, 1.0] as $share) {
            try {
                yield "$key at $share" => [$key, $share, ShopRules::shipped()->with($key, writtenAs($rule, $share), UnitSystem::Metric)];
            } catch (UnreadableQuantity) {
                // What is shown rounded may lie a hair beyond its bound.
            }
        }
    }
}

function isOfHeat(string $key): bool
{
    return preg_match('/^(weld|cool|purge|plate|schedule)\./', $key) === 1;
}

// A rule set to its end, or anywhere between, never stops a plan.
it('plans in time with every rule at its least, at its most and between', function () {
    $memo = new KeptMemo;
    foreach (ruleEnds() as $name => [$key, $share, $rules]) {
        if (isOfTheLedger($key)) {
            continue;
        }
        $shop = Shop::bare()->withMemo($memo)->withRules($rules);
        // The job with a collector is planned for rules about heat, order and merging only: the others see no
        // difference.
        $jobs = (isOfHeat($key) && $share !== 0.37) || str_starts_with($key, 'merge.') ? jobsForRules() : [jobsForRules()[0]];
        foreach ($jobs as $job) {
            $began = hrtime(true);
            $plan = Planner::plan($job, $shop);
            expect((hrtime(true) - $began) / 1e9)->toBeLessThan(20.0, $name);
            foreach ($plan->weld->sheets as $sheet) {
                expect(is_finite($sheet->times->weldS + $sheet->times->touchS + $sheet->purge->value('fill')))->toBeTrue($name);
            }
            expect(is_finite($plan->schedule->totalS))->toBeTrue($name);
        }
    }
});

it('quotes a plan with every rule of minutes and money at its least and at its most', function () {
    $plan = Planner::plan(jobsForRules()[1], Shop::bare());
    $costs = [];
    foreach (ruleEnds() as $name => [$key, , $rules]) {
        if (isOfTheLedger($key)) {
            $shop = Shop::bare()->withRules($rules);
            $quote = Quote::of($plan, Ledger::of($plan, $shop), $shop);
            expect(is_finite($quote->price()) && $quote->cost() >= 0.0 && $quote->minutes() >= 0.0)->toBeTrue($name);
            $costs[$key][] = $quote->price();
        }
    }
    // What the job makes no use of moves nothing.
    $moved = array_filter($costs, static fn (array $ends): bool => count(array_unique($ends)) > 1);
    expect(array_keys($moved))->toContain('cost.hour', 'cost.margin', 'cost.argon_m3', 'cost.wire_kg', 'cost.fit_minutes');
});

it('refuses a value of a rule beyond its bounds, and says what it takes', function (string $key, string $value) {
    ShopRules::shipped()->with($key, $value, UnitSystem::Metric);
})->with([
    ['weld.bead_to_wall', '0'],
    ['weld.travel', '0 mm/min'],
    ['weld.travel', '0.00001 mm/min'],
    ['cut.stock_length', '0 mm'],
    ['cut.kerf', '-99999 mm'],
    ['cut.trim_allowance', '-1 mm'],
    ['weld.shrink', '-5 %'],
    ['cool.ambient', '80 C'],
    ['schedule.lines', '1000000'],
])->throws(UnreadableQuantity::class, 'takes');

it('comes with every rule within its bounds', function () {
    foreach (ShopRules::shipped()->rules as $rule) {
        expect($rule->takes($rule->value))->toBeTrue($rule->key)->and($rule->most)->toBeGreaterThan($rule->least);
    }
});

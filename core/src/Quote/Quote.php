<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Quote;

use UpsweptBead\Core\Bench\BenchStep;
use UpsweptBead\Core\Cut\OpenedStock;
use UpsweptBead\Core\Job\OutsideWork;
use UpsweptBead\Core\Plan\Plan;
use UpsweptBead\Core\Shop\Shop;
use UpsweptBead\Core\Step\StepKind;
use UpsweptBead\Core\Stores\ItemKind;
use UpsweptBead\Core\Stores\Need;
use UpsweptBead\Core\Stores\Needs;

/**
 * What a job is offered for: tube and parts as they are bought, scrap with them; wire, argon, blades and discs; minutes at
 * the bench by the shop's rate; what others do; and a margin on all of it. Common practice.
 */
final readonly class Quote
{
    private const L_PER_M3 = 1000.0;

    /**
     * @param  list<QuoteLine>  $lines
     * @param  float  $marginPercent  on the sum of all lines
     */
    public function __construct(public array $lines, public float $marginPercent) {}

    public static function of(Plan $plan, Shop $shop): self
    {
        return new self([
            ...self::needs($plan, $shop),
            ...self::consumables($plan, $shop),
            ...self::labour($plan, $shop),
            ...array_map(static fn (int $i, OutsideWork $one): QuoteLine => new QuoteLine(
                'outside.'.($i + 1),
                LineGroup::Outside,
                $one->what,
                1.0,
                '',
                $one->cost,
            ), array_keys($plan->job->outside), $plan->job->outside),
        ], $shop->rules->value('cost.margin'));
    }

    /**
     * With what things really cost, where the stores know it.
     *
     * @param  array<string, float>  $costs  of one unit, by key
     */
    public function at(array $costs): self
    {
        return new self(array_map(
            static fn (QuoteLine $line): QuoteLine => $line->at($costs[$line->key] ?? $line->each),
            $this->lines,
        ), $this->marginPercent);
    }

    public function cost(): float
    {
        return array_sum(array_map(static fn (QuoteLine $line): float => $line->cost() ?? 0.0, $this->lines));
    }

    /** At the bench. */
    public function minutes(): float
    {
        $labour = array_filter($this->lines, static fn (QuoteLine $line): bool => $line->group === LineGroup::Labour);

        return array_sum(array_map(static fn (QuoteLine $line): float => $line->quantity, $labour));
    }

    public function margin(): float
    {
        return $this->cost() * $this->marginPercent / 100;
    }

    public function price(): float
    {
        return $this->cost() + $this->margin();
    }

    /** @return list<string> what nobody has said the price of: the quote is without it */
    public function unpriced(): array
    {
        $without = array_filter($this->lines, static fn (QuoteLine $line): bool => $line->each === null);

        return array_values(array_map(static fn (QuoteLine $line): string => $line->what, $without));
    }

    /** @return list<QuoteLine> */
    private static function needs(Plan $plan, Shop $shop): array
    {
        $lines = [];
        foreach (Needs::of($plan, $shop) as $need) {
            // Argon is counted by what it takes, not by the bottles that have to be there.
            if ($need->kind !== ItemKind::Gas) {
                $lines[] = new QuoteLine(
                    $need->key,
                    $need->kind === ItemKind::Wire ? LineGroup::Consumables : LineGroup::Material,
                    $need->name,
                    $need->quantity,
                    $need->kind->unit($need->quantity),
                    self::usual($need, $shop),
                );
            }
        }

        return $lines;
    }

    private static function usual(Need $need, Shop $shop): ?float
    {
        return $need->kind === ItemKind::Wire ? $shop->rules->value('cost.wire_kg') : $need->usualCost;
    }

    /** @return list<QuoteLine> */
    private static function consumables(Plan $plan, Shop $shop): array
    {
        $litres = $plan->weld->argon->torchL + $plan->weld->argon->purgeL;
        $cuts = array_sum(array_map(
            static fn (OpenedStock $one): int => $one->cuts(),
            $plan->cut->opened($shop->rules),
        ));

        return array_values(array_filter([
            new QuoteLine(
                'argon-m3',
                LineGroup::Consumables,
                'Argon',
                $litres / self::L_PER_M3,
                'm³',
                $shop->rules->value('cost.argon_m3'),
            ),
            new QuoteLine(
                'cuts',
                LineGroup::Consumables,
                'Blades and discs',
                (float) $cuts,
                $cuts === 1 ? 'cut' : 'cuts',
                $shop->rules->value('cost.cut'),
            ),
        ], static fn (QuoteLine $line): bool => $line->quantity > 0.0));
    }

    /** @return list<QuoteLine> */
    private static function labour(Plan $plan, Shop $shop): array
    {
        $rules = $shop->rules;
        $steps = static fn (Labour $labour): int => count(array_filter(
            $plan->steps,
            static fn (BenchStep $step): bool => Labour::of($step, true) === $labour,
        ));
        $minutes = [
            Labour::Prepare->value => $steps(Labour::Prepare) * $rules->value('cost.prepare_minutes'),
            // As they are learned: a tack step, a look at a joint or a run.
            Labour::Fit->value => self::steps($plan, StepKind::Tack) * $rules->value('cost.fit_minutes'),
            Labour::Trial->value => $steps(Labour::Trial) * $rules->value('cost.trial_minutes'),
            Labour::Weld->value => $plan->schedule->attendedS() / 60,
            Labour::Inspect->value => self::steps($plan, StepKind::Inspect, StepKind::Face, StepKind::LeakTest) * $rules->value('cost.inspect_minutes'),
        ];
        $lines = [];
        foreach (array_filter($minutes, static fn (float $one): bool => $one > 0.0) as $kind => $count) {
            $labour = Labour::from($kind);
            $lines[] = new QuoteLine(
                $labour->key(),
                LineGroup::Labour,
                $labour->label(),
                $count,
                'min',
                $rules->value('cost.hour') / 60,
            );
        }

        return $lines;
    }

    /** How many steps of these kinds there are. */
    private static function steps(Plan $plan, StepKind ...$kinds): int
    {
        return count(array_filter(
            $plan->steps,
            static fn (BenchStep $step): bool => in_array($step->kind, $kinds, true),
        ));
    }
}

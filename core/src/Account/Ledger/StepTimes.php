<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Account\Ledger;

use UpsweptBead\Core\Shop\Practice\Rates;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Stage\Bench\BenchStep;
use UpsweptBead\Core\Stage\Cut\OpenedStock;
use UpsweptBead\Core\Stage\Fit\Order\Task;
use UpsweptBead\Core\Stage\Layout\RoutedRun;
use UpsweptBead\Core\Stage\Plan\Plan;
use UpsweptBead\Core\Stage\Schedule\Slot;
use UpsweptBead\Core\Stage\Step\StepKind;

/**
 * How long somebody is at every step of a plan. Purges, welds and the waits that nothing fills are as the schedule has
 * them; everything else goes by the shop's rules.
 */
final readonly class StepTimes
{
    private ShopRules $rules;

    private Rates $rates;

    /** @var array<string, float> minutes at the saw, by piece: a cut between two pieces is half of each */
    private array $sawn;

    /** @var array<string, Slot> by joint */
    private array $slots;

    private function __construct(private Plan $plan, Shop $shop)
    {
        $this->rules = $shop->rules;
        $this->rates = Rates::of($shop);
        $this->sawn = $this->sawn($plan->cut->opened($shop->rules));
        $this->slots = array_column(
            array_map(static fn (Slot $one): array => [$one->joint->id, $one], $plan->schedule->slots),
            1,
            0,
        );
    }

    /** @return array<string, StepTime> by the step's id */
    public static function of(Plan $plan, Shop $shop): array
    {
        $times = new self($plan, $shop);
        $all = [];
        foreach ($plan->steps as $step) {
            $all[$step->id] = $times->step($step);
        }

        return $all;
    }

    /** The rule that says how long one unit of a step takes; null where the schedule says it. */
    public static function rule(StepKind $kind): ?string
    {
        return match ($kind) {
            StepKind::Prepare => 'cost.prepare_minutes',
            StepKind::Tack => 'cost.fit_minutes',
            StepKind::Trial => 'cost.trial_minutes',
            StepKind::Inspect => 'cost.inspect_minutes',
            StepKind::Check => 'time.check',
            StepKind::Put => 'time.put',
            StepKind::Form => 'time.form',
            StepKind::Outlet => 'time.outlet',
            StepKind::Trueing => 'time.inlet',
            StepKind::Bolt => 'time.bolt',
            StepKind::FullTack => 'time.full_tack',
            StepKind::Refit => 'time.refit',
            StepKind::Polish => 'time.polish',
            StepKind::Dress => 'time.dress',
            StepKind::CutOut => 'time.cut_out',
            StepKind::Face => 'time.face',
            StepKind::LeakTest => 'time.leak_test',
            // The side of a seam is timed with its joint.
            StepKind::Purge, StepKind::Weld, StepKind::Side, StepKind::Cool, StepKind::Warm => null,
        };
    }

    private function step(BenchStep $step): StepTime
    {
        $rule = self::rule($step->kind);
        $units = $rule === null ? 0.0 : $this->units($step);
        $besidesMin = match ($step->kind) {
            StepKind::Prepare => $this->sawn[$step->subject] ?? 0.0,
            StepKind::Purge => $this->before($step->subject),
            StepKind::Weld => $this->welded($step->subject),
            default => 0.0,
        };
        $minutes = ($rule === null ? 0.0 : $units * $this->rules->value($rule)) + $besidesMin;

        return new StepTime($minutes, $rule, $units, $besidesMin);
    }

    private function units(BenchStep $step): float
    {
        return match ($step->kind) {
            StepKind::FullTack => (float) max(1, count($this->plan->joints->ofRun($step->subject))),
            StepKind::Refit => (float) max(1, count(array_intersect(
                $this->plan->fit->letters,
                $step->subject === Task::ALL ? $this->plan->fit->letters : [$step->subject],
            ))),
            StepKind::Polish => $this->lengthM($step->subject),
            StepKind::Trueing => (float) $this->inlets($step->subject),
            default => 1.0,
        };
    }

    private function lengthM(string $letter): float
    {
        $runs = array_filter(
            $this->plan->layout->runs,
            static fn (RoutedRun $one): bool => $one->spec->letter === $letter,
        );

        return array_sum(array_map(static fn (RoutedRun $one): float => $one->run->lengthMm(), $runs)) / 1000;
    }

    private function inlets(string $letter): int
    {
        foreach ($this->plan->fit->collectors as $one) {
            if ($one->build->letter === $letter) {
                return $one->build->inlets;
            }
        }

        return 1;
    }

    /**
     * From the weld before to the arc: put up, filled, and what is waited for. Where nothing is filled it goes with the
     * weld.
     */
    private function before(string $joint): float
    {
        $slot = $this->slots[$joint] ?? null;

        return $slot === null ? 0.0 : ($slot->changeS + $slot->waitS + $slot->attendedS() - $slot->times->weldS) / 60;
    }

    private function welded(string $joint): float
    {
        $slot = $this->slots[$joint] ?? null;
        if ($slot === null) {
            return 0.0;
        }
        $isFilled = $this->plan->weld->sheets[$joint]->isFilled();

        return $slot->times->weldS / 60 + ($isFilled ? 0.0 : $this->before($joint));
    }

    /**
     * @param  list<OpenedStock>  $opened
     * @return array<string, float>
     */
    private function sawn(array $opened): array
    {
        $minutes = array_fill_keys(array_column($this->plan->cut->allPieces(), 'mark'), 0.0);
        foreach ($opened as $stock) {
            foreach ($stock->pieces as $piece) {
                $minutes[$piece->mark] += $this->rates->cutMinutes() * $stock->cuts() / count($stock->pieces);
            }
        }
        foreach ($this->plan->cut->allPieces() as $piece) {
            $minutes[$piece->mark] += $this->rates->pieMinutes() * ($piece->pie->welds ?? 0);
        }
        foreach ($this->plan->fit->collectors as $one) {
            foreach ($this->plan->cut->ofCollectors[$one->build->letter] ?? [] as $piece) {
                $minutes[$piece->mark] += $this->rules->value('merge.saw_minutes');
            }
        }

        return $minutes;
    }
}

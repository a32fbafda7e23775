<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Account\Ledger;

use UpsweptBead\Core\Account\Stores\Need;
use UpsweptBead\Core\Account\Stores\Needs;
use UpsweptBead\Core\Shop\Practice\Rates;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Stage\Bench\BenchStep;
use UpsweptBead\Core\Stage\Plan\Plan;
use UpsweptBead\Core\Stage\Weld\JointSheet;

/**
 * What a plan takes: goods out of the stores, what is used up at the bench, and somebody's time at every step. Worked
 * out once; shopping list, quote, comparison, saw accounts, cost against actual and learning all read it here.
 */
final readonly class Ledger
{
    private const L_PER_M3 = 1000.0;

    /** A turn of tape overlaps itself by a tenth; our own figure. */
    private const OVERLAP = 1.1;

    /**
     * @param  list<Need>  $goods  tube, bends, parts, wire and bottles
     * @param  list<Consumable>  $used
     * @param  array<string, StepTime>  $times  by the step's id
     * @param  int  $cuts  at the saw, those of pie-cut bends too
     */
    private function __construct(public array $goods, public array $used, public array $times, public int $cuts) {}

    public static function of(Plan $plan, Shop $shop): self
    {
        $cuts = $plan->cut->cuts($shop->rules);

        return new self(Needs::of($plan, $shop), self::used($plan, $shop, $cuts), StepTimes::of($plan, $shop), $cuts);
    }

    /**
     * @param  list<BenchStep>  $steps  of the plan it was made of
     * @return array<string, float> minutes by kind of labour, of those that take any
     */
    public function minutes(array $steps): array
    {
        $minutes = [];
        foreach ($steps as $step) {
            $kind = Labour::of($step, true)->value;
            $minutes[$kind] = ($minutes[$kind] ?? 0.0) + ($this->times[$step->id]->minutes ?? 0.0);
        }

        return array_filter($minutes, static fn (float $one): bool => $one > 0.0);
    }

    /** @return list<Consumable> what there is none of is left out */
    private static function used(Plan $plan, Shop $shop, int $cuts): array
    {
        $rules = $shop->rules;
        $rates = Rates::of($shop);
        $argon = $plan->weld->argon;
        $sheets = $plan->weld->sheets;
        $filled = array_filter($sheets, static fn (JointSheet $one): bool => $one->isFilled());
        $arcMin = array_sum(array_map(
            static fn (JointSheet $one): float => ($one->settings['arc']->value ?? 0.0) / 60,
            $sheets,
        ));
        $tapeM = array_sum(array_map(
            static fn (JointSheet $one): float => $one->joint->type->isPeeled()
                ? self::OVERLAP * M_PI * $one->joint->seam->odMm / 1000
                : 0.0,
            $filled,
        ));
        $dammed = array_sum(array_map(
            static fn (JointSheet $one): int => 1 + count($one->purge->pose->dams) + count($one->purge->pose->vents),
            $filled,
        ));
        $cut = $cuts === 1 ? 'cut' : 'cuts';

        return array_values(array_filter([
            new Consumable(
                'argon-m3',
                'Argon',
                ($argon->torchL + $argon->purgeL) / self::L_PER_M3,
                'm³',
                $rules->value('cost.argon_m3'),
            ),
            new Consumable('blades', 'Saw blades', $rates->blades($cuts), '', $rates->bladePrice(), "$cuts $cut"),
            new Consumable('cuts', 'Discs and belts', (float) $cuts, $cut, $rules->value('cost.cut')),
            new Consumable(
                'tungsten',
                'Tungsten',
                $arcMin / ($rules->value('use.grind') * $rules->value('use.grinds')),
                '',
                $rules->value('cost.tungsten'),
                sprintf('%.0f min of arc', $arcMin),
            ),
            new Consumable('tape', 'Purge tape', $tapeM, 'm', $rules->value('cost.tape_metre')),
            new Consumable(
                'dams',
                'Purge dams',
                $dammed / $rules->value('use.dam'),
                '',
                $rules->value('cost.dam'),
                "$dammed put in",
            ),
        ], static fn (Consumable $one): bool => $one->quantity > 0.0));
    }
}

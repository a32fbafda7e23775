<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Account\Stores;

use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Job\Intake\Brought;
use UpsweptBead\Core\Job\Run\EndKind;
use UpsweptBead\Core\Job\Run\FittingKind;
use UpsweptBead\Core\Shop\Practice\Bottle;
use UpsweptBead\Core\Shop\Practice\BottleUse;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Stage\Plan\Plan;
use UpsweptBead\Core\Stage\Weld\Filler;

/** Everything a job takes out of the stores: tube and bends, parts at its ends, fittings, wire and gas. */
final readonly class Needs
{
    private function __construct(private Plan $plan, private Shop $shop) {}

    /** @return list<Need> what is cut first */
    public static function of(Plan $plan, Shop $shop): array
    {
        $needs = new self($plan, $shop);

        return [...$needs->stock(), ...$needs->parts(), ...$needs->wire(), ...$needs->gas()];
    }

    /** @return list<Need> */
    private function stock(): array
    {
        $needs = [];
        foreach ($this->plan->cut->stock as $stock) {
            $needs[] = $this->ofStock($stock->stockId, (float) $stock->needed);
        }

        return $needs;
    }

    private function ofStock(string $id, float $count): Need
    {
        $rules = $this->shop->rules;
        $catalogue = $this->shop->catalogue;
        if (isset($catalogue->tubes[$id])) {
            $metres = $rules->value('cut.stock_length') / 1000;
            $long = Quantity::Length->show($rules->value('cut.stock_length'), $this->plan->job->units);

            return new Need(
                $id,
                ItemKind::Tube,
                "{$catalogue->tubes[$id]->name}, $long stick",
                $count,
                $metres * $rules->value('cost.tube_metre'),
            );
        }
        $bend = $catalogue->bend($id);
        if ($bend !== null) {
            $tube = $catalogue->tube($bend->tubeId);
            $name = StockNames::bend($bend, $tube);

            return new Need($id, StockNames::kind($tube), $name, $count, $rules->priceOf($bend));
        }

        return new Need($id, ItemKind::Offcut, "Offcut $id", $count, 0.0);
    }

    /** @return list<Need> what is bought for the ends of runs and the sides of tubes */
    private function parts(): array
    {
        $counts = $needs = [];
        $add = static function (string $key, ItemKind $kind, string $name) use (&$counts, &$needs): void {
            $counts[$key] = ($counts[$key] ?? 0) + 1;
            $needs[$key] = new Need($key, $kind, $name, (float) $counts[$key]);
        };
        foreach ($this->plan->layout->runs as $routed) {
            foreach ([$routed->spec->start->kind, $routed->spec->end->kind] as $kind) {
                match ($kind) {
                    EndKind::VBand => $add(
                        "v-band-{$routed->tube->id}",
                        ItemKind::Band,
                        "V-band ring for {$routed->tube->name}",
                    ),
                    EndKind::Flange => $add(
                        "flange-{$routed->tube->id}",
                        ItemKind::Flange,
                        "Flange port for {$routed->tube->name}",
                    ),
                    EndKind::Slip => $add(
                        "clamp-{$routed->tube->id}",
                        ItemKind::Band,
                        "Band clamp over {$routed->tube->name}",
                    ),
                    EndKind::Flare => $add(
                        "flare-{$routed->tube->id}",
                        ItemKind::Flange,
                        "Loose flange for a flare on {$routed->tube->name}",
                    ),
                    EndKind::Socket, EndKind::Saddle, EndKind::Open => null,
                };
            }
        }
        $isBrought = $this->plan->job->intake?->brings(Brought::Collector) === true;
        foreach ($this->plan->layout->placement->collectors->all as $collector) {
            $outlet = $collector->sizes->outlet;
            if (! $collector->build->make->isMade() && ! $isBrought) {
                $tube = $this->shop->catalogue->tube($collector->build->tubeId);
                $inlets = $collector->build->inlets;
                $add("collector-$inlets-$tube->id", ItemKind::Part, "Collector, $inlets into 1, for $tube->name");
            }
            match ($collector->build->part?->kind) {
                EndKind::VBand => $add("v-band-$outlet->id", ItemKind::Band, "V-band ring for $outlet->name"),
                EndKind::Flange => $add("flange-$outlet->id", ItemKind::Flange, "Flange port for $outlet->name"),
                default => null,
            };
        }
        foreach ($this->plan->joints->fittings as $placed) {
            $kind = $placed->fitting->kind;
            if ($kind === FittingKind::Crack) {
                continue;
            }
            $add($kind->value, $kind->isDrilled() ? ItemKind::Bung : ItemKind::Part, $kind->label());
        }
        foreach ($this->plan->job->set->parts as $part) {
            if (! $part->isBrought) {
                $add("part-{$part->kind->value}-{$part->name}", ItemKind::Part, $part->name);
            }
        }

        return array_values($needs);
    }

    /** @return list<Need> by alloy and size */
    private function wire(): array
    {
        $kg = $names = [];
        foreach ($this->plan->weld->sheets as $sheet) {
            $alloy = $sheet->choices['filler']->value ?? Filler::NONE;
            $size = $sheet->settings['wire'] ?? null;
            if (in_array($alloy, [Filler::NONE, Filler::REFUSED], true) || $size === null) {
                continue;
            }
            $key = sprintf('wire-%s-%.2f', $alloy, $size->value);
            $names[$key] = "$alloy wire ".Quantity::TradeSize->show($size->value, $this->plan->job->units);
            $kg[$key] = ($kg[$key] ?? 0.0) + $sheet->settings['wireMass']->value;
        }
        ksort($kg);

        return array_map(
            static fn (string $key): Need => new Need($key, ItemKind::Wire, $names[$key], $kg[$key]),
            array_keys($kg),
        );
    }

    /** @return list<Need> full bottles beyond what is left in those that are open */
    private function gas(): array
    {
        $argon = $this->plan->weld->argon;
        $bottles = 0;
        foreach (BottleUse::cases() as $use) {
            [$takes, $left] = $use === BottleUse::Torch
                ? [$argon->torchL, $argon->torchLeftL]
                : [$argon->purgeL, $argon->purgeLeftL];
            $most = array_reduce(
                $this->shop->bottles,
                static fn (float $most, Bottle $one): float => $one->use === $use ? max($most, $one->capacityL) : $most,
                0.0,
            );
            $bottles += $most > 0.0 ? (int) ceil(max(0.0, $takes - $left) / $most) : 0;
        }

        return $bottles === 0 ? [] : [new Need('argon', ItemKind::Gas, 'Argon, full bottle', (float) $bottles)];
    }
}

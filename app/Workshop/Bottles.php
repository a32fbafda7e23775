<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Models\Shop as ShopModel;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use UpsweptBead\Core\Base\Document\Faults;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Shop\Practice\Bottle;
use UpsweptBead\Core\Shop\Practice\BottleUse;
use UpsweptBead\Core\Shop\Practice\ShopReader;

/** The shop's bottles: as their gauges were read last, and as they stand by what was welded since. */
final readonly class Bottles
{
    /** No bottle lasts for more; our own figure. */
    private const MOST_WELDS = 1000;

    public function __construct(private Workshop $workshop) {}

    /** @return array<string, float> what they still give (L), by use */
    public function leftL(): array
    {
        $left = ['torch' => 0.0, 'purge' => 0.0];
        foreach ($this->now() as $bottle) {
            $left[$bottle->use->value] += $bottle->usableL();
        }

        return $left;
    }

    /** @return list<Bottle> as they stand now: each hose draws from the first of its bottles that is not used up */
    public function now(): array
    {
        $now = [];
        $taken = ['torch' => 0.0, 'purge' => 0.0];
        foreach ($this->workshop->shop()->bottles as $bottle) {
            $drawnL = max(0.0, self::drawnL($bottle) - $taken[$bottle->use->value]);
            $hereL = min($drawnL, $bottle->usableL());
            $taken[$bottle->use->value] += $hereL;
            $now[] = $bottle->drawn($hereL);
        }

        return $now;
    }

    /** @return list<array{name: string, use: string, share: float, gauge: string, usable: string, full: string, read: array{at: string, gauge: string}|null}> */
    public function shown(): array
    {
        $units = UnitSystem::Inch;

        return array_map(static fn (Bottle $now, Bottle $read): array => [
            'name' => $now->name,
            'use' => $now->use->value,
            'share' => $now->share(),
            'gauge' => Quantity::Pressure->show($now->gaugeKpa, $units),
            'usable' => Quantity::Volume->read($now->usableL(), $units),
            'full' => Quantity::Pressure->show($now->fullKpa, $units),
            'read' => $read->readAt === null ? null : [
                'at' => $read->readAt->format(DATE_ATOM), 'gauge' => Quantity::Pressure->show($read->gaugeKpa, $units),
            ],
        ], $this->now(), $this->workshop->shop()->bottles);
    }

    /**
     * A gauge as somebody read it, of the bottle that stands there now.
     *
     * @throws ValidationException where there is no such bottle, or no bottle has such a pressure
     */
    public function read(string $name, string $gauge, \DateTimeImmutable $at): void
    {
        $this->change(static function (array $bottles) use ($name, $gauge, $at): array {
            $place = self::place($bottles, $name);
            $bottles[$place] = [...$bottles[$place], 'gauge' => $gauge, 'read' => $at->format(DATE_ATOM)];

            return $bottles;
        });
    }

    /**
     * @param  array<string, string>  $bottle  as the shop file has it
     *
     * @throws ValidationException where it cannot be read, or there is one of its name
     */
    public function add(array $bottle, \DateTimeImmutable $at): void
    {
        $this->change(static function (array $bottles) use ($bottle, $at): array {
            if (in_array($bottle['name'] ?? '', array_column($bottles, 'name'), true)) {
                throw ValidationException::withMessages(['name' => "There is a bottle \"$bottle[name]\" already."]);
            }

            return [...$bottles, [...$bottle, 'read' => $at->format(DATE_ATOM)]];
        });
    }

    /** @throws ValidationException where there is no such bottle */
    public function takeAway(string $name): void
    {
        $this->change(static function (array $bottles) use ($name): array {
            unset($bottles[self::place($bottles, $name)]);

            return array_values($bottles);
        });
    }

    /**
     * What the core does not take is refused whole.
     *
     * @param  \Closure(list<array<mixed>>): list<array<mixed>>  $how
     *
     * @throws ValidationException
     */
    private function change(\Closure $how): void
    {
        DB::transaction(static function () use ($how): void {
            $shop = ShopModel::query()->lockForUpdate()->first() ?? new ShopModel(ShopBook::BARE);
            $document = $shop->document;
            $stored = is_array($document['bottles'] ?? null) ? $document['bottles'] : [];
            $document['bottles'] = $how(array_values(array_filter($stored, is_array(...))));
            $faults = new Faults;
            $bottles = ShopReader::read($document, $faults)->bottles;
            $messages = [];
            foreach ($faults->all() as $fault) {
                $messages[preg_replace('/^bottles\[\d+]\./', '', $fault->path) ?? $fault->path] ??= $fault->message;
            }
            foreach ($messages === [] ? $bottles : [] as $i => $bottle) {
                if ($bottle->fullKpa <= 0.0 || $bottle->capacityL <= 0.0) {
                    $messages['full'] = 'A bottle holds something, at some pressure: both must be above nought.';
                } elseif ($bottle->gaugeKpa < 0.0 || $bottle->gaugeKpa > $bottle->fullKpa * Bottle::OVER_FULL) {
                    $text = $document['bottles'][$i]['gauge'] ?? '';
                    $messages['gauge'] = sprintf('"%s" must lie between nought and a little over a full bottle.', is_string($text) ? $text : '');
                }
            }
            if ($messages !== []) {
                throw ValidationException::withMessages($messages);
            }
            // The version is of rules and practices: whoever changes those is not in the way of a gauge.
            $shop->fill(['document' => $document])->save();
        });
        $this->workshop->shopChanged();
    }

    /**
     * @param  list<array<mixed>>  $bottles
     *
     * @throws ValidationException
     */
    private static function place(array $bottles, string $name): int
    {
        foreach ($bottles as $place => $bottle) {
            if (($bottle['name'] ?? null) === $name) {
                return $place;
            }
        }
        throw ValidationException::withMessages(['name' => "The shop has no bottle \"$name\"."]);
    }

    /** What was drawn by its hose since it was read, L. */
    private static function drawnL(Bottle $bottle): float
    {
        if ($bottle->readAt === null) {
            return 0.0;
        }
        $column = $bottle->use === BottleUse::Torch ? 'torch_l' : 'purge_l';
        $sum = DB::scalar(
            // A weld that was closed twice took its gas once, unless it was opened again between. What a clock dated
            // ahead of ours counts for no bottle.
            "select sum($column) from (
                select * from log_entries where step_kind = 'weld' and kind = 'done'
                    and made_at > ? and made_at <= now() + interval '2 minutes'
                    order by made_at desc limit ".self::MOST_WELDS."
            ) newest where (
                select kind from log_entries before where before.job_id = newest.job_id and before.step = newest.step
                    and before.kind in ('done', 'reopen') and before.position < newest.position
                    order by before.position desc limit 1
            ) is distinct from 'done'",
            [$bottle->readAt->format(DATE_ATOM)],
        );

        return is_numeric($sum) ? (float) $sum : 0.0;
    }
}

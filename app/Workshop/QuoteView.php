<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Models\Job;
use App\Models\LogEntry;
use App\Models\Revision;
use App\Models\StoreItem;
use Illuminate\Support\Facades\DB;
use UpsweptBead\Core\Account\Ledger\Labour;
use UpsweptBead\Core\Account\Ledger\LoggedMinutes;
use UpsweptBead\Core\Account\Quote\Forecast;
use UpsweptBead\Core\Account\Quote\LineGroup;
use UpsweptBead\Core\Account\Quote\Quote;
use UpsweptBead\Core\Account\Quote\QuoteLine;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Shop\Practice\Rates;
use UpsweptBead\Core\Stage\Bench\EntryKind;
use UpsweptBead\Core\Stage\Bench\Progress;

/** What a job is offered for, and what it has cost so far by the log, the stores and the instruments. */
final readonly class QuoteView
{
    private const MOST_ENTRIES = 20_000;

    public function __construct(private KnownPlans $plans, private BenchStanding $standing, private Workshop $workshop) {}

    /**
     * What is offered as the job stands now, a draft included; what was counted is counted against the release that is
     * built.
     *
     * @return array<string, mixed>
     */
    public function of(Job $job): array
    {
        [$revision, $built] = [$job->current(), $job->released()];
        $quote = $this->quote($revision);
        $units = $this->plans->cut($revision)->units;
        $progress = $built === null ? null : $this->standing->progress($job, $built);
        $besides = $progress === null ? [] : $this->besides($job, $quote);
        $spent = $progress === null ? [] : $this->spent($job, $progress, [...$quote->lines, ...$besides]);
        $isFinished = ! $revision->isDraft() && $progress?->next() === null;
        $isCounted = static fn (QuoteLine $line): bool => isset($spent[$line->key]);
        $lines = [...$quote->lines, ...array_values(array_filter($besides, $isCounted))];

        return [
            'revision' => $revision->number,
            'before' => $built === null || $built === $revision
                ? null
                : ['revision' => $built->number, 'price' => round($this->quote($built)->price(), 2)],
            'lines' => array_map(static fn (QuoteLine $line): array => [
                'key' => $line->key,
                'group' => $line->group->label(),
                'what' => $line->what,
                'quantity' => self::quantity($line, $units),
                'why' => $line->why,
                'cost' => $line->cost() === null ? null : round($line->cost(), 2),
                'spent' => isset($spent[$line->key]) ? round($spent[$line->key], 2) : null,
            ], $lines),
            'cost' => round($quote->cost(), 2),
            'marginPercent' => $quote->marginPercent,
            'margin' => round($quote->margin(), 2),
            'price' => round($quote->price(), 2),
            'taxPercent' => $quote->taxPercent,
            'tax' => round($quote->tax(), 2),
            'unpriced' => array_values($quote->unpriced()),
            'spent' => $spent === [] ? null : round(array_sum($spent), 2),
            'expected' => $spent === [] ? null : round(Forecast::cost($lines, $spent, $isFinished), 2),
        ];
    }

    private function quote(Revision $revision): Quote
    {
        return $this->plans->cut($revision)->quote->at(StoreItem::costs());
    }

    /** @return list<QuoteLine> what was not quoted and may have been needed all the same */
    private function besides(Job $job, Quote $quote): array
    {
        $quoted = array_column($quote->lines, null, 'key');
        $again = Labour::Again;
        $lines = [new QuoteLine($again->key(), LineGroup::Labour, $again->label(), 0.0, 'min', $this->perMinute())];
        foreach (self::taken($job) as $key => [$name, , $each]) {
            if (! isset($quoted[$key])) {
                $lines[] = new QuoteLine($key, LineGroup::Material, $name, 0.0, '', $each);
            }
        }

        return $lines;
    }

    private function perMinute(): float
    {
        return Rates::of($this->workshop->shop())->perMinute();
    }

    /** In the units of the job: no kilogram on an inch job's quote. */
    private static function quantity(QuoteLine $line, UnitSystem $units): string
    {
        return match ($line->unit) {
            '' => $line->group === LineGroup::Consumables ? (string) round($line->quantity, $line->quantity < 1.0 ? 2 : 1) : '',
            'min' => Quantity::Duration->read(60 * round($line->quantity), $units),
            'kg' => Quantity::Mass->show($line->quantity, $units),
            'm³' => Quantity::Volume->read(1000 * $line->quantity, $units),
            'm' => Quantity::Length->read(1000 * $line->quantity, $units),
            default => trim(sprintf('%s %s', round($line->quantity, 2), $line->unit)),
        };
    }

    /**
     * @param  list<QuoteLine>  $lines
     * @return array<string, float> money by key, of what can be counted
     */
    private function spent(Job $job, Progress $progress, array $lines): array
    {
        $each = array_column($lines, 'each', 'key');
        $spent = [];
        foreach (self::taken($job) as $key => [, $count]) {
            $spent[$key] = $count * ($each[$key] ?? 0.0);
        }
        $litres = self::litres($job);
        if ($litres > 0.0) {
            $spent['argon-m3'] = $litres / 1000 * ($each['argon-m3'] ?? 0.0);
        }
        $minutes = LoggedMinutes::minutes(self::entries($job), $progress);
        foreach ($minutes as $kind => $count) {
            $spent[Labour::from($kind)->key()] = $count * $this->perMinute();
        }

        return $spent;
    }

    /** @return array<string, array{string, float, float|null}> what went to the job out of the stores: name, count, price; gas is counted as it flows */
    private static function taken(Job $job): array
    {
        $rows = DB::select(
            "select i.key, i.name, i.cost, -sum(e.quantity) as taken from store_entries e join store_items i on i.id = e.item_id
                where e.job_id = ? and e.kind in ('issued', 'put back') and i.kind <> 'gas'
                group by i.id having sum(e.quantity) < 0",
            [$job->id],
        );
        $taken = [];
        foreach ($rows as $row) {
            /** @var object{key: string, name: string, cost: numeric-string|float|null, taken: numeric-string|float} $row */
            $taken[$row->key] = [$row->name, (float) $row->taken, $row->cost === null ? null : (float) $row->cost];
        }

        return $taken;
    }

    /** Argon that went through a flowmeter that was read, in L. */
    private static function litres(Job $job): float
    {
        $sum = LogEntry::query()->where('job_id', $job->id)->where('kind', EntryKind::Done)->sum('metered_l');

        return (float) $sum;
    }

    /** @return list<array{by: string, step: string, at: \DateTimeImmutable}> */
    private static function entries(Job $job): array
    {
        $rows = DB::select(
            "select user_id, step, made_at from log_entries where job_id = ? and kind = 'done' order by made_at limit ".self::MOST_ENTRIES,
            [$job->id],
        );

        $entries = [];
        foreach ($rows as $row) {
            /** @var object{user_id: int, step: string, made_at: string} $row */
            $entries[] = ['by' => "$row->user_id", 'step' => $row->step, 'at' => new \DateTimeImmutable($row->made_at)];
        }

        return $entries;
    }
}

<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Models\Job;
use App\Models\Revision;
use App\Models\StoreItem;
use UpsweptBead\Core\Account\Ledger\LostWork;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Exchange\Screens\MadeWriter;
use UpsweptBead\Core\Shop\Practice\Rates;
use UpsweptBead\Core\Stage\Made\MadeWork;

/** What the screens get of work that no longer fits, and of what that costs. */
final readonly class MadeView
{
    public function __construct(private KnownPlans $plans, private Workshop $workshop) {}

    /** @return array<string, mixed>|null null where everything that was made still fits */
    public function of(Job $job, MadeWork $work, UnitSystem $units): ?array
    {
        if ($work->isNone()) {
            return null;
        }
        $earlier = $times = $costs = [];
        foreach ($job->revisions as $revision) {
            if ($this->isMeant($revision, $work)) {
                $earlier[$revision->number] = $this->plans->outline($revision);
                $cut = $this->plans->cut($revision);
                $times[$revision->number] = $cut->times;
                foreach ($cut->quote->at(StoreItem::costs())->lines as $line) {
                    if ($line->each !== null) {
                        $costs[$line->key] = $line->each;
                    }
                }
            }
        }
        $lost = LostWork::of($work, $earlier, $times, $costs);
        $perMinute = Rates::of($this->workshop->shop())->perMinute();

        return WithoutMoney::of([
            ...MadeWriter::of($work, $units),
            'work' => Quantity::Duration->read(60 * $lost->minutes, $units),
            'cost' => round($lost->minutes * $perMinute + ($lost->stock ?? 0.0), 2),
            'isPriced' => $lost->stock !== null,
        ], ['cost']);
    }

    private function isMeant(Revision $revision, MadeWork $work): bool
    {
        return in_array($revision->number, $work->keys, true);
    }
}

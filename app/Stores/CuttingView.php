<?php

declare(strict_types=1);

namespace App\Stores;

use App\Models\Job;
use App\Models\Revision;
use App\Models\StoreItem;
use App\Workshop\BenchStanding;
use App\Workshop\KnownCut;
use App\Workshop\KnownPlans;
use App\Workshop\WithoutMoney;
use App\Workshop\Workshop;
use App\Workshop\WrongCuts;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Exchange\Screens\CuttingWriter;
use UpsweptBead\Core\Exchange\Screens\ShoppingWriter;
use UpsweptBead\Core\Stage\Bench\Progress;
use UpsweptBead\Core\Stage\Cut\OpenedStock;
use UpsweptBead\Core\Stage\Step\StepKind;

/** What the Cut screen gets beside the plan: what is cut already, out of which stock, and what is to be bought. */
final readonly class CuttingView
{
    public function __construct(
        private KnownPlans $plans,
        private BenchStanding $standing,
        private WrongCuts $wrong,
        private JobStores $stores,
        private Workshop $workshop,
    ) {}

    /** @return array<string, mixed> */
    public function of(Job $job, Revision $revision): array
    {
        $cut = $this->plans->cut($revision);
        // Nothing is cut before the first release; what a later draft wants otherwise does not count as cut.
        $progress = $job->released() === null ? null : $this->standing->progress($job, $revision);
        $list = $this->stores->list($job, $cut->needs);

        return [
            'revision' => $revision->number,
            'released' => ! $revision->isDraft(),
            'shopping' => [
                'rows' => array_map((new ShoppingWriter($cut->units))->row(...), $list->rows),
                'stockToBuy' => $list->stockToBuy(),
                'cost' => round($list->cost(), 2),
                'priced' => $list->isPriced(),
            ],
            'opened' => $this->opened($job, $cut),
            ...$cut->written,
            'saws' => array_map(
                static fn (array $saw): array => WithoutMoney::of($saw, ['cost']),
                $cut->saws,
            ),
            'cut' => (object) ($progress === null ? [] : $this->done($cut, $progress)),
            'wrong' => $progress === null || $revision->isDraft() ? [] : $this->wrong->of($revision, $progress),
        ];
    }

    /** @return list<array<string, mixed>> */
    private function opened(Job $job, KnownCut $cut): array
    {
        $writer = $this->writer($cut);
        $standing = $this->stores->standing($job, $cut);
        $locations = StoreItem::query()
            ->whereIn('key', array_map(static fn (OpenedStock $one): string => $one->stockId, $cut->opened))
            ->pluck('location', 'key');

        return array_map(static fn (OpenedStock $one): array => [
            ...$writer->opened($one),
            'standing' => $standing[$one->key()] ?? 'missing',
            'location' => $locations[$one->stockId] ?? '',
        ], $cut->opened);
    }

    /** @return array<string, array{length: string|null, by: string, at: string}> by mark */
    private function done(KnownCut $cut, Progress $progress): array
    {
        $done = [];
        foreach ($cut->opened as $stock) {
            foreach ($stock->pieces as $piece) {
                $entry = $progress->done[StepKind::Prepare->key($piece->mark)] ?? null;
                if ($entry !== null) {
                    $mm = $progress->reading(StepKind::Prepare->key($piece->mark), 'length');
                    $done[$piece->mark] = [
                        'length' => $mm === null ? null : Quantity::Length->show($mm, $cut->units),
                        'by' => $entry->by,
                        'at' => $entry->at->format('c'),
                    ];
                }
            }
        }

        return $done;
    }

    private function writer(KnownCut $cut): CuttingWriter
    {
        return new CuttingWriter($cut->units, $this->workshop->shop());
    }
}

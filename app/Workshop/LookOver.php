<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Models\Job;
use App\Stores\JobStores;
use UpsweptBead\Core\Account\Ledger\Ledger;
use UpsweptBead\Core\Base\Reason\Notice;
use UpsweptBead\Core\Base\Reason\Severity;
use UpsweptBead\Core\Exchange\Screens\ShoppingWriter;
use UpsweptBead\Core\Job\Changes;
use UpsweptBead\Core\Stage\Made\Outline;
use UpsweptBead\Core\Stage\Made\PlanChanges;

/** A draft as it would be released: what it changes, what becomes of what was made, what it takes, what is open. */
final readonly class LookOver
{
    public function __construct(
        private Workshop $workshop,
        private KnownPlans $plans,
        private JobLog $log,
        private BenchStanding $standing,
        private MadeView $made,
        private JobStores $stores,
    ) {}

    /** @return array<string, mixed> */
    public function of(Job $job): array
    {
        $draft = $job->current();
        $released = $job->released();
        $document = $this->workshop->read($draft);
        $plan = $this->workshop->planInFull($document);
        $shop = $this->workshop->shop();
        $outline = $this->workshop->outline($plan->sketch);
        $before = $released === null ? null : $this->plans->outline($released);
        $pieces = $before === null ? [] : PlanChanges::between($before, $outline, $document->units);
        $made = $this->standing->heldAgainst($job, $draft->number, static fn (): Outline => $outline, $this->log->now($job));
        $list = $this->stores->list($job, Ledger::of($plan, $shop)->goods);

        return [
            'number' => $draft->number,
            'since' => $released?->number,
            'document' => $released === null ? [] : Changes::between($this->workshop->read($released), $document),
            'pieces' => array_map(
                static fn (string $letter, array $lines): array => ['run' => $letter, 'lines' => $lines],
                array_keys($pieces),
                $pieces,
            ),
            'made' => $this->made->of($job, $made, $document->units),
            'goods' => array_map((new ShoppingWriter($document->units))->row(...), $list->rows),
            'cost' => round($list->cost(), 2),
            'isPriced' => $list->isPriced(),
            'problems' => self::notices($plan->notices(), Severity::Problem),
            'cautions' => self::notices($plan->notices(), Severity::Caution),
        ];
    }

    /**
     * @param  list<Notice>  $notices
     * @return list<array{severity: string, path: string, message: string}>
     */
    private static function notices(array $notices, Severity $severity): array
    {
        $some = array_filter($notices, static fn (Notice $one): bool => $one->severity === $severity);

        return array_map(
            static fn (Notice $one): array => ['severity' => $one->severity->value, 'path' => $one->path, 'message' => $one->message],
            array_values($some),
        );
    }
}

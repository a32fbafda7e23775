<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Models\Job;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Exchange\Screens\CardWriter;
use UpsweptBead\Core\Job\Small\SmallWork;

/** Small work: its card at once, and the job it becomes. */
final readonly class SmallWorks
{
    /** What jobs of this kind are numbered with. */
    private const SERIES = 'S-';

    /** One after the other gets its number. */
    private const LOCK = 7_201;

    public function __construct(private Workshop $workshop, private Drafts $drafts) {}

    /** @return array<string, mixed> settings and purge of its one seam, and what is done step by step */
    public function card(SmallWork $work, UnitSystem $units): array
    {
        $job = $work->job(self::SERIES, $units);

        return CardWriter::card($this->workshop->planInFull($job), $work->joint());
    }

    /**
     * Makes a job of it and releases it: small work needs no second look at a draft.
     *
     * @throws NotReleasable if it cannot be welded as it was chosen
     */
    public function begin(SmallWork $work, UnitSystem $units, User $by): Job
    {
        return DB::transaction(function () use ($work, $units, $by): Job {
            DB::select('select pg_advisory_xact_lock(?)', [self::LOCK]);
            $job = $this->drafts->begin($work->job($this->nextNumber(), $units));
            $this->drafts->release($job, 1, $by);

            return $job;
        });
    }

    private function nextNumber(): string
    {
        $highest = Job::query()
            ->where('number', '~', '^'.self::SERIES.'[0-9]{1,9}$')
            ->selectRaw('max(substr(number, ?)::int) as highest', [strlen(self::SERIES) + 1])
            ->value('highest');

        return sprintf('%s%04d', self::SERIES, (is_numeric($highest) ? (int) $highest : 0) + 1);
    }
}

<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Models\Job;
use App\Models\LogEntry;
use App\Models\Revision;
use App\Models\Shop as ShopModel;
use UpsweptBead\Core\Bench\Progress;
use UpsweptBead\Core\Document\Faults;
use UpsweptBead\Core\Job\Job as CoreJob;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Plan\NextAction;
use UpsweptBead\Core\Plan\Plan;
use UpsweptBead\Core\Plan\Planner;
use UpsweptBead\Core\Plan\Sketch;
use UpsweptBead\Core\Shop\Shop;
use UpsweptBead\Core\Shop\ShopReader;
use UpsweptBead\Core\Units\UnitSystem;

/** Brings stored documents to the core and its answers back; computes nothing of the job itself. */
final class Workshop
{
    private ?Shop $shop = null;

    public function __construct(
        private readonly StoredMeshes $meshes,
        private readonly KnownInsertions $insertions,
        private readonly SharedMemo $memo,
    ) {}

    public function shop(): Shop
    {
        $stored = $this->shop === null ? ShopModel::query()->first() : null;
        if ($stored !== null) {
            $this->shop = ShopReader::read($stored->document, new Faults())
                ->withMeshes($this->meshes)
                ->withMemo($this->memo);
        }

        return $this->shop ??= Shop::bare()->withMeshes($this->meshes)->withMemo($this->memo);
    }

    /** A stored document was read without problems when it was saved; it is the same reader that reads it now. */
    public function read(Revision $revision): CoreJob
    {
        return JobReader::fromDecoded($revision->document)->job
            ?? throw new \LogicException("Revision $revision->id holds a document that cannot be read.");
    }

    /**
     * The plan as far as it is worked out with every edit: the order in which runs go in only where it is known
     * already.
     */
    public function plan(CoreJob $job, ?UnitSystem $shownIn = null): Plan
    {
        return Planner::plan(
            $shownIn === null ? $job : $job->in($shownIn),
            $this->shop(),
            $this->insertions->find($job, $this->shop()),
        );
    }

    /** The plan with the order in which runs go in, worked out now if need be: what a release and the bench go by. */
    public function planInFull(CoreJob $job, ?UnitSystem $shownIn = null): Plan
    {
        return Planner::plan(
            $shownIn === null ? $job : $job->in($shownIn),
            $this->shop(),
            $this->insertions->get($job, $this->shop()),
        );
    }

    /** Only what is drawn and measured while something is dragged. */
    public function sketch(CoreJob $job): Sketch
    {
        return Planner::sketch($job, $this->shop());
    }

    public function progress(Plan $plan, Job $job): Progress
    {
        return Progress::of(
            $plan->steps,
            array_values($job->log->map(static fn (LogEntry $entry) => $entry->toCore())->all()),
        );
    }

    /**
     * What to do next: planning while there is a draft or nothing else, making once there is a release and no draft.
     */
    public function next(Plan $plan, Job $job): NextAction
    {
        return NextAction::of(
            $plan,
            $job->draft() === null && $job->released() !== null ? $this->progress($plan, $job) : null,
        );
    }
}

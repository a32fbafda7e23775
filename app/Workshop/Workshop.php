<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Models\Revision;
use App\Models\Shop as ShopModel;
use App\Stores\Shelf;
use UpsweptBead\Core\Base\Document\Faults;
use UpsweptBead\Core\Base\Document\UnusableDocument;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Job\Job as CoreJob;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Shop\Practice\ShopReader;
use UpsweptBead\Core\Stage\Made\Outline;
use UpsweptBead\Core\Stage\Plan\Plan;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Stage\Plan\Sketch;
use UpsweptBead\Core\Stage\Survey\Surveyed;

/** Brings stored documents to the core and its answers back; computes nothing of the job itself. */
final class Workshop
{
    private ?Shop $shop = null;

    private ?ShopModel $stored = null;

    /** @var array<string, Shelf> by job and sizes of tube, as long as this is asked */
    private array $shelves = [];

    public function __construct(
        private readonly StoredMeshes $meshes,
        private readonly KnownInsertions $insertions,
        private readonly SharedMemo $memo,
    ) {}

    /** The shop with nothing on its shelf: its rules, catalogue and bottles. */
    public function shop(): Shop
    {
        return $this->shop ??= $this->known()->withMeshes($this->meshes)->withMemo($this->memo);
    }

    /** The shop as a job finds it: with what is on the shelf for it. */
    public function shopFor(CoreJob $job): Shop
    {
        $shelf = $this->shelfFor($job);

        return $this->shop()->withShelf($shelf->counts, $shelf->offcuts);
    }

    /** @return array<string, mixed> what the shop works by now, apart from its bottles: kept with a release */
    public function worksBy(): array
    {
        $document = $this->stored()->document ?? [];

        return ['rules' => $document['rules'] ?? [], 'schools' => $document['schools'] ?? []];
    }

    /** The shop as it worked when a job was released, with what lay on its shelf then. */
    private function shopThen(Revision $released): Shop
    {
        $shelf = Shelf::kept($released->shelf);
        $shop = $this->shop();
        $then = $released->shop;
        if ($then !== null && $then !== $this->worksBy()) {
            // An empty list and an empty object look alike to PHP; the reader wants the latter left out.
            $kept = array_filter($then, static fn (mixed $one): bool => $one !== []);
            $now = array_diff_key($this->stored()->document ?? [], $then);
            $shop = ShopReader::read([...$now, ...$kept], new Faults())
                ->withMeshes($this->meshes)
                ->withMemo($this->memo);
        }

        return $shop->withShelf($shelf->counts, $shelf->offcuts);
    }

    /** The shop with all that nobody was promised. */
    public function shopWithAll(): Shop
    {
        $all = Shelf::now(null, '');

        return $this->shop()->withShelf($all->counts, $all->offcuts);
    }

    /** What is on the shelf for a job now. */
    public function shelfFor(CoreJob $job): Shelf
    {
        $tubes = $job->tubeIds();
        $key = implode(' ', [$job->number, ...$tubes]);

        return $this->shelves[$key] ??= Shelf::now($tubes, $job->number);
    }

    /** Forgets what was on the shelf, after something was taken from it or put on it. */
    public function lookAgain(): void
    {
        $this->shelves = [];
    }

    /** Forgets what the shop said, after it was changed. */
    public function shopChanged(): void
    {
        $this->stored = $this->shop = null;
    }

    /** Stands for everything that the shop says; not for what is on its shelf. */
    public function shopStamp(): string
    {
        $stored = $this->stored()?->getRawOriginal('document');

        return is_string($stored) ? md5($stored) : '';
    }

    /** The same but for what its gauges say: where a job stands does not hang on that. */
    public function stampWithoutGauges(): string
    {
        $document = $this->stored()->document ?? [];
        $bottles = is_array($document['bottles'] ?? null) ? $document['bottles'] : [];
        $document['bottles'] = array_map(
            static fn (mixed $one): mixed => is_array($one) ? array_diff_key($one, ['gauge' => 0, 'read' => 0]) : $one,
            $bottles,
        );

        return md5(json_encode($document, JSON_THROW_ON_ERROR));
    }

    /** The shop as the core reads it; reading its tables takes longer than most of what is asked of it. */
    private function known(): Shop
    {
        $key = 'shop-'.$this->shopStamp();
        $known = $this->memo->recall([$key])[$key] ?? null;
        if (! $known instanceof Shop) {
            $stored = $this->stored();
            $known = $stored === null ? Shop::bare() : ShopReader::read($stored->document, new Faults());
            $this->memo->keep([$key => $known]);
        }

        return $known;
    }

    private function stored(): ?ShopModel
    {
        return $this->stored ??= ShopModel::query()->first();
    }

    /**
     * A stored document was read without problems when it was saved; it is the same reader that reads it now.
     *
     * @throws UnreadableJob if it was stored in another way, or by another version of the program
     */
    public function read(Revision $revision): CoreJob
    {
        try {
            return JobReader::fromDecoded($revision->document)->job ?? throw UnreadableJob::at($revision);
        } catch (UnusableDocument) {
            throw UnreadableJob::at($revision);
        }
    }

    /**
     * The plan as far as it is worked out with every edit: the order in which runs go in only where it is known
     * already.
     *
     * @param  Surveyed|null  $surveyed  its readings as they were adjusted; null where that is still to be done
     */
    public function plan(CoreJob $job, ?UnitSystem $shownIn = null, ?Surveyed $surveyed = null): Plan
    {
        return Planner::plan(
            $shownIn === null ? $job : $job->in($shownIn),
            $this->shopFor($job),
            $this->insertions->find($job, $this->shop()),
            $surveyed,
        );
    }

    /**
     * The plan with the order in which runs go in, worked out now if need be: what a release and the bench go by.
     *
     * @param  Revision|null  $released  what the shop had and worked by then counts, not what it does now
     */
    public function planInFull(CoreJob $job, ?UnitSystem $shownIn = null, ?Revision $released = null): Plan
    {
        $shop = $released === null ? $this->shopFor($job) : $this->shopThen($released);

        return Planner::planInFull(
            $shownIn === null ? $job : $job->in($shownIn),
            $shop,
            $this->insertions->get($job, $shop),
        );
    }

    /** Only what is drawn and measured while something is dragged. */
    public function sketch(CoreJob $job): Sketch
    {
        return Planner::sketch($job, $this->shopFor($job));
    }

    /** What work that was done by other plans is held against. */
    public function outline(Sketch $sketch): Outline
    {
        return Outline::of($sketch->layout, $sketch->cut, $sketch->joints, $this->shop()->rules);
    }

    /** Whether the order in which the runs of a job go in is known, or there is none to know. */
    public function isOrdered(CoreJob $job): bool
    {
        return $job->standing() < 2 || $this->insertions->find($job, $this->shop()) !== null;
    }
}

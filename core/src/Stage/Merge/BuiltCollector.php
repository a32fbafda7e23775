<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Merge;

use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Job\Collector\CollectorBuild;
use UpsweptBead\Core\Job\Collector\CollectorEntry;
use UpsweptBead\Core\Job\Collector\CollectorMake;
use UpsweptBead\Core\Job\Collector\CollectorSpec;
use UpsweptBead\Core\Job\Collector\InletPose;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Run\RunSpec;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Shop\Stock\BendStock;
use UpsweptBead\Core\Shop\Stock\Exception\UnknownStock;
use UpsweptBead\Core\Shop\Stock\TubeSize;
use UpsweptBead\Core\Solve\Merge\CutLine;

/** A collector of a job as it is built: its sizes, its shape, where its mouths and its outlet stand. */
final readonly class BuiltCollector
{
    /** Walls of two tables this near to each other are the same. */
    private const SAME_WALL_MM = 0.01;

    /** A tube with this share of the area wanted is taken before the next size up; our own figure. */
    private const NEARLY = 0.95;

    private Frame $frame;

    /**
     * @param  string  $path  its place in the job document
     * @param  CollectorShape|null  $shape  null where it is bought, or cannot be made
     * @param  string  $lack  why it cannot be made; '' where it can
     */
    private function __construct(
        public CollectorSpec $spec,
        public CollectorBuild $build,
        public string $path,
        public CollectorSizes $sizes,
        public ?CollectorShape $shape,
        public string $lack,
    ) {
        $this->frame = $build->frame();
    }

    /** @throws UnknownStock if its tube or the one behind it is on no list */
    public static function of(CollectorSpec $spec, CollectorBuild $build, string $path, Job $job, Shop $shop): self
    {
        $sizes = self::sizes($spec, $build, $job, $shop);
        if (! $build->make->isMade()) {
            return new self($spec, $build, $path, $sizes, null, '');
        }
        $key = 'collector-2-'.md5(serialize([
            $build->make, $build->inlets, $sizes->round, $sizes->outlet->odMm, $sizes->bend?->id, $sizes->lean->value,
            $sizes->leg->value, $sizes->gap->value, $sizes->pullIn->value, $sizes->beyond->value, $sizes->circle->value,
            $job->units,
        ]));
        $known = $shop->memo->recall([$key])[$key] ?? null;
        if (! $known instanceof CollectorShape && ! is_string($known)) {
            $known = CollectorShape::of($sizes, $job->units);
            $shop->memo->keep([$key => $known]);
        }

        return new self(
            $spec,
            $build,
            $path,
            $sizes,
            is_string($known) ? null : $known,
            is_string($known) ? $known : '',
        );
    }

    /** @throws UnknownStock */
    private static function sizes(CollectorSpec $spec, CollectorBuild $build, Job $job, Shop $shop): CollectorSizes
    {
        $catalogue = $shop->catalogue;
        $tube = $catalogue->tube($build->tubeId);
        $entering = null;
        foreach ($spec->runs as $letter) {
            $run = $job->run($letter);
            $one = $run === null ? null : $catalogue->tubes[$run->tubeId] ?? null;
            $entering = $one !== null && $one->odMm > ($entering->odMm ?? 0.0) ? $one : $entering;
        }
        $into = $build->into === null ? null : $job->run($build->into);
        $outletId = $build->outletTubeId ?? $into?->tubeId;
        $outlet = $outletId === null
            ? self::proposedOutlet($tube, $shop)
            : $catalogue->tube($outletId);

        $bends = self::bends($build, $shop);
        // The one that was chosen, or the gentlest.
        $bend = $build->bendId === null ? $bends[0] ?? null : $catalogue->bend($build->bendId);

        return new CollectorSizes(
            $build,
            $tube,
            $entering ?? $tube,
            $outlet,
            $bend,
            $bends,
            $job->overrides,
            $shop->rules,
            $spec->entry === CollectorEntry::Butt,
        );
    }

    /** The narrowest tube of the same wall that has the outlet area wanted. */
    private static function proposedOutlet(TubeSize $tube, Shop $shop): TubeSize
    {
        $wantedMm2 = $shop->rules->value('merge.area_most') * $tube->boreAreaMm2();
        $found = null;
        foreach ($shop->catalogue->tubes as $one) {
            $suits = $one->isPipe === $tube->isPipe
                && ($one->isPipe || abs($one->wallMm - $tube->wallMm) < self::SAME_WALL_MM)
                && $one->boreAreaMm2() >= $wantedMm2 * self::NEARLY;
            $found = $suits && $one->odMm < ($found->odMm ?? INF) ? $one : $found;
        }

        return $found ?? $tube;
    }

    /** @return list<BendStock> bends with legs that turn no further than a merge can use, the gentlest first */
    private static function bends(CollectorBuild $build, Shop $shop): array
    {
        $bends = array_values(array_filter(
            $shop->catalogue->bendsFor($build->tubeId),
            static fn (BendStock $one): bool => $one->longestLegMm() > 0.0 && $one->angleDeg <= 90.0,
        ));
        $rank = static fn (BendStock $one): array => [-$one->clrMm, $one->angleDeg];
        usort($bends, static fn (BendStock $a, BendStock $b): int => $rank($a) <=> $rank($b));

        return $bends;
    }

    public function tube(): TubeSize
    {
        return $this->sizes->tube;
    }

    /** The mark of one of its pieces, counted from 0. */
    public function mark(int $inlet): string
    {
        return $this->build->letter.($inlet + 1);
    }

    /** Where a tube comes into one of its mouths: the point and the way of the flow. */
    public function inlet(int $place): Frame
    {
        $pose = $this->build->poses[$place] ?? null;
        if ($pose instanceof InletPose) {
            $at = new Vector($pose->at[0]->mm, $pose->at[1]->mm, $pose->at[2]->mm);

            return Frame::facing($this->inSpace($at), $this->turned($pose->direction), $this->frame->reference);
        }
        $turned = $this->frame->turned(360.0 * $place / $this->build->inlets);
        $lean = $this->sizes->leanRad();

        return Frame::facing(
            $turned->at->plus($turned->reference->times($this->sizes->circle->value / 2)),
            $turned->forward->times(cos($lean))->minus($turned->reference->times(sin($lean))),
            $turned->reference,
        );
    }

    /** Where the gas leaves it. */
    public function outlet(): Frame
    {
        return $this->frame->advanced($this->lengthMm());
    }

    /** From its mouths to its outlet, along its axis (mm). */
    public function lengthMm(): float
    {
        return $this->shape?->finished->planeMm() ?? $this->sizes->length->value;
    }

    /** A point of its own frame in space. */
    public function inSpace(Vector $own): Vector
    {
        return $this->frame->at->plus($this->turned($own));
    }

    /** @return list<MergeSeam> in the order they are welded; none where it is bought or cannot be made */
    public function seams(): array
    {
        return $this->shape === null ? [] : MergeSeam::all($this->build->inlets, $this->shape->seamMm);
    }

    /** Volume of its bore, in L. */
    public function volumeL(): float
    {
        if ($this->shape !== null) {
            return $this->shape->boreMl / 1000;
        }
        // Of a bought one from all its inlets together to its outlet, as a cone.
        $inMm2 = $this->build->inlets * $this->tube()->boreAreaMm2();
        $outMm2 = $this->sizes->outlet->boreAreaMm2();

        return $this->lengthMm() / 3 * ($inMm2 + $outMm2 + sqrt($inMm2 * $outMm2)) * 1e-6;
    }

    /** Bore of the tube behind it over the bore of one of its tubes. */
    public function areaRatio(): float
    {
        return $this->sizes->outlet->boreAreaMm2() / $this->sizes->tube->boreAreaMm2();
    }

    /** How thick a shim keeps the inlets apart while they are tacked (mm). */
    public function shimMm(): float
    {
        return $this->sizes->gap->value + 2 * $this->sizes->pullIn->value;
    }

    /** Where the outside of its tubes is cut; the same for all of them. */
    public function line(): ?CutLine
    {
        return $this->shape?->line;
    }

    public function isBent(): bool
    {
        return $this->build->make === CollectorMake::Bent;
    }

    /** @return list<RunSpec> that end in it, in the order of its inlets */
    public function runs(Job $job): array
    {
        return array_values(array_filter(array_map($job->run(...), $this->spec->runs)));
    }

    private function turned(Vector $own): Vector
    {
        return $this->frame->reference->times($own->x)
            ->plus($this->frame->forward->cross($this->frame->reference)->times($own->y))
            ->plus($this->frame->forward->times($own->z));
    }
}

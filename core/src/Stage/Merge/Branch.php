<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Merge;

use UpsweptBead\Core\Base\Document\Refusal;
use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Job\Collector\SaddleSpec;
use UpsweptBead\Core\Job\Run\RunSpec;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Solve\Merge\RoundTube;
use UpsweptBead\Core\Solve\Merge\Saddle;
use UpsweptBead\Core\Solve\Run\Centreline;

/**
 * The end of a run that stands on the side of another. Its line begins (or ends) where the first of its tube begins, at
 * the lowest point of its cut; from there on the template takes away.
 */
final readonly class Branch
{
    /** A hole may run this far (mm) into the bend beside its straight before it is warned of; our own figure. */
    private const OVER_MM = 0.5;

    /**
     * @param  string  $letter  of the run that stands on the other
     * @param  bool  $isStart  whether it leaves the other, or comes into it
     * @param  string  $path  its place in the job document
     * @param  Saddle|null  $saddle  null where it cannot be made
     * @param  Frame|null  $foot  in the main: forward along its flow, the reference towards the branch
     * @param  float  $lowMm  the least station of its cut from the foot
     * @param  float  $highMm  the greatest
     * @param  float  $seamMm  the seam all round, in space
     * @param  string  $lack  why it cannot be made, or what is wrong with it; '' where it is fine
     */
    private function __construct(
        public string $letter,
        public bool $isStart,
        public SaddleSpec $spec,
        public string $path,
        public ?Saddle $saddle,
        public ?Frame $foot,
        public float $lowMm,
        public float $highMm,
        public float $seamMm,
        public string $lack,
    ) {}

    /**
     * @param  RunSpec|null  $main  the run it stands on, with its end in place
     * @param  string  $path  of the end in the job document
     */
    public static function of(
        RunSpec $run,
        bool $isStart,
        SaddleSpec $spec,
        ?RunSpec $main,
        string $path,
        UnitSystem $units,
        Shop $shop,
    ): self {
        $lacks = static fn (string $why, ?Frame $foot = null): self => new self(
            $run->letter, $isStart, $spec, "$path.saddle", null, $foot, 0.0, 0.0, 0.0, $why,
        );
        $tubes = $shop->catalogue->tubes;
        [$onTube, $tube] = [$tubes[$main->tubeId ?? ''] ?? null, $tubes[$run->tubeId] ?? null];
        if ($main === null || $main->route === null || $onTube === null || $tube === null) {
            return $lacks("Run $spec->on has no route yet, so there is nothing to stand on.");
        }
        $line = Centreline::of($main->route->from($main->start->frame()));
        if ($spec->station->mm > $line->lengthMm) {
            return $lacks(sprintf(
                'Run %s is %s long; the branch cannot stand further along it than that.',
                $spec->on,
                Quantity::Length->show($line->lengthMm, $units),
            ));
        }
        $foot = self::foot($line, $spec);
        $saddle = Saddle::of(
            new RoundTube($onTube->odMm, $onTube->wallMm),
            new RoundTube($tube->odMm, $tube->wallMm),
            deg2rad($isStart ? $spec->angleDeg : 180.0 - $spec->angleDeg),
            $spec->offset->mm,
            $spec->seat,
        );
        if ($saddle instanceof Refusal) {
            return $lacks(self::told($saddle, $spec->on, $units), $foot);
        }
        $measures = self::measures($saddle, $shop);

        return new self(
            $run->letter,
            $isStart,
            $spec,
            "$path.saddle",
            $saddle,
            $foot,
            $measures->lowMm,
            $measures->highMm,
            $measures->seamMm,
            self::offStraight($line, $spec, $measures, $units),
        );
    }

    /** How far from its end, along it, the skin of the branch begins; round it from psi 0 of its cut (radians). */
    public function backMm(float $psi): float
    {
        return $this->saddle === null ? 0.0 : $this->saddle->cutMm($psi) - $this->lowMm;
    }

    /** Where the end of the branch stands: along its own flow, with psi 0 of its cut as the reference. */
    public function frame(): ?Frame
    {
        $axis = $this->axis()?->advanced($this->lowMm);

        return $axis === null || $this->isStart
            ? $axis
            : Frame::facing($axis->at, $axis->forward->times(-1), $axis->reference);
    }

    /** Along its centreline out of the main, from its foot; null where it cannot be made. */
    public function axis(): ?Frame
    {
        if ($this->saddle === null || $this->foot === null) {
            return null;
        }
        [$x, $z] = [$this->foot->reference, $this->foot->forward];
        $out = $x->times(sin($this->saddle->angle))->plus($z->times(cos($this->saddle->angle)));
        $zero = $x->times(cos($this->saddle->angle))->minus($z->times(sin($this->saddle->angle)));

        return Frame::facing($this->foot->at->plus($z->cross($x)->times($this->saddle->offsetMm)), $out, $zero);
    }

    /**
     * The edge of the hole in space.
     *
     * @return list<Vector>
     */
    public function hole(): array
    {
        [$saddle, $foot] = [$this->saddle, $this->foot];

        return $saddle === null || $foot === null ? [] : array_map(
            static fn ($one): Vector => $foot->at
                ->plus($foot->reference->times($one->at->x))
                ->plus($foot->forward->cross($foot->reference)->times($one->at->y))
                ->plus($foot->forward->times($one->at->z)),
            $saddle->hole()->points,
        );
    }

    /** On the main's centreline, with the reference to the side that the branch stands on. */
    private static function foot(Centreline $line, SaddleSpec $spec): Frame
    {
        $frame = $line->frameAt($spec->station->mm);

        return Frame::facing($frame->at, $frame->forward)->turned($spec->fromTopDeg);
    }

    private static function measures(Saddle $saddle, Shop $shop): SaddleMeasures
    {
        $key = 'saddle-'.md5(serialize($saddle));
        $known = $shop->memo->recall([$key])[$key] ?? null;
        if (! $known instanceof SaddleMeasures) {
            $known = SaddleMeasures::of($saddle);
            $shop->memo->keep([$key => $known]);
        }

        return $known;
    }

    /** The hole and the seam lie on the straight part of the main only, or the template does not hold. */
    private static function offStraight(
        Centreline $line,
        SaddleSpec $spec,
        SaddleMeasures $saddle,
        UnitSystem $units,
    ): string {
        [$from, $to] = [$spec->station->mm + $saddle->holeFromMm, $spec->station->mm + $saddle->holeToMm];
        foreach ($line->segments as $segment) {
            $holds = $segment->fromMm <= $from + self::OVER_MM && $segment->toMm() >= $to - self::OVER_MM;
            if ($segment->bendIndex === null && $holds) {
                return '';
            }
        }

        return sprintf(
            'The hole reaches from %s to %s along run %s, which is not straight all the way there. Its template holds on a straight only: move the branch, or grind it to fit.',
            Quantity::Length->show($from, $units),
            Quantity::Length->show($to, $units),
            $spec->on,
        );
    }

    private static function told(Refusal $refusal, string $on, UnitSystem $units): string
    {
        $by = Quantity::Length->show($refusal->by ?? 0.0, $units);

        return match ($refusal->what) {
            'branch-too-large' => "The branch is wider than run $on, by $by. Put the branch under the larger tube instead.",
            'branch-misses' => "With this offset the branch misses run $on, by $by.",
            'offset-too-large' => "With this offset the branch hangs over the side of run $on, by $by.",
            default => "The branch cannot stand on run $on so: $refusal->what, $by.",
        };
    }
}

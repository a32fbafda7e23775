<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Merge;

use UpsweptBead\Core\Base\Document\Refusal;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Job\Collector\CollectorMake;
use UpsweptBead\Core\Solve\Merge\Collector\BentCollector;
use UpsweptBead\Core\Solve\Merge\Collector\LeaningTube;
use UpsweptBead\Core\Solve\Merge\Collector\MergeBend;
use UpsweptBead\Core\Solve\Merge\Collector\MergeCollector;
use UpsweptBead\Core\Solve\Merge\Collector\Outlet;
use UpsweptBead\Core\Solve\Merge\Collector\Quarters;
use UpsweptBead\Core\Solve\Merge\Collector\StraightCollector;
use UpsweptBead\Core\Solve\Merge\CutLine;
use UpsweptBead\Core\Solve\Merge\RoundTube;

/**
 * The tubes of a collector as they are in the end, and as they are cut: set wider for what welding pulls them in by,
 * and longer at the outlet. Its outlet lies where all edges together are as long as the tube behind it is round, since
 * it is pressed round over a former.
 */
final readonly class CollectorShape
{
    private const COARSE_DEG = 3.0;

    private const FINE_DEG = 1.0;

    /** An outlet is placed to this (mm). */
    private const PLACED_MM = 0.02;

    /** Tubes meet on this much of the axis at least (mm). */
    private const SEAM_MM = 5.0;

    /** So far inside what can be cut at all (mm). */
    private const INSIDE_MM = 0.01;

    /** Places between 0 and 1 and their weights, after Gauss and Legendre. */
    private const SHELLS = [[0.1127016654, 0.2777777778], [0.5, 0.4444444444], [0.8872983346, 0.2777777778]];

    /** A plane so far down the axis (mm) that no collector reaches it. */
    private const FAR_MM = 1e5;

    /**
     * @param  float  $widestMm  diameter of the widest outlet that still closes in the middle, pressed round
     * @param  float  $narrowestMm  and of the narrowest
     * @param  CutLine  $line  of each tube as it is cut
     * @param  float  $meanMm  mean station of that line, all round
     * @param  float  $seamMm  one seam between two tubes, in space
     * @param  CentrePlate|null  $plate  what closes the middle, where it is still open at the outlet
     * @param  float  $boreMl  inside of all tubes together, from their mouths to the outlet
     */
    private function __construct(
        public MergeCollector $finished,
        public MergeCollector $cut,
        public ?Quarters $quarters,
        public ?MergeBend $bend,
        public float $widestMm,
        public float $narrowestMm,
        public CutLine $line,
        public float $meanMm,
        public float $seamMm,
        public ?CentrePlate $plate,
        public float $boreMl,
    ) {}

    /** @return self|string the shape, or why there is none, with what to change */
    public static function of(CollectorSizes $sizes, UnitSystem $units): self|string
    {
        $show = static fn (float $mm): string => Quantity::Length->show($mm, $units);
        $radiusMm = $sizes->circle->value / 2;
        if ($sizes->build->make === CollectorMake::Bent && $sizes->bend === null) {
            return 'No bend on the list has this tube; choose another tube, or make it from straight tube.';
        }
        $ends = self::ends($sizes, $radiusMm);
        if ($ends instanceof Refusal) {
            return self::told($ends, $show);
        }
        [$closesMm, $apexMm] = $ends;
        // Three tubes and more leave a hole in their middle that a plate can close; two would leave a slot.
        $firstMm = $sizes->build->inlets > 2 ? self::meetsMm($sizes, $radiusMm, $closesMm) : $closesMm;
        $edge = static fn (float $planeMm): float => self::edgeMm($sizes, $radiusMm, $planeMm);
        [$mostMm, $widestMm, $narrowestMm] = [$edge($firstMm) / M_PI, $edge($closesMm) / M_PI, $edge($apexMm) / M_PI];
        $wantedMm = $sizes->outlet->odMm;
        if ($wantedMm > $mostMm || $wantedMm < $narrowestMm) {
            return sprintf(
                'An outlet of %s cannot be had from these tubes: pressed round it comes out between %s, where their middles meet, and %s, where %s. %s',
                $show($wantedMm),
                $show($narrowestMm),
                $show($mostMm),
                $firstMm < $closesMm ? 'they first touch' : 'the centre has just closed',
                $wantedMm > $mostMm
                    ? 'Choose a smaller outlet and a cone behind it, or larger tubes.'
                    : 'Choose a larger outlet, or smaller tubes.',
            );
        }
        [$from, $to] = [$firstMm, $apexMm];
        while ($to - $from > self::PLACED_MM) {
            $middle = ($from + $to) / 2;
            [$from, $to] = $edge($middle) / M_PI > $wantedMm ? [$middle, $to] : [$from, $middle];
        }
        $finished = self::at($sizes, $radiusMm, $from);
        if ($finished instanceof Refusal) {
            return self::told($finished, $show);
        }
        $wideMm = $radiusMm + ($sizes->build->make === CollectorMake::Bent ? $sizes->pullIn->value : 0.0);
        // Nearer to the point where all axes meet there is nothing to cut beyond.
        $longest = self::ends($sizes, $wideMm);
        $cutMm = min($from + $sizes->beyond->value, is_array($longest) ? $longest[1] : $from);
        $cut = self::at($sizes, $wideMm, $cutMm);
        if ($cut instanceof Refusal) {
            return self::told($cut, $show);
        }
        $line = $cut->line(0, self::FINE_DEG);
        $end = $finished->line(0, self::FINE_DEG);

        return new self(
            $finished,
            $cut,
            self::quarters($sizes, $cut, $line->greatestMm()),
            self::bend($sizes),
            $widestMm,
            $narrowestMm,
            $line,
            self::meanMm($line),
            $end->lengthMm(1),
            $from < $closesMm ? CentrePlate::of($end, $sizes->build->inlets) : null,
            $sizes->build->inlets * self::boreMl($sizes, $radiusMm, $from),
        );
    }

    /** How far before the furthest point of its cut a tube ends, so far round it from its outer side (radians). */
    public function backMm(float $psi): float
    {
        $furthestMm = $this->line->greatestMm();

        return $furthestMm - ($this->cut->row(0, $psi)['s'] ?? $furthestMm);
    }

    private static function quarters(CollectorSizes $sizes, MergeCollector $cut, float $longestMm): ?Quarters
    {
        if ($sizes->build->make !== CollectorMake::Quarters || ! $cut instanceof StraightCollector) {
            return null;
        }
        $quarters = Quarters::of($cut, CollectorSizes::blankMm($longestMm));

        return $quarters instanceof Refusal ? null : $quarters;
    }

    /**
     * Where the middle has just closed, and where the axes of all tubes meet or the bend has no leg left to cut.
     *
     * @return array{float, float}|Refusal heights on the axis
     */
    private static function ends(CollectorSizes $sizes, float $radiusMm): array|Refusal
    {
        $past = self::at($sizes, $radiusMm, self::FAR_MM, false);
        if (! $past instanceof Refusal || $past->what !== 'outlet-past-apex' || $past->by === null) {
            return $past instanceof Refusal ? $past : new Refusal('half-angle-zero', 'half_angle');
        }
        $apexMm = self::FAR_MM - $past->by - self::INSIDE_MM;
        $open = self::at($sizes, $radiusMm, self::INSIDE_MM, false);
        if ($open instanceof Refusal && ($open->what !== 'centre-open' || $open->by === null)) {
            return $open;
        }
        $closesMm = $open instanceof Refusal ? 2 * self::INSIDE_MM + $open->by : self::INSIDE_MM;
        [$from, $to] = [$closesMm, $apexMm];
        $last = self::at($sizes, $radiusMm, $to, false);
        while ($last instanceof Refusal && $to - $from > self::PLACED_MM) {
            $middle = ($from + $to) / 2;
            $isRefused = self::at($sizes, $radiusMm, $middle, false) instanceof Refusal;
            [$from, $to] = $isRefused ? [$from, $middle] : [$middle, $to];
        }
        if ($last instanceof Refusal) {
            return $from > $closesMm ? [$closesMm, $from] : $last;
        }

        return $closesMm < $apexMm ? [$closesMm, $apexMm] : new Refusal('centre-open', 'outlet', $closesMm - $apexMm);
    }

    private static function at(
        CollectorSizes $sizes,
        float $radiusMm,
        float $planeMm,
        ?bool $mayBeOpen = null,
        ?RoundTube $tube = null,
    ): MergeCollector|Refusal {
        $tube ??= $sizes->round;
        $count = $sizes->build->inlets;
        $mayBeOpen ??= $count > 2;
        $outlet = Outlet::atPlane($planeMm);
        $bend = self::bend($sizes);
        if ($bend !== null) {
            $tubes = array_fill_keys(array_map(self::id(...), range(1, $count)), $tube);

            return BentCollector::of($tubes, $bend, $radiusMm, $outlet, $mayBeOpen);
        }

        return StraightCollector::of(array_map(static fn (int $i): LeaningTube => new LeaningTube(
            self::id($i),
            $tube,
            $sizes->leanRad(),
            $radiusMm,
            2 * M_PI * ($i - 1) / $count,
        ), range(1, $count)), $outlet, $mayBeOpen);
    }

    /**
     * The inside of one tube up to where it is cut, by shells of the bore (Gauss on the squared radius); in a bend the
     * outer side is longer than the centreline.
     */
    private static function boreMl(CollectorSizes $sizes, float $radiusMm, float $planeMm): float
    {
        $bend = self::bend($sizes);
        $boreMm = $sizes->round->boreMm();
        $sum = 0.0;
        foreach (self::SHELLS as [$place, $weight]) {
            $shellMm = $boreMm * sqrt($place);
            $shell = self::at($sizes, $radiusMm, $planeMm, true, new RoundTube(2 * $shellMm, 0.0));
            if ($shell instanceof Refusal) {
                continue;
            }
            $points = $shell->line(0, self::COARSE_DEG)->points;
            foreach (array_slice($points, 1) as $i => $point) {
                $meanMm = ($point->sMm + $points[$i]->sMm) / 2;
                $psi = ($point->psi + $points[$i]->psi) / 2;
                $bentMm = $bend === null
                    ? 0.0
                    : max(0.0, min($meanMm, $bend->tangentMm()) - $bend->inletLegMm)
                        * $shellMm * cos($psi) / $bend->clrMm;
                $sum += $weight * ($point->psi - $points[$i]->psi) * ($meanMm + $bentMm);
            }
        }

        return $sum * $boreMm ** 2 / 2 / 1000;
    }

    private static function id(int $i): string
    {
        return "t$i";
    }

    private static function bend(CollectorSizes $sizes): ?MergeBend
    {
        $stock = $sizes->bend;
        if ($sizes->build->make !== CollectorMake::Bent || $stock === null) {
            return null;
        }
        $farMm = min($stock->clampLegMm, $stock->pullLegMm);

        return new MergeBend(
            $stock->clrMm,
            deg2rad(min(90.0, $stock->angleDeg)),
            $sizes->leg->value,
            // Of a bend that turns further than this nothing straight is left behind it.
            $stock->angleDeg > 90.0 ? 0.0 : $farMm,
        );
    }

    /** All outside edges at an outlet together; where the middle is open, its edge is not one of them. */
    private static function edgeMm(CollectorSizes $sizes, float $radiusMm, float $planeMm): float
    {
        $collector = self::at($sizes, $radiusMm, $planeMm);
        if ($collector instanceof Refusal) {
            return 0.0;
        }
        $mm = 0.0;
        $points = $collector->line(0, self::COARSE_DEG)->points;
        foreach (array_slice($points, 1) as $i => $point) {
            // From the outer side on to the first neighbour; the other half is the same.
            if ($points[$i]->by !== CutLine::OUTLET) {
                break;
            }
            $mm += $points[$i]->at->distanceTo($point->at);
        }

        return 2 * $sizes->build->inlets * $mm;
    }

    /** Where neighbouring tubes first touch: height on the axis. */
    private static function meetsMm(CollectorSizes $sizes, float $radiusMm, float $closesMm): float
    {
        $closed = self::at($sizes, $radiusMm, $closesMm);
        $first = null;
        foreach ($closed instanceof Refusal ? [] : $closed->line(0, self::FINE_DEG)->points as $point) {
            if ($point->by !== CutLine::OUTLET && $point->sMm < ($first->sMm ?? INF)) {
                $first = $point;
            }
        }

        // A little behind that, so that there is a seam at all.
        return $first === null ? $closesMm : min($closesMm, $first->at->z + self::SEAM_MM);
    }

    private static function meanMm(CutLine $line): float
    {
        $sum = 0.0;
        foreach (array_slice($line->points, 1) as $i => $point) {
            $sum += ($point->psi - $line->points[$i]->psi) * ($point->sMm + $line->points[$i]->sMm) / 2;
        }

        return $sum / (2 * M_PI);
    }

    /** @param  callable(float): string  $show */
    private static function told(Refusal $refusal, callable $show): string
    {
        $by = $show($refusal->by ?? 0.0);

        return match ($refusal->what) {
            'half-angle-zero' => 'Straight tubes must lean to the axis: give them 7½ to 10°.',
            'tubes-overlap' => "The inlets overlap: the circle through them must be wider by twice $by.",
            'bend-too-tight' => "The bend is tighter than the tube's own radius, by $by.",
            'outlet-past-apex' => "The outlet lies $by beyond where the tubes' middles meet.",
            'centre-open' => "The middle is still open at the outlet; it closes $by further on.",
            'runs-off-leg' => "The cut runs off the leg behind the bend, by $by. Take a bend that turns further or has a longer leg.",
            default => "It cannot be cut so: $refusal->what, $by.",
        };
    }
}

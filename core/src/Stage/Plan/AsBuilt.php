<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Plan;

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Run\CutChoice;
use UpsweptBead\Core\Job\Run\EndKind;
use UpsweptBead\Core\Job\Run\RouteChoice;
use UpsweptBead\Core\Job\Run\RouteRow;
use UpsweptBead\Core\Job\Run\RunSpec;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Solve\Route\Hand\AsMeasured;
use UpsweptBead\Core\Solve\Route\Hand\Bounds;
use UpsweptBead\Core\Solve\Route\Hand\Closing;
use UpsweptBead\Core\Solve\Run\FarEnd;
use UpsweptBead\Core\Solve\Run\Locks;
use UpsweptBead\Core\Solve\Run\Segment;
use UpsweptBead\Core\Solve\Run\TubeRun;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Layout\RoutedRun;

/**
 * A run of which a part stands already, and not quite where it was planned: that part is taken as it was measured and
 * held, and what comes behind it is brought to the far end again, before it is cut.
 */
final readonly class AsBuilt
{
    /** Lengths this near to each other are the same (mm). */
    private const SAME_MM = 0.01;

    /** What is less than this is not shown as a change: mm and degrees. */
    private const SHOWN_MM = 0.05;

    private const SHOWN_DEG = 0.05;

    /** What stands is not farther off than this, or something else is wrong (mm). */
    private const MOST_OFF_MM = 60.0;

    /** Nor does it point farther off: the sine of 15°. */
    private const MOST_TURNED = 0.26;

    /**
     * @param  Job  $job  with the route as it is built
     * @param  bool  $isOtherWay  whether the rest takes other bends, as those that were planned do not lead there any
     *   more
     */
    private function __construct(
        public Job $job,
        private string $run,
        private Sketch $before,
        private Sketch $after,
        private float $standsMm,
        public FarEnd $left,
        public bool $isOtherWay,
    ) {}

    public function isClosed(): bool
    {
        return $this->left->isClosed();
    }

    /**
     * What changes of the pieces that come behind what stands: the mark, the length as cut and the turn, before and
     * after.
     *
     * @return list<array{mark: string, was: float, is: float, turnWas: float, turnIs: float}> mm and degrees
     */
    public function changes(): array
    {
        $was = array_column($this->before->cut->piecesOf($this->run), null, 'mark');
        $changes = [];
        foreach ($this->after->cut->piecesOf($this->run) as $piece) {
            if ($piece->span->fromMm < $this->standsMm - self::SAME_MM) {
                continue;
            }
            $old = $was[$piece->mark] ?? null;
            $turnWas = $old->clocking->turnDeg ?? 0.0;
            $turnIs = $piece->clocking->turnDeg ?? 0.0;
            $isSame = $old !== null
                && abs($old->cutLengthMm() - $piece->cutLengthMm()) < self::SHOWN_MM
                && abs($turnWas - $turnIs) < self::SHOWN_DEG;
            if (! $isSame) {
                $changes[] = [
                    'mark' => $piece->mark,
                    'was' => $old?->cutLengthMm() ?? 0.0,
                    'is' => $piece->cutLengthMm(),
                    'turnWas' => $turnWas,
                    'turnIs' => $turnIs,
                ];
            }
        }

        return $changes;
    }

    /**
     * @param  string  $jointId  up to which it stands
     * @param  Vector  $offMm  by which it stands off there, in the job's own directions
     * @param  ?Vector  $rodOffMm  by which the end of a rod is off that is held in it; null where that was not measured
     * @param  float  $rodMm  how long the rod is
     *
     * @throws \DomainException if there is no such joint, or what is measured cannot be
     */
    public static function of(
        Job $job,
        Shop $shop,
        string $jointId,
        Vector $offMm,
        ?Vector $rodOffMm = null,
        float $rodMm = 300.0,
    ): self {
        $before = Planner::sketch($job, $shop);
        $joint = $before->joints->find($jointId)
            ?? throw new \DomainException(sprintf('The job has no joint %s.', mb_substr($jointId, 0, 20)));
        $routed = $before->layout->run($joint->run);
        $route = $routed?->spec->route;
        if ($routed === null || $route === null || ! $joint->type->isButt()) {
            throw new \DomainException("$jointId is no butt between two pieces of a run: behind it nothing can be moved.");
        }
        $turned = $rodOffMm === null ? new Vector(0, 0, 0) : $rodOffMm->minus($offMm)->times(1 / $rodMm);
        if ($turned->length() > self::MOST_TURNED) {
            throw new \DomainException(
                'Its end points more than 15° off, more than a run is bent to: measure it again, or look for another route.',
            );
        }
        if ($offMm->length() > self::MOST_OFF_MM) {
            throw new \DomainException(sprintf(
                'That is %.0f mm off, more than a run is bent to: measure it again, or look for another route.',
                $offMm->length(),
            ));
        }
        [$closing, $stands] = self::closed($routed, $joint, [$offMm, $rodOffMm === null ? null : $turned], $shop, $job);
        $standsMm = $stands->lengthMm();
        $isTilted = $closing->run->start->forward->distanceTo($routed->run->start->forward) > 0.0;
        $start = $isTilted ? $routed->spec->start->facing($closing->run->start->forward) : $routed->spec->start;
        $with = static fn (RouteChoice $held): Job => $job->with(
            array_map(static fn (RunSpec $run): RunSpec => $run->letter !== $joint->run
                ? $run
                : $run->between($start, $run->end)->routed($held), $job->runs),
            $job->set,
        );
        $count = count($stands->bends);
        $cuts = self::cuts($before, $routed, $closing->run, $joint->seam->stationMm, $standsMm);
        $left = $closing->left;
        $held = self::held($route->changedTo($closing->run), $count)->cutAs($cuts);
        $ways = new OtherWays($job, $shop);
        $other = $left->isClosed() ? null : $ways->best(
            $routed,
            $stands,
            static fn (TubeRun $run): Job => $with(self::held($route->changedTo($run), $count)),
        );
        if ($other !== null) {
            $left = FarEnd::of($other, $routed->spec->end->frame());
            $kept = array_filter($cuts->jointsMm(), static fn (float $mm): bool => $mm <= $standsMm + self::SAME_MM);
            $held = self::held($route->changedTo($other), $count)->cutAs(new CutChoice(
                array_map(Length::ofMm(...), [...array_values($kept), ...$ways->joints($routed, $other, $stands)]),
                [],
            ));
        }
        $job = $with($held);

        return new self($job, $joint->run, $before, Planner::sketch($job, $shop), $standsMm, $left, $other !== null);
    }

    /**
     * The whole run with its part as it was measured, and its far end in place if that can be.
     *
     * @param  array{Vector, ?Vector}  $off  by which it stands off (mm), and by which the way it points is
     * @return array{Closing, TubeRun} with what stands of it
     */
    private static function closed(
        RoutedRun $routed,
        Joint $joint,
        array $off,
        Shop $shop,
        Job $job,
    ): array {
        $count = self::bendsBefore($routed, $joint);
        if ($count === 0) {
            throw new \DomainException(
                'Before the first bend only the start itself can be off: measure that again in Survey.',
            );
        }
        $run = $routed->run;
        $fromMm = 0.0;
        foreach ($routed->line->segments as $segment) {
            $fromMm = $segment->bendIndex === $count - 1 ? $segment->toMm() : $fromMm;
        }
        $standsMm = max(0.0, $joint->seam->stationMm - $fromMm);
        $part = new TubeRun($run->start, array_slice($run->bends, 0, $count), $standsMm);
        $mayTilt = in_array($routed->spec->start->kind, [EndKind::Flange, EndKind::VBand], true)
            && $job->collectorInto($routed->spec->letter) === null;
        $end = $part->end();
        $at = $end->at->plus($off[0]);
        $forward = $off[1] === null ? null : $end->forward->plus($off[1])->unit();
        $tilted = AsMeasured::of($part, $at, $forward, $mayTilt);
        // The start as the job keeps it; the little that its rounding leaves is taken up by the rest.
        $start = $mayTilt ? $routed->spec->start->facing($tilted->start->forward)->frame() : $run->start;
        $as = AsMeasured::of(new TubeRun($start, $tilted->bends, $tilted->endStraightMm), $at, $forward, false);
        $next = $run->bends[$count] ?? null;
        $straightMm = ($next->straightMm ?? $run->endStraightMm) - $standsMm + $as->endStraightMm;
        $rest = array_slice($run->bends, $count);
        if ($next !== null) {
            $rest[0] = $next->with(straightMm: $straightMm);
        }
        $endMm = $next === null ? $straightMm : $run->endStraightMm;
        $whole = new TubeRun($as->start, [...$as->bends, ...$rest], $endMm);
        $bounds = Bounds::of(
            $whole,
            $shop->catalogue->bendsFor($routed->tube->id),
            $job->set->routing->on($shop->rules->routing()),
        );
        $locks = range(0, 3 * $count - 1);
        $closing = Closing::of($whole, $routed->spec->end->frame(), new Locks($locks), $bounds);
        // What stands of a straight is not cut away again.
        $left = $closing->run->bends[$count]->straightMm ?? $closing->run->endStraightMm;

        if ($left < $as->endStraightMm - self::SAME_MM) {
            $locks = new Locks([...$locks, 3 * $count]);
            $closing = Closing::of($whole, $routed->spec->end->frame(), $locks, $bounds);
        }

        return [$closing, $as];
    }

    /** How many bends lie before a joint. */
    private static function bendsBefore(RoutedRun $routed, Joint $joint): int
    {
        return count(array_filter(
            $routed->line->segments,
            static fn (Segment $one): bool => $one->bendIndex !== null
                && $one->toMm() <= $joint->seam->stationMm + self::SAME_MM,
        ));
    }

    /** The rows of what stands are locked, so that nothing moves them later. */
    private static function held(RouteChoice $route, int $count): RouteChoice
    {
        $rows = array_map(static fn (int $i, RouteRow $row): RouteRow => new RouteRow(
            $row->straight,
            $row->rotationDeg,
            $row->angleDeg,
            $row->clr,
            $i < $count ? RouteRow::LOCKABLE : $row->locked,
            $row->pieWelds,
        ), array_keys($route->rows), $route->rows);

        return new RouteChoice($rows, $route->endStraight, $route->endLocked, $route->cuts);
    }

    /**
     * The joints where they were, as far from the same bend as before; the one up to which it stands at its end.
     *
     * @param  float  $stationMm  of that joint, as planned
     */
    private static function cuts(
        Sketch $before,
        RoutedRun $routed,
        TubeRun $now,
        float $stationMm,
        float $standsMm,
    ): CutChoice {
        $joints = [];
        foreach (array_slice($before->cut->piecesOf($routed->spec->letter), 1) as $piece) {
            $isIt = abs($piece->span->fromMm - $stationMm) <= self::SAME_MM;
            $at = $isIt ? $standsMm : self::moved($piece->span->fromMm, $routed->run, $now);
            if ($at > ($joints === [] ? self::SAME_MM : $joints[count($joints) - 1] + self::SAME_MM)) {
                $joints[] = round($at, 3);
            }
        }

        return new CutChoice(
            array_map(Length::ofMm(...), $joints),
            $routed->spec->route->cuts->stock ?? [],
        );
    }

    /** A station of a run as it was, on the run as it is: from the nearest tangent before it. */
    private static function moved(float $stationMm, TubeRun $run, TubeRun $now): float
    {
        $was = $is = 0.0;
        foreach ($run->bends as $i => $bend) {
            $new = $now->bends[$i];
            foreach ([[$bend->straightMm, $new->straightMm], [$bend->arcMm(), $new->arcMm()]] as [$a, $b]) {
                if ($stationMm < $was + $a - self::SAME_MM) {
                    return $is + min($b, $stationMm - $was);
                }
                [$was, $is] = [$was + $a, $is + $b];
            }
        }

        return $is + min($now->endStraightMm, $stationMm - $was);
    }
}

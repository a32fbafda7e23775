<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Fit;

use UpsweptBead\Core\Base\Reason\Notice;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Solve\Route\Insertion\Insertion;
use UpsweptBead\Core\Solve\Route\Insertion\Stuck;
use UpsweptBead\Core\Stage\Cut\CutPlan;
use UpsweptBead\Core\Stage\Cut\Piece;
use UpsweptBead\Core\Stage\Fit\Access\Access;
use UpsweptBead\Core\Stage\Fit\Access\CupFit;
use UpsweptBead\Core\Stage\Fit\Access\JointAccess;
use UpsweptBead\Core\Stage\Fit\Growth\GrowthPlan;
use UpsweptBead\Core\Stage\Fit\Order\Before;
use UpsweptBead\Core\Stage\Fit\Order\BuildOrder;
use UpsweptBead\Core\Stage\Fit\Order\Phase;
use UpsweptBead\Core\Stage\Fit\Order\Sequence;
use UpsweptBead\Core\Stage\Fit\Order\Standing;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Joint\JointFace;
use UpsweptBead\Core\Stage\Joint\JointList;
use UpsweptBead\Core\Stage\Layout\Layout;
use UpsweptBead\Core\Stage\Layout\NutReach;
use UpsweptBead\Core\Stage\Layout\PlacedPart;
use UpsweptBead\Core\Stage\Merge\BuiltCollector;
use UpsweptBead\Core\Stage\Step\StepKind;
use UpsweptBead\Core\Stage\Survey\Surroundings;

/**
 * The fourth stage: one order of building for the whole job with its reasons, what a torch gets to, and how far a
 * spanner swings on each nut once the runs stand together.
 */
final readonly class FitPlan
{
    /**
     * @param  list<BuiltCollector>  $collectors  that have something welded here
     * @param  list<string>  $letters  of the runs that are built, as they go in
     * @param  Sequence  $build  every task in its order
     * @param  array<string, list<string>>  $standing  what stands together behind each task
     * @param  array<string, TackPattern>  $tacks  by joint
     * @param  ?Access  $access  what can be got to; null where it is not known
     * @param  list<PlacedPart>  $parts  bought ones where they stand, as far as they were measured
     * @param  list<NutReach>  $nuts
     * @param  list<TrialLine>  $trial  what is looked at in the trial fit
     * @param  list<ServiceCheck>  $service  runs with a clamp joint
     * @param  ?Insertion  $insertion  null where it is not known, or there is nothing to get past
     * @param  list<Notice>  $notices
     */
    private function __construct(
        public array $collectors,
        public array $letters,
        public Sequence $build,
        public array $standing,
        public array $tacks,
        public ?Access $access,
        public array $parts,
        public array $nuts,
        public array $trial,
        public GrowthPlan $growth,
        public array $service,
        public ?Insertion $insertion,
        public array $notices,
    ) {}

    /**
     * @param  ?Insertion  $insertion  the order in which the runs go in, where it has been worked out
     * @param  ?Access  $access  what a torch gets to, where that has been
     */
    public static function of(
        Job $job,
        Layout $layout,
        CutPlan $cut,
        JointList $joints,
        Shop $shop,
        ?Insertion $insertion,
        ?Access $access,
    ): self {
        $collectors = array_values(array_filter(
            $layout->placement->collectors->all,
            static fn (BuiltCollector $one): bool => $joints->ofRun($one->build->letter) !== [],
        ));
        $letters = $joints->asTheyGoIn($layout, $insertion);
        $build = BuildOrder::of(
            $joints,
            $collectors,
            $letters,
            $insertion,
            $access ?? Access::none(),
            $job,
            $layout,
            $shop,
        );
        $growth = GrowthPlan::of($job, $layout, $shop);
        $nuts = NutReach::of($job, $layout->runs, Surroundings::goingIn($job, $shop), $shop->rules);

        return new self(
            $collectors,
            $letters,
            $build,
            (new Standing(self::marks($cut)))->all($build->tasks),
            self::tacks($layout, $joints, $access, $build),
            $access,
            PlacedPart::all($job, $layout),
            $nuts,
            TrialFit::of($job, $layout, $nuts, $joints->fittings, $shop->rules->value('clear.spanner_swing')),
            $growth,
            ServiceCheck::all($job, $layout, $access),
            $insertion,
            [
                ...NutReach::notices($nuts, $job, $shop->rules),
                ...self::stuck($job, $insertion),
                ...self::broken($build),
                ...$growth->notices($job, $shop),
                ...IncomingCheck::of($job, $layout, $shop->rules),
                ...PartPlaces::notices($job, $layout),
            ],
        );
    }

    /** @return array<string, TackPattern> by joint */
    private static function tacks(Layout $layout, JointList $joints, ?Access $access, Sequence $build): array
    {
        $tacks = [];
        foreach ($joints->welds() as $joint) {
            $pattern = TackPattern::of($joint);
            $routed = $layout->run($joint->run);
            if ($routed !== null && ! $joint->type->isOnSide()) {
                $up = JointFace::of($routed->line, $joint->seam->stationMm)->upDeg;
                $pattern = $pattern->rocking($up, $access?->joints[$joint->id]->inPlace->arcs ?? null);
            }
            $one = $access?->joints[$joint->id] ?? null;
            if ($one !== null && $joint->type->isEdgeToEdge()) {
                $isTogether = $build->find(StepKind::Weld->key($joint->id))?->phase === Phase::Together;
                $pattern = $pattern->shielding(($isTogether ? $one->together : $one->alone)->arcs);
            }
            $tacks[$joint->id] = $pattern;
        }

        return $tacks;
    }

    /** @return array<string, list<string>> of all pieces, by the letter of their run or collector */
    private static function marks(CutPlan $cut): array
    {
        return array_map(
            static fn (array $pieces): array => array_map(static fn (Piece $one): string => $one->mark, $pieces),
            $cut->pieces + $cut->ofCollectors,
        );
    }

    /** How the torch gets to a joint when its turn comes; null where that is not known. */
    public function cupFor(Joint $joint): ?CupFit
    {
        $access = $this->access->joints[$joint->id] ?? null;
        $task = $this->build->find(StepKind::Weld->key($joint->id));

        return $task?->phase === Phase::Together ? $access?->together : $access?->alone;
    }

    /** @return list<JointAccess> seams that cannot be got round any more once others stand beside them, worst first */
    public function closed(): array
    {
        $closed = array_values(array_filter(
            $this->access->joints ?? [],
            static fn (JointAccess $one): bool => $one->isClosedLater(),
        ));
        usort($closed, static fn (JointAccess $a, JointAccess $b): int => $a->together->share <=> $b->together->share);

        return $closed;
    }

    /** @return list<string> what is looked at when one run is tried, or all of them together */
    public function trialOf(?string $letter): array
    {
        $of = array_filter($this->trial, static fn (TrialLine $one): bool => $letter === null || $one->isOf($letter));

        return array_values(array_map(static fn (TrialLine $one): string => $one->text, $of));
    }

    /** @return list<Notice> of reasons that somebody moved a task past */
    private static function broken(Sequence $build): array
    {
        return array_map(static fn (Before $one): Notice => Notice::caution("build.$one->then", sprintf(
            '%s no longer waits for: %s. %s',
            $build->find($one->then)->title ?? $one->then,
            lcfirst($build->find($one->first)->title ?? $one->first),
            $one->otherwise,
        )), $build->broken);
    }

    /** @return list<Notice> */
    private static function stuck(Job $job, ?Insertion $insertion): array
    {
        return array_map(static function (Stuck $stuck) use ($job): Notice {
            $index = array_search($stuck->tube, array_map(static fn ($run): string => $run->letter, $job->runs), true);

            return Notice::caution(
                "runs[$index].route",
                sprintf(
                    'Run %s can be put in whole neither before nor after the others; most in its way: %s. Fit it in two parts, or change its route.',
                    $stuck->tube,
                    implode(', ', $stuck->by),
                ),
            );
        }, $insertion->stuck ?? []);
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Bench;

use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Part\PartSpec;
use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Stage\Fit\IncomingCheck;
use UpsweptBead\Core\Stage\Fit\Order\Phase;
use UpsweptBead\Core\Stage\Fit\Order\Task;
use UpsweptBead\Core\Stage\Merge\BuiltCollector;
use UpsweptBead\Core\Stage\Schedule\Slot;
use UpsweptBead\Core\Stage\Step\StepKind;

/**
 * The last stage: the whole job laid out as one line of bench steps. Collectors are made whole; all pieces are cut;
 * then everything in the order of building, what is welded with its purge and what has to cool; at last all is
 * inspected.
 */
final readonly class BenchSteps
{
    private FitSteps $fitting;

    private WeldSteps $welding;

    private CollectorSteps $collecting;

    private FaceSteps $facing;

    /** @var list<PartSpec> */
    private array $parts;

    /** @var list<string> letters of the runs that are there already */
    private array $there;

    private function __construct(private WorkPlan $work, Job $job, ShopRules $rules)
    {
        $this->parts = $job->set->parts;
        $this->there = array_values(array_filter($work->fit->letters, $job->isThere(...)));
        $this->fitting = new FitSteps($work->cut, $work->joints, $work->fit, $work->weld, $job, $rules);
        $this->welding = new WeldSteps($work->joints, $work->schedule, $work->weld, $job, $rules);
        $this->facing = new FaceSteps($work->joints, $rules, $job);
        $this->collecting = new CollectorSteps($work->joints, $rules, $job->units);
    }

    /** @return list<BenchStep> */
    public static function of(WorkPlan $work, Job $job, ShopRules $rules): array
    {
        $bench = new self($work, $job, $rules);

        return StepOrder::of($bench->inspecting($bench->steps()), $work);
    }

    /** @return list<BenchStep> */
    private function steps(): array
    {
        $steps = [...$this->incoming(), ...$this->collected(), ...$this->prepared()];
        $group = '';
        foreach ($this->work->fit->build->tasks as $task) {
            if ($this->isOfCollector($task->run) || $this->isDoneWith($task)) {
                continue;
            }
            if ($task->kind !== StepKind::Weld) {
                array_push($steps, ...$this->done($task));
                $group = '';
            } elseif ($group === '') {
                $group = $this->groupOf($task->joint->id ?? '');
                array_push($steps, ...$this->welded($group));
            }
        }

        return [
            ...$steps,
            ...$this->welding->cooled(array_diff_key($this->work->schedule->last, $this->settledBefore('')), true),
            ...$this->inspected(),
        ];
    }

    /**
     * @param  list<BenchStep>  $steps
     * @return list<BenchStep> the same, and every joint looked at once it has cooled
     */
    private function inspecting(array $steps): array
    {
        $all = [];
        foreach ($steps as $step) {
            $all[] = $step;
            if ($step->kind === StepKind::Cool) {
                $all[] = $this->welding->inspect($step->subject);
            }
        }

        return $all;
    }

    /** @return list<BenchStep> parts as they came, before anything is cut for them */
    private function incoming(): array
    {
        $parts = array_values(array_filter(
            $this->parts,
            fn (PartSpec $part): bool => in_array($part->inlet, $this->work->fit->letters, true),
        ));

        return array_map(static fn (int $i, PartSpec $part): BenchStep => new BenchStep(
            StepKind::Check,
            'part.'.($i + 1),
            "Check $part->name as it came",
            IncomingCheck::lines($part),
            null,
            [
                new Measure('bore', 'Bore of its seat', Quantity::Length, $part->bore?->mm),
                new Measure('seat', 'Depth of its seat', Quantity::Length, $part->seat?->mm),
                new Measure('wall', 'Wall of its neck', Quantity::Wall, $part->wall?->mm),
                new Measure('square', 'Off square', Quantity::Angle, $part->squareDeg),
            ],
            of: $part->inlet,
        ), array_keys($parts), $parts);
    }

    /** What stands where it goes is not tried there, nor tacked all round; runs that come to it still are. */
    private function isDoneWith(Task $task): bool
    {
        $isAll = $task->run === Task::ALL && array_diff($this->work->fit->letters, $this->there) === [];

        return ($isAll || in_array($task->run, $this->there, true))
            && in_array($task->kind, [StepKind::Trial, StepKind::FullTack, StepKind::Refit], true);
    }

    /** @return list<BenchStep> what is no weld */
    private function done(Task $task): array
    {
        return match ($task->kind) {
            StepKind::Tack => [$this->fitting->tack($task)],
            StepKind::Put => [$this->fitting->put($task)],
            StepKind::Form => [$this->fitting->form($task)],
            StepKind::Polish => [$this->fitting->polish($task)],
            StepKind::Trial => $task->run === Task::ALL
                ? [$this->fitting->trialTogether($this->work->fit->letters)]
                : [$this->fitting->trial($task->run, count($this->work->fit->letters) > 1)],
            StepKind::FullTack => [$this->fitting->fullTack($task->run)],
            StepKind::Refit => [
                $task->run === Task::ALL
                    ? $this->fitting->refit($task, $this->work->fit->letters)
                    : $this->fitting->goesBack($task),
            ],
            StepKind::Side => $task->joint === null ? [] : [
                $this->welding->side($task, $this->work->fit->access->joints[$task->joint->id] ?? null),
            ],
            default => [],
        };
    }

    /** @return list<BenchStep> every collector made whole, before any run goes on */
    private function collected(): array
    {
        $collectors = $this->work->fit->collectors;
        $made = array_values(array_filter(
            $collectors,
            static fn (BuiltCollector $one): bool => $one->build->make->isMade(),
        ));
        $steps = array_merge(...array_map($this->collecting->incoming(...), $collectors));
        foreach ($made as $one) {
            $pieces = $this->work->cut->piecesOf($one->build->letter);
            array_push($steps, ...array_map($this->fitting->prepare(...), $pieces));
        }
        foreach ($made as $one) {
            array_push($steps, ...$this->collecting->tacks($one, $this->work->fit->build->tasks));
        }

        return [
            ...$steps,
            ...$this->welded(Phase::Merge->value),
            ...array_map($this->collecting->outlet(...), $made),
            ...$this->welded(Phase::Outlet->value),
            ...array_map($this->collecting->trued(...), $made),
        ];
    }

    private function isOfCollector(string $letter): bool
    {
        foreach ($this->work->fit->collectors as $one) {
            if ($one->build->letter === $letter) {
                return true;
            }
        }

        return false;
    }

    /** @return list<BenchStep> */
    private function inspected(): array
    {
        return [
            ...array_map($this->collecting->inspect(...), $this->work->fit->collectors),
            ...array_merge(...array_map($this->facing->of(...), $this->work->fit->letters)),
            ...$this->facing->together($this->work->fit->letters),
            ...array_map($this->fitting->inspect(...), $this->work->fit->letters),
        ];
    }

    /** @return list<BenchStep> */
    private function prepared(): array
    {
        $steps = [];
        foreach (array_diff($this->work->fit->letters, $this->there) as $letter) {
            array_push($steps, ...array_map($this->fitting->prepare(...), $this->work->cut->piecesOf($letter)));
        }

        return $steps;
    }

    /**
     * What is welded together: the seams of collectors by their phase, those of runs with nothing else between them.
     */
    private function group(Slot $slot): string
    {
        return $this->isOfCollector($slot->joint->run) ? $slot->phase->value : "$slot->batch";
    }

    private function groupOf(string $jointId): string
    {
        foreach ($this->work->schedule->slots as $slot) {
            if ($slot->joint->id === $jointId) {
                return $this->group($slot);
            }
        }

        return '';
    }

    /**
     * Joints of a group that are still hot when all of it is welded, where hands go there before the next weld. They are
     * measured before anybody goes on.
     *
     * @return array<string, float> seconds by joint
     */
    private function stillHot(string $group): array
    {
        $welded = $later = $followed = [];
        foreach ($this->work->schedule->slots as $slot) {
            if ($this->group($slot) !== $group) {
                $later += $slot->handled;

                continue;
            }
            $welded[$slot->joint->id] = true;
            if ($slot->phase->isFollowedByHands()) {
                $followed[$slot->joint->id] = true;
            }
        }

        return array_intersect_key($later, $welded) + array_intersect_key($this->work->schedule->last, $followed);
    }

    /** @return array<string, float> what a group finds measured already, by joint */
    private function settledBefore(string $group): array
    {
        $settled = [];
        $groups = array_unique(array_map($this->group(...), $this->work->schedule->slots));
        foreach (array_diff($groups, [$group]) as $other) {
            $settled += $this->stillHot($other);
        }

        return $settled;
    }

    /** @return list<BenchStep> what is welded together, with what is measured before each and behind it */
    private function welded(string $group): array
    {
        $slots = array_values(array_filter(
            $this->work->schedule->slots,
            fn (Slot $slot): bool => $this->group($slot) === $group,
        ));
        $settled = $this->settledBefore($group);
        $steps = [];
        foreach ($slots as $i => $slot) {
            array_push(
                $steps,
                ...$this->welding->cooled(array_diff_key($slot->handled, $settled), true),
                ...$this->welding->cooled(array_diff_key($slot->beside, $settled), false),
                ...$this->welding->weld(
                    $slot,
                    $slots[$i + 1] ?? null,
                    $this->work->schedule->taped($slot, $this->work->weld),
                ),
            );
        }

        return [...$steps, ...$this->welding->cooled($this->stillHot($group), true)];
    }
}

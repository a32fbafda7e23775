<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Bench;

use UpsweptBead\Core\Stage\Fit\Order\Task;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Schedule\Slot;
use UpsweptBead\Core\Stage\Step\StepKind;
use UpsweptBead\Core\Stage\Step\Work;

/**
 * What each step of the bench waits for: the reasons of the build; pieces that are cut before they are tacked; the
 * purge before its weld; joints that have to be cool before a hand or a seam comes near. Whatever waits for nothing may
 * be taken up at any time.
 */
final readonly class StepOrder
{
    /** @var array<string, BenchStep> by id */
    private array $steps;

    /** @var array<string, Task> of the build, by id */
    private array $tasks;

    /** @var array<string, Slot> by joint */
    private array $slots;

    /** @param  list<BenchStep>  $steps */
    private function __construct(array $steps, private WorkPlan $work)
    {
        $this->steps = array_column($steps, null, 'id');
        $this->tasks = array_column($work->fit->build->tasks, null, 'id');
        $slots = [];
        foreach ($work->schedule->slots as $slot) {
            $slots[$slot->joint->id] = $slot;
        }
        $this->slots = $slots;
    }

    /**
     * @param  list<BenchStep>  $steps
     * @return list<BenchStep> the same, each with what is done before it
     */
    public static function of(array $steps, WorkPlan $work): array
    {
        $order = new self($steps, $work);

        return array_map(
            static function (BenchStep $one) use ($order): BenchStep {
                $after = $order->known($order->before($one), $one);

                return $one->placed($after, $order->ready($after), $order->group($one));
            },
            $steps,
        );
    }

    /**
     * @param  list<string>  $after
     * @return list<Ready> of the joints that are measured before it
     */
    private function ready(array $after): array
    {
        $ready = [];
        foreach ($after as $id) {
            $step = $this->steps[$id];
            if ($step->kind->work() === Work::Cool) {
                $limits = array_column($step->measures, 'most', 'name');
                $ready[] = new Ready($step->subject, $limits['temperature'] ?? INF, $step->coolsS ?? 0.0);
            }
        }

        return $ready;
    }

    /** The steps of one weld stand together, whatever is done while it cools. */
    private function group(BenchStep $step): string
    {
        $run = $this->work->joints->find($step->of)->run ?? rtrim($step->of, '0123456789');
        $of = $run === Task::ALL ? 'together' : $run;

        return match ($step->kind->work()) {
            Work::Purge, Work::Weld, Work::Cool => "Weld $step->subject",
            Work::Prepare => "Prepare $of",
            Work::Tack => $step->kind === StepKind::Tack ? "Tack and try $of" : 'Tack all round',
            Work::TrialFit => "Tack and try $of",
            Work::Inspect => $step->inspection === null ? 'Inspect' : "Weld $step->subject",
        };
    }

    /** @return list<string> keys, also of what is no step */
    private function before(BenchStep $step): array
    {
        $subject = $step->subject;

        return match ($step->kind) {
            StepKind::Cool, StepKind::Warm => [StepKind::Weld->key($subject)],
            StepKind::Inspect => [StepKind::Cool->key($subject)],
            StepKind::Face => [...$step->after, ...$this->ofRun($step->of)],
            StepKind::LeakTest => [
                ...$this->ofRun($subject),
                StepKind::Face->key(FaceSteps::at($subject, true)),
                StepKind::Face->key(FaceSteps::at($subject, false)),
            ],
            StepKind::Purge, StepKind::Bolt => [
                StepKind::Bolt->key($subject),
                ...$this->reasons(StepKind::Weld->key($subject)),
                ...self::cooled($this->slots[$subject]->handled ?? []),
            ],
            StepKind::Weld => [
                StepKind::Bolt->key($subject),
                StepKind::Purge->key($subject),
                ...$this->reasons($step->id),
                ...self::cooled($this->slots[$subject]->checks()),
            ],
            default => [...$this->byHand($this->reasons($step->id)), ...$this->pieces($step)],
        };
    }

    /** @return list<string> of what is no step, what that waits for */
    private function reasons(string $id): array
    {
        $first = [];
        foreach ($this->work->fit->build->reasons[$id] ?? [] as $reason) {
            $isStep = isset($this->steps[$reason->first]) || $this->welded($reason->first) !== null;
            array_push($first, ...$isStep ? [$reason->first] : $this->reasons($reason->first));
        }

        return $first;
    }

    /** The joint that a task of the build welds. */
    private function welded(string $id): ?Joint
    {
        $task = $this->tasks[$id] ?? null;

        return $task?->kind === StepKind::Weld ? $task->joint : null;
    }

    /**
     * A joint must be cool before anyone handles it, and inspected while it can be seen.
     *
     * @param  list<string>  $ids
     * @return list<string>
     */
    private function byHand(array $ids): array
    {
        $before = [];
        foreach ($ids as $id) {
            $before[] = $id;
            $joint = $this->welded($id);
            if ($joint !== null) {
                array_push($before, ...StepKind::keys($joint->id, StepKind::Cool, StepKind::Inspect));
            }
        }

        return $before;
    }

    /**
     * @param  array<string, float>  $checks  by joint
     * @return list<string>
     */
    private static function cooled(array $checks): array
    {
        return array_merge(...array_map(
            static fn (string $joint): array => [StepKind::Cool->key($joint), StepKind::Warm->key($joint)],
            array_map(strval(...), array_keys($checks)),
        ));
    }

    /** @return list<string> the pieces that a joint is tacked of */
    private function pieces(BenchStep $step): array
    {
        $joint = $step->kind === StepKind::Tack ? $this->work->joints->find($step->subject) : null;

        return $joint === null ? [] : [
            StepKind::Prepare->key($joint->between->name),
            StepKind::Prepare->key($joint->and->name),
        ];
    }

    /** @return list<string> all welds of a run or a collector, cool and looked at */
    private function ofRun(string $letter): array
    {
        return array_merge(...array_map(
            static fn (Joint $joint): array => StepKind::keys(
                $joint->id,
                StepKind::Weld,
                StepKind::Cool,
                StepKind::Inspect,
            ),
            $this->work->joints->ofRun($letter),
        ));
    }

    /**
     * @param  list<string>  $ids
     * @return list<string> those that are steps, each once
     */
    private function known(array $ids, BenchStep $step): array
    {
        return array_values(array_unique(array_filter(
            $ids,
            fn (string $id): bool => isset($this->steps[$id]) && $id !== $step->id,
        )));
    }
}

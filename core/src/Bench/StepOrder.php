<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Bench;

use UpsweptBead\Core\Fit\Order\Before;
use UpsweptBead\Core\Joint\Joint;
use UpsweptBead\Core\Schedule\Slot;

/**
 * What each step of the bench waits for: the reasons of the build; pieces that are cut before they are tacked; the purge
 * before its weld; joints that have to be cool before a hand or a seam comes near. Whatever waits for nothing may be taken
 * up at any time.
 */
final readonly class StepOrder
{
    /** @var array<string, true> ids of all steps */
    private array $there;

    /** @var array<string, Slot> by joint */
    private array $slots;

    /** @param  list<BenchStep>  $steps */
    private function __construct(array $steps, private WorkPlan $work)
    {
        $this->there = array_fill_keys(array_map(static fn (BenchStep $one): string => $one->id, $steps), true);
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
            static fn (BenchStep $one): BenchStep => $one->placed(
                $order->known($order->before($one), $one),
                $order->group($one),
            ),
            $steps,
        );
    }

    /** The steps of one weld stand together, whatever is done while it cools. */
    private function group(BenchStep $step): string
    {
        $run = $this->work->joints->find($step->subject)->run ?? rtrim($step->subject, '0123456789');
        $of = $run === 'set' ? 'together' : $run;

        if ($step->inspection !== null) {
            return "Weld $step->subject";
        }

        return match ($step->id === "bolt.$step->subject" ? StepKind::Weld : $step->kind) {
            StepKind::Purge, StepKind::Weld, StepKind::Cool => "Weld $step->subject",
            StepKind::Prepare => "Prepare $of",
            StepKind::Tack, StepKind::TrialFit => "Tack and try $of",
            StepKind::FullTack => 'Tack all round',
            StepKind::Inspect => 'Inspect',
        };
    }

    /** @return list<string> ids, also of what is no step */
    private function before(BenchStep $step): array
    {
        return match (true) {
            $step->kind === StepKind::Cool => ["weld.$step->subject"],
            $step->inspection !== null => ["cool.$step->subject"],
            $step->kind === StepKind::Inspect => [
                ...$step->after,
                ...$this->ofRun($step->subject),
                ...$step->face === null ? ["face.$step->subject.start", "face.$step->subject.end"] : [],
            ],
            $step->kind === StepKind::Purge, $step->id === "bolt.$step->subject" => [
                "bolt.$step->subject",
                ...$this->reasons("weld.$step->subject"),
                ...self::cooled($this->slots[$step->subject]->handled ?? []),
            ],
            $step->id === "weld.$step->subject" => [
                "bolt.$step->subject",
                "purge.$step->subject",
                ...$this->reasons($step->id),
                ...self::cooled($this->slots[$step->subject]->checks()),
            ],
            default => [...$this->byHand($this->reasons($step->id)), ...$this->pieces($step)],
        };
    }

    /** @return list<string> of what is no step, what that waits for */
    private function reasons(string $id): array
    {
        $first = [];
        foreach ($this->work->fit->build->reasons[$id] ?? [] as $reason) {
            array_push($first, ...isset($this->there[$reason->first]) || str_starts_with($reason->first, 'weld.')
                ? [$reason->first]
                : $this->reasons($reason->first));
        }

        return $first;
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
            if (str_starts_with($id, 'weld.')) {
                $joint = substr($id, 5);
                array_push($before, "cool.$joint", "inspect.$joint");
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
            static fn (string $joint): array => ["cool.$joint", "warm.$joint"],
            array_map(strval(...), array_keys($checks)),
        ));
    }

    /** @return list<string> the pieces that a joint is tacked of */
    private function pieces(BenchStep $step): array
    {
        $joint = $step->kind === StepKind::Tack ? $this->work->joints->find($step->subject) : null;

        return $joint === null ? [] : ["prepare.{$joint->between->name}", "prepare.{$joint->and->name}"];
    }

    /** @return list<string> all welds of a run or a collector, cool and looked at */
    private function ofRun(string $letter): array
    {
        return array_merge(...array_map(
            static fn (Joint $joint): array => ["weld.$joint->id", "cool.$joint->id", "inspect.$joint->id"],
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
            fn (string $id): bool => isset($this->there[$id]) && $id !== $step->id,
        )));
    }
}

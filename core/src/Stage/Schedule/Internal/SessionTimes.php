<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Schedule\Internal;

use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Solve\Timing\TimedTask;
use UpsweptBead\Core\Solve\Timing\Timetable;
use UpsweptBead\Core\Stage\Schedule\Slot;
use UpsweptBead\Core\Stage\Schedule\Weld;
use UpsweptBead\Core\Stage\Weld\WeldPlan;

/** One stretch after the other, timed; what hands go to in between is measured cool first. */
final class SessionTimes
{
    /** @var list<Slot> */
    public array $slots = [];

    /** @var array<string, float> joints measured when all is welded, with the seconds each still cools then */
    public array $last = [];

    public float $totalS = 0.0;

    /** @var array<string, array<int, float>> by joint: how long it cools until it is measured for a seam (1) or a hand (2), s */
    public array $took = [];

    private WarmJoints $hot;

    private function __construct(private readonly WeldPlan $weld, private readonly ShopRules $rules)
    {
        $this->hot = new WarmJoints($weld, $rules);
    }

    /**
     * @param  list<WeldSession>  $stretches
     * @param  ?Turns  $turns  none: as the build lists them
     */
    public static function of(array $stretches, WeldPlan $weld, ShopRules $rules, ?Turns $turns, int $lines): self
    {
        $timed = new self($weld, $rules);
        foreach ($stretches as $stretch) {
            $work = $stretch->work($rules, $lines);
            $timed->add($stretch->welds, ($turns?->soonest($work) ?? Timetable::of($work, $work->listed()))->tasks);
        }
        $timed->last = $timed->hot->all($timed->totalS);
        $timed->totalS += array_sum($timed->last);
        $timed->took = $timed->hot->took;

        return $timed;
    }

    /**
     * @param  list<Weld>  $welds
     * @param  list<TimedTask>  $tasks
     */
    private function add(array $welds, array $tasks): void
    {
        $byJoint = array_column(array_map(static fn (Weld $one): array => [$one->joint->id, $one], $welds), 1, 0);
        $fromS = $this->totalS;
        $piece = null;
        foreach ($tasks as $one) {
            $weld = $byJoint[$one->task->id];
            $times = $this->weld->sheets[$weld->joint->id]->times;
            $changeS = $one->task->piece === $piece ? 0.0 : $this->rules->value('schedule.change');
            $freeS = $this->totalS + $changeS;
            // Hands go to what is fitted before the argon is let in; a neighbour only has to be cool for the arc.
            $handled = $this->hot->handled($weld, $freeS);
            $handledS = $freeS + array_sum($handled);
            $beside = $this->hot->before($weld, $handledS);
            $arcS = max(
                $fromS + 60 * $one->arcMin,
                $handledS + array_sum($beside),
                $handled === [] ? 0.0 : $handledS + $times->fillS,
            );
            $startS = max($freeS, $arcS - $times->fillS);
            $this->totalS = $arcS + $times->weldS;
            $this->slots[] = new Slot(
                count($this->slots) + 1, $weld->joint, $weld->phase, $weld->batch, $weld->why,
                $changeS, $startS - $freeS, $startS, $this->totalS, $handled, $beside, $times,
            );
            $this->hot->add($weld->joint, new WarmJoint($weld, $times), $this->totalS, $times);
            // What held this one up holds up all behind it.
            $fromS = $arcS - 60 * $one->arcMin;
            $piece = $one->task->piece;
        }
    }
}

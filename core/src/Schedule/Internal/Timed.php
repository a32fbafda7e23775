<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Schedule\Internal;

use UpsweptBead\Core\Schedule\Slot;
use UpsweptBead\Core\Schedule\Weld;
use UpsweptBead\Core\Shop\ShopRules;
use UpsweptBead\Core\Timing\TimedTask;
use UpsweptBead\Core\Weld\WeldPlan;

/** One stretch after the other, timed; between them all that was welded is measured cool. */
final class Timed
{
    /** @var list<Slot> */
    public array $slots = [];

    /** @var array<string, float> joints measured when all is welded, with the seconds each still cools then */
    public array $last = [];

    public float $totalS = 0.0;

    private Hot $hot;

    private function __construct(private readonly WeldPlan $weld, private readonly ShopRules $rules)
    {
        $this->hot = new Hot;
    }

    /** @param  list<Stretch>  $stretches */
    public static function of(array $stretches, WeldPlan $weld, ShopRules $rules, Turns $turns, int $lines): self
    {
        $timed = new self($weld, $rules);
        foreach ($stretches as $stretch) {
            $timed->add($stretch->welds, $turns->soonest($stretch->work($rules, $lines))->tasks);
        }
        $timed->last = $timed->hot->handled($timed->totalS);
        $timed->totalS += array_sum($timed->last);

        return $timed;
    }

    /**
     * @param  list<Weld>  $welds
     * @param  list<TimedTask>  $tasks
     */
    private function add(array $welds, array $tasks): void
    {
        $byJoint = array_column(array_map(static fn (Weld $one): array => [$one->joint->id, $one], $welds), 1, 0);
        // Hands went everywhere, so all was measured before the first of them.
        $checks = $this->hot->handled($this->totalS);
        $cooledS = array_sum($checks);
        $fromS = $this->totalS + $cooledS;
        $freeS = 0.0;
        $piece = null;
        foreach ($tasks as $one) {
            $weld = $byJoint[$one->task->id];
            $times = $this->weld->sheets[$weld->joint->id]->times;
            $changeS = $one->task->piece === $piece ? 0.0 : $this->rules->value('schedule.change');
            $freeS += $changeS;
            $checks += $this->hot->before($weld, $fromS + $freeS);
            [$arcS, $endS] = [60 * $one->arcMin, 60 * $one->endMin];
            $waitS = max(0.0, $arcS - $times->fillS - $freeS);
            $this->slots[] = new Slot(
                count($this->slots) + 1, $weld->joint, $weld->phase, $weld->batch, $weld->why,
                $changeS, $cooledS + $waitS, $fromS + $freeS + $waitS, $fromS + $endS, $checks, $piece === null, $times,
            );
            $endsS = $fromS + $endS;
            $this->hot->add($weld->joint->id, new Warm($weld, $times), $endsS + $times->coolS, $endsS + $times->touchS);
            [$freeS, $piece, $checks, $cooledS] = [$endS, $one->task->piece, [], 0.0];
        }
        $this->totalS = $fromS + $freeS;
    }
}

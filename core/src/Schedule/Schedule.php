<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Schedule;

use UpsweptBead\Core\Fit\FitPlan;
use UpsweptBead\Core\Schedule\Internal\Hot;
use UpsweptBead\Core\Weld\JointSheet;
use UpsweptBead\Core\Weld\WeldPlan;

/**
 * The sixth stage: every weld of the job in its turn, so that one cools while another is done. Built forwards for one
 * welder with one purge: of what may come next, the first in the order of welding that need not wait; if all must wait,
 * the one that waits least. A joint waits for its neighbours on the same run to cool, and before the runs are fitted
 * together all of them wait: hands go there. Times are the planned ones, in seconds.
 */
final readonly class Schedule
{
    /**
     * @param  list<Slot>  $slots
     * @param  array<string, float>  $last  joints measured when all is welded, with the seconds each still cools then
     * @param  float  $oneByOneS  the time it would take if every joint were waited for
     */
    private function __construct(
        public array $slots,
        public array $last,
        public float $totalS,
        public float $oneByOneS,
    ) {}

    public static function of(FitPlan $fit, WeldPlan $weld): self
    {
        $waiting = array_values(array_filter(
            WeldOrder::of($fit->build),
            static fn (Weld $one): bool => isset($weld->sheets[$one->joint->id]),
        ));
        $hot = new Hot;
        $slots = [];
        $nowS = 0.0;
        while ($waiting !== []) {
            $next = self::next($waiting, $hot, $nowS);
            $one = $waiting[$next];
            array_splice($waiting, $next, 1);
            $checks = $hot->measure($hot->before($one), $nowS);
            $nowS += array_sum($checks);
            $times = $weld->sheets[$one->joint->id]->times;
            $order = count($slots) + 1;
            $slots[] = new Slot($order, $one->joint, $one->phase, $one->batch, $one->why, $nowS, $checks, $times);
            $nowS += $times->attendedS();
            $hot->add($one, $nowS - $times->keepS + $times->coolS, $times->apartMm);
        }
        $last = $hot->measure($hot->all(), $nowS);

        return new self($slots, $last, $nowS + array_sum($last), array_sum(array_map(
            static fn (JointSheet $sheet): float => $sheet->times->oneByOneS(),
            $weld->sheets,
        )));
    }

    /** Seconds in which nothing can be done but wait. */
    public function waitingS(): float
    {
        return array_sum($this->last) +
            array_sum(array_map(static fn (Slot $slot): float => $slot->waitS(), $this->slots));
    }

    /**
     * Which of those that may come next is taken: the first that need not wait, else the one that waits least. Two passes
     * at one place, as a flange's inside and outside, wait equally long, so the order of welding decides between them.
     *
     * @param  non-empty-list<Weld>  $waiting
     */
    private static function next(array $waiting, Hot $hot, float $nowS): int
    {
        $best = 0;
        $leastS = INF;
        foreach ($waiting as $i => $one) {
            if (! $one->isBeside($waiting[0])) {
                continue;
            }
            $waitS = $hot->waitS($hot->before($one), $nowS);
            if ($waitS < $leastS) {
                [$best, $leastS] = [$i, $waitS];
            }
            if ($waitS <= 0.0) {
                break;
            }
        }

        return $best;
    }
}

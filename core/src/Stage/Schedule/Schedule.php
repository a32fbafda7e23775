<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Schedule;

use UpsweptBead\Core\Shop\Practice\Bottle;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Stage\Fit\FitPlan;
use UpsweptBead\Core\Stage\Schedule\Internal\SessionTimes;
use UpsweptBead\Core\Stage\Schedule\Internal\Stretches;
use UpsweptBead\Core\Stage\Schedule\Internal\Turns;
use UpsweptBead\Core\Stage\Schedule\Internal\WaitedFor;
use UpsweptBead\Core\Stage\Weld\WeldPlan;

/**
 * The sixth stage: every weld of the job in its turn, so that one cools while another is done; for one welder, in the
 * order in which all is done soonest, as far as the reasons of the build leave a choice. A joint waits for neighbours
 * on the same run that warm it, a purge for its line, and before the runs are fitted together all wait: hands go there.
 * Times are the planned ones, in seconds.
 */
final readonly class Schedule
{
    /**
     * @param  list<Slot>  $slots
     * @param  array<string, float>  $last  joints measured when all is welded, with the seconds each still cools then
     * @param  list<array{string, float, float}>  $oneByOne  joint, begun and done (s), if every joint were waited for
     * @param  float  $oneByOneS  the time it would take then
     * @param  float  $anotherLineS  the time it would take with one purge line more; the same where that is not worked
     *   out
     * @param  list<Bottle>  $bottles  the shop's
     * @param  array<string, array<int, float>>  $took  by joint: how long it cools until it is measured for a seam (1)
     *   or a hand (2)
     */
    private function __construct(
        public array $slots,
        public array $last,
        public float $totalS,
        public array $oneByOne,
        public float $oneByOneS,
        public float $anotherLineS,
        private array $bottles,
        private array $took,
    ) {}

    /**
     * How long a joint cools as planned, with what is welded beside it meanwhile: until a hand may rest on it, or a
     * seam may be welded beside it (s). Null where it is not waited for.
     */
    public function coolS(string $joint, bool $isForHand): ?float
    {
        return $this->took[$joint][$isForHand ? 2 : 1] ?? null;
    }

    public static function of(FitPlan $fit, WeldPlan $weld, Shop $shop): self
    {
        $stretches = Stretches::of($fit, $weld);
        $lines = max(1, (int) $shop->rules->value('schedule.lines'));
        $soonest = static function (int $lines) use ($stretches, $weld, $shop): SessionTimes {
            $found = SessionTimes::of($stretches, $weld, $shop->rules, new Turns($shop->memo), $lines);
            $listed = SessionTimes::of($stretches, $weld, $shop->rules, null, $lines);

            // What is soonest for a stretch may leave more to cool behind it.
            return $listed->totalS < $found->totalS - 1e-6 ? $listed : $found;
        };
        $timed = $soonest($lines);
        // Worked out together with what a torch gets to, and not with every edit.
        $another = $fit->access === null ? $timed : $soonest($lines + 1);
        $waited = WaitedFor::of($stretches, $weld, $shop->rules);

        return new self(
            $timed->slots, $timed->last, $timed->totalS,
            $waited->welds, $waited->totalS, $another->totalS, $shop->bottles, $timed->took,
        );
    }

    /** Seconds from the first to the last weld: until then somebody is there. */
    public function attendedS(): float
    {
        return $this->totalS - array_sum($this->last);
    }

    /** Seconds in which nothing can be done but wait: for a seam to cool, or for a purge line. */
    public function waitingS(): float
    {
        return array_sum($this->last) +
            array_sum(array_map(static fn (Slot $slot): float => $slot->waitS, $this->slots));
    }

    /** @return list<BottleChange> bottles that run out on the way */
    public function bottleChanges(WeldPlan $weld): array
    {
        return BottleChange::all($this, $weld, $this->bottles);
    }

    /**
     * Joints of what is filled for a weld that are not welded yet when its turn comes: they stay taped. Their own tape
     * is peeled in the order of the slots.
     *
     * @return list<string>
     */
    public function taped(Slot $slot, WeldPlan $weld): array
    {
        $filled = $weld->sheets[$slot->joint->id]->purge->pose->filled;
        $later = array_filter($this->slots, static fn (Slot $one): bool => $one->order > $slot->order
            && $one->joint->type->isTaped()
            && self::isOf($one->joint->between->name, $filled) && self::isOf($one->joint->and->name, $filled));

        return array_values(array_map(static fn (Slot $one): string => $one->joint->id, $later));
    }

    /**
     * Whether a piece is among what is filled: by itself, or by the letter of what it is of.
     *
     * @param  list<string>  $filled
     */
    private static function isOf(string $mark, array $filled): bool
    {
        return in_array($mark, $filled, true) || in_array(rtrim($mark, '0123456789'), $filled, true);
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Schedule\Internal;

use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Solve\Timing\BenchPiece;
use UpsweptBead\Core\Solve\Timing\BenchTask;
use UpsweptBead\Core\Solve\Timing\BenchWork;
use UpsweptBead\Core\Stage\Fit\FitPlan;
use UpsweptBead\Core\Stage\Fit\Order\Before;
use UpsweptBead\Core\Stage\Fit\Order\Phase;
use UpsweptBead\Core\Stage\Schedule\Weld;
use UpsweptBead\Core\Stage\Step\StepKind;
use UpsweptBead\Core\Stage\Weld\WeldPlan;

/** Welds between two times at which all is cold, as work of a bench: by the minute, with what waits for what. */
final readonly class WeldSession
{
    /** @param  list<Weld>  $welds  in the order of the build */
    public function __construct(public array $welds, private FitPlan $fit, private WeldPlan $weld) {}

    /** @param  int  $lines  for purging */
    public function work(ShopRules $rules, int $lines): BenchWork
    {
        $pieces = [];
        foreach ($this->welds as $one) {
            $pieces += [$this->setUp($one) => count($pieces)];
        }
        $tasks = $waits = [];
        foreach ($this->welds as $i => $one) {
            $times = $this->weld->sheets[$one->joint->id]->times;
            $tasks[] = new BenchTask(
                $one->joint->id,
                $pieces[$this->setUp($one)],
                0.0,
                $times->fillS / 60,
                $times->weldS / 60,
                $times->keepS / 60,
                $this->after($i),
                null,
            );
            foreach ($this->welds as $k => $other) {
                $warm = $this->weld->sheets[$other->joint->id]->times;
                if ($k !== $i && (new WarmJoint($other, $warm))->delays($one)) {
                    $waits[$i][$k] = $warm->coolS / 60;
                }
            }
        }
        $changeMin = $rules->value('schedule.change') / 60;

        return new BenchWork(
            array_map(static fn (string $id): BenchPiece => new BenchPiece($id, $changeMin), array_keys($pieces)),
            $tasks,
            $waits,
            $lines,
        );
    }

    /** What lies on the bench for a weld; with the runs in their places it is all one. */
    private function setUp(Weld $weld): string
    {
        $standing = $this->fit->standing[StepKind::Weld->key($weld->joint->id)] ?? [$weld->joint->run];

        return $weld->phase === Phase::Together && count($standing) > 1
            ? Phase::Together->value
            : 'of '.implode('+', $standing);
    }

    /**
     * What comes before a weld: what was done before it in the build, where something else lies between; what it has a
     * reason to follow, or was put behind by somebody. Seams of flanges and collectors keep their order, which keeps
     * them straight; only butts and what stands on a side are free.
     *
     * @return list<int>
     */
    private function after(int $i): array
    {
        $one = $this->welds[$i];
        $id = StepKind::Weld->key($one->joint->id);
        $reasons = array_map(
            static fn (Before $reason): string => $reason->first,
            $this->fit->build->reasons[$id] ?? [],
        );
        $isFree = self::isFree($one);
        $after = [];
        foreach ($this->welds as $k => $other) {
            if ($k === $i) {
                continue;
            }
            $otherId = StepKind::Weld->key($other->joint->id);
            $isFirst = $k < $i && ($other->batch !== $one->batch || (! $isFree && ! self::isFree($other)));
            $isPut = $k < $i && ($this->fit->build->moved[$otherId] ?? null)?->value === $id;
            // What stays closed is filled for its first joint.
            $isFilledFirst = $this->weld->sheets[$one->joint->id]->purge->since === $other->joint->id;
            if ($isFirst || $isPut || $isFilledFirst || in_array($otherId, $reasons, true)) {
                $after[] = $k;
            }
        }

        return $after;
    }

    private static function isFree(Weld $weld): bool
    {
        return $weld->joint->type->isButt() || $weld->joint->type->isOnSide();
    }
}

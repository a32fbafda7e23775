<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Schedule\Internal;

use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Stage\Weld\WeldPlan;

/**
 * The same welds as the build lists them, each waited for: nothing is begun until the joint welded last is done with
 * its purge and cool. Pieces are put up, and hands wait, as in the planned order.
 */
final readonly class WaitedFor
{
    /** @param  list<array{string, float, float}>  $welds  joint, begun and done, in s */
    private function __construct(public array $welds, public float $totalS) {}

    /** @param  list<WeldSession>  $stretches */
    public static function of(array $stretches, WeldPlan $weld, ShopRules $rules): self
    {
        $nowS = $touchS = 0.0;
        $hot = new WarmJoints($weld, $rules);
        $welds = [];
        foreach ($stretches as $stretch) {
            $work = $stretch->work($rules, 1);
            $piece = null;
            foreach ($work->listed() as $i) {
                $one = $stretch->welds[$i];
                $times = $weld->sheets[$one->joint->id]->times;
                $nowS += $work->tasks[$i]->piece === $piece ? 0.0 : $rules->value('schedule.change');
                $startS = $nowS + array_sum($hot->handled($one, $nowS));
                $endS = $startS + $times->fillS + $times->weldS;
                $welds[] = [$one->joint->id, $startS, $endS];
                $hot->add($one->joint, new WarmJoint($one, $times), $endS, $times);
                $nowS = $endS + max($times->keepS, $times->coolS);
                $touchS = max($touchS, $endS + $times->touchS);
                $piece = $work->tasks[$i]->piece;
            }
        }

        return new self($welds, max($nowS, $touchS));
    }
}

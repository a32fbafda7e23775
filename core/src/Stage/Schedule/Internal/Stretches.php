<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Schedule\Internal;

use UpsweptBead\Core\Stage\Fit\FitPlan;
use UpsweptBead\Core\Stage\Schedule\Weld;
use UpsweptBead\Core\Stage\Schedule\WeldOrder;
use UpsweptBead\Core\Stage\Weld\WeldPlan;

/** The welds of a job, cut where hands go to some of them in between. */
final readonly class Stretches
{
    /** @return list<WeldSession> */
    public static function of(FitPlan $fit, WeldPlan $weld): array
    {
        $stretches = [];
        /** @var list<Weld> $now */
        $now = [];
        foreach (WeldOrder::of($fit->build) as $one) {
            if (! isset($weld->sheets[$one->joint->id])) {
                continue;
            }
            if (self::isHandled($now, $one, $weld)) {
                $stretches[] = new WeldSession($now, $fit, $weld);
                $now = [];
            }
            $now[] = $one;
        }

        return $now === [] ? $stretches : [...$stretches, new WeldSession($now, $fit, $weld)];
    }

    /** @param  list<Weld>  $now */
    private static function isHandled(array $now, Weld $later, WeldPlan $weld): bool
    {
        foreach ($now as $earlier) {
            if ((new WarmJoint($earlier, $weld->sheets[$earlier->joint->id]->times))->isHandledBefore($later)) {
                return true;
            }
        }

        return false;
    }
}

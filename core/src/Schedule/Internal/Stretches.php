<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Schedule\Internal;

use UpsweptBead\Core\Fit\FitPlan;
use UpsweptBead\Core\Schedule\Weld;
use UpsweptBead\Core\Schedule\WeldOrder;
use UpsweptBead\Core\Weld\WeldPlan;

/** The welds of a job, cut where hands go everywhere in between. */
final readonly class Stretches
{
    /** @return list<Stretch> */
    public static function of(FitPlan $fit, WeldPlan $weld): array
    {
        $stretches = [];
        /** @var list<Weld> $now */
        $now = [];
        foreach (WeldOrder::of($fit->build) as $one) {
            if (! isset($weld->sheets[$one->joint->id])) {
                continue;
            }
            $handled = array_filter($now, static fn (Weld $earlier): bool => Warm::isHandledBetween($earlier, $one));
            if ($handled !== []) {
                $stretches[] = new Stretch($now, $fit, $weld);
                $now = [];
            }
            $now[] = $one;
        }

        return $now === [] ? $stretches : [...$stretches, new Stretch($now, $fit, $weld)];
    }
}

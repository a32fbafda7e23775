<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Survey;

use UpsweptBead\Core\Base\Reason\Notice;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Stage\Intake\UnknownMetal;

/** Whether the metals that a job names are known, and what has to be minded with them. */
final readonly class MetalChecks
{
    /** @return list<Notice> */
    public static function notices(Job $job, Shop $shop): array
    {
        $used = ['job.metal' => $job->metal];
        foreach ($job->runs as $i => $run) {
            $used += ["runs[$i].start.metal" => $run->start->metal, "runs[$i].end.metal" => $run->end->metal];
        }
        $metals = $shop->catalogue->metals;
        $notices = [];
        foreach ($used as $path => $id) {
            $metal = $metals[$id] ?? null;
            if ($metal === null) {
                $notices[] = Notice::problem($path, UnknownMetal::says($id, $shop));
            } elseif ($metal->warning !== '') {
                $notices[] = Notice::caution($path, "$metal->name: $metal->warning.");
            }
        }

        return $notices;
    }
}

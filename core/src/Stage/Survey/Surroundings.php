<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Survey;

use UpsweptBead\Core\Base\Geometry\Solid\KeepOut;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\KeepOut\KeepOutSpec;
use UpsweptBead\Core\Shop\Practice\Shop;

/** What a survey found round the tubes, as solids. */
final readonly class Surroundings
{
    /** @return list<KeepOut> all that tubes keep clear of in place: what was surveyed, and room for the tools on the studs of flanges */
    public static function inPlace(Job $job, Shop $shop): array
    {
        return [...self::surveyed($job, $shop), ...NutRoom::of($job, $shop)];
    }

    /** @return list<KeepOut> what stands there while the tubes go in: nobody holds a tool there then */
    public static function goingIn(Job $job, Shop $shop): array
    {
        $tools = array_map(
            static fn (KeepOutSpec $one): string => $one->name,
            array_filter($job->set->keepOuts, static fn (KeepOutSpec $one): bool => $one->kind->isToolRoom()),
        );

        return array_values(array_filter(
            self::surveyed($job, $shop),
            static fn (KeepOut $one): bool => ! in_array($one->id, $tools, true),
        ));
    }

    /**
     * Places that a job reaches to: both ends of every run, and its bends where it is routed.
     *
     * @return non-empty-list<Vector>
     */
    public static function reach(Job $job): array
    {
        $places = [];
        foreach ($job->runs as $run) {
            $start = $run->start->frame();
            array_push($places, $start->at, ...$run->route?->from($start)->toXyz() ?? []);
            if (! $run->end->isFree) {
                $places[] = $run->end->frame()->at;
            }
        }

        return $places === [] ? [new Vector(0.0, 0.0, 0.0)] : $places;
    }

    /** @return list<KeepOut> without meshes that are not at hand */
    public static function surveyed(Job $job, Shop $shop): array
    {
        $rules = $shop->rules;

        return array_values(array_filter(array_map(
            static fn (KeepOutSpec $one): ?KeepOut => $one->solid(
                $rules->value($one->kind->rule()),
                $rules->value('set.exempt'),
                $shop->meshes,
            ),
            $job->set->keepOuts,
        )));
    }
}

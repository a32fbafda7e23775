<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Plan\Set;

use UpsweptBead\Core\Geometry\Vector;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Plan\Notice;
use UpsweptBead\Core\Plan\RunPlan;
use UpsweptBead\Core\Route\Problem\KeepOut;
use UpsweptBead\Core\Shop\ShopRules;
use UpsweptBead\Core\Units\Quantity;
use UpsweptBead\Core\Weld\JointType;

/** Room round a set once it is together: for a torch at its seams, for the bodies of its sensors. */
final readonly class Room
{
    /** Points this far apart stand for a centreline: within 0.4 mm at the distances that matter. */
    private const EVERY_MM = 12.0;

    private const SENSOR_RADIUS_MM = 11.0;

    /** @param  array<string, list<Vector>>  $lines  points of every run's centreline, by letter */
    private function __construct(private array $lines) {}

    /** @param  list<RunPlan>  $runs */
    public static function of(array $runs): self
    {
        $lines = [];
        foreach ($runs as $plan) {
            if ($plan->run !== null) {
                $lines[$plan->spec->letter] = $plan->run->centreline(self::EVERY_MM);
            }
        }

        return new self($lines);
    }

    /**
     * Seams that the smallest cup does not reach all round once the runs stand together: they are welded before.
     *
     * @param  list<RunPlan>  $runs
     * @return list<Seam> tightest first
     */
    public function tightSeams(array $runs, ShopRules $rules): array
    {
        $seams = [];
        $cup = $rules->value('weld.small_cup');
        foreach ($runs as $plan) {
            foreach ($plan->joints as $joint) {
                if ($plan->run === null || $joint->type !== JointType::Butt) {
                    continue;
                }
                $at = $plan->run->frameAt($joint->stationMm)->at;
                foreach ($runs as $other) {
                    if ($other !== $plan && $other->tube !== null && isset($this->lines[$other->spec->letter])) {
                        $gap = $this->least($other->spec->letter, $at) - $joint->odMm / 2 - $other->tube->odMm / 2;
                        if ($gap < $cup) {
                            $seams[] = new Seam($joint->id, $other->spec->letter, $gap);
                        }
                    }
                }
            }
        }
        usort($seams, static fn (Seam $a, Seam $b): int => $a->gapMm <=> $b->gapMm);

        return $seams;
    }

    /**
     * @param  list<RunPlan>  $runs
     * @param  list<KeepOut>  $solids
     * @return list<Notice>
     */
    public function sensors(Job $job, array $runs, array $solids, ShopRules $rules): array
    {
        $notices = [];
        $long = $rules->value('bung.room');
        foreach ($runs as $i => $plan) {
            foreach ($plan->fittings as $k => $placed) {
                if ($plan->run === null || $plan->tube === null) {
                    continue;
                }
                $frame = $plan->run->frameAt($placed->fitting->station->mm);
                $out = $frame->reference->turnedAbout($frame->forward, $placed->fromThroat->turnDeg);
                // Most stand too far off to be met anywhere along it.
                $far = $plan->tube->odMm / 2 + $long + self::SENSOR_RADIUS_MM;
                $others = array_filter($runs, fn (RunPlan $other): bool => $other !== $plan && $other->tube !== null && isset($this->lines[$other->spec->letter])
                    && $this->least($other->spec->letter, $frame->at) < $other->tube->odMm / 2 + $far);
                $beside = array_filter($solids, static fn (KeepOut $solid): bool => $solid->atLeast($frame->at->x, $frame->at->y, $frame->at->z) < $far);
                $near = [];
                for ($reach = 10.0; $reach <= $long; $reach += 8.0) {
                    $at = $frame->at->plus($out->times($plan->tube->odMm / 2 + $reach));
                    foreach ($others as $other) {
                        if ($this->least($other->spec->letter, $at) < ($other->tube->odMm ?? 0.0) / 2 + self::SENSOR_RADIUS_MM) {
                            $near["run {$other->spec->letter}"] ??= $reach;
                        }
                    }
                    foreach ($beside as $solid) {
                        if ($solid->atLeast($at->x, $at->y, $at->z) < self::SENSOR_RADIUS_MM && $solid->distance($at->x, $at->y, $at->z) < self::SENSOR_RADIUS_MM) {
                            $near[$solid->id] ??= $reach;
                        }
                    }
                }
                foreach ($near as $what => $reach) {
                    $notices[] = Notice::caution("runs[$i].fittings[$k].fromTop", sprintf('%s needs about %s of room for its body and lead; %s is in the way after %s.', $placed->jointId, Quantity::Length->show($long, $job->units), $what, Quantity::Length->show($reach, $job->units)));
                }
            }
        }

        return $notices;
    }

    private function least(string $letter, Vector $at): float
    {
        $least = INF;
        foreach ($this->lines[$letter] as $point) {
            $x = $point->x - $at->x;
            $y = $point->y - $at->y;
            $z = $point->z - $at->z;
            $square = $x * $x + $y * $y + $z * $z;
            $least = $square < $least ? $square : $least;
        }

        return sqrt($least);
    }
}

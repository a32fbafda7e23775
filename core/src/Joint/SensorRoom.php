<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Joint;

use UpsweptBead\Core\Geometry\Solid\KeepOut;
use UpsweptBead\Core\Geometry\Vector;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Layout\Layout;
use UpsweptBead\Core\Layout\Lines;
use UpsweptBead\Core\Layout\RoutedRun;
use UpsweptBead\Core\Reason\Notice;
use UpsweptBead\Core\Shop\ShopRules;
use UpsweptBead\Core\Units\Quantity;

/** Room for the body and the lead of a sensor, straight out from its bung, once the set is together. */
final readonly class SensorRoom
{
    /** Half the width of a sensor's body (mm), common practice. */
    private const RADIUS_MM = 11.0;

    /** From here out in steps (mm) the room is looked at. */
    private const FIRST_MM = 10.0;

    private const EVERY_MM = 8.0;

    private Lines $lines;

    public function __construct(private Job $job, private Layout $layout, private ShopRules $rules)
    {
        $this->lines = Lines::of($layout->runs);
    }

    /**
     * @param  list<PlacedFitting>  $fittings
     * @return list<Notice>
     */
    public function notices(array $fittings): array
    {
        $notices = [];
        $long = $this->rules->value('bung.room');
        $index = [];
        foreach ($fittings as $placed) {
            $routed = $this->layout->run($placed->run);
            if ($routed === null) {
                continue;
            }
            $k = $index[$placed->run] = ($index[$placed->run] ?? -1) + 1;
            foreach ($this->inTheWay($routed, $placed, $long) as $what => $reach) {
                $notices[] = Notice::caution("$routed->path.fittings[$k].fromTop", sprintf(
                    '%s needs about %s of room for its body and lead; %s is in the way after %s.',
                    $placed->jointId,
                    Quantity::Length->show($long, $this->job->units),
                    $what,
                    Quantity::Length->show($reach, $this->job->units),
                ));
            }
        }

        return $notices;
    }

    /** @return array<string, float> by what is in the way: how far out it is met first (mm) */
    private function inTheWay(RoutedRun $routed, PlacedFitting $placed, float $long): array
    {
        $frame = $routed->line->frameAt($placed->fitting->station->mm);
        $out = $frame->reference->turnedAbout($frame->forward, $placed->fromThroat->turnDeg);
        $surface = $routed->tube->odMm / 2;
        // Most stand too far off to be met anywhere along it.
        $far = $surface + $long + self::RADIUS_MM;
        $runs = $this->runsWithin($routed, $frame->at, $far);
        $solids = $this->solidsWithin($frame->at, $far);
        $met = [];
        for ($reach = self::FIRST_MM; $reach <= $long; $reach += self::EVERY_MM) {
            $at = $frame->at->plus($out->times($surface + $reach));
            foreach ($runs as $other) {
                if ($this->lines->least($other->spec->letter, $at) < $other->tube->odMm / 2 + self::RADIUS_MM) {
                    $met["run {$other->spec->letter}"] ??= $reach;
                }
            }
            foreach ($solids as $solid) {
                if (self::isMet($solid, $at)) {
                    $met[$solid->id] ??= $reach;
                }
            }
        }

        return $met;
    }

    /** @return list<RoutedRun> */
    private function runsWithin(RoutedRun $but, Vector $at, float $far): array
    {
        return array_values(
            array_filter(
                $this->layout->runs,
                fn (RoutedRun $one): bool => $one !== $but &&
                    $this->lines->least($one->spec->letter, $at) < $one->tube->odMm / 2 + $far,
            ),
        );
    }

    /** @return list<KeepOut> */
    private function solidsWithin(Vector $at, float $far): array
    {
        return array_values(array_filter(
            $this->layout->solids,
            static fn (KeepOut $solid): bool => $solid->atLeast($at->x, $at->y, $at->z) < $far,
        ));
    }

    private static function isMet(KeepOut $solid, Vector $at): bool
    {
        return $solid->atLeast($at->x, $at->y, $at->z) < self::RADIUS_MM
            && $solid->distance($at->x, $at->y, $at->z) < self::RADIUS_MM;
    }
}

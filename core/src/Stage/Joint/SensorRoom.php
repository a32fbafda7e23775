<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Joint;

use UpsweptBead\Core\Base\Geometry\Solid\KeepOut;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Reason\Notice;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Stage\Layout\Layout;
use UpsweptBead\Core\Stage\Layout\Lines;
use UpsweptBead\Core\Stage\Layout\RoutedRun;

/** Room for the body and the lead of a sensor, straight out from its bung, once the set is together. */
final readonly class SensorRoom
{
    /** Half the width of a sensor's body (mm), common practice. */
    private const RADIUS_MM = 11.0;

    /** From here out in steps (mm) the room is looked at. */
    private const FIRST_MM = 10.0;

    private const EVERY_MM = 8.0;

    public function __construct(private Job $job, private Layout $layout, private ShopRules $rules) {}

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
            if (! $placed->fitting->kind->isDrilled()) {
                continue;
            }
            foreach ($this->inTheWay($routed, $placed, $long) as $what => $reach) {
                $notices[] = Notice::caution("$routed->path.fittings[$k].fromTop", sprintf(
                    '%s needs about %s of room for its body and lead; %s is in the way after %s.',
                    $placed->jointId,
                    Quantity::Length->read($long, $this->job->units),
                    $what,
                    Quantity::Length->read($reach, $this->job->units),
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
        $met = [];
        foreach ($this->layout->runs as $other) {
            $near = $other === $routed
                ? []
                : $this->layout->lines->within($other->spec->letter, $frame->at, $far + $other->tube->odMm / 2);
            if ($near !== []) {
                $met["run {$other->spec->letter}"] = self::firstMet(
                    static fn (Vector $at): float => Lines::leastOf($near, $at) - $other->tube->odMm / 2,
                    $frame->at->plus($out->times($surface)),
                    $out,
                    $long,
                );
            }
        }
        foreach ($this->layout->solids as $solid) {
            if ($solid->atLeast($frame->at->x, $frame->at->y, $frame->at->z) < $far) {
                $met[$solid->id] = self::firstMet(
                    static fn (Vector $at): float => self::gapTo($solid, $at),
                    $frame->at->plus($out->times($surface)),
                    $out,
                    $long,
                );
            }
        }
        $met = array_filter($met, static fn (?float $reach): bool => $reach !== null);
        asort($met);

        return $met;
    }

    /**
     * The first step out (mm) at which a sensor's body would touch something; null if none does.
     *
     * @param  \Closure(Vector): float  $gapMm  from a place to it, or less where that is more than a sensor needs
     */
    private static function firstMet(\Closure $gapMm, Vector $surface, Vector $out, float $long): ?float
    {
        // A gap shrinks by no more than was gone towards it, so the next steps need no look.
        $clearTo = 0.0;
        for ($reach = self::FIRST_MM; $reach <= $long; $reach += self::EVERY_MM) {
            if ($reach < $clearTo) {
                continue;
            }
            $gap = $gapMm($surface->plus($out->times($reach)));
            if ($gap < self::RADIUS_MM) {
                return $reach;
            }
            $clearTo = $reach + $gap - self::RADIUS_MM;
        }

        return null;
    }

    /** How far something is, measured only where a bound does not tell that it is far enough. */
    private static function gapTo(KeepOut $solid, Vector $at): float
    {
        $bound = $solid->atLeast($at->x, $at->y, $at->z);

        return $bound < self::RADIUS_MM ? $solid->distance($at->x, $at->y, $at->z) : $bound;
    }
}

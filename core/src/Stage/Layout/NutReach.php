<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Layout;

use UpsweptBead\Core\Base\Geometry\Solid\KeepOut;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Reason\Notice;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Run\RunEnd;
use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Stage\Survey\NutRoom;

/**
 * How far a spanner can be swung on one nut of a flange once everything is in place. A socket's room is kept free by
 * NutRoom.
 */
final readonly class NutReach
{
    private const EVERY_DEG = 10;

    /** Points this far apart stand for a centreline. */
    private const EVERY_MM = 10.0;

    /** A spanner's shank is about this much of the nut's flats wide to either side. */
    private const SHANK = 0.6;

    /** It is held this much of the flats off the flange. */
    private const OFF = 0.5;

    /**
     * @param  string  $nut  its run and number, as the room for its socket is named
     * @param  float  $swingDeg  the widest swing free of everything, 360 all round
     * @param  list<string>  $inTheWay  runs and keep-outs that end the swing
     */
    private function __construct(
        public string $nut,
        public string $path,
        public float $swingDeg,
        public array $inTheWay,
    ) {}

    /**
     * @param  list<RoutedRun>  $runs
     * @param  list<KeepOut>  $solids  as surveyed, without room for tools
     * @return list<self> one for each nut
     */
    public static function of(Job $job, array $runs, array $solids, ShopRules $rules): array
    {
        $points = [];
        foreach ($runs as $one) {
            $points["run {$one->spec->letter}"] = [$one->line->points(self::EVERY_MM), $one->tube->odMm / 2];
        }
        $nuts = [];
        foreach ($job->runs as $i => $run) {
            foreach (
                [['start', '', $run->start, 1.0], ['end', 'end ', $run->end, -1.0]] as [$side, $which, $end, $off]
            ) {
                foreach ($end->nuts() as $k => [$at, $out]) {
                    $nuts[] = self::swung(
                        "{$which}nut $run->letter".($k + 1),
                        "runs[$i].$side.bolts",
                        $end,
                        $at,
                        $out,
                        $off,
                        $points,
                        $solids,
                        $rules,
                    );
                }
            }
        }

        return $nuts;
    }

    /**
     * @param  list<self>  $nuts
     * @return list<Notice> one for each that a spanner cannot be swung on
     */
    public static function notices(array $nuts, Job $job, ShopRules $rules): array
    {
        return array_values(
            array_filter(array_map(static fn (self $nut): ?Notice => $nut->notice($job, $rules), $nuts)),
        );
    }

    private function notice(Job $job, ShopRules $rules): ?Notice
    {
        $need = $rules->value('clear.spanner_swing');

        return $this->swingDeg >= $need
            ? null
            : Notice::caution(
                $this->path,
                sprintf(
                    'A spanner on %s swings %s; %s is needed to turn it on. In its way: %s. Plan for a socket, or a spanner with a swivel head.',
                    $this->nut,
                    Quantity::Angle->show($this->swingDeg, $job->units),
                    Quantity::Angle->show($need, $job->units),
                    implode(', ', $this->inTheWay),
                ),
            );
    }

    /**
     * @param  array<string, array{list<Vector>, float}>  $tubes  points of each centreline and its radius
     * @param  list<KeepOut>  $solids
     */
    private static function swung(
        string $name,
        string $path,
        RunEnd $end,
        Vector $at,
        Vector $out,
        float $off,
        array $tubes,
        array $solids,
        ShopRules $rules,
    ): self {
        $frame = $end->frame();
        $flats = $end->bolts->flats->mm ?? 0.0;
        $nut = $at->plus($frame->forward->times($off * self::OFF * $flats));
        $length = $flats * $rules->value('clear.spanner_length');
        // What the nut itself stands on or in ends no swing: the flange is flat.
        $standing = array_filter(
            $solids,
            static fn (KeepOut $solid): bool => $solid->distance($nut->x, $nut->y, $nut->z) > $flats,
        );
        $near = [];
        foreach ($tubes as $what => [$points, $radius]) {
            $within = array_filter(
                $points,
                static fn (Vector $point): bool => $point->distanceTo($nut) < $length + $radius + $flats,
            );
            if ($within !== []) {
                $near[$what] = [$within, $radius + self::SHANK * $flats];
            }
        }
        $free = $blocks = [];
        for ($turn = 0; $turn < 360; $turn += self::EVERY_DEG) {
            $along = $out->turnedAbout($frame->forward, $turn);
            $what = self::blocking(
                $nut->plus($along->times($flats)),
                $along,
                $length - $flats,
                $flats,
                $near,
                $standing,
            );
            $free[] = $what === null;
            $blocks[$what ?? ''] = true;
        }
        unset($blocks['']);

        return new self($name, $path, self::widest($free), array_map(strval(...), array_keys($blocks)));
    }

    /**
     * @param  array<string, array{array<int, Vector>, float}>  $near
     * @param  array<int, KeepOut>  $solids
     */
    private static function blocking(
        Vector $from,
        Vector $along,
        float $length,
        float $flats,
        array $near,
        array $solids,
    ): ?string {
        foreach ($near as $what => [$points, $need]) {
            foreach ($points as $point) {
                $across = $point->minus($from);
                $t = max(0.0, min($length, $across->dot($along)));
                if ($across->minus($along->times($t))->length() < $need) {
                    return $what;
                }
            }
        }
        foreach ($solids as $solid) {
            $u = $along->times($length);
            if (
                $solid->along($from->x, $from->y, $from->z, $u->x, $u->y, $u->z, self::SHANK * $flats)[0] <
                self::SHANK * $flats
            ) {
                return $solid->id;
            }
        }

        return null;
    }

    /** @param  list<bool>  $free  all round */
    private static function widest(array $free): float
    {
        $count = count($free);
        $widest = $now = 0;
        foreach ([...$free, ...$free] as $isFree) {
            $now = $isFree ? $now + 1 : 0;
            $widest = max($widest, $now);
        }

        // Between so many free positions lies one swing fewer.
        return $widest >= $count ? 360.0 : (float) max(0, ($widest - 1) * self::EVERY_DEG);
    }
}

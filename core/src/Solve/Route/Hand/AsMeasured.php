<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Hand;

use UpsweptBead\Core\Base\Geometry\DampedStep;
use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Run\Bend;
use UpsweptBead\Core\Solve\Run\TubeRun;

/**
 * The beginning of a run as it was measured: its end at the place where it was found, with as little as possible
 * otherwise than planned: how it leaves its start, its straights, turns and angles. Which way it points at its end is
 * met where it was measured, and follows otherwise.
 */
final readonly class AsMeasured
{
    private const STEPS = 12;

    /** Slopes are taken over this, mm or °. */
    private const SLOPE = 1e-4;

    /** The way it points is weighed as the end of a rod so long (mm). */
    private const ROD_MM = 300.0;

    /** It is there within this (mm). */
    private const THERE_MM = 1e-4;

    /** So many millimetres of length are as likely as one degree of angle: a saw is truer than a bend. */
    private const MM_PER_DEG = 0.5;

    /** A first joint that pulled a little is likelier than so much in a bend; degrees beside one of a bend. */
    private const TILT = 1.5;

    /** Keeps a step from a place that hardly moves anything from running away. */
    private const DAMPING = 1e-6;

    /**
     * @param  ?Vector  $forward  the way it points there, of length 1; null where that was not measured
     * @param  bool  $mayTilt  whether it can leave its start at another angle
     */
    public static function of(TubeRun $run, Vector $at, ?Vector $forward, bool $mayTilt): TubeRun
    {
        $isAimed = $forward !== null;
        $wanted = [...$at->toArray(), ...$forward === null ? [] : $forward->times(self::ROD_MM)->toArray()];
        $values = [];
        foreach ($run->bends as $bend) {
            array_push($values, $bend->straightMm, $bend->rotationDeg, $bend->angleDeg);
        }
        $values[] = $run->endStraightMm;
        $first = count($values);
        if ($mayTilt) {
            array_push($values, 0.0, 0.0);
        }
        for ($step = 0; $step < self::STEPS; $step++) {
            $now = self::end($run, array_values($values), $isAimed);
            $left = self::minus($wanted, $now);
            if (sqrt(array_sum(array_map(static fn (float $mm): float => $mm * $mm, $left))) < self::THERE_MM) {
                break;
            }
            $slopes = [];
            foreach ($values as $k => $value) {
                $moved = self::end($run, array_values(array_replace($values, [$k => $value + self::SLOPE])), $isAimed);
                $weight = match (true) {
                    $k >= $first => self::TILT,
                    $k % 3 === 0 => self::MM_PER_DEG,
                    default => 1.0,
                };
                $slopes[$k] = [array_map(
                    static fn (float $mm): float => $mm * $weight / self::SLOPE,
                    self::minus($moved, $now),
                ), $weight];
            }
            $pull = DampedStep::of(self::square($slopes, count($wanted)), $left, self::DAMPING, 1.0);
            foreach ($slopes as $k => [$slope, $weight]) {
                foreach ($slope as $i => $one) {
                    $values[$k] += $weight * $one * $pull[$i];
                }
            }
        }

        return self::built($run, array_values($values));
    }

    /**
     * @param  array<int, array{list<float>, float}>  $slopes
     * @return array<int, array<int, float>> the sum of each slope by itself
     */
    private static function square(array $slopes, int $count): array
    {
        $normal = array_fill(0, $count, array_fill(0, $count, 0.0));
        foreach ($slopes as [$slope]) {
            for ($i = 0; $i < $count; $i++) {
                for ($j = 0; $j < $count; $j++) {
                    $normal[$i][$j] += $slope[$i] * $slope[$j];
                }
            }
        }

        return $normal;
    }

    /**
     * @param  list<float>  $values
     * @return list<float> the place of its end, and of a rod's from there
     */
    private static function end(TubeRun $run, array $values, bool $isAimed): array
    {
        $end = self::built($run, $values)->end();

        return [...$end->at->toArray(), ...$isAimed ? $end->forward->times(self::ROD_MM)->toArray() : []];
    }

    /**
     * @param  list<float>  $some
     * @param  list<float>  $other
     * @return list<float>
     */
    private static function minus(array $some, array $other): array
    {
        return array_map(static fn (float $a, float $b): float => $a - $b, $some, $other);
    }

    /** @param  list<float>  $values */
    private static function built(TubeRun $run, array $values): TubeRun
    {
        $bends = array_map(static fn (int $i, Bend $bend): Bend => new Bend(
            max(0.0, $values[3 * $i]),
            $values[3 * $i + 1],
            $values[3 * $i + 2],
            $bend->clrMm,
            $bend->pieWelds,
        ), array_keys($run->bends), $run->bends);

        $count = 3 * count($run->bends) + 1;
        $start = $run->start;
        if (count($values) > $count) {
            $side = $start->forward->cross($start->reference);
            $forward = $start->forward
                ->turnedAbout($start->reference, $values[$count])
                ->turnedAbout($side, $values[$count + 1]);
            $start = Frame::facing($start->at, $forward, $start->reference);
        }

        return new TubeRun($start, $bends, max(0.0, $values[$count - 1]));
    }
}

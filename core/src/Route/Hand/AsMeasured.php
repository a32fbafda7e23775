<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Route\Hand;

use UpsweptBead\Core\Geometry\DampedStep;
use UpsweptBead\Core\Geometry\Frame;
use UpsweptBead\Core\Geometry\Vector;
use UpsweptBead\Core\Run\Bend;
use UpsweptBead\Core\Run\TubeRun;

/**
 * The beginning of a run as it was measured: its end at the place where it was found, with as little as possible
 * otherwise than planned: how it leaves its start, its straights, turns and angles. Which way it points at its end was
 * not measured, and follows.
 */
final readonly class AsMeasured
{
    private const STEPS = 12;

    /** Slopes are taken over this, mm or °. */
    private const SLOPE = 1e-4;

    /** It is there within this (mm). */
    private const THERE_MM = 1e-4;

    /** So many millimetres of length are as likely as one degree of angle: a saw is truer than a bend. */
    private const MM_PER_DEG = 0.5;

    /** A first joint that pulled a little is likelier than so much in a bend; degrees beside one of a bend. */
    private const TILT = 1.5;

    /** Keeps a step from a place that hardly moves anything from running away. */
    private const DAMPING = 1e-6;

    /** @param  bool  $mayTilt  whether it can leave its start at another angle */
    public static function of(TubeRun $run, Vector $at, bool $mayTilt): TubeRun
    {
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
            $now = self::end($run, array_values($values));
            $left = $at->minus($now);
            if ($left->length() < self::THERE_MM) {
                break;
            }
            $slopes = [];
            foreach ($values as $k => $value) {
                $moved = self::end($run, array_values(array_replace($values, [$k => $value + self::SLOPE])));
                $weight = match (true) {
                    $k >= $first => self::TILT,
                    $k % 3 === 0 => self::MM_PER_DEG,
                    default => 1.0,
                };
                $slopes[$k] = [$moved->minus($now)->times($weight / self::SLOPE)->toArray(), $weight];
            }
            $pull = DampedStep::of(self::square($slopes), $left->toArray(), self::DAMPING, 1.0);
            foreach ($slopes as $k => [$slope, $weight]) {
                $values[$k] += $weight * ($slope[0] * $pull[0] + $slope[1] * $pull[1] + $slope[2] * $pull[2]);
            }
        }

        return self::built($run, array_values($values));
    }

    /**
     * @param  array<int, array{array{float, float, float}, float}>  $slopes
     * @return array<int, array<int, float>> the sum of each slope by itself
     */
    private static function square(array $slopes): array
    {
        $normal = array_fill(0, 3, array_fill(0, 3, 0.0));
        foreach ($slopes as [$slope]) {
            for ($i = 0; $i < 3; $i++) {
                for ($j = 0; $j < 3; $j++) {
                    $normal[$i][$j] += $slope[$i] * $slope[$j];
                }
            }
        }

        return $normal;
    }

    /** @param  list<float>  $values */
    private static function end(TubeRun $run, array $values): Vector
    {
        return self::built($run, $values)->end()->at;
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

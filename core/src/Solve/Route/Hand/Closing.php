<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Hand;

use UpsweptBead\Core\Base\Geometry\DampedStep;
use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Solve\Run\Bend;
use UpsweptBead\Core\Solve\Run\FarEnd;
use UpsweptBead\Core\Solve\Run\Locks;
use UpsweptBead\Core\Solve\Run\TubeRun;

/**
 * Brings the far end of a run to its place by changing only what is not locked, and that as little as will do: damped
 * least squares on the gap (mm) and the turn between the axes (10 mm a degree, as FarEnd weighs them), with a wished
 * length as one more row. A value at its bound is held there while it would go beyond.
 *
 * Reaching a place and a direction takes five free values; with fewer, or where the bounds are in the way, it ends as
 * near as it gets.
 */
final readonly class Closing
{
    /** Turns (°) from which it is begun again, where the way there leads over a hill. */
    private const TURNS = [40.0, -40.0, 90.0, -90.0, 180.0];

    private const MM_PER_RAD = 573.0;

    private const STEPS = 60;

    /** How much a value is held that the far end hardly depends on (of the square of a slope). */
    private const FLOOR = 1.0;

    /** Damping to begin with, its least, and what it is divided or multiplied by after a step; by trial. */
    private const DAMPING = 1e-3;

    private const LEAST_DAMPING = 1e-9;

    private const AFTER_GAIN = 5;

    private const AFTER_LOSS = 6;

    private const TRIES = 8;

    /** The square of what is left (mm²) that counts as closed. */
    private const CLOSED = 1e-10;

    /** Slopes are taken over this, mm or °; no step goes further than the other, mm or °. */
    private const SLOPE = 1e-4;

    private const MOST_STEP = 30.0;

    /** A wished length is met within this, mm. */
    private const LENGTH_WITHIN = 0.1;

    private function __construct(public TubeRun $run, public FarEnd $left) {}

    public function isClosed(): bool
    {
        return $this->left->isClosed();
    }

    public static function of(TubeRun $run, Frame $target, Locks $locks, Bounds $bounds, ?float $lengthMm = null): self
    {
        $best = null;
        foreach (self::starts($run, $locks) as $start) {
            $values = self::solve($start, $run, $target, $locks, $bounds, $lengthMm);
            $closed = self::build($run, $values);
            $answer = new self($closed, FarEnd::of($closed, $target));
            $misses = $lengthMm === null ? 0.0 : abs($closed->lengthMm() - $lengthMm);
            if ($answer->isClosed() && $misses < self::LENGTH_WITHIN) {
                return $answer;
            }
            $badness = hypot($answer->left->badness(), $misses);
            if ($best === null || $badness < $best[0] - 1e-6) {
                $best = [$badness, $answer];
            }
        }

        return $best[1] ?? new self($run, FarEnd::of($run, $target));
    }

    /**
     * As it is; then with one joint or another turned a good deal, for where the way there leads over a hill.
     *
     * @return list<list<float>>
     */
    private static function starts(TubeRun $run, Locks $locks): array
    {
        $plain = self::values($run);
        $starts = [$plain];
        foreach (array_keys($run->bends) as $i) {
            foreach ($locks->isFree(3 * $i + 1) ? self::TURNS : [] as $turn) {
                $starts[] = array_replace($plain, [3 * $i + 1 => $plain[3 * $i + 1] + $turn]);
            }
        }

        return array_map(array_values(...), $starts);
    }

    /**
     * @param  list<float>  $values
     * @return list<float>
     */
    private static function solve(
        array $values,
        TubeRun $run,
        Frame $target,
        Locks $locks,
        Bounds $bounds,
        ?float $lengthMm,
    ): array {
        foreach ($values as $k => $value) {
            $values[$k] = $locks->isFree($k) ? $bounds->held($k, $value, count($values)) : $value;
        }
        $rows = self::rows($values, $run, $target, $lengthMm);
        $cost = self::square($rows);
        $damping = self::DAMPING;
        for ($step = 0; $step < self::STEPS && $cost > self::CLOSED; $step++) {
            $slopes = $push = [];
            foreach ($values as $k => $value) {
                if (! $locks->isFree($k)) {
                    continue;
                }
                $h = self::SLOPE;
                $moved = self::rows(
                    array_values(array_replace($values, [$k => $value + $h])),
                    $run,
                    $target,
                    $lengthMm,
                );
                $slope = array_map(static fn (float $a, float $b): float => ($a - $b) / $h, $moved, $rows);
                $downhill = -array_sum(array_map(static fn (float $a, float $b): float => $a * $b, $slope, $rows));
                if (abs($bounds->held($k, $value + 1e-6 * ($downhill <=> 0.0), count($values)) - $value) > 1e-9) {
                    $slopes[$k] = $slope;
                    $push[$k] = $downhill;
                }
            }
            if ($slopes === []) {
                break;
            }
            $accepted = false;
            for ($try = 0; $try < self::TRIES && ! $accepted; $try++) {
                $next = $values;
                foreach (self::step($slopes, $push, $damping) as $k => $change) {
                    $change = max(-self::MOST_STEP, min(self::MOST_STEP, $change));
                    $next[$k] = $bounds->held($k, $values[$k] + $change, count($values));
                }
                $next = array_values($next);
                $nextRows = self::rows($next, $run, $target, $lengthMm);
                $nextCost = self::square($nextRows);
                $accepted = $nextCost < $cost;
                $damping = $accepted
                    ? max(self::LEAST_DAMPING, $damping / self::AFTER_GAIN)
                    : $damping * self::AFTER_LOSS;
                if ($accepted) {
                    [$values, $rows, $cost] = [$next, $nextRows, $nextCost];
                }
            }
            if (! $accepted) {
                break;
            }
        }

        return $values;
    }

    /**
     * How far each value is to go.
     *
     * @param  non-empty-array<int, list<float>>  $slopes  of the rows, by value
     * @param  array<int, float>  $push  downhill, by value
     * @return array<int, float> by value
     */
    private static function step(array $slopes, array $push, float $damping): array
    {
        $columns = array_values($slopes);
        $normal = array_map(
            static fn (array $a): array => array_map(
                static fn (array $b): float => array_sum(
                    array_map(static fn (float $x, float $y): float => $x * $y, $a, $b),
                ),
                $columns,
            ),
            $columns,
        );

        return array_combine(
            array_keys($slopes),
            DampedStep::of($normal, array_values($push), $damping, self::FLOOR),
        );
    }

    /**
     * @param  list<float>  $values
     * @return list<float>
     */
    private static function rows(array $values, TubeRun $run, Frame $target, ?float $lengthMm): array
    {
        $built = self::build($run, $values);
        $end = $built->end();
        $gap = $end->at->minus($target->at);
        $turn = $end->forward->minus($target->forward)->times(self::MM_PER_RAD);

        return [
            ...$gap->toArray(),
            ...$turn->toArray(),
            ...$lengthMm === null ? [] : [$built->lengthMm() - $lengthMm],
        ];
    }

    /** @param  list<float>  $rows */
    private static function square(array $rows): float
    {
        return array_sum(array_map(static fn (float $row): float => $row * $row, $rows));
    }

    /** @return list<float> straight, turn and angle of every bend, then the last straight */
    private static function values(TubeRun $run): array
    {
        return [
            ...array_merge(
                ...array_map(
                    static fn (Bend $bend): array => [$bend->straightMm, $bend->rotationDeg, $bend->angleDeg],
                    $run->bends,
                ),
            ),
            $run->endStraightMm,
        ];
    }

    /** @param  list<float>  $values */
    private static function build(TubeRun $run, array $values): TubeRun
    {
        $bends = [];
        foreach ($run->bends as $i => $bend) {
            $turn = fmod($values[3 * $i + 1], 360.0);
            $bends[] = new Bend(
                $values[3 * $i],
                $turn > 180.0 ? $turn - 360.0 : ($turn <= -180.0 ? $turn + 360.0 : $turn),
                $values[3 * $i + 2],
                $bend->clrMm,
                $bend->pieWelds,
            );
        }

        return new TubeRun($run->start, $bends, $values[3 * count($bends)]);
    }
}

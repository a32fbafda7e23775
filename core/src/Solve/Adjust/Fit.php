<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Adjust;

/** The estimate at which readings agree best, found from a start by damped steps (Levenberg, Marquardt). */
final readonly class Fit
{
    private const MOST_STEPS = 120;

    /** In one step a place moves by this much at most (mm), an axis turns by this much (rad). */
    private const MOST_MM = 400.0;

    private const MOST_RAD = 0.6;

    private function __construct(public Estimate $estimate, public Equations $equations, public bool $isSettled) {}

    /** @param  list<Observation>  $observations */
    public static function from(Estimate $start, array $observations, Unknowns $unknowns): self
    {
        $estimate = $start;
        $equations = Equations::at($estimate, $observations, $unknowns);
        $damping = 1e-4;
        for ($i = 0; $i < self::MOST_STEPS; $i++) {
            $step = $equations->step($damping);
            if ($step === null) {
                return new self($estimate, $equations, false);
            }
            $step = self::bounded($step, $unknowns);
            $next = $estimate->stepped($unknowns, $step);
            $there = Equations::at($next, $observations, $unknowns);
            $size = $step === [] ? 0.0 : max(array_map(abs(...), $step));
            if ($there->chiSquare <= $equations->chiSquare * (1 + 1e-13) + 1e-15) {
                $gained = $equations->chiSquare - $there->chiSquare;
                [$estimate, $equations] = [$next, $there];
                $damping = max(1e-14, $damping / 10);
                if ($size < 1e-8 || $gained < 1e-13 * (1 + $there->chiSquare) && $size < 1e-5) {
                    return new self($estimate, $equations, true);
                }
            } else {
                $damping *= 8;
                if ($size < 1e-9 || $damping > 1e14) {
                    return new self($estimate, $equations, true);
                }
            }
        }

        return new self($estimate, $equations, false);
    }

    /**
     * @param  list<float>  $step
     * @return list<float>
     */
    private static function bounded(array $step, Unknowns $unknowns): array
    {
        $over = 1.0;
        foreach ($unknowns->places as $i) {
            $over = max($over, hypot(hypot($step[$i], $step[$i + 1]), $step[$i + 2]) / self::MOST_MM);
        }
        foreach ($unknowns->axes as $i) {
            $over = max($over, hypot($step[$i], $step[$i + 1]) / self::MOST_RAD);
        }

        return $over === 1.0 ? $step : array_map(static fn (float $one): float => $one / $over, $step);
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Adjust;

/**
 * The normal equations of readings at an estimate, each reading weighted by its own standard deviation.
 */
final readonly class Equations
{
    /** A weak prior keeps the equations solvable where nothing was read: 100 m of a place, 100 rad of an axis. */
    private const PRIOR_MM = 1e5;

    private const PRIOR_RAD = 100.0;

    /**
     * @param  list<Observation>  $observations
     * @param  list<Slope>  $slopes
     * @param  list<array<int, float>>  $rows  by column, divided by sigma
     * @param  list<list<float>>  $normal
     * @param  list<float>  $right
     */
    private function __construct(
        public array $observations,
        public array $slopes,
        public array $rows,
        public array $normal,
        public array $right,
        public float $chiSquare,
        private Unknowns $unknowns,
    ) {}

    /** @param  list<Observation>  $observations */
    public static function at(Estimate $estimate, array $observations, Unknowns $unknowns): self
    {
        $count = $unknowns->count;
        $zero = $count === 0 ? [] : array_fill(0, $count, 0.0);
        $normal = $count === 0 ? [] : array_fill(0, $count, $zero);
        $right = $zero;
        $chi = 0.0;
        $slopes = $rows = [];
        foreach ($observations as $one) {
            $slope = $one->of->at($estimate);
            $weight = 1 / $one->sigma;
            $residual = $slope->residual * $weight;
            $chi += $residual ** 2;
            $row = [];
            foreach ($slope->row($unknowns, $estimate) as $i => $value) {
                $row[$i] = $value * $weight;
            }
            foreach ($row as $i => $value) {
                $right[$i] += $value * $residual;
                foreach ($row as $j => $other) {
                    if ($j <= $i) {
                        $normal[$i][$j] += $value * $other;
                    }
                }
            }
            $slopes[] = $slope;
            $rows[] = $row;
        }

        return new self(
            $observations,
            $slopes,
            $rows,
            array_map(array_values(...), $normal),
            array_values($right),
            $chi,
            $unknowns,
        );
    }

    /** @return list<float> by column, what a little prior knowledge weighs */
    private function prior(): array
    {
        $prior = $this->unknowns->count === 0 ? [] : array_fill(0, $this->unknowns->count, self::PRIOR_MM ** -2);
        foreach ($this->unknowns->axes as $i) {
            $prior[$i] = $prior[$i + 1] = self::PRIOR_RAD ** -2;
        }

        return array_values($prior);
    }

    /**
     * The step to a better estimate; null where there is none to be had.
     *
     * @return list<float>|null
     */
    public function step(float $damping): ?array
    {
        return Cholesky::of($this->held($damping))?->solve($this->right);
    }

    /** @return list<list<float>>|null covariance of what is found; null where something is not determined at all */
    public function covariance(): ?array
    {
        return Cholesky::of($this->normal)?->inverse();
    }

    /** @return list<list<float>> with a little prior knowledge, which only what is not determined feels */
    public function looseCovariance(): array
    {
        return Cholesky::of($this->held(0.0))?->inverse() ?? [];
    }

    /** @return list<list<float>> with what little is known beforehand, and damped */
    private function held(float $damping): array
    {
        $prior = $this->prior();
        $held = [];
        foreach ($this->normal as $i => $row) {
            $line = $row;
            $line[$i] = ($row[$i] + $prior[$i]) * (1 + $damping);
            $held[] = array_values($line);
        }

        return $held;
    }
}

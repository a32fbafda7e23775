<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Learning;

/**
 * What a shop's own log says of one of its rules: a value, how far single cases lie around it, and of how many. A few cases
 * are weighed against what the program comes with, many speak for themselves; single ones far off count less.
 *
 * Source: mean of a normal quantity with a normal prior, on logarithms (any textbook of Bayesian statistics); how far the
 * shops of the world lie around the shipped value is our own figure.
 */
final readonly class Evidence
{
    /** Fewer cases than this say nothing yet. */
    public const ENOUGH = 5;

    /** Shops lie around the shipped value by about so much (logarithm): two thirds of them between .64 and 1.57 of it. */
    private const SHOPS = 0.45;

    /** Cases are taken to lie around the shop's own value by at least so much (logarithm). */
    private const LEAST_SPREAD = 0.05;

    /** Further off than so many times the usual distance from the middle one, a case is pulled in to there. */
    private const FAR = 3.0;

    /** Of a normal spread, over the median distance from the middle. */
    private const SIGMA_PER_MEDIAN = 1.4826;

    private function __construct(public int $cases, public float $value, public float $least, public float $most) {}

    /**
     * @param  list<float>  $cases  above nought, each as the rule would have had to be for that case
     * @param  float  $shipped  the rule as it comes
     */
    public static function of(array $cases, float $shipped): self
    {
        $logs = array_map(log(...), array_values(array_filter($cases, static fn (float $one): bool => $one > 0.0)));
        $count = count($logs);
        if ($count === 0) {
            return new self(0, $shipped, $shipped, $shipped);
        }
        $middle = self::median($logs);
        $spread = max(self::LEAST_SPREAD, self::SIGMA_PER_MEDIAN * self::median(
            array_map(static fn (float $one): float => abs($one - $middle), $logs),
        ));
        [$lowest, $highest] = [$middle - self::FAR * $spread, $middle + self::FAR * $spread];
        $near = array_map(static fn (float $one): float => max($lowest, min($highest, $one)), $logs);
        $ownWeight = $count / $spread ** 2;
        $priorWeight = 1 / self::SHOPS ** 2;
        $mean = ($ownWeight * array_sum($near) / $count + $priorWeight * log($shipped)) / ($ownWeight + $priorWeight);

        return new self($count, exp($mean), exp($mean - $spread), exp($mean + $spread));
    }

    public function isEnough(): bool
    {
        return $this->cases >= self::ENOUGH;
    }

    /** @param  non-empty-list<float>  $some */
    private static function median(array $some): float
    {
        sort($some);
        $half = intdiv(count($some), 2);

        return count($some) % 2 === 1 ? $some[$half] : ($some[$half - 1] + $some[$half]) / 2;
    }
}

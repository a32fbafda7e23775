<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Account\Learning;

/**
 * What a shop's own log says of one of its rules: a value, how far single cases lie around it, and of how many. A few
 * cases are weighed against what the program comes with, many speak for themselves; single ones far off count less.
 *
 * Source: mean of a quantity weighed against a prior by how far either is spread (any textbook of Bayesian statistics);
 * cases far off are found on logarithms. How far the shops of the world lie around the shipped value is our own figure.
 */
final readonly class Evidence
{
    /** Fewer cases than this say nothing yet. */
    public const ENOUGH = 5;

    /**
     * Shops lie around the shipped value by about so much (logarithm): two thirds of them between .64 and 1.57 of it.
     */
    private const SHOPS = 0.45;

    /** Cases are taken to lie around the shop's own value by at least so much (logarithm). */
    private const LEAST_SPREAD = 0.05;

    /** Further off than so many times the usual distance from the middle one, a case is pulled in to there. */
    private const FAR = 3.0;

    /** Of a normal spread, over the median distance from the middle. */
    private const SIGMA_PER_MEDIAN = 1.4826;

    private function __construct(public int $cases, public float $value, public float $least, public float $most) {}

    /**
     * What it says is the mean that adds up: so many cases take so many times the value. A case of nought counts as
     * nought.
     *
     * @param  list<float>  $cases  nought or more, each as the rule would have had to be for that case
     * @param  float  $shipped  the rule as it comes
     */
    public static function of(array $cases, float $shipped): self
    {
        $cases = array_values(array_filter($cases, static fn (float $one): bool => $one >= 0.0));
        $count = count($cases);
        if ($count === 0) {
            return new self(0, $shipped, $shipped, $shipped);
        }
        $logs = array_map(log(...), array_values(array_filter($cases, static fn (float $one): bool => $one > 0.0)));
        [$middle, $spread] = self::middle($logs);
        [$lowest, $highest] = [$middle - self::FAR * $spread, $middle + self::FAR * $spread];
        $near = array_map(static fn (float $one): float => exp(max($lowest, min($highest, $one))), $logs);
        $mean = array_sum($near) / $count;
        $ownWeight = $count / $spread ** 2;
        $priorWeight = 1 / self::SHOPS ** 2;
        $value = ($ownWeight * $mean + $priorWeight * $shipped) / ($ownWeight + $priorWeight);

        return new self($count, $value, $value * exp(-$spread), $value * exp($spread));
    }

    /**
     * @param  list<float>  $logs
     * @return array{float, float} their middle, and how far they lie around it
     */
    private static function middle(array $logs): array
    {
        if ($logs === []) {
            return [0.0, self::SHOPS];
        }
        $middle = self::median($logs);
        $off = array_map(static fn (float $one): float => abs($one - $middle), $logs);

        return [$middle, max(self::LEAST_SPREAD, self::SIGMA_PER_MEDIAN * self::median($off))];
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

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Adjust;

/** The Cholesky factor of a symmetric, positive matrix: it solves equations and inverts the matrix. */
final readonly class Cholesky
{
    /** @param  list<list<float>>  $lower */
    private function __construct(private array $lower) {}

    /**
     * @param  list<list<float>>  $matrix  symmetric; only its lower half is read
     * @return self|null null where it is not positive
     */
    public static function of(array $matrix): ?self
    {
        $lower = [];
        foreach ($matrix as $i => $row) {
            $line = [];
            for ($j = 0; $j <= $i; $j++) {
                $sum = $row[$j];
                $other = $j === $i ? $line : $lower[$j];
                for ($k = 0; $k < $j; $k++) {
                    $sum -= $line[$k] * $other[$k];
                }
                if ($j === $i) {
                    if ($sum <= 0.0 || ! is_finite($sum)) {
                        return null;
                    }
                    $line[] = sqrt($sum);
                } else {
                    $line[] = $sum / $other[$j];
                }
            }
            $lower[] = $line;
        }

        return new self($lower);
    }

    /**
     * @param  list<float>  $right
     * @return list<float>
     */
    public function solve(array $right): array
    {
        $count = count($right);
        $half = [];
        foreach ($this->lower as $i => $row) {
            $sum = $right[$i];
            for ($k = 0; $k < $i; $k++) {
                $sum -= $row[$k] * $half[$k];
            }
            $half[] = $sum / $row[$i];
        }
        $found = array_fill(0, $count, 0.0);
        for ($i = $count - 1; $i >= 0; $i--) {
            $sum = $half[$i];
            for ($k = $i + 1; $k < $count; $k++) {
                $sum -= $this->lower[$k][$i] * $found[$k];
            }
            $found[$i] = $sum / $this->lower[$i][$i];
        }

        return array_values($found);
    }

    /** @return list<list<float>> */
    public function inverse(): array
    {
        $count = count($this->lower);
        // The inverse of the factor first, then its transpose times itself.
        $turned = [];
        for ($i = 0; $i < $count; $i++) {
            $row = $this->lower[$i];
            $line = [];
            for ($j = 0; $j < $i; $j++) {
                $sum = 0.0;
                for ($k = $j; $k < $i; $k++) {
                    $sum -= $row[$k] * $turned[$k][$j];
                }
                $line[] = $sum / $row[$i];
            }
            $line[] = 1 / $row[$i];
            $turned[] = $line;
        }
        $inverse = [];
        for ($i = 0; $i < $count; $i++) {
            $line = [];
            for ($j = 0; $j <= $i; $j++) {
                $sum = 0.0;
                for ($k = $i; $k < $count; $k++) {
                    $sum += $turned[$k][$i] * $turned[$k][$j];
                }
                $line[] = $sum;
            }
            $inverse[] = $line;
        }
        $full = [];
        for ($i = 0; $i < $count; $i++) {
            $line = [];
            for ($j = 0; $j < $count; $j++) {
                $line[] = $j <= $i ? $inverse[$i][$j] : $inverse[$j][$i];
            }
            $full[] = $line;
        }

        return $full;
    }
}

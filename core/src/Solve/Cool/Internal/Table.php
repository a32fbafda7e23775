<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Cool\Internal;

use Closure;

/** What follows from a temperature, worked out once every two kelvin: the cost of a film law is paid once. */
final class Table
{
    public const STEP_K = 2.0;

    /** @var list<float> from the first temperature on */
    public array $values = [];

    /**
     * @param  Closure(float): float  $of  a temperature in °C
     * @param  float  $firstC  below all that happens
     */
    public function __construct(private readonly Closure $of, private readonly float $firstC) {}

    /** Makes it reach to a temperature and a step beyond. */
    public function until(float $celsius): void
    {
        $count = (int) ceil(($celsius - $this->firstC) / self::STEP_K) + 2;
        for ($i = count($this->values); $i < $count; $i++) {
            $this->values[] = ($this->of)($this->firstC + $i * self::STEP_K);
        }
    }
}

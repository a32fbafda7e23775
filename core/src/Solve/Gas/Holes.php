<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Gas;

/** The holes that argon goes out by: vents, and joints that are open still. */
final readonly class Holes
{
    /**
     * @param  list<float>  $mm  of each vent
     * @param  float  $leaksMm2  open joints
     */
    private function __construct(public array $mm, private float $leaksMm2) {}

    /**
     * Of the sizes that are permitted those of least area in all that keep the pressure; where none do, the largest.
     *
     * @param  non-empty-list<list<float>>  $sizes  of each vent
     */
    public static function of(array $sizes, float $leaksMm2, PurgeRules $rules): self
    {
        $best = $largest = null;
        $combined = [[]];
        foreach ($sizes as $ofOne) {
            $next = [];
            foreach ($combined as $some) {
                foreach ($ofOne as $mm) {
                    $next[] = [...$some, $mm];
                }
            }
            $combined = $next;
        }
        foreach ($combined as $mm) {
            $holes = new self($mm, $leaksMm2);
            if ($largest === null || $holes->areaMm2() > $largest->areaMm2()) {
                $largest = $holes;
            }
            $keeps = $holes->pressurePa($rules->fillFlow) <= $rules->pressurePa * (1 + 1e-9);
            if ($keeps && ($best === null || $holes->areaMm2() < $best->areaMm2())) {
                $best = $holes;
            }
        }

        return $best ?? $largest ?? new self([], $leaksMm2);
    }

    public function areaMm2(): float
    {
        return $this->leaksMm2 + array_sum(array_map(static fn (float $mm): float => M_PI / 4 * $mm * $mm, $this->mm));
    }

    public function pressurePa(float $flowLMin): float
    {
        return Filling::pressurePa($flowLMin, $this->areaMm2());
    }

    /** L/min at which the pressure comes to a limit. */
    public function mostFlow(float $pressurePa): float
    {
        return Filling::flowLMin($pressurePa, $this->areaMm2());
    }
}

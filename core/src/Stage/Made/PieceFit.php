<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Made;

/** How a piece that was made does as a piece of another plan. */
final readonly class PieceFit
{
    /**
     * @param  list<Difference>  $never  what can no longer be made of it
     * @param  list<Difference>  $otherwise  what may be worked on
     * @param  float  $offMm  longer than it should be; shorter if negative; 0 where it is as near as anybody saws
     */
    public function __construct(public array $never, public array $otherwise, public float $offMm) {}

    public function isSame(): bool
    {
        return $this->never === [] && $this->otherwise === [];
    }

    public function has(DifferenceKind $kind): bool
    {
        return in_array($kind, array_column([...$this->never, ...$this->otherwise], 'kind'), true);
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Run;

/** What of a run is to stay as it is. Values are counted straight, turn, angle of each bend, then the last straight. */
final readonly class Locks
{
    /** @param  list<int>  $held */
    public function __construct(private array $held = []) {}

    /** @param  list<int>  $more */
    public function with(array $more): self
    {
        return new self([...$this->held, ...$more]);
    }

    public function isFree(int $value): bool
    {
        return ! in_array($value, $this->held, true);
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Search;

use UpsweptBead\Core\Solve\Route\Problem\LengthGroup;

/**
 * The groups of tubes that must have one length, by port. A port belongs to one group at most; the first that names
 * it.
 */
final readonly class Groups
{
    /** @var array<string, int> */
    private array $byPort;

    /** @param  list<LengthGroup>  $all */
    public function __construct(public array $all)
    {
        $byPort = [];
        foreach ($all as $i => $group) {
            foreach ($group->runners as $port) {
                $byPort[$port] ??= $i;
            }
        }
        $this->byPort = $byPort;
    }

    public function of(string $port): ?int
    {
        return $this->byPort[$port] ?? null;
    }

    public function isFree(int $group): bool
    {
        return $this->all[$group]->targetMm === null;
    }

    public function tolerance(int $group, float $commonMm): float
    {
        return $this->all[$group]->toleranceMm($commonMm);
    }

    /**
     * Gives the common length of each group: its target, or the middle of what its tubes have.
     *
     * @param  list<Way>  $ways
     * @return list<float>
     */
    public function commons(array $ways): array
    {
        $commons = [];
        foreach ($this->all as $i => $group) {
            $lengths = array_map(
                static fn (Way $way): float => $way->length,
                array_filter($ways, fn (Way $way): bool => $this->of($way->span->port->id) === $i),
            );
            $commons[] = $group->targetMm ?? ($lengths === [] ? 1.0 : (min($lengths) + max($lengths)) / 2);
        }

        return $commons;
    }

    /**
     * By how many mm the worst length lies outside its window.
     *
     * @param  list<Way>  $ways
     */
    public function breach(array $ways): float
    {
        $worst = 0.0;
        foreach ($this->commons($ways) as $i => $common) {
            // The middle of least and longest is not quite the best common length, as the window grows with it.
            foreach ($ways as $way) {
                if ($this->of($way->span->port->id) === $i) {
                    $worst = max($worst, abs($way->length - $common) - $this->tolerance($i, $common));
                }
            }
        }

        return $worst;
    }
}

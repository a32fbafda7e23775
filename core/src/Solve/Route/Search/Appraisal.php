<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Search;

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Route\Looks\Mirror;
use UpsweptBead\Core\Solve\Route\Looks\Row;
use UpsweptBead\Core\Solve\Route\Problem\Inlet;
use UpsweptBead\Core\Solve\Route\Problem\ObjectiveWeights;
use UpsweptBead\Core\Solve\Route\Problem\Port;
use UpsweptBead\Core\Solve\Route\Problem\RouteProblem;

/** What a whole set costs: its tubes one by one, and how they look together as far as that is to count. */
final readonly class Appraisal
{
    /** Steps along a tube between the places that are looked at. */
    private const STEPS = 24;

    private ObjectiveWeights $weights;

    private Row $row;

    public ?Mirror $mirror;

    /** @var list<float> */
    private array $odMm;

    public function __construct(RouteProblem $problem)
    {
        $this->weights = $problem->rules->weights;
        $this->row = Row::of(array_map(static fn (Port $port): Vector => $port->at, $problem->ports));
        $this->odMm = array_map(static fn (Port $port): float => $port->tube->odMm, $problem->ports);
        $ends = [];
        foreach ($problem->collectors as $collector) {
            array_push($ends, ...array_map(static fn (Inlet $inlet): Vector => $inlet->at, $collector->inlets));
        }
        $this->mirror =
            $this->weights->perMmOffMirror > 0.0
                ? Mirror::of(
                    array_map(static fn (Port $port): array => [$port->at, $port->direction], $problem->ports),
                    $ends,
                )
                : null;
    }

    /** @param  list<Way>  $ways */
    public function of(array $ways): float
    {
        return self::tubes($ways) + $this->looks($ways);
    }

    /**
     * Never more than the whole.
     *
     * @param  list<Way>  $ways
     */
    public static function tubes(array $ways): float
    {
        return array_sum(array_map(static fn (Way $way): float => $way->cost, $ways));
    }

    /** Says whether the tubes together count for more than one by one. */
    public function looksCount(): bool
    {
        return $this->mirror !== null || $this->weights->perMmUneven > 0.0 && count($this->row->pairs) > 1;
    }

    /** @param  list<Way>  $ways */
    private function looks(array $ways): float
    {
        if (! $this->looksCount()) {
            return 0.0;
        }
        $lines = array_map(static fn (Way $way): array => $way->evenly(self::STEPS), $ways);

        return $this->weights->perMmUneven * ($this->row->gapSpreadMm($lines, $this->odMm) ?? 0.0)
            + $this->weights->perMmOffMirror * ($this->mirror?->errorMm($lines) ?? 0.0);
    }
}

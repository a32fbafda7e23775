<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Search;

use UpsweptBead\Core\Solve\Route\Looks\Mirror;
use UpsweptBead\Core\Solve\Route\Problem\InletRing;
use UpsweptBead\Core\Solve\Route\Problem\Port;
use UpsweptBead\Core\Solve\Route\Problem\RouteProblem;

/** Who may go where: every permitted span of a problem, and the ways of sharing out the inlets. */
final readonly class InletSharing
{
    /** The shortest a tube may well be: the way across and so much, as a share and in mm. */
    private const LEAST_TIMES = 1.02;

    private const LEAST_MORE = 10.0;

    /** @var list<array<int, Span>> by port, by inlet of all collectors together */
    public array $spans;

    /** @var list<list<int>> by collector, the ports whose tubes go there */
    public array $groups;

    /** @var list<list<list<int>>> by collector, the inlets of its runners */
    public array $places;

    public function __construct(private RouteProblem $problem)
    {
        [$this->spans, $this->places] = self::lay($problem);
        $ids = array_map(static fn (Port $port): string => $port->id, $problem->ports);
        $this->groups = array_map(
            static fn (InletRing $one): array => array_keys(array_intersect($ids, $one->runners)),
            $problem->collectors,
        );
    }

    /** @return array<array-key, list<Span>> by port id */
    public function byPort(): array
    {
        $byPort = [];
        foreach ($this->problem->ports as $i => $port) {
            $byPort[$port->id] = array_values($this->spans[$i]);
        }

        return $byPort;
    }

    /**
     * About the least length that all of some tubes can have: the longest of what each needs to its nearest inlet. In
     * mm.
     *
     * @param  list<string>  $runners
     */
    public function leastCommon(array $runners): float
    {
        $least = 0.0;
        foreach ($this->problem->ports as $i => $port) {
            if (in_array($port->id, $runners, true)) {
                $each = array_map(
                    static fn (Span $span): float => $span->across->length() * self::LEAST_TIMES + self::LEAST_MORE,
                    $this->spans[$i],
                );
                $least = max($least, $each === [] ? 0.0 : array_sum($each) / count($each));
            }
        }

        return $least;
    }

    /**
     * How far, in all, inlets lie from the images of those of the other bank, mm.
     *
     * @param  list<int>  $inlets  by port
     */
    public function offMirror(Mirror $mirror, array $inlets): float
    {
        $off = 0.0;
        foreach ($mirror->partner as $i => $j) {
            $off += $mirror
                ->image($this->spans[$i][$inlets[$i]]->inlet->at)
                ->distanceTo($this->spans[$j][$inlets[$j]]->inlet->at);
        }

        return $off;
    }

    /**
     * Some or all of the permitted ways of sharing out the inlets.
     *
     * @return list<list<int>> for each, the inlet of every port
     */
    public function assignments(Chance $chance, int $most): array
    {
        $all = [[]];
        foreach ($this->places as $c => $places) {
            $longer = [];
            $some = count($places) > $most ? array_slice($chance->shuffled($places), 0, $most) : $places;
            foreach ($all as $partial) {
                foreach ($some as $place) {
                    $longer[] = [...$partial, $c => $place];
                }
            }
            $all = count($longer) > $most ? array_slice($chance->shuffled($longer), 0, $most) : $longer;
        }
        $assignments = [];
        foreach ($all as $places) {
            $inlets = [];
            foreach ($places as $c => $place) {
                $inlets += $this->inletsOf($c, $place);
            }
            ksort($inlets);
            $assignments[] = array_values($inlets);
        }

        return $assignments;
    }

    /**
     * @param  list<int>  $place  one of a collector's, as in places
     * @return array<int, int> by port, the inlet among those of all collectors
     */
    public function inletsOf(int $collector, array $place): array
    {
        $first = 0;
        foreach (array_slice($this->problem->collectors, 0, $collector) as $before) {
            $first += count($before->inlets);
        }
        $ids = array_map(static fn (Port $port): string => $port->id, $this->problem->ports);
        $inlets = [];
        foreach ($this->problem->collectors[$collector]->runners as $k => $runner) {
            $inlets[(int) array_search($runner, $ids, true)] = $first + $place[$k];
        }

        return $inlets;
    }

    /** Says whether a collector may be entered in more ways than are known here. */
    public function isCutShort(int $collector): bool
    {
        return count($this->places[$collector]) >= InletRing::MOST;
    }

    /** @return array{list<array<int, Span>>, list<list<list<int>>>} */
    private static function lay(RouteProblem $problem): array
    {
        $spans = array_fill(0, count($problem->ports), []);
        $places = [];
        $first = 0;
        $id = 0;
        foreach ($problem->collectors as $collector) {
            $places[] = $permitted = $collector->assignments();
            foreach ($collector->runners as $k => $runner) {
                foreach ($problem->ports as $i => $port) {
                    if ($port->id !== $runner) {
                        continue;
                    }
                    foreach ($collector->inlets as $n => $inlet) {
                        if (in_array($n, array_column($permitted, $k), true)) {
                            $spans[$i][$first + $n] = new Span($id++, $port, $inlet, $collector, $problem->rules);
                        }
                    }
                }
            }
            $first += count($collector->inlets);
        }

        return [$spans, $places];
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Gas\Internal;

use UpsweptBead\Core\Solve\Gas\Assembly;
use UpsweptBead\Core\Solve\Gas\DeadLeg;
use UpsweptBead\Core\Solve\Gas\GasJoint;
use UpsweptBead\Core\Solve\Gas\Held;
use UpsweptBead\Core\Solve\Gas\Opening;

/** The middle lines of an assembly as a graph: what lies on a simple way from the feed to an outlet is flushed. */
final class FlushedLines
{
    /** So many ways are gone at most; an assembly has few. */
    private const MOST_WAYS = 20000;

    /** A leg is flagged from so many bores on. */
    private const LONG_BORES = 3.0;

    /** @var list<array{string, string, string, float, float}> two places, tube, from and until (mm) */
    private array $edges = [];

    /** @var array<string, list<int>> edges by place */
    private array $beside = [];

    /** @var array<string, string> what a place is called; '' for an end */
    private array $names = [];

    /** @var array<string, true> places at which air goes out; by an open joint some of it goes on beyond */
    private array $outlets = [];

    /** @var array<string, true> those of them that are open joints */
    private array $open = [];

    private int $ways = 0;

    /** @param  list<GasJoint>  $leaks */
    public function __construct(private readonly Assembly $assembly, array $leaks)
    {
        $ends = [];
        foreach ($assembly->nodes as $node) {
            $this->names["node $node->id"] = $node->id;
            foreach ($node->ends as [$tube, $isStart]) {
                $ends[$tube][$isStart ? 0 : 1] = "node $node->id";
            }
        }
        foreach ($assembly->branches as $one) {
            $this->names["branch $one->id"] = $one->id;
            $ends[$one->tube][$one->isStart ? 0 : 1] = "branch $one->id";
        }
        foreach ($assembly->tubes as $tube) {
            $cuts = [];
            foreach ($assembly->branches as $one) {
                if ($one->on === $tube->id) {
                    $cuts[] = [$one->stationMm, "branch $one->id"];
                }
            }
            foreach ($leaks as $joint) {
                if ($joint->tube === $tube->id) {
                    $cuts[] = [$joint->stationMm, "joint $joint->id"];
                    $this->names["joint $joint->id"] = $joint->id;
                    $this->outlets["joint $joint->id"] = $this->open["joint $joint->id"] = true;
                }
            }
            usort($cuts, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
            $at = $ends[$tube->id][0] ?? "end $tube->id start";
            $gone = 0.0;
            foreach ($cuts as [$station, $here]) {
                $this->edge($at, $here, $tube->id, $gone, $station);
                [$at, $gone] = [$here, $station];
            }
            $this->edge($at, $ends[$tube->id][1] ?? "end $tube->id end", $tube->id, $gone, $tube->lengthMm);
        }
    }

    /** @return list<DeadLeg> long enough to be flagged */
    public function dead(Held $held): array
    {
        foreach ($held->vents as $vent) {
            $this->outlets[self::end($vent->tube, $vent->isStart)] = true;
        }
        $feed = self::end($held->feed->tube, $held->feed->isStart);
        $flushed = [];
        $this->go($feed, [$feed => true], [], $flushed);
        $places = [$feed => true];
        foreach (array_keys($flushed) as $edge) {
            foreach ([$this->edges[$edge][0], $this->edges[$edge][1]] as $place) {
                $places[$place] = true;
            }
        }
        $legs = [];
        foreach (array_keys($places) as $place) {
            foreach ($this->beside[$place] ?? [] as $edge) {
                if (! isset($flushed[$edge])) {
                    $legs[] = $this->leg("$place", $edge, $places);
                }
            }
        }

        return array_values(array_filter(
            $legs,
            fn (DeadLeg $one): bool => $one->lengthMm
                > self::LONG_BORES * 2 * $this->assembly->tubes[$one->tube]->radiusMm,
        ));
    }

    /**
     * @param  array<string, true>  $flushed  places on the way
     */
    private function leg(string $from, int $edge, array $flushed): DeadLeg
    {
        $parts = [];
        $longest = $this->farthest($from, $edge, $flushed, [$from => true], $parts);

        return new DeadLeg($this->edges[$edge][2], $this->names[$from] ?? '', $longest, array_values($parts));
    }

    /**
     * @param  array<string, true>  $flushed
     * @param  array<string, true>  $seen
     * @param  array<int, array{string, float, float}>  $parts
     */
    private function farthest(string $from, int $edge, array $flushed, array $seen, array &$parts): float
    {
        [$a, $b, $tube, $start, $until] = $this->edges[$edge];
        $parts[$edge] = [$tube, $start, $until];
        $other = $a === $from ? $b : $a;
        $more = 0.0;
        if (! isset($flushed[$other]) && ! isset($seen[$other])) {
            $seen[$other] = true;
            foreach ($this->beside[$other] as $next) {
                if ($next !== $edge) {
                    $more = max($more, $this->farthest($other, $next, $flushed, $seen, $parts));
                }
            }
        }

        return $until - $start + $more;
    }

    /**
     * @param  array<string, true>  $seen
     * @param  list<int>  $way
     * @param  array<int, true>  $flushed
     */
    private function go(string $place, array $seen, array $way, array &$flushed): void
    {
        if (++$this->ways > self::MOST_WAYS) {
            return;
        }
        if (isset($this->outlets[$place]) && $way !== []) {
            $flushed += array_fill_keys($way, true);
            if (! isset($this->open[$place])) {
                return;
            }
        }
        foreach ($this->beside[$place] ?? [] as $edge) {
            $other = $this->edges[$edge][0] === $place ? $this->edges[$edge][1] : $this->edges[$edge][0];
            if (! isset($seen[$other])) {
                $this->go($other, $seen + [$other => true], [...$way, $edge], $flushed);
            }
        }
    }

    /**
     * What argon comes to only past an open joint.
     *
     * @return array{list<array{string, float, float}>, list<string>} tubes of it, from and until (mm), and its outlets: ends by
     *                                                               tube and side, open joints
     */
    public function beyond(GasJoint $joint, Opening $feed): array
    {
        $cut = "joint $joint->id";
        $reached = [$cut => true];
        $this->reach(self::end($feed->tube, $feed->isStart), $reached);
        $parts = $outlets = [];
        foreach ($this->edges as [$a, $b, $tube, $from, $until]) {
            $isFar = ! isset($reached[$a]) || ! isset($reached[$b]);
            if ($isFar) {
                $parts[] = [$tube, $from, $until];
                array_push($outlets, ...array_diff([$a, $b], [$cut]));
            }
        }

        $out = array_filter($outlets, fn (string $one): bool => isset($this->outlets[$one]));

        return [$parts, array_values(array_unique($out))];
    }

    /** @param  array<string, true>  $reached */
    private function reach(string $place, array &$reached): void
    {
        if (isset($reached[$place])) {
            return;
        }
        $reached[$place] = true;
        foreach ($this->beside[$place] ?? [] as $edge) {
            $this->reach($this->edges[$edge][0], $reached);
            $this->reach($this->edges[$edge][1], $reached);
        }
    }

    private function edge(string $a, string $b, string $tube, float $from, float $until): void
    {
        $this->edges[] = [$a, $b, $tube, $from, $until];
        $this->beside[$a][] = count($this->edges) - 1;
        $this->beside[$b][] = count($this->edges) - 1;
    }

    public static function end(string $tube, bool $isStart): string
    {
        return "end $tube ".($isStart ? 'start' : 'end');
    }
}

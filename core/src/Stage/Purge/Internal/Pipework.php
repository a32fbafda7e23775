<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Purge\Internal;

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Gas\Assembly;
use UpsweptBead\Core\Solve\Gas\Inside;
use UpsweptBead\Core\Solve\Gas\Node;
use UpsweptBead\Core\Solve\Gas\TubeBranch;
use UpsweptBead\Core\Solve\Gas\TubeInside;
use UpsweptBead\Core\Stage\Layout\RoutedRun;
use UpsweptBead\Core\Stage\Merge\Branch as Saddled;
use UpsweptBead\Core\Stage\Merge\BuiltCollector;
use UpsweptBead\Core\Stage\Merge\Placement;
use UpsweptBead\Core\Stage\Purge\Mouth;

/** The insides of what lies on the bench, put together tube by tube: stretches of runs, collectors, what joins them. */
final class Pipework
{
    /** Slices of a collector by itself (mm). */
    private const STEP_MM = 8.0;

    /** An end of a stretch this near (mm) to the end of its run is that. */
    private const NEAR_MM = 0.5;

    /** @var array<string, TubeInside> */
    private array $tubes = [];

    /** @var array<string, list<string>> what stands there, by tube */
    private array $names = [];

    /** @var array<string, array{Mouth, Mouth}> both ends of each tube */
    private array $ends = [];

    /** @var list<Node> */
    private array $nodes = [];

    /** @var list<TubeBranch> */
    private array $branches = [];

    /** @var array<string, Joined> by the tube it was asked for by */
    private array $around = [];

    /** @var array<string, float> what each collector holds beyond its straight tubes, by its outlet */
    private array $moreMl = [];

    /**
     * A stretch of a run (mm), under the name of what it is.
     *
     * @param  list<string>  $marks  of its pieces, or its letter
     * @param  list<Saddled>  $saddled  ends of it that stand on a tube that is there too: they reach into its middle
     */
    public function run(
        RoutedRun $routed,
        string $name,
        float $fromMm,
        float $toMm,
        array $marks,
        array $saddled = [],
    ): void {
        $parts = $behind = [];
        foreach ($saddled as $one) {
            $axis = $one->axis();
            if ($axis !== null && $one->isStart) {
                $parts[] = [$one->lowMm, $axis->at, $axis->forward, null];
            } elseif ($axis !== null) {
                $end = $axis->advanced($one->lowMm);
                $behind[] = [$one->lowMm, $end->at, $end->forward->times(-1), null];
            }
        }
        foreach ($routed->line->segments as $one) {
            [$from, $to] = [max($fromMm, $one->fromMm), min($toMm, $one->toMm())];
            if ($to - $from < 1e-6) {
                continue;
            }
            $start = $one->start;
            $frame = $one->frameAt($from);
            $parts[] = [
                $to - $from,
                $frame->at,
                $frame->forward,
                $one->bendIndex === null ? null : $start->at->plus($start->reference->times($one->clrMm)),
            ];
        }
        $spec = $routed->spec;
        $isFirst = $fromMm < self::NEAR_MM;
        $isLast = $toMm > $routed->line->lengthMm - self::NEAR_MM;
        [$start, $end] = [$routed->line->frameAt($fromMm), $routed->line->frameAt($toMm)];
        $boreMm = $routed->tube->idMm();
        $this->add($name, $marks, TubeInside::ofParts($name, $boreMm, [...$parts, ...$behind]), [
            $isFirst ? "the start of $name ({$spec->start->name})" : "the upstream end of $name",
            $start->at, $start->forward,
            $isLast ? "the far end of $name ({$spec->end->name})" : "the downstream end of $name",
            $end->at, $end->forward,
        ]);
    }

    /**
     * From each mouth straight to where its tubes meet, and out from there; what it holds beyond that is added, since
     * its tubes really meet further on and are pressed round.
     */
    public function collector(BuiltCollector $one): void
    {
        $letter = $one->build->letter;
        $outlet = $one->outlet();
        $outMm = $one->sizes->outlet->idMm();
        $hub = $outlet->at->minus($outlet->forward->times($outMm / 2));
        $meet = [["$letter out", true]];
        for ($i = 0; $i < $one->build->inlets; $i++) {
            $inlet = $one->inlet($i);
            $way = $hub->minus($inlet->at);
            $id = "$letter ".($i + 1);
            $bore = TubeInside::ofParts($id, $one->tube()->idMm(), [[$way->length(), $inlet->at, $way->unit(), null]]);
            $this->add($id, [$letter], $bore, [
                'mouth '.$one->mark($i), $inlet->at, $inlet->forward, '', $hub, $way->unit(),
            ]);
            $meet[] = [$id, false];
        }
        $out = TubeInside::ofParts("$letter out", $outMm, [[$outMm / 2, $hub, $outlet->forward, null]]);
        $this->add("$letter out", [$letter], $out, [
            '', $hub, $outlet->forward, "the outlet of $letter", $outlet->at, $outlet->forward,
        ]);
        $this->nodes[] = new Node("hub of $letter", $hub, $meet, $outMm / 2);
        $alone = (new Assembly($this->tubes, $this->nodes, []))->joinedTo("$letter out");
        $this->moreMl["$letter out"] = 1000 * $one->volumeL() - (new Inside($alone, [], [], self::STEP_MM))->volumeMl();
    }

    /** Ends that are fitted to each other are one inside. */
    public function join(Placement $placement): void
    {
        foreach ($placement->collectors->all as $one) {
            $letter = $one->build->letter;
            foreach ($one->spec->runs as $place => $run) {
                $this->meet($run, false, "$letter ".($place + 1), true, $one->inlet($place)->at);
            }
            if ($one->build->into !== null) {
                $this->meet("$letter out", false, $one->build->into, true, $one->outlet()->at);
            }
        }
        foreach ($placement->branches as $one) {
            $this->stand($one);
        }
    }

    /** What is joined to a tube. */
    public function around(string $tube): Joined
    {
        return $this->around[$tube] ??= $this->joinedTo($tube);
    }

    private function joinedTo(string $tube): Joined
    {
        $assembly = (new Assembly($this->tubes, $this->nodes, $this->branches))->joinedTo($tube);
        $closed = $mouths = [];
        foreach ($assembly->nodes as $node) {
            foreach ($node->ends as [$id, $isStart]) {
                $closed[self::end($id, $isStart)] = true;
            }
        }
        foreach ($assembly->branches as $one) {
            $closed[self::end($one->tube, $one->isStart)] = true;
        }
        foreach (array_keys($assembly->tubes) as $id) {
            foreach ($this->ends[$id] as $mouth) {
                if (! isset($closed[$mouth->id])) {
                    $mouths[$mouth->id] = $mouth;
                }
            }
        }
        $names = array_values(array_unique(array_merge(...array_values(
            array_intersect_key($this->names, $assembly->tubes),
        ))));

        return new Joined(
            $assembly,
            $names,
            $mouths,
            'inside-'.hash('xxh128', serialize([$assembly, array_keys($mouths)])),
            array_sum(array_intersect_key($this->moreMl, $assembly->tubes)),
        );
    }

    public static function end(string $tube, bool $isStart): string
    {
        return $tube.($isStart ? '.start' : '.end');
    }

    /**
     * @param  list<string>  $marks
     * @param  array{string, Vector, Vector, string, Vector, Vector}  $ends  name, place and flow of both
     */
    private function add(string $id, array $marks, TubeInside $bore, array $ends): void
    {
        [$startName, $startAt, $startFlow, $endName, $endAt, $endFlow] = $ends;
        $wide = 2 * $bore->radiusMm;
        $this->tubes[$id] = $bore;
        $this->names[$id] = $marks;
        $this->ends[$id] = [
            new Mouth(self::end($id, true), $startName, $id, true, $startAt, $startFlow, $wide),
            new Mouth(self::end($id, false), $endName, $id, false, $endAt, $endFlow, $wide),
        ];
    }

    private function meet(string $tube, bool $isStart, string $other, bool $isOtherStart, Vector $at): void
    {
        if (isset($this->tubes[$tube], $this->tubes[$other])) {
            $radius = max($this->tubes[$tube]->radiusMm, $this->tubes[$other]->radiusMm);
            $this->nodes[] = new Node("$tube to $other", $at, [[$tube, $isStart], [$other, $isOtherStart]], $radius);
        }
    }

    private function stand(Saddled $branch): void
    {
        $on = $branch->spec->on;
        if (isset($this->tubes[$branch->letter], $this->tubes[$on])) {
            $this->branches[] = new TubeBranch(
                $branch->letter, $on, $branch->spec->station->mm, $branch->letter, $branch->isStart,
            );
        }
    }
}

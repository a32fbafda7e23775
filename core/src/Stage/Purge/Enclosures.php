<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Purge;

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Stage\Cut\CutPlan;
use UpsweptBead\Core\Stage\Fit\FitPlan;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Joint\JointType;
use UpsweptBead\Core\Stage\Layout\Layout;
use UpsweptBead\Core\Stage\Layout\RoutedRun;
use UpsweptBead\Core\Stage\Merge\Branch;
use UpsweptBead\Core\Stage\Merge\BuiltCollector;
use UpsweptBead\Core\Stage\Purge\Internal\Joined;
use UpsweptBead\Core\Stage\Purge\Internal\KnownLayouts;
use UpsweptBead\Core\Stage\Purge\Internal\Pipework;
use UpsweptBead\Core\Stage\Purge\Internal\Ways;
use UpsweptBead\Core\Stage\Step\StepKind;

/**
 * What is closed off and filled for each joint: all whose inside is joined to it in what lies on the bench when it is
 * welded. A bung's piece is loose, a run by itself is a run, and what is fitted together is one.
 */
final readonly class Enclosures
{
    /** A joint this near (mm) to the end of a stretch is of it. */
    private const NEAR_MM = 1.0;

    private KnownLayouts $laid;

    public function __construct(private Layout $layout, private CutPlan $cut, private FitPlan $fit)
    {
        $this->laid = new KnownLayouts;
    }

    /** The same for joints that have the same enclosure, without working it out. */
    public function group(Joint $joint): string
    {
        $isSeal = $joint->type === JointType::FlangeSeal;
        $standing = $this->fit->standing[StepKind::Weld->key($joint->id)] ?? [];
        $isWhole = in_array($joint->run, $standing, true) || ! in_array($joint->between->name, $standing, true);
        $routed = $this->layout->run($joint->run);
        $half = $routed !== null && $joint->seam->stationMm < $routed->line->lengthMm / 2 ? 'start' : 'end';

        return implode('+', [
            $joint->run, $isWhole ? $half : $joint->id, $isSeal ? 'seal' : '', ...$standing,
        ]);
    }

    public function of(Joint $joint): Enclosure
    {
        $collector = $this->layout->placement->collectors->find($joint->run);
        if ($collector !== null) {
            return self::ofCollector($collector, $joint->type === JointType::FlangeSeal);
        }
        $routed = $this->layout->run($joint->run)
            ?? throw new \LogicException("Joint $joint->id is of no run that has a route.");
        $standing = $this->standing($joint);
        [$pipes, $stretches] = $this->laid->of($standing, fn (): array => $this->laid($standing));
        foreach ($stretches as [$letter, $name, $fromMm, $toMm]) {
            $stationMm = $joint->seam->stationMm;
            $isIn = $stationMm >= $fromMm - self::NEAR_MM && $stationMm <= $toMm + self::NEAR_MM;
            if ($letter === $joint->run && $isIn) {
                $runs = array_values(array_unique(array_column($stretches, 0)));
                $ways = count($runs) > 1
                    ? $this->waysOfSet($runs, $standing)
                    : Ways::ofTube($routed->line, $fromMm, $toMm);

                return self::around($pipes, $standing, $routed, $name, $joint, $ways);
            }
        }

        // It does not lie there, as where somebody moved it to before its pieces are fitted.
        return $this->alone($routed, $joint);
    }

    /** @return list<string> what lies there when a joint is welded; a bought collector has no piece by which it would be named */
    private function standing(Joint $joint): array
    {
        $standing = $this->fit->standing[StepKind::Weld->key($joint->id)] ?? [$joint->run];
        foreach ($this->layout->placement->collectors->all as $one) {
            if (! $one->build->make->isMade() && self::stands($one, $standing)) {
                $standing[] = $one->build->letter;
            }
        }

        return $standing;
    }

    /**
     * Of a joint's run by itself, or its loose piece: near enough where what is fitted together would take too long.
     */
    public function apart(Joint $joint): Enclosure
    {
        $routed = $this->layout->run($joint->run);

        return $routed === null ? $this->of($joint) : $this->alone($routed, $joint);
    }

    /** A collector by itself stands on its inlets, which are dammed, with its outlet up. */
    private static function ofCollector(BuiltCollector $collector, bool $isEntered): Enclosure
    {
        $pipes = new Pipework;
        $pipes->collector($collector);
        $inside = $pipes->around("{$collector->build->letter} out");

        return new Enclosure(
            $inside->names,
            $collector->tube(),
            $inside,
            ['Stand it on its inlets, the outlet up.' => $collector->outlet()->forward],
            $isEntered ? self::outletOf($inside) : null,
            $isEntered,
        );
    }

    /** The mouth of a collector that is no inlet. */
    private static function outletOf(Joined $inside): ?string
    {
        foreach ($inside->mouths as $id => $mouth) {
            if (! $mouth->isStart) {
                return "$id";
            }
        }

        return null;
    }

    private function alone(RoutedRun $routed, Joint $joint): Enclosure
    {
        $pipes = new Pipework;
        $pipes->run($routed, $joint->run, 0.0, $routed->line->lengthMm, [$joint->run]);

        $ways = Ways::ofTube($routed->line, 0.0, $routed->line->lengthMm);

        return self::around($pipes, [$joint->run], $routed, $joint->run, $joint, $ways);
    }

    /**
     * @param  list<string>  $letters  of the runs that stand together
     * @param  list<string>  $standing
     * @return array<string, Vector>
     */
    private function waysOfSet(array $letters, array $standing): array
    {
        $in = $out = $ends = [];
        foreach ($this->layout->runs as $routed) {
            if (in_array($routed->spec->letter, $letters, true)) {
                $in[] = $routed->line->start->forward;
                $ends[] = $routed->line->end->forward;
            }
        }
        foreach ($this->layout->placement->collectors->all as $one) {
            if (self::stands($one, $standing)) {
                $out[] = $one->outlet()->forward;
            }
        }

        return Ways::ofSet($in, $out === [] ? $ends : $out);
    }

    /**
     * @param  list<string>  $standing
     * @return array{Pipework, list<array{string, string, float, float}>} with the stretches of runs: letter, name, from, until
     */
    private function laid(array $standing): array
    {
        $placement = $this->layout->placement;
        $pipes = new Pipework;
        $all = [];
        foreach ($this->layout->runs as $routed) {
            $letter = $routed->spec->letter;
            $saddled = array_values(array_filter(
                $placement->branches,
                static fn (Branch $one): bool => $one->letter === $letter && in_array($one->spec->on, $standing, true),
            ));
            foreach ($this->stretches($routed, $standing) as [$name, $fromMm, $toMm, $marks]) {
                $pipes->run($routed, $name, $fromMm, $toMm, $marks, $name === $letter ? $saddled : []);
                $all[] = [$letter, $name, $fromMm, $toMm];
            }
        }
        foreach ($placement->collectors->all as $one) {
            if (self::stands($one, $standing)) {
                $pipes->collector($one);
            }
        }
        $pipes->join($placement);

        return [$pipes, $all];
    }

    /**
     * One that is made is there as soon as a piece of it is; a bought one as soon as two runs go on together.
     *
     * @param  list<string>  $standing
     */
    private static function stands(BuiltCollector $collector, array $standing): bool
    {
        $marks = array_map($collector->mark(...), range(0, $collector->build->inlets - 1));

        return array_intersect($standing, [$collector->build->letter, ...$marks]) !== []
            || count(array_intersect($standing, $collector->spec->runs)) > 1;
    }

    /**
     * @param  list<string>  $standing
     * @return list<array{string, float, float, list<string>}> pieces of a run that hang together: their name, from and until
     *                                                        (mm), and their marks; of a whole run its letter
     */
    private function stretches(RoutedRun $routed, array $standing): array
    {
        $letter = $routed->spec->letter;
        if (in_array($letter, $standing, true)) {
            return [[$letter, 0.0, $routed->line->lengthMm, [$letter]]];
        }
        $all = [];
        foreach ($this->cut->piecesOf($letter) as $piece) {
            if (! in_array($piece->mark, $standing, true)) {
                continue;
            }
            $last = array_key_last($all);
            $span = $piece->span;
            if ($last !== null && abs($all[$last][1] - $span->fromMm) < self::NEAR_MM) {
                $all[$last] = [$all[$last][0], $span->toMm, [...$all[$last][2], $piece->mark]];
            } else {
                $all[] = [$span->fromMm, $span->toMm, [$piece->mark]];
            }
        }

        return array_map(static fn (array $one): array => [
            implode('–', array_unique([$one[2][0], $one[2][count($one[2]) - 1]])),
            $one[0],
            $one[1],
            $one[2],
        ], $all);
    }

    /**
     * @param  list<string>  $standing
     * @param  array<string, Vector>  $ways
     */
    private static function around(
        Pipework $pipes,
        array $standing,
        RoutedRun $routed,
        string $name,
        Joint $joint,
        array $ways,
    ): Enclosure {
        $inside = $pipes->around($name);
        $mouths = $inside->mouths;
        $isStart = $joint->seam->stationMm < $routed->line->lengthMm / 2;
        $entry = $joint->type === JointType::FlangeSeal ? $mouths[Pipework::end($name, $isStart)] ?? null : null;
        if ($entry !== null) {
            $ways = Ways::openTo($ways, $entry->flow->times($entry->isStart ? -1 : 1));
        }
        // What is fed and vented elsewhere would not flush this run.
        $own = $mouths[Pipework::end($name, $isStart)] ?? $mouths[Pipework::end($name, ! $isStart)] ?? null;
        $through = $entry ?? (count($inside->assembly->tubes) === 1 ? null : $own);

        return new Enclosure(
            $standing, $routed->tube, $inside, $ways, $through?->id, $entry !== null,
        );
    }
}

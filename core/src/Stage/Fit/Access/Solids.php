<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Fit\Access;

use UpsweptBead\Core\Base\Geometry\Clearance\Chords;
use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Solid\Box;
use UpsweptBead\Core\Base\Geometry\Solid\Capsule;
use UpsweptBead\Core\Base\Geometry\Solid\Cylinder;
use UpsweptBead\Core\Base\Geometry\Solid\HalfSpace;
use UpsweptBead\Core\Base\Geometry\Solid\KeepOut;
use UpsweptBead\Core\Base\Geometry\Solid\MeshSolid;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Job\Run\EndKind;
use UpsweptBead\Core\Job\Run\RunEnd;
use UpsweptBead\Core\Solve\Reach\Obstacle\Block;
use UpsweptBead\Core\Solve\Reach\Obstacle\Drum;
use UpsweptBead\Core\Solve\Reach\Obstacle\InTheWay;
use UpsweptBead\Core\Solve\Reach\Obstacle\Obstacle;
use UpsweptBead\Core\Solve\Reach\Obstacle\RoundBar;
use UpsweptBead\Core\Solve\Reach\Obstacle\Scan;
use UpsweptBead\Core\Solve\Reach\Obstacle\Wall;
use UpsweptBead\Core\Stage\Layout\CollectorLegs;
use UpsweptBead\Core\Stage\Layout\Layout;
use UpsweptBead\Core\Stage\Layout\PlacedPart;
use UpsweptBead\Core\Stage\Layout\RoutedRun;
use UpsweptBead\Core\Stage\Merge\BuiltCollector;
use UpsweptBead\Core\Stage\Merge\FlangePlan;

/**
 * What of a job stands in the way of a torch, by whose it is: every run with its flanges and rings, every collector
 * with its tubes. A tube is a row of round-ended bars along its centreline, a plate a box, a ring a drum.
 */
final readonly class Solids
{
    /**
     * A socket or the mouth of a collector reaches so many millimetres over the tube that stands in it; our own figure.
     */
    private const SLEEVE_MM = 50.0;

    /** The neck of a V-band ring between its seam and its lip (mm); our own figure. */
    private const NECK_MM = 5.0;

    /** @param  array<string, list<Obstacle>>  $all  by the letter of the run or collector, or the name of the part */
    private function __construct(public array $all) {}

    /** @param  list<PlacedPart>  $parts  bought ones, by their names */
    public static function of(Layout $layout, array $parts = []): self
    {
        $all = [];
        foreach ($layout->runs as $routed) {
            $all[$routed->spec->letter] = self::ofRun($routed, $layout);
        }
        $legs = CollectorLegs::of($layout->placement)->all;
        foreach ($layout->placement->collectors->all as $one) {
            $all[$one->build->letter] = self::ofCollector($one, $legs);
        }

        foreach ($parts as $part) {
            $name = $part->spec->name;
            $all[$name][] = new Drum(new Cylinder($name, $part->start->at, $part->end->at, $part->radiusMm));
        }

        return new self($all);
    }

    /**
     * All but what belongs to some.
     *
     * @param  list<string>  $letters
     * @return array<string, list<Obstacle>>
     */
    public function without(array $letters): array
    {
        return array_diff_key($this->all, array_flip($letters));
    }

    /**
     * What was surveyed round the job.
     *
     * @param  list<KeepOut>  $solids
     * @return list<InTheWay>
     */
    public static function ofVehicle(array $solids): array
    {
        return array_values(array_filter(array_map(static fn (KeepOut $one): ?InTheWay => match (true) {
            $one instanceof Box => new Block($one),
            $one instanceof Capsule => new RoundBar($one),
            $one instanceof Cylinder => new Drum($one),
            $one instanceof HalfSpace => new Wall($one),
            $one instanceof MeshSolid => new Scan($one),
            default => null,
        }, $solids)));
    }

    /** @return list<Obstacle> */
    private static function ofRun(RoutedRun $routed, Layout $layout): array
    {
        $letter = $routed->spec->letter;
        $line = $routed->line;
        $radiusMm = $routed->tube->odMm / 2;
        $solids = self::bars($letter, $line->chords($routed->tube->odMm, 0.0, Chords::COARSE)->marks(), $radiusMm);
        foreach ($layout->placement->flanges as $flange) {
            $isStart = $flange->id === "$letter.start";
            if ($isStart || $flange->id === "$letter.end") {
                $solids[] = self::flange($letter, $flange, $isStart ? $line->start : $line->end, $isStart);
            }
        }
        if ($routed->spec->end->kind === EndKind::Socket) {
            $solids[] = self::sleeve($letter, $line->end, $radiusMm, $routed->spec->end);
        }

        return $solids;
    }

    /**
     * @param  list<array{float, float, float, float}>  $marks  along a centreline
     * @return list<Obstacle>
     */
    private static function bars(string $id, array $marks, float $radiusMm): array
    {
        $bars = [];
        foreach (array_slice($marks, 1) as $i => [$x, $y, $z]) {
            [$from, $to] = [new Vector($marks[$i][0], $marks[$i][1], $marks[$i][2]), new Vector($x, $y, $z)];
            if ($from->distanceTo($to) > Chords::NOTHING) {
                $bars[] = new RoundBar(new Capsule($id, $from, $to, $radiusMm));
            }
        }

        return $bars;
    }

    /** A plate stands on the run's side of the port; of a ring the lip behind its neck. */
    private static function flange(string $id, FlangePlan $flange, Frame $at, bool $isStart): Obstacle
    {
        $way = $isStart ? 1.0 : -1.0;
        $thickMm = $flange->flange->thicknessMm;
        [$left, $lower, $right, $upper] = $flange->flange->outline->box();
        if ($flange->isBand()) {
            $lip = $at->advanced(-$way * self::NECK_MM)->at;

            return new Drum(new Cylinder($id, $lip, $at->advanced(-$way * $thickMm)->at, ($right - $left) / 2));
        }
        $across = $at->forward->cross($at->reference)->times(-1);
        $middle = $at->advanced($way * $thickMm / 2)->at
            ->plus($across->times(($left + $right) / 2))
            ->plus($at->reference->times(($lower + $upper) / 2));

        return new Block(new Box($id, $middle, [$across, $at->reference, $at->forward], [
            ($right - $left) / 2, ($upper - $lower) / 2, $thickMm / 2,
        ]));
    }

    private static function sleeve(string $id, Frame $mouth, float $radiusMm, RunEnd $end): Drum
    {
        $far = $mouth->advanced(self::SLEEVE_MM)->at;

        return new Drum(new Cylinder($id, $mouth->at, $far, $radiusMm + $end->wall->mm));
    }

    /**
     * @param  list<RoutedRun>  $legs  of all collectors, each named by its mark
     * @return list<Obstacle>
     */
    private static function ofCollector(BuiltCollector $collector, array $legs): array
    {
        $letter = $collector->build->letter;
        $solids = [];
        foreach ($legs as $leg) {
            if (! str_starts_with($leg->spec->letter, $letter)) {
                continue;
            }
            $radiusMm = $leg->tube->odMm / 2;
            $solids[] = new Drum(new Cylinder(
                $letter,
                $leg->line->start->at,
                $leg->line->start->advanced($radiusMm)->at,
                max($radiusMm, $collector->sizes->mouthOdMm / 2),
            ));
            // Round-ended bars begin so far inside that their ends do not stand out of the mouth.
            $marks = $leg->line->chords($leg->tube->odMm, 0.0, Chords::COARSE)->marks();
            $marks[0] = [...$leg->line->start->advanced($radiusMm)->at->toArray(), $radiusMm];
            array_push($solids, ...self::bars($letter, $marks, $radiusMm));
        }

        return $solids;
    }
}

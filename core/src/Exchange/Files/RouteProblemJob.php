<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

use UpsweptBead\Core\Base\Geometry\Solid\Box;
use UpsweptBead\Core\Base\Geometry\Solid\Capsule;
use UpsweptBead\Core\Base\Geometry\Solid\Cylinder;
use UpsweptBead\Core\Base\Geometry\Solid\HalfSpace;
use UpsweptBead\Core\Base\Geometry\Solid\KeepOut;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Reason\Overrides;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Job\Collector\CollectorSpec;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\KeepOut\KeepOutKind;
use UpsweptBead\Core\Job\KeepOut\KeepOutShape;
use UpsweptBead\Core\Job\KeepOut\KeepOutSpec;
use UpsweptBead\Core\Job\Purpose;
use UpsweptBead\Core\Job\Run\EndKind;
use UpsweptBead\Core\Job\Run\LengthSpec;
use UpsweptBead\Core\Job\Run\RoutingSpec;
use UpsweptBead\Core\Job\Run\RunEnd;
use UpsweptBead\Core\Job\Run\RunSpec;
use UpsweptBead\Core\Job\Set\SetSpec;
use UpsweptBead\Core\Shop\Stock\Catalogue;
use UpsweptBead\Core\Shop\Stock\TubeSize;
use UpsweptBead\Core\Solve\Route\Problem\AssignmentMode;
use UpsweptBead\Core\Solve\Route\Problem\Inlet;
use UpsweptBead\Core\Solve\Route\Problem\InletRing;
use UpsweptBead\Core\Solve\Route\Problem\LengthGroup;
use UpsweptBead\Core\Solve\Route\Problem\Port;
use UpsweptBead\Core\Solve\Route\Problem\RouteProblem;
use UpsweptBead\Core\Solve\Route\Problem\TubeStock;

/**
 * Begins a job from a route problem of anywhere. What a job knows and a problem does not (flanges, metals) starts at
 * the usual; its tube is the catalogue's nearest in diameter that bends are stocked for, which the note says.
 */
final readonly class RouteProblemJob
{
    public static function of(RouteProblem $problem, Catalogue $catalogue): Job
    {
        $letters = [];
        foreach ($problem->ports as $i => $port) {
            $letters[$port->id] = chr(65 + $i);
        }
        $inlets = self::inlets($problem);
        $notes = [];
        $runs = [];
        foreach ($problem->ports as $port) {
            $tube = self::tube($port->tube, $catalogue);
            if (abs($tube->odMm - $port->tube->odMm) > 0.3) {
                $notes[$port->tube->name] = sprintf(
                    'Tube "%s" of %.1f mm is taken as %s.',
                    $port->tube->name,
                    $port->tube->odMm,
                    $tube->name,
                );
            }
            $inlet = $inlets[$port->id];
            $runs[] = new RunSpec(
                $letters[$port->id], '', $tube->id,
                self::end(EndKind::Flange, "Port $port->id", $port->at, $port->direction, $tube),
                self::end(EndKind::Open, "Inlet $inlet->id", $inlet->at, $inlet->direction, $tube),
                null, [],
            );
        }
        $several = array_filter($problem->collectors, static fn (InletRing $one): bool => count($one->runners) > 1);

        return new Job(
            mb_substr($problem->name, 0, 40),
            mb_substr($problem->name, 0, 200),
            '',
            '',
            Purpose::Header,
            UnitSystem::Metric,
            '304L',
            trim('From a route problem. '.implode(' ', $notes)),
            $runs,
            new Overrides([], UnitSystem::Metric),
            new SetSpec(
                array_values(
                    array_map(
                        static fn (InletRing $one): CollectorSpec => self::collector($one, $letters, $inlets),
                        $several,
                    ),
                ),
                array_map(
                    static fn (KeepOut $one): KeepOutSpec => self::keepOut($one, $problem->rules->clearanceMm),
                    $problem->keepOuts,
                ),
                array_map(
                    static fn (LengthGroup $one): LengthSpec => new LengthSpec(
                        array_map(static fn (string $id): string => $letters[$id], $one->runners),
                        $one->targetMm === null ? null : Length::ofMm($one->targetMm),
                        $one->tolerancePercent,
                    ),
                    $problem->lengths,
                ),
                [],
                new RoutingSpec(
                    Length::ofMm($problem->rules->limits->firstStraightMm),
                    Length::ofMm($problem->rules->limits->innerStraightMm),
                    Length::ofMm($problem->rules->limits->lastStraightMm),
                    Length::ofMm($problem->rules->gapMm),
                    min(4, $problem->rules->maxBends),
                ),
            ),
        );
    }

    /** @return array<array-key, Inlet> by port, the first way that is permitted */
    private static function inlets(RouteProblem $problem): array
    {
        $inlets = [];
        foreach ($problem->collectors as $one) {
            foreach ($one->assignments()[0] ?? [] as $i => $place) {
                $inlets[$one->runners[$i]] = $one->inlets[$place];
            }
        }

        return $inlets;
    }

    /**
     * @param  array<array-key, string>  $letters  by port
     * @param  array<array-key, Inlet>  $inlets  by port
     */
    private static function collector(InletRing $one, array $letters, array $inlets): CollectorSpec
    {
        $ring = [];
        foreach ($one->inlets as $inlet) {
            foreach ($one->runners as $port) {
                if ($inlets[$port]->id === $inlet->id) {
                    $ring[] = $letters[$port];
                }
            }
        }

        return new CollectorSpec(
            $one->id,
            $ring,
            $one->mode,
            $one->mode === AssignmentMode::Cyclic
                ? array_map(static fn (string $port): string => $letters[$port], $one->runners)
                : [],
        );
    }

    private static function end(EndKind $kind, string $name, Vector $at, Vector $direction, TubeSize $tube): RunEnd
    {
        return new RunEnd(
            $kind,
            mb_substr($name, 0, 100),
            self::place($at),
            $direction,
            null,
            '304L',
            Length::ofMm($kind === EndKind::Flange ? 9.525 : $tube->wallMm),
        );
    }

    private static function tube(TubeStock $stock, Catalogue $catalogue): TubeSize
    {
        $best = null;
        foreach ($catalogue->tubes as $tube) {
            if ($catalogue->bendsFor($tube->id) === []) {
                continue;
            }
            // Of one diameter, the one with most of the radii.
            $shared = count(
                array_filter(
                    $catalogue->bendsFor($tube->id),
                    static fn ($bend): bool => $stock->bend($bend->clrMm) !== null,
                ),
            );
            $rank = [round(abs($tube->odMm - $stock->odMm), 1), -$shared];
            $best = $best === null || $rank < $best[0] ? [$rank, $tube] : $best;
        }

        return $best[1] ?? throw new \LogicException('The catalogue has no tube with bends.');
    }

    private static function keepOut(KeepOut $solid, float $generalMm): KeepOutSpec
    {
        $one = [Length::ofMm(1), Length::ofMm(1), Length::ofMm(1)];
        $clearance = Length::ofMm($solid->clearanceMm ?? $generalMm);
        $kind = match (true) {
            $solid->exemptFirstMm > 0.0 => KeepOutKind::Block,
            $solid->exemptLastMm > 0.0 => KeepOutKind::Collector,
            default => KeepOutKind::Other,
        };
        $name = mb_substr($solid->id, 0, 60);

        return match (true) {
            $solid instanceof HalfSpace => new KeepOutSpec(
                $name,
                $kind,
                KeepOutShape::HalfSpace,
                self::place($solid->point),
                $solid->normal,
                $one,
                $one,
                $one[0],
                $clearance,
                '',
            ),
            $solid instanceof Box => self::box($solid, $name, $kind, $clearance),
            $solid instanceof Cylinder || $solid instanceof Capsule => new KeepOutSpec(
                $name,
                $kind,
                $solid instanceof Capsule ? KeepOutShape::Capsule : KeepOutShape::Cylinder,
                self::place($solid->from),
                new Vector(1, 0, 0),
                self::place($solid->to),
                $one,
                Length::ofMm($solid->radiusMm),
                $clearance,
                '',
            ),
            default => throw new \LogicException('The format has no such keep-out.'),
        };
    }

    /**
     * A job's box has its second edge level; one that is turned otherwise is taken with the edges that fit, or as
     * large as holds it.
     */
    private static function box(Box $box, string $name, KeepOutKind $kind, Length $clearance): KeepOutSpec
    {
        foreach ([[0, 1, 2], [1, 0, 2], [2, 0, 1], [0, 2, 1], [1, 2, 0], [2, 1, 0]] as [$x, $y, $z]) {
            $axes = KeepOutSpec::axes($box->axes[$x]);
            if (abs($axes[1]->dot($box->axes[$y])) > 0.99999) {
                return self::boxSpec(
                    $box,
                    $name,
                    $kind,
                    $clearance,
                    $box->axes[$x],
                    [$box->halfMm[$x], $box->halfMm[$y], $box->halfMm[$z]],
                    '',
                );
            }
        }
        $axes = KeepOutSpec::axes($box->axes[0]);
        $half = array_map(
            static fn (Vector $axis): float => array_sum(
                array_map(
                    static fn (Vector $edge, float $half): float => abs($edge->dot($axis)) * $half,
                    $box->axes,
                    $box->halfMm,
                ),
            ),
            $axes,
        );

        return self::boxSpec(
            $box,
            $name,
            $kind,
            $clearance,
            $box->axes[0],
            [$half[0], $half[1], $half[2]],
            'A level box round one that is turned.',
        );
    }

    /** @param  array{float, float, float}  $half */
    private static function boxSpec(
        Box $box,
        string $name,
        KeepOutKind $kind,
        Length $clearance,
        Vector $direction,
        array $half,
        string $note,
    ): KeepOutSpec {
        return new KeepOutSpec(
            $name,
            $kind,
            KeepOutShape::Box,
            self::place($box->centre),
            $direction,
            self::place($box->centre),
            [Length::ofMm(2 * $half[0]), Length::ofMm(2 * $half[1]), Length::ofMm(2 * $half[2])],
            Length::ofMm(1),
            $clearance,
            $note,
        );
    }

    /** @return array{Length, Length, Length} */
    private static function place(Vector $at): array
    {
        return [Length::ofMm($at->x), Length::ofMm($at->y), Length::ofMm($at->z)];
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Intake;

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Reason\Choice;
use UpsweptBead\Core\Base\Reason\Figure;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Job\Collector\CollectorBuild;
use UpsweptBead\Core\Job\Collector\CollectorEntry;
use UpsweptBead\Core\Job\Collector\CollectorMake;
use UpsweptBead\Core\Job\Collector\CollectorSpec;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Points;
use UpsweptBead\Core\Job\Purpose;
use UpsweptBead\Core\Job\Run\EndKind;
use UpsweptBead\Core\Job\Run\LengthSpec;
use UpsweptBead\Core\Job\Run\RouteChoice;
use UpsweptBead\Core\Job\Run\RouteRow;
use UpsweptBead\Core\Job\Run\RunEnd;
use UpsweptBead\Core\Job\Run\RunSpec;
use UpsweptBead\Core\Job\Set\SetSpec;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Shop\Stock\TubeSize;
use UpsweptBead\Core\Solve\Route\Problem\AssignmentMode;

/**
 * The runs that a job begins with: one for every port, into one collector or two scrolls, or a single one. Places are
 * stand-ins until they are measured; a free end has none.
 */
final readonly class FirstLayout
{
    /** From port to port, mm; a stand-in until it is measured. */
    private const PITCH_MM = 100.0;

    /** Of every bend in a run that only counts; our own figure. */
    private const USUAL_DEG = 60.0;

    /** Radius by the diameter that a bend is looked for at. */
    private const USUAL_RADIUS = 1.5;

    /** A bend of wedges takes a weld for so many degrees; our own figure. */
    private const DEG_PER_WEDGE = 15.0;

    private const LEAST_STRAIGHT_MM = 25.0;

    /** All runs of one length may differ by so many per cent; the trade's figure for a header. */
    private const ALIKE_PERCENT = 1.0;

    private function __construct(private StartingPoint $start, private TubeSize $tube) {}

    /** The job with its runs laid out anew; null where no tube of the catalogue is chosen, or nothing is laid out so. */
    public static function of(StartingPoint $start): ?Job
    {
        return $start->tube === null || $start->job->purpose === Purpose::Repair
            ? null
            : (new self($start, $start->tube))->laid();
    }

    /**
     * The same with so many bends in every run, to count what it takes. Such a run ends wherever it ends.
     *
     * @param  bool  $hasCollector  whether what is made of the collector counts in
     */
    public static function counted(StartingPoint $start, Shop $shop, int $bends, bool $hasCollector = true): ?Job
    {
        $job = self::of($start);
        if ($job === null || $start->tube === null) {
            return null;
        }
        $route = (new self($start, $start->tube))->route($shop, $bends);
        $runs = array_map(static fn (RunSpec $run): RunSpec => $run->routed($route), $job->runs);
        $collectors = $hasCollector ? $job->set->collectors : array_map(
            static fn (CollectorSpec $one): CollectorSpec => $one->built(null),
            array_filter($job->set->collectors, static fn (CollectorSpec $one): bool => $one->runs !== []),
        );

        return $job->with($runs, $job->set->collecting(array_values($collectors)));
    }

    private function laid(): Job
    {
        $purpose = $this->start->job->purpose;
        $isMany = StartingPoint::isMany($purpose);
        $letters = match (true) {
            $purpose === Purpose::Collector => [],
            $isMany => array_slice(range('A', 'Z'), 0, $this->start->cylinders),
            default => ['A'],
        };
        $runs = [];
        foreach ($letters as $i => $letter) {
            $runs[] = $isMany ? $this->primary($letter, $i) : $this->single($letter);
        }
        $length = $this->start->figures['length'] ?? null;
        $isTuned = $purpose === Purpose::Header && $this->start->job->engine !== null && $length instanceof Figure;

        return $this->start->job->made($this->start->metal)->with($runs, new SetSpec(
            $isMany || $purpose === Purpose::Collector ? $this->collectors($letters) : [],
            $this->start->job->set->keepOuts,
            $this->says('equal', 'all runs alike')
                ? [new LengthSpec($letters, $isTuned ? Length::ofMm(round($length->value)) : null, self::ALIKE_PERCENT)]
                : [],
        ));
    }

    private function says(string $key, string $value): bool
    {
        $choice = $this->start->figures[$key] ?? null;

        return $choice instanceof Choice && $choice->value === $value;
    }

    private function primary(string $letter, int $i): RunSpec
    {
        $number = $i + 1;
        $wall = Length::ofMm($this->tube->wallMm);
        $rearward = new Vector(1, 0, 0);

        return new RunSpec(
            $letter,
            "Cylinder $number",
            $this->tube->id,
            $this->end(
                EndKind::Flange,
                "Port $number",
                new Vector($i * self::PITCH_MM, 0.0, 0.0),
                new Vector(0, 1, 0),
                Length::parse('3/8 in', $this->start->job->units),
            ),
            $this->end(
                EndKind::Open,
                "Collector inlet $number",
                new Vector($i * self::PITCH_MM, 250.0, -250.0),
                $rearward,
                $wall,
            ),
            null,
            [],
        );
    }

    private function single(string $letter): RunSpec
    {
        $ring = Length::parse('.200 in', $this->start->job->units);
        $wall = Length::ofMm($this->tube->wallMm);
        $rearward = new Vector(1, 0, 0);
        $isSystem = $this->start->job->purpose === Purpose::System;

        return new RunSpec(
            $letter,
            '',
            $this->tube->id,
            $this->end(
                EndKind::VBand,
                $isSystem ? 'Where it begins' : 'Turbine outlet',
                new Vector(0, 0, 0),
                $rearward,
                $ring,
            ),
            $isSystem
                ? $this->end(EndKind::Open, 'Outlet', new Vector(1000.0, 0.0, 0.0), $rearward, $wall, true)
                : $this->end(EndKind::VBand, 'Goes on to', new Vector(600.0, 0.0, -300.0), $rearward, $ring),
            null,
            [],
        );
    }

    private function end(
        EndKind $kind,
        string $name,
        Vector $at,
        Vector $flow,
        Length $wall,
        bool $isFree = false,
    ): RunEnd {
        return new RunEnd(
            $kind,
            $name,
            Points::of($at),
            $flow,
            null,
            $this->start->metal,
            $wall,
            isFree: $isFree,
        );
    }

    /**
     * @param  list<string>  $letters
     * @return list<CollectorSpec>
     */
    private function collectors(array $letters): array
    {
        $entry = CollectorEntry::usual($this->tube->wallMm);
        $scrolls = $this->start->hasTwoScrolls ? $this->start->scrolls() : [];
        if ($scrolls !== [] && count($this->start->firing()) <= count($letters)) {
            $of = static fn (int $i): array => array_map(
                static fn (int $one): string => $letters[$one - 1],
                $scrolls[$i],
            );

            return [
                new CollectorSpec('First scroll', $of(0), AssignmentMode::Any, [], $entry),
                new CollectorSpec('Second scroll', $of(1), AssignmentMode::Any, [], $entry),
            ];
        }
        $inlets = $letters === [] ? max(2, $this->start->cylinders) : count($letters);
        if ($inlets < 2) {
            return [];
        }
        $firing = $this->start->firing();
        $isCyclic = $this->start->job->purpose === Purpose::Header && count($firing) === count($letters);

        return [new CollectorSpec(
            $this->start->job->purpose === Purpose::TurboManifold ? 'Turbine flange' : 'Collector',
            $letters,
            $isCyclic ? AssignmentMode::Cyclic : AssignmentMode::Any,
            $isCyclic ? array_map(static fn (int $one): string => $letters[$one - 1], $firing) : [],
            $entry,
            build: $inlets > CollectorBuild::MOST_INLETS ? null : new CollectorBuild(
                'M',
                $this->start->makesCollector ? CollectorMake::Straight : CollectorMake::Bought,
                $inlets,
                $this->tube->id,
                [Length::ofMm(500.0), Length::ofMm(300.0), Length::ofMm(-350.0)],
                new Vector(1, 0, 0),
                45.0,
            ),
        )];
    }

    /** So many bends, alike, each turned a quarter on from the one before, over the length that a run is to have. */
    private function route(Shop $shop, int $bends): RouteChoice
    {
        $clrMm = $this->clrMm($shop);
        $isPie = $this->says('bendsFrom', 'pie cuts');
        $arcMm = deg2rad(self::USUAL_DEG) * $clrMm;
        $straightMm = max(self::LEAST_STRAIGHT_MM, ($this->start->lengthMm - $bends * $arcMm) / ($bends + 1));
        $rows = [];
        for ($i = 0; $i < $bends; $i++) {
            $rows[] = new RouteRow(
                Length::ofMm(round($straightMm, 1)),
                $i === 0 ? 0.0 : ($i % 2 === 0 ? -90.0 : 90.0),
                self::USUAL_DEG,
                Length::ofMm($clrMm),
                [],
                $isPie ? (int) (self::USUAL_DEG / self::DEG_PER_WEDGE) : 0,
            );
        }

        return new RouteChoice($rows, Length::ofMm(round($straightMm, 1)));
    }

    private function clrMm(Shop $shop): float
    {
        $usualMm = self::USUAL_RADIUS * $this->tube->odMm;
        $bestMm = $usualMm;
        $best = INF;
        foreach ($shop->catalogue->bendsFor($this->tube->id) as $bend) {
            if ($bend->angleDeg >= self::USUAL_DEG && abs($bend->clrMm - $usualMm) < $best) {
                [$bestMm, $best] = [$bend->clrMm, abs($bend->clrMm - $usualMm)];
            }
        }

        return $bestMm;
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job;

use UpsweptBead\Core\Base\Document\Faults;
use UpsweptBead\Core\Base\Document\Node;
use UpsweptBead\Core\Base\Document\UnusableDocument;
use UpsweptBead\Core\Base\Reason\Override;
use UpsweptBead\Core\Base\Reason\Overrides;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Job\Intake\IntakeReader;
use UpsweptBead\Core\Job\Measured\MeasuredReader;
use UpsweptBead\Core\Job\Procedure\OutsideWork;
use UpsweptBead\Core\Job\Procedure\ProcedureReader;
use UpsweptBead\Core\Job\Run\EndReader;
use UpsweptBead\Core\Job\Run\Fitting;
use UpsweptBead\Core\Job\Run\FittingKind;
use UpsweptBead\Core\Job\Run\RouteReader;
use UpsweptBead\Core\Job\Run\RunSpec;
use UpsweptBead\Core\Job\Set\SetReader;

/** Reads the open job format (docs/job-file.md). Hostile or broken input never gets further than a list of faults. */
final readonly class JobReader
{
    private const MOST_RUNS = 16;

    private const MOST_FITTINGS = 12;

    /** What a plan costs goes by its seams: so many are planned in a few seconds. */
    private const MOST_SEAMS = 300;

    private const MOST_OVERRIDES = 500;

    private const MOST_OUTSIDE = 12;

    private const MOST_PRICES = 100;

    /** More money than this is a slip of the hand; our own figure. */
    private const MOST_PRICE = 1e6;

    private RouteReader $routes;

    private EndReader $ends;

    private function __construct(private UnitSystem $units)
    {
        $this->routes = new RouteReader($units);
        $this->ends = new EndReader($units);
    }

    /** @throws UnusableDocument if the text is no job document at all */
    public static function fromJson(string $json): JobReading
    {
        $faults = new Faults;

        return self::read(Node::open($json, Job::FORMAT, Job::VERSION, $faults), $faults);
    }

    /** @throws UnusableDocument if the decoded value is no job document at all */
    public static function fromDecoded(mixed $document): JobReading
    {
        $faults = new Faults;

        return self::read(Node::wrap($document, Job::FORMAT, Job::VERSION, $faults), $faults);
    }

    private static function read(Node $root, Faults $faults): JobReading
    {
        $root->only([
            'job', 'intake', 'engine', 'runs', 'set', 'procedures', 'outside', 'prices', 'measured', 'overrides',
        ]);
        $head = $root->at('job')->only(['number', 'title', 'customer', 'vehicle', 'purpose', 'units', 'metal', 'note']);
        $units = $head->at('units')->choice(UnitSystem::class, UnitSystem::Inch);
        $reader = new self($units);
        $runs = array_map($reader->run(...), $root->at('runs')->items(self::MOST_RUNS));
        self::refuseDoubles($root->at('runs'), $runs);
        self::refuseStrangers($root->at('runs'), $runs);
        self::refuseTooMuch($root->at('runs'), $runs);
        $letters = array_map(static fn (RunSpec $run): string => $run->letter, $runs);
        $overrides = $root->at('overrides')->isMissing() ? [] : $root->at('overrides')->items(self::MOST_OVERRIDES);
        $job = new Job(
            $head->at('number')->required(40),
            $head->at('title')->required(),
            $head->at('customer')->text('', 200),
            $head->at('vehicle')->text('', 200),
            $head->at('purpose')->choice(Purpose::class, Purpose::System),
            $units,
            $head->at('metal')->required(40),
            $head->at('note')->text(),
            $runs,
            new Overrides(array_map(self::override(...), $overrides), $units),
            (new SetReader($units, $letters))->read($root->at('set')),
            $root->at('engine')->isMissing() ? null : $reader->engine($root->at('engine')),
            (new ProcedureReader($units))->read($root->at('procedures')),
            $root->at('outside')->isMissing()
                ? []
                : array_map(self::outside(...), $root->at('outside')->items(self::MOST_OUTSIDE)),
            $root->at('prices')->isMissing()
                ? []
                : self::prices($root->at('prices')),
            (new MeasuredReader($units, $letters))->read($root->at('measured')),
            (new IntakeReader($units))->read($root->at('intake')),
        );

        return new JobReading($faults->all() === [] ? $job : null, $faults->all());
    }

    /** @param  list<RunSpec>  $runs */
    private static function refuseTooMuch(Node $node, array $runs): void
    {
        $seams = 0;
        foreach ($runs as $run) {
            // Its ends, the butts between its bends, the wedges of those that are made, and what is welded on its side.
            $seams += 2 + count($run->fittings);
            foreach ($run->route->rows ?? [] as $row) {
                $seams += 1 + $row->pieWelds;
            }
        }
        if ($seams > self::MOST_SEAMS) {
            $node->complain('too-many-seams', sprintf(
                'ask for about %d seams; a plan takes at most %d. Split the job, or make its bends of fewer wedges',
                $seams,
                self::MOST_SEAMS,
            ));
        }
    }

    private function run(Node $node): RunSpec
    {
        $node->only(['letter', 'name', 'tube', 'start', 'end', 'route', 'fittings', 'there']);
        $letter = $node->at('letter')->required(2);
        if (preg_match('/^[A-Z]{1,2}$/', $letter) !== 1) {
            $node->at('letter')->complain('bad-letter', 'must be one or two capital letters');
        }

        return new RunSpec(
            $letter,
            $node->at('name')->text('', 100),
            $node->at('tube')->required(60),
            $this->ends->start($node->at('start')),
            $this->ends->end($node->at('end')),
            $node->at('route')->isMissing() ? null : $this->routes->read($node->at('route')),
            array_map(
                $this->fitting(...),
                $node->at('fittings')->isMissing() ? [] : $node->at('fittings')->items(self::MOST_FITTINGS),
            ),
            ! $node->at('there')->isMissing() && $node->at('there')->boolean(),
        );
    }

    private function engine(Node $node): EngineSpec
    {
        $node->only(['cylinderCc', 'exhaustOpens', 'peakRpm', 'port', 'metalC']);

        return new EngineSpec(
            $this->within($node->at('cylinderCc'), 20, 3000, 'cm³ of one cylinder'),
            $this->within($node->at('exhaustOpens'), 20, 120, '° before bottom dead centre'),
            $this->within($node->at('peakRpm'), 500, 20_000, 'rpm'),
            $this->routes->notNegative($node->at('port')),
            $node->at('metalC')->isMissing() ? null : $this->within($node->at('metalC'), 100, 1200, '°C of the metal'),
        );
    }

    private function within(Node $node, float $least, float $most, string $what): float
    {
        $value = $node->number();
        if ($value < $least || $value > $most) {
            $node->complain(
                'out-of-range',
                sprintf('must lie between %s and %s %s', number_format($least), number_format($most), $what),
            );

            return $least;
        }

        return $value;
    }

    private function fitting(Node $node): Fitting
    {
        $node->only(['kind', 'station', 'fromTop', 'length', 'metal']);
        $kind = $node->at('kind')->choice(FittingKind::class, FittingKind::OxygenSensorBung);
        if ($kind !== FittingKind::Crack && ! $node->at('length')->isMissing()) {
            $node->at('length')->complain('unknown', 'is only of a crack');
        }

        return new Fitting(
            $kind,
            $this->routes->notNegative($node->at('station')),
            $node->at('fromTop')->quantity(Quantity::Angle, $this->units, 180),
            $kind === FittingKind::Crack ? $this->crackLength($node->at('length')) : null,
            $node->at('metal')->isMissing() ? null : $node->at('metal')->required(40),
        );
    }

    private function crackLength(Node $node): Length
    {
        $length = $node->length($this->units);
        if ($length->mm < 3.0 || $length->mm > 1000.0) {
            $node->complain('out-of-range', 'of a crack must lie between 3 mm and 1 m (1/8 in to 39 in)');
        }

        return $length;
    }

    private static function outside(Node $node): OutsideWork
    {
        $node->only(['what', 'cost']);

        return new OutsideWork($node->at('what')->required(100), self::price($node->at('cost')));
    }

    /** @return array<string, float> */
    private static function prices(Node $node): array
    {
        $prices = [];
        foreach ($node->entries(self::MOST_PRICES) as $key => $one) {
            $prices["$key"] = self::price($one);
        }

        return $prices;
    }

    private static function price(Node $node): float
    {
        $price = $node->number(self::MOST_PRICE);
        if ($price < 0.0) {
            $node->complain('negative', 'must not be negative');
        }

        return $price;
    }

    private static function override(Node $node): Override
    {
        $node->only(['figure', 'value', 'why']);

        return new Override(
            $node->at('figure')->required(100),
            $node->at('value')->required(120),
            $node->at('why')->text('', 300),
        );
    }

    /** @param  list<RunSpec>  $runs */
    private static function refuseDoubles(Node $node, array $runs): void
    {
        $letters = array_map(static fn (RunSpec $run): string => $run->letter, $runs);
        foreach (array_diff_key($letters, array_unique($letters)) as $letter) {
            $node->complain('double-letter', "has two runs with the letter $letter");
        }
    }

    /**
     * A saddle stands on another run of the job.
     *
     * @param  list<RunSpec>  $runs
     */
    private static function refuseStrangers(Node $node, array $runs): void
    {
        $letters = array_map(static fn (RunSpec $run): string => $run->letter, $runs);
        $items = $node->items(self::MOST_RUNS);
        foreach ($runs as $i => $run) {
            foreach (['start' => $run->start->saddle, 'end' => $run->end->saddle] as $end => $saddle) {
                if ($saddle !== null && ! in_array($saddle->on, array_diff($letters, [$run->letter]), true)) {
                    $items[$i]->at($end)->at('saddle')->at('on')->complain(
                        'bad-run',
                        'must be another run of this job, the one it stands on',
                    );
                }
            }
        }
    }
}

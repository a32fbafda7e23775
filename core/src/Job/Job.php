<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job;

use UpsweptBead\Core\Base\Reason\Overrides;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Job\Collector\CollectorSpec;
use UpsweptBead\Core\Job\Intake\IntakeSpec;
use UpsweptBead\Core\Job\Measured\MeasuredSpec;
use UpsweptBead\Core\Job\Procedure\OutsideWork;
use UpsweptBead\Core\Job\Procedure\WeldProcedure;
use UpsweptBead\Core\Job\Run\RouteChoice;
use UpsweptBead\Core\Job\Run\RunSpec;
use UpsweptBead\Core\Job\Set\SetSpec;

/** A whole job as people entered it: survey, choices and overrules. Immutable; everything else is computed from it. */
final readonly class Job
{
    public const FORMAT = 'upswept-bead/job';

    public const VERSION = 1;

    /**
     * @param  list<RunSpec>  $runs
     * @param  list<WeldProcedure>  $procedures  the first that is for a seam counts
     * @param  list<OutsideWork>  $outside
     * @param  array<string, float>  $prices  of one of what this job buys, in money, by its key in the ledger
     */
    public function __construct(
        public string $number,
        public string $title,
        public string $customer,
        public string $vehicle,
        public Purpose $purpose,
        public UnitSystem $units,
        public string $metal,
        public string $note,
        public array $runs,
        public Overrides $overrides,
        public SetSpec $set = new SetSpec,
        public ?EngineSpec $engine = null,
        public array $procedures = [],
        public array $outside = [],
        public array $prices = [],
        public MeasuredSpec $measured = new MeasuredSpec,
        public ?IntakeSpec $intake = null,
    ) {}

    /**
     * The same job with other runs.
     *
     * @param  list<RunSpec>  $runs
     */
    public function with(array $runs, SetSpec $set): self
    {
        return $this->but(runs: $runs, set: $set);
    }

    /** The same job of another metal, as it begins: without what was measured for the runs it had. */
    public function made(string $metal): self
    {
        return $this->but(metal: $metal, runs: [], set: new SetSpec, measured: new MeasuredSpec);
    }

    /** Puts a route in place of a run's own. */
    public function routed(string $letter, ?RouteChoice $route): self
    {
        $runs = array_map(
            static fn (RunSpec $run): RunSpec => $run->letter === $letter ? $run->routed($route) : $run,
            $this->runs,
        );

        return $this->with($runs, $this->set);
    }

    public function run(string $letter): ?RunSpec
    {
        foreach ($this->runs as $run) {
            if ($run->letter === $letter) {
                return $run;
            }
        }

        return null;
    }

    /** Whether a run is there already, so that nothing of it is cut or fitted. */
    public function isThere(string $letter): bool
    {
        return $this->run($letter)->isThere ?? false;
    }

    /** @return list<string> every size of tube it is made of */
    public function tubeIds(): array
    {
        $builds = array_map(static fn (CollectorSpec $one): ?string => $one->build?->tubeId, $this->set->collectors);

        return array_values(array_unique(array_filter(
            [...array_map(static fn (RunSpec $run): string => $run->tubeId, $this->runs), ...$builds],
            is_string(...),
        )));
    }

    /** Runs that are put in one after another; what stands on the side of one goes in with it. */
    public function standing(): int
    {
        return count(array_filter($this->runs, static fn (RunSpec $run): bool => ! $run->isBranch()));
    }

    /** The collector that a run ends in, if it ends in one. */
    public function collectorOf(string $letter): ?CollectorSpec
    {
        foreach ($this->set->collectors as $collector) {
            if (in_array($letter, $collector->runs, true)) {
                return $collector;
            }
        }

        return null;
    }

    /** The collector whose outlet a run begins at, if it begins at one. */
    public function collectorInto(string $letter): ?CollectorSpec
    {
        foreach ($this->set->collectors as $collector) {
            if ($collector->build?->into === $letter) {
                return $collector;
            }
        }

        return null;
    }

    /** The same job shown in other units; every length carries its own unit, so no size changes. */
    public function in(UnitSystem $units): self
    {
        return $this->but(units: $units, overrides: new Overrides($this->overrides->all, $this->units));
    }

    /**
     * The same but for what is given.
     *
     * @param  list<RunSpec>|null  $runs
     */
    private function but(
        ?UnitSystem $units = null,
        ?string $metal = null,
        ?array $runs = null,
        ?Overrides $overrides = null,
        ?SetSpec $set = null,
        ?MeasuredSpec $measured = null,
    ): self {
        return new self(
            $this->number,
            $this->title,
            $this->customer,
            $this->vehicle,
            $this->purpose,
            $units ?? $this->units,
            $metal ?? $this->metal,
            $this->note,
            $runs ?? $this->runs,
            $overrides ?? $this->overrides,
            $set ?? $this->set,
            $this->engine,
            $this->procedures,
            $this->outside,
            $this->prices,
            $measured ?? $this->measured,
            $this->intake,
        );
    }
}

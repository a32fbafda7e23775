<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Set;

use UpsweptBead\Core\Job\Collector\CollectorSpec;
use UpsweptBead\Core\Job\Collector\OutletLimit;
use UpsweptBead\Core\Job\KeepOut\KeepOutSpec;
use UpsweptBead\Core\Job\Part\HangerSpec;
use UpsweptBead\Core\Job\Part\PartSpec;
use UpsweptBead\Core\Job\Run\LengthSpec;
use UpsweptBead\Core\Job\Run\RoutingSpec;

/** What holds for the runs of a job together. */
final readonly class SetSpec
{
    /**
     * @param  list<CollectorSpec>  $collectors
     * @param  list<KeepOutSpec>  $keepOuts
     * @param  list<LengthSpec>  $lengths
     * @param  list<DesignSpec>  $designs  kept beside the one that counts
     * @param  list<OutletLimit>  $outlets  what is asked of every open end
     * @param  list<PartSpec>  $parts  bought, or brought by the customer
     * @param  list<HangerSpec>  $hangers
     * @param  list<string>  $polished  letters of the runs that are polished
     * @param  list<string>  $stubs  letters of the runs that begin with a stub on their flange
     */
    public function __construct(
        public array $collectors = [],
        public array $keepOuts = [],
        public array $lengths = [],
        public array $designs = [],
        public RoutingSpec $routing = new RoutingSpec,
        public array $outlets = [],
        public array $parts = [],
        public array $hangers = [],
        public array $polished = [],
        public array $stubs = [],
    ) {}

    /**
     * @param  list<CollectorSpec>  $collectors
     * @param  list<LengthSpec>|null  $lengths  null keeps those there are
     */
    public function collecting(array $collectors, ?array $lengths = null): self
    {
        return $this->but(collectors: $collectors, lengths: $lengths);
    }

    /**
     * The same with other things to keep clear of.
     *
     * @param  list<KeepOutSpec>  $keepOuts
     */
    public function keepingOut(array $keepOuts): self
    {
        return $this->but(keepOuts: $keepOuts);
    }

    /** The part that the end of a run goes into; null where there is none. */
    public function partAfter(string $letter): ?PartSpec
    {
        foreach ($this->parts as $part) {
            if ($part->inlet === $letter) {
                return $part;
            }
        }

        return null;
    }

    /**
     * The same but for what is given.
     *
     * @param  list<CollectorSpec>|null  $collectors
     * @param  list<KeepOutSpec>|null  $keepOuts
     * @param  list<LengthSpec>|null  $lengths
     */
    private function but(?array $collectors = null, ?array $keepOuts = null, ?array $lengths = null): self
    {
        return new self(
            $collectors ?? $this->collectors,
            $keepOuts ?? $this->keepOuts,
            $lengths ?? $this->lengths,
            $this->designs,
            $this->routing,
            $this->outlets,
            $this->parts,
            $this->hangers,
            $this->polished,
            $this->stubs,
        );
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Collector;

use UpsweptBead\Core\Solve\Route\Problem\AssignmentMode;

/** Runs that end in one collector. Their ends are its inlets, in the order of the runs round its axis. */
final readonly class CollectorSpec
{
    /**
     * @param  list<string>  $runs  letters, in the order of their ends round the collector
     * @param  list<string>  $firing  letters in firing order, where the mode is cyclic
     * @param  CollectorBuild|null  $build  how it is made; null where only its inlets were surveyed
     */
    public function __construct(
        public string $name,
        public array $runs,
        public AssignmentMode $mode,
        public array $firing,
        public CollectorEntry $entry = CollectorEntry::Welded,
        public ?CollectorBuild $build = null,
    ) {}

    /**
     * The same collector with another firing order.
     *
     * @param  list<string>  $firing  letters
     */
    public function firing(array $firing): self
    {
        return new self($this->name, $this->runs, $this->mode, $firing, $this->entry, $this->build);
    }

    /** The same collector, made so. */
    public function built(?CollectorBuild $build): self
    {
        return new self($this->name, $this->runs, $this->mode, $this->firing, $this->entry, $build);
    }

    /**
     * The same collector with its runs in another order.
     *
     * @param  list<string>  $runs  letters
     */
    public function holding(array $runs): self
    {
        return new self($this->name, $runs, $this->mode, $this->firing, $this->entry, $this->build);
    }
}

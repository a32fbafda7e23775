<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Timing;

/**
 * One thing a welder does at the bench, in minutes: hands on the piece, argon let in where its root wants it, the arc.
 * Pieces and other tasks are told by their numbers.
 */
final readonly class BenchTask
{
    /**
     * @param  float  $fillMin  0 where nothing is purged
     * @param  float  $holdMin  its purge line stays with it so long after its end
     * @param  list<int>  $after  tasks that come before it
     * @param  ?float  $dueMin  by when it has to be done
     */
    public function __construct(
        public string $id,
        public int $piece,
        public float $setupMin,
        public float $fillMin,
        public float $arcMin,
        public float $holdMin,
        public array $after,
        public ?float $dueMin,
    ) {}

    public function handsMin(): float
    {
        return $this->setupMin + $this->arcMin;
    }

    /** The same, due at no time. */
    public function whenever(): self
    {
        return new self(
            $this->id, $this->piece, $this->setupMin, $this->fillMin, $this->arcMin, $this->holdMin, $this->after, null,
        );
    }
}

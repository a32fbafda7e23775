<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Timing;

/** One task in its turn, in minutes from the beginning. */
final readonly class TimedTask
{
    /** @param  ?float  $fillFromMin  when the argon is turned on; null where nothing is purged */
    public function __construct(
        public BenchTask $task,
        public float $startMin,
        public ?float $fillFromMin,
        public float $arcMin,
        public float $endMin,
    ) {}
}

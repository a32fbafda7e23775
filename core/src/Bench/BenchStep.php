<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Bench;

/** One thing to do at the bench. `id` stays the same as long as the piece or joint it belongs to does. */
final readonly class BenchStep
{
    /**
     * @param  list<string>  $do  short lines, in order
     * @param  float|null  $seconds  how long a countdown or a timer is set for
     * @param  list<Measure>  $measures
     */
    public function __construct(
        public string $id,
        public StepKind $kind,
        public string $subject,
        public string $title,
        public array $do,
        public ?float $seconds,
        public array $measures,
    ) {}
}

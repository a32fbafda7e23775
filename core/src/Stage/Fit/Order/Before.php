<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Fit\Order;

/** A reason of the order: one task comes before another, why, and what goes wrong otherwise. */
final readonly class Before
{
    /**
     * @param  string  $first  id of the task that comes first
     * @param  string  $then  id of the one that waits for it
     */
    public function __construct(
        public string $first,
        public string $then,
        public string $why,
        public string $otherwise,
    ) {}
}

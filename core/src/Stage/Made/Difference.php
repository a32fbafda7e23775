<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Made;

/** One thing that a later plan has otherwise, with both numbers in the base unit of its kind where it has any. */
final readonly class Difference
{
    public function __construct(
        public DifferenceKind $kind,
        public ?float $then = null,
        public ?float $now = null,
    ) {}
}

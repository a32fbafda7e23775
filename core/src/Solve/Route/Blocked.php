<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route;

/**
 * A constraint that stands in the way, and by how much (mm, or ° for an angle).
 *
 * `alone`: giving way here by that amount is enough. Otherwise several give way together in the nearest miss, and this
 * is one of them.
 */
final readonly class Blocked
{
    public function __construct(
        public Constraint $constraint,
        public float $by,
        public bool $alone,
        public float $firstClrMm,
        public float $secondClrMm,
    ) {}
}

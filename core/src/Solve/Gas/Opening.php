<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Gas;

/** An open end of a tube: whether argon may be fed there, and which holes its dam may have (mm). */
final readonly class Opening
{
    /** @param  list<float>  $holesMm  none where it may not be vented */
    public function __construct(
        public string $id,
        public string $tube,
        public bool $isStart,
        public bool $mayFeed,
        public array $holesMm,
    ) {}
}

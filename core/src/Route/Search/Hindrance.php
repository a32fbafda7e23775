<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Route\Search;

/** Why a tube has no way: what stands in it, by how much at least, and what change would open it. */
final readonly class Hindrance
{
    /**
     * @param  ?string  $by  the keep-out or the other tube, null if neither is to blame
     * @param  string  $what  clearance, gap, length (mm) or turn (degrees)
     */
    public function __construct(
        public string $runner,
        public ?string $by,
        public string $what,
        public float $amount,
        public string $opens,
    ) {}
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Collector;

use UpsweptBead\Core\Base\Units\Length;

/**
 * What a class, the road or the vehicle asks of where an exhaust ends: no less and no more along an axis of the datum.
 */
final readonly class OutletLimit
{
    /** @param  string  $name  what it is for, in the words of the rule book or the shop */
    public function __construct(
        public string $name,
        public OutletAxis $axis,
        public ?Length $least,
        public ?Length $most,
    ) {}
}

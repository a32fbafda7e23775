<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Collector;

use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Job\Run\EndKind;

/** What is welded to the outlet of a collector: a V-band ring or a flange. */
final readonly class OutletPart
{
    public function __construct(public EndKind $kind, public string $name, public string $metal, public Length $wall) {}
}

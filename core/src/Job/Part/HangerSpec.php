<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Part;

use UpsweptBead\Core\Base\Units\Length;

/** A hanger on a run, so far along it. */
final readonly class HangerSpec
{
    /** @param  string  $run  letter */
    public function __construct(public string $name, public string $run, public Length $station) {}
}

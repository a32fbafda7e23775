<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Schedule;

use UpsweptBead\Core\Joint\Joint;

/** A joint with the phase it is welded in, and why then. */
final readonly class Weld
{
    public function __construct(public Joint $joint, public Phase $phase, public string $why) {}
}

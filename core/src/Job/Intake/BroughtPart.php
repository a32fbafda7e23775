<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Intake;

/** One thing the customer brings: of what metal, where that is known, and whether it has run before. */
final readonly class BroughtPart
{
    public function __construct(public Brought $what, public ?string $metal, public bool $isUsed) {}
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Set;

/** A whole design kept beside the one that counts: for each run its route, and which end it goes to. */
final readonly class DesignSpec
{
    /** @param  list<DesignRun>  $runs */
    public function __construct(public string $name, public string $note, public array $runs) {}
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Bench;

/** A logged reading that lies outside what was planned, in words for the record. */
final readonly class Deviation
{
    public function __construct(public string $stepId, public string $what) {}
}

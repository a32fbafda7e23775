<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Fit;

/** One thing to look at in a trial fit, and the runs that it is looked at on; none for all of them. */
final readonly class TrialLine
{
    /** @param  list<string>  $runs  letters */
    public function __construct(public string $text, public array $runs = []) {}

    /** Whether it is looked at when one run is tried by itself. */
    public function isOf(string $letter): bool
    {
        return $this->runs === [] || in_array($letter, $this->runs, true);
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Weld;

use UpsweptBead\Core\Fit\IndexMark;
use UpsweptBead\Core\Fit\TackPattern;
use UpsweptBead\Core\Purge\PurgePlan;
use UpsweptBead\Core\Reason\Choice;
use UpsweptBead\Core\Reason\Figure;

/** Everything to set and watch at one joint. */
final readonly class JointSheet
{
    /**
     * @param  array<string, Figure>  $settings  by their short name: wire, amps, pedal, cup, flow …
     * @param  array<string, Choice>  $choices  filler and tungsten
     * @param  array{float, float}  $workingA  least and most working current
     * @param  list<string>  $warnings
     */
    public function __construct(
        public Joint $joint,
        public int $order,
        public string $why,
        public IndexMark $index,
        public TackPattern $tacks,
        public array $choices,
        public array $settings,
        public array $workingA,
        public PurgePlan $purge,
        public array $warnings,
    ) {}
}

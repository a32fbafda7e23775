<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Weld;

use UpsweptBead\Core\Fit\TackPattern;
use UpsweptBead\Core\Joint\Joint;
use UpsweptBead\Core\Purge\PurgePlan;
use UpsweptBead\Core\Reason\Choice;
use UpsweptBead\Core\Reason\Figure;
use UpsweptBead\Core\Stock\GasCup;

/** Everything to set and watch at one joint. */
final readonly class JointSheet
{
    /**
     * @param  array<string, Choice>  $choices  filler and tungsten
     * @param  array<string, Figure>  $settings  by their short name: wire, amps, pedal, cup, flow …
     * @param  array{float, float}  $workingA  least and most working current
     */
    public function __construct(
        public Joint $joint,
        public TackPattern $tacks,
        public array $choices,
        public array $settings,
        public array $workingA,
        public PurgePlan $purge,
        public JointTimes $times,
        private GasCup $gasCup,
    ) {}

    /** @return list<string> what to mind with these settings */
    public function warnings(): array
    {
        return [
            ...Preheat::lines($this->joint),
            ...Torch::warnings(
                $this->gasCup,
                $this->settings['flow'],
                $this->settings['pedal'],
                $this->choices['tungsten'],
            ),
        ];
    }
}

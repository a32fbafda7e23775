<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Weld;

use UpsweptBead\Core\Base\Reason\Choice;
use UpsweptBead\Core\Base\Reason\Figure;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Shop\Practice\RootPractice;
use UpsweptBead\Core\Shop\Stock\GasCup;
use UpsweptBead\Core\Stage\Fit\TackPattern;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Purge\JointPurge;
use UpsweptBead\Core\Stage\Purge\RootCare;

/** Everything to set and watch at one joint. */
final readonly class JointSheet
{
    public const FLUX = 'Flux paste: poisonous, and flammable as long as its alcohol is wet. Fluoride in its fume: draw it off. Glass stays inside.';

    private const PASSES = 'More than one pass: let it cool and brush it to bright metal before each, starts and stops not above one another.';

    /**
     * @param  array<string, Choice>  $choices  filler, tungsten, what shields the root, how it is held, what a flange
     *   is bolted to
     * @param  array<string, Figure>  $settings  by their short name: wire, amps, pedal, cup, flow …
     * @param  array<string, array{Quantity, float, float}>  $ranges  least and most that is usual, by setting
     * @param  string  $lack  why what a flange was wished bolted to is not what it is; '' where it is
     */
    public function __construct(
        public Joint $joint,
        public TackPattern $tacks,
        public array $choices,
        public array $settings,
        public array $ranges,
        public JointPurge $purge,
        public JointTimes $times,
        public RootCare $root,
        private GasCup $gasCup,
        public string $lack = '',
    ) {}

    /** @return array{float, float} what its torch and its purge take, L */
    public function argonL(): array
    {
        return [$this->settings['torchArgon']->value, $this->purge->value('argon')];
    }

    /** Whether its inside is filled with argon. */
    public function isFilled(): bool
    {
        return $this->root->practice === RootPractice::Argon;
    }

    /** Why it is not to be welded, so that none of its settings is for anybody; '' where it is. */
    public function refusal(): string
    {
        $filler = $this->choices['filler'];

        return $filler->value === Filler::REFUSED ? $filler->reason->rule : '';
    }

    /** @return list<string> what to mind with these settings */
    public function warnings(): array
    {
        if ($this->refusal() !== '') {
            return ["Not to be welded: {$this->refusal()}"];
        }

        return [
            ...Preheat::lines($this->joint),
            ...$this->settings['passes']->value > 1.0 ? [self::PASSES] : [],
            ...$this->root->lack === '' ? [] : [$this->root->lack],
            ...$this->root->practice === RootPractice::Flux ? [self::FLUX] : [],
            ...TorchSettings::warnings(
                $this->gasCup,
                $this->settings['flow'],
                $this->settings['pedal'],
                $this->choices['tungsten'],
            ),
        ];
    }
}

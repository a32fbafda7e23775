<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job\Intake;

/** What was asked when the job came in. Null is what nobody has said, or what this job does not need. */
final readonly class IntakeSpec
{
    /**
     * @param  ?int  $cylinders  that it takes the gas of; tubes into it, of a collector
     * @param  list<int>  $firing  cylinders in firing order; empty where it was not said
     * @param  string  $rules  what the law or the class asks, in words
     * @param  ?float  $gasC  the gas, not the metal
     * @param  ?float  $budget  in the shop's money, without tax
     * @param  list<BroughtPart>  $brought
     * @param  string  $gasText  the heat of the gas as somebody wrote it; '' where nobody did
     */
    public function __construct(
        public ?int $cylinders = null,
        public array $firing = [],
        public ?Scrolls $scrolls = null,
        public ?Ground $ground = null,
        public string $rules = '',
        public ?Load $load = null,
        public ?float $gasC = null,
        public ?Wet $wet = null,
        public ?Room $room = null,
        public ?Sound $sound = null,
        public ?int $outlets = null,
        public ?bool $hasCatalyst = null,
        public ?float $budget = null,
        public array $brought = [],
        private string $gasText = '',
    ) {}

    /** The heat of the gas as it was written; in °C where it was a plain number. */
    public function gasEntered(): string
    {
        return preg_match('/[a-z]/i', $this->gasText) === 1 ? $this->gasText : "$this->gasC °C";
    }

    public function brings(Brought $what): bool
    {
        foreach ($this->brought as $one) {
            if ($one->what === $what) {
                return true;
            }
        }

        return false;
    }
}

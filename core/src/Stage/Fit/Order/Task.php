<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Fit\Order;

use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Step\StepKind;

/** One task of the build; the bench has it as a step of the same key. */
final readonly class Task
{
    /** The run of what concerns all of them. */
    public const ALL = 'set';

    public string $id;

    /**
     * @param  string  $subject  the joint, run or collector that it is done to
     * @param  string  $run  letter of the run or collector, or all
     * @param  string  $brings  what is brought, where two parts are fitted
     * @param  list<float>  $rank  its turn where no reason decides
     */
    public function __construct(
        public StepKind $kind,
        public string $subject,
        public Phase $phase,
        public string $run,
        public ?Joint $joint,
        public string $brings,
        public string $to,
        public string $title,
        public string $why,
        public array $rank,
    ) {
        $this->id = $kind->key($subject);
    }

    /** @param  list<float>  $rank */
    public function ranked(array $rank, Phase $phase): self
    {
        return new self(
            $this->kind, $this->subject, $phase, $this->run, $this->joint, $this->brings, $this->to, $this->title,
            $this->why, $rank,
        );
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Fit\Order;

use UpsweptBead\Core\Joint\Joint;

/** One task of the build; its id is that of the bench's step. */
final readonly class Task
{
    /** The run of what concerns all of them. */
    public const ALL = 'set';

    /**
     * @param  string  $run  letter of the run or collector, or all
     * @param  string  $brings  what is brought, where two parts are fitted
     * @param  list<float>  $rank  its turn where no reason decides
     */
    public function __construct(
        public string $id,
        public TaskKind $kind,
        public Phase $phase,
        public string $run,
        public ?Joint $joint,
        public string $brings,
        public string $to,
        public string $title,
        public string $why,
        public array $rank,
    ) {}

    /** @param  list<float>  $rank */
    public function ranked(array $rank, Phase $phase): self
    {
        return new self(
            $this->id, $this->kind, $phase, $this->run, $this->joint, $this->brings, $this->to, $this->title,
            $this->why, $rank,
        );
    }
}

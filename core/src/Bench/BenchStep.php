<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Bench;

use UpsweptBead\Core\Bench\Inspection\Inspection;
use UpsweptBead\Core\Device\Rig;
use UpsweptBead\Core\Flatness\Face;

/** One thing to do at the bench. `id` stays the same as long as the piece or joint it belongs to does. */
final readonly class BenchStep
{
    /**
     * @param  list<string>  $do  short lines, in order
     * @param  float|null  $seconds  how long a countdown or a timer is set for
     * @param  list<Measure>  $measures
     * @param  list<string>  $points  to be confirmed one by one before anybody goes on
     * @param  ?float  $coolsS  how long what is welded takes until a hand may rest on it; where it is waited for, until it is cool
     *                          enough for that
     * @param  ?Inspection  $inspection  where a joint is looked at: by what it is judged
     * @param  ?Rig  $rig  where instruments watch: what they would see as planned
     * @param  ?Face  $face  where a face is measured: its points and its limit
     * @param  list<string>  $after  ids of the steps that are done before it
     * @param  string  $group  what it is listed under: a joint, or what is cut or tacked together
     */
    public function __construct(
        public string $id,
        public StepKind $kind,
        public string $subject,
        public string $title,
        public array $do,
        public ?float $seconds,
        public array $measures,
        public array $points = [],
        public ?float $coolsS = null,
        public ?Inspection $inspection = null,
        public ?Rig $rig = null,
        public array $after = [],
        public string $group = '',
        public ?Face $face = null,
    ) {}

    /** @param  list<string>  $after */
    public function placed(array $after, string $group): self
    {
        return new self(
            $this->id, $this->kind, $this->subject, $this->title, $this->do, $this->seconds, $this->measures,
            $this->points, $this->coolsS, $this->inspection, $this->rig, $after, $group, $this->face,
        );
    }

    /** The same once more, as another step. */
    public function again(string $id, string $title, string $after, string $group): self
    {
        return new self(
            $id, $this->kind, $this->subject, $title, $this->do, $this->seconds, $this->measures,
            $this->points, $this->coolsS, $this->inspection, $this->rig, [$after], $group, $this->face,
        );
    }
}

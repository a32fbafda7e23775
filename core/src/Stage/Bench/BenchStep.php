<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Bench;

use UpsweptBead\Core\Base\Flatness\Face;
use UpsweptBead\Core\Stage\Bench\Inspection\Inspection;
use UpsweptBead\Core\Stage\Device\Rig;
use UpsweptBead\Core\Stage\Step\StepKind;

/** One thing to do at the bench. What is done, to what and in which round names it; its id is the key of these. */
final readonly class BenchStep
{
    public string $id;

    public string $of;

    /**
     * @param  string  $subject  the piece, joint, run or collector that it is done to
     * @param  list<string>  $do  short lines, in order
     * @param  float|null  $seconds  how long a countdown or a timer is set for
     * @param  list<Measure>  $measures
     * @param  list<string>  $points  to be confirmed one by one before anybody goes on
     * @param  ?float  $coolsS  how long what is welded takes until a hand may rest on it; where it is waited for, until
     *   it is cool
     *                          enough for that
     * @param  ?Inspection  $inspection  where a joint is looked at: by what it is judged
     * @param  ?Rig  $rig  where instruments watch: what they would see as planned
     * @param  ?Face  $face  where a face is measured: its points and its limit
     * @param  list<string>  $after  ids of the steps that are done before it
     * @param  list<Ready>  $ready  what must have cooled before it, and how far
     * @param  int  $round  1 for the step of the plan; more where an inspection asked for it again
     * @param  string  $of  run, collector or joint that it is shown with; the subject where nothing else is said
     * @param  string  $group  what it is listed under: a joint, or what is cut or tacked together
     */
    public function __construct(
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
        public array $ready = [],
        public int $round = 1,
        string $of = '',
    ) {
        $this->id = $kind->key($subject, $round);
        $this->of = $of === '' ? $subject : $of;
    }

    /**
     * @param  list<string>  $after
     * @param  list<Ready>  $ready
     */
    public function placed(array $after, array $ready, string $group): self
    {
        return new self(
            $this->kind, $this->subject, $this->title, $this->do, $this->seconds, $this->measures, $this->points,
            $this->coolsS, $this->inspection, $this->rig, $after, $group, $this->face, $ready, $this->round, $this->of,
        );
    }

    /**
     * The same, with something to be told before all else.
     *
     * @param  list<string>  $lines
     */
    public function told(array $lines): self
    {
        return $lines === [] ? $this : new self(
            $this->kind, $this->subject, $this->title, [...$lines, ...$this->do], $this->seconds, $this->measures,
            $this->points, $this->coolsS, $this->inspection, $this->rig, $this->after, $this->group, $this->face,
            $this->ready, $this->round, $this->of,
        );
    }

    /** The same once more, as a step of another round. */
    public function again(int $round, string $title, string $after, string $group): self
    {
        return new self(
            $this->kind, $this->subject, $title, $this->do, $this->seconds, $this->measures, $this->points,
            $this->coolsS, $this->inspection, $this->rig, [$after], $group, $this->face, [], $round, $this->of,
        );
    }
}

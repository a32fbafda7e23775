<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Nest\Search;

/** A part that could be added to a branch, and where it would be cut from. */
final readonly class Growth
{
    public function __construct(
        public PartialCut $from,
        public Part $part,
        public int $key,
        public OpenCopy $copy,
        public float $atMm,
        public bool $reversed,
        public float $cost,
        public float $score,
    ) {}

    public function branch(): PartialCut
    {
        $from = $this->from;
        $opened = $from->opened;
        if (! isset($from->copies[$this->key])) {
            $opened[$this->copy->donor->index] = ($opened[$this->copy->donor->index] ?? 0) + 1;
        }
        $copies = $from->copies;
        $copies[$this->key] = $this->copy;

        return new PartialCut(
            $from,
            $this->part,
            $this->key,
            $this->atMm,
            $this->reversed,
            $copies,
            $opened,
            $this->cost,
            $this->score,
            $this->part->toMm,
            $from->bend + ($this->part->bend === null ? 0 : 1),
        );
    }
}

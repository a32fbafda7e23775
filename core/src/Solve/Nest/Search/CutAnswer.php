<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Nest\Search;

/** What a search for a plan of cuts came to. */
final readonly class CutAnswer
{
    /**
     * @param  list<CutPiece>  $pieces  run by run, in order of flow
     * @param  array<string, int>  $opened  how many of each stock item
     * @param  float|null  $lowerBound  no plan costs less; null if nothing is known
     */
    public function __construct(
        public CutStatus $status,
        public array $pieces = [],
        public int $joints = 0,
        public int $cuts = 0,
        public array $opened = [],
        public float $cost = 0.0,
        public ?float $lowerBound = null,
    ) {}

    /** Whether no other plan can cost less. */
    public function isProven(): bool
    {
        return $this->status === CutStatus::Solved
            && $this->lowerBound !== null
            && $this->cost <= $this->lowerBound + 1e-6;
    }

    /**
     * The one that costs the least, with the highest of the bounds.
     *
     * @param  list<self>  $answers  to one problem
     */
    public static function best(array $answers): self
    {
        $best = new self(CutStatus::NotFound);
        $bound = null;
        foreach ($answers as $answer) {
            if ($answer->status === CutStatus::Solved) {
                $bound = max($bound ?? 0.0, $answer->lowerBound ?? 0.0);
                $best = $best->status !== CutStatus::Solved || $answer->cost < $best->cost ? $answer : $best;
            }
        }

        return new self($best->status, $best->pieces, $best->joints, $best->cuts, $best->opened, $best->cost, $bound);
    }
}

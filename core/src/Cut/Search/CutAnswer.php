<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Cut\Search;

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
}

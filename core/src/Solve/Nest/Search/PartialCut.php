<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Nest\Search;

/** A run cut as far as a station, with the stock as it is opened then. */
final readonly class PartialCut
{
    /**
     * @param  Part|null  $part  the part that was added last; null before the first
     * @param  int  $key  of the copy it lies in
     * @param  float  $atMm  where on that copy its extra length begins
     * @param  array<int, OpenCopy>  $copies
     * @param  array<int, int>  $opened  how many of each donor
     * @param  float  $score  the cost as a search weighs it now, by which branches are compared
     * @param  int  $bend  the next bend
     */
    public function __construct(
        public ?self $parent,
        public ?Part $part,
        public int $key,
        public float $atMm,
        public bool $reversed,
        public array $copies,
        public array $opened,
        public float $cost,
        public float $score,
        public float $stationMm,
        public int $bend,
    ) {}

    /** @return list<PlacedSpan> in order of flow */
    public function placed(): array
    {
        $placed = [];
        for ($branch = $this; $branch->part !== null && $branch->parent !== null; $branch = $branch->parent) {
            $placed[] = new PlacedSpan($branch->part, $branch->key, $branch->atMm, $branch->reversed);
        }

        return array_reverse($placed);
    }
}

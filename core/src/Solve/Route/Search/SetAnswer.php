<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Search;

/** What a search for a whole set has come to. */
final readonly class SetAnswer
{
    /**
     * @param  list<Way>  $ways  in the order of the ports; empty unless solved
     * @param  list<Hindrance>  $reasons  if it is impossible
     * @param  ?Miss  $nearest  if nothing was found, what the nearest miss lacks
     * @param  float  $firstSeconds  when the first complete answer stood
     * @param  float  $bestSeconds  when this one stood
     */
    public function __construct(
        public SetStatus $status,
        public array $ways = [],
        public float $objective = INF,
        public array $reasons = [],
        public ?Miss $nearest = null,
        public float $firstSeconds = 0.0,
        public float $bestSeconds = 0.0,
    ) {}
}

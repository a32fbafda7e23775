<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Nest\Search;

/** A part of a run and the place it is cut from. */
final readonly class PlacedSpan
{
    /**
     * @param  int  $key  of the copy of stock
     * @param  float  $atMm  where on it the part's extra length begins
     */
    public function __construct(public Part $part, public int $key, public float $atMm, public bool $reversed) {}
}

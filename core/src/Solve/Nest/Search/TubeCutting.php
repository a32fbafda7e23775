<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Nest\Search;

/** Every run of one tube cut from its stock: a whole plan, or one with runs left out. */
final readonly class TubeCutting
{
    /**
     * @param  array<int, list<PlacedSpan>>  $placed  by run
     * @param  array<int, OpenCopy>  $copies
     * @param  float  $cost  of those runs that are in
     */
    public function __construct(public array $placed, public array $copies, public float $cost) {}
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Cool\Internal;

/** A plate beside the row of nodes: a column and a line at the border of the row's matrix. All are 1/s. */
final readonly class Border
{
    /**
     * @param  array<int, float>  $column  by how much each node warms with the plate
     * @param  array<int, float>  $line  by how much the plate warms with each node
     * @param  float  $own  by how much it cools with itself
     */
    public function __construct(public array $column, public array $line, public float $own) {}
}

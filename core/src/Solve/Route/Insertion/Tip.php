<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Insertion;

/** How a tube is tipped while it comes in: about a point of it, round an axis, by so much more than where it ends. */
final readonly class Tip
{
    /**
     * @param  array{float, float, float}  $about  mm
     * @param  array{float, float, float}  $axis  of length 1
     */
    public function __construct(public array $about, public array $axis, public float $deg) {}
}

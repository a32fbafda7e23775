<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Insertion;

/**
 * One tube going in: which, and along which direction it comes (of length 1, towards its place). Where it is tipped on
 * the way, it comes in so and is then turned back to its place.
 */
final readonly class Step
{
    /** @param  array{float, float, float}  $direction */
    public function __construct(
        public string $tube,
        public array $direction,
        public Along $along,
        public ?Tip $tip = null,
    ) {}
}

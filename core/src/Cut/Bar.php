<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Cut;

/** One length of straight stock and the pieces cut from it, in order; mm. */
final readonly class Bar
{
    /** @param  list<Piece>  $pieces */
    public function __construct(public float $lengthMm, public array $pieces, public float $leftMm) {}
}

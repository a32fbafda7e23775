<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Route\Search;

/** Where a tube comes near another, or near a keep-out: a place on each, and how far it is short. */
final readonly class Contact
{
    /**
     * @param  int  $piece  of the tube, as Way counts them
     * @param  float  $share  of that piece, 0 to 1
     * @param  float  $shortMm  what is missing; negative if there is something in hand
     * @param  int  $otherPiece  of the other tube, −1 for a keep-out
     */
    public function __construct(
        public int $piece,
        public float $share,
        public float $shortMm,
        public int $otherPiece = -1,
        public float $otherShare = 0.0,
    ) {}
}

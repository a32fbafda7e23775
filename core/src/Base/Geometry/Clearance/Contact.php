<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Geometry\Clearance;

/** Where a tube comes near another, or near a keep-out: a place on each, and how far it is short. */
final readonly class Contact
{
    /**
     * @param  int  $piece  of the tube, as Chords count them
     * @param  float  $share  of that piece, 0 to 1
     * @param  float  $shortMm  what is missing; negative if there is something in hand
     * @param  int  $otherPiece  of the other tube, −1 for a keep-out
     * @param  float  $neededMm  from centreline to centreline, or to the keep-out's surface
     */
    public function __construct(
        public int $piece,
        public float $share,
        public float $shortMm,
        public float $neededMm,
        public int $otherPiece = -1,
        public float $otherShare = 0.0,
    ) {}

    /**
     * The one that is shortest, null if there is none.
     *
     * @param  list<self>  $contacts
     */
    public static function worst(array $contacts): ?self
    {
        $worst = null;
        foreach ($contacts as $contact) {
            $worst = $worst === null || $contact->shortMm > $worst->shortMm ? $contact : $worst;
        }

        return $worst;
    }
}

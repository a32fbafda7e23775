<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Fit\Access;

/**
 * How far round a seam a torch gets with the largest cup that does best, past what stands there; with the wire and the
 * hand that holds it.
 */
final readonly class CupFit
{
    /**
     * @param  int  $cup  its number
     * @param  bool  $isLong  whether it takes a long stick-out, with more gas
     * @param  list<array{float, float}>  $arcs  in degrees as on the dial; of a seam with two ends in hundredths of it
     * @param  float  $share  of the seam, 0 to 1
     */
    public function __construct(public int $cup, public bool $isLong, public array $arcs, public float $share) {}

    /** Whether it gets all round, but for what the reach of an arc is known to. */
    public function isWhole(): bool
    {
        return $this->share > 0.995;
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Fit\Access;

use UpsweptBead\Core\Solve\Reach\Arcs;

/**
 * How far round a seam a torch gets with the largest cup that does best, past what stands there; with the wire and the
 * hand that holds it.
 */
final readonly class CupFit
{
    /** Less than half an inch on a 3 in tube is no side to weld first; our own figure. */
    private const SLIVER_DEG = 20.0;

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

    /**
     * What it gets to and another does not; nothing of slivers that a tack would cover.
     *
     * @return list<array{float, float}> in degrees
     */
    public function beyond(self $other): array
    {
        return array_values(array_filter(
            Arcs::without($this->arcs, $other->arcs),
            static fn (array $arc): bool => $arc[1] - $arc[0] >= self::SLIVER_DEG,
        ));
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Nest\Problem;

/** What pieces are cut from, as its developed centreline. */
final readonly class StockItem
{
    /**
     * @param  float  $trimMm  taken off each end before a piece may begin or end
     * @param  ?int  $count  how many there are; null where as many as wanted may be bought
     * @param  float  $cost  of opening one
     */
    public function __construct(
        public string $id,
        public string $tube,
        public StockKind $kind,
        public Chain $chain,
        public float $trimMm,
        public ?int $count,
        public float $cost,
    ) {}

    /** The bend in it; null for what is straight. */
    public function arc(): ?Link
    {
        return $this->chain->bends()[0]['link'] ?? null;
    }

    /** @return array{float, float} the straights before and after its bend (mm) */
    public function legsMm(): array
    {
        $bend = $this->chain->bends()[0] ?? null;

        return $bend === null ? [0.0, 0.0] : [$bend['from'], $this->chain->lengthMm - $bend['to']];
    }

    /** What of one can become pieces, in mm. */
    public function usableMm(): float
    {
        return max(0.0, $this->chain->lengthMm - 2 * $this->trimMm);
    }
}

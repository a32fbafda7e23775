<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Cut;

/** Where a piece is cut from: a stretch of the developed centreline of a piece of stock; mm, extra length counted. */
final readonly class StockPlace
{
    /**
     * @param  int  $copy  which of the stock of its kind, counted from 1
     * @param  bool  $isReversed  whether the downstream end comes first on the stock
     * @param  float  $arcFromMm  where the stock's bend begins; its length if it has none
     * @param  float  $arcToMm  and where it ends
     * @param  bool  $isOnRing  whether the stock is a donut: its first cut opens it, and takes its kerf from the end
     */
    public function __construct(
        public string $stockId,
        public int $copy,
        public float $atMm,
        public float $untilMm,
        public bool $isReversed,
        public float $arcFromMm,
        public float $arcToMm,
        public float $lengthMm,
        public bool $isOnRing = false,
    ) {}

    public function startMm(): float
    {
        return $this->isReversed ? $this->untilMm : $this->atMm;
    }

    public function endMm(): float
    {
        return $this->isReversed ? $this->atMm : $this->untilMm;
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Shop\Stock;

/** What is left of a stick or of a bend, kept on the shelf: a straight, some of a bend, a straight. Lengths in mm. */
final readonly class Offcut
{
    /**
     * @param  string  $id  as it stands on its label
     * @param  string  $stockId  what it is left of
     * @param  float  $clrMm  0 where it is straight
     */
    public function __construct(
        public string $id,
        public string $stockId,
        public string $tubeId,
        public float $clrMm,
        public float $beforeMm,
        public float $angleDeg,
        public float $afterMm,
    ) {}

    public function isStraight(): bool
    {
        return $this->angleDeg <= 0.0;
    }

    public function lengthMm(): float
    {
        return $this->beforeMm + deg2rad($this->angleDeg) * $this->clrMm + $this->afterMm;
    }

    /** As a bend to cut from: shorter in the bend or in its legs than it was bought. */
    public function asBend(BendStock $whole): BendStock
    {
        return new BendStock(
            $this->id,
            $this->tubeId,
            $this->clrMm,
            $this->angleDeg,
            $this->beforeMm,
            $this->afterMm,
            $whole->source,
        );
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Cut;

/** One length of straight stock, new or an offcut, and the pieces cut from it, in order; mm. */
final readonly class Bar
{
    /**
     * @param  list<Piece>  $pieces
     * @param  float  $trimMm  squared off its first end
     */
    public function __construct(
        public string $stockId,
        public float $lengthMm,
        public array $pieces,
        public float $leftMm,
        public float $trimMm,
    ) {}

    /** @param  array<string, Piece>  $pieces  the same ones, by mark, with their places */
    public function holding(array $pieces): self
    {
        $placed = array_map(static fn (Piece $piece): Piece => $pieces[$piece->mark], $this->pieces);

        return new self($this->stockId, $this->lengthMm, $placed, $this->leftMm, $this->trimMm);
    }
}

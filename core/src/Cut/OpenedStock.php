<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Cut;

/** One piece of stock that a job opens: which pieces come out of it and what is left. */
final readonly class OpenedStock
{
    /**
     * @param  int  $copy  which of its kind, counted from 1
     * @param  list<Piece>  $pieces
     * @param  list<Leftover>  $left
     */
    public function __construct(
        public string $stockId,
        public int $copy,
        public string $tubeId,
        public array $pieces,
        public array $left,
    ) {}

    /** Names it within its job. */
    public function key(): string
    {
        return "$this->stockId $this->copy";
    }
}

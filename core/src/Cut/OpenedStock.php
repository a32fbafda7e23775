<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Cut;

/** One piece of stock that a job opens: which pieces come out of it and what is left. */
final readonly class OpenedStock
{
    private const SAME_MM = 0.05;

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
        private float $kerfMm,
    ) {}

    /** How often it is sawn: at every end of a piece that is not an end of the stock; a cut between two pieces is one. */
    public function cuts(): int
    {
        $cuts = 0;
        $from = -INF;
        foreach ($this->places() as $place) {
            $isShared = $place->atMm - $from <= $this->kerfMm + self::SAME_MM;
            $cuts += ($place->atMm > self::SAME_MM && ! $isShared ? 1 : 0)
                + ($place->untilMm < $place->lengthMm - self::SAME_MM ? 1 : 0);
            $from = $place->untilMm;
        }

        return $cuts;
    }

    /** @return list<Place> in order along it */
    private function places(): array
    {
        $places = array_values(array_filter(array_map(static fn (Piece $one): ?Place => $one->place, $this->pieces)));
        usort($places, static fn (Place $a, Place $b): int => $a->atMm <=> $b->atMm);

        return $places;
    }

    /** Names it within its job. */
    public function key(): string
    {
        return "$this->stockId $this->copy";
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Cut;

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
        private float $trimMm = 0.0,
    ) {}

    /**
     * How often it is sawn: at every end of a piece that is not an end of the stock; a cut between two pieces is one.
     */
    public function cuts(): int
    {
        $cuts = 0;
        $from = -INF;
        foreach ($this->places() as $place) {
            // A ring is sawn open at its beginning: what ends there ends with that cut.
            $opening = $place->isOnRing ? $this->kerfMm : 0.0;
            $cuts += $from < 0.0 && $place->isOnRing ? 1 : 0;
            $isShared = $place->atMm - $from <= $this->kerfMm + self::SAME_MM;
            $cuts += ($place->atMm > self::SAME_MM && ! $isShared ? 1 : 0)
                + ($place->untilMm < $place->lengthMm - $opening - self::SAME_MM ? 1 : 0);
            $from = $place->untilMm;
        }

        return $cuts;
    }

    /**
     * By how much one of its pieces could be cut longer at one end, straight on; mm. Uncut pieces of a bar give way.
     *
     * @param  list<string>  $done  marks of pieces that are cut already
     */
    public function roomBeside(Piece $piece, bool $atStart, array $done): float
    {
        $place = $piece->place;
        if ($place === null) {
            return 0.0;
        }
        $others = array_filter($this->pieces, static fn (Piece $one): bool => $one->mark !== $piece->mark);
        $isBar = $place->arcFromMm >= $place->lengthMm;
        if ($isBar && array_filter($others, static fn (Piece $one): bool => in_array($one->mark, $done, true)) === []) {
            return array_sum(array_map(static fn (Leftover $one): float => $one->lengthMm(), $this->left));
        }
        $end = $atStart ? $place->startMm() : $place->endMm();
        $isBefore = $end <= $place->arcFromMm + self::SAME_MM;
        if (! $isBefore && $end < $place->arcToMm - self::SAME_MM) {
            return 0.0;
        }
        // The straight that this end lies in, less what other pieces take of it.
        $low = $isBefore ? $this->trimMm : $place->arcToMm;
        $high = $isBefore ? $place->arcFromMm : $place->lengthMm;
        $isDown = $end === $place->atMm;
        foreach ($this->places() as $other) {
            if ($other->untilMm <= $place->atMm) {
                $low = max($low, $other->untilMm + $this->kerfMm);
            } elseif ($other->atMm >= $place->untilMm) {
                $high = min($high, $other->atMm - $this->kerfMm);
            }
        }

        return max(0.0, $isDown ? $end - $low : $high - $end);
    }

    /** @return list<StockPlace> in order along it */
    private function places(): array
    {
        $all = array_map(static fn (Piece $one): ?StockPlace => $one->place, $this->pieces);
        $places = array_values(array_filter($all));
        usort($places, static fn (StockPlace $a, StockPlace $b): int => $a->atMm <=> $b->atMm);

        return $places;
    }

    /** Names it within its job. */
    public function key(): string
    {
        return "$this->stockId $this->copy";
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Cut;

use UpsweptBead\Core\Shop\Practice\ShopRules;

/**
 * A stretch of a piece of stock that no piece comes out of, as its cuts leave it: a straight, some of its bend, a
 * straight. Lengths in mm.
 */
final readonly class Leftover
{
    /** Shorter than this is dust. */
    private const DUST_MM = 0.01;

    private function __construct(
        public float $beforeMm,
        public float $angleDeg,
        public float $clrMm,
        public float $afterMm,
    ) {}

    /**
     * What is left of one piece of stock between and beside the pieces cut from it.
     *
     * @param  list<StockPlace>  $places  all on the same piece of stock
     * @param  float  $clrMm  of its bend; 0 where it is straight
     * @param  float  $trimMm  squared off its first end before anything else, where its first piece begins behind that
     * @return list<self> in order along it
     */
    public static function of(array $places, float $clrMm, float $kerfMm, float $trimMm = 0.0): array
    {
        if ($places === []) {
            return [];
        }
        usort($places, static fn (StockPlace $a, StockPlace $b): int => $a->atMm <=> $b->atMm);
        $left = [];
        $from = $trimMm;
        foreach ($places as $place) {
            $left[] = self::between($from, $place->atMm - ($place->atMm > $trimMm ? $kerfMm : 0.0), $place, $clrMm);
            $from = $place->untilMm + $kerfMm;
        }
        // The cut that opened a ring took its kerf from the end of it.
        $until = $places[0]->lengthMm - ($places[0]->isOnRing ? $kerfMm : 0.0);
        $left[] = self::between($from, $until, $places[0], $clrMm);

        return array_values(array_filter($left, static fn (self $one): bool => $one->lengthMm() > self::DUST_MM));
    }

    public function lengthMm(): float
    {
        return $this->beforeMm + deg2rad($this->angleDeg) * $this->clrMm + $this->afterMm;
    }

    /** Whether it goes back on the shelf: a straight in it, or its bend, is worth keeping by the shop's rules. */
    public function isWorthKeeping(ShopRules $rules): bool
    {
        return max($this->beforeMm, $this->afterMm) >= $rules->value('cut.offcut')
            || $this->angleDeg >= $rules->value('cut.offcut_angle');
    }

    private static function between(float $from, float $to, StockPlace $on, float $clrMm): self
    {
        $share = static fn (float $a, float $b): float => max(0.0, min($to, $b) - max($from, $a));

        return new self(
            $share(0.0, $on->arcFromMm),
            $clrMm > 0.0 ? rad2deg($share($on->arcFromMm, $on->arcToMm) / $clrMm) : 0.0,
            $clrMm,
            $share($on->arcToMm, $on->lengthMm),
        );
    }
}

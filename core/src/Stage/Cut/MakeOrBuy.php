<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Cut;

use UpsweptBead\Core\Shop\Practice\Rates;
use UpsweptBead\Core\Solve\Merge\PieCut;

/**
 * What the wedges of a bend cost when they are sawn here, and as a set cut ready; the welds are the same either way.
 */
final readonly class MakeOrBuy
{
    private function __construct(
        public int $cuts,
        public float $minutes,
        public float $blades,
        public float $making,
        public float $set,
    ) {}

    public static function of(PieCut $pie, Rates $rates): self
    {
        return self::ofCuts($pie->welds, $rates);
    }

    /** Minutes at the saw with deburring, the blades they wear out, and the shop's rate. */
    public static function ofCuts(int $cuts, Rates $rates): self
    {
        $minutes = $cuts * $rates->pieMinutes();
        $blades = $rates->blades($cuts);

        return new self(
            $cuts,
            $minutes,
            $blades,
            $minutes * $rates->perMinute() + $blades * $rates->bladePrice(),
            $rates->pieSetPrice(),
        );
    }

    public function isBought(): bool
    {
        return $this->set < $this->making;
    }
}

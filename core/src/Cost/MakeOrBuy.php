<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Cost;

use UpsweptBead\Core\Merge\PieCut;
use UpsweptBead\Core\Shop\ShopRules;

/** What the wedges of a bend cost when they are sawn here, and as a set cut ready; the welds are the same either way. */
final readonly class MakeOrBuy
{
    private function __construct(
        public int $cuts,
        public float $minutes,
        public float $blades,
        public float $making,
        public float $set,
    ) {}

    public static function of(PieCut $pie, ShopRules $rules): self
    {
        return self::ofCuts($pie->welds, $rules);
    }

    /** Minutes at the saw with deburring, the blades they wear out, and the shop's rate. */
    public static function ofCuts(int $cuts, ShopRules $rules): self
    {
        $minutes = $cuts * $rules->value('pie.minutes');
        $blades = $cuts / $rules->value('saw.band.cuts');

        return new self(
            $cuts,
            $minutes,
            $blades,
            $minutes / 60 * $rules->value('cost.hour') + $blades * $rules->value('saw.band.price'),
            $rules->value('pie.set_price'),
        );
    }

    public function isBought(): bool
    {
        return $this->set < $this->making;
    }
}

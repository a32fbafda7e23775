<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Run\Internal;

use UpsweptBead\Core\Shop\Stock\BendStock;
use UpsweptBead\Core\Solve\Run\Bend;

/** One way to get a bend out of a bought one, and the straight (mm) that stays on either side of it. */
final readonly class DonorUse
{
    private const EXACT_DEG = 0.05;

    private function __construct(
        public BendStock $donor,
        public float $beforeMm,
        public float $afterMm,
        public float $wasteDeg,
    ) {}

    /**
     * @param  list<BendStock>  $stock
     * @return list<self>
     */
    public static function options(Bend $bend, array $stock): array
    {
        $options = [];
        foreach ($stock as $donor) {
            if ($donor->isMade !== $bend->pieWelds > 0) {
                continue;
            }
            $waste = $donor->angleDeg - $bend->angleDeg;
            if (abs($donor->clrMm - $bend->clrMm) > 0.01 || $waste < -self::EXACT_DEG) {
                continue;
            }
            $legs = $waste <= self::EXACT_DEG
                ? [[$donor->clampLegMm, $donor->pullLegMm], [$donor->pullLegMm, $donor->clampLegMm]]
                : [[$donor->longestLegMm(), 0.0], [0.0, $donor->longestLegMm()]];
            foreach ($legs as [$before, $after]) {
                $options[] = new self($donor, $before, $after, max(0.0, $waste));
            }
        }

        return $options;
    }
}

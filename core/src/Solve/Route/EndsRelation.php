<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route;

use UpsweptBead\Core\Base\Geometry\Frame;

/**
 * How two ends lie to each other before anything is routed: distance, the turn between their axes, how far the axes
 * miss each other, and the fewest bends that could join them.
 */
final readonly class EndsRelation
{
    private const NOTHING_MM = 0.1;

    private const NOTHING_DEG = 0.05;

    private function __construct(
        public float $distanceMm,
        public float $turnDeg,
        public float $missMm,
        public int $leastBends,
    ) {}

    public static function of(Frame $start, Frame $end): self
    {
        $between = $end->at->minus($start->at);
        $turnDeg = $start->forward->angleDegTo($end->forward);
        $normal = $start->forward->cross($end->forward);
        if ($normal->length() < 1e-9) {
            $miss = $between->squareTo($start->forward)->length();
            $leastBends = $miss < self::NOTHING_MM && $turnDeg < self::NOTHING_DEG ? 0 : 2;

            return new self($between->length(), $turnDeg, $miss, $leastBends);
        }
        $miss = abs($between->dot($normal->unit()));
        $ahead = $between->cross($end->forward)->dot($normal) > 0 && $start->forward->cross($between)->dot($normal) > 0;

        return new self($between->length(), $turnDeg, $miss, $miss < self::NOTHING_MM && $ahead ? 1 : 2);
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route;

use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Shop\Practice\RoutingLimits;
use UpsweptBead\Core\Shop\Stock\BendStock;

/**
 * The question: a tube from a start frame to an end frame (both facing with the flow), from these bends, by these
 * rules.
 */
final readonly class RouteRequest
{
    /**
     * @param  list<BendStock>  $stock
     * @param  array<array-key, int>  $shelf  pieces on the shelf by stock id
     */
    public function __construct(
        public Frame $start,
        public Frame $end,
        public array $stock,
        public RoutingLimits $rules,
        public array $shelf = [],
    ) {}

    /** @return list<array{float, float}> every stocked centreline radius (mm), smallest first, with the greatest angle (°) bought on it */
    public function radii(): array
    {
        $radii = [];
        foreach ($this->stock as $bend) {
            $key = sprintf('%.3f', $bend->clrMm);
            $radii[$key] = [$bend->clrMm, max($radii[$key][1] ?? 0.0, $bend->angleDeg)];
        }
        $radii = array_values($radii);
        sort($radii);

        return $radii;
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Merge;

use UpsweptBead\Core\Solve\Merge\CutLine;
use UpsweptBead\Core\Solve\Merge\LinePoint;
use UpsweptBead\Core\Solve\Merge\Saddle;

/** What a plan needs to know of a saddle, so that its lines are traced once only; mm. */
final readonly class SaddleMeasures
{
    /**
     * @param  float  $lowMm  least station of the branch's cut, from the foot
     * @param  float  $highMm  and the greatest
     * @param  float  $seamMm  in space
     * @param  float  $holeFromMm  where the hole begins along the main, from the foot
     */
    private function __construct(
        public float $lowMm,
        public float $highMm,
        public float $seamMm,
        public float $holeFromMm,
        public float $holeToMm,
    ) {}

    public static function of(Saddle $saddle): self
    {
        $stations = static fn (CutLine $line): array => array_map(
            static fn (LinePoint $one): float => $one->sMm,
            $line->points,
        );
        [$end, $hole] = [$stations($saddle->end()), $stations($saddle->hole())];

        return new self(
            min([INF, ...$end]),
            max([-INF, ...$end]),
            $saddle->seamMm(),
            min([INF, ...$hole]),
            max([-INF, ...$hole]),
        );
    }
}

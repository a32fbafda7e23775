<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Reach;

/** A torch without its cup: a body, and the angles it may be held at. Millimetres and radians. */
final readonly class Torch
{
    /**
     * @param  float  $gapMm  that cup and body keep from all round them
     * @param  non-empty-list<int>  $senses  of travel along the seam: 1 with its tangent, −1 against it
     * @param  non-empty-list<float>  $workRad  ascending; from the seam's normal towards its side b
     * @param  non-empty-list<float>  $travelRad  ascending; by which the torch leans back from its travel
     */
    public function __construct(
        public float $bodyRadiusMm,
        public float $bodyLengthMm,
        public float $gapMm,
        public array $senses,
        public array $workRad,
        public array $travelRad,
    ) {}

    /**
     * Cup and body: from, to, radius; their middle along the torch, how far from it they want to be alone, and how near
     * to it something is within them for certain.
     *
     * @return non-empty-list<array{float, float, float, float, float, float}>
     */
    public function parts(Cup $cup): array
    {
        $endMm = $cup->endMm();
        $part = fn (float $from, float $to, float $radius): array => [
            $from,
            $to,
            $radius,
            ($from + $to) / 2,
            hypot(($to - $from) / 2, $radius) + $this->gapMm,
            min(($to - $from) / 2, $radius) + $this->gapMm,
        ];

        return [
            $part($cup->stickOutMm, $endMm, $cup->radiusMm),
            $part($endMm, $endMm + $this->bodyLengthMm, $this->bodyRadiusMm),
        ];
    }
}

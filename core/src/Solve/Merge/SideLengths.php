<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Merge;

/** Lengths or stations along the outer side of a bend, its centreline and its inner side; mm. */
final readonly class SideLengths
{
    public function __construct(public float $outerMm, public float $centreMm, public float $innerMm) {}

    /** Of an arc. */
    public static function ofArc(RoundTube $tube, float $clrMm, float $angle): self
    {
        return new self(
            ($clrMm + $tube->outsideMm()) * $angle,
            $clrMm * $angle,
            ($clrMm - $tube->outsideMm()) * $angle,
        );
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Merge;

use UpsweptBead\Core\Base\Document\Refusal;

/**
 * Pieces cut one after another out of a bend, or out of a ring that is opened first, with the marks for both cuts of
 * each. A kerf takes its width along the centreline, w/R of the bend. Lengths in mm, angles in radians.
 */
final readonly class BendMarks
{
    /** @param  list<array{float, float}>  $pieces  where each begins and ends */
    private function __construct(
        public RoundTube $tube,
        public float $clrMm,
        public array $pieces,
        public float $remainder,
    ) {}

    /**
     * @param  list<float>  $angles  in order
     * @param  float|null  $stock  angle of the bend; null for a closed ring
     */
    public static function of(RoundTube $tube, float $clrMm, float $kerfMm, array $angles, ?float $stock): self|Refusal
    {
        if ($clrMm <= $tube->outsideMm()) {
            return new Refusal('bend-too-tight', 'clr', $tube->outsideMm() - $clrMm);
        }
        $kerf = $kerfMm / $clrMm;
        $pieces = [];
        $end = $stock === null ? 0.0 : -$kerf;
        foreach ($angles as $angle) {
            $from = $end + $kerf;
            $end = $from + $angle;
            $pieces[] = [$from, $end];
        }
        $there = $stock ?? 2 * M_PI;

        return $end > $there + 1e-12
            ? new Refusal('stock-too-short', 'angles', rad2deg($end - $there))
            : new self($tube, $clrMm, $pieces, max(0.0, $there - $end - $kerf));
    }

    public function mark(float $angle): SideLengths
    {
        return SideLengths::ofArc($this->tube, $this->clrMm, $angle);
    }
}

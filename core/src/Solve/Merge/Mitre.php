<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Merge;

use UpsweptBead\Core\Base\Document\Refusal;
use UpsweptBead\Core\Base\Geometry\Vector;

/**
 * A tube cut by a plane. Stations count from where plane and centreline meet, psi 0 is on the longest side; mm,
 * radians.
 */
final readonly class Mitre
{
    /**
     * @param  float  $angle  to the square cut, 0 and more and below a right angle
     * @param  float  $lengthMm  of the centreline, from the square end to the plane
     */
    private function __construct(public RoundTube $tube, public float $angle, public float $lengthMm) {}

    public static function of(RoundTube $tube, float $angle, float $lengthMm): self|Refusal
    {
        $mitre = new self($tube, $angle, $lengthMm);

        return $mitre->shortestMm() < 0.0 ? new Refusal('cut-runs-off', 'length', -$mitre->shortestMm()) : $mitre;
    }

    public function cutMm(float $psi, float $radiusMm): float
    {
        return $radiusMm * tan($this->angle) * cos($psi);
    }

    public function longestMm(): float
    {
        return $this->lengthMm + $this->cutMm(0.0, $this->tube->outsideMm());
    }

    public function shortestMm(): float
    {
        return $this->lengthMm - $this->cutMm(0.0, $this->tube->outsideMm());
    }

    /** Length of the outside edge, in space. */
    public function edgeMm(): float
    {
        return Ellipse::perimeter($this->tube->outsideMm(), $this->tube->outsideMm() / cos($this->angle));
    }

    public function end(): CutLine
    {
        $radiusMm = $this->tube->outsideMm();

        return CutLine::trace(function (float $psi) use ($radiusMm): LinePoint {
            $sMm = $this->cutMm($psi, $radiusMm);

            return new LinePoint($psi, $sMm, new Vector($radiusMm * cos($psi), $radiusMm * sin($psi), $sMm));
        });
    }
}

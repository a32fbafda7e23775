<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Cool;

/**
 * V-band rings, flanges and bosses cut into slices of one temperature each, so that heat leaves the seam only as fast
 * as their metal conducts it. mm, kg, W/K.
 */
final readonly class EndBodies
{
    /** Slices of a V-band ring along the tube; finer ones change times by less than 2 %. */
    private const SLICES = 4;

    /** Rings of a flange from its seam outwards; finer ones change times by less than 2 %. */
    private const RINGS = 8;

    /** How much wider each ring is than the one inside it, from the second on. */
    private const WIDER = 1.25;

    public function __construct(private float $densityKgM3, private float $conductivityWMK) {}

    /**
     * A V-band ring clamped to its mate.
     *
     * @param  float  $sectionMm2  of the ring, cut across the tube
     * @param  float  $lengthMm  along the tube
     * @param  float  $insideMm  radius of the bore
     * @param  float  $outsideMm  radius of the outside
     * @param  float  $contactWK  through the face between the two rings
     * @param  float  $clampKg  of the clamp
     * @param  float  $clampMm  width of the clamp
     */
    public function band(
        float $sectionMm2,
        float $lengthMm,
        float $insideMm,
        float $outsideMm,
        float $contactWK,
        float $clampKg,
        float $clampMm,
    ): TubeEnd {
        $wide = $lengthMm / self::SLICES;
        $slice = $this->conductivityWMK * $sectionMm2 * 1e-3 / $wide;
        $massKg = $sectionMm2 * $wide * $this->densityKgM3 * 1e-9 + $clampKg / (2 * self::SLICES);
        $outsideRoundMm = 2 * M_PI * $outsideMm;
        $areaMm2 = ($outsideRoundMm + 2 * M_PI * $insideMm) * $wide + $outsideRoundMm * $clampMm / (2 * self::SLICES);
        $lumps = [];
        for ($i = 0; $i < 2 * self::SLICES; $i++) {
            $link = match ($i) {
                0 => 2 * $slice,
                self::SLICES => 1 / (1 / $slice + 1 / $contactWK),
                default => $slice,
            };
            $faceMm2 = $i === 2 * self::SLICES - 1 ? $sectionMm2 : 0.0;
            $lumps[] = new Lump($massKg, $areaMm2 + $faceMm2, $link, radiusMm: ($insideMm + $outsideMm) / 2);
        }

        return TubeEnd::body($lumps);
    }

    /**
     * A flange with the tube on or in it, free or bolted to a plate that warms.
     *
     * @param  float  $insideMm  radius of the seam
     * @param  float  $outsideMm  of a disc of the same area
     * @param  float  $beadMm  width of the bead; half of it lies on the flange
     * @param  float  $contactWM2K  through the bolted face
     */
    public function flange(
        float $insideMm,
        float $outsideMm,
        float $thickMm,
        float $beadMm,
        ?WarmPlate $plate = null,
        float $contactWM2K = 0.0,
    ): TubeEnd {
        $spread = 2 * M_PI * $this->conductivityWMK * $thickMm * 1e-3;
        // Through half of its thickness, and through the face.
        $throughWM2K = $plate === null ? 0.0 : 1 / (1 / $contactWM2K + $thickMm / 2000 / $this->conductivityWMK);
        // The first ring is what the bead covers.
        $wide = min($beadMm / 2, ($outsideMm - $insideMm) / self::RINGS);
        $second = ($outsideMm - $insideMm - $wide) * (self::WIDER - 1) / (self::WIDER ** (self::RINGS - 1) - 1);
        $lumps = [];
        $from = $before = $insideMm;
        for ($i = 0; $i < self::RINGS; $i++) {
            $to = $from + $wide;
            $middle = ($from + $to) / 2;
            $faceMm2 = M_PI * ($to ** 2 - $from ** 2);
            $edgeMm2 = $i === self::RINGS - 1 ? 2 * M_PI * $to * $thickMm : 0.0;
            $lumps[] = new Lump(
                $faceMm2 * $thickMm * $this->densityKgM3 * 1e-9,
                ($plate === null ? 2 : 1) * $faceMm2 + $edgeMm2,
                $spread / log($middle / $before),
                $plate === null ? null : $throughWM2K * $faceMm2 * 1e-6,
                radiusMm: $middle,
            );
            [$from, $before, $wide] = [$to, $middle, $i === 0 ? $second : $wide * self::WIDER];
        }

        return TubeEnd::body($lumps, $plate);
    }

    /** A boss, bung or tab on the side of a tube, as one slice. */
    public function boss(float $massKg, float $areaMm2, float $radiusMm): TubeEnd
    {
        return TubeEnd::body([new Lump($massKg, $areaMm2, radiusMm: $radiusMm)]);
    }
}

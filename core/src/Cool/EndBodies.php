<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Cool;

/**
 * What is welded to a tube, cut into lumps of one temperature each: a ring in its clamp, a flange, a boss. Each leads
 * heat away from the seam only as well as its own metal does. mm, kg, W/K.
 */
final readonly class EndBodies
{
    /** Slices of a ring along the tube, and rings of a flange outwards; finer ones change times by less than 2 %. */
    private const SLICES = 4;

    private const RINGS = 8;

    /** Each ring of a flange but the first is so much wider than the one inside it. */
    private const WIDER = 1.25;

    public function __construct(private float $densityKgM3, private float $conductivityWMK) {}

    /**
     * A V-band ring clamped to its mate.
     *
     * @param  float  $sectionMm2  across the tube
     * @param  float  $lengthMm  along it
     * @param  float  $insideMm  its bore's radius
     * @param  float  $outsideMm  its outside's
     * @param  float  $contactWK  through its face into its mate
     * @param  float  $clampKg  holds both
     * @param  float  $clampMm  how wide that is
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
     * A flange that the tube stands on or in, free or bolted to a plate that warms.
     *
     * @param  float  $insideMm  radius of the seam on it
     * @param  float  $outsideMm  of a disc of the same area
     * @param  float  $beadMm  how wide the bead is; half of it lies on the flange
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
        // The bead goes into the first of them.
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

    /** A boss, a tab or whatever stands on the side of a tube, of one temperature. */
    public function boss(float $massKg, float $areaMm2, float $radiusMm): TubeEnd
    {
        return TubeEnd::body([new Lump($massKg, $areaMm2, radiusMm: $radiusMm)]);
    }
}

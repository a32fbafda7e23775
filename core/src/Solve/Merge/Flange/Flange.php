<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Merge\Flange;

/**
 * A flange as it is cut from plate, seen with the flow, up is up: its outline, its opening, its bolt holes. mm.
 */
final readonly class Flange
{
    /**
     * @param  Path  $opening  the largest hole; the tube goes through it or stands on it
     * @param  list<Path>  $holes
     */
    public function __construct(
        public Path $outline,
        public Path $opening,
        public array $holes,
        public float $thicknessMm,
    ) {}

    /** Of the plate that is left, in mm². */
    public function areaMm2(): float
    {
        $openings = [$this->opening, ...$this->holes];

        return abs($this->outline->areaMm2())
            - array_sum(array_map(static fn (Path $one): float => abs($one->areaMm2()), $openings));
    }

    /**
     * By how much a tube on it stands over the edge of the plate, and where: degrees clockwise from up. Below 0 is what
     * metal there is beside it at the nearest.
     *
     * @return array{float, float}
     */
    public function overhang(float $odMm): array
    {
        $worst = [-INF, 0.0];
        for ($deg = 0; $deg < 360; $deg += 2) {
            [$x, $y] = [$odMm / 2 * sin(deg2rad($deg)), $odMm / 2 * cos(deg2rad($deg))];
            $overMm = $this->outline->distanceMm($x, $y) * ($this->outline->holds($x, $y) ? -1 : 1);
            $worst = $overMm > $worst[0] ? [$overMm, (float) $deg] : $worst;
        }

        return $worst;
    }

    /** The least metal between a bolt hole and what stands in or on the opening; INF without holes. */
    public function webMm(float $odMm): float
    {
        $least = INF;
        $opening = $this->opening->asDisc();
        foreach ($this->holes as $hole) {
            $disc = $hole->asDisc();
            foreach ($disc === null ? $hole->points() : [[$disc->xMm, $disc->yMm]] as [$x, $y]) {
                $radiusMm = $disc->radiusMm ?? 0.0;
                $toOpening = $opening === null
                    ? $this->opening->distanceMm($x, $y)
                    : hypot($x - $opening->xMm, $y - $opening->yMm) - $opening->radiusMm;
                $least = min($least, hypot($x, $y) - $odMm / 2 - $radiusMm, $toOpening - $radiusMm);
            }
        }

        return $least;
    }
}

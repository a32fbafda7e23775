<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Gas\Internal;

use UpsweptBead\Core\Base\Geometry\Vector;

/** An inside held one way, with from how high air finds out by each outlet that was asked for. */
final class Levels
{
    public readonly Roofs $roofs;

    /** @var array<int, list<float>> by the slice of an outlet */
    private array $known = [];

    public function __construct(private readonly Slices $slices, Vector $up)
    {
        $this->roofs = new Roofs($slices, $up);
    }

    /** @return list<float> out of an end of a tube */
    public function ofEnd(string $tube, bool $isStart): array
    {
        return $this->of($this->slices->ofEnd($tube, $isStart));
    }

    /** @return list<float> out of a joint that is open, at a station of a tube */
    public function ofJoint(string $tube, float $stationMm): array
    {
        return $this->of($this->slices->at($tube, $stationMm));
    }

    /** @return list<float> */
    private function of(int $slice): array
    {
        return $this->known[$slice] ??= $this->roofs->from($slice);
    }
}

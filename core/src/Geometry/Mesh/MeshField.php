<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Geometry\Mesh;

/**
 * Remembers the distances of a mesh from the points of a grid, each once it is asked for. A distance never changes faster
 * than the point moves, so the nearest grid point tells, almost for nothing, how near a point is at the most.
 */
final class MeshField
{
    private const CELL = 12.0;

    /** Further from the mesh's box than this its own distance is told well enough. */
    private const FAR = 120.0;

    /** @var array<int, float> */
    private array $nodes = [];

    /** @var array{float, float, float} */
    private readonly array $low;

    /** @var array{float, float, float} */
    private readonly array $high;

    public function __construct(private readonly TriangleMesh $mesh)
    {
        [$a, $b, $c, $d, $e, $f] = $mesh->box();
        $this->low = [$a, $b, $c];
        $this->high = [$d, $e, $f];
    }

    /** The signed distance itself. */
    public function distance(float $x, float $y, float $z): float
    {
        $distance = $this->mesh->distance($x, $y, $z);

        return $this->isInside($x, $y, $z, $distance) ? -$distance : $distance;
    }

    /** How deep a point lies inside, 0 outside. */
    public function depth(float $x, float $y, float $z): float
    {
        return $this->atLeast($x, $y, $z) > 0.0 || ! $this->mesh->contains($x, $y, $z) ? 0.0 : $this->mesh->distance($x, $y, $z);
    }

    /** A distance that is not above the true one. */
    public function atLeast(float $x, float $y, float $z): float
    {
        $dx = max($this->low[0] - $x, 0.0, $x - $this->high[0]);
        $dy = max($this->low[1] - $y, 0.0, $y - $this->high[1]);
        $dz = max($this->low[2] - $z, 0.0, $z - $this->high[2]);
        $box = sqrt($dx * $dx + $dy * $dy + $dz * $dz);
        if ($box > self::FAR) {
            return $box;
        }
        $i = (int) round($x / self::CELL);
        $j = (int) round($y / self::CELL);
        $k = (int) round($z / self::CELL);
        $key = (($i & 0xFFFFF) << 40) | (($j & 0xFFFFF) << 20) | ($k & 0xFFFFF);
        $nodeX = $i * self::CELL;
        $nodeY = $j * self::CELL;
        $nodeZ = $k * self::CELL;
        $here = $this->nodes[$key] ??= $this->node($nodeX, $nodeY, $nodeZ);
        $near = $here - sqrt(($x - $nodeX) ** 2 + ($y - $nodeY) ** 2 + ($z - $nodeZ) ** 2);

        return $near > $box ? $near : ($box > 0.0 ? $box : $near);
    }

    private function node(float $x, float $y, float $z): float
    {
        $distance = $this->mesh->distance($x, $y, $z, 2 * self::FAR);

        return $this->mesh->contains($x, $y, $z) ? -$distance : $distance;
    }

    private function isInside(float $x, float $y, float $z, float $distance): bool
    {
        return $this->mesh->isClosed && $distance > 0.0 && $this->atLeast($x, $y, $z) <= 0.0 && $this->mesh->contains($x, $y, $z);
    }
}

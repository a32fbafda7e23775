<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Geometry\Mesh;

/**
 * Remembers the distances of a mesh from the points of a grid, each once it is asked for. A distance never changes
 * faster than the point moves, so the nearest grid point tells, almost for nothing, how near a point is at the most.
 */
final class MeshField
{
    private const CELL = 12.0;

    private const FINE = 6.0;

    /** Further from the mesh's box than this its own distance is told well enough. */
    private const FAR = 120.0;

    /** @var array<int, float> */
    private array $nodes = [];

    /** @var array<int, float> */
    private array $fine = [];

    /** @var array<int, list<float>> */
    private array $cells = [];

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

    /** The signed distance itself. In mm. */
    public function distance(float $x, float $y, float $z): float
    {
        $distance = $this->mesh->distance($x, $y, $z);

        return $this->isInside($x, $y, $z, $distance) ? -$distance : $distance;
    }

    /** How deep a point lies inside, 0 outside. In mm. */
    public function depth(float $x, float $y, float $z): float
    {
        return $this->atLeast($x, $y, $z) > 0.0 || ! $this->mesh->contains($x, $y, $z)
            ? 0.0
            : $this->mesh->distance($x, $y, $z);
    }

    /** A distance that is not above the true one. */
    public function atLeast(float $x, float $y, float $z): float
    {
        $box = $this->fromBox($x, $y, $z);
        if ($box > self::FAR) {
            return $box;
        }
        [$here, $off] = $this->nearby($x, $y, $z);
        $near = $here - $off;

        return $near > $box ? $near : ($box > 0.0 ? $box : $near);
    }

    /**
     * A distance that is not above the true one, and near it where the fine grid is asked: where the coarse one does
     * not tell already that it is above $enough.
     *
     * At least δ from a surface, the distance from it less |p|² / 2δ is concave (semiconcavity of distance functions:
     * Cannarsa & Sinestrari 2004, from memory), so that between the points of a grid of h it is told too high by 3h² /
     * 8δ at most.
     */
    public function bound(float $x, float $y, float $z, float $enough): float
    {
        $coarse = $this->atLeast($x, $y, $z);
        if ($coarse - $enough > self::FINE) {
            return $coarse;
        }
        $fine = $this->between($x, $y, $z);
        // No point of the cell is nearer than this.
        $least = $fine - 2 * self::FINE;
        $bound = $least > 1.0 ? $fine - 0.375 * self::FINE ** 2 / $least : $coarse;

        return max($coarse, $bound);
    }

    /** The signed distance, in a straight line between the eight points of a fine grid about it. In mm. */
    public function between(float $x, float $y, float $z): float
    {
        $u = $x / self::FINE;
        $v = $y / self::FINE;
        $w = $z / self::FINE;
        $i = (int) floor($u);
        $j = (int) floor($v);
        $k = (int) floor($w);
        $u -= $i;
        $v -= $j;
        $w -= $k;
        $corners = $this->cells[self::key($i, $j, $k)] ??= $this->corners($i, $j, $k);
        $near = $corners[0] + $u * ($corners[1] - $corners[0]);
        $near += $v * ($corners[2] + $u * ($corners[3] - $corners[2]) - $near);
        $far = $corners[4] + $u * ($corners[5] - $corners[4]);
        $far += $v * ($corners[6] + $u * ($corners[7] - $corners[6]) - $far);

        return $near + $w * ($far - $near);
    }

    /** @return list<float> the signed distances at the corners of a cell of the fine grid, x first */
    private function corners(int $i, int $j, int $k): array
    {
        $corners = [];
        for ($corner = 0; $corner < 8; $corner++) {
            $a = $i + ($corner & 1);
            $b = $j + (($corner >> 1) & 1);
            $c = $k + ($corner >> 2);
            $corners[] = $this->fine[self::key($a, $b, $c)] ??= $this->node(
                $a * self::FINE,
                $b * self::FINE,
                $c * self::FINE,
            );
        }

        return $corners;
    }

    private static function key(int $i, int $j, int $k): int
    {
        return (($i & 0xFFFFF) << 40) | (($j & 0xFFFFF) << 20) | ($k & 0xFFFFF);
    }

    /** The distance from the mesh's box, 0 inside it. */
    private function fromBox(float $x, float $y, float $z): float
    {
        $dx = max($this->low[0] - $x, 0.0, $x - $this->high[0]);
        $dy = max($this->low[1] - $y, 0.0, $y - $this->high[1]);
        $dz = max($this->low[2] - $z, 0.0, $z - $this->high[2]);

        return sqrt($dx * $dx + $dy * $dy + $dz * $dz);
    }

    /** @return array{float, float} the signed distance at the nearest grid point, and how far that is */
    private function nearby(float $x, float $y, float $z): array
    {
        $i = (int) round($x / self::CELL);
        $j = (int) round($y / self::CELL);
        $k = (int) round($z / self::CELL);
        $key = self::key($i, $j, $k);
        $nodeX = $i * self::CELL;
        $nodeY = $j * self::CELL;
        $nodeZ = $k * self::CELL;

        return [
            ($this->nodes[$key] ??= $this->node($nodeX, $nodeY, $nodeZ)),
            sqrt(($x - $nodeX) ** 2 + ($y - $nodeY) ** 2 + ($z - $nodeZ) ** 2),
        ];
    }

    private function node(float $x, float $y, float $z): float
    {
        $distance = $this->mesh->distance($x, $y, $z, 2 * self::FAR);

        return $this->mesh->contains($x, $y, $z) ? -$distance : $distance;
    }

    private function isInside(float $x, float $y, float $z, float $distance): bool
    {
        return $this->mesh->isClosed &&
            $distance > 0.0 &&
            $this->atLeast($x, $y, $z) <= 0.0 &&
            $this->mesh->contains($x, $y, $z);
    }
}

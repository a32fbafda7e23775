<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Geometry\Solid;

use UpsweptBead\Core\Base\Geometry\Mesh\MeshField;
use UpsweptBead\Core\Base\Geometry\Mesh\TriangleMesh;
use UpsweptBead\Core\Base\Geometry\Vector;

/**
 * Any shape, as a surface of triangles set down somewhere: the one keep-out that need not be convex.
 *
 * Distances to the triangles are exact; only inside a closed mesh are they negative. An open one is a skin without an
 * inside.
 */
final readonly class MeshSolid extends KeepOut
{
    /** Where the grid leaves no more than this, a line is measured from the triangles, in parts this long. */
    private const NEAR_MM = 0.5;

    private const PART_MM = 5.0;

    private MeshField $field;

    /**
     * @param  Vector  $at  where the mesh's zero lies
     * @param  array{Vector, Vector, Vector}  $axes  along the mesh's own axes, square to each other, of length 1
     */
    public function __construct(
        string $id,
        public TriangleMesh $mesh,
        public Vector $at,
        public array $axes,
        ?float $clearanceMm = null,
        float $exemptFirstMm = 0.0,
        float $exemptLastMm = 0.0,
    ) {
        parent::__construct($id, $clearanceMm, $exemptFirstMm, $exemptLastMm);
        $this->field = new MeshField($mesh);
    }

    /** A place in the mesh's own axes. */
    public function toOwn(Vector $at): Vector
    {
        [$u, $v, $w] = $this->own($at->x - $this->at->x, $at->y - $this->at->y, $at->z - $this->at->z);

        return new Vector($u, $v, $w);
    }

    /** A place of the mesh where it is set down. */
    public function toJob(Vector $own): Vector
    {
        return $this->at->plus($this->wayOut($own));
    }

    /** A direction of the mesh where it is set down. */
    public function wayOut(Vector $own): Vector
    {
        [$x, $y, $z] = $this->axes;

        return $x->times($own->x)->plus($y->times($own->y))->plus($z->times($own->z));
    }

    /**
     * A box in the mesh's own axes that holds places and some room round them.
     *
     * @param  non-empty-list<Vector>  $places
     * @return array{Vector, Vector} its least and its greatest corner
     */
    public function boxRound(array $places, float $roomMm): array
    {
        $own = array_map(fn (Vector $one): array => $this->toOwn($one)->toArray(), $places);
        [$xs, $ys, $zs] = [array_column($own, 0), array_column($own, 1), array_column($own, 2)];

        return [
            new Vector(min($xs) - $roomMm, min($ys) - $roomMm, min($zs) - $roomMm),
            new Vector(max($xs) + $roomMm, max($ys) + $roomMm, max($zs) + $roomMm),
        ];
    }

    /** In mm, negative inside a closed mesh. */
    public function distance(float $x, float $y, float $z): float
    {
        [$u, $v, $w] = $this->own($x - $this->at->x, $y - $this->at->y, $z - $this->at->z);

        return $this->field->distance($u, $v, $w);
    }

    /** In mm, never more than the true distance. */
    public function atLeast(float $x, float $y, float $z): float
    {
        [$u, $v, $w] = $this->own($x - $this->at->x, $y - $this->at->y, $z - $this->at->z);

        return $this->field->atLeast($u, $v, $w);
    }

    /** Gives about the distance, from a grid, in little time: within 0.5 mm some 30 mm from a surface. */
    public function roughly(float $x, float $y, float $z): float
    {
        [$u, $v, $w] = $this->own($x - $this->at->x, $y - $this->at->y, $z - $this->at->z);

        return $this->field->between($u, $v, $w);
    }

    public function isConvex(): bool
    {
        return false;
    }

    /** The least distance (mm) to a line from a point along a vector, and the share of the line where that is. */
    public function along(float $x, float $y, float $z, float $ux, float $uy, float $uz, float $limit): array
    {
        [$x, $y, $z] = $this->own($x - $this->at->x, $y - $this->at->y, $z - $this->at->z);
        [$ux, $uy, $uz] = $this->own($ux, $uy, $uz);
        $best = [$limit, 0.0];
        if ($this->mesh->isClosed) {
            foreach ([0.0, 0.5, 1.0] as $share) {
                $depth = $this->field->depth($x + $share * $ux, $y + $share * $uy, $z + $share * $uz);
                if ($depth > 0.0 && -$depth < $best[0]) {
                    $best = [-$depth, $share];
                }
            }
        }
        $length = sqrt($ux * $ux + $uy * $uy + $uz * $uz);
        for ($s = 0.0; $s <= $length && $best[0] > 0.0;) {
            $t = $length > 0.0 ? $s / $length : 0.0;
            $room = $this->field->bound($x + $t * $ux, $y + $t * $uy, $z + $t * $uz, $best[0]) - $best[0];
            if ($room > self::NEAR_MM) {
                // A distance never changes faster than the point moves.
                $s += $room;

                continue;
            }
            $part = $length > 0.0 ? min(self::PART_MM / $length, 1.0 - $t) : 0.0;
            [$distance, $share] = $this->mesh->distanceToLine(
                $x + $t * $ux,
                $y + $t * $uy,
                $z + $t * $uz,
                $part * $ux,
                $part * $uy,
                $part * $uz,
                $best[0],
            );
            if ($share >= 0.0) {
                $best = [$distance, $t + $share * $part];
            }
            $s += self::PART_MM;
        }

        return $best;
    }

    /** @return array{float, float, float} in the mesh's own axes */
    private function own(float $x, float $y, float $z): array
    {
        [$a, $b, $c] = $this->axes;

        return [
            $x * $a->x + $y * $a->y + $z * $a->z,
            $x * $b->x + $y * $b->y + $z * $b->z,
            $x * $c->x + $y * $c->y + $z * $c->z,
        ];
    }
}

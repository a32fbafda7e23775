<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Route\Problem;

use UpsweptBead\Core\Geometry\Mesh\MeshField;
use UpsweptBead\Core\Geometry\Mesh\TriangleMesh;
use UpsweptBead\Core\Geometry\Vector;

/**
 * Any shape, as a surface of triangles set down somewhere: the one keep-out that need not be convex.
 *
 * Distances to the triangles are exact; only inside a closed mesh are they negative. An open one is a skin without an inside.
 */
final readonly class MeshSolid extends KeepOut
{
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

    public function distance(float $x, float $y, float $z): float
    {
        [$u, $v, $w] = $this->own($x - $this->at->x, $y - $this->at->y, $z - $this->at->z);

        return $this->field->distance($u, $v, $w);
    }

    public function atLeast(float $x, float $y, float $z): float
    {
        [$u, $v, $w] = $this->own($x - $this->at->x, $y - $this->at->y, $z - $this->at->z);

        return $this->field->atLeast($u, $v, $w);
    }

    public function isConvex(): bool
    {
        return false;
    }

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
        if ($best[0] > 0.0) {
            [$distance, $share] = $this->mesh->distanceToLine($x, $y, $z, $ux, $uy, $uz, $best[0]);
            if ($share >= 0.0) {
                $best = [$distance, $share];
            }
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

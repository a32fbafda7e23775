<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Search;

use UpsweptBead\Core\Base\Geometry\Solid\KeepOut;
use UpsweptBead\Core\Base\Geometry\Solid\MeshSolid;

/**
 * What stands in for a mesh while a way is looked for: distances from a grid instead of from its triangles. It is off
 * by less than the search keeps in hand, and every answer is proved against the mesh itself.
 */
final readonly class RoughMesh extends KeepOut
{
    /**
     * Taken on top of the grid's distance where it is to be no less than the true one: enough for what matters while
     * searching.
     */
    private const OFF = 0.3;

    /** Lines are looked at in steps no shorter, mm. */
    private const STEP = 2.0;

    /** Where the coarse grid leaves this much, the fine one need not be asked, mm. */
    private const PLENTY = 6.0;

    public function __construct(private MeshSolid $mesh)
    {
        parent::__construct($mesh->id, $mesh->clearanceMm, $mesh->exemptFirstMm, $mesh->exemptLastMm);
    }

    /** In mm, as near as the grid of the mesh tells. */
    public function distance(float $x, float $y, float $z): float
    {
        return $this->mesh->roughly($x, $y, $z);
    }

    /** In mm, never more than the true distance. */
    public function atLeast(float $x, float $y, float $z): float
    {
        return $this->mesh->atLeast($x, $y, $z);
    }

    /** In mm, never less than the true distance. */
    public function atMost(float $x, float $y, float $z): float
    {
        return $this->mesh->roughly($x, $y, $z) + self::OFF;
    }

    public function isConvex(): bool
    {
        return false;
    }

    /** The least distance (mm) to a line from a point along a vector, and the share of the line where that is. */
    public function along(float $x, float $y, float $z, float $ux, float $uy, float $uz, float $limit): array
    {
        $length = sqrt($ux * $ux + $uy * $uy + $uz * $uz);
        $best = [$limit, 0.0];
        $s = 0.0;
        while (true) {
            $share = $length > 0.0 ? $s / $length : 0.0;
            $px = $x + $share * $ux;
            $py = $y + $share * $uy;
            $pz = $z + $share * $uz;
            $room = $this->mesh->atLeast($px, $py, $pz) - $best[0];
            if ($room < self::PLENTY) {
                $distance = $this->mesh->roughly($px, $py, $pz);
                if ($distance < $best[0]) {
                    $best = [$distance, $share];
                }
                $room = $distance - $best[0];
            }
            if ($s >= $length) {
                return $best;
            }
            // A distance never changes faster than the point moves.
            $s = min($length, $s + max(self::STEP, $room));
        }
    }
}

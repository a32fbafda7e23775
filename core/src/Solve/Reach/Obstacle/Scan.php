<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Reach\Obstacle;

use UpsweptBead\Core\Base\Geometry\Solid\MeshSolid;
use UpsweptBead\Core\Solve\Reach\Barrel;

/**
 * A scan of what stands there, of any shape. The barrel counts as if its ends were round, so that at its rims a scan is
 * never taken to be farther than it is, and straight before the cup up to a cup's radius nearer.
 */
final readonly class Scan implements InTheWay
{
    public function __construct(private MeshSolid $solid) {}

    public function solid(): MeshSolid
    {
        return $this->solid;
    }

    public function clears(Barrel $barrel, float $gapMm): bool
    {
        [$x, $y, $z] = $barrel->at($barrel->from);
        $long = $barrel->to - $barrel->from;
        $apartMm = $barrel->radius + $gapMm;

        return $this->solid->along(
            $x, $y, $z, $long * $barrel->ax, $long * $barrel->ay, $long * $barrel->az, $apartMm,
        )[0] >= $apartMm;
    }
}

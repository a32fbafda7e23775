<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Scan;

use UpsweptBead\Core\Base\Geometry\Mesh\MeshBuilder;
use UpsweptBead\Core\Base\Geometry\Mesh\TriangleMesh;
use UpsweptBead\Core\Base\Geometry\Vector;

/** Cuts a scan to the room that matters: triangles that reach into a box are kept whole. Lengths in mm. */
final readonly class ScanCut
{
    /**
     * @param  Vector  $least  corner of the box, in the scan's own axes
     * @param  Vector  $most  the opposite one
     *
     * @throws \DomainException if nothing would be left
     */
    public static function to(TriangleMesh $mesh, Vector $least, Vector $most): TriangleMesh
    {
        $corners = $mesh->corners();
        [$low, $high] = [$least->toArray(), $most->toArray()];
        $kept = [];
        for ($i = 0; $i < count($corners); $i += 9) {
            $isIn = true;
            for ($axis = 0; $axis < 3 && $isIn; $axis++) {
                $three = [$corners[$i + $axis], $corners[$i + 3 + $axis], $corners[$i + 6 + $axis]];
                $isIn = max($three) >= $low[$axis] && min($three) <= $high[$axis];
            }
            if ($isIn) {
                array_push($kept, ...array_slice($corners, $i, 9));
            }
        }

        return $kept === []
            ? throw new \DomainException('Nothing of the scan lies in that room: bring it to the datum first, or leave more round the runs.')
            : MeshBuilder::build($kept);
    }
}

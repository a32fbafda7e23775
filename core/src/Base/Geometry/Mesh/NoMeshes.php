<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Geometry\Mesh;

/** No meshes at hand. */
final readonly class NoMeshes implements MeshStore
{
    public function find(string $fingerprint): ?TriangleMesh
    {
        return null;
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Geometry\Mesh;

/** Where meshes are kept: too large to stand in a job, which only names them. */
interface MeshStore
{
    /** A mesh's fingerprint: the first half of the SHA-256 of its packed bytes. */
    public const NAME = '/^[0-9a-f]{32}$/';

    public function find(string $fingerprint): ?TriangleMesh;
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Cli;

use UpsweptBead\Core\Base\Geometry\Mesh\MeshBuilder;
use UpsweptBead\Core\Base\Geometry\Mesh\MeshStore;
use UpsweptBead\Core\Base\Geometry\Mesh\TriangleMesh;
use UpsweptBead\Core\Exchange\Files\Exception\UnusableStl;
use UpsweptBead\Core\Exchange\Files\StlReader;
use UpsweptBead\Core\Exchange\Files\StlUp;

/** Meshes as STL files beside the job file, in mm and with z up, each named by its fingerprint. */
final readonly class FolderMeshes implements MeshStore
{
    public function __construct(private string $folder) {}

    public function find(string $fingerprint): ?TriangleMesh
    {
        $file = "$this->folder/$fingerprint.stl";
        if (preg_match(self::NAME, $fingerprint) !== 1 || ! is_file($file)) {
            return null;
        }
        try {
            return MeshBuilder::build(
                StlReader::read(
                    (string) file_get_contents($file, false, null, 0, StlReader::MOST_BYTES + 1),
                    1.0,
                    StlUp::Z,
                ),
            );
        } catch (UnusableStl) {
            return null;
        }
    }
}

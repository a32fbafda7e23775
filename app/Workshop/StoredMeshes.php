<?php

declare(strict_types=1);

namespace App\Workshop;

use Illuminate\Support\Facades\DB;
use UpsweptBead\Core\Geometry\Mesh\MeshStore;
use UpsweptBead\Core\Geometry\Mesh\TriangleMesh;

/**
 * Meshes in the database, by the fingerprint of what they hold; each machine keeps a copy beside its other caches, as
 * it is read with every edit of a job that names it.
 */
final class StoredMeshes implements MeshStore
{
    /** @var array<string, TriangleMesh|null> */
    private array $open = [];

    public function find(string $fingerprint): ?TriangleMesh
    {
        if (preg_match(self::NAME, $fingerprint) !== 1) {
            return null;
        }

        return $this->open[$fingerprint] ??= $this->read($fingerprint);
    }

    /** Keeps a mesh and gives its fingerprint. */
    public function keep(TriangleMesh $mesh): string
    {
        $packed = $mesh->packed();
        $fingerprint = substr(hash('sha256', $packed), 0, 32);
        DB::statement(
            'insert into meshes (fingerprint, triangles, is_closed, packed, created_at, updated_at) values (?, ?, ?, decode(?, \'base64\'), now(), now()) on conflict do nothing',
            [$fingerprint, $mesh->triangles(), $mesh->isClosed, base64_encode($packed)],
        );
        $this->open[$fingerprint] = $mesh;

        return $fingerprint;
    }

    private function read(string $fingerprint): ?TriangleMesh
    {
        $file = storage_path("framework/cache/mesh-$fingerprint");
        $packed = is_file($file) ? (string) file_get_contents($file) : '';
        if ($packed === '') {
            $stored = DB::scalar('select encode(packed, \'base64\') from meshes where fingerprint = ?', [$fingerprint]);
            if (! is_string($stored)) {
                return null;
            }
            $packed = (string) base64_decode($stored, true);
            // Put in place whole: another request may be reading it.
            $half = $file.'.'.bin2hex(random_bytes(4));
            file_put_contents($half, $packed);
            rename($half, $file);
        }

        return TriangleMesh::unpacked($packed);
    }
}

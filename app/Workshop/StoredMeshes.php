<?php

declare(strict_types=1);

namespace App\Workshop;

use Illuminate\Support\Facades\DB;
use UpsweptBead\Core\Base\Geometry\Mesh\MeshStore;
use UpsweptBead\Core\Base\Geometry\Mesh\TriangleMesh;

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
        $kept = is_file($file) ? self::opened((string) file_get_contents($file)) : null;
        if ($kept !== null) {
            return $kept;
        }
        $stored = DB::scalar('select encode(packed, \'base64\') from meshes where fingerprint = ?', [$fingerprint]);
        if (! is_string($stored)) {
            return null;
        }
        $packed = (string) base64_decode($stored, true);
        // Put in place whole: another request may be reading it, and a full disk takes only a part.
        $half = $file.'.'.bin2hex(random_bytes(4));
        if (@file_put_contents($half, $packed) === strlen($packed)) {
            rename($half, $file);
        } else {
            @unlink($half);
        }

        return TriangleMesh::unpacked($packed);
    }

    /** What a machine kept may have been cut short, by a full disk or a loss of power; then it is fetched again. */
    private static function opened(string $packed): ?TriangleMesh
    {
        try {
            return TriangleMesh::unpacked($packed);
        } catch (\UnexpectedValueException) {
            return null;
        }
    }
}

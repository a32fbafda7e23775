<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Job;
use App\Workshop\StoredMeshes;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use UpsweptBead\Core\Base\Geometry\Mesh\MeshBuilder;
use UpsweptBead\Core\Base\Geometry\Mesh\MeshSketch;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Exchange\Files\Exception\UnusableStl;
use UpsweptBead\Core\Exchange\Files\StlReader;
use UpsweptBead\Core\Exchange\Files\StlUp;

/** Scanned or drawn shapes, taken in from STL files to be kept clear of. */
final readonly class MeshController
{
    private const MM_PER_UNIT = ['mm' => 1.0, 'cm' => 10.0, 'm' => 1000.0, 'inch' => Length::MM_PER_INCH];

    public function __construct(private StoredMeshes $meshes) {}

    public function store(Request $request): JsonResponse
    {
        $request->validate([
            'unit' => ['required', Rule::in(array_keys(self::MM_PER_UNIT))],
            'up' => ['required', Rule::enum(StlUp::class)],
        ]);
        $file = $request->file('file');
        if (! ($file instanceof UploadedFile) || ! $file->isValid()) {
            throw ValidationException::withMessages([
                'file' => sprintf(
                    'No file arrived; an STL file of at most %d MB is taken.',
                    StlReader::MOST_BYTES / 1_000_000,
                ),
            ]);
        }
        try {
            $corners = StlReader::read(
                $file->getContent(),
                self::MM_PER_UNIT[$request->string('unit')->toString()],
                StlUp::from($request->string('up')->toString()),
            );
        } catch (UnusableStl $error) {
            throw ValidationException::withMessages(['file' => $error->getMessage()]);
        }
        $mesh = MeshBuilder::build($corners);

        return new JsonResponse(
            [
                'fingerprint' => $this->meshes->keep($mesh),
                'triangles' => $mesh->triangles(),
                'isClosed' => $mesh->isClosed,
                'box' => $mesh->box(),
            ],
            Response::HTTP_CREATED,
        );
    }

    /** What is drawn of it: corners of triangles as 32-bit numbers. */
    public function show(Job $job, string $fingerprint): Response
    {
        $mesh = $this->meshes->find($fingerprint) ?? abort(404);

        return new Response(pack('g*', ...MeshSketch::of($mesh)), 200, [
            'Content-Type' => 'application/octet-stream', 'Cache-Control' => 'private, max-age=31536000, immutable',
        ]);
    }
}

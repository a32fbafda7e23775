<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\KnownPlace;
use App\Http\Refused;
use App\Http\Requests\ChangeRequest;
use App\Workshop\StoredMeshes;
use App\Workshop\Workshop;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;
use UpsweptBead\Core\Base\Document\Faults;
use UpsweptBead\Core\Base\Document\Node;
use UpsweptBead\Core\Base\Geometry\Mesh\TriangleMesh;
use UpsweptBead\Core\Base\Geometry\Solid\MeshSolid;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Exchange\Screens\FigureWriter;
use UpsweptBead\Core\Exchange\Screens\ScanWriter;
use UpsweptBead\Core\Job\Job as CoreJob;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Job\KeepOut\KeepOutSpec;
use UpsweptBead\Core\Solve\Scan\ScanCut;
use UpsweptBead\Core\Solve\Scan\ScanFit;
use UpsweptBead\Core\Solve\Scan\ScanPose;
use UpsweptBead\Core\Stage\Survey\Surroundings;
use UpsweptBead\Core\Stage\Survey\Surveyed;

/**
 * What is taken from a scan that was imported: a port by a tap on it, its place by taps on what is known, and the part of
 * it that matters. A document goes in, an answer or a changed one comes out.
 */
final readonly class ScanController
{
    private const MOST_PAIRS = 12;

    /** Nobody needs more of the room round a job (mm). */
    private const MOST_ROOM_MM = 3000.0;

    public function __construct(private Workshop $workshop, private StoredMeshes $meshes) {}

    /** The face or bore that a place of the scan belongs to. */
    public function fit(ChangeRequest $request): JsonResponse
    {
        $job = $request->document();
        $solid = $this->solid($request, $job);
        $faults = new Faults();
        $tap = KnownPlace::typed(Node::of($request->only(['tap']), $faults)->at('tap'), $job->units);
        Refused::ifAny($faults);
        try {
            $fit = ScanFit::at($solid->mesh, $solid->toOwn($tap));
        } catch (\DomainException $error) {
            throw ValidationException::withMessages(['tap' => $error->getMessage()]);
        }

        return new JsonResponse((new ScanWriter(new FigureWriter($job->units)))->fit($fit, $solid));
    }

    /** The scan brought to where tapped places are known to be. */
    public function place(ChangeRequest $request): JsonResponse
    {
        $job = $request->document();
        $solid = $this->solid($request, $job);
        $surveyed = Surveyed::of($job, $this->workshop->shop());
        $faults = new Faults();
        $root = Node::of($request->only(['tapped', 'known']), $faults);
        $tapped = array_map(
            static fn (Node $one): Vector => KnownPlace::typed($one, $job->units),
            $root->at('tapped')->items(self::MOST_PAIRS),
        );
        $known = array_map(
            static fn (Node $one): Vector => KnownPlace::of($one, $surveyed, $job->units)->at,
            $root->at('known')->items(self::MOST_PAIRS),
        );
        Refused::ifAny($faults);
        try {
            // What was tapped lies in the job's own axes, and so does the scan once it is set down there.
            $pose = ScanPose::of(array_map($solid->toOwn(...), $tapped), $known);
        } catch (\DomainException $error) {
            throw ValidationException::withMessages(['known' => $error->getMessage()]);
        }
        $figures = new FigureWriter($job->units);

        return new JsonResponse([
            'document' => $this->with($request, $job, $pose->moved($solid->mesh), true),
            'off' => array_map(static fn (float $mm): array => $figures->length($mm), $pose->offMm),
        ]);
    }

    /** The part of the scan that lies round the runs. */
    public function cut(ChangeRequest $request): JsonResponse
    {
        $job = $request->document();
        $solid = $this->solid($request, $job);
        $faults = new Faults();
        $room = Node::of($request->only(['room']), $faults)->at('room');
        $roomMm = $room->length($job->units)->mm;
        if ($roomMm < 0.0 || $roomMm > self::MOST_ROOM_MM) {
            $room->complain('out-of-range', 'must lie between 0 and 3 m');
        }
        Refused::ifAny($faults);
        try {
            $reach = Surroundings::reach($this->workshop->sketch($job)->layout->placement->job);
            $cut = ScanCut::to($solid->mesh, ...$solid->boxRound($reach, $roomMm));
        } catch (\DomainException $error) {
            throw ValidationException::withMessages(['room' => $error->getMessage()]);
        }

        return new JsonResponse([
            'document' => $this->with($request, $job, $cut, false),
            'triangles' => $cut->triangles(),
            'before' => $solid->mesh->triangles(),
        ]);
    }

    private function solid(ChangeRequest $request, CoreJob $job): MeshSolid
    {
        foreach ($job->set->keepOuts as $one) {
            $solid = $one->name === $request->written('keepOut') ? $one->solid(0.0, 0.0, $this->meshes) : null;
            if ($solid instanceof MeshSolid) {
                return $solid;
            }
        }
        throw ValidationException::withMessages(['keepOut' => 'The job has no such scan.']);
    }

    /** @return array<string, mixed> the document with another mesh in place of the scan's */
    private function with(ChangeRequest $request, CoreJob $job, TriangleMesh $mesh, bool $isMoved): array
    {
        $fingerprint = $this->meshes->keep($mesh);
        $name = $request->written('keepOut');

        return JobWriter::toArray($job->with($job->runs, $job->set->keepingOut(array_map(
            static fn (KeepOutSpec $one): KeepOutSpec => $one->name === $name ? $one->meshed($fingerprint, $isMoved) : $one,
            $job->set->keepOuts,
        ))));
    }
}

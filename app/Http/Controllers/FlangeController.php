<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\ChangeRequest;
use App\Models\Job;
use App\Workshop\Workshop;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;
use UpsweptBead\Core\Exchange\Files\Flange\FlangeDxf;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Job\Run\RunSpec;

/** Flanges as drawings: written to be cut, and read as they were measured. */
final readonly class FlangeController
{
    /** What a person may say that one unit of a drawing is. */
    private const UNITS = ['' => null, 'mm' => 1.0, 'inch' => 25.4];

    public function __construct(private Workshop $workshop) {}

    public function write(Request $request, Job $job): Response
    {
        $id = $request->string('of')->toString();
        $sketch = $this->workshop->sketch($this->workshop->read($job->current()));
        foreach ($sketch->layout->placement->flanges as $flange) {
            if ($flange->id === $id) {
                return self::file($job, $id, FlangeDxf::write($flange->flange));
            }
        }
        foreach ($sketch->layout->placement->collectors->all as $collector) {
            if ($collector->shape?->plate !== null && "{$collector->build->letter}.plate" === $id) {
                return self::file($job, $id, FlangeDxf::outline($collector->shape->plate->outline));
            }
        }
        throw ValidationException::withMessages([
            'of' => sprintf('There is no flange "%s" in this job.', mb_substr($id, 0, 20)),
        ]);
    }

    private static function file(Job $job, string $id, string $dxf): Response
    {
        $name = preg_replace('/[^A-Za-z0-9-]+/', '-', "{$job->number}-flange-$id").'.dxf';

        return new Response($dxf, 200, [
            'Content-Type' => 'image/vnd.dxf',
            'Content-Disposition' => "attachment; filename=\"$name\"",
        ]);
    }

    /** The document with a flange as it is drawn; without a drawing it is laid out from its sizes again. */
    public function read(ChangeRequest $request): JsonResponse
    {
        $document = $request->document();
        [$letter, $side] = [...explode('.', $request->written('of')), '', ''];
        $run = $document->run($letter);
        if ($run === null || ! in_array($side, ['start', 'end'], true)) {
            throw ValidationException::withMessages(['of' => 'must name the end of a run of this job, as in A.start']);
        }
        $dxf = $request->written('dxf');
        $unit = $request->written('unit');
        if (! array_key_exists($unit, self::UNITS)) {
            throw ValidationException::withMessages(['unit' => 'must be mm or inch, or left to the drawing']);
        }
        try {
            $plate = $dxf === '' ? null : FlangeDxf::read($dxf, self::UNITS[$unit]);
        } catch (\DomainException $error) {
            throw ValidationException::withMessages(['dxf' => $error->getMessage()]);
        }
        $changed = $side === 'start'
            ? $run->between($run->start->plated($plate), $run->end)
            : $run->between($run->start, $run->end->plated($plate));
        $runs = array_map(static fn (RunSpec $one): RunSpec => $one->letter === $letter ? $changed : $one, $document->runs);

        return new JsonResponse(['document' => JobWriter::toArray($document->with($runs, $document->set))]);
    }
}

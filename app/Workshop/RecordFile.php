<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Http\Controllers\PhotoController;
use App\Models\Job;
use App\Models\LogEntry;
use App\Models\Revision;
use UpsweptBead\Core\Account\Stores\Need;
use UpsweptBead\Core\Stage\Bench\AsWelded;

/** The whole record of a job as one open file (docs/record-file.md); numbers in base units. */
final readonly class RecordFile
{
    public const FORMAT = 'upswept-bead/record';

    public const VERSION = 1;

    public function __construct(private JobView $view, private KnownPlans $plans, private BenchStanding $standing, private Workshop $workshop) {}

    /** @return array<string, mixed> */
    public function of(Job $job, Revision $revision): array
    {
        $view = $this->view->of($job, null, $revision);
        $bench = data_get($view, 'bench');

        return [
            'format' => self::FORMAT,
            'version' => self::VERSION,
            'shop' => $this->workshop->shop()->name,
            'revision' => JobView::revision($revision),
            'job' => $revision->document,
            'materials' => array_map(static fn (Need $need): array => [
                'key' => $need->key, 'name' => $need->name, 'quantity' => $need->quantity, 'unit' => $need->kind->unit($need->quantity),
            ], $this->plans->cut($revision)->needs),
            'joints' => $this->joints($job, $revision),
            'faces' => is_array($bench) ? $bench['faces'] : [],
            'otherwise' => is_array($bench) ? $bench['deviations'] : [],
            'growth' => data_get($view, 'plan.fit.growth'),
            'service' => data_get($view, 'plan.fit.service'),
            'photos' => PhotoController::of($job->id),
            'log' => $revision->isDraft() ? [] : self::entries($job),
        ];
    }

    /** @return list<array<string, mixed>> in the order they are welded, each with what was read the last time */
    private function joints(Job $job, Revision $revision): array
    {
        $welded = $revision->isDraft()
            ? []
            : AsWelded::all($this->standing->progress($job, $revision));

        return array_map(static function (array $joint) use ($welded): array {
            $one = $welded[$joint['id']] ?? null;

            return [
                ...$joint,
                'welded' => $one->rounds ?? 0,
                'read' => (object) ($one->values ?? []),
                'found' => $one?->inspected?->toArray(),
            ];
        }, $this->plans->cut($revision)->joints);
    }

    /** @return list<array<string, mixed>> everything that was logged, in the order it arrived */
    private static function entries(Job $job): array
    {
        $entries = [];
        foreach (LogEntry::query()->with('user:id,name')->where('job_id', $job->id)->orderBy('position')->lazy(500) as $one) {
            $entries[] = [
                'id' => $one->id,
                'at' => $one->made_at->format('c'),
                'by' => $one->user->name,
                'step' => $one->step,
                'kind' => $one->kind->value,
                'readings' => (object) $one->readings,
                'note' => $one->note,
                'why' => $one->why,
                'points' => $one->points,
                'inspected' => $one->inspected,
                'traces' => $one->traces,
            ];
        }

        return $entries;
    }
}

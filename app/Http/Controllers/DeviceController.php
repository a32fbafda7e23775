<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Csv;
use App\Http\Requests\DeviceRequest;
use App\Models\Job;
use App\Models\LogEntry;
use App\Workshop\BenchStanding;
use App\Workshop\Bottles;
use Generator;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\JsonResponse;
use Symfony\Component\HttpFoundation\StreamedResponse;
use UpsweptBead\Core\Stage\Device\Device;

/** What the instruments at a step read: stand-ins live, and what was recorded of them. */
final readonly class DeviceController
{
    public function __construct(private BenchStanding $standing, private Bottles $bottles) {}

    /** The readings of the stand-ins at some seconds since what they watch was begun. */
    public function live(DeviceRequest $request, Job $job): JsonResponse
    {
        $job->load('revisions');
        $released = $job->released();
        $steps = $released === null ? [] : array_column($this->standing->progress($job, $released)->steps, null, 'id');
        $rig = ($steps[$request->step()] ?? null)?->rig;
        abort_if($rig === null, 404, 'No instrument watches that step.');
        $units = $request->units();
        $devices = $rig->devices(
            "$job->number {$request->step()} {$request->run()}",
            $request->leak(),
            $request->share(),
            $this->bottles->now(),
        );

        return new JsonResponse(['devices' => array_map(static fn (Device $one): array => [
            'name' => $one->name(),
            'label' => $one->label(),
            'values' => array_map(
                static fn (int $second): float => round($one->at((float) $second), 2),
                range($request->from(), $request->to()),
            ),
            'text' => $one->quantity()?->show($one->at((float) $request->to()), $units)
                ?? sprintf('%.1f V', $one->at((float) $request->to())),
        ], $devices)]);
    }

    /** What was recorded at the steps of a job. */
    public function recorded(Job $job): JsonResponse
    {
        return new JsonResponse(['traces' => array_map(static fn (LogEntry $entry): array => [
            'step' => $entry->step,
            'kind' => $entry->step_kind->value,
            'subject' => $entry->step_subject,
            'round' => $entry->step_round,
            'at' => $entry->made_at->format('c'),
            'devices' => $entry->traces,
        ], self::traced($job)->limit(200)->get()->reverse()->values()->all())]);
    }

    public function csv(Job $job): StreamedResponse
    {
        return Csv::download(
            "$job->number-traces.csv",
            ['step', 'logged at', 'device', 'simulated', 'seconds', 'value (base units)'],
            $this->rows($job),
        );
    }

    /** @return Generator<int, list<string>> */
    private function rows(Job $job): Generator
    {
        foreach (self::traced($job)->reorder('position')->lazy(50) as $entry) {
            foreach ($entry->traces as $trace) {
                foreach ($trace['values'] as $i => $value) {
                    yield [
                        $entry->step, $entry->made_at->format('c'), $trace['device'], $trace['simulated'] ? 'yes' : 'no',
                        (string) ($i * $trace['every']), (string) $value,
                    ];
                }
            }
        }
    }

    /** @return Builder<LogEntry> the newest first */
    private static function traced(Job $job): Builder
    {
        return LogEntry::query()->where('job_id', $job->id)->whereRaw("traces <> '[]'::jsonb")->orderByDesc('position');
    }
}

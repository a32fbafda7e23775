<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\LogPageRequest;
use App\Http\Requests\LogRequest;
use App\Models\Job;
use App\Models\Revision;
use App\Models\User;
use App\Workshop\BenchLog;
use App\Workshop\JobLog;
use App\Workshop\JobView;
use App\Workshop\KnownPlans;
use App\Workshop\Summaries;
use App\Workshop\Taken;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Http\JsonResponse;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Entries from the bench in; out, what became of each, and where the job stands. */
final readonly class LogController
{
    public function __construct(
        private BenchLog $bench,
        private JobLog $log,
        private KnownPlans $plans,
        private Summaries $summaries,
        private JobView $view,
    ) {}

    /** The lines before a place in the log, or the newest; a page at a time. */
    public function index(LogPageRequest $request, Job $job): JsonResponse
    {
        $before = $request->before();

        return new JsonResponse($before === null ? $this->log->now($job)->page() : $this->log->page($job, $before));
    }

    public function store(LogRequest $request, Job $job): JsonResponse
    {
        $user = $request->user();
        assert($user instanceof User);
        $job->load(['revisions' => static fn (HasMany $all) => $all->brief()]);
        $taken = $this->bench->take($job, $user, $request->entries(), now());
        $plan = $this->plans->of($job->released() ?? Revision::query()->findOrFail($job->current()->id));
        $log = $this->log->now($job);
        $progress = $log->progress($plan);
        $this->summaries->logged($job, $plan, $progress, $log->position());

        return new JsonResponse([
            'results' => array_map(static fn (Taken $one): array => $one->toArray(), $taken),
            'progress' => $this->view->progress($plan, $progress, $log->page()),
        ]);
    }

    /** All of it as a table, however long. */
    public function csv(Job $job): StreamedResponse
    {
        $name = preg_replace('/[^A-Za-z0-9._-]+/', '-', $job->number);

        return new StreamedResponse(function () use ($job): void {
            $out = fopen('php://output', 'w');
            assert($out !== false);
            fputcsv($out, ['at', 'step', 'what', 'by', 'readings (base units)', 'note'], escape: '');
            foreach ($this->log->all($job) as $entry) {
                $readings = array_map(
                    static fn (string $measure, float $value): string => "$measure=$value",
                    array_keys($entry->values),
                    $entry->values,
                );
                fputcsv($out, [
                    $entry->at->format('c'),
                    $entry->stepId,
                    $entry->kind->value,
                    self::cell($entry->by),
                    implode('; ', $readings),
                    self::cell($entry->note),
                ], escape: '');
            }
            fclose($out);
        }, 200, [
            'Content-Type' => 'text/csv; charset=utf-8',
            'Content-Disposition' => "attachment; filename=\"$name-log.csv\"",
        ]);
    }

    /** A spreadsheet takes some texts for sums to work out; a mark before them keeps them texts. */
    private static function cell(string $text): string
    {
        return preg_match('/^[=+\-@\t\r]/', $text) === 1 ? "'$text" : $text;
    }
}

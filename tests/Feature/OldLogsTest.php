<?php

declare(strict_types=1);

use App\Models\Job;
use App\Models\LogEntry;
use App\Models\User;
use App\Workshop\BenchStanding;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use UpsweptBead\Core\Stage\Step\StepKind;

/** Writes the log anew as it was kept when a step was a text: job and step. */
function logOfThen(Migration $migration, string ...$besides): void
{
    [$migration, 'down']();
    DB::statement('alter table log_entries disable trigger log_entries_keep');
    DB::table('log_entries')->delete();
    DB::statement('alter table log_entries enable trigger log_entries_keep');
    $lines = array_slice((array) file(base_path('tests/Feature/kept/steps-of-2026-11.csv'), FILE_IGNORE_NEW_LINES), 1);
    $by = User::query()->firstOrFail()->id;
    $jobs = Job::query()->with('revisions')->get()->keyBy('number');
    foreach ([...$lines, ...array_map(static fn (string $one): string => "TB-0418,$one", $besides)] as $line) {
        [$number, $step] = explode(',', $line);
        $job = $jobs[$number];
        DB::table('log_entries')->insert([
            'id' => Str::uuid()->toString(), 'job_id' => $job->id, 'revision_id' => $job->released()?->id, 'user_id' => $by,
            'step' => $step, 'kind' => 'done', 'readings' => '{}', 'note' => '', 'made_at' => now(),
        ]);
    }[$migration, 'up']();
}

it('reads the log of before: every step of it is one of today’s plan, and says what it is', function () {
    $this->artisan('bead:demo')->assertSuccessful();
    $migration = require database_path('migrations/2026_12_01_200000_say_what_steps_are.php');
    assert($migration instanceof Migration);
    logOfThen($migration, 'weld.AJ2.2', 'cut-out.AJ2.3', 'check.part.1', 'trial.set', 'inspect.C', 'face.A.start');

    $entries = LogEntry::query()->get();
    expect($entries)->toHaveCount(136 + 6);
    foreach ($entries as $one) {
        expect($one->step_kind->key($one->step_subject, $one->step_round))->toBe($one->step);
    }
    $said = $entries->mapWithKeys(static fn (LogEntry $one): array => [
        $one->step => [$one->step_kind, $one->step_subject, $one->step_round],
    ]);
    expect($said['weld.AJ2.2'])->toBe([StepKind::Weld, 'AJ2', 2])
        ->and($said['cut-out.AJ2.3'])->toBe([StepKind::CutOut, 'AJ2', 3])
        ->and($said['check.part.1'])->toBe([StepKind::Check, 'part.1', 1])
        ->and($said['trial.set'])->toBe([StepKind::Trial, 'set', 1])
        ->and($said['leak-test.C'])->toBe([StepKind::LeakTest, 'C', 1])
        ->and($said['face.A.start'])->toBe([StepKind::Face, 'A.start', 1]);

    // The bench goes on where it was: of all that was logged then, nothing is still to be done.
    foreach (['TB-0418', 'TB-0398'] as $number) {
        $job = Job::query()->where('number', $number)->firstOrFail();
        $released = $job->released() ?? throw new LogicException('Not released.');
        $progress = app(BenchStanding::class)->progress($job, $released);
        $logged = $entries->where('job_id', $job->id)->where('step_round', 1)->whereNotIn('step', ['check.part.1', 'trial.set', 'leak-test.C']);
        foreach ($logged as $one) {
            expect($progress->isDone($one->step))->toBeTrue()
                ->and(array_column($progress->steps, 'id'))->toContain($one->step);
        }
    }
});

<?php

declare(strict_types=1);

use App\Models\Job;
use App\Models\Role;
use App\Models\Summary;
use App\Workshop\JobLog;
use App\Workshop\KnownPlans;
use App\Workshop\Summaries;
use Illuminate\Support\Facades\DB;
use Inertia\Testing\AssertableInertia as Page;
use UpsweptBead\Core\Stage\Made\MadeWork;

/** @return array<string, mixed> what the rack shows */
function rack(object $test, string $query = ''): array
{
    $shown = [];
    $test->get("/$query")->assertOk()->assertInertia(function (Page $page) use (&$shown): void {
        $shown = $page->component('rack/rack')->toArray()['props'];
    });

    return $shown;
}

/** Copies the first job under other numbers, as stored, with its summary. */
function copies(int $count): void
{
    DB::statement("insert into jobs (number, title, created_at, updated_at)
        select 'C-' || lpad(n::text, 5, '0'), 'Copy ' || n, now(), now() from generate_series(1, ?) n", [$count]);
    DB::statement("insert into revisions (job_id, number, status, version, document, created_at, updated_at)
        select j.id, 1, 'draft', 1, r.document, now(), now() from jobs j, (select document from revisions order by id limit 1) r
        where j.number like 'C-%'");
    DB::statement("insert into summaries (job_id, revision_id, version, log_position, stamp, number, place, stage, \"group\", next, facts, words, fault)
        select j.id, r.id, 1, 0, s.stamp, j.number, s.place, s.stage, s.\"group\", s.next, s.facts, lower(j.number || ' ' || j.title), null
        from jobs j join revisions r on r.job_id = j.id, (select * from summaries order by job_id limit 1) s where j.number like 'C-%'");
}

beforeEach(fn () => $this->signIn(Role::Owner));

it('keeps what it shows of a job with every change of the job', function () {
    $job = $this->downpipe();
    expect(rack($this)['rack']['jobs'][0])->toMatchArray(['number' => 'TB-0412', 'status' => 'draft', 'stepsDone' => 0])
        ->and(rack($this)['rack']['jobs'][0]['next']['group'])->toBe('ready to release');
    $this->save($job, ['job' => ['title' => 'Another title']])->assertOk();
    expect(rack($this)['rack']['jobs'][0]['title'])->toBe('Another title');
    $this->postJson("/jobs/$job->id/release", ['version' => 2])->assertOk();
    $this->log($job, $this->entry('prepare.A1'))->assertOk();
    expect(rack($this)['rack']['jobs'][0])->toMatchArray(['status' => 'released', 'stepsDone' => 1])
        ->and(rack($this)['rack']['jobs'][0]['next']['group'])->toBe('stock missing')
        ->and(rack($this)['atBench'])->toBeNull();
    $this->log($job, ...array_map($this->entry(...), ['prepare.A2', 'prepare.A3']))->assertOk();
    expect(rack($this)['atBench'])->toMatchArray(['number' => 'TB-0412', 'stepsDone' => 3]);
    $this->postJson("/jobs/$job->id/revise")->assertOk();
    expect(rack($this)['rack']['jobs'][0])->toMatchArray(['status' => 'draft', 'revision' => 2]);
});

it('keeps the newer of two states when two people log at once', function () {
    $job = $this->released();
    $this->log($job, $this->entry('prepare.A1'))->assertOk();
    $plan = app(KnownPlans::class)->of($job->refresh()->load('revisions')->current());
    $old = app(JobLog::class)->now($job);
    $this->log($job, $this->entry('prepare.A2'))->assertOk();
    $progress = $old->progress($plan, MadeWork::none());
    app(Summaries::class)->logged($job, $plan->making($progress, 0), $progress, $old->position());
    expect(Summary::query()->findOrFail($job->id)->facts['stepsDone'])->toBe(2)
        ->and(rack($this)['rack']['jobs'][0]['stepsDone'])->toBe(2);
});

it('plans nothing and reads no document when nothing has changed', function () {
    $this->downpipe();
    copies(120);
    rack($this);
    DB::enableQueryLog();
    rack($this);
    $asked = implode("\n", array_column(DB::getQueryLog(), 'query'));
    expect($asked)->not->toContain('"document"')->not->toContain('* from "revisions"')
        ->and(substr_count($asked, "\n"))->toBeLessThan(12);
});

it('sees by itself that a job has changed behind it, and makes up for what was missed', function (string $change) {
    $job = $this->downpipe();
    DB::statement($change);
    $shown = rack($this)['rack']['jobs'][0];
    expect($shown['title'])->toBe('Camper-van downpipe')
        ->and(Summary::query()->findOrFail($job->id)->version)->toBe(Job::query()->findOrFail($job->id)->current()->version);
})->with([
    'never kept' => ['delete from summaries'],
    'kept of an older version' => ["update summaries set version = 0, facts = facts || '{\"title\": \"old\"}'"],
    'made under other rules' => ["update summaries set stamp = 'other', facts = facts || '{\"title\": \"old\"}'"],
    'made before the last entry' => ["update summaries set log_position = 99, facts = facts || '{\"title\": \"old\"}'"],
]);

it('marks a job that cannot be read, shows all the others, and gives out what is stored of it', function () {
    $bad = $this->downpipe();
    copies(2);
    DB::statement("update revisions set document = '{\"format\": \"upswept-bead/job\", \"runs\": 7}' where job_id = ?", [$bad->id]);
    DB::table('summaries')->where('job_id', $bad->id)->delete();
    $jobs = rack($this)['rack']['jobs'];
    expect(array_column($jobs, 'number'))->toBe(['TB-0412', 'C-00001', 'C-00002'])
        ->and($jobs[0]['fault'])->toContain('cannot be read')
        ->and($jobs[1]['fault'])->toBeNull();
    $this->get("/jobs/$bad->id/stored.json")->assertOk()->assertJsonPath('runs', 7);
    $this->get("/jobs/$bad->id/weld")->assertStatus(409);
    $this->postJson("/jobs/$bad->id/log", ['entries' => [$this->entry('prepare.A1')]])->assertConflict();
});

it('shows a page at a time and says how many there are', function () {
    $this->downpipe();
    copies(120);
    $first = rack($this)['rack'];
    expect($first)->toMatchArray(['page' => 1, 'pages' => 3, 'total' => 121])
        ->and($first['jobs'])->toHaveCount(50)
        ->and($first['groups'])->toBe([['group' => 'ready to release', 'jobs' => 121]]);
    expect(rack($this, '?page=3')['rack']['jobs'])->toHaveCount(21)
        ->and(rack($this, '?page=99')['rack']['page'])->toBe(3);
});

it('finds jobs by every word given, whatever is in it', function (string $find, array $numbers) {
    $this->downpipe();
    copies(3);
    $found = rack($this, '?find='.rawurlencode($find))['rack'];
    expect(array_column($found['jobs'], 'number'))->toBe($numbers);
})->with([
    'a number' => ['c-00002', ['C-00002']],
    'two words' => ['copy 3', ['C-00003']],
    'part of a title' => ['amper', ['TB-0412']],
    'nothing' => ['', ['C-00001', 'C-00002', 'C-00003', 'TB-0412']],
    'signs of the search itself' => ['%', []],
    'an underline' => ['c_00001', []],
    'a quote' => ["'", []],
]);

it('refuses what is no search', function (string $query) {
    $this->getJson("/$query")->assertUnprocessable();
})->with(['?find[]=x', '?page=-1', '?page=abc', '?find='.str_repeat('x', 101)]);

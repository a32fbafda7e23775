<?php

declare(strict_types=1);

// Fills the database of a running ./start with copies of the finished demo job, each with a log, as a shop has them
// after years: php bench/many.php [JOBS = 10000] [ENTRIES A JOB = 100]. Then: node bench/many.mjs. ./start --fresh
// empties it again.

use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\DB;

require dirname(__DIR__).'/vendor/autoload.php';
$app = require dirname(__DIR__).'/bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();

$jobs = (int) ($argv[1] ?? 10_000);
$entries = (int) ($argv[2] ?? 100);
if (config('database.connections.pgsql.host') !== '127.0.0.1') {
    fwrite(STDERR, "Only a database of this machine is filled.\n");
    exit(2);
}
$began = microtime(true);
$from = DB::selectOne('select j.id, r.id as revision from jobs j join revisions r on r.job_id = j.id where j.number = ? limit 1', ['TB-0398']);
DB::transaction(static function () use ($jobs, $entries, $from): void {
    DB::statement("insert into jobs (number, title, created_at, updated_at)
        select 'M-' || lpad(n::text, 6, '0'), 'Copy ' || n, now(), now() from generate_series(1, ?) n", [$jobs]);
    DB::statement("insert into revisions (job_id, number, status, version, document, released_by, released_at, created_at, updated_at)
        select j.id, 1, 'released', 1, jsonb_set(r.document, '{job,number}', to_jsonb(j.number)), r.released_by, r.released_at, now(), now()
        from jobs j, revisions r where j.number like 'M-%' and r.id = ?", [$from->revision]);
    DB::statement("insert into log_entries (id, job_id, revision_id, user_id, step, step_kind, step_subject, step_round, kind, readings, note, made_at, torch_l, purge_l)
        select gen_random_uuid(), r.job_id, r.id, l.user_id, l.step, l.step_kind, l.step_subject, l.step_round, case when n = 0 then l.kind else 'note' end, l.readings, 'copied', l.made_at,
            l.torch_l, l.purge_l
        from (select *, row_number() over (order by position) as k from log_entries where job_id = ?) l,
            revisions r join jobs j on j.id = r.job_id, generate_series(0, (? / 25)::int) n
        where j.number like 'M-%' and l.k <= 25 and n * 25 + l.k <= ?
        order by r.job_id, n, l.position", [$from->id, $entries, $entries]);
    DB::statement("insert into summaries (job_id, revision_id, version, log_position, stamp, number, place, stage, \"group\", next, facts, words, fault)
        select j.id, r.id, 1, (select max(position) from log_entries where job_id = j.id), s.stamp, j.number, s.place, s.stage, s.\"group\", s.next,
            s.facts, lower(j.number || ' ' || j.title || ' done'), null
        from jobs j join revisions r on r.job_id = j.id, summaries s where j.number like 'M-%' and s.job_id = ?", [$from->id]);
});
DB::statement('analyze');
printf("%d jobs, %d entries, %.0f s\n", DB::table('jobs')->count(), DB::table('log_entries')->count(), microtime(true) - $began);

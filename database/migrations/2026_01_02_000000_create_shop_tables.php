<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('users', function (Blueprint $table): void {
            $table->id();
            $table->string('name', 100);
            $table->string('email', 200)->unique();
            $table->string('password');
            $table->string('role', 20);
            $table->rememberToken();
            $table->timestampsTz();
        });
        DB::statement("alter table users add constraint users_role check (role in ('owner', 'fabricator', 'helper', 'viewer'))");

        Schema::create('shops', function (Blueprint $table): void {
            $table->id();
            $table->jsonb('document');
            $table->unsignedInteger('version')->default(1);
            $table->timestampsTz();
        });

        Schema::create('jobs', function (Blueprint $table): void {
            $table->id();
            $table->string('number', 40)->unique();
            $table->string('title', 200);
            $table->timestampsTz();
        });
        DB::statement("alter table jobs add constraint jobs_named check (number <> '' and title <> '')");

        $this->revisions();
        $this->log();
    }

    private function revisions(): void
    {
        Schema::create('revisions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('job_id')->constrained()->restrictOnDelete();
            $table->unsignedInteger('number');
            $table->string('status', 10);
            $table->unsignedInteger('version')->default(1);
            $table->jsonb('document');
            $table->foreignId('released_by')->nullable()->constrained('users')->restrictOnDelete();
            $table->timestampTz('released_at')->nullable();
            $table->timestampsTz();
            $table->unique(['job_id', 'number']);
        });
        DB::statement("alter table revisions add constraint revisions_status check (status in ('draft', 'released'))");
        DB::statement("alter table revisions add constraint revisions_release check ((status = 'released') = (released_at is not null and released_by is not null))");
        DB::statement('alter table revisions add constraint revisions_counted check (number >= 1 and version >= 1)');
        DB::statement("alter table revisions add constraint revisions_document check (document ->> 'format' = 'upswept-bead/job')");
        DB::statement("create unique index revisions_one_draft on revisions (job_id) where status = 'draft'");
        // A released revision is what was built from: it is frozen in the database itself.
        DB::unprepared(<<<'SQL'
            create function keep_released() returns trigger language plpgsql as $$
            begin
                if old.status = 'released' then
                    raise exception 'revision % of job % is released and cannot change', old.number, old.job_id using errcode = 'integrity_constraint_violation';
                end if;
                if tg_op = 'DELETE' then
                    return old;
                end if;
                return new;
            end $$;
            create trigger revisions_keep_released before update or delete on revisions for each row execute function keep_released();
            SQL);
    }

    private function log(): void
    {
        Schema::create('log_entries', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('job_id')->constrained()->restrictOnDelete();
            $table->foreignId('revision_id')->constrained()->restrictOnDelete();
            $table->foreignId('user_id')->constrained()->restrictOnDelete();
            $table->bigInteger('position')->generatedAs()->always();
            $table->string('step', 60);
            $table->string('kind', 10);
            $table->jsonb('readings');
            $table->text('note');
            $table->timestampTz('made_at');
            $table->timestampTz('received_at')->useCurrent();
            $table->index(['job_id', 'position']);
        });
        DB::statement("alter table log_entries add constraint log_entries_kind check (kind in ('done', 'correct', 'reopen', 'note'))");
        DB::statement("alter table log_entries add constraint log_entries_step check (step <> '')");
        DB::statement("alter table log_entries add constraint log_entries_readings check (jsonb_typeof(readings) = 'object')");
        // The log is append-only: a correction is a new entry.
        DB::unprepared(<<<'SQL'
            create function keep_log() returns trigger language plpgsql as $$
            begin
                raise exception 'the log is append-only' using errcode = 'integrity_constraint_violation';
            end $$;
            create trigger log_entries_keep before update or delete on log_entries for each row execute function keep_log();
            SQL);
    }
};

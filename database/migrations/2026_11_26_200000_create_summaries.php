<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    /** What the rack shows of each job, with what it was worked out from; it can always be worked out again. */
    public function up(): void
    {
        Schema::create('summaries', function (Blueprint $table): void {
            $table->foreignId('job_id')->primary()->constrained()->restrictOnDelete();
            $table->foreignId('revision_id')->constrained()->restrictOnDelete();
            $table->unsignedInteger('version');
            $table->bigInteger('log_position');
            $table->string('stamp', 80);
            $table->string('number', 40);
            $table->smallInteger('place');
            $table->string('stage', 20);
            $table->string('group', 60);
            $table->string('next', 300);
            $table->jsonb('facts');
            $table->text('words');
            $table->text('fault')->nullable();
            $table->index(['place', 'group', 'number']);
        });
        // Where a job stands is decided by the last entries of each step.
        DB::statement("create index log_entries_closing on log_entries (job_id, step, position) where kind in ('done', 'reopen')");
        DB::statement("create index log_entries_reading on log_entries (job_id, step, position) where readings <> '{}'::jsonb");
        DB::statement('create index summaries_stage on summaries (stage, number)');
    }
};

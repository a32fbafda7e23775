<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Why somebody went on past a limit, which points of a step were confirmed, what was found at a joint, what devices
 * read.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('log_entries', function (Blueprint $table): void {
            $table->text('why')->default('');
            $table->jsonb('points')->default('[]');
            $table->jsonb('inspected')->nullable();
            $table->jsonb('traces')->default('[]');
        });
        // Few of very many entries are inspections, and fewer have traces.
        DB::statement('create index log_entries_inspected on log_entries (job_id) where inspected is not null');
        DB::statement("create index log_entries_traced on log_entries (job_id, position) where traces <> '[]'::jsonb");
        DB::statement("alter table log_entries add constraint log_entries_points check (jsonb_typeof(points) = 'array')");
    }

    public function down(): void
    {
        Schema::table('log_entries', function (Blueprint $table): void {
            $table->dropColumn(['why', 'points', 'inspected', 'traces']);
        });
    }
};

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
        Schema::create('route_searches', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('job_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->restrictOnDelete();
            $table->string('state', 10)->default('queued');
            $table->jsonb('document');
            $table->float('seconds');
            $table->jsonb('designs')->default('[]');
            $table->text('message')->default('');
            $table->boolean('stop_asked')->default(false);
            $table->timestampsTz();
        });
        DB::statement("alter table route_searches add constraint route_searches_state check (state in ('queued', 'running', 'done', 'stopped', 'failed'))");
        DB::statement('alter table route_searches add constraint route_searches_bounded check (seconds > 0 and seconds <= 120)');
        DB::statement("create index route_searches_open on route_searches (job_id) where state in ('queued', 'running')");
    }

    public function down(): void
    {
        Schema::dropIfExists('route_searches');
    }
};

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
        Schema::create('meshes', function (Blueprint $table): void {
            $table->string('fingerprint', 32)->primary();
            $table->integer('triangles');
            $table->boolean('is_closed');
            $table->binary('packed');
            $table->timestampsTz();
        });
        DB::statement('alter table meshes add constraint meshes_bounded check (triangles between 1 and 100000)');
    }

    public function down(): void
    {
        Schema::dropIfExists('meshes');
    }
};

<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Photos of what was made, by the step of the bench; as they were encoded anew, without anything but the picture. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('photos', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('job_id')->constrained()->restrictOnDelete();
            $table->foreignId('user_id')->constrained()->restrictOnDelete();
            $table->string('step', 60);
            $table->integer('wide');
            $table->integer('high');
            $table->binary('jpeg');
            $table->timestampTz('made_at');
            $table->index(['job_id', 'step']);
        });
        DB::statement('alter table photos add constraint photos_bounded check (wide between 1 and 1600 and high between 1 and 1600 and octet_length(jpeg) <= 4000000)');
    }

    public function down(): void
    {
        Schema::dropIfExists('photos');
    }
};

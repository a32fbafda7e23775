<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * Links by which a customer reads the record of a job until they expire; of the link itself only a fingerprint is kept.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('customer_links', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('job_id')->constrained()->restrictOnDelete();
            $table->foreignId('user_id')->constrained()->restrictOnDelete();
            $table->char('fingerprint', 64)->unique();
            $table->timestampTz('made_at');
            $table->timestampTz('expires_at');
            $table->timestampTz('withdrawn_at')->nullable();
            $table->index('job_id');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('customer_links');
    }
};

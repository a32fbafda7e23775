<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    /**
     * A worker says once a second that it is still at it; where it falls silent, another goes on from its last seed.
     */
    public function up(): void
    {
        Schema::table('route_searches', function (Blueprint $table): void {
            $table->timestampTz('beat_at')->nullable();
            $table->unsignedSmallInteger('at_seed')->default(0);
            $table->unsignedSmallInteger('attempt')->default(1);
        });
    }
};

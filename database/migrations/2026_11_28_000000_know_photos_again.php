<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A photo has an id of the device it was taken with, so that one that is sent twice is there once. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('photos', static fn (Blueprint $table) => $table->uuid('client_id')->nullable()->unique());
    }

    public function down(): void
    {
        Schema::table('photos', static fn (Blueprint $table) => $table->dropColumn('client_id'));
    }
};

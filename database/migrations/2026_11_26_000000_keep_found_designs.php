<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Designs that were found stay with their job until somebody puts them away. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('route_searches', function (Blueprint $table): void {
            $table->boolean('put_away')->default(false);
        });
    }

    public function down(): void
    {
        Schema::table('route_searches', function (Blueprint $table): void {
            $table->dropColumn('put_away');
        });
    }
};

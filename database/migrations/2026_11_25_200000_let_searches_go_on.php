<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('route_searches', function (Blueprint $table): void {
            $table->unsignedSmallInteger('first_seed')->default(1);
        });
    }

    public function down(): void
    {
        Schema::table('route_searches', function (Blueprint $table): void {
            $table->dropColumn('first_seed');
        });
    }
};

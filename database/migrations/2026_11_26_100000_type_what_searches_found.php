<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Searches keep their answers in numbers, and are put into words and units where they are shown. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('route_searches', function (Blueprint $table): void {
            $table->jsonb('refusal')->nullable();
            $table->dropColumn('message');
        });
        // What was kept as text in one person's units cannot be turned back; it is searched for anew in seconds.
        DB::table('route_searches')->update(['designs' => '[]', 'put_away' => true]);
    }

    public function down(): void
    {
        Schema::table('route_searches', function (Blueprint $table): void {
            $table->text('message')->default('');
            $table->dropColumn('refusal');
        });
    }
};

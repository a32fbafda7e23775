<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What each weld took of argon, so that bottles go down by the log. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('log_entries', static function (Blueprint $table): void {
            $table->double('torch_l')->nullable();
            $table->double('purge_l')->nullable();
        });
        DB::statement('create index log_entries_argon on log_entries (made_at) include (torch_l, purge_l) where torch_l is not null');
    }

    public function down(): void
    {
        Schema::table('log_entries', static fn (Blueprint $table) => $table->dropColumn(['torch_l', 'purge_l']));
    }
};

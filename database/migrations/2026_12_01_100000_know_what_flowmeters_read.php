<?php

declare(strict_types=1);

use App\Models\LogEntry;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use UpsweptBead\Core\Stage\Device\Trace;

/** The argon that flowmeters read at each step, so that nothing adds up their readings but the core. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('log_entries', static fn (Blueprint $table) => $table->double('metered_l')->nullable());
        // The log is append-only; what it says stays as it is. A failure takes all of this back.
        DB::statement('alter table log_entries disable trigger log_entries_keep');
        LogEntry::query()->whereRaw("traces <> '[]'::jsonb")->select(['id', 'traces'])->chunkById(100, self::fill(...), 'id');
        DB::statement('alter table log_entries enable trigger log_entries_keep');
    }

    public function down(): void
    {
        Schema::table('log_entries', static fn (Blueprint $table) => $table->dropColumn('metered_l'));
    }

    /** @param  iterable<LogEntry>  $entries */
    private static function fill(iterable $entries): void
    {
        foreach ($entries as $entry) {
            $litres = array_sum(array_map(
                static fn (array $one): float => (new Trace($one['device'], $one['every'], $one['values'], $one['simulated']))->argonL(),
                $entry->traces,
            ));
            if ($litres > 0.0) {
                DB::table('log_entries')->where('id', $entry->id)->update(['metered_l' => $litres]);
            }
        }
    }
};

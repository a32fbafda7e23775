<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * What is done at a logged step, to what and in which round, in columns of their own: until now the step's key was read
 * apart wherever one of them was wanted. Runs and collectors are put to a leak test; only joints are inspected.
 */
return new class extends Migration
{
    private const TABLES = ['log_entries', 'photos'];

    public function up(): void
    {
        // The log is append-only; what it says stays as it is. A failure takes all of this back.
        DB::statement('alter table log_entries disable trigger log_entries_keep');
        foreach (self::TABLES as $table) {
            Schema::table($table, static function (Blueprint $columns): void {
                $columns->string('step_kind', 12)->default('');
                $columns->string('step_subject', 60)->default('');
                $columns->smallInteger('step_round')->default(1);
            });
            // Joints end in a number, runs and collectors do not.
            DB::statement("update $table set step = 'leak-test' || substr(step, 8) where step ~ '^inspect\\.[^.]*[^.0-9]$'");
            // A bought part has its number behind its kind; any other number at the end is that of the round.
            DB::statement(<<<SQL
                update $table set
                    step_kind = split_part(step, '.', 1),
                    step_subject = case when step like 'check.%' then substr(step, 7)
                        else regexp_replace(substr(step, strpos(step, '.') + 1), '\\.[0-9]+$', '') end,
                    step_round = case when step like 'check.%' then 1
                        else coalesce(substring(step from '\\.([0-9]{1,4})$')::smallint, 1) end
                SQL);
            DB::statement("alter table $table alter step_kind drop default, alter step_subject drop default");
            DB::statement("alter table $table add constraint {$table}_step_kind check (step_kind <> '' and step_subject <> '' and step_round >= 1)");
        }
        DB::statement('alter table log_entries enable trigger log_entries_keep');
        Schema::table('log_entries', static fn (Blueprint $table) => $table->index(['step_kind', 'position']));
    }

    public function down(): void
    {
        DB::statement('alter table log_entries disable trigger log_entries_keep');
        foreach (self::TABLES as $table) {
            DB::statement("update $table set step = 'inspect' || substr(step, 10) where step_kind = 'leak-test'");
            Schema::table($table, static fn (Blueprint $columns) => $columns->dropColumn(['step_kind', 'step_subject', 'step_round']));
        }
        DB::statement('alter table log_entries enable trigger log_entries_keep');
    }
};

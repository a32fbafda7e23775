<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Stock that was cut for a job and is scrap by a later revision is written off: it changes no quantity. */
return new class extends Migration
{
    public function up(): void
    {
        $this->allow("'received', 'counted', 'issued', 'put back', 'returned', 'written off'");
    }

    public function down(): void
    {
        DB::statement('alter table store_entries disable trigger user');
        DB::statement("delete from store_entries where kind = 'written off'");
        DB::statement('alter table store_entries enable trigger user');
        $this->allow("'received', 'counted', 'issued', 'put back', 'returned'");
    }

    private function allow(string $kinds): void
    {
        DB::statement('alter table store_entries drop constraint store_entries_kind');
        DB::statement('alter table store_entries drop constraint store_entries_sign');
        DB::statement('alter table store_entries alter column kind type varchar(12)');
        DB::statement("alter table store_entries add constraint store_entries_kind check (kind in ($kinds))");
        DB::statement("alter table store_entries add constraint store_entries_sign check (case kind when 'issued' then quantity < 0 when 'counted' then true when 'written off' then quantity = 0 else quantity > 0 end)");
    }
};

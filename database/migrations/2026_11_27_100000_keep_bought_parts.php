<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Mufflers, catalysts, tips and brackets lie in the stores as well. */
return new class extends Migration
{
    private const KINDS = "'tube', 'bend', 'elbow', 'offcut', 'flange', 'band', 'bung', 'wire', 'gas', 'disc', 'blade'";

    public function up(): void
    {
        $this->allow(self::KINDS.", 'part'");
    }

    public function down(): void
    {
        DB::statement("delete from store_entries where item_id in (select id from store_items where kind = 'part')");
        DB::statement("delete from store_items where kind = 'part'");
        $this->allow(self::KINDS);
    }

    private function allow(string $kinds): void
    {
        DB::statement('alter table store_items drop constraint store_items_kind');
        DB::statement("alter table store_items add constraint store_items_kind check (kind in ($kinds))");
    }
};

<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use UpsweptBead\Core\Account\Stores\ItemKind;
use UpsweptBead\Core\Account\Stores\StockNames;
use UpsweptBead\Core\Shop\Stock\Catalogue;

return new class extends Migration
{
    /** What the shop owns, how much of it, and every change of that. */
    public function up(): void
    {
        Schema::create('store_items', function (Blueprint $table): void {
            $table->id();
            $table->string('key', 80)->unique();
            $table->string('kind', 10);
            $table->string('name', 200);
            // Of tube in any form: the size it is of; of an offcut also what it is left of, and its shape in mm and
            // degrees.
            $table->string('tube_id', 80)->nullable();
            $table->string('stock_id', 80)->nullable();
            $table->jsonb('shape')->nullable();
            $table->decimal('on_hand', 12, 3)->default(0);
            $table->decimal('promised', 12, 3)->default(0);
            $table->decimal('cost', 10, 2)->nullable();
            $table->string('location', 60)->default('');
            $table->decimal('reorder_at', 12, 3)->nullable();
            $table->decimal('reorder_to', 12, 3)->nullable();
            $table->timestampsTz();
            $table->index(['tube_id']);
            $table->index(['kind', 'name']);
        });
        DB::statement("alter table store_items add constraint store_items_kind check (kind in ('tube', 'bend', 'elbow', 'offcut', 'flange', 'band', 'bung', 'wire', 'gas', 'disc', 'blade'))");
        DB::statement("alter table store_items add constraint store_items_named check (key <> '' and name <> '')");
        DB::statement('alter table store_items add constraint store_items_on_hand check (on_hand >= 0 and promised >= 0 and (reorder_at is null or reorder_at >= 0) and (reorder_to is null or reorder_to >= 0) and (cost is null or cost >= 0))');
        DB::statement("alter table store_items add constraint store_items_offcut check ((kind = 'offcut') = (shape is not null))");

        Schema::create('store_entries', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->bigInteger('position')->generatedAs()->always()->unique();
            $table->foreignId('item_id')->constrained('store_items')->restrictOnDelete();
            $table->string('kind', 10);
            $table->decimal('quantity', 12, 3);
            $table->foreignId('job_id')->nullable()->constrained()->restrictOnDelete();
            $table->string('opened', 100)->nullable();
            $table->text('note')->default('');
            $table->foreignId('user_id')->constrained()->restrictOnDelete();
            $table->timestampTz('made_at')->useCurrent();
            $table->index(['item_id', 'position']);
            $table->index(['job_id', 'opened']);
        });
        DB::statement("alter table store_entries add constraint store_entries_kind check (kind in ('received', 'counted', 'issued', 'put back', 'returned'))");
        DB::statement("alter table store_entries add constraint store_entries_sign check (case kind when 'issued' then quantity < 0 when 'counted' then true else quantity > 0 end)");

        Schema::create('store_promises', function (Blueprint $table): void {
            $table->foreignId('item_id')->constrained('store_items')->restrictOnDelete();
            $table->foreignId('job_id')->constrained()->restrictOnDelete();
            $table->decimal('quantity', 12, 3);
            $table->primary(['item_id', 'job_id']);
            $table->index('job_id');
        });
        DB::statement('alter table store_promises add constraint store_promises_quantity check (quantity > 0)');

        // What there is follows from the entries, what is promised from the promises, and from nothing else; entries
        // are never changed.
        DB::unprepared(<<<'SQL'
            create function book_store_entry() returns trigger language plpgsql as $$
            begin
                update store_items set on_hand = on_hand + new.quantity, updated_at = now() where id = new.item_id;
                return new;
            end $$;
            create trigger store_entries_book after insert on store_entries for each row execute function book_store_entry();
            create function keep_store_entries() returns trigger language plpgsql as $$
            begin
                raise exception 'entries of the stores are append-only: a correction is a new one' using errcode = 'integrity_constraint_violation';
            end $$;
            create function sum_store_promises() returns trigger language plpgsql as $$
            begin
                if tg_op <> 'INSERT' then
                    update store_items set promised = promised - old.quantity where id = old.item_id;
                end if;
                if tg_op <> 'DELETE' then
                    update store_items set promised = promised + new.quantity where id = new.item_id;
                end if;
                return null;
            end $$;
            create trigger store_promises_sum after insert or update or delete on store_promises for each row execute function sum_store_promises();
            create trigger store_entries_keep before update or delete on store_entries for each row execute function keep_store_entries();
            SQL);
        // A release goes by the shelf as it was then, whatever is taken from it later.
        Schema::table('revisions', function (Blueprint $table): void {
            $table->jsonb('shelf')->nullable();
        });
        $this->moveShelf();
    }

    /** The shelf was a part of the shop's document: what it had is what the stores begin with. */
    private function moveShelf(): void
    {
        $catalogue = Catalogue::shipped();
        foreach (DB::table('shops')->pluck('document') as $text) {
            $document = is_string($text) ? json_decode($text, true) : null;
            $shelf = is_array($document) && is_array($document['shelf'] ?? null) ? $document['shelf'] : [];
            foreach ($shelf as $key => $count) {
                $bend = $catalogue->bend((string) $key);
                $tube = $catalogue->tubes[$bend->tubeId ?? $key] ?? null;
                if ($tube !== null) {
                    DB::table('store_items')->insertOrIgnore([
                        'key' => $key,
                        'kind' => ($bend === null ? ItemKind::Tube : StockNames::kind($tube))->value,
                        'name' => $bend === null ? $tube->name : StockNames::bend($bend, $tube),
                        'tube_id' => $tube->id,
                        'stock_id' => $key,
                        'on_hand' => $count,
                    ]);
                }
            }
        }
        DB::statement("update shops set document = document - 'shelf'");
    }
};

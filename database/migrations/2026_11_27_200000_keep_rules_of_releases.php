<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A release goes by the shop's rules and practices as they were then, whatever the shop does later. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('revisions', function (Blueprint $table): void {
            $table->jsonb('shop')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('revisions', function (Blueprint $table): void {
            $table->dropColumn('shop');
        });
    }
};

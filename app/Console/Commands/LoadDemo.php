<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\User;
use Database\Seeders\DemoSeeder;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

/** Loads the made-up demo shop once. */
final class LoadDemo extends Command
{
    protected $signature = 'bead:demo';

    protected $description = 'Load the demo data if there is none yet';

    public function handle(DemoSeeder $seeder): int
    {
        if (User::query()->exists()) {
            $this->line('The demo data is there already.');

            return self::SUCCESS;
        }
        DB::transaction(static fn () => $seeder->run());
        $this->line('Demo data loaded.');

        return self::SUCCESS;
    }
}

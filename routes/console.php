<?php

declare(strict_types=1);

use App\Workshop\Searches;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schedule;

Schedule::command('queue:prune-failed --hours=336')->daily();
Schedule::call(static fn () => app(Searches::class)->takeOver())->everyFiveSeconds();
// What was worked out once and has not been wanted since.
Schedule::call(static fn () => DB::table('cache')->where('expiration', '<', now()->getTimestamp())->delete())->hourly();

<?php

declare(strict_types=1);

// One of several who take from the stores at the same moment: php take.php ITEM JOB USER AT_MICROTIME QUANTITY

use App\Models\Job;
use App\Models\StoreItem;
use App\Models\User;
use App\Stores\NoneLeft;
use App\Stores\StoresBook;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Str;

require dirname(__DIR__, 2).'/vendor/autoload.php';
$app = require dirname(__DIR__, 2).'/bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();

[, $item, $job, $user, $at, $quantity] = $argv;
$item = StoreItem::query()->findOrFail((int) $item);
$job = Job::query()->findOrFail((int) $job);
$user = User::query()->findOrFail((int) $user);
$book = $app->make(StoresBook::class);
time_sleep_until(max(microtime(true) + 0.001, (float) $at));
try {
    $book->issue($item, (float) $quantity, $job, $user, Str::uuid()->toString());
    echo 'got it';
} catch (NoneLeft $none) {
    echo $none->getMessage();
}

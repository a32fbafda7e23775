<?php

// How long a whole plan takes in one process: php -d opcache.enable_cli=1 -d opcache.jit=tracing -d
// opcache.jit_buffer_size=64M bench/plan.php

declare(strict_types=1);

use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Stage\Plan\Planner;

require dirname(__DIR__).'/core/vendor/autoload.php';

$job = JobReader::fromJson((string) file_get_contents(__DIR__.'/eight-runs.job.json'))->job
    ?? throw new RuntimeException('eight-runs.job.json cannot be read');
$shop = Shop::bare();
$times = ['sketch, as while dragging' => [], 'plan, as when saved' => []];
$joints = 0;
for ($i = 0; $i < 120; $i++) {
    $began = hrtime(true);
    Planner::sketch($job, $shop);
    $times['sketch, as while dragging'][] = (hrtime(true) - $began) / 1e6;
    $began = hrtime(true);
    $joints = count(Planner::plan($job, $shop)->joints->joints);
    $times['plan, as when saved'][] = (hrtime(true) - $began) / 1e6;
}
echo "eight runs, $joints joints; the first 20 of 120 left out\n";
foreach ($times as $what => $all) {
    $sample = array_slice($all, 20);
    sort($sample);
    printf("%-28s p50 %6.1f ms   p95 %6.1f ms\n", $what, $sample[50], $sample[95]);
}

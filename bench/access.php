<?php

// How long it takes to work out what a torch gets to of every joint of a job, in process: php bench/access.php

declare(strict_types=1);

require dirname(__DIR__).'/core/vendor/autoload.php';

use UpsweptBead\Core\Fit\Access\Access;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Plan\Planner;
use UpsweptBead\Core\Shop\Shop;

printf("%-28s %8s %10s\n", 'job', 'joints', 'time');
foreach (['database/demo/rally-coupe-manifold.job.json', 'bench/eight-runs.job.json'] as $file) {
    $job = JobReader::fromJson((string) file_get_contents(dirname(__DIR__)."/$file"))->job ?? exit("$file is refused\n");
    $sketch = Planner::sketch($job, Shop::bare());
    $began = hrtime(true);
    $access = Access::of($sketch->job, $sketch->layout, $sketch->joints, Shop::bare());
    printf("%-28s %8d %8.2f s\n", basename($file, '.job.json'), count($access->joints), (hrtime(true) - $began) / 1e9);
}

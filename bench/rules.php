<?php

declare(strict_types=1);

// Plans every demo job with every rule of the shop at its least, at its most and between, and prints the slowest plan
// of each rule that takes more than a second: php bench/rules.php

use UpsweptBead\Core\Base\Units\Exception\UnreadableQuantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Tests\Support\KeptMemo;

require __DIR__.'/../core/vendor/autoload.php';

$jobs = [];
foreach ((array) glob(__DIR__.'/../database/demo/*.job.json') as $file) {
    $job = JobReader::fromJson((string) file_get_contents((string) $file))->job;
    if ($job !== null) {
        $jobs[basename((string) $file, '.job.json')] = $job;
    }
}
$memo = new KeptMemo;
$plans = $slowest = 0;
foreach (ShopRules::shipped()->rules as $key => $rule) {
    foreach ([0.0, 0.25, 0.75, 1.0] as $share) {
        $value = $rule->least + $share * ($rule->most - $rule->least);
        $unit = match ($rule->quantity->value) {
            'length', 'wall' => ' mm', 'temperature' => ' C', 'flow' => ' l/min', default => '',
        };
        $text = $unit === '' ? $rule->quantity->show($value, UnitSystem::Metric) : sprintf('%.6F%s', $value, $unit);
        try {
            $rules = ShopRules::shipped()->with($key, $text, UnitSystem::Metric);
        } catch (UnreadableQuantity) {
            continue;
        }
        foreach ($jobs as $name => $job) {
            $began = microtime(true);
            Planner::plan($job, Shop::bare()->withMemo($memo)->withRules($rules));
            $took = microtime(true) - $began;
            $plans++;
            $slowest = max($slowest, $took);
            if ($took > 1.0) {
                printf("%-24s %-12s %-28s %5.1f s\n", $key, $text, $name, $took);
            }
        }
    }
}
printf("%d plans, the slowest %.1f s\n", $plans, $slowest);

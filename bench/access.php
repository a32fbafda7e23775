<?php

// How long it takes to work out what a torch gets to of every joint of a job and the order of building that follows, in
// process: php bench/access.php. Cold, again after one joint was moved by 4 mm, and after a run was bent otherwise.

declare(strict_types=1);

require dirname(__DIR__).'/core/vendor/autoload.php';

use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Shop\Practice\Memo;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Stage\Fit\Access\Access;
use UpsweptBead\Core\Stage\Fit\FitPlan;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Stage\Plan\Sketch;

$memo = new class implements Memo
{
    /** @var array<string, mixed> */
    private array $known = [];

    public function recall(array $keys): array
    {
        return array_intersect_key($this->known, array_flip($keys));
    }

    public function keep(array $values): void
    {
        $this->known = [...$this->known, ...$values];
    }
};
$read = static fn (array $document): Job => JobReader::fromDecoded($document)->job ?? exit("a job is refused\n");
/** @return array{float, Sketch, int} milliseconds, what was planned, joints that a torch comes to */
$timed = static function (Job $job) use ($memo): array {
    $shop = Shop::bare()->withMemo($memo);
    $sketch = Planner::sketch($job, $shop);
    $began = hrtime(true);
    $access = Access::of($sketch->job, $sketch->layout, $sketch->joints, $shop);
    FitPlan::of($sketch->job, $sketch->layout, $sketch->cut, $sketch->joints, $shop, null, $access);

    return [(hrtime(true) - $began) / 1e6, $sketch, count($access->joints)];
};
printf("%-28s %8s %10s %14s %14s\n", 'job', 'joints', 'cold', 'joint moved', 'run changed');
foreach (['database/demo/rally-coupe-manifold.job.json', 'bench/eight-runs.job.json'] as $file) {
    $document = json_decode((string) file_get_contents(dirname(__DIR__)."/$file"), true, flags: JSON_THROW_ON_ERROR);
    [$coldMs, $sketch, $joints] = $timed($read($document));
    $butts = array_filter($sketch->joints->ofRun('B'), static fn (Joint $one): bool => $one->type->isButt());
    $stations = array_map(static fn (Joint $one): float => $one->seam->stationMm, array_values($butts));
    $stations[0] += 4.0;
    $document['runs'][1]['route']['cuts'] = ['joints' => array_map(static fn (float $mm): string => "$mm mm", $stations)];
    [$movedMs] = $timed($read($document));
    $document['runs'][1]['route']['bends'][0]['rotation'] += 0.5;
    [$changedMs] = $timed($read($document));
    printf("%-28s %8d %7.0f ms %11.0f ms %11.0f ms\n", basename($file, '.job.json'), $joints, $coldMs, $movedMs, $changedMs);
}

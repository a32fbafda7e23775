<?php

// How good an order is found in a few seconds, against a long look: php bench/schedule.php [SECONDS] [LONG]

declare(strict_types=1);

require dirname(__DIR__).'/core/vendor/autoload.php';

use UpsweptBead\Core\Solve\Timing\Timetable;
use UpsweptBead\Core\Solve\Timing\TimetableSolver;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeSchedules;

[$seconds, $long] = [(float) ($argv[1] ?? 3), (float) ($argv[2] ?? 25)];
$clock = static fn (): float => hrtime(true) / 1e9;
printf("%-22s %10s %10s %10s %10s\n", 'tasks on pieces', 'listed', "$seconds s", "$long s", 'apart');
foreach ([[20, 2], [30, 3], [40, 4], [60, 5], [60, 2]] as $k => [$tasks, $pieces]) {
    $work = SomeSchedules::read(SomeSchedules::random(Some::dice(100 + $k), $tasks, $pieces))->work;
    $short = (new TimetableSolver($work, 1, $clock))->solve($seconds)->timetable->endMin ?? INF;
    $best = min($short, (new TimetableSolver($work, 2, $clock))->solve($long)->timetable->endMin ?? INF);
    printf(
        "%-22s %6.1f min %6.1f min %6.1f min %8.2f %%\n",
        "$tasks on $pieces",
        Timetable::of($work, $work->listed())->endMin,
        $short,
        $best,
        100 * ($short / $best - 1),
    );
}

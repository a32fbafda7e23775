<?php

// How long it takes to find where to feed and vent an assembly, in process: php bench/purge.php [TIMES]

declare(strict_types=1);

require dirname(__DIR__).'/core/vendor/autoload.php';

use UpsweptBead\Core\Exchange\Files\PurgeAnswerWriter;
use UpsweptBead\Core\Exchange\Files\PurgeProblem;
use UpsweptBead\Core\Exchange\Files\PurgeProblemReader;

$times = (int) ($argv[1] ?? 5);
printf("%-28s %8s %10s %10s\n", 'read, planned, written', 'poses', 'p50', 'a pose');
foreach ([...glob(dirname(__DIR__).'/core/tests/problems/purge/*.json') ?: [], __DIR__.'/four-into-one.purge.json'] as $file) {
    $json = (string) file_get_contents($file);
    $taken = [];
    $poses = 1;
    for ($i = 0; $i < $times; $i++) {
        $began = hrtime(true);
        $problem = PurgeProblemReader::read($json);
        $problem instanceof PurgeProblem || exit("$file is refused\n");
        $poses = count($problem->poses);
        json_encode(PurgeAnswerWriter::toArray($problem), JSON_THROW_ON_ERROR);
        $taken[] = (hrtime(true) - $began) / 1e6;
    }
    sort($taken);
    $mid = $taken[intdiv(count($taken), 2)];
    printf("%-28s %8d %7.0f ms %7.1f ms\n", basename($file, '.json'), $poses, $mid, $mid / $poses);
}

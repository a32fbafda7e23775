<?php

// How long it takes to work out how a seam cools, in process: php bench/cool.php [TIMES]

declare(strict_types=1);

require dirname(__DIR__).'/core/vendor/autoload.php';

use UpsweptBead\Core\Exchange\Files\CoolAnswerWriter;
use UpsweptBead\Core\Exchange\Files\CoolProblem;
use UpsweptBead\Core\Exchange\Files\CoolProblemReader;

$times = (int) ($argv[1] ?? 30);
printf("%-28s %10s %10s\n", 'read, solved, written', 'p50', 'p95');
foreach (glob(dirname(__DIR__).'/core/tests/problems/cool/*.json') ?: [] as $file) {
    $json = (string) file_get_contents($file);
    $taken = [];
    for ($i = 0; $i < $times; $i++) {
        $began = hrtime(true);
        $problem = CoolProblemReader::read($json);
        $problem instanceof CoolProblem || exit("$file is refused\n");
        json_encode(CoolAnswerWriter::toArray($problem), JSON_THROW_ON_ERROR);
        $taken[] = (hrtime(true) - $began) / 1e6;
    }
    sort($taken);
    $at = static fn (float $share): string => sprintf('%.1f ms', $taken[(int) ($share * (count($taken) - 1))]);
    printf("%-28s %10s %10s\n", basename($file, '.json'), $at(0.5), $at(0.95));
}

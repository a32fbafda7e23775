<?php

// How long the cut lines, seams and templates of tubes that meet take, in process: php bench/merge.php [TIMES]

declare(strict_types=1);

require dirname(__DIR__).'/core/vendor/autoload.php';

use UpsweptBead\Core\Exchange\Files\MergeAnswerWriter;
use UpsweptBead\Core\Exchange\Files\MergeProblem;
use UpsweptBead\Core\Exchange\Files\MergeProblemReader;
use UpsweptBead\Core\Exchange\Files\Template\ProblemTemplate;
use UpsweptBead\Core\Exchange\Files\Template\TemplateFormat;
use UpsweptBead\Core\Solve\Merge\Template\WrapTemplate;

$times = (int) ($argv[1] ?? 50);
$shipped = static fn (string $name): string => (string) file_get_contents(
    dirname(__DIR__)."/core/tests/problems/merge/$name.json",
);
$unequal = json_decode($shipped('03-straight-4'), true);
foreach ([44.45, 43.5, 44.0, 43.0] as $i => $od) {
    $unequal['tubes'][$i] = ['id' => chr(65 + $i), 'od' => $od, 'wall' => 1.65, 'half_angle' => 9 + $i / 10];
}
$cases = [
    'four straight tubes' => $shipped('03-straight-4'),
    'four unequal tubes' => (string) json_encode($unequal),
    'four bent tubes' => $shipped('10-bent-4-run-on'),
    'a saddle' => $shipped('16-saddle-60-offset'),
];
printf("%-24s %10s %10s %10s\n", 'read, solved, written', 'p50', 'p95', 'template');
foreach ($cases as $name => $json) {
    $taken = $drawn = [];
    for ($i = 0; $i < $times; $i++) {
        $began = hrtime(true);
        $problem = MergeProblemReader::read($json);
        $problem instanceof MergeProblem || exit("$name is refused\n");
        json_encode(MergeAnswerWriter::toArray($problem), JSON_THROW_ON_ERROR);
        $taken[] = (hrtime(true) - $began) / 1e6;
        $began = hrtime(true);
        $template = ProblemTemplate::of($problem, $name === 'a saddle' ? 'branch' : 'A');
        if ($template instanceof WrapTemplate) {
            TemplateFormat::Pdf->write($template);
            $drawn[] = (hrtime(true) - $began) / 1e6;
        }
    }
    sort($taken);
    sort($drawn);
    $at = static fn (array $all, float $share): string => $all === [] ? '–' : sprintf('%.1f ms', $all[(int) ($share * (count($all) - 1))]);
    printf("%-24s %10s %10s %10s\n", $name, $at($taken, 0.5), $at($taken, 0.95), $at($drawn, 0.95));
}

<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Mesh\MeshBuilder;
use UpsweptBead\Core\Base\Geometry\Mesh\TriangleMesh;
use UpsweptBead\Core\Base\Geometry\Solid\Box;
use UpsweptBead\Core\Base\Geometry\Solid\KeepOut;
use UpsweptBead\Core\Base\Geometry\Solid\MeshSolid;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Exchange\Files\RouteProblemReader;
use UpsweptBead\Core\Exchange\Files\StlReader;
use UpsweptBead\Core\Exchange\Files\StlUp;
use UpsweptBead\Core\Solve\Route\Search\SetSolver;

// The PHP side of scan.mjs: FOLDER SECONDS SEEDS

require dirname(__DIR__).'/core/vendor/autoload.php';
[, $folder, $seconds, $seeds] = $argv;

$problem = RouteProblemReader::read((string) file_get_contents(dirname(__DIR__).'/core/tests/problems/08-inline-four.json'));
$axes = [new Vector(1, 0, 0), new Vector(0, 1, 0), new Vector(0, 0, 1)];
$mesh = static fn (string $name): TriangleMesh => MeshBuilder::build(StlReader::read((string) file_get_contents("$folder/$name.stl"), 1.0, StlUp::Z));
$began = hrtime(true);
[$block, $lump] = [$mesh('block'), $mesh('lump')];
printf("%d triangles read and put in order in %.2f s\n\n", $block->triangles() + $lump->triangles(), (hrtime(true) - $began) / 1e9);
$others = array_filter($problem->keepOuts, static fn (KeepOut $one): bool => $one->id !== 'block');
printf("%-28s %-7s %9s %8s %7s %6s\n", 'lump at', 'as', 'objective', 'first s', 'best s', 'MB');
foreach ([[60, 170, -330], [200, 140, -200], [300, 200, -120], [120, 120, -180]] as $place) {
    $at = new Vector(...array_map(floatval(...), $place));
    $worlds = [
        'boxes' => [...$problem->keepOuts, new Box('lump', $at, $axes, [45.0, 45.0, 80.0])],
        'scans' => [...$others, new MeshSolid('engine', $block, new Vector(138, -132, 0), $axes, null, 70.0), new MeshSolid('lump', $lump, $at, $axes)],
    ];
    foreach ($worlds as $name => $solids) {
        for ($seed = 1; $seed <= (int) $seeds; $seed++) {
            $answer = (new SetSolver($problem->keepingOut(array_values($solids)), $seed, static fn (): float => hrtime(true) / 1e9))->solve((float) $seconds);
            printf("%-28s %-7s %9s %8.2f %7.2f %6.0f\n", implode(', ', $place), $name, is_finite($answer->objective) ? sprintf('%.1f', $answer->objective) : $answer->status->value, $answer->firstSeconds, $answer->bestSeconds, memory_get_peak_usage() / 1e6);
        }
    }
}

<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Exchange\Files\PortsTable;
use UpsweptBead\Core\Exchange\Files\RunTables;
use UpsweptBead\Core\Solve\Run\TubeRun;
use UpsweptBead\Core\Tests\Support\Some;

it('reads ports as people paste them, in the units they write', function (string $text) {
    $table = PortsTable::read($text, UnitSystem::Metric);
    expect($table->rejected)->toBe([])
        ->and($table->rows)->toHaveCount(2)
        ->and($table->rows[1]->name)->toBe('Port 2')
        ->and($table->rows[1]->at[0]->mm)->toBeClose(92.0)
        ->and($table->rows[1]->direction)->toBe([0.0, 0.985, -0.174]);
})->with([
    'a spreadsheet, with headings' => [
        "name\tx\ty\tz\tdx\tdy\tdz\nPort 1\t0\t0\t0\t0\t0.985\t-0.174\nPort 2\t92\t0\t0\t0\t0.985\t-0.174",
    ],
    'commas' => ["Port 1,0,0,0,0,.985,-.174\r\nPort 2,92 mm,0,0,0,.985,-.174\r\n"],
    'semicolons and decimal commas' => ["Port 1;0;0;0;0;0,985;-0,174\nPort 2;92;0;0;0;0,985;-0,174"],
    'mixed units, blank lines' => ["Port 1,0 in,0,0,0,.985,-.174\n\nPort 2,9.2 cm,0,0,0,.985,-.174\n"],
]);

it('reads the inlet beside the port', function () {
    $row = PortsTable::read('Port 1,0,0,0,0,1,0,22 1/4,13,-17,1,0,-.05', UnitSystem::Inch)->rows[0];
    expect($row->inletAt === null ? 0.0 : $row->inletAt[0]->mm)->toBeClose(22.25 * 25.4)
        ->and($row->inletDirection)->toBe([1.0, 0.0, -0.05]);
});

it('says of each rejected line why, and keeps the others', function (string $line, string $why) {
    $table = PortsTable::read("Port 1,0,0,0,0,1,0\n$line\nPort 3,184,0,0,0,1,0", UnitSystem::Metric);
    expect($table->rows)->toHaveCount(2)
        ->and($table->rejected)->toHaveCount(1)
        ->and($table->rejected[0]['line'])->toBe(2)
        ->and($table->rejected[0]['why'])->toContain($why);
})->with([
    'a zero direction' => ['Port 2,92,0,0,0,0,0', 'points nowhere'],
    'an unknown unit' => ['Port 2,92 parsecs,0,0,0,1,0', 'is not a unit of length'],
    'too few columns' => ['Port 2,92,0,0', 'has 4 columns'],
    'no number at all' => ['Port 2,92,0,0,up,1,0', 'not a number for a direction'],
    'not finite' => ['Port 2,92,0,0,1e999,1,0', 'not a number for a direction'],
    'identical ports' => ['Port 2,0,0,0,0,1,0', 'same place as line 1'],
    'endless' => ['Port 2,2000000,0,0,0,1,0', 'at most 100 m'],
]);

it('is not drowned by endless or hostile input', function (string $text) {
    $table = PortsTable::read($text, UnitSystem::Metric);
    expect(count($table->rows))->toBeLessThanOrEqual(16)->and(count($table->rejected))->toBeLessThanOrEqual(201);
})->with([
    str_repeat("a,1,2,3,4,5,6\n", 5000),
    str_repeat('"', 5000),
    "\x00\xff,1",
    implode("\n", array_map(static fn (int $i): string => "p$i,$i,0,0,0,1,0", range(1, 300))),
]);

it('writes runs so that they read back as they were', function () {
    $plan = Some::plan();
    $run = $plan->layout->runs[0]->run;
    $lines = array_map(
        static fn (string $line): array => str_getcsv($line, ',', '"', ''),
        array_slice(explode("\n", trim(RunTables::xyz($plan))), 1),
    );
    $points = array_map(
        static fn (array $cells): Vector => new Vector((float) $cells[2], (float) $cells[3], (float) $cells[4]),
        $lines,
    );
    $clrs = array_map(
        floatval(...),
        array_values(array_filter(array_column($lines, 5), static fn (string $cell): bool => $cell !== '')),
    );
    $back = TubeRun::fromXyz($points, $clrs, $run->start->reference);
    expect($back->lengthMm())->toBeClose($run->lengthMm(), 0, 0.01)
        ->and($back->bends[1]->rotationDeg)->toBeClose($run->bends[1]->rotationDeg, 0, 0.01);
    $lra = explode("\n", trim(RunTables::lra($plan, 'A')));
    expect($lra)->toHaveCount(count($run->bends) + 2)
        ->and($lra[0])->toBe('run,bend,straight_mm,rotation_deg,angle_deg,clr_mm')
        ->and($lra[1])->toStartWith(sprintf('A,1,%.3f', $run->bends[0]->straightMm))
        ->and(RunTables::lra($plan, 'Z'))->toBe("run,bend,straight_mm,rotation_deg,angle_deg,clr_mm\n");
});

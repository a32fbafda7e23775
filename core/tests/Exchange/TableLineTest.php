<?php

declare(strict_types=1);

use UpsweptBead\Core\Exchange\PortsTable;
use UpsweptBead\Core\Exchange\TableLine;
use UpsweptBead\Core\Units\UnitSystem;

it('parts cells as spreadsheets do', function (string $line, array $cells) {
    expect(TableLine::cells($line))->toBe($cells);
})->with([
    'commas' => ['A, 41.3 ,0', ['A', '41.3', '0']],
    // RFC 4180, section 2: a cell with a comma or a quote stands in quotes, a quote in it is doubled.
    'quotes round a comma' => ['"Port, left",41.3', ['Port, left', '41.3']],
    'a doubled quote' => ['A,"1 5/8"""', ['A', '1 5/8"']],
    'semicolons, so commas are decimal' => ['A;41,3;-0,5', ['A', '41.3', '-0.5']],
    'tabs, a decimal comma before a unit' => ["A\t41,3 mm\t,5", ['A', '41.3 mm', '.5']],
    'a decimal comma in quotes' => ['A,"41,3","1,5 in"', ['A', '41.3', '1.5 in']],
    'a name with a comma is no number' => ['Port, left;1', ['Port, left', '1']],
    'two commas are no number' => ['A;1,200,5', ['A', '1,200,5']],
    'nothing' => [' ; ; ', []],
]);

it('takes a table of ports from a spreadsheet that writes decimal commas', function () {
    $table = PortsTable::read('Port 1;12,5;0;-3,25 mm;0;1;-0,2', UnitSystem::Metric);
    expect($table->rejected)->toBe([])
        ->and($table->rows[0]->at[0]->mm)->toBe(12.5)
        ->and($table->rows[0]->at[2]->mm)->toBe(-3.25)
        ->and($table->rows[0]->direction)->toBe([0.0, 1.0, -0.2]);
});

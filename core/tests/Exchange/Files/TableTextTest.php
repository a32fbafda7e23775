<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Exchange\Files\PortsTable;
use UpsweptBead\Core\Exchange\Files\TableText;

it('parts cells as spreadsheets do', function (string $line, array $cells) {
    expect(TableText::cells($line))->toBe($cells);
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

// RFC 4180, section 2, rule 6: a cell with the end of a line in it stands in quotes.
it('reads on over the end of a line within quotes', function () {
    $lines = TableText::lines("item,count\r\n\"Clamp\r\n3 in\",4\r\n\r\nrod,\"2\n\"\"\nx\"\nend,1", 100);
    expect(array_column($lines, 'cells'))->toBe([['item', 'count'], ["Clamp\n3 in", '4'], ['rod', "2\n\"\nx"], ['end', '1']])
        ->and(array_column($lines, 'number'))->toBe([1, 2, 5, 8]);
});

it('takes the sign of inches, and a quote that nothing closes, for no quote', function () {
    $lines = TableText::lines("A,3\",4\nB,5 1/2\",6\n\"C,7\nD,8", 100);
    expect(array_column($lines, 'number'))->toBe([1, 2, 3, 4])
        ->and($lines[0]->cells)->toBe(['A', '3"', '4'])
        ->and($lines[3]->cells)->toBe(['D', '8']);
});

it('reads so many lines and tells of the first beyond, however many quotes are open', function () {
    $lines = TableText::lines("a,1\nb,2\nc,3\nd,4", 2);
    expect(array_column($lines, 'isBeyond'))->toBe([false, false, true])
        ->and($lines[2]->rejected('too many'))->toBe(['line' => 3, 'text' => 'c,3', 'why' => 'too many']);
    $began = hrtime(true);
    expect(count(TableText::lines(str_repeat("\"a,\"b\n", 5000), 5000)))->toBeLessThanOrEqual(5000)
        ->and((hrtime(true) - $began) / 1e9)->toBeLessThan(5.0);
});

it('takes a table of ports from a spreadsheet that writes decimal commas', function () {
    $table = PortsTable::read('Port 1;12,5;0;-3,25 mm;0;1;-0,2', UnitSystem::Metric);
    expect($table->rejected)->toBe([])
        ->and($table->rows[0]->at[0]->mm)->toBe(12.5)
        ->and($table->rows[0]->at[2]->mm)->toBe(-3.25)
        ->and($table->rows[0]->direction)->toBe([0.0, 1.0, -0.2]);
});

<?php

declare(strict_types=1);

use UpsweptBead\Core\Account\Stores\ItemKind;
use UpsweptBead\Core\Exchange\Files\StoresRow;
use UpsweptBead\Core\Exchange\Files\StoresTable;
use UpsweptBead\Core\Shop\Stock\Catalogue;

/** @param  array<string, ItemKind>  $known */
function counted(string $csv, array $known = []): StoresTable
{
    return StoresTable::read($csv, Catalogue::shipped(), $known);
}

it('reads what was counted, with heading or without, however a spreadsheet parts its cells', function (string $csv) {
    $table = counted($csv);
    expect($table->rejected)->toBe([])
        ->and(array_map(static fn (StoresRow $one): array => [$one->key, $one->kind, $one->count, $one->price], $table->rows))->toBe([
            ['T3.000x.065', ItemKind::Tube, 3.0, null],
            ['B3.000x.065-R4.5-90', ItemKind::Bend, 2.0, 32.5],
        ]);
})->with([
    'commas' => "item,count,place,price\nT3.000x.065,3\nB3.000x.065-R4.5-90,2,Rack 2,32.50",
    'semicolons and decimal commas' => "T3.000x.065;3\r\nB3.000x.065-R4.5-90;2;Rack 2;32,50",
    'tabs, a byte order mark' => "\xEF\xBB\xBFT3.000x.065\t3\nB3.000x.065-R4.5-90\t2\tRack 2\t32.50\n\n",
]);

it('knows a part that the stores have, and takes a new one with its kind and name', function () {
    $table = counted("oxygen-sensor-bung,6\nrod,2.5,,,,,wire,Rod for the lathe", ['oxygen-sensor-bung' => ItemKind::Bung]);
    expect($table->rejected)->toBe([])
        ->and($table->rows[1]->kind)->toBe(ItemKind::Wire)
        ->and($table->rows[1]->count)->toBe(2.5);
});

it('tells a line that cannot be used with its reason, and keeps the others', function (string $line, string $why) {
    $table = counted("T3.000x.065,3\n$line\nT2.500x.065,1");
    expect($table->rows)->toHaveCount(2)
        ->and($table->rejected)->toHaveCount(1)
        ->and($table->rejected[0]['line'])->toBe(2)
        ->and($table->rejected[0]['why'])->toContain($why);
})->with([
    'negative stock' => ['T1.500x.065,-2', '"-2" as its count; a whole number from 0 to 100000'],
    'a part of a stick' => ['T1.500x.065,1.5', '"1.5" as its count; a whole number'],
    'unknown tube' => ['T9.999x.065,2', '"T9.999x.065" is in no catalogue and not in the stores'],
    'no count' => ['T1.500x.065,', 'has no count'],
    'counted twice' => ['T3.000x.065,1', 'is counted in line 1 already'],
    'a formula' => ['T1.500x.065,=1+1', '"=1+1" as its count'],
    'a number without end' => ['T1.500x.065,1e309', '"1e309" as its count'],
    'a number too large' => ['T1.500x.065,999999999', 'from 0 to 100000'],
    'too many columns' => ['T1.500x.065,1,,,,,,,,,', 'columns; at most 8'],
    'a name too long' => [str_repeat('x', 200).',1', 'too long'],
    'new stock by another name' => ['my-tube,1,,,,,tube,Mine', 'is in no catalogue'],
]);

it('reads no more than a shop can have counted, in little time', function () {
    expect(fn () => counted(str_repeat('a', StoresTable::MOST_BYTES + 1)))->toThrow(LengthException::class, 'at most 1000000');
    $began = hrtime(true);
    $table = counted(str_repeat("x,1\n", 250_000));
    expect(count($table->rejected))->toBe(5001)
        ->and($table->rejected[5000]['why'])->toContain('only the first 5000 lines')
        ->and((hrtime(true) - $began) / 1e9)->toBeLessThan(5.0);
});

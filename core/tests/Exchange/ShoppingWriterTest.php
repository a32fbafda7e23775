<?php

declare(strict_types=1);

use UpsweptBead\Core\Account\Stores\ItemKind;
use UpsweptBead\Core\Account\Stores\Need;
use UpsweptBead\Core\Account\Stores\ShoppingRow;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Exchange\Screens\ShoppingWriter;

it('weighs wire by the units of the job, and counts everything else', function () {
    $wire = new ShoppingRow(new Need('W', ItemKind::Wire, 'Wire', 0.45359237), 0.0, 0.45359237, 20.0, '');
    $tube = new ShoppingRow(new Need('T', ItemKind::Tube, 'Tube', 1.0), 1.0, 0.0, null, 'Rack A');
    // 1 lb = 0.45359237 kg, by definition.
    expect((new ShoppingWriter(UnitSystem::Inch))->row($wire))->toMatchArray(['needed' => 1.0, 'toBuy' => 1.0, 'unit' => 'lb', 'cost' => 20.0])
        ->and((new ShoppingWriter(UnitSystem::Metric))->row($wire))->toMatchArray(['needed' => 0.454, 'unit' => 'kg'])
        ->and((new ShoppingWriter(UnitSystem::Inch))->row($tube))->toMatchArray(['needed' => 1.0, 'unit' => 'stick', 'cost' => null])
        ->and((new ShoppingWriter(UnitSystem::Inch))->text(ItemKind::Bend, 3.0))->toBe('3 pieces');
});

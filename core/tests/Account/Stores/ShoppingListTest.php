<?php

declare(strict_types=1);

use UpsweptBead\Core\Account\Stores\ItemKind;
use UpsweptBead\Core\Account\Stores\Need;
use UpsweptBead\Core\Account\Stores\ShoppingList;
use UpsweptBead\Core\Account\Stores\StoreItem;

function needOf(float $quantity, ItemKind $kind = ItemKind::Bend, ?float $usual = 32.0): Need
{
    return new Need('X', $kind, 'A bend', $quantity, $usual);
}

function item(float $onHand, float $promised = 0.0, ?float $cost = null): StoreItem
{
    return new StoreItem('X', ItemKind::Bend, 'A bend', $onHand, $promised, $cost, 2.0, 6.0);
}

it('buys what the stores do not have, at the price of the stores or else the usual one', function () {
    $list = ShoppingList::of([needOf(5)], ['X' => item(2)]);
    expect([$list->rows[0]->fromStores, $list->rows[0]->toBuy, $list->rows[0]->cost])->toBe([2.0, 3.0, 96.0])
        ->and(ShoppingList::of([needOf(5)], ['X' => item(2, 0, 30.0)])->cost())->toBe(90.0)
        ->and(ShoppingList::of([needOf(5)], [])->stockToBuy())->toBe(5);
});

it('leaves to others what they were promised, and takes what this job was', function () {
    expect(ShoppingList::of([needOf(4)], ['X' => item(4, 3)])->rows[0]->toBuy)->toBe(3.0)
        ->and(ShoppingList::of([needOf(4)], ['X' => item(4, 3)], ['X' => 2.0])->rows[0]->toBuy)->toBe(1.0)
        ->and(ShoppingList::of([needOf(4)], ['X' => item(4, 3)], ['X' => 3.0])->rows[0]->toBuy)->toBe(0.0);
});

it('does not buy again what was taken already', function () {
    $list = ShoppingList::of([needOf(4)], ['X' => item(0)], [], ['X' => 3.0]);
    expect([$list->rows[0]->fromStores, $list->rows[0]->toBuy])->toBe([0.0, 1.0])
        ->and(ShoppingList::of([needOf(4)], ['X' => item(0)], [], ['X' => 4.0])->rows[0]->toBuy)->toBe(0.0);
});

it('buys whole kilograms of wire, and says where a price is missing', function () {
    $list = ShoppingList::of([needOf(0.2, ItemKind::Wire, null)], ['X' => item(0.05)]);
    expect($list->rows[0]->toBuy)->toBe(1.0)
        ->and($list->rows[0]->cost)->toBeNull()
        ->and($list->isPriced())->toBeFalse()
        ->and(ShoppingList::of([needOf(0.2, ItemKind::Wire, null)], ['X' => item(0.2)])->isPriced())->toBeTrue()
        ->and($list->stockToBuy())->toBe(0);
});

it('puts what is to be bought first', function () {
    $list = ShoppingList::of([needOf(1), new Need('Y', ItemKind::Tube, 'A stick', 2.0)], ['X' => item(9)]);
    expect(array_map(static fn ($row): string => $row->need->key, $list->rows))->toBe(['Y', 'X']);
});

it('orders up to the mark once as little is left as was set, promises counted as gone', function () {
    expect(item(3)->toReorder())->toBe(0.0)
        ->and(item(2)->toReorder())->toBe(4.0)
        ->and(item(9, 8)->toReorder())->toBe(5.0)
        ->and((new StoreItem('X', ItemKind::Bend, 'A bend', 0.0))->toReorder())->toBe(0.0)
        ->and(item(4, 9)->free())->toBe(0.0);
});

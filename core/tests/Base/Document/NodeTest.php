<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Document\Fault;
use UpsweptBead\Core\Base\Document\Faults;
use UpsweptBead\Core\Base\Document\Node;
use UpsweptBead\Core\Base\Document\UnusableDocument;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Shop\Practice\BottleUse;

/**
 * Reads one field, "it", and gives what came of it and what was complained of.
 *
 * @return array{mixed, list<string>}
 */
function reading(mixed $value, Closure $how): array
{
    $faults = new Faults();
    $read = $how(Node::wrap(['format' => 'f', 'it' => $value], 'f', null, $faults)->at('it'));

    return [$read, array_map(static fn (Fault $one): string => "$one->path: $one->code", $faults->all())];
}

it('reads lengths as millimetres, or as people write them', function (mixed $value, float $mm) {
    [$length, $faults] = reading($value, static fn (Node $node) => $node->length(UnitSystem::Inch));
    expect($length->mm)->toBeClose($mm)->and($faults)->toBe([]);
})->with([
    [41.3, 41.3],
    ['1 5/8 in', 41.275],
    ['41.3mm', 41.3],
    ['1 5/8', 41.275],
    ["2' 3 1/2\"", 698.5],
    ['.065', 1.651],
]);

it('complains of what it cannot use and goes on with something harmless', function (
    mixed $value,
    Closure $how,
    string $fault,
    mixed $instead,
) {
    [$read, $faults] = reading($value, $how);
    expect($faults)->toContain($fault)->and($read)->toEqual($instead);
})->with([
    'a word for a length' => [
        'about a foot',
        static fn (Node $node): float => $node->length(UnitSystem::Inch)->mm,
        'it: not-a-length',
        0.0,
    ],
    'a list for a length' => [
        [1],
        static fn (Node $node): float => $node->length(UnitSystem::Inch)->mm,
        'it: not-a-length',
        0.0,
    ],
    'a hundred kilometres' => [
        1e8,
        static fn (Node $node): float => $node->length(UnitSystem::Inch)->mm,
        'it: out-of-range',
        0.0,
    ],
    'a text for a number' => ['7', static fn (Node $node): float => $node->number(), 'it: not-a-number', 0.0],
    'a yes for true' => ['yes', static fn (Node $node): bool => $node->boolean(), 'it: not-a-boolean', false],
    'two numbers for a point' => [
        [1, 2],
        static fn (Node $node): array => $node->point()->toArray(),
        'it: not-a-point',
        [0.0, 0.0, 0.0],
    ],
    'a direction of no length' => [
        [0, 0, 0],
        static fn (Node $node): array => $node->direction()->toArray(),
        'it: no-direction',
        [1.0, 0.0, 0.0],
    ],
    'a choice it has not' => [
        'helium',
        static fn (Node $node): BottleUse => $node->choice(BottleUse::class, BottleUse::Purge),
        'it: unknown-choice',
        BottleUse::Purge,
    ],
    'a control character' => ["a\x07b", static fn (Node $node): string => $node->text('none'), 'it: not-a-text', 'none'],
    'too long a text' => ['ééééé', static fn (Node $node): string => $node->text('none', 4), 'it: not-a-text', 'none'],
    'nothing where something must be' => ['  ', static fn (Node $node): string => $node->required(), 'it: missing', ''],
    'an object for a list' => [['a' => 1], static fn (Node $node): array => $node->items(5), 'it: not-a-list', []],
    'too many' => [[1, 2, 3], static fn (Node $node): array => $node->items(2), 'it: too-many', []],
    'a number for an object' => [4, static fn (Node $node): array => $node->entries(2), 'it: not-an-object', []],
]);

it('counts a text by its letters, not its bytes, and keeps line ends', function () {
    expect(reading("éé\néé", static fn (Node $node): string => $node->text('none', 5)))->toBe(["éé\néé", []]);
});

it('names the place in a list, and a field that it does not know', function () {
    [, $faults] = reading([['a' => 1], ['b' => 2, 'colour' => 3]], static function (Node $node): void {
        foreach ($node->items(9) as $item) {
            $item->only(['a', 'b']);
        }
    });
    expect($faults)->toBe(['it[1].colour: unknown-field']);
});

it('keeps names that look like numbers as names', function () {
    [$entries] = reading(
        ['1' => 'a', '13' => 'b'],
        static fn (Node $node): array => array_map(
            static fn (Node $one): string => "$one->path=".$one->text(),
            $node->entries(5),
        ),
    );
    expect(array_values($entries))->toBe(['it.1=a', 'it.13=b']);
});

it('stops counting what is wrong at 50', function () {
    [, $faults] = reading(
        range(1, 80),
        static fn (Node $node): array => array_map(static fn (Node $one): string => $one->text(), $node->items(99)),
    );
    expect($faults)->toHaveCount(50);
});

it('opens only a document of its own kind, and says what is wrong with another', function (string $json, string $why) {
    expect(static fn () => Node::open($json, 'upswept-bead/job', 3, new Faults(), 100))->toThrow(
        UnusableDocument::class,
        $why,
    );
})->with([
    'no JSON' => ['{"format": ', 'JSON'],
    'another format' => ['{"format":"other"}', 'upswept-bead/job'],
    'another version' => ['{"format":"upswept-bead/job","version":4}', '4'],
    'no version' => ['{"format":"upswept-bead/job"}', 'none'],
    'too large' => ['{"format":"upswept-bead/job","version":3,"n":"'.str_repeat('x', 100).'"}', '100'],
    'too deep' => [str_repeat('[', 40).str_repeat(']', 40), 'depth'],
]);

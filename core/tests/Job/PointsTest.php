<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Document\Faults;
use UpsweptBead\Core\Base\Document\Node;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Job\Points;

it('takes a length with the way that was said behind it', function (array $written, array $mm) {
    $faults = new Faults;
    $read = Points::read(Node::of($written, $faults), UnitSystem::Inch);
    expect($faults->all())->toBe([]);
    foreach ($mm as $i => $value) {
        expect($read[$i]->mm)->toBeClose($value, 1e-9, 1e-9);
    }
    // What is written to the file says the same without the word.
    $again = Points::read(Node::of(Points::entered($read), $faults), UnitSystem::Inch);
    expect(array_map(static fn ($one): float => $one->mm, $again))->toEqual(array_map(static fn ($one): float => $one->mm, $read));
})->with([
    'down and left' => [['22 1/4 in back', '4 left', '10 down'], [565.15, -101.6, -254.0]],
    'as they are' => [['22 1/4', '-4', '10 up'], [565.15, -101.6, 254.0]],
    'in millimetres' => [['30 mm forward', '12 mm right', '0'], [-30.0, 12.0, 0.0]],
]);

it('refuses a way that the axis does not have, as it was written', function (array $written, string $says) {
    $faults = new Faults;
    Points::read(Node::of($written, $faults), UnitSystem::Inch);
    expect($faults->all()[0]->message)->toContain($says);
})->with([
    'down, where it goes right' => [['1', '10 down', '2'], '10 down'],
    'twice against' => [['1', '2', '-10 down'], '-10 down'],
]);

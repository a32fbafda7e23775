<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Document\Fault;
use UpsweptBead\Core\Base\Document\Faults;
use UpsweptBead\Core\Base\Document\Node;
use UpsweptBead\Core\Stage\Bench\Inspection\Cause;
use UpsweptBead\Core\Stage\Bench\Inspection\Flaw;
use UpsweptBead\Core\Stage\Bench\Inspection\InspectedJoint;
use UpsweptBead\Core\Stage\Bench\Inspection\Inspection;
use UpsweptBead\Core\Stage\Bench\Inspection\Outcome;
use UpsweptBead\Core\Stage\Bench\Inspection\Oxide;

/** @param  list<Flaw>  $flaws */
function found(Oxide $inside, array $flaws = [], Oxide $outside = Oxide::Straw): InspectedJoint
{
    return new InspectedJoint($outside, $inside, $flaws, null, Outcome::Accept);
}

// AWS D18.2, values from memory: handbook §11.5.
it('has ten colours, from bright to burnt, each with its oxygen', function () {
    expect(array_map(static fn (Oxide $one): float => $one->ppm(), Oxide::cases()))
        ->toBe([10.0, 25.0, 50.0, 100.0, 200.0, 500.0, 1000.0, 5000.0, 12500.0, 25000.0]);
});

it('accepts inside what the purge was to hold, has more cleaned, and burnt roots cut out', function (
    float $targetPpm,
    Oxide $inside,
    Outcome $least,
) {
    expect((new Inspection($targetPpm, 1000.0))->least(found($inside)))->toBe($least);
})->with([
    'straw upstream of a turbine' => [50.0, Oxide::Straw, Outcome::Accept],
    'gold upstream of a turbine' => [50.0, Oxide::Gold, Outcome::Dress],
    'gold elsewhere' => [200.0, Oxide::Gold, Outcome::Accept],
    'blue' => [200.0, Oxide::Blue, Outcome::Dress],
    'grey' => [200.0, Oxide::Grey, Outcome::Redo],
    'a crust' => [200.0, Oxide::Black, Outcome::Redo],
]);

it('never welds over sugar or a crack, and fills an undercut', function (Flaw $flaw, Outcome $least) {
    expect((new Inspection(200.0, 1000.0))->least(found(Oxide::Silver, [$flaw])))->toBe($least);
})->with([
    [Flaw::Sugar, Outcome::Redo],
    [Flaw::Crack, Outcome::Redo],
    [Flaw::Penetration, Outcome::Redo],
    [Flaw::Undercut, Outcome::Add],
    [Flaw::Hollow, Outcome::Add],
]);

it('goes by the worst of all that was found', function () {
    $inspection = new Inspection(200.0, 1000.0);
    expect($inspection->least(found(Oxide::Purple, [Flaw::Undercut, Flaw::Crack])))->toBe(Outcome::Redo)
        ->and($inspection->least(found(Oxide::Purple, [Flaw::Undercut])))->toBe(Outcome::Add)
        ->and($inspection->least(found(Oxide::Silver, [], Oxide::Blue)))->toBe(Outcome::Dress)
        ->and($inspection->least(new InspectedJoint(Oxide::Gold, null, [], null, Outcome::Accept)))->toBe(Outcome::Accept);
});

it('reads what was found and gives it back as it was', function () {
    $written = ['outside' => 'straw', 'inside' => null, 'flaws' => ['undercut'], 'cause' => 'heat', 'outcome' => 'add'];
    $faults = new Faults;
    $found = InspectedJoint::read(Node::of($written, $faults));
    expect($faults->all())->toBe([])->and($found->toArray())->toBe($written)
        ->and($found->cause)->toBe(Cause::Heat)
        ->and($found->text())->toBe('outside straw, inside not seen, undercut: a pass to be added; cause: too hot');
});

it('names what is wrong with it', function (array $change, string $field) {
    $faults = new Faults;
    $whole = ['outside' => 'straw', 'inside' => 'straw', 'flaws' => [], 'cause' => null, 'outcome' => 'accept'];
    InspectedJoint::read(Node::of([...$whole, ...$change], $faults));
    expect(array_map(static fn (Fault $one): string => $one->path, $faults->all()))->toContain($field);
})->with([
    [['outside' => 'pink'], 'outside'],
    [['inside' => 'pink'], 'inside'],
    [['flaws' => ['ugly']], 'flaws[0]'],
    [['outcome' => 'pray'], 'outcome'],
    [['outcome' => 'redo'], 'cause'],
    [['outside' => null], 'outside'],
]);

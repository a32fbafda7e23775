<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Solve\Route\Blocked;
use UpsweptBead\Core\Solve\Route\Constraint;
use UpsweptBead\Core\Solve\Route\RefusalText;
use UpsweptBead\Core\Solve\Route\Search\Hindrance;
use UpsweptBead\Core\Solve\Route\Search\Lack;
use UpsweptBead\Core\Solve\Route\Search\Miss;
use UpsweptBead\Core\Solve\Route\Search\SetRefusal;

it('says of one run what would have to give, in the units of the job', function (
    Constraint $constraint,
    float $by,
    bool $alone,
    string $metric,
    string $inch,
) {
    $blocked = new Blocked($constraint, $by, $alone, 76.2, 76.2);
    expect((new RefusalText(UnitSystem::Metric))->blocked($blocked))->toBe($metric)
        ->and((new RefusalText(UnitSystem::Inch))->blocked($blocked))->toBe($inch);
})->with([
    [
        Constraint::FirstStraight,
        12.7,
        true,
        'The straight before the first bend is 12.7 mm too short; giving way here alone is enough.',
        'The straight before the first bend is 1/2 in too short; giving way here alone is enough.',
    ],
    [
        Constraint::SecondBendGreatest,
        15.0,
        false,
        'The greatest angle of the second bend would have to go 15° higher.',
        'The greatest angle of the second bend would have to go 15° higher.',
    ],
    [
        Constraint::FirstBendLeast,
        2.0,
        false,
        'The least angle of the first bend would have to go 2° lower.',
        'The least angle of the first bend would have to go 2° lower.',
    ],
    [Constraint::Stock, 0.0, false, 'No bend is stocked for this tube.', 'No bend is stocked for this tube.'],
]);

it('names the run, what stands in its way, by how much, and what would open it', function (
    Lack $what,
    ?string $by,
    float $amount,
    string $said,
) {
    $text = (new RefusalText(UnitSystem::Metric))->hindrance(new Hindrance('B', $by, $what, $amount, 'a tighter bend'));
    expect($text)->toBe("$said. What would open it: a tighter bend.");
})->with([
    [Lack::Clearance, 'steering shaft', 4.2, 'Run B has no way past steering shaft: it is too near by 4.2 mm'],
    [Lack::Gap, 'C', 3.0, 'Runs B and C begin too near each other, by 3.0 mm'],
    [Lack::Length, null, 40.5, 'Run B cannot be as short as its target, by 40.5 mm'],
    [Lack::Turn, null, 45.0, 'Run B has to turn 45° more than its bends allow'],
]);

it('does not call impossible what was only not found', function (?Miss $nearest, string $said) {
    expect((new RefusalText(UnitSystem::Metric))->refusal(new SetRefusal([], $nearest)))->toBe(
        "Nothing was found, which proves nothing. $said",
    );
})->with([
    'nothing near' => [null, 'Try again with more time.'],
    'two tubes' => [new Miss('A', 'C', Lack::Gap, 0.8), 'The nearest miss: run A and C, too near by 0.8 mm.'],
    'one tube with itself' => [
        new Miss('A', 'A', Lack::Gap, 0.8),
        'The nearest miss: run A, too near itself by 0.8 mm.',
    ],
    'a length' => [new Miss('A', '', Lack::Length, 6.0), 'The nearest miss: run A, off its length by 6.0 mm.'],
    'a bend' => [new Miss('D', '', Lack::Bend, 1.5), 'The nearest miss: run D, a bend or a straight off by 1.5 mm.'],
]);

it('gives every reason of a proof, one after the other', function () {
    $refusal = new SetRefusal(
        [
            new Hindrance('A', 'wall', Lack::Clearance, 3.0, 'moving wall away'),
            new Hindrance('B', null, Lack::Turn, 10.0, 'more bends'),
        ],
        null,
    );
    expect((new RefusalText(UnitSystem::Metric))->refusal($refusal))->toBe(
        'Run A has no way past wall: it is too near by 3.0 mm. What would open it: moving wall away. '.
            'Run B has to turn 10° more than its bends allow. What would open it: more bends.',
    );
});

<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Reason\Notice;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Stage\Layout\LengthCheck;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeHeader;

/**
 * The lengths of straight runs, checked as one group.
 *
 * @param  list<float>  $lengthsMm  by run
 * @param  array<string, mixed>  $group
 * @return array{LengthCheck, list<string>} the check, and what is said of it
 */
function checkOf(array $lengthsMm, array $group): array
{
    $document = SomeHeader::document();
    foreach ($lengthsMm as $i => $mm) {
        $document['runs'][$i]['route'] = ['bends' => [], 'endStraight' => $mm];
    }
    $document['set'] = ['collectors' => [], 'keepOuts' => [], 'lengths' => [$group]];
    $job = JobReader::fromDecoded($document)->job ?? throw new LogicException('unreadable');
    $layout = Planner::sketch($job, Some::shop())->layout;
    $said = array_map(static fn (Notice $notice): string => $notice->message, LengthCheck::notices($job, $layout->lengths));

    return [$layout->lengths[0], $said];
}

it('takes the middle between the shortest and the longest for the common length, if none is asked for', function () {
    [$check] = checkOf([700, 730, 710], ['runs' => ['A', 'B', 'C'], 'target' => null, 'tolerance' => 2]);
    expect($check->commonMm)->toBeClose(715.0)
        ->and($check->spreadMm())->toBeClose(30.0)
        ->and($check->worstMm())->toBeClose(15.0)
        ->and($check->toleranceMm)->toBeClose(14.3)
        ->and($check->hasTarget)->toBeFalse()
        ->and($check->holds())->toBeFalse();
});

it('takes the length that is asked for, and says who is off by how much', function () {
    [$check, $said] = checkOf([700, 730], ['runs' => ['A', 'B'], 'target' => 720, 'tolerance' => 2]);
    expect($check->commonMm)->toBeClose(720.0)->and($check->worstMm())->toBeClose(20.0)
        ->and($said)->toBe(['Runs A, B differ in length by 30.0 mm; 14.4 mm either way is allowed.']);
});

it('grants what the format’s judge grants, and no more', function (float $length, bool $holds) {
    [$check, $said] = checkOf([1000, $length], ['runs' => ['A', 'B'], 'target' => 1000, 'tolerance' => 1]);
    expect($check->holds())->toBe($holds)->and($said === [])->toBe($holds);
})->with([[1010.0, true], [1010.04, true], [1010.06, false], [989.96, true], [989.94, false]]);

it('looks only at the runs of its group', function () {
    [$check] = checkOf([700, 900, 702], ['runs' => ['A', 'C'], 'target' => null, 'tolerance' => 1]);
    expect(array_keys($check->lengthsMm))->toBe(['A', 'C'])->and($check->holds())->toBeTrue();
});

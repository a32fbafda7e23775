<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Reason\Choice;
use UpsweptBead\Core\Base\Reason\Figure;
use UpsweptBead\Core\Stage\Intake\Tuning;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeHeader;

$engine = static fn (array $change = []): array => [
    'engine' => $change + ['cylinderCc' => 500, 'exhaustOpens' => 70, 'peakRpm' => 6000, 'port' => '3 in'],
];

function inches(Figure|Choice $figure): float
{
    return $figure instanceof Figure ? $figure->value / 25.4 : throw new LogicException('no number');
}

it('gives the worked example: opening 70°, 6000 a minute, 500 cm³', function () use ($engine) {
    // A. Graham Bell, Four-Stroke Performance Tuning (from memory): P 32.4 in, ID 1.58 in.
    $sums = Tuning::of(SomeHeader::job($engine()), Some::shop());
    expect(inches($sums['length']))->toBeClose(32.4, 0, 0.05)
        ->and(inches($sums['bore']))->toBeClose(1.58, 0, 0.005);
});

it('takes the port that is there off the length, and leaves the bore alone', function () use ($engine) {
    $nominal = Tuning::of(SomeHeader::job($engine()), Some::shop());
    $long = Tuning::of(SomeHeader::job($engine(['port' => '4 1/2 in'])), Some::shop());
    expect(inches($nominal['length']) - inches($long['length']))->toBeClose(1.5)
        ->and($long['bore']->value)->toBe($nominal['bore']->value)
        ->and($long['length']->reason->rule)->toContain('With the nominal 3 in port');
});

it('shortens the tube as the speed rises', function () use ($engine) {
    $at = static fn (int $rpm): float => Tuning::of(SomeHeader::job($engine(['peakRpm' => $rpm])), Some::shop())[
        'length'
    ]->value;
    expect($at(9000))->toBeLessThan($at(7000))->and($at(7000))->toBeLessThan($at(5000));
});

it('names the stocked tube whose bore is nearest', function () use ($engine) {
    // 1 3/4 in × .065 has 1.62 in inside, 1 5/8 in 1.495 in: 1.58 is nearer to the former.
    expect(Tuning::of(SomeHeader::job($engine()), Some::shop())['tube']->value)->toContain('1 3/4');
});

it('has no sums for a turbo, whose lengths are not tuned so', function () use ($engine) {
    $sums = Tuning::of(
        SomeHeader::job([...$engine(['metalC' => 900]), 'job' => ['purpose' => 'turbo-manifold']]),
        Some::shop(),
    );
    expect(array_keys($sums))->toBe([]);
});

it('says nothing without the engine', function () {
    $document = SomeHeader::document();
    unset($document['engine']);
    $job = UpsweptBead\Core\Job\JobReader::fromDecoded($document)->job ?? throw new LogicException();
    expect(Tuning::of($job, Some::shop()))->toBe([]);
});

<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Stage\Plan\Overruled;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Tests\Support\Some;

covers(Overruled::class);

it('tells in words what was put in place of a proposal, and where', function () {
    $document = JobWriter::toArray(Some::routedJob());
    $document['overrides'] = [
        ['figure' => 'weld.AJ2.amps', 'value' => '55 A', 'why' => 'gap on the tight side'],
        ['figure' => 'cool.school', 'value' => 'below the code limit', 'why' => ''],
    ];
    $job = JobReader::fromDecoded($document)->job ?? throw new LogicException('unreadable');
    [$ofJob, $ofJoint] = Planner::plan($job, Some::shop())->overruled();
    expect($ofJob->name())->toBe('Interpass')
        ->and($ofJob->proposed(UnitSystem::Inch))->toBe('Touch-cool')
        ->and($ofJob->value(UnitSystem::Inch))->toBe('Below the code limit')
        ->and($ofJoint->name())->toBe('AJ2, amps')
        ->and($ofJoint->value(UnitSystem::Inch))->toBe('55 A')
        ->and($ofJoint->proposed(UnitSystem::Inch))->not->toBe('55 A')
        ->and($ofJoint->by->why)->toBe('gap on the tight side');
});

it('tells of none where nothing was overruled', function () {
    expect(Some::plan()->overruled())->toBe([]);
});

<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Job\Collector\CollectorSpec;
use UpsweptBead\Core\Job\Set\SetSpec;
use UpsweptBead\Core\Solve\Route\Problem\AssignmentMode;
use UpsweptBead\Core\Stage\Survey\InletRing;
use UpsweptBead\Core\Stage\Survey\Meeting;
use UpsweptBead\Core\Stage\Survey\RunEdits;
use UpsweptBead\Core\Tests\Support\SomeHeader;

it('proposes a collector where one was set down', function () {
    $ring = new InletRing(new Vector(560, 170, -300), new Vector(1, 0, -0.3), 45, Length::ofMm(2), 44.45);
    $job = RunEdits::collected(
        SomeHeader::job(),
        new CollectorSpec('Merge', ['A', 'B', 'C', 'D'], AssignmentMode::Any, []),
        $ring,
    );
    $meeting = Meeting::of($job);
    expect($meeting?->at->distanceTo($ring->at))->toBeLessThan(1e-6)
        ->and($meeting?->axis->distanceTo($ring->axis->unit()))->toBeLessThan(1e-9)
        ->and($meeting?->collector->name)->toBe('Merge');
});

it('takes all runs together where there is none yet', function () {
    $job = SomeHeader::job();
    $meeting = Meeting::of($job->with($job->runs, new SetSpec()));
    expect($meeting?->collector->runs)->toBe(['A', 'B', 'C', 'D'])
        ->and($meeting?->collector->mode)->toBe(AssignmentMode::Any);
});

it('has nothing to propose without runs', function () {
    expect(Meeting::of(SomeHeader::job()->with([], new SetSpec())))->toBeNull();
});

<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Document\Faults;
use UpsweptBead\Core\Base\Document\Node;
use UpsweptBead\Core\Base\Geometry\Mesh\NoMeshes;
use UpsweptBead\Core\Base\Geometry\Solid\KeepOut;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Job\KeepOut\KeepOutKind;
use UpsweptBead\Core\Job\KeepOut\KeepOutSpec;
use UpsweptBead\Core\Stage\Survey\KeepOutKit;
use UpsweptBead\Core\Stage\Survey\KitAnswers;
use UpsweptBead\Core\Tests\Support\SomeHeader;

covers(KitAnswers::class);

/** @param  array<string, mixed>|null  $answers  the proposals if null */
function kit(KeepOutKind $kind, ?array $answers = null, ?Faults $faults = null): KeepOutSpec
{
    $job = SomeHeader::job();
    if ($answers === null) {
        $answers = [];
        foreach (KeepOutKit::all($job) as $one) {
            foreach ($one['kind'] === $kind ? $one['fields'] : [] as $field) {
                $answers[$field->key] = count($field->proposed) === 1 ? $field->proposed[0] : $field->proposed;
            }
        }
    }

    return KeepOutKit::make(
        $job,
        $kind,
        Node::wrap(['format' => 'kit', ...$answers], 'kit', null, $faults ?? new Faults()),
    );
}

function solidOf(KeepOutSpec $spec): KeepOut
{
    return $spec->solid(0.0, 0.0, new NoMeshes()) ?? throw new LogicException('no solid');
}

it('has a shape for every kind, from its own proposals', function (KeepOutKind $kind) {
    $faults = new Faults();
    $spec = kit($kind, null, $faults);
    expect($faults->all())->toBe([])
        ->and($spec->kind)->toBe($kind)
        ->and(solidOf($spec)->distance(1e4, 1e4, 1e4))->toBeGreaterThan(0);
})->with(KeepOutKind::cases());

it('puts the block behind the ports, all of them', function () {
    $block = solidOf(kit(KeepOutKind::Block));
    foreach (SomeHeader::job()->runs as $run) {
        $at = $run->start->frame()->at;
        $out = $at->plus($run->start->direction->unit()->times(50));
        expect($block->distance($at->x, $at->y, $at->z))->toBeLessThan(0.01)
            ->and($block->distance($out->x, $out->y, $out->z))->toBeGreaterThan(40);
    }
});

it('holds a tyre at every lock and at both ends of its travel', function () {
    $size = ['at' => [0, 0, 0], 'diameter' => 600, 'width' => 200, 'lock' => 38, 'bump' => 70, 'droop' => 90];
    $box = solidOf(kit(KeepOutKind::Tyre, $size));
    $tightest = INF;
    for ($lock = -38; $lock <= 38; $lock += 2) {
        foreach ([70.0, -90.0] as $travel) {
            for ($turn = 0; $turn < 360; $turn += 5) {
                foreach ([-100.0, 100.0] as $side) {
                    // A point of the tread's edge, the wheel turned about the upright.
                    $point = (new Vector(300 * cos(deg2rad($turn)), $side, 0))->turnedAbout(new Vector(0, 0, 1), $lock);
                    $inside = -$box->distance($point->x, $point->y, 300 * sin(deg2rad($turn)) + $travel);
                    expect($inside)->toBeGreaterThan(-1e-6);
                    $tightest = min($tightest, $inside);
                }
            }
        }
    }
    // And no larger than it has to be.
    expect($tightest)->toBeLessThan(0.5);
});

it('gives a nut the room of its socket: across the corners, 60 mm straight off', function () {
    // Common practice: 13 mm across the flats is 15.0 mm across the corners.
    $room = solidOf(
        kit(KeepOutKind::NutAndSocket, [
            'at' => [0, 0, 0],
            'out' => [0, 0, 1],
            'flats' => '13 mm',
            'straight' => '60 mm',
        ]),
    );
    expect($room->distance(0, 20, 30))->toBeClose(20 - 13 / sqrt(3))
        ->and($room->distance(0, 0, 70))->toBeClose(10.0);
});

it('lets the drain fall straight down', function () {
    $drain = kit(KeepOutKind::OilDrain, ['at' => [10, 20, 30], 'diameter' => 25, 'length' => 200]);
    expect(array_map(static fn ($length): float => $length->mm, $drain->to))->toBe([10.0, 20.0, -170.0]);
});

it('takes what was measured across as a diameter', function (KeepOutKind $kind, array $more) {
    $solid = solidOf(kit($kind, ['at' => [0, 0, 0], 'diameter' => 50, ...$more]));
    // Midway along, 100 mm off the axis: half of 50 is the thing itself.
    expect($solid->distance(100, 0, -50))->toBeClose(75.0);
})->with([
    'a plug' => [KeepOutKind::PlugAndSocket, ['out' => [0, 0, -1], 'straight' => 100]],
    'a drain' => [KeepOutKind::OilDrain, ['length' => 100]],
    'a steering shaft' => [KeepOutKind::Steering, ['to' => [0, 0, -100]]],
    'a line' => [KeepOutKind::Line, ['to' => [0, 0, -100]]],
    'a starter' => [KeepOutKind::Starter, ['to' => [0, 0, -100]]],
]);

it('names the field that cannot be used', function (KeepOutKind $kind, array $answers, string $path) {
    $faults = new Faults();
    kit($kind, $answers, $faults);
    expect(array_map(static fn ($fault): string => $fault->path, $faults->all()))->toContain($path);
})->with([
    'no width' => [
        KeepOutKind::Tyre,
        ['at' => [0, 0, 0], 'diameter' => 600, 'width' => 0, 'lock' => 30, 'bump' => 50, 'droop' => 50],
        'width',
    ],
    'a word' => [KeepOutKind::Ground, ['level' => 'low'], 'level'],
    'both ends in one place' => [KeepOutKind::Steering, ['at' => [1, 2, 3], 'to' => [1, 2, 3], 'diameter' => 19], 'to'],
    'no direction' => [
        KeepOutKind::PlugAndSocket,
        ['at' => [1, 2, 3], 'out' => [0, 0, 0], 'diameter' => 25, 'straight' => 100],
        'out',
    ],
    'a field it does not know' => [KeepOutKind::Block, ['colour' => 'red'], 'colour'],
]);

it('is as long and as wide as the wheel reaches at any lock, and no more', function (float $lock) {
    $size = ['at' => [0, 0, 0], 'diameter' => 600, 'width' => 200, 'lock' => $lock, 'bump' => 70, 'droop' => 90];
    $box = solidOf(kit(KeepOutKind::Tyre, $size));
    [$along, $across] = [0.0, 0.0];
    for ($turned = -$lock; $turned <= $lock; $turned += $lock / 200) {
        foreach ([[300, 100], [300, -100]] as [$x, $y]) {
            $corner = (new Vector($x, $y, 0))->turnedAbout(new Vector(0, 0, 1), $turned);
            $along = max($along, abs($corner->x));
            $across = max($across, abs($corner->y));
        }
    }
    // From far off along either axis, the face is met just there.
    expect(1e4 - $box->distance(1e4, 0, 0))->toBeClose($along, 1e-4)
        ->and(1e4 - $box->distance(0, 1e4, 0))->toBeClose($across, 1e-4)
        ->and(1e4 - $box->distance(0, 0, 1e4))->toBeClose(300.0 + 70.0)
        ->and(1e4 - $box->distance(0, 0, -1e4))->toBeClose(300.0 + 90.0);
})->with(['hardly turned' => 10.0, 'usual' => 38.0, 'a trolley' => 80.0]);

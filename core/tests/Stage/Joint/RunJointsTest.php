<?php

declare(strict_types=1);

use UpsweptBead\Core\Account\Stores\Need;
use UpsweptBead\Core\Account\Stores\Needs;
use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Reason\Notice;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Stage\Joint\IndexMark;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Joint\JointList;
use UpsweptBead\Core\Stage\Joint\JointType;
use UpsweptBead\Core\Stage\Joint\SensorRoom;
use UpsweptBead\Core\Stage\Plan\Plan;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeCollectors;

covers(JointList::class, SensorRoom::class);

/**
 * The example run with its ends of other kinds, and fittings on its side.
 *
 * @param  list<array<string, mixed>>  $fittings
 */
function joined(string $start, string $end, array $fittings = []): Plan
{
    static $document = null;
    $document ??= JobWriter::toArray(Some::routedJob());
    $own = $document;
    $own['runs'][0]['start']['kind'] = $start;
    $own['runs'][0]['end']['kind'] = $end;
    $own['runs'][0]['fittings'] = $fittings;

    return Planner::plan(JobReader::fromDecoded($own)->job ?? throw new LogicException('unreadable'), Some::shop());
}

it('names the joints from end to end by what meets there', function (
    string $start,
    string $end,
    array $first,
    array $last,
) {
    $plan = joined($start, $end);
    $types = array_map(static fn (Joint $one): JointType => $one->type, $plan->joints->ofRun('A'));
    $butts = count($plan->cut->piecesOf('A')) - 1;
    expect($types)->toBe([...$first, ...array_fill(0, $butts, JointType::Butt), ...$last])
        ->and(array_map(static fn (Joint $one): string => $one->id, $plan->joints->ofRun('A')))
        ->toBe(array_map(static fn (int $n): string => "AJ$n", range(1, count($types))));
})->with([
    'a ring and a flange' => [
        'v-band',
        'flange',
        [JointType::VBandButt],
        [JointType::FlangeSeal, JointType::FlangeFillet],
    ],
    'a flange and a ring' => [
        'flange',
        'v-band',
        [JointType::FlangeSeal, JointType::FlangeFillet],
        [JointType::VBandButt],
    ],
    'two open ends' => ['open', 'open', [], []],
    'into a muffler, clamped' => ['v-band', 'slip', [JointType::VBandButt], [JointType::Slip]],
    'into an adapter, welded' => ['v-band', 'socket', [JointType::VBandButt], [JointType::SlipFillet]],
]);

it('cuts the last piece longer by what goes into a part, and buys the clamp for it', function (string $kind, bool $isClamped) {
    $plan = joined('v-band', $kind);
    $pieces = $plan->cut->piecesOf('A');
    $keys = array_map(static fn (Need $one): string => $one->key, Needs::of($plan, Some::shop()));
    expect(end($pieces)->allowances->slip->value)->toBeClose(Some::shop()->rules->value('fit.slip_depth'))
        ->and($pieces[0]->allowances->slip->value)->toBe(0.0)
        ->and(in_array("clamp-{$plan->layout->runs[0]->tube->id}", $keys, true))->toBe($isClamped)
        ->and(isset($plan->weld->sheets[$plan->joints->ofRun('A')[count($plan->joints->ofRun('A')) - 1]->id]))->toBe(! $isClamped);
})->with([['slip', true], ['socket', false]]);

it('lets no run begin by slipping into a part', function () {
    expect(fn () => joined('slip', 'v-band'))->toThrow(LogicException::class);
});

it('measures a seam once round where it is welded: inside the tube for the seal, outside for the rest', function () {
    $tube = joined('flange', 'v-band')->layout->runs[0]->tube;
    $long = [];
    foreach (joined('flange', 'v-band')->joints->ofRun('A') as $joint) {
        $long[$joint->type->value] = $joint->seam->lengthMm;
    }
    // 3 in tube, wall .065 in: 76.2 mm outside, 72.898 mm inside.
    expect($tube->odMm)->toBeClose(76.2)
        ->and($long[JointType::FlangeSeal->value])->toBeClose(M_PI * 72.898)
        ->and($long[JointType::FlangeFillet->value])->toBeClose(M_PI * 76.2)
        ->and($long[JointType::Butt->value])->toBeClose(M_PI * 76.2)
        ->and($long[JointType::VBandButt->value])->toBeClose(M_PI * 76.2);
});

it('stands every butt where one piece ends and the next begins', function () {
    $plan = joined('v-band', 'flange');
    $pieces = $plan->cut->piecesOf('A');
    $butts = array_values(
        array_filter($plan->joints->ofRun('A'), static fn (Joint $one): bool => $one->type === JointType::Butt),
    );
    foreach ($butts as $i => $joint) {
        expect($joint->seam->stationMm)->toBeClose($pieces[$i]->span->toMm)
            ->and($joint->between->name)->toBe($pieces[$i]->mark)
            ->and($joint->and->name)->toBe($pieces[$i + 1]->mark);
    }
});

it('marks every joint of a run differently', function () {
    $marks = array_map(
        static fn (Joint $one): string => $one->seam->index->text(),
        joined('flange', 'flange', [
            ['kind' => 'oxygen-sensor-bung', 'station' => '14 in', 'fromTop' => 0],
        ])->joints->ofRun('A'),
    );
    expect(array_unique($marks))->toHaveCount(count($marks));
});

it('counts fives as long strokes', function (int $number, string $text) {
    expect(IndexMark::forJoint($number)->text())->toBe($text);
})->with([
    [1, '1 short stroke'],
    [4, '4 short strokes'],
    [5, '1 long stroke'],
    [7, '1 long stroke, 2 short strokes'],
    [13, '2 long strokes, 3 short strokes'],
]);

it('places a bung on its piece, so far from the end and so far round that it points where it was asked to', function (
    float $fromTop,
) {
    $plan = joined('v-band', 'flange', [['kind' => 'oxygen-sensor-bung', 'station' => '14 in', 'fromTop' => $fromTop]]);
    $placed = $plan->joints->fittings[0];
    $routed = $plan->layout->runs[0];
    $piece = array_values(
        array_filter($plan->cut->piecesOf('A'), static fn ($one): bool => $one->mark === $placed->pieceMark),
    )[0];
    expect($piece->span->fromMm + $placed->fromPieceStartMm)->toBeClose(14 * 25.4);
    // Marked out on the tube again: from the throat line, by the angle given. Against the steepest side of the tube.
    $frame = $routed->line->frameAt(14 * 25.4);
    $points = $frame->reference->turnedAbout($frame->forward, $placed->fromThroat->turnDeg);
    $top = (new Vector(0, 0, 1))->squareTo($frame->forward)->unit();
    expect($points->angleDegTo($top))->toBeClose(abs($fromTop), 0, 1e-6)
        ->and(Frame::facing($frame->at, $frame->forward, $top)->turnDegTo($points))->toBeClose($fromTop, 0, 1e-6)
        ->and($placed->fromThroat->aroundMm)->toBeClose((M_PI * 76.2 * $placed->fromThroat->turnDeg) / 360);
})->with([0.0, 30.0, -45.0]);

it('clocks a fitting the short way round', function (string $station) {
    $turn = static fn (float $fromTop): float => joined('v-band', 'flange', [
        ['kind' => 'oxygen-sensor-bung', 'station' => $station, 'fromTop' => $fromTop],
    ])->joints->fittingsOf('A')[0]->fromThroat->turnDeg;
    foreach ([-180.0, -170.0, -90.0, 45.0, 135.0, 180.0] as $fromTop) {
        $off = fmod($turn($fromTop) - $turn(0.0) - $fromTop, 360.0);
        expect(abs($turn($fromTop)))->toBeLessThanOrEqual(180.0 + 1e-9)
            ->and(min(abs($off), 360.0 - abs($off)))->toBeLessThan(1e-9);
    }
})->with(['2 in', '14 in', '26 in']);

it('knows the thinner and the thicker of the two walls that meet', function () {
    $plan = joined('flange', 'v-band');
    $wall = $plan->layout->runs[0]->tube->wallMm;
    foreach ($plan->joints->ofRun('A') as $joint) {
        $walls = [$joint->between->wallMm, $joint->and->wallMm];
        expect($joint->thinnerMm())->toBe(min($walls))->and($joint->thickerMm())->toBe(max($walls));
    }
    $seal = $plan->joints->ofRun('A')[0];
    expect($seal->type)->toBe(JointType::FlangeSeal)
        ->and($seal->thinnerMm())->toBe($wall)
        ->and($seal->thickerMm())->toBeGreaterThan(2 * $wall);
});

// Common practice: a bung's edge stays five walls clear of a joint; 28 mm across, on a wall of 1.651 mm.
it('keeps a bung clear of every joint by half of it and five walls', function (float $offMm, bool $isTold) {
    $joints = joined('v-band', 'flange')->joints->ofRun('A');
    $station = $joints[1]->seam->stationMm + $offMm;
    $notices = joined('v-band', 'flange', [['kind' => 'oxygen-sensor-bung', 'station' => $station, 'fromTop' => 0]])
        ->notices();
    $told = array_filter($notices, static fn (Notice $one): bool => str_starts_with($one->message, 'The bung sits'));
    expect($told !== [])->toBe($isTold);
})->with([
    [14.0 + 5 * 1.651 - 0.1, true],
    [14.0 + 5 * 1.651 + 0.1, false],
    [-(14.0 + 5 * 1.651 - 0.1), true],
    [3.0, true],
]);

it('says how far beyond the end of its run a bung lies', function (float $beyondMm, bool $isTold) {
    $length = joined('v-band', 'flange')->layout->runs[0]->run->lengthMm();
    $bung = ['kind' => 'oxygen-sensor-bung', 'station' => $length + $beyondMm, 'fromTop' => 0];
    $told = array_filter(
        joined('v-band', 'flange', [$bung])->notices(),
        static fn (Notice $one): bool => str_contains($one->message, 'beyond the end'),
    );
    expect($told !== [])->toBe($isTold);
})->with([[25.4, true], [-40.0, false]]);

it('wants a sensor upstream of where a wastegate comes back in', function (string $station, bool $isTold) {
    // Common practice: behind the return it reads both gases mixed. The return comes in at 300 mm.
    $job = JobWriter::toArray(SomeCollectors::branched([], true));
    $job['runs'][0]['fittings'] = [['kind' => 'oxygen-sensor-bung', 'station' => $station, 'fromTop' => 20]];
    $plan = Planner::plan(JobReader::fromDecoded($job)->job ?? throw new LogicException('unreadable'), Some::shop());
    $told = array_filter($plan->notices(), static fn (Notice $one): bool => str_contains($one->message, 'reads both gases mixed'));
    expect($told !== [])->toBe($isTold);
})->with([['180 mm', false], ['420 mm', true]]);

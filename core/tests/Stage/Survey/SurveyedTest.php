<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Reason\Notice;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Stage\Survey\MeasuredChecks;
use UpsweptBead\Core\Stage\Survey\ReadingWords;
use UpsweptBead\Core\Stage\Survey\Surveyed;
use UpsweptBead\Core\Stage\Survey\TwoAnswers;
use UpsweptBead\Core\Stage\Survey\Walk;
use UpsweptBead\Core\Stage\Survey\WalkStep;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeReadings;

/**
 * The example job with its start, or both ends, read at the vehicle.
 *
 * @param  list<array<string, mixed>>  $readings
 * @param  array<string, mixed>  $more  of the measured part
 */
function read(array $readings, array $more = []): Job
{
    $document = Some::document();
    $ends = [['run' => 'A', 'isStart' => true, 'place' => true, 'direction' => true]];
    // Nothing of what was typed may be what comes out.
    $document['runs'][0]['start']['at'] = [-900, 900, 900];
    $document['measured'] = ['points' => [], 'ends' => $ends, 'readings' => $readings, ...$more];
    $reading = JobReader::fromDecoded($document);

    return $reading->job ?? throw new LogicException((string) json_encode($reading->faults));
}

/** @return list<string> */
function said(Surveyed $surveyed): array
{
    return array_map(static fn (Notice $one): string => $one->message, MeasuredChecks::notices($surveyed));
}

const PORT = [120.0, -85.0, 240.0];

it('puts a port where its readings say, whichever way its direction was read', function (array ...$ways) {
    $out = (new Vector(0.5, -0.7, -0.6))->unit()->toArray();
    $sheet = new SomeReadings;
    $sheet->place('A.start', PORT);
    foreach ($ways as $way) {
        match ($way[0]) {
            'falls' => $sheet->dip('A.start', $out),
            'from above' => $sheet->bearing('A.start', $out, $way[1], $way[2]),
            'off plumb' => $sheet->lean('A.start', $out, $way[1], $way[2]),
            default => $sheet->rod('A.start', PORT, $out),
        };
    }
    $surveyed = Surveyed::of(read($sheet->all), Some::shop());
    $frame = $surveyed->job->runs[0]->start->frame();
    expect($surveyed->open)->toBeNull()
        ->and($frame->at->distanceTo(new Vector(...PORT)))->toBeLessThan(1e-2)
        ->and($frame->forward->angleDegTo(new Vector(...$out)))->toBeLessThan(1e-4)
        ->and(said($surveyed))->toBe([]);
})->with([
    'it falls, and from above' => [['falls'], ['from above', 'rearward', 'left']],
    'from above, counted from other ways' => [['falls'], ['from above', 'forward', 'right'], ['from above', 'left', 'rearward']],
    'off plumb from the side and from the front' => [['off plumb', 'rearward', 'down'], ['off plumb', 'left', 'down']],
    'off plumb the other way, which is minus' => [['off plumb', 'forward', 'down'], ['off plumb', 'right', 'down']],
    'two points along a rod' => [['rod']],
]);

it('reads an end against the flow: out of the part, as a stub stands in it', function () {
    $flow = (new Vector(0.2, 0.1, -0.9))->unit();
    $sheet = new SomeReadings;
    $sheet->place('A.end', [400.0, 10.0, -300.0]);
    $sheet->dip('A.end', $flow->times(-1.0)->toArray());
    $sheet->lean('A.end', $flow->times(-1.0)->toArray(), 'forward', 'up');
    $sheet->lean('A.end', $flow->times(-1.0)->toArray(), 'left', 'up');
    $ends = [['run' => 'A', 'isStart' => false, 'place' => true, 'direction' => true]];
    $end = Surveyed::of(read($sheet->all, ['ends' => $ends]), Some::shop())->job->runs[0]->end->frame();
    expect($end->forward->angleDegTo($flow))->toBeLessThan(1e-4)
        ->and($end->at->distanceTo(new Vector(400, 10, -300)))->toBeLessThan(1e-2);
});

it('keeps what follows already, leaves the rest as it was, and says what is to be read next', function () {
    $sheet = new SomeReadings;
    $sheet->offset('A.start', 'rearward', PORT[0]);
    $sheet->dip('A.start', [0.8, 0.0, -0.6]);
    $surveyed = Surveyed::of(read($sheet->all), Some::shop());
    $walk = array_map(static fn (WalkStep $one): string => $one->says, Walk::of($surveyed));
    expect($surveyed->job->runs[0]->start->frame()->at->x)->toBe(-900.0)
        ->and(said($surveyed))->toBe([
            'The readings do not say yet where the start of A is.',
            'The readings do not say yet which way the start of A points.',
        ])
        ->and($walk)->toBe([
            'Start of A: how far right of the datum',
            'Start of A: how far up of the datum',
            'Start of A: seen from above, how far from straight rearward to the right it points',
            'Straight from start of A to end of A',
        ]);

    $sheet->offset('A.start', 'right', PORT[1]);
    $sheet->offset('A.start', 'up', PORT[2]);
    $surveyed = Surveyed::of(read($sheet->all), Some::shop());
    expect($surveyed->job->runs[0]->start->frame()->at->distanceTo(new Vector(...PORT)))->toBeLessThan(1e-2)
        ->and(said($surveyed))->toBe(['The readings do not say yet which way the start of A points.'])
        ->and($surveyed->doubts)->toBe([]);
});

it('asks how what is steep leans, as nobody reads a bearing of it', function () {
    $sheet = new SomeReadings;
    $sheet->place('A.start', PORT);
    $sheet->dip('A.start', [0.1, 0.0, -0.995]);
    expect(array_map(static fn (WalkStep $one): string => $one->kind->value, Walk::of(
        Surveyed::of(read($sheet->all), Some::shop()),
    )))->toBe(['lean', 'lean', 'tape']);
});

it('finds the wrong one among more readings than it takes, and does without it once it is left out', function () {
    $out = (new Vector(0.4, -0.9, -0.2))->unit()->toArray();
    $points = ['dowel' => [-200.0, 150.0, 0.0], 'bolt' => [300.0, 310.0, -40.0], 'rail' => [50.0, -420.0, 350.0]];
    $sheet = new SomeReadings;
    $sheet->place('A.start', PORT);
    foreach ($points as $name => $at) {
        $sheet->tape($name, 'A.start', $at, PORT, $name === 'bolt' ? 14.0 : 0.0);
    }
    $sheet->rod('A.start', PORT, $out);
    $more = ['points' => array_map(
        static fn (string $name): array => ['name' => $name, 'at' => $points[$name]],
        array_keys($points),
    )];
    $job = read($sheet->all, $more);
    $surveyed = Surveyed::of($job, Some::shop());
    expect($surveyed->suspects)->toBe([['r3']])
        ->and(said($surveyed)[0])->toContain('“Tape, bolt to start of A” does not agree')
        ->and($surveyed->standings['r3']->isSuspect)->toBeTrue()
        ->and($surveyed->standings['r2']->isSuspect)->toBeFalse()
        ->and($surveyed->standings['r3']->times)->toBeGreaterThan(3.0);

    $sheet->all[2]['leftOut'] = true;
    $without = Surveyed::of(read($sheet->all, $more), Some::shop());
    expect($without->suspects)->toBe([])
        ->and($without->standings)->not->toHaveKey('r3')
        ->and($without->job->runs[0]->start->frame()->at->distanceTo(new Vector(...PORT)))->toBeLessThan(0.05);
});

it('shows both answers of three tapes, and takes the one that was said', function () {
    $anchors = ['one' => [0.0, 0.0, 0.0], 'two' => [600.0, 0.0, 0.0], 'three' => [0.0, 500.0, 0.0]];
    $out = [0.0, 0.0, -1.0];
    $sheet = new SomeReadings;
    foreach ($anchors as $name => $at) {
        $sheet->tape($name, 'A.start', $at, PORT);
    }
    $sheet->all[] = ['id' => 'level', 'kind' => 'level', 'tool' => 'finder', 'of' => 'A.start', 'isOther' => true];
    $more = ['points' => array_map(
        static fn (string $name): array => ['name' => $name, 'at' => $anchors[$name]],
        array_keys($anchors),
    )];
    $more['ends'] = [['run' => 'A', 'isStart' => true, 'place' => true, 'direction' => true, 'facing' => 'down']];
    $surveyed = Surveyed::of(read($sheet->all, $more), Some::shop());
    $answers = TwoAnswers::of($surveyed->answers, $surveyed->adjustment->sheet->unknowns ?? throw new LogicException);
    expect(array_map(static fn (TwoAnswers $one): string => $one->says, $answers))
        ->toEqualCanonicalizing(['Start of A further up', 'Start of A further down'])
        ->and(said($surveyed))->toBe(['The readings fit 2 answers alike. Say at Readings which one it is.']);

    $more['ends'][0]['side'] = 'up';
    $said = Surveyed::of(read($sheet->all, $more), Some::shop());
    expect(said($said))->toBe([])
        ->and($said->job->runs[0]->start->frame()->at->distanceTo(new Vector(...PORT)))->toBeLessThan(0.05)
        ->and($said->job->runs[0]->start->frame()->forward->z)->toEqualWithDelta(-1.0, 1e-6);
});

it('carries the doubt of a direction to the far end: 0.4° over 700 mm is 5 mm', function () {
    // Handbook 2.10: a rod of 200 mm read to ± 1 mm at both ends gives a direction to about ± 0.4°.
    $sheet = new SomeReadings;
    $sheet->all[] = ['id' => 'place', 'kind' => 'offset', 'tool' => 'tape', 'of' => 'A.start', 'with' => ['datum'], 'value' => [0, 0, 0], 'tolerance' => 0.001];
    $sheet->rod('A.start', [0.0, 0.0, 0.0], [1.0, 0.0, 0.0], 25.0, 225.0);
    $document = JobWriter::toArray(read($sheet->all));
    $document['runs'][0]['end']['at'] = [700, 0, 0];
    $document['runs'][0]['end']['direction'] = [1, 0, 0];
    $job = JobReader::fromDecoded($document)->job ?? throw new LogicException;
    $doubt = Surveyed::of($job, Some::shop())->doubts['A'];
    // Held at the middle of the port as well, the rod is a little surer than by its two marks alone.
    $deg = rad2deg(1 / sqrt(25.0 ** 2 + 225.0 ** 2));
    expect($doubt->missMm)->toEqualWithDelta(sqrt(2) * 700 * deg2rad($deg), 0.02)
        ->and($doubt->missMm)->toBeLessThan(5.0)
        ->and($doubt->trimMm)->toBeLessThan(0.1)
        ->and($doubt->retake)->toBe('r2')
        ->and($doubt->thenMm)->toBeLessThan($doubt->missMm / 5);
});

/**
 * The example job with its route, its start read as surely as a tape of this tolerance lets it.
 *
 * @param  array<string, mixed>|null  $keepOut
 */
function readAt(float $tolerance, ?array $keepOut = null): Job
{
    $start = Some::routedJob()->runs[0]->start->frame();
    $sheet = new SomeReadings;
    $sheet->place('A.start', $start->at->toArray());
    $sheet->all[0]['tolerance'] = $tolerance;
    $sheet->dip('A.start', $start->forward->toArray());
    $sheet->bearing('A.start', $start->forward->toArray(), 'right', 'rearward');
    $document = JobWriter::toArray(read($sheet->all));
    $document['runs'][0]['route'] = JobWriter::toArray(Some::routedJob())['runs'][0]['route'];
    if ($keepOut !== null) {
        $document['set']['keepOuts'][] = $keepOut;
    }

    return JobReader::fromDecoded($document)->job ?? throw new LogicException;
}

it('leaves the last piece as long as the readings ask, and says so', function () {
    $plan = Planner::plan(readAt(25.0), Some::shop());
    $pieces = $plan->cut->pieces['A'];
    $last = $pieces[count($pieces) - 1]->allowances->trim;
    $doubt = $plan->layout->surveyed->doubts['A'];
    expect($doubt->trimMm)->toBeGreaterThan(30.0)
        ->and($last->value)->toEqualWithDelta($doubt->trimMm, 1e-6)
        ->and($last->reason->rule)->toContain('so that it may miss by as much')
        ->and($pieces[0]->allowances->trim->value)->toEqualWithDelta(12.7, 1e-6);
});

it('asks for more room where the ends are not sure', function () {
    $routed = Planner::sketch(Some::routedJob(), Some::shop())->layout->runs[0];
    $start = $routed->run->start;
    $beside = $start->at
        ->plus($start->forward->times($routed->run->bends[0]->straightMm / 2))
        ->plus($start->forward->cross(new Vector(0, 0, 1))->unit()->times($routed->tube->odMm / 2 + 30.0));
    $line = [
        'name' => 'Brake line', 'kind' => 'line', 'shape' => 'capsule', 'radius' => 5, 'clearance' => 20,
        'at' => $beside->plus(new Vector(0, 0, 200))->toArray(),
        'to' => $beside->plus(new Vector(0, 0, -200))->toArray(),
    ];
    $said = static fn (Job $job): string => implode(' ', array_map(
        static fn (Notice $one): string => $one->message,
        Planner::plan($job, Some::shop())->notices(),
    ));
    expect($said(readAt(1.0, $line)))->not->toContain('measured so that')
        ->and($said(readAt(8.0, $line)))->toContain('passes Brake line')
        ->toContain('but its ends are measured so that it may be');
});

it('plans a job from where its ends were measured, and writes its readings as they were read', function () {
    $out = (new Vector(0.5, -0.7, -0.6))->unit()->toArray();
    $sheet = new SomeReadings;
    $sheet->place('A.start', PORT);
    $sheet->dip('A.start', $out);
    $sheet->bearing('A.start', $out, 'rearward', 'left');
    $sheet->all[0]['value'] = ['4 3/4 in', '-85 mm', 240];
    $sheet->all[1]['tolerance'] = 1.5;
    $job = read($sheet->all);
    $plan = Planner::plan($job, Some::shop());
    expect($plan->job->runs[0]->start->frame()->at->x)->toEqualWithDelta(120.65, 1e-3)
        ->and(JobWriter::toArray($job)['measured']['readings'][0]['value'])->toBe(['4 3/4 in', '-85 mm', 240.0])
        ->and(JobWriter::toArray($job)['measured']['readings'][1]['tolerance'])->toBe(1.5)
        ->and(JobWriter::toArray(JobReader::fromDecoded(JobWriter::toArray($job))->job ?? $job))->toBe(JobWriter::toArray($job));
});

it('says every kind of reading in words', function () {
    $kinds = [
        ['kind' => 'offset', 'of' => 'A.start', 'with' => ['dowel'], 'way' => 'up', 'value' => 3],
        ['kind' => 'face', 'of' => 'A.end', 'tool' => 'rod', 'points' => ['dowel', [1, 2, 3], [4, 5, 9]]],
        ['kind' => 'bolt_circle', 'of' => 'A.end', 'value' => 90, 'points' => [[0, 0, 0], [1, 2, 3], [4, 5, 9]]],
        ['kind' => 'square_to', 'of' => 'A.end', 'with' => ['A.start'], 'tool' => 'finder', 'isOther' => true],
        ['kind' => 'angle', 'of' => 'A.end', 'with' => ['A.start'], 'tool' => 'eye', 'value' => 40],
        ['kind' => 'midpoint', 'of' => 'A.end', 'with' => ['dowel', 'datum']],
        ['kind' => 'on_line', 'of' => 'A.end', 'with' => ['dowel', 'datum'], 'tool' => 'corner'],
    ];
    $readings = [];
    foreach ($kinds as $i => $one) {
        $readings[] = ['id' => "r$i", 'tool' => 'tape', ...$one];
    }
    $job = read($readings, ['points' => [['name' => 'dowel', 'at' => [1, 1, 1]]]]);
    expect(array_map(ReadingWords::of(...), $job->measured->readings))->toBe([
        'Start of A, up from dowel',
        'Face of end of A',
        'Bolts of end of A',
        'End of A square to the face of start of A',
        'Angle of end of A to start of A',
        'End of A midway between dowel and the datum',
        'End of A in line with dowel and the datum',
    ]);
});

it('refuses to look for more numbers than it can find in a few seconds', function () {
    $document = Some::document();
    $points = array_map(static fn (int $i): array => ['name' => "P$i"], range(1, 34));
    $document['measured'] = ['points' => $points, 'ends' => [], 'readings' => []];
    expect(JobReader::fromDecoded($document)->faults[0]->message)->toContain('asks for 102 numbers')
        ->toContain('at most 100 are worked out');
    array_pop($points);
    $document['measured']['points'] = $points;
    expect(JobReader::fromDecoded($document)->faults)->toBe([]);
});

it('has an answer, or says what is missing, for any few of the readings of a port, agreeing or not', function () {
    $dice = Some::dice(11);
    for ($i = 0; $i < 80; $i++) {
        $out = Some::vector($dice, 1.0)->unit()->toArray();
        $sheet = new SomeReadings;
        $sheet->place('A.start', PORT);
        $sheet->offset('A.start', 'up', Some::between($dice, -400, 400));
        $sheet->tape('A.end', 'A.start', [0.0, 0.0, 0.0], Some::vector($dice, 500)->toArray());
        $sheet->dip('A.start', $out);
        $sheet->bearing('A.start', Some::vector($dice, 1.0)->toArray(), 'left', 'forward');
        $sheet->lean('A.start', $out, 'forward', $out[2] < 0.0 ? 'down' : 'up');
        $sheet->rod('A.start', PORT, Some::vector($dice, 1.0)->unit()->toArray());
        $few = array_values(array_filter($sheet->all, static fn (): bool => $dice->getInt(0, 2) > 0));
        $surveyed = Surveyed::of(read($few), Some::shop());
        $frame = $surveyed->job->runs[0]->start->frame();
        expect(is_finite($frame->at->length() + $frame->forward->length()))->toBeTrue()
            ->and($frame->forward->length())->toEqualWithDelta(1.0, 1e-6)
            ->and(count(Walk::of($surveyed)))->toBeLessThan(8);
    }
});

<?php

declare(strict_types=1);

beforeEach(fn () => $this->signIn());

/** @return array<string, mixed> */
function tapedStart(mixed $value): array
{
    return ['measured' => [
        'points' => [],
        'ends' => [['run' => 'A', 'isStart' => true, 'place' => true, 'direction' => false]],
        'readings' => [[
            'id' => 'r1', 'kind' => 'offset', 'tool' => 'tape', 'of' => 'A.start', 'with' => ['datum'], 'value' => $value,
        ]],
    ]];
}

it('stores an end where its readings put it, the readings as they were read', function () {
    $job = $this->downpipe();
    $this->save($job, tapedStart(['1 in', '-2 in', '3/4 in']))
        ->assertOk()
        ->assertJsonPath('document.runs.0.start.at', [25.4, -50.8, 19.05])
        ->assertJsonPath('document.measured.readings.0.value', ['1 in', '-2 in', '3/4 in'])
        ->assertJsonPath('plan.measured.ends.0.isPlaceOpen', false)
        ->assertJsonPath('plan.measured.readings.0.stands', 'unchecked');
    expect($this->document($job)['runs'][0]['start']['at'])->toBe([25.4, -50.8, 19.05]);
});

it('names the place of a reading that it cannot read', function (Closure $change, string $place) {
    $job = $this->downpipe();
    $this->save($job, $change())->assertUnprocessable()->assertJsonValidationErrors([$place]);
    expect($this->document($job))->not->toHaveKey('measured');
})->with([
    'not three lengths' => [fn () => tapedStart('1 in'), 'measured.readings[0].value'],
    'no length' => [fn () => tapedStart(['1 in', 'some', '2 in']), 'measured.readings[0].value[1]'],
    'a run that is not there' => [fn () => ['measured' => [
        'points' => [], 'ends' => [['run' => 'Z', 'isStart' => true, 'place' => true, 'direction' => true]], 'readings' => [],
    ]], 'measured.ends[0].run'],
    'a point called as the datum' => [fn () => ['measured' => [
        'points' => [['name' => 'datum']], 'ends' => [], 'readings' => [],
    ]], 'measured.points[0].name'],
    'an angle by tape' => [fn () => ['measured' => ['points' => [], 'ends' => [], 'readings' => [[
        'id' => 'r1', 'kind' => 'dip', 'tool' => 'tape', 'of' => 'A.start', 'toward' => 'down', 'value' => 5,
    ]]]], 'measured.readings[0].tool'],
    'a lean past level' => [fn () => ['measured' => ['points' => [], 'ends' => [], 'readings' => [[
        'id' => 'r1', 'kind' => 'lean', 'tool' => 'finder', 'of' => 'A.start', 'way' => 'right', 'toward' => 'down', 'value' => 95,
    ]]]], 'measured.readings[0].value'],
]);

it('grows a run from one end, and names what cannot be read or made', function () {
    $job = $this->downpipe();
    $document = $this->document($job);
    $document['runs'][0]['route'] = null;
    unset($document['runs'][0]['end']['bolts']);
    $document['runs'][0]['end'] = [...$document['runs'][0]['end'], 'kind' => 'open', 'free' => true];
    $grow = fn (array $wish) => $this->postJson("/jobs/$job->id/hand", ['document' => $document, 'letter' => 'A', ...$wish]);
    $bend = ['do' => 'bend', 'clr' => '3 in', 'angle' => 45, 'angleBy' => 'degrees', 'turn' => '6', 'turnBy' => 'clock', 'before' => '', 'after' => ''];
    $grow($bend)->assertOk()->assertJsonPath('route.bends.0.angle', 45)->assertJsonPath('route.cuts', null);
    $grow([...$bend, 'turn' => '14'])->assertUnprocessable()->assertJsonValidationErrors('turn');
    $grow([...$bend, 'angle' => 'much'])->assertUnprocessable()->assertJsonValidationErrors('angle');
    $grow([...$bend, 'clr' => '7 in'])->assertUnprocessable()->assertJsonValidationErrors('hand');
    $grow(['do' => 'leg', 'length' => '0.01 in'])->assertUnprocessable()->assertJsonValidationErrors('hand');
    $grow(['do' => 'shorter'])->assertOk()->assertJsonPath('route', null);
});

it('makes a keep-out of points that were touched, typed or measured, and names the one it cannot read', function () {
    $job = $this->downpipe();
    $measured = ['points' => [['name' => 'Shaft above']], 'ends' => [], 'readings' => [[
        'id' => 'r1', 'kind' => 'offset', 'tool' => 'tape', 'of' => 'Shaft above', 'with' => ['datum'],
        'value' => ['10 in', '8 in', '6 in'],
    ]]];
    $ask = fn (array $points, string $diameter) => $this->postJson("/jobs/$job->id/survey/touched", [
        'document' => [...$this->document($job), 'measured' => $measured],
        'kind' => 'steering', 'points' => $points, 'diameter' => $diameter,
    ]);
    // The doubt of the measured point makes it wider: 1.6449 times the 1.5 mm of a tape.
    $ask(['Shaft above', ['12 in', '9 in', '-4 in']], '3/4 in')
        ->assertOk()
        ->assertJsonPath('keepOuts.0.shape', 'capsule')
        ->assertJsonPath('keepOuts.0.radius', fn (mixed $mm): bool => abs((float) $mm - (9.525 + 1.6449 * 1.5)) < 0.01);
    $ask(['Shaft below', ['12 in', '9 in', '-4 in']], '3/4 in')
        ->assertUnprocessable()
        ->assertJsonValidationErrors('points[0]');
    $ask(['Shaft above', ['12 in', '9 in', '-4 in']], '')->assertUnprocessable()->assertJsonValidationErrors('points');
});

<?php

declare(strict_types=1);

use App\Workshop\Workshop;
use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Job\JobReader;

it('says what is done with a joint as it was measured', function () {
    $this->signIn();
    $job = $this->downpipe();
    $ask = ['document' => $this->document($job), 'joint' => 'AJ2', 'gap' => '.5 mm', 'mismatch' => '', 'off' => '', 'towards' => ''];
    $this->postJson("/jobs/$job->id/fit/measured", $ask)->assertOk()
        ->assertJsonPath('verdict', 'with-wire')
        ->assertJsonPath('tacks', []);
    $this->postJson("/jobs/$job->id/fit/measured", [...$ask, 'off' => '1 mm', 'towards' => '-90'])->assertOk()
        ->assertJsonPath('tacks', [270]);
});

it('says at its field what it cannot read, and of what joint there is none', function (string $field, string $value, string $said) {
    $this->signIn();
    $job = $this->downpipe();
    $ask = ['document' => $this->document($job), 'joint' => 'AJ2', 'gap' => '', 'mismatch' => '', 'off' => '', 'towards' => ''];
    $this->postJson("/jobs/$job->id/fit/measured", [...$ask, $field => $value])->assertUnprocessable()
        ->assertJsonPath("errors.$field.0", fn (string $text): bool => str_contains($text, $said));
})->with([
    ['joint', 'ZJ9', 'no such joint'],
    ['gap', 'wide', '"wide"'],
    ['mismatch', '-1 mm', '0 or more'],
    ['towards', 'left', '"left"'],
]);

it('keeps the place a task was given, and says in the plan which reason that breaks', function () {
    $this->signIn();
    $job = $this->downpipe();
    $document = $this->document($job);
    $document['overrides'] = [['figure' => 'build.weld.AJ2', 'value' => 'trial.A', 'why' => 'It is known to fit.']];
    $saved = $this->putJson("/jobs/$job->id/draft", ['version' => 1, 'document' => $document])->assertOk()->json();
    $tasks = array_column($saved['plan']['fit']['tasks'], null, 'id');
    expect($tasks['weld.AJ2']['order'])->toBeLessThan($tasks['trial.A']['order'])
        ->and($tasks['weld.AJ2']['moved'])->toBe(['before' => 'trial.A', 'why' => 'It is known to fit.'])
        ->and($tasks['weld.AJ2']['broken'][0]['first'])->toBe('full.A')
        ->and(array_column($saved['plan']['notices'], 'path'))->toContain('build.weld.AJ2');
});

it('works out what a torch gets to only when it is asked for', function () {
    $this->signIn();
    $job = $this->downpipe();
    $told = $this->postJson("/jobs/$job->id/insertion", ['document' => $this->document($job)])->assertOk()->json('plan.fit');
    expect($told['reached'])->toBeTrue()
        ->and(array_column($told['access'], 'joint'))->toContain('AJ2')
        ->and($told['access'][0]['alone']['isWhole'])->toBeTrue();
});

it('brings the rest of a run to its end where what stands is off, and keeps nothing by itself', function () {
    $this->signIn();
    $job = $this->downpipe();
    $ask = ['document' => $this->document($job), 'joint' => 'AJ2', 'rearward' => '1 mm', 'right' => '', 'up' => '-1 mm'];
    $told = $this->postJson("/jobs/$job->id/fit/as-built", $ask)->assertOk()->json();
    expect($told['changes'])->not->toBe([])
        ->and($told['document']['runs'][0]['route']['bends'][0]['locked'])->toBe(['straight', 'rotation', 'angle'])
        ->and($this->document($job))->toBe($ask['document']);
    $this->postJson("/jobs/$job->id/fit/as-built", [...$ask, 'up' => 'a bit'])->assertUnprocessable()
        ->assertJsonValidationErrors('up');
    $this->postJson("/jobs/$job->id/fit/as-built", [...$ask, 'joint' => 'AJ1'])->assertUnprocessable()
        ->assertJsonPath('errors.joint.0', fn (string $text): bool => str_contains($text, 'no butt'));
});

it('takes the gap to what stands behind it instead of three offsets', function () {
    $this->signIn();
    $job = $this->downpipe();
    $document = $this->document($job);
    $sketch = app(Workshop::class)->sketch(JobReader::fromDecoded($document)->job ?? throw new LogicException('unread'));
    $run = $sketch->layout->run('A') ?? throw new LogicException('no run');
    $off = new Vector(1.0, 0.0, -1.0);
    $planned = $run->run->frameAt($sketch->joints->find('AJ2')->seam->stationMm ?? 0.0);
    $near = Frame::facing($planned->at->plus($off), $planned->forward);
    $far = $run->run->end();
    // As somebody reads it: along the near tube's skin to the plane of the far end; what stands proud at 12 and at 3.
    $radiusMm = $run->tube->odMm / 2;
    $to = $far->at->minus($near->at);
    $read = static function (float $deg) use ($near, $far, $radiusMm): string {
        $rim = $near->at->plus($near->turned($deg)->reference->times($radiusMm));
        $mm = $far->forward->dot($far->at->minus($rim)) / $far->forward->dot($near->forward);

        return sprintf('%.6f mm', $mm);
    };
    $ask = ['document' => $document, 'joint' => 'AJ2'];
    $byGap = $this->postJson("/jobs/$job->id/fit/as-built", [
        ...$ask, 'upTo' => 'end', 'at12' => $read(0), 'at3' => $read(90), 'at6' => $read(180), 'at9' => $read(270),
        'proud12' => sprintf('%.6f mm', $to->dot($near->reference)), 'proud3' => sprintf('%.6f mm', $to->dot($near->turned(90)->reference)),
    ]);
    $byOffsets = $this->postJson("/jobs/$job->id/fit/as-built", [
        ...$ask, 'rearward' => '1 mm', 'right' => '', 'up' => '-1 mm', 'rodRearward' => '1 mm', 'rodRight' => '', 'rodUp' => '-1 mm',
    ])->assertOk()->json('changes');
    $changes = $byGap->assertOk()->json('changes');
    expect(array_column($changes, 'mark'))->toBe(array_column($byOffsets, 'mark'));
    foreach ($changes as $i => $one) {
        expect($one['is']['value'])->toEqualWithDelta($byOffsets[$i]['is']['value'], 0.3);
    }
    $this->postJson("/jobs/$job->id/fit/as-built", [...$ask, 'upTo' => 'AJ1'])->assertUnprocessable()->assertJsonValidationErrors('upTo');
});

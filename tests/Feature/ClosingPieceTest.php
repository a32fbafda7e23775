<?php

declare(strict_types=1);

beforeEach(fn () => $this->signIn());

it('says what piece closes a gap that was read round, and refuses what cannot be read', function () {
    $job = $this->downpipe();
    $ask = fn (array $read) => $this->postJson("/jobs/$job->id/fit/closing-piece", [
        'document' => $this->document($job), 'letter' => 'A', ...$read,
    ]);
    $even = ['at12' => '4 in', 'at3' => '4 in', 'at6' => '4 in', 'at9' => '4 in', 'proud12' => '', 'proud3' => ''];
    $ask($even)
        ->assertOk()
        ->assertJsonPath('isBend', false)
        ->assertJsonPath('skin.2.hour', '3')
        ->assertJsonPath('skin.2.length.value', fn ($mm) => abs($mm - 101.6) < 0.01)
        ->assertJsonPath('quarrel', '');
    expect($ask([...$even, 'at12' => '4 1/8 in'])->assertOk()->json('quarrel'))->toContain('Take all four again');
    $ask([...$even, 'at12' => 'plenty'])->assertUnprocessable()->assertJsonValidationErrors('at12');
    $ask([...$even, 'letter' => 'Z'])->assertUnprocessable()->assertJsonValidationErrors('letter');
    $ask([...$even, 'proud12' => '9 in'])->assertUnprocessable()->assertJsonValidationErrors('gap');
});

it('prints a straight piece to wrap round the tube, and no bend', function () {
    $job = $this->downpipe();
    $at = static fn (array $read): string => "/jobs/$job->id/closing-piece.pdf?".http_build_query(['letter' => 'A', ...$read]);
    $even = ['at12' => '4 in', 'at3' => '4 in', 'at6' => '4 in', 'at9' => '4 in'];
    expect($this->get($at($even))->assertOk()->assertHeader('Content-Type', 'application/pdf')->getContent())->toStartWith('%PDF');
    $this->getJson($at(['at12' => '3 in', 'at3' => '4 in', 'at6' => '5 in', 'at9' => '4 in']))
        ->assertUnprocessable()
        ->assertJsonValidationErrors('gap');
    $this->getJson($at([...$even, 'at3' => 'plenty']))->assertUnprocessable()->assertJsonValidationErrors('at3');
});

<?php

declare(strict_types=1);

use App\Workshop\Drafts;
use UpsweptBead\Core\Job\JobReader;

it('welds two jobs at one bench sooner than one after the other', function () {
    $this->signIn();
    $job = $this->downpipe();
    $document = $this->document($job);
    $document['job']['number'] = 'TB-0999';
    $other = app(Drafts::class)->begin(JobReader::fromDecoded($document)->job ?? throw new LogicException('unreadable'));
    $this->getJson("/jobs/$job->id/beside")->assertOk()->assertJsonPath('jobs.0.number', 'TB-0999')->assertJsonCount(1, 'jobs');
    $answer = $this->getJson("/jobs/$job->id/beside/$other->id")->assertOk()->json();
    expect($answer['welds'])->toHaveCount(12)
        ->and($answer['total']['value'])->toBeLessThan($answer['oneAfterOther']['value']);
});

it('refuses a job beside itself, and one that has no welds yet', function () {
    $this->signIn();
    $job = $this->downpipe();
    $this->getJson("/jobs/$job->id/beside/$job->id")->assertUnprocessable()->assertJsonPath('errors.other.0', 'A job is not welded beside itself.');
    $document = $this->document($job);
    [$document['job']['number'], $document['runs'][0]['route']] = ['TB-0998', null];
    $bare = app(Drafts::class)->begin(JobReader::fromDecoded($document)->job ?? throw new LogicException('unreadable'));
    $this->getJson("/jobs/$job->id/beside/$bare->id")->assertUnprocessable()
        ->assertJsonPath('errors.other.0', 'Nothing of TB-0998 is welded yet: its welds follow from a route.');
});

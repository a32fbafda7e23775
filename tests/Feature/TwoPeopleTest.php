<?php

declare(strict_types=1);

use App\Models\Role;
use App\Models\RouteSearch;
use App\Models\User;

beforeEach(function () {
    $this->wren = User::factory()->as(Role::Owner)->create();
    $this->ismet = User::factory()->as(Role::Fabricator)->create();
});

it('takes the first of two saves made on one version, and hands the second what it has to be weighed against', function () {
    $job = $this->downpipe();
    $mine = array_replace_recursive($this->document($job), ['job' => ['note' => 'mine']]);
    $theirs = array_replace_recursive($this->document($job), ['job' => ['note' => 'theirs']]);
    $this->actingAs($this->wren)
        ->putJson("/jobs/$job->id/draft", ['version' => 1, 'document' => $theirs])
        ->assertOk();
    $this->actingAs($this->ismet)
        ->putJson("/jobs/$job->id/draft", ['version' => 1, 'document' => $mine])
        ->assertConflict()
        ->assertJsonPath('madeOn', 1)
        ->assertJsonPath('latest.version', 2)
        ->assertJsonPath('document.job.note', 'theirs');
    // Decided for mine, it goes on from theirs.
    $this->putJson("/jobs/$job->id/draft", ['version' => 2, 'document' => $mine])
        ->assertOk()
        ->assertJsonPath('revision.version', 3);
    expect($this->document($job)['job']['note'])->toBe('mine');
});

it('freezes what one is still drawing when the other releases it, and says so', function () {
    $job = $this->downpipe();
    $this->actingAs($this->wren)
        ->postJson("/jobs/$job->id/release", ['version' => 1])
        ->assertOk();
    $this->actingAs($this->ismet)
        ->save($job, ['job' => ['note' => 'too late']])
        ->assertConflict()
        ->assertJsonPath('message', 'Revision 1 has been released and is frozen.');
});

it('does not release a version that nobody has looked at', function () {
    $job = $this->downpipe();
    $this->actingAs($this->ismet)
        ->save($job, ['job' => ['note' => 'one more thing']])
        ->assertOk();
    $this->actingAs($this->wren)
        ->postJson("/jobs/$job->id/release", ['version' => 1])
        ->assertConflict();
    expect($job->refresh()->released())->toBeNull();
});

it('logs for both at the bench, each under their own name, nothing twice', function () {
    $job = $this->released();
    $this->actingAs($this->wren)->log($job, $this->entry('prepare.A1'))->assertOk();
    $this->actingAs($this->ismet);
    $mine = $this->entry('prepare.A2');
    $this->log($job, $mine)->assertJsonPath('results.0.state', 'stored');
    $log = $this->log($job, $mine)->assertJsonPath('results.0.state', 'known')->json('progress.log');
    expect(array_column($log, 'by'))->toEqualCanonicalizing([$this->wren->name, $this->ismet->name]);
});

it('stores nobody’s entry under another person’s name', function () {
    $job = $this->released();
    $this->actingAs($this->wren);
    $wrens = $this->entry('prepare.A1');
    $this->actingAs($this->ismet)->log($job, $wrens)->assertJsonPath('results.0.state', 'refused');
    expect($this->entries($job))->toBe(0);
    $this->actingAs($this->wren)->log($job, $wrens)->assertJsonPath('progress.log.0.by', $this->wren->name);
});

it('shows both the same designs until one puts them away', function () {
    $job = $this->downpipe();
    $search = RouteSearch::query()->create([
        'job_id' => $job->id,
        'user_id' => $this->wren->id,
        'document' => $this->document($job),
        'seconds' => 1.0,
        'state' => 'done',
    ]);
    $shown = fn (): mixed => $this->get("/jobs/$job->id/route")->viewData('page')['props']['job']->search;
    $this->actingAs($this->ismet);
    expect($shown())->toBe($search->id)
        ->and($this->getJson("/jobs/$job->id/searches/$search->id")->json('isStale'))->toBeFalse();
    $this->save($job, ['runs' => [['start' => ['at' => ['1 in', '0 in', '0 in']]]]])->assertOk();
    expect($this->getJson("/jobs/$job->id/searches/$search->id")->json('isStale'))->toBeTrue();
    $this->postJson("/jobs/$job->id/searches/$search->id/put-away")->assertOk();
    $this->actingAs($this->wren);
    expect($shown())->toBeNull();
});

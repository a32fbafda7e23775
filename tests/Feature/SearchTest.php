<?php

declare(strict_types=1);

use App\Jobs\SearchForRoutes;
use App\Models\Job;
use App\Models\Role;
use App\Models\RouteSearch;
use App\Models\SearchState;
use App\Workshop\Drafts;
use App\Workshop\Workshop;
use Illuminate\Support\Facades\Queue;
use UpsweptBead\Core\Job\JobReader;

/** The demo header, four tubes without a route. */
function header4(): Job
{
    $document = JobReader::fromJson((string) file_get_contents(base_path('database/demo/hill-climb-header.job.json')))
        ->job;
    assert($document !== null);

    return app(Drafts::class)->begin($document);
}

beforeEach(fn () => $this->signIn());

it('finds whole designs that can be taken: gaps kept, lengths equal', function () {
    $job = header4();
    Queue::fake();
    $id = $this->postJson("/jobs/$job->id/searches", ['document' => $this->document($job)])
        ->assertAccepted()
        ->assertJsonPath('state', 'queued')
        ->assertJsonPath('designs', [])
        ->json('id');
    Queue::assertPushed(SearchForRoutes::class, 1);
    RouteSearch::query()
        ->whereKey($id)
        ->update(['seconds' => 6]);
    (new SearchForRoutes($id, 1))->handle(app(Workshop::class));

    $answer = $this->getJson("/jobs/$job->id/searches/$id")
        ->assertOk()
        ->assertJsonPath('state', 'done')
        ->json();
    expect($answer['designs'])->not->toBeEmpty();
    $design = $answer['designs'][0];
    expect(array_column($design['runs'], 'letter'))->toBe(['A', 'B', 'C', 'D']);

    // Taken: every run gets its route, and the end of the inlet it was given.
    $document = $this->document($job);
    $ends = array_column($document['runs'], 'end', 'letter');
    foreach ($document['runs'] as $i => $run) {
        $document['runs'][$i]['route'] = $design['runs'][$i]['route'];
        $document['runs'][$i]['end'] = $ends[$design['runs'][$i]['inlet']];
    }
    $saved = $this->putJson("/jobs/$job->id/draft", ['version' => 1, 'document' => $document])
        ->assertOk()
        ->json('plan');
    expect(array_column($saved['notices'], 'message'))->toBe([])
        ->and($saved['set']['lengths'][0]['holds'])->toBeTrue()
        ->and(array_unique(array_column($saved['set']['gaps'], 'kept')))->toBe([true]);
});

it('stops when it is asked to, before it begins or while it runs', function () {
    $job = header4();
    Queue::fake();
    $id = $this->postJson("/jobs/$job->id/searches", ['document' => $this->document($job)])->json('id');
    $this->postJson("/jobs/$job->id/searches/$id/stop")->assertOk();
    (new SearchForRoutes($id, 1))->handle(app(Workshop::class));
    $this->getJson("/jobs/$job->id/searches/$id")->assertJsonPath('state', 'stopped');
});

it('lets a newer search take the place of an older one, and does none twice', function () {
    $job = header4();
    Queue::fake();
    $old = $this->postJson("/jobs/$job->id/searches", ['document' => $this->document($job)])->json('id');
    $this->postJson("/jobs/$job->id/searches", ['document' => $this->document($job)])->assertAccepted();
    expect(RouteSearch::query()->findOrFail($old)->stop_asked)->toBeTrue();
    RouteSearch::query()
        ->whereKey($old)
        ->update(['state' => SearchState::Running, 'stop_asked' => false]);
    (new SearchForRoutes($old, 1))->handle(app(Workshop::class));
    expect(RouteSearch::query()->findOrFail($old)->state)->toBe(SearchState::Running);
});

it('goes on from what was found as long as the same is asked, and begins anew where it is not', function () {
    Queue::fake();
    $job = header4();
    $ask = fn (array $document, ?int $after): int => $this->postJson("/jobs/$job->id/searches", [
        'document' => $document,
        'after' => $after,
    ])
        ->assertAccepted()
        ->json('id');
    $document = $this->document($job);
    $first = $ask($document, null);
    RouteSearch::query()
        ->whereKey($first)
        ->update(['designs' => json_encode([['seed' => 1, 'objective' => 1.0]])]);
    $further = RouteSearch::query()->findOrFail($ask($document, $first));
    expect($further->designs)->toHaveCount(1)->and($further->first_seed)->toBeGreaterThan(1);
    $document['runs'][0]['start']['at'][0] = '3 mm';
    $anew = RouteSearch::query()->findOrFail($ask($document, $first));
    expect($anew->designs)->toBe([])->and($anew->first_seed)->toBe(1);
});

it('says why there is no way, with the run and the keep-out', function () {
    $job = header4();
    Queue::fake();
    $document = $this->document($job);
    $document['set']['keepOuts'][] = [
        'name' => 'Bulkhead',
        'kind' => 'frame',
        'shape' => 'box',
        'at' => ['140 mm', '100 mm', '0 mm'],
        'size' => ['600 mm', '60 mm', '500 mm'],
    ];
    $id = $this->postJson("/jobs/$job->id/searches", ['document' => $document])
        ->assertAccepted()
        ->json('id');
    (new SearchForRoutes($id, 1))->handle(app(Workshop::class));
    $said = $this->getJson("/jobs/$job->id/searches/$id")
        ->assertJsonPath('state', 'done')
        ->assertJsonPath('designs', [])
        ->json('message');
    expect($said)->toContain('Bulkhead')->toContain('Run A');
});

it('refuses a document that it cannot read, and asks the planning role', function () {
    $job = header4();
    $document = $this->document($job);
    $document['set']['keepOuts'][1]['radius'] = '-3 mm';
    $this->postJson("/jobs/$job->id/searches", ['document' => $document])
        ->assertUnprocessable()
        ->assertJsonValidationErrors(['set.keepOuts[1].radius']);
    $this->signIn(Role::Viewer);
    $this->postJson("/jobs/$job->id/searches", ['document' => $this->document($job)])->assertForbidden();
    expect(RouteSearch::query()->count())->toBe(0);
});

it('shows no search of another job', function () {
    $job = header4();
    Queue::fake();
    $id = $this->postJson("/jobs/$job->id/searches", ['document' => $this->document($job)])->json('id');
    $other = $this->downpipe();
    $this->getJson("/jobs/$other->id/searches/$id")->assertNotFound();
});

it('is taken over within seconds when its worker is killed, and goes on where that one was', function () {
    $job = header4();
    Queue::fake();
    $id = $this->postJson("/jobs/$job->id/searches", ['document' => $this->document($job)])->json('id');
    $search = RouteSearch::query()->whereKey($id);
    // As a killed worker leaves it, while the last seed of three was tried.
    $search->update(['state' => 'running', 'beat_at' => now()->subSeconds(4), 'at_seed' => 3, 'seconds' => 3]);
    $this->getJson("/jobs/$job->id/searches/$id")->assertJsonPath('state', 'running');
    $this->travel(2)->seconds();
    $this->getJson("/jobs/$job->id/searches/$id")->assertJsonPath('state', 'queued');
    $this->getJson("/jobs/$job->id/searches/$id")->assertJsonPath('state', 'queued');
    Queue::assertPushed(SearchForRoutes::class, 2);
    // The queue remembers the first one after minutes; nothing comes of that any more.
    (new SearchForRoutes($id, 1))->handle(app(Workshop::class));
    (new SearchForRoutes($id, 1))->failed(null);
    expect($search->firstOrFail()->state)->toBe(SearchState::Queued);
    (new SearchForRoutes($id, 2))->handle(app(Workshop::class));
    $done = $search->firstOrFail();
    expect($done->state)->toBe(SearchState::Done)
        ->and(array_map(static fn ($design): int => $design->seed, $done->designs))->toBe([3]);
});

it('is given up after the third worker that dies of it', function () {
    $job = header4();
    Queue::fake();
    $id = $this->postJson("/jobs/$job->id/searches", ['document' => $this->document($job)])->json('id');
    foreach (['queued', 'queued', 'failed'] as $state) {
        RouteSearch::query()->whereKey($id)->update(['state' => 'running', 'beat_at' => now()->subMinute()]);
        $this->getJson("/jobs/$job->id/searches/$id")->assertJsonPath('state', $state);
    }
    Queue::assertPushed(SearchForRoutes::class, 3);
});

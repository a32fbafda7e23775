<?php

declare(strict_types=1);

use App\Models\Job;
use App\Models\Revision;
use App\Models\RevisionStatus;
use App\Models\Role;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Inertia\Testing\AssertableInertia as Page;

beforeEach(fn () => $this->signIn());

it('saves a change and answers with the plan that follows from it', function () {
    $job = $this->downpipe();
    $this->save($job, ['job' => ['title' => 'Downpipe for the camper']])
        ->assertOk()
        ->assertJsonPath('revision.version', 2)
        ->assertJsonPath('plan.runs.0.farEnd.closed', true);
    expect($job->refresh()->title)->toBe('Downpipe for the camper');
});

it('keeps what a person wrote in their own units', function () {
    $job = $this->downpipe();
    $this->save($job, ['runs' => [['route' => ['endStraight' => '3 1/2']]]])
        ->assertJsonPath('document.runs.0.route.endStraight', '3 1/2 in')
        ->assertJsonPath('plan.runs.0.farEnd.closed', false);
    $this->save($job, ['job' => ['units' => 'metric']], 2)
        ->assertJsonPath('document.runs.0.route.endStraight', '3 1/2 in')
        ->assertJsonPath('plan.runs.0.run.endStraight.text', '89 mm');
});

it('refuses a stale save with both versions at hand, and loses neither', function () {
    $job = $this->downpipe();
    $this->save($job, ['job' => ['note' => 'first']])->assertOk();
    $this->save($job, ['job' => ['note' => 'second']], 1)
        ->assertConflict()
        ->assertJsonPath('madeOn', 1)
        ->assertJsonPath('latest.version', 2)
        ->assertJsonPath('document.job.note', 'first');
    expect($this->document($job)['job']['note'])->toBe('first');
});

it('names the place of what it cannot read and saves nothing', function (array $change, string $place) {
    $job = $this->downpipe();
    $before = $this->document($job);
    $this->save($job, $change)
        ->assertUnprocessable()
        ->assertJsonValidationErrors([$place]);
    expect($this->document($job))->toEqual($before)
        ->and(Revision::query()->firstOrFail()->version)->toBe(1);
})->with([
    'a unit nobody knows' => [['runs' => [['end' => ['at' => ['21 parsecs']]]]], 'runs[0].end.at[0]'],
    'a negative straight' => [['runs' => [['route' => ['endStraight' => '-2 in']]]], 'runs[0].route.endStraight'],
    'no direction' => [['runs' => [['start' => ['direction' => [0, 0, 0]]]]], 'runs[0].start.direction'],
    'no title' => [['job' => ['title' => '']], 'job.title'],
    'another format' => [['format' => 'something/else'], 'document'],
    'a field of its own' => [['runs' => [['price' => 5]]], 'runs[0].price'],
]);

it('saves a draft that cannot be built yet, and says why it cannot', function () {
    $this->save($this->downpipe(), ['runs' => [['tube' => 'T9.000x.065']]])
        ->assertOk()
        ->assertJsonPath('plan.notices.0.path', 'runs[0].tube');
});

it('will not give two jobs one number', function () {
    $first = $this->downpipe();
    $document = $this->document($first);
    $document['job']['number'] = 'TB-9999';
    $id = $this->postJson('/jobs', ['document' => $document])
        ->assertCreated()
        ->json('id');
    $this->postJson('/jobs', ['document' => $document])
        ->assertUnprocessable()
        ->assertJsonValidationErrors(['job.number']);
    $this->save(Job::query()->findOrFail($id), ['job' => ['number' => 'TB-0412']])
        ->assertUnprocessable()
        ->assertJsonValidationErrors(['job.number']);
    expect(Job::query()->count())->toBe(2);
});

it('answers a preview without saving it', function () {
    $job = $this->downpipe();
    $document = array_replace_recursive($this->document($job), [
        'runs' => [['route' => ['bends' => [['rotation' => 10]]]]],
    ]);
    $this->postJson("/jobs/$job->id/preview", ['document' => $document])
        ->assertOk()
        ->assertJsonPath('plan.runs.0.farEnd.closed', false);
    expect(Revision::query()->firstOrFail()->version)->toBe(1);
});

it('finds ways for a run, or says what blocks them', function () {
    $job = $this->downpipe(routed: false);
    $this->postJson("/jobs/$job->id/routes", ['document' => $this->document($job), 'letter' => 'A'])
        ->assertOk()
        ->assertJsonPath('answers.0.joints', 4)
        ->assertJsonPath('blocked', []);
    $crowded = array_replace_recursive($this->document($job), [
        'runs' => [['end' => ['at' => ['3 in', '3 in', '-1 in']]]],
    ]);
    $this->postJson("/jobs/$job->id/routes", ['document' => $crowded, 'letter' => 'A'])
        ->assertOk()
        ->assertJsonPath('found', 0)
        ->assertJson(fn ($json) => $json->has('blocked.0.text')->etc());
    $this->postJson("/jobs/$job->id/routes", ['document' => $crowded, 'letter' => 'Z'])->assertUnprocessable();
});

it('releases a draft once; the second try is told that it is frozen', function () {
    $job = $this->downpipe();
    $this->postJson("/jobs/$job->id/release", ['version' => 1])
        ->assertOk()
        ->assertJsonPath('revision.status', 'released');
    $this->postJson("/jobs/$job->id/release", ['version' => 1])->assertConflict();
    $this->save($job, ['job' => ['note' => 'late']])
        ->assertConflict()
        ->assertJsonPath('message', 'Revision 1 has been released and is frozen.');
});

it('does not release a plan with problems', function () {
    $job = $this->downpipe(routed: false);
    $this->postJson("/jobs/$job->id/release", ['version' => 1])
        ->assertUnprocessable()
        ->assertJsonValidationErrors(['runs[0].route']);
    expect($job->refresh()->current()->status)->toBe(RevisionStatus::Draft);
});

it('begins the next revision from the released one, once', function () {
    $job = $this->released();
    $this->post("/jobs/$job->id/revise")->assertOk()->assertJsonPath('revision.number', 2);
    $this->post("/jobs/$job->id/revise");
    $revisions = Revision::query()->where('job_id', $job->id)->orderBy('number')->get();
    expect($revisions)->toHaveCount(2)
        ->and($revisions[1]->document)->toEqual($revisions[0]->document)
        ->and($revisions[1]->isDraft())->toBeTrue();
});

it('freezes a released revision in the database itself', function () {
    $job = $this->released();
    expect(
        fn () => DB::transaction(
            fn () => DB::table('revisions')
                ->where('job_id', $job->id)
                ->update(['version' => 9]),
        ),
    )
        ->toThrow(QueryException::class, 'is released and cannot change')
        ->and(fn () => DB::transaction(fn () => DB::table('revisions')->where('job_id', $job->id)->delete()))
        ->toThrow(QueryException::class, 'is released and cannot change');
});

it('goes out as a job file and comes in again', function () {
    $job = $this->downpipe();
    $file = $this->get("/jobs/$job->id/job.json")
        ->assertOk()
        ->assertHeader('Content-Disposition', 'attachment; filename="TB-0412.job.json"')
        ->getContent();
    $document = json_decode((string) $file, true);
    $document['job']['number'] = 'TB-0413';
    $id = $this->postJson('/jobs', ['document' => $document])
        ->assertCreated()
        ->json('id');
    $again = $this->document(Job::query()->findOrFail($id));
    $this->assertEquals($document['runs'], $again['runs']);
});

it('shows a job with its plan at every stage', function (string $stage) {
    $job = $this->downpipe();
    $this->get("/jobs/$job->id/$stage")
        ->assertOk()
        ->assertInertia(
            fn (Page $page) => $page
                ->component('job/job')
                ->where('stage', $stage)
                ->where('job.document.job.number', 'TB-0412')
                ->where('job.plan.jointCount', 6)
                ->has('catalogue.tubes')
                ->etc(),
        );
})->with(['survey', 'route', 'cut', 'fit', 'weld', 'bench', 'handover']);

it('has no other stages', fn () => $this->get('/jobs/'.$this->downpipe()->id.'/paint')->assertNotFound());

it('shows the rack by what each job needs next', function () {
    $this->downpipe(routed: false);
    $this->get('/')->assertInertia(
        fn (Page $page) => $page
            ->component('rack/rack')
            ->where('rack.jobs.0.next.group', 'needs a route')
            ->where('rack.jobs.0.next.stage', 'route')
            ->etc(),
    );
});

it('lets only who plans change a draft', function (Role $role, int $status) {
    $job = $this->downpipe();
    $this->signIn($role);
    $this->save($job, ['job' => ['note' => 'x']])->assertStatus($status);
    $this->postJson("/jobs/$job->id/release", ['version' => $status === 200 ? 2 : 1])->assertStatus($status);
    $this->get("/jobs/$job->id/weld")->assertOk();
})->with([[Role::Owner, 200], [Role::Fabricator, 200], [Role::Helper, 403], [Role::Viewer, 403]]);

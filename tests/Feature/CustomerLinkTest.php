<?php

declare(strict_types=1);

use App\Models\CustomerLink;
use App\Workshop\Drafts;
use UpsweptBead\Core\Job\JobReader;

/** Makes a link to a released job, as its owner. */
function linked(int $days = 30): array
{
    $job = test()->released();
    $made = test()->postJson("/jobs/$job->id/links", ['days' => $days])->assertCreated()->json();

    return [$job, (string) parse_url((string) $made['made'], PHP_URL_PATH), $made];
}

beforeEach(fn () => $this->signIn());

it('shows the record to whoever has the link, signed in or not, and no more than that', function () {
    [$job, $path] = linked();
    $this->log($job, [...$this->entry('purge.AJ2', ['oxygen' => '320']), 'why' => 'the meter was broken'], $this->entry('weld.AJ2', ['amps' => '52']));
    $this->log($job, [...$this->entry('cool.AJ2', ['temperature' => '100 °F'], note: 'not for customers')]);
    $this->anotherRequest();
    $this->app['auth']->forgetGuards();
    $this->get($path)->assertOk()->assertSee($job->title)->assertSee('52 A')->assertSee('Oxygen at the vent: 320 ppm, at most 200 ppm.')
        ->assertSee('Went on anyway: the meter was broken')
        ->assertDontSee('not for customers')->assertDontSee('Sign out');
    $this->get("$path/record.pdf")->assertOk()->assertHeader('Content-Type', 'application/pdf');
    $this->get("/jobs/$job->id/handover")->assertRedirect('/sign-in');
});

it('keeps no link, only what it is known by', function () {
    [, $path] = linked();
    $token = basename($path);
    expect(CustomerLink::query()->firstOrFail()->fingerprint)->toBe(hash('sha256', $token))
        ->and(json_encode(CustomerLink::query()->get()))->not->toContain($token);
});

it('expires', function () {
    [$job, $path, $made] = linked(7);
    expect($made['links'])->toHaveCount(1);
    $this->travel(6)->days();
    $this->get($path)->assertOk();
    $this->travel(2)->days();
    $this->get($path)->assertNotFound();
    $this->getJson("/jobs/$job->id/links")->assertJsonPath('links', []);
});

it('is withdrawn at once, and only by its own job', function () {
    [$job, $path, $made] = linked();
    $id = $made['links'][0]['id'];
    $other = $this->app->make(Drafts::class)->begin(JobReader::fromJson(
        (string) file_get_contents(base_path('database/demo/sidecar-collectors.job.json')),
    )->job ?? throw new LogicException('unreadable'));
    $this->deleteJson("/jobs/$other->id/links/$id")->assertNotFound();
    $this->get($path)->assertOk();
    $this->deleteJson("/jobs/$job->id/links/$id")->assertOk()->assertJsonPath('links', []);
    $this->get($path)->assertNotFound();
});

it('has nothing to show before a release, and is not made for ever', function () {
    $draft = $this->downpipe();
    $this->postJson("/jobs/$draft->id/links", ['days' => 7])->assertConflict();
    $this->postJson("/jobs/{$draft->id}/links", ['days' => 900])->assertUnprocessable()->assertJsonValidationErrorFor('days');
});

it('says of a link that never was what it says of one that is over', function () {
    $this->get('/record/'.str_repeat('a', 40))->assertNotFound();
    $this->get('/record/short')->assertNotFound();
});

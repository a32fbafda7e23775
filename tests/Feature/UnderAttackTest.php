<?php

declare(strict_types=1);

use App\Http\Middleware\BoundBodies;
use App\Models\Job;
use App\Models\Revision;
use App\Models\RevisionStatus;
use App\Models\Role;
use App\Models\StoreItem;
use App\Models\Summary;
use App\Workshop\Summaries;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Inertia\Testing\AssertableInertia as Page;

/**
 * The downpipe's document with as many runs, made bends and welds as fit into 27 kB.
 *
 * @param  array<string, mixed>  $document
 * @return array<string, mixed>
 */
function outOfMeasure(array $document, int $runs = 16): array
{
    $bend = ['straight' => '60 mm', 'rotation' => 37, 'angle' => 45, 'clr' => '100 mm', 'pie' => 24];
    $run = [...$document['runs'][0], 'route' => ['bends' => array_fill(0, 12, $bend), 'endStraight' => '100 mm']];
    $document['runs'] = array_map(static fn (int $i): array => [...$run, 'letter' => chr(65 + $i)], range(0, $runs - 1));

    return $document;
}

beforeEach(fn () => $this->signIn(Role::Owner));

it('refuses at once, at every address that takes a document, one that asks for thousands of seams', function () {
    $job = $this->downpipe();
    $document = outOfMeasure($this->document($job));
    $asked = 0;
    foreach (Route::getRoutes() as $route) {
        $isWritten = array_intersect(['POST', 'PUT'], $route->methods()) !== [];
        if (! $isWritten || ! str_contains($route->uri(), 'jobs')) {
            continue;
        }
        $url = '/'.str_replace(['{job}', '{search}'], [(string) $job->id, '1'], $route->uri());
        $began = hrtime(true);
        $answer = $this->json($route->methods()[0], $url, [
            'document' => $document, 'version' => 1, 'figure' => 'AJ2.amps', 'units' => 'inch', 'letter' => 'A', 'do' => 'close',
        ]);
        $asked++;
        expect($answer->getStatusCode())->toBeLessThan(500, $url)
            ->and((hrtime(true) - $began) / 1e9)->toBeLessThan(5.0, $url);
        if (in_array($url, ["/jobs/$job->id/why", "/jobs/$job->id/preview", "/jobs/$job->id/draft", '/jobs'], true)) {
            expect($answer->getStatusCode())->toBe(422)
                ->and(json_encode($answer->json('errors')))->toContain('seams; a plan takes at most');
        }
    }
    expect($asked)->toBeGreaterThan(20);
});

it('has workers of their own for all that may plan', function () {
    $server = (string) file_get_contents(base_path('bin/common.sh'));
    preg_match('#location ~ \^/\(jobs/\[0-9\]\|small\) \{ fastcgi_pass 127.0.0.1:\$plan_port#', $server, $plans);
    preg_match('#location ~ \^/jobs/\[0-9\]\+/\(([a-z/|]+)\)\\\\\$ \{ fastcgi_pass 127.0.0.1:\$heavy_port#', $server, $heavy);
    expect($plans)->not->toBe([])->and($heavy)->not->toBe([]);
    foreach (Route::getRoutes() as $route) {
        $limits = array_intersect(['plans', 'heavy'], $route->gatherMiddleware());
        $isOfJob = str_starts_with($route->uri(), 'jobs/{job}');
        if ($limits !== []) {
            expect($isOfJob || str_starts_with($route->uri(), 'small'))->toBeTrue($route->uri());
        }
        // What takes seconds has the fewest workers, and one piece at a time for each person.
        $behind = substr($route->uri(), strlen('jobs/{job}/'));
        if ($isOfJob && in_array($behind, explode('|', $heavy[1]), true)) {
            expect($limits)->toContain('heavy');
        }
    }
});

it('marks a job that cannot be worked out, once, and goes on showing the rack', function () {
    $job = $this->downpipe();
    $this->get('/')->assertOk();
    app(Summaries::class)->tooMuch($job);
    foreach (range(1, 3) as $i) {
        $this->anotherRequest();
        $this->get('/')->assertInertia(static fn (Page $page): Page => $page
            ->where('rack.jobs.0.next.group', 'cannot be planned')
            ->where('rack.jobs.0.fault', static fn (string $fault): bool => str_contains($fault, 'takes too long')));
    }
});

it('lives with a job that was stored before such were refused', function () {
    $job = $this->downpipe();
    Revision::query()->where('job_id', $job->id)->where('status', RevisionStatus::Draft)
        ->update(['document' => json_encode(outOfMeasure($this->document($job))), 'version' => 2]);
    $this->anotherRequest();
    $this->get('/')->assertOk();
    expect(Summary::query()->whereKey($job->id)->value('fault'))->not->toBeNull();
    $this->deleteJson("/jobs/$job->id")->assertNoContent();
    $this->anotherRequest();
    $this->get('/')->assertInertia(static fn (Page $page): Page => $page->where('rack.total', 0));
});

it('deletes a job that nothing was done on, with all that hangs on it, and keeps one that was released or has a log', function () {
    $job = $this->downpipe();
    $this->deleteJson("/jobs/$job->id")->assertNoContent();
    expect(Job::query()->find($job->id))->toBeNull()
        ->and(DB::table('revisions')->where('job_id', $job->id)->count())->toBe(0);
    $kept = $this->released();
    expect($this->deleteJson("/jobs/$kept->id")->assertStatus(409)->json('message'))->toContain('was released');
    $this->postJson("/jobs/$kept->id/log", ['entries' => [$this->entry('prepare.A1')]])->assertOk();
    expect($this->deleteJson("/jobs/$kept->id")->assertStatus(409)->json('message'))->toContain('is a record');
    $this->signIn(Role::Helper);
    $this->deleteJson("/jobs/$kept->id")->assertForbidden();
});

it('takes no large body where nobody sends one, before it is read', function () {
    $this->call('POST', '/sign-in', [], [], [], ['CONTENT_LENGTH' => (string) 18_000_000, 'CONTENT_TYPE' => 'application/json'], '[]')
        ->assertStatus(413);
    expect(BoundBodies::mostKb('sign-in'))->toBe(32)
        ->and(BoundBodies::mostKb('jobs/7/photos'))->toBe(22 * 1024)
        ->and(BoundBodies::mostKb('jobs/7/draft'))->toBe(2200)
        ->and(BoundBodies::mostKb('/'))->toBe(32);
});

it('names a field that is a list where it is one text', function (string $method, string $path, string $field) {
    $job = $this->downpipe();
    $answer = $this->json($method, str_replace('JOB', (string) $job->id, $path));
    expect($answer->getStatusCode())->toBe(422)->and($answer->json("errors.$field.0"))->toContain('one text');
})->with([
    ['DELETE', '/bottles?name[]=x', 'name'],
    ['GET', '/jobs/JOB/template.svg?of[]=x', 'of'],
    ['GET', '/jobs/JOB/template.pdf?of=x&paper[]=A4', 'paper'],
    ['GET', '/shop?units[]=inch', 'units'],
    ['POST', '/jobs/JOB/flatness?step[]=x', 'step'],
    ['GET', '/jobs/JOB/joint-sheets.pdf?joint[]=AJ2', 'joint'],
]);

it('gives out every item of the stores once, however many there are, and takes them back as they were', function () {
    $names = ['-8AN bung', '=sum', '+plate', '@home', "'quoted", "'-8AN bung", 'plain'];
    StoreItem::query()->insert(array_map(static fn (int $i): array => [
        'key' => "part-$i", 'kind' => ['flange', 'band', 'bung', 'wire', 'disc', 'blade'][$i % 6], 'name' => "Part $i",
    ], range(1, 1500)));
    StoreItem::query()->insert(array_map(static fn (string $name): array => ['key' => $name, 'kind' => 'bung', 'name' => $name], $names));
    $before = StoreItem::query()->count();
    $csv = $this->get('/stores/stores.csv')->assertOk()->streamedContent();
    expect(count(explode("\n", trim($csv))))->toBe($before + 1);
    $began = hrtime(true);
    $this->postJson('/stores/counts', ['csv' => $csv])->assertOk()->assertJsonPath('rejected', []);
    expect(StoreItem::query()->count())->toBe($before)->and((hrtime(true) - $began) / 1e9)->toBeLessThan(20.0);
});

it('counts a table of thousands without a lock for every line, and never takes its first line for a heading', function () {
    $lines = array_map(static fn (int $i): string => "bolt-$i,$i,bin,,,,bung,Bolt $i", range(1, 5000));
    $this->postJson('/stores/counts', ['csv' => implode("\n", $lines)])->assertOk()->assertJsonPath('counted', 5000);
    expect((float) StoreItem::query()->where('key', 'bolt-4999')->value('on_hand'))->toBe(4999.0);
    $this->postJson('/stores/counts', ['csv' => "bolt-1,many\nbolt-2,7"])->assertOk()
        ->assertJsonPath('counted', 0)->assertJsonPath('rejected.0.line', 1);
});

it('shows prices, rates and margins to whoever quotes, and to nobody else', function (Role $role, bool $isShown) {
    StoreItem::query()->insert(['key' => 'part-1', 'kind' => 'bung', 'name' => 'Part', 'cost' => 12.34]);
    $job = $this->downpipe();
    $document = $this->document($job);
    $document['runs'][0]['route']['bends'][0]['pie'] = 5;
    $this->putJson("/jobs/$job->id/draft", ['version' => 1, 'document' => $document])->assertOk();
    $this->signIn($role);
    $csv = $this->get('/stores/stores.csv')->assertOk()->streamedContent();
    $shop = (string) json_encode($this->get('/shop')->assertOk()->viewData('page'));
    expect(str_contains($csv, '12.34'))->toBe($isShown)
        ->and(str_contains($shop, 'cost.margin'))->toBe($isShown)
        ->and(str_contains($shop, 'cost.fit_minutes'))->toBeTrue();
    $least = $this->postJson("/jobs/$job->id/cuts/least", ['document' => $document])->assertOk();
    $cutting = $this->getJson("/jobs/$job->id/cutting")->assertOk();
    $screen = $this->shownAt("/jobs/$job->id/route")['job']['plan'];
    $wedges = array_column(array_filter(array_column($screen['runs'][0]['pieces'], 'pie')), 'sum');
    expect($wedges)->not->toBe([])->and($cutting->json('saws'))->not->toBe([]);
    foreach ([$least->json('now.cost'), ...array_column($cutting->json('saws'), 'cost'), ...array_column($wedges, 'making'), ...array_column($wedges, 'set')] as $sum) {
        expect($sum !== null)->toBe($isShown);
    }
})->with([[Role::Owner, true], [Role::Fabricator, true], [Role::Helper, false], [Role::Viewer, false]]);

it('tells how long to wait after too many guesses, and keeps nobody else out', function () {
    $this->app['auth']->forgetGuards();
    foreach (range(1, 6) as $i) {
        $this->postJson('/sign-in', ['email' => 'guess@tidewater.invalid', 'password' => "guess $i"]);
    }
    $answer = $this->postJson('/sign-in', ['email' => 'guess@tidewater.invalid', 'password' => 'guess'])->assertStatus(429);
    expect((int) $answer->headers->get('Retry-After'))->toBeGreaterThan(0)->and($answer->json('message'))->toContain('wait');
    foreach (range(1, 40) as $i) {
        $this->postJson('/sign-in', ['email' => "other$i@tidewater.invalid", 'password' => 'x'])->assertStatus(422);
    }
});

<?php

declare(strict_types=1);

use App\Models\CustomerLink;
use App\Models\Role;
use App\Models\RouteSearch;
use App\Models\StoreItem;
use App\Models\User;
use Illuminate\Routing\Route as OneRoute;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use UpsweptBead\Core\Job\JobWriter;

const EVERYBODY = ['owner', 'fabricator', 'helper', 'viewer'];
const PLANNERS = ['owner', 'fabricator'];
const LOGGERS = ['owner', 'fabricator', 'helper'];

/** Every address of the application with who may use it; null where nobody need be signed in. */
const ACCESS = [
    'GET /' => EVERYBODY,
    'GET up' => null,
    'GET sign-in' => null,
    'POST sign-in' => null,
    'GET session' => null,
    'POST sign-out' => EVERYBODY,
    'POST jobs' => PLANNERS,
    'GET small' => PLANNERS,
    'POST small' => PLANNERS,
    'POST small/card' => PLANNERS,
    'DELETE jobs/{job}' => PLANNERS,
    'GET jobs/{job}/{stage?}' => EVERYBODY,
    'GET jobs/{job}/job.json' => EVERYBODY,
    'GET jobs/{job}/stored.json' => EVERYBODY,
    'GET jobs/{job}/beside' => EVERYBODY,
    'GET jobs/{job}/beside/{other}' => EVERYBODY,
    'GET jobs/{job}/joint-sheets.pdf' => EVERYBODY,
    'GET jobs/{job}/record.json' => EVERYBODY,
    'POST jobs/{job}/flatness' => EVERYBODY,
    'GET jobs/{job}/quote' => PLANNERS,
    'GET jobs/{job}/quote.pdf' => PLANNERS,
    'GET jobs/{job}/cost.pdf' => PLANNERS,
    'GET jobs/{job}/lra.csv' => EVERYBODY,
    'GET jobs/{job}/xyz.csv' => EVERYBODY,
    'GET jobs/{job}/cut-list.pdf' => EVERYBODY,
    'GET jobs/{job}/cut-list.csv' => EVERYBODY,
    'GET jobs/{job}/template.{format}' => EVERYBODY,
    'GET jobs/{job}/flange.dxf' => EVERYBODY,
    'GET jobs/{job}/runs.{format}' => EVERYBODY,
    'GET jobs/{job}/route-problem.json' => EVERYBODY,
    'GET jobs/{job}/record.pdf' => EVERYBODY,
    'GET jobs/{job}/links' => PLANNERS,
    'POST jobs/{job}/links' => PLANNERS,
    'DELETE jobs/{job}/links/{link}' => PLANNERS,
    'GET record/{token}' => null,
    'GET record/{token}/record.pdf' => null,
    'GET jobs/{job}/cutting' => EVERYBODY,
    'POST jobs/{job}/cutting' => LOGGERS,
    'POST jobs/{job}/promises' => LOGGERS,
    'GET jobs/{job}/shopping.csv' => EVERYBODY,
    'GET jobs/{job}/shopping.pdf' => EVERYBODY,
    'GET jobs/{job}/labels.pdf' => EVERYBODY,
    'GET shop' => EVERYBODY,
    'PUT bottles' => LOGGERS,
    'POST bottles' => ['owner'],
    'DELETE bottles' => ['owner'],
    'PUT shop' => ['owner'],
    'GET stores' => EVERYBODY,
    'GET stores/stores.csv' => EVERYBODY,
    'GET stores/reorder.csv' => EVERYBODY,
    'GET stores/labels.pdf' => EVERYBODY,
    'POST stores/items' => PLANNERS,
    'POST stores/counts' => PLANNERS,
    'GET stores/items/{item}/entries' => EVERYBODY,
    'POST stores/items/{item}/entries' => LOGGERS,
    'PUT stores/items/{item}' => PLANNERS,
    'GET jobs/{job}/meshes/{fingerprint}' => EVERYBODY,
    'POST jobs/{job}/meshes' => PLANNERS,
    'POST jobs/{job}/read-routes' => PLANNERS,
    'POST jobs/{job}/paste' => PLANNERS,
    'POST jobs/{job}/intake' => PLANNERS,
    'POST jobs/{job}/intake/quote' => PLANNERS,
    'POST jobs/{job}/intake/layout' => PLANNERS,
    'GET jobs/{job}/at-the-vehicle.pdf' => EVERYBODY,
    'GET jobs/{job}/closing-piece.pdf' => EVERYBODY,
    'POST jobs/{job}/scan/fit' => PLANNERS,
    'POST jobs/{job}/scan/place' => PLANNERS,
    'POST jobs/{job}/scan/cut' => PLANNERS,
    'POST jobs/{job}/survey/kits' => PLANNERS,
    'POST jobs/{job}/survey/kit' => PLANNERS,
    'POST jobs/{job}/survey/touched' => PLANNERS,
    'POST jobs/{job}/survey/row' => PLANNERS,
    'POST jobs/{job}/survey/mirror' => PLANNERS,
    'POST jobs/{job}/survey/collector' => PLANNERS,
    'POST jobs/{job}/survey/scrolls' => PLANNERS,
    'POST jobs/{job}/survey/flange' => PLANNERS,
    'PUT jobs/{job}/draft' => PLANNERS,
    'POST jobs/{job}/preview' => EVERYBODY,
    'POST jobs/{job}/why' => EVERYBODY,
    'POST jobs/{job}/hand' => EVERYBODY,
    'POST jobs/{job}/routes' => EVERYBODY,
    'POST jobs/{job}/insertion' => EVERYBODY,
    'POST jobs/{job}/cuts/least' => EVERYBODY,
    'POST jobs/{job}/cuts/joint' => EVERYBODY,
    'POST jobs/{job}/fit/measured' => EVERYBODY,
    'POST jobs/{job}/fit/as-built' => EVERYBODY,
    'POST jobs/{job}/fit/closing-piece' => EVERYBODY,
    'POST jobs/{job}/designs/compare' => EVERYBODY,
    'POST jobs/{job}/designs/take' => PLANNERS,
    'POST jobs/{job}/searches' => PLANNERS,
    'GET jobs/{job}/searches/{search}' => EVERYBODY,
    'POST jobs/{job}/searches/{search}/stop' => PLANNERS,
    'POST jobs/{job}/searches/{search}/put-away' => PLANNERS,
    'GET jobs/{job}/look-over' => PLANNERS,
    'POST jobs/{job}/release' => PLANNERS,
    'POST jobs/{job}/revise' => PLANNERS,
    'POST jobs/{job}/log' => LOGGERS,
    'GET jobs/{job}/log' => EVERYBODY,
    'GET jobs/{job}/standing' => EVERYBODY,
    'GET jobs/{job}/log.csv' => EVERYBODY,
    'GET jobs/{job}/devices' => EVERYBODY,
    'GET jobs/{job}/photos' => EVERYBODY,
    'POST jobs/{job}/photos' => LOGGERS,
    'GET jobs/{job}/photos/{photo}' => EVERYBODY,
    'DELETE jobs/{job}/photos/{photo}' => PLANNERS,
    'GET record/{token}/photos/{photo}' => null,
    'GET jobs/{job}/traces' => EVERYBODY,
    'GET jobs/{job}/traces.csv' => EVERYBODY,
];

/** @return list<string> */
function addresses(): array
{
    return array_map(
        static fn (OneRoute $route): string => $route->methods()[0].' '.$route->uri(),
        array_values(Route::getRoutes()->getRoutes()),
    );
}

/** An address with a real job and search in it. */
function filledIn(string $uri, int $job, int $search): string
{
    $item = StoreItem::query()->firstOrCreate(['key' => 'disc'], ['kind' => 'disc', 'name' => 'Disc'])->id;
    $token = str_pad("$job", 40, 'a');
    $link = CustomerLink::query()->firstOrCreate(
        ['fingerprint' => CustomerLink::fingerprintOf($token)],
        ['job_id' => $job, 'user_id' => User::query()->firstOrFail()->id, 'made_at' => now(), 'expires_at' => now()->addDay()],
    )->id;
    $photo = DB::table('photos')->where('job_id', $job)->value('id') ?? DB::table('photos')->insertGetId([
        'job_id' => $job, 'user_id' => User::query()->firstOrFail()->id, 'step' => 'weld.AJ2', 'step_kind' => 'weld', 'step_subject' => 'AJ2', 'wide' => 1, 'high' => 1, 'jpeg' => '', 'made_at' => now(),
    ]);
    $parts = ['{photo}' => $photo, '{link}' => $link, '{token}' => $token, '{item}' => $item, '{job}' => $job, '{other}' => $job, '{search}' => $search, '{stage?}' => 'weld', '{format}' => 'dxf', '{fingerprint}' => str_repeat('0', 32)];

    return '/'.ltrim(strtr($uri, $parts), '/');
}

it('knows who may use each of its addresses', function () {
    expect(addresses())->toEqualCanonicalizing(array_keys(ACCESS));
});

it('lets everyone do what their role allows, and nothing else', function (string $address, ?array $allowed) {
    [$method, $uri] = explode(' ', $address);
    $job = $this->released();
    $user = User::query()->firstOrFail();
    $search = RouteSearch::query()->create([
        'job_id' => $job->id,
        'user_id' => $user->id,
        'document' => $this->document($job),
        'seconds' => 1.0,
    ]);
    $url = filledIn($uri, $job->id, $search->id);
    $guest = $this->json($method, $url)->status();
    expect($guest)->toBe($allowed === null ? ($method === 'POST' ? 422 : 200) : 401);
    foreach ($allowed === null ? [] : Role::cases() as $role) {
        $this->app['auth']->forgetGuards();
        $status = $this->actingAs(User::factory()->as($role)->create()->refresh())
            ->json($method, $url)
            ->getStatusCode();
        in_array($role->value, $allowed, true)
            ? expect($status)
                ->not->toBeIn([401, 403])
                ->toBeLessThan(500)
            : expect($status)->toBe(403);
    }
})->with(array_map(static fn (string $address): array => [$address, ACCESS[$address]], array_keys(ACCESS)));

/** @return array<string, array<string, mixed>> what no screen sends */
function nonsense(): array
{
    return [
        'nothing' => [],
        'a text for a document' => [
            'document' => 'x',
            'version' => 'x',
            'entries' => 'x',
            'designs' => 'x',
            'letter' => ['x'],
        ],
        'a list for a document' => ['document' => [1, [2, [3]]], 'version' => [], 'entries' => [null], 'letter' => 7],
        'another format' => [
            'document' => ['format' => 'something else', 'version' => 1],
            'text' => ['x'],
            'entries' => [[]],
        ],
        'runs that are none' => [
            'document' => ['format' => 'upswept-bead/job', 'version' => 1, 'job' => [], 'runs' => [null, 3, 'x', []]],
        ],
        'numbers beyond all bounds' => [
            'document' => [
                'format' => 'upswept-bead/job',
                'version' => 99,
                'job' => ['number' => str_repeat('9', 5000)],
                'runs' => [],
            ],
            'version' => 1e300,
            'after' => -1,
            'seconds' => 1e300,
        ],
        'another alphabet' => [
            'document' => ['format' => "upswept-bead/job\u{0}", 'version' => "\u{202E}1"],
            'text' => "\u{0}\u{FFFF}",
        ],
    ];
}

it('answers nonsense with what is wrong, keeps all of it out, and stands', function (string $address) {
    [$method, $uri] = explode(' ', $address);
    $job = $this->downpipe();
    $owner = $this->signIn(Role::Owner);
    $search = RouteSearch::query()->create([
        'job_id' => $job->id,
        'user_id' => $owner->id,
        'document' => $this->document($job),
        'seconds' => 1.0,
    ]);
    $before = $this->document($job);
    foreach (nonsense() as $what => $body) {
        $response = $this->json($method, filledIn($uri, $job->id, $search->id), $body);
        expect($response->status())->toBeLessThan(500, "$address with $what");
        if ($response->status() === 422) {
            expect($response->json('message'))->toBeString()->not->toBe('');
        }
    }
    expect($this->document($job))->toEqual($before)->and($this->entries($job))->toBe(0);
})->with(
    array_values(
        array_filter(
            array_keys(ACCESS),
            static fn (string $address): bool => preg_match('/^(POST|PUT) (jobs|stores)/', $address) === 1,
        ),
    ),
);

it('names the field, the value and what would be accepted', function () {
    $job = $this->downpipe();
    $this->signIn();
    $document = $this->document($job);
    $document['runs'][0]['end']['at'][1] = 'about a foot';
    $answer = $this->putJson("/jobs/$job->id/draft", ['version' => 1, 'document' => $document])->assertUnprocessable();
    expect($answer->json('errors')['runs[0].end.at[1]'][0])->toContain('"about a foot" is not a length')
        ->toContain('1 5/8');
});

it('tells the working of a figure in the units it is looked at in, and which figures there are none of', function () {
    $job = $this->downpipe();
    $this->signIn(Role::Viewer);
    $document = JobWriter::toArray(UpsweptBead\Core\Job\JobReader::fromDecoded($this->document($job))->job);
    $ask = fn (string $figure, string $units) => $this->postJson("/jobs/$job->id/why", [
        'document' => $document,
        'figure' => $figure,
        'units' => $units,
    ]);
    expect($ask('weld.AJ1.amps', 'inch')->assertOk()->json('reason.inputs.0.text'))->toBe('.065 in')
        ->and($ask('weld.AJ1.amps', 'metric')->json('reason.inputs.0.text'))->toBe('1.65 mm')
        ->and($ask('weld.AJ1.amps', 'inch')->json('reason.source'))->toContain('common practice')
        ->and($ask('cut.A1.slip', 'inch')->assertOk()->json('reason.rule'))->toContain('Neither end');
    $ask('weld.ZJ9.amps', 'inch')
        ->assertUnprocessable()
        ->assertJsonValidationErrors(['figure' => 'The plan has no figure "weld.ZJ9.amps".']);
});

<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Route;
use Illuminate\Testing\TestResponse;
use Inertia\Testing\AssertableInertia as Page;
use Symfony\Component\ErrorHandler\Error\FatalError;

beforeEach(fn () => $this->signIn());

/** Asks, and wants an answer that says what was wrong, whatever was sent. */
function politely(TestResponse $answer): void
{
    expect($answer->baseResponse->getStatusCode())->toBeLessThan(500)->toBeGreaterThanOrEqual(200);
}

it('takes a list where a word is expected for what it is', function (string $method, string $path, array $body) {
    $job = $this->downpipe();
    $body = array_map(fn (mixed $value): mixed => $value === 'DOCUMENT' ? $this->document($job) : $value, $body);
    $answer = $this->json($method, "/jobs/$job->id$path", $body);
    expect($answer->getStatusCode())->toBe(422);
})->with([
    'letter of a why' => ['POST', '/why', ['document' => 'DOCUMENT', 'figure' => ['x'], 'units' => 'inch']],
    'units of a why' => ['POST', '/why', ['document' => 'DOCUMENT', 'figure' => 'AJ2.amps', 'units' => ['inch']]],
    'letter of routes' => ['POST', '/routes', ['document' => 'DOCUMENT', 'letter' => ['A']]],
    'letter of a hand edit' => ['POST', '/hand', ['document' => 'DOCUMENT', 'letter' => ['A'], 'do' => 'close']],
    'kind of a hand edit' => ['POST', '/hand', ['document' => 'DOCUMENT', 'letter' => 'A', 'do' => ['close']]],
    'text of a paste' => ['POST', '/paste', ['document' => 'DOCUMENT', 'text' => ['x'], 'what' => 'ports']],
    'text of routes read' => ['POST', '/read-routes', ['document' => 'DOCUMENT', 'text' => ['x']]],
    'kind of a kit' => ['POST', '/survey/kit', ['document' => 'DOCUMENT', 'kind' => ['block']]],
    'letter of a row' => ['POST', '/survey/row', ['document' => 'DOCUMENT', 'letter' => ['A'], 'spacings' => ['90 mm']]],
    'firing of scrolls' => ['POST', '/survey/scrolls', ['document' => 'DOCUMENT', 'collector' => 'x', 'firing' => ['A']]],
    'collector of scrolls' => ['POST', '/survey/scrolls', ['document' => 'DOCUMENT', 'collector' => ['x'], 'firing' => 'A B']],
]);

it('answers any address with nonsense in its query', function (string $query) {
    $job = $this->downpipe();
    foreach (['', '/weld', '/bench', '/job.json', '/lra.csv', '/xyz.csv', '/route-problem.json', '/log', '/log.csv', '/record.pdf'] as $path) {
        politely($this->get("/jobs/$job->id$path?$query"));
    }
    politely($this->get("/?$query"));
})->with(['units[]=1', 'letter=%ff', 'units=%ff', 'find=%ff', 'page=%ff', 'before=%ff', 'units[a][b]=1', 'letter[]=A', '%ff=1', 'find=%00']);

it('says that there is no search of a number longer than any', function (string $id) {
    $job = $this->downpipe();
    expect($this->getJson("/jobs/$job->id/searches/$id")->getStatusCode())->toBe(404);
    expect($this->postJson("/jobs/$job->id/searches/$id/stop")->getStatusCode())->toBe(404);
})->with(['12345678901234567890', '99999999999999999999999999', '0', '9223372036854775808']);

it('refuses a route problem that is out of all measure', function (mixed $document) {
    expect($this->postJson('/jobs', ['document' => $document])->getStatusCode())->toBe(422);
})->with([
    'a name that is no number' => [['format' => 'route-case/1', 'name' => 1e308]],
    'no name to number the job by' => [[...json_decode((string) file_get_contents(dirname(__DIR__, 2).'/core/tests/problems/08-inline-four.json'), true), 'name' => ' ']],
    'forty deep' => [array_reduce(range(1, 40), static fn (mixed $in, int $i): array => ['format' => 'route-case/1', 'x' => $in], 1)],
]);

it('reads a number that is none of this world as what it is', function () {
    $body = '{"document": {"format": "route-case/1", "name": 1e309}}';
    $answer = $this->call('POST', '/jobs', server: ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'], content: $body);
    expect($answer->getStatusCode())->toBe(422);
});

it('refuses a place that a run does not have for a bend to go', function (int $index, string $do) {
    $job = $this->downpipe();
    $answer = $this->postJson("/jobs/$job->id/hand", ['document' => $this->document($job), 'letter' => 'A', 'do' => $do, 'index' => $index, 'to' => [0, 0, 0]]);
    expect($answer->getStatusCode())->toBe(422);
})->with([[-1, 'insert'], [-1, 'merge'], [-1, 'vertex'], [99, 'vertex'], [-1, 'remove'], [99, 'insert'], [PHP_INT_MAX, 'merge'], [PHP_INT_MIN, 'insert']]);

it('refuses ten megabytes of zeros', function () {
    $job = $this->downpipe();
    $answer = $this->call('POST', "/jobs/$job->id/preview", server: ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'], content: str_repeat('0', 10_000_000));
    expect($answer->getStatusCode())->toBeIn([400, 413, 422]);
});

it('begins one job of a number, however many ask at once', function () {
    $job = $this->downpipe();
    $document = $this->document($job);
    $this->postJson('/jobs', ['document' => $document])->assertUnprocessable()->assertJsonValidationErrors('job.number');
});

it('sends its content policy with every answer, also with those of a fault', function (string $url) {
    $answer = $this->get($url);
    expect((string) $answer->headers->get('Content-Security-Policy'))->toContain("default-src 'self'")
        ->and($answer->headers->get('X-Content-Type-Options'))->toBe('nosniff');
})->with(['/nowhere', '/jobs/999999', '/?find=%ff', '/up', '/session', '/jobs/x']);

it('says what is wrong with the database, and that it may be asked again', function (string $error, string $says) {
    Route::get('/away', static fn () => throw new PDOException($error));
    $this->getJson('/away')
        ->assertServiceUnavailable()
        ->assertHeader('Retry-After', '2')
        ->assertJsonPath('message', fn (string $said): bool => str_contains($said, $says));
    $this->get('/away')->assertInertia(fn (Page $page) => $page->component('failure')->where('status', 503)->where('againS', 2));
})->with([
    'ended' => ['SQLSTATE[57P01]: Admin shutdown: 7 FATAL: terminating connection', 'cannot reach its database'],
    'not there' => ['SQLSTATE[08006] [7] connection refused', 'cannot reach its database'],
    'disk full' => ['SQLSTATE[53100]: Disk full: 7 ERROR: could not extend file', 'no room left on its disk'],
]);

it('says so when a request has used up its time', function () {
    Route::get('/long', static fn () => throw new FatalError('Maximum execution time of 30 seconds exceeded', 0, ['file' => '', 'line' => 0]));
    Route::get('/broken', static fn () => throw new FatalError('Allowed memory size exhausted', 0, ['file' => '', 'line' => 0]));
    $this->getJson('/broken')->assertInternalServerError();
    $this->getJson('/long')
        ->assertServiceUnavailable()
        ->assertJsonPath('message', 'This takes longer than one request may. Try it with fewer runs or keep-outs.');
    $this->get('/long')->assertInertia(fn (Page $page) => $page->where('againS', null));
});

it('does what takes seconds for a person one after the other', function () {
    $job = $this->downpipe();
    $ask = fn () => $this->postJson("/jobs/$job->id/insertion", ['document' => $this->document($job)]);
    $lock = Cache::lock('heavy-'.auth()->id(), 10);
    expect($lock->get())->toBeTrue();
    $ask()->assertTooManyRequests()->assertJsonPath('message', fn (string $said): bool => str_contains($said, 'still being worked out'));
    $lock->release();
    $ask()->assertOk();
    $ask()->assertOk();
});

<?php

declare(strict_types=1);

use App\Http\SparingSessions;
use App\Models\User;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Foundation\Events\DiagnosingHealth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Hash;
use Inertia\Testing\AssertableInertia as Page;

it('sends who is not signed in to the sign-in page', function (string $url) {
    $this->get($url)->assertRedirect('/sign-in');
})->with(['/', '/jobs/1', '/jobs/1/weld', '/jobs/1/record.pdf']);

it('signs a person in, remembers them, and signs them out', function () {
    $user = User::factory()->create(['email' => 'fab@example.test']);
    $this->get('/sign-in')->assertOk()->assertInertia(fn (Page $page) => $page->component('sign-in'));
    $this->post('/sign-in', ['email' => 'fab@example.test', 'password' => 'correct horse'])->assertRedirect('/');
    $this->assertAuthenticatedAs($user);
    $this->post('/sign-out')->assertRedirect('/sign-in');
    $this->assertGuest();
});

it('says who is signed in, and signs in from within a page that lost its session', function () {
    $user = User::factory()->create(['email' => 'fab@example.test']);
    $this->getJson('/session')->assertOk()->assertExactJson(['person' => null]);
    $this->postJson('/sign-in', ['email' => 'fab@example.test', 'password' => 'wrong'])->assertUnprocessable();
    $this->postJson('/sign-in', ['email' => 'fab@example.test', 'password' => 'correct horse'])
        ->assertOk()
        ->assertJsonPath('person.id', $user->id)
        ->assertCookie('XSRF-TOKEN', null, false);
    $this->getJson('/session')->assertJsonPath('person.name', $user->name);
});

it('writes a session when it changed, and from time to time that it is used', function () {
    $written = 0;
    DB::listen(function (QueryExecuted $query) use (&$written): void {
        $written += preg_match('/^(insert|update) .*"sessions"/', $query->sql);
    });
    $request = function (string $data): void {
        $sessions = new SparingSessions(DB::connection(), 'sessions', 60, app());
        $sessions->read('a-session');
        $sessions->write('a-session', $data);
    };
    foreach (['one', 'one', 'two', 'two'] as $data) {
        $request($data);
    }
    expect($written)->toBe(2)->and((new SparingSessions(DB::connection(), 'sessions', 60))->read('a-session'))->toBe('two');
    $this->travel(6)->minutes();
    $request('two');
    expect($written)->toBe(3);
    $this->travel(61)->minutes();
    expect((new SparingSessions(DB::connection(), 'sessions', 60))->read('a-session'))->toBe('');
});

it('keeps passwords hashed', function () {
    $stored = User::factory()->create()->password;
    expect($stored)->not->toContain('correct horse')->and(password_verify('correct horse', $stored))->toBeTrue();
});

it('says no to a wrong password without saying which part was wrong', function () {
    User::factory()->create(['email' => 'fab@example.test']);
    foreach ([['fab@example.test', 'wrong'], ['nobody@example.test', 'correct horse']] as [$email, $password]) {
        $this->post('/sign-in', ['email' => $email, 'password' => $password])->assertSessionHasErrors([
            'email' => 'No person here has this address and password.',
        ]);
    }
    $this->assertGuest();
});

it('remembers only who asks for it, and for a month', function () {
    User::factory()->create(['email' => 'fab@example.test']);
    $cookie = fn (bool $remember) => collect(
        $this->post('/sign-in', ['email' => 'fab@example.test', 'password' => 'correct horse', 'remember' => $remember])
            ->baseResponse->headers->getCookies(),
    )->first(fn ($one): bool => str_starts_with($one->getName(), 'remember_web'));
    expect($cookie(false))->toBeNull();
    $this->post('/sign-out');
    expect($cookie(true)?->getExpiresTime())->toBeLessThan(now()->addDays(31)->getTimestamp())
        ->toBeGreaterThan(now()->addDays(29)->getTimestamp());
});

it('marks cookies as secure where the page comes by TLS, as a proxy on this machine says', function () {
    $flags = fn (string $scheme): array => array_map(
        static fn ($cookie): bool => $cookie->isSecure(),
        $this->withHeader('X-Forwarded-Proto', $scheme)->get('/sign-in')->baseResponse->headers->getCookies(),
    );
    expect($flags('https'))->not->toBe([])->each->toBeTrue()->and($flags('http'))->each->toBeFalse();
});

it('slows down who tries many addresses from one place', function () {
    for ($try = 0; $try < 300; $try++) {
        $this->post('/sign-in', ['email' => "nobody$try@example.test", 'password' => 'x'])->assertRedirect();
    }
    $this->post('/sign-in', ['email' => 'another@example.test', 'password' => 'x'])->assertTooManyRequests();
});

it('lets many people in from one place', function () {
    User::factory()->create(['email' => 'fab@example.test']);
    for ($time = 0; $time < 40; $time++) {
        $this->post('/sign-in', ['email' => 'fab@example.test', 'password' => 'correct horse'])->assertRedirect('/');
        $this->post('/sign-out');
    }
});

it('looks at a password even where there is nobody of that address', function () {
    $user = User::factory()->create(['email' => 'fab@example.test']);
    Hash::spy()->shouldReceive('check')->twice()->andReturn(false);
    Hash::shouldReceive('make')->andReturn($user->password);
    $this->post('/sign-in', ['email' => 'fab@example.test', 'password' => 'x']);
    $this->post('/sign-in', ['email' => 'nobody@example.test', 'password' => 'x']);
});

it('is not well without its database', function () {
    $this->get('/up')->assertOk();
    Event::listen(DiagnosingHealth::class, static fn () => DB::select('select * from nowhere'));
    $this->get('/up')->assertServerError();
});

it('slows down who guesses', function () {
    User::factory()->create(['email' => 'fab@example.test']);
    for ($try = 0; $try < 6; $try++) {
        $this->post('/sign-in', ['email' => 'fab@example.test', 'password' => "guess $try"])->assertRedirect();
    }
    $this->post('/sign-in', ['email' => 'fab@example.test', 'password' => 'correct horse'])->assertTooManyRequests();
    $this->assertGuest();
});

it('lets nothing be loaded from anywhere else', function () {
    $policy = (string) $this->get('/sign-in')->headers->get('Content-Security-Policy');
    expect($policy)->toContain("default-src 'self'")->toContain("script-src 'self';")
        ->toContain("frame-ancestors 'none'");
});

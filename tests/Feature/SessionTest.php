<?php

declare(strict_types=1);

use App\Models\User;
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

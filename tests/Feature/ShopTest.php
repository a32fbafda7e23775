<?php

declare(strict_types=1);

use App\Models\Job;
use App\Models\Role;
use App\Models\Shop;
use Tests\TestCase;
use UpsweptBead\Core\Shop\Practice\ShopRules;

/** The flow that the first joint of a job is filled at, in L/min. */
function fillFlow(TestCase $test, Job $job): float
{
    // What a request keeps for itself another one does not find.
    $test->anotherRequest();

    return $test->shownAt("/jobs/$job->id/weld")['job']['plan']['weld']['sheets'][0]['purge']['flow']['value'];
}

it('shows every rule once, with its common practice, and each practice with its reason', function () {
    $this->signIn(Role::Fabricator);
    $props = $this->shownAt('/shop');
    $keys = array_merge(...array_map(static fn (array $group): array => array_column($group['rules'], 'key'), $props['groups']));
    expect($keys)->toEqualCanonicalizing(array_keys(ShopRules::shipped()->rules))
        ->and(array_unique($keys))->toHaveCount(count($keys))
        ->and(array_column($props['schools'], 'value'))->toBe(['argon', 'touch', 'band'])
        ->and($props['schools'][0]['options'][1]['why'])->toContain('glass');
});

it('keeps a rule of the shop’s own and takes it back, and every plan goes by it', function () {
    $this->signIn(Role::Owner);
    $job = $this->downpipe();
    $before = fillFlow($this, $job);
    $this->putJson('/shop', ['version' => 1, 'rules' => ['purge.flow' => '20 cfh']])->assertOk()->assertJson(['version' => 2]);
    expect(fillFlow($this, $job))->toBeGreaterThan($before);
    $rules = array_column(array_merge(...array_column($this->shownAt('/shop')['groups'], 'rules')), null, 'key');
    expect($rules['purge.flow']['isOwn'])->toBeTrue()->and($rules['purge.hold_flow']['isOwn'])->toBeFalse();
    $this->putJson('/shop', ['version' => 2, 'rules' => ['purge.flow' => '']])->assertOk();
    expect(fillFlow($this, $job))->toBe($before);
});

it('works by another practice once it is said', function () {
    $this->signIn(Role::Owner);
    $this->putJson('/shop', ['version' => 1, 'schools' => ['root' => 'flux']])->assertOk();
    $this->anotherRequest();
    $job = $this->downpipe();
    expect($this->shownAt("/jobs/$job->id/weld")['job']['plan']['weld']['schools']['root']['text'])->toBe('Flux paste');
});

it('refuses what is no value, no rule and no practice, and keeps nothing of it', function (array $change, string $field) {
    $this->signIn(Role::Owner);
    $this->putJson('/shop', ['version' => 1, 'schools' => ['cool' => 'code']])->assertOk();
    $before = Shop::query()->firstOrFail()->document;
    $errors = $this->putJson('/shop', ['version' => 2, ...$change])->assertUnprocessable()->json('errors');
    expect(array_keys($errors))->toBe([$field])
        ->and(Shop::query()->firstOrFail()->document)->toBe($before);
})->with([
    'a value' => [['rules' => ['purge.flow' => 'plenty']], 'rules.purge.flow'],
    'a rule' => [['rules' => ['purge.colour' => 'blue']], 'rules.purge.colour'],
    'a school' => [['schools' => ['root' => 'nitrogen']], 'schools.root'],
]);

it('refuses a change made on a shop that somebody changed meanwhile', function () {
    $this->signIn(Role::Owner);
    $this->putJson('/shop', ['version' => 1, 'schools' => ['cool' => 'code']])->assertOk();
    $this->putJson('/shop', ['version' => 1, 'schools' => ['cool' => 'touch']])->assertConflict();
    expect(Shop::query()->firstOrFail()->document['schools'])->toBe(['cool' => 'code']);
});

it('leaves released jobs by the rules of their release', function () {
    $this->signIn(Role::Owner);
    $job = $this->released();
    $before = fillFlow($this, $job);
    $this->putJson('/shop', ['version' => 1, 'rules' => ['purge.flow' => '20 cfh']])->assertOk();
    expect(fillFlow($this, $job))->toBe($before)
        ->and($job->released()?->shop)->toBe(['rules' => [], 'schools' => []]);
});

it('writes money in the shop’s currency, on its pages and on paper', function () {
    $this->signIn(Role::Owner);
    $this->put('/shop', ['version' => 1, 'currency' => 'CHF', 'schools' => ['saw' => 'friction']])->assertOk();
    $page = $this->get('/shop')->viewData('page');
    expect($page['props']['currency'])->toBe('CHF')
        ->and(array_column($page['props']['schools'], 'value'))->toBe(['argon', 'touch', 'friction']);
    $this->putJson('/shop', ['version' => 2, 'currency' => 'DOLLARS'])->assertJsonValidationErrorFor('currency');
    $this->putJson('/shop', ['version' => 2, 'schools' => ['saw' => 'teeth']])->assertStatus(422);
});

<?php

declare(strict_types=1);

use App\Models\Job;
use App\Models\Role;
use Inertia\Testing\AssertableInertia as Page;

/**
 * @param  array<string, string>  $change
 * @return array<string, string>
 */
function smallWish(array $change = []): array
{
    return [
        'kind' => 'bung', 'place' => 'behind', 'units' => 'inch', 'tube' => 'T3.000x.065', 'metal' => '304L',
        'crack' => '1 in', 'dams' => '12 in', ...$change,
    ];
}

beforeEach(fn () => $this->signIn(Role::Owner));

it('offers what is asked for most first', function () {
    $this->get('/small')->assertInertia(static fn (Page $page): Page => $page->component('small/small')
        ->has('kinds', 5)->where('metals.0.usual', true)->has('tubes'));
});

it('gives settings and purge before anything is stored', function () {
    $this->postJson('/small/card', smallWish())->assertOk()
        ->assertJsonPath('title', 'Oxygen-sensor bung on 3 in × .065')
        ->assertJsonPath('sheet.settings.filler.text', 'ER308L')
        ->assertJsonPath('sheet.purge.target.text', '200 ppm')
        ->assertJsonPath('sheet.settings.amps.reason.inputs.0.label', 'Thinner wall');
    expect(Job::query()->count())->toBe(0);
});

it('takes how the root is shielded from the card, and a reason where nothing shields it', function () {
    $this->postJson('/small/card', smallWish(['root' => 'flux']))->assertOk()
        ->assertJsonPath('sheet.isFilled', false)
        ->assertJsonPath('sheet.rootWhy', fn (string $why): bool => str_contains($why, 'glass'));
    $problems = fn (array $change): array => array_filter(
        $this->postJson('/small/card', smallWish($change))->assertOk()->json('notices'),
        static fn (array $one): bool => $one['severity'] === 'problem',
    );
    expect($problems(['root' => 'none']))->not->toBe([])
        ->and($problems(['root' => 'none', 'why' => 'street muffler, the owner knows']))->toBe([])
        ->and($problems(['root' => 'none', 'why' => 'cheap', 'place' => 'before-turbine']))->not->toBe([]);
});

it('changes everything that follows from the metal with it', function () {
    $card = fn (string $metal): array => $this->postJson('/small/card', smallWish(['metal' => $metal]))->assertOk()->json();
    $mild = $card('mild');
    expect($mild['joint']['metals'])->not->toContain('304L')
        ->and($mild['sheet']['settings']['filler']['text'])->toBe('ER70S-2')
        ->and(json_encode($mild))->not->toContain('304L');
});

it('makes a job of it that stands at the bench, numbered by itself', function () {
    $first = $this->postJson('/small', smallWish(['kind' => 'crack']))->assertCreated()->json('id');
    $this->postJson('/small', smallWish(['kind' => 'tab']))->assertCreated();
    expect(Job::query()->orderBy('id')->pluck('number')->all())->toBe(['S-0001', 'S-0002']);
    $this->get("/jobs/$first/bench")->assertInertia(static fn (Page $page): Page => $page
        ->where('job.revision.status', 'released')
        ->where('job.bench.next', 'tack.AB1')
        ->where('job.bench.steps.0.title', 'Grind out the crack in A1'));
});

it('says what of a choice is wrong, and makes nothing of it', function (array $change, string $field, string $says) {
    $reply = $this->postJson('/small', smallWish($change))->assertUnprocessable();
    expect($reply->json("errors.$field.0"))->toContain($says)->and(Job::query()->count())->toBe(0);
})->with([
    'no such tube' => [['tube' => 'T9'], 'tube', 'T9'],
    'no such metal' => [['metal' => 'tin'], 'metal', 'There is no metal "tin"; there are 304L'],
    'no length' => [['crack' => 'long'], 'crack', '"long"'],
    'dams in one another' => [['dams' => '1 in'], 'dams', '"1 in" must lie between 1.969 in and 196 27/32 in.'],
    'no such shield' => [['root' => 'steam'], 'root', 'invalid'],
    'no such place' => [['place' => 'roof'], 'place', 'invalid'],
]);

it('makes no job of what cannot be welded', function () {
    $this->postJson('/small', smallWish(['metal' => 'titanium']))->assertUnprocessable();
    expect(Job::query()->count())->toBe(0);
});

<?php

declare(strict_types=1);

use App\Models\Job;
use App\Models\Role;
use UpsweptBead\Core\Shop\Practice\ShopRules;

/** @return array<string, mixed>|null what the log says of a rule, as the Shop screen has it */
function learnedOf(string $rule): ?array
{
    foreach (test()->get('/shop?units=metric')->viewData('page')['props']['groups'] as $group) {
        foreach ($group['rules'] as $one) {
            if ($one['key'] === $rule) {
                return $one['learned'];
            }
        }
    }

    return null;
}

/** Every weld of a job logged at so many times what was planned. */
function weldedAt(Job $job, float $times, int $joints): void
{
    $logged = 0;
    $shown = json_decode((string) json_encode(test()->get("/jobs/$job->id/bench")->viewData('page')), true);
    foreach ($shown['props']['job']['bench']['steps'] as $step) {
        $planned = array_column($step['measures'], 'planned', 'name')['seconds'] ?? null;
        if ($planned === null || $logged++ >= $joints) {
            continue;
        }
        $value = round($times * $step['seconds']);
        test()->log($job, test()->entry($step['id'], ['seconds' => "$value s"]))->assertJsonPath('results.0.state', 'stored');
        test()->anotherRequest();
    }
}

beforeEach(fn () => $this->signIn(Role::Owner));

it('says nothing before anything was logged', function () {
    expect(learnedOf('weld.pace'))->toBeNull()->and(ShopRules::shipped()->value('weld.pace'))->toBe(1.0);
});

it('tells how long the shop takes at a joint, of how many, and when that is enough to go by', function () {
    $job = $this->released();
    weldedAt($job, 1.5, 3);
    expect(learnedOf('weld.pace'))->toMatchArray(['cases' => 3, 'isEnough' => false, 'isTaken' => false]);
    weldedAt($job, 1.5, 6);
    $learned = learnedOf('weld.pace');
    expect($learned)->toMatchArray(['cases' => 6, 'isEnough' => true])
        ->and((float) $learned['text'])->toEqualWithDelta(1.5, 0.03);
});

it('plans by it once somebody has said so, and learns on from there', function () {
    $job = $this->released();
    weldedAt($job, 1.5, 6);
    $this->putJson('/shop', ['version' => 1, 'rules' => ['weld.pace' => learnedOf('weld.pace')['text']]])->assertOk();
    $this->anotherRequest();
    // The release keeps what counted when it was released: what was logged on it says the same as before.
    expect(learnedOf('weld.pace'))->toMatchArray(['cases' => 6, 'isTaken' => true]);
});

it('reckons from the pace a release was planned by, so that what was learned is not learned a second time', function () {
    $this->putJson('/shop', ['version' => 1, 'rules' => ['weld.pace' => '1.5']])->assertOk();
    $this->anotherRequest();
    // Planned at one and a half times, and it took just that.
    weldedAt($this->released(), 1.0, 6);
    expect((float) learnedOf('weld.pace')['text'])->toEqualWithDelta(1.5, 0.03);
});

it('learns how fast the shop cools, how much its seams pull together and how wide its gaps stand open', function () {
    $job = $this->released();
    $shown = json_decode((string) json_encode($this->get("/jobs/$job->id/bench")->viewData('page')), true);
    $steps = array_column($shown['props']['job']['bench']['steps'], null, 'id');
    $begun = now()->subDays(2);
    foreach (['AJ1', 'AJ2', 'AJ3', 'AJ4', 'AB1'] as $joint) {
        $touch = $steps["weld.$joint"]['cools'];
        $this->log(
            $job,
            [...$this->entry("tack.$joint", ['gap' => '0.3 mm']), 'why' => 'A test.', 'at' => $begun->toIso8601ZuluString()],
            [...$this->entry("weld.$joint"), 'why' => 'A test.', 'at' => $begun->toIso8601ZuluString()],
            // At the limit a hand may rest on it, after 1.5 times what is planned.
            [...$this->entry("cool.$joint", ['temperature' => '45 C']), 'why' => 'A test.', 'at' => $begun->addSeconds((int) round(1.5 * $touch))->toIso8601ZuluString()],
        );
        $this->anotherRequest();
    }
    expect((float) learnedOf('cool.pace')['text'])->toEqualWithDelta(1.5, 0.05)
        ->and(learnedOf('cool.pace')['isEnough'])->toBeTrue()
        ->and((float) learnedOf('fit.gap_usual')['text'])->toEqualWithDelta(0.3, 0.03);
});

it('learns shrink of each kind of butt by itself', function () {
    $job = $this->released();
    $shown = json_decode((string) json_encode($this->get("/jobs/$job->id/bench")->viewData('page')), true);
    $asked = [];
    foreach ($shown['props']['job']['bench']['steps'] as $step) {
        if (array_column($step['measures'], 'planned', 'name')['shrink'] ?? null) {
            $asked[] = $step['subject'];
        }
    }
    // Two tubes draw together, and the ring at its start; the fillet at its end does not.
    expect($asked)->toBe(['AJ2', 'AJ3', 'AJ1']);
    foreach (['AJ2' => '0.6 mm', 'AJ3' => '0.6 mm', 'AJ1' => '0.9 mm'] as $joint => $read) {
        $this->log($job, [...$this->entry("cool.$joint", ['shrink' => $read]), 'kind' => 'done', 'why' => 'A test.']);
        $this->anotherRequest();
    }
    expect(learnedOf('weld.shrink')['cases'])->toBe(2)
        ->and(learnedOf('weld.shrink_ring')['cases'])->toBe(1)
        ->and(learnedOf('weld.shrink_wedge'))->toBeNull();
});

it('learns what cutting, fitting, trial fits and looking take, each from its own steps', function () {
    $job = $this->released();
    $at = now()->subDay();
    $this->log($job, [...$this->entry('prepare.A1'), 'at' => $at->toIso8601ZuluString(), 'why' => 'A test.']);
    foreach (['prepare.A2' => 11, 'tack.AJ1' => 32, 'trial.A' => 45, 'inspect.AJ1' => 3] as $step => $minutes) {
        $at = $at->addMinutes($minutes);
        $this->anotherRequest();
        $this->log($job, [
            ...$this->entry($step), 'at' => $at->toIso8601ZuluString(), 'why' => 'A test.',
            ...str_starts_with($step, 'inspect') ? ['inspected' => ['outside' => 'silver', 'inside' => 'silver', 'outcome' => 'accept']] : [],
        ])->assertJsonPath('results.0.state', 'stored');
    }
    $this->anotherRequest();
    foreach (['prepare' => 11, 'fit' => 32, 'trial' => 45, 'inspect' => 3] as $what => $minutes) {
        expect(learnedOf("cost.{$what}_minutes")['cases'])->toBe(1);
    }
});

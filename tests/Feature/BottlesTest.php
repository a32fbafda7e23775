<?php

declare(strict_types=1);

use App\Models\LogEntry;
use App\Models\Role;
use App\Models\Shop;
use App\Models\Summary;
use App\Workshop\Bottles;
use App\Workshop\KnownPlans;
use App\Workshop\Summaries;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Inertia\Testing\AssertableInertia as Page;
use UpsweptBead\Core\Shop\Practice\Bottle;

/** @return array<string, Bottle> by name, as they stand now */
function bottles(): array
{
    test()->anotherRequest();

    return array_column(app(Bottles::class)->now(), null, 'name');
}

/**
 * A weld made now, whatever waits for what.
 *
 * @param  array<string, mixed>  $more
 * @return array<string, mixed>
 */
function weldedNow(string $joint, array $more = []): array
{
    return [...test()->entry("weld.$joint"), 'why' => 'A test.', 'at' => now()->toIso8601ZuluString(), ...$more];
}

beforeEach(function () {
    $this->signIn(Role::Owner);
    Shop::query()->delete();
    Shop::query()->create(['version' => 1, 'document' => [
        'format' => 'upswept-bead/shop', 'version' => 1, 'name' => 'A shop', 'bottles' => [
            ['name' => 'Torch', 'use' => 'torch', 'capacity' => '150 ft³', 'full' => '2400 psi', 'gauge' => '1650 psi'],
            ['name' => 'Purge', 'use' => 'purge', 'capacity' => '80 ft³', 'full' => '2200 psi', 'gauge' => '900 psi'],
        ],
    ]]);
});

it('takes a gauge as it was read, and says when', function () {
    $this->putJson('/bottles', ['name' => 'Purge', 'gauge' => '1200 psi'])->assertOk()
        ->assertJsonPath('bottles.1.gauge', '1200 psi')->assertJsonPath('bottles.1.read.gauge', '1200 psi')
        ->assertJsonPath('bottles.0.read', null);
    $this->anotherRequest();
    $this->get('/')->assertInertia(static fn (Page $page): Page => $page->where('bottles.1.gauge', '1200 psi'));
    // Whoever has the shop's rules open is not in the way, nor put out by it.
    expect(Shop::query()->value('version'))->toBe(1);
});

it('says what of a reading is wrong, and keeps the last', function (string $name, string $gauge, string $field, string $says) {
    $reply = $this->putJson('/bottles', ['name' => $name, 'gauge' => $gauge])->assertUnprocessable();
    expect($reply->json("errors.$field.0"))->toContain($says)
        ->and(bottles()['Purge']->gaugeKpa)->toEqualWithDelta(900 * 6.894757, 0.01);
})->with([
    'no bottle of the shop' => ['Helium', '900 psi', 'name', 'no bottle "Helium"'],
    'no pressure' => ['Purge', 'half', 'gauge', 'half'],
    'more than it holds' => ['Purge', '3000 psi', 'gauge', 'a little over a full bottle'],
    'less than nothing' => ['Purge', '-5 psi', 'gauge', '-5'],
]);

it('goes down by what was welded since the gauge was read, as planned or as the flowmeter had it', function () {
    $job = $this->released();
    [$torchL, $purgeL] = app(KnownPlans::class)->of($job->released())->argonL['AJ1'];
    $this->travel(-1)->hours();
    foreach (['Torch' => '1650 psi', 'Purge' => '900 psi'] as $name => $gauge) {
        $this->putJson('/bottles', ['name' => $name, 'gauge' => $gauge])->assertOk();
    }
    $this->travelBack();
    $this->anotherRequest();
    $before = bottles();
    $this->log($job, weldedNow('AJ1'))->assertJsonPath('results.0.state', 'stored');
    $after = bottles();
    expect($before['Torch']->usableL() - $after['Torch']->usableL())->toEqualWithDelta($torchL, 1e-6)
        ->and($before['Purge']->usableL() - $after['Purge']->usableL())->toEqualWithDelta($purgeL, 1e-6);
    // 10 L/min for 90 seconds, whatever was planned.
    $flow = ['device' => 'flow', 'every' => 30, 'values' => [10, 10, 10], 'simulated' => true];
    $this->log($job, weldedNow('AJ2', ['traces' => [$flow]]));
    expect($after['Torch']->usableL() - bottles()['Torch']->usableL())->toEqualWithDelta(15.0, 1e-6)
        ->and((float) LogEntry::query()->sum('metered_l'))->toEqualWithDelta(15.0, 1e-6);
    // The bottle was changed after that: what it lost was of the one before.
    $this->travel(1)->minutes();
    $this->anotherRequest();
    $this->putJson('/bottles', ['name' => 'Torch', 'gauge' => '2400 psi'])->assertOk()->assertJsonPath('bottles.0.gauge', '2400 psi');
});

it('fills in what flowmeters had read of entries that were logged before that was kept', function () {
    $job = $this->released();
    $flow = ['device' => 'flow', 'every' => 30, 'values' => [10, 10, 10], 'simulated' => true];
    $this->log($job, weldedNow('AJ1'), weldedNow('AJ2', ['traces' => [$flow]]));
    $migration = require database_path('migrations/2026_12_01_100000_know_what_flowmeters_read.php');
    $migration->down();
    $migration->up();
    expect(LogEntry::query()->orderBy('step')->pluck('metered_l')->all())->toEqual([null, 15.0]);
    // The log is append-only again.
    expect(static fn () => DB::table('log_entries')->update(['note' => 'other']))->toThrow(QueryException::class);
});

it('takes what is logged twice out of a bottle once, and what was welded before its reading not at all', function () {
    $job = $this->released();
    $this->putJson('/bottles', ['name' => 'Torch', 'gauge' => '1650 psi'])->assertOk();
    $before = bottles()['Torch']->usableL();
    $this->log($job, weldedNow('AJ1', ['at' => now()->subHour()->toIso8601ZuluString()]));
    expect(bottles()['Torch']->usableL())->toBe($before);
    $this->travel(1)->minutes();
    $entry = weldedNow('AJ2');
    $this->log($job, $entry);
    $once = bottles()['Torch']->usableL();
    expect($once)->toBeLessThan($before);
    $this->log($job, $entry)->assertJsonPath('results.0.state', 'known');
    expect(bottles()['Torch']->usableL())->toBe($once);
});

it('takes its gas once for a weld that two tablets closed, tells the second, and takes it again after it was reopened', function () {
    $job = $this->released();
    $this->putJson('/bottles', ['name' => 'Torch', 'gauge' => '1650 psi'])->assertOk();
    $this->travel(1)->minutes();
    $left = bottles()['Torch']->usableL();
    $this->log($job, weldedNow('AJ1'))->assertJsonPath('results.0.reason', null);
    $once = $left - bottles()['Torch']->usableL();
    $this->signIn(Role::Helper);
    $told = $this->log($job, weldedNow('AJ1'))->assertJsonPath('results.0.state', 'stored')->json('results.0.reason');
    expect($told)->toContain('closed already')
        ->and($left - bottles()['Torch']->usableL())->toEqualWithDelta($once, 1e-6);
    $this->log($job, weldedNow('AJ1', ['kind' => 'reopen', 'note' => 'A pore.']), weldedNow('AJ1'));
    expect($left - bottles()['Torch']->usableL())->toEqualWithDelta(2 * $once, 1e-6);
    // The gauge as it was read since then knows of the first; a second close of it takes nothing.
    $this->putJson('/bottles', ['name' => 'Torch', 'gauge' => '1600 psi'])->assertOk();
    $this->travel(1)->minutes();
    $read = bottles()['Torch']->usableL();
    $this->log($job, weldedNow('AJ1'));
    expect(bottles()['Torch']->usableL())->toBe($read);
});

it('gives an entry of a clock that is ahead the server’s time, says so, and takes its gas all the same', function (string $at) {
    $job = $this->released();
    $this->putJson('/bottles', ['name' => 'Torch', 'gauge' => '1650 psi'])->assertOk();
    $this->travel(1)->minutes();
    $left = bottles()['Torch']->usableL();
    $told = $this->log($job, weldedNow('AJ1', ['at' => $at]))->assertJsonPath('results.0.state', 'stored')->json('results.0.reason');
    expect($told)->toContain('clock is ahead')
        ->and(LogEntry::query()->firstOrFail()->made_at->diffInSeconds(now(), true))->toBeLessThan(5.0)
        ->and(bottles()['Torch']->usableL())->toBeLessThan($left);
})->with(['two hours' => [now()->addHours(2)->toIso8601ZuluString()], 'half a year' => [now()->addDays(180)->toIso8601ZuluString()]]);

it('refuses a day that no month has', function () {
    $job = $this->released();
    $this->log($job, weldedNow('AJ1', ['at' => '2026-02-30T08:00:00Z']))->assertJsonPath('results.0.state', 'refused');
});

it('tells at the bench what the job still takes, joint by joint less', function () {
    $job = $this->released();
    $argon = fn (): array => json_decode((string) json_encode($this->get("/jobs/$job->id/bench")->viewData('page')), true)['props']['job']['bench']['argon'];
    $first = $argon();
    $reply = $this->log($job, weldedNow('AJ1'));
    expect((float) $reply->json('progress.argon.needed'))->toBeLessThan((float) $first['needed'])
        ->and($first['enough'])->toBeTrue();
});

it('leaves where every job stands as it is known: the rack need not look at ten thousand jobs again', function () {
    $this->released();
    $this->get('/')->assertOk();
    $known = Summary::query()->pluck('stamp')->all();
    $this->putJson('/bottles', ['name' => 'Purge', 'gauge' => '1200 psi'])->assertOk();
    $this->anotherRequest();
    expect([app(Summaries::class)->stamp()])->toBe(array_values(array_unique($known)));
    $this->putJson('/shop', ['version' => 1, 'rules' => ['cut.kerf' => '2 mm']])->assertOk();
    $this->anotherRequest();
    expect([app(Summaries::class)->stamp()])->not->toBe(array_values(array_unique($known)));
});

it('has one more bottle, in the units it was written in, and one less', function () {
    $more = ['name' => 'Purge 2', 'use' => 'purge', 'capacity' => '4250 l', 'full' => '200 bar', 'gauge' => '180 bar'];
    $this->postJson('/bottles', $more)->assertCreated()->assertJsonCount(3, 'bottles')->assertJsonPath('bottles.2.name', 'Purge 2');
    $this->anotherRequest();
    expect(bottles()['Purge 2']->gaugeKpa)->toEqualWithDelta(18_000.0, 1e-6)->and(bottles()['Purge 2']->capacityL)->toEqualWithDelta(4250.0, 1e-6);
    $this->postJson('/bottles', $more)->assertJsonPath('errors.name.0', 'There is a bottle "Purge 2" already.');
    $this->deleteJson('/bottles', ['name' => 'Purge'])->assertOk()->assertJsonPath('bottles.1.name', 'Purge 2');
    $this->anotherRequest();
    expect(array_keys(bottles()))->toBe(['Torch', 'Purge 2']);
    $this->deleteJson('/bottles', ['name' => 'Purge'])->assertUnprocessable()->assertJsonValidationErrorFor('name');
});

it('begins with its first bottle where the shop has said nothing yet', function () {
    Shop::query()->delete();
    $this->anotherRequest();
    $this->postJson('/bottles', ['name' => 'Torch', 'use' => 'torch', 'capacity' => '150 ft³', 'full' => '2400 psi', 'gauge' => '2400 psi'])
        ->assertCreated();
    expect(bottles()['Torch']->share())->toBe(1.0);
});

it('says what of a new bottle is wrong, and has none of it', function (array $change, string $field, string $says) {
    $more = ['name' => 'More', 'use' => 'purge', 'capacity' => '4250 l', 'full' => '200 bar', 'gauge' => '180 bar', ...$change];
    $reply = $this->postJson('/bottles', $more)->assertUnprocessable();
    expect($reply->json("errors.$field.0"))->toContain($says)->and(bottles())->toHaveCount(2);
})->with([
    'no volume' => [['capacity' => 'large'], 'capacity', 'large'],
    'no use' => [['use' => 'balloons'], 'use', 'invalid'],
    'no name' => [['name' => ''], 'name', 'required'],
    'fuller than full' => [['gauge' => '300 bar'], 'gauge', 'a little over a full bottle'],
    'of nothing' => [['capacity' => '0 l'], 'full', 'above nought'],
]);

it('lets nobody read a gauge who only looks', function () {
    $this->signIn(Role::Viewer);
    $this->putJson('/bottles', ['name' => 'Purge', 'gauge' => '1200 psi'])->assertForbidden();
});

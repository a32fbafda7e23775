<?php

declare(strict_types=1);

use App\Models\LogEntry;
use App\Models\Role;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use UpsweptBead\Core\Tests\Support\Schemas;

beforeEach(fn () => $this->signIn(Role::Helper));

it('takes what was done and what was really used, in the units it was written in', function () {
    $job = $this->released();
    $this->log(
        $job,
        $this->entry('prepare.A1', ['length' => '10 1/2 in']),
        $this->entry('weld.AJ2', ['amps' => '62', 'flow' => '13 l/min', 'seconds' => '3 min']),
    )
        ->assertCreated()
        ->assertJsonPath('stepsDone', 2)
        ->assertJsonPath('jointsDone', 1)
        ->assertJsonPath(
            'readings',
            fn (array $readings): bool => $readings['weld.AJ2']['amps'] === '62 A' &&
                $readings['prepare.A1']['length'] === '10 1/2 in',
        );
    expect(LogEntry::query()->where('step', 'prepare.A1')->firstOrFail()->readings)->toBe(['length' => 266.7]);
});

it('changes nothing when the same entry comes twice', function () {
    $job = $this->released();
    $entry = $this->entry('prepare.A1', ['length' => '10 in'], id: Str::uuid()->toString());
    $this->log($job, $entry)->assertCreated();
    $this->log($job, $entry)->assertCreated()->assertJsonPath('stepsDone', 1);
    $this->log($job, [...$entry, 'readings' => ['length' => '99 in']], $this->entry('prepare.A2'))
        ->assertCreated()
        ->assertJsonPath('stepsDone', 2);
    expect($this->entries($job))->toBe(2)
        ->and(LogEntry::query()->findOrFail($entry['id'])->readings)->toBe(['length' => 254]);
});

it('stores nothing of a batch that has something wrong in it', function (array $bad, string $place) {
    $job = $this->released();
    $this->log($job, $this->entry('prepare.A1'), [...$this->entry('weld.AJ2'), ...$bad])
        ->assertUnprocessable()
        ->assertJsonValidationErrors([$place]);
    expect($this->entries($job))->toBe(0);
})->with([
    'a step that is not in the plan' => [['step' => 'weld.AJ99'], 'entries.1.step'],
    'a reading that is none' => [['readings' => ['amps' => 'plenty']], 'entries.1.readings.amps'],
    'a reading the step does not ask for' => [['readings' => ['oxygen' => '50']], 'entries.1.readings.oxygen'],
    'an id that is none' => [['id' => 'first'], 'entries.1.id'],
    'a kind that is none' => [['kind' => 'deleted'], 'entries.1.kind'],
    'no time' => [['at' => 'yesterday-ish'], 'entries.1.at'],
]);

it('has nothing to log against before a release', function () {
    $job = $this->downpipe();
    $this->log($job, $this->entry('prepare.A1'))->assertUnprocessable();
});

it('reopens by a new entry and keeps the old', function () {
    $job = $this->released();
    $this->log($job, $this->entry('weld.AJ2', ['amps' => '55']));
    $this->log($job, $this->entry('weld.AJ2', kind: 'reopen', note: 'pinhole at 4 o’clock'))
        ->assertJsonPath('jointsDone', 0)
        ->assertJsonCount(2, 'log');
    $this->log($job, $this->entry('weld.AJ2', ['amps' => '60']))
        ->assertJsonPath('jointsDone', 1)
        ->assertJsonCount(3, 'log');
});

it('says what went otherwise than planned', function () {
    $this->log(
        $this->released(),
        $this->entry('weld.AJ2', ['amps' => '90']),
        $this->entry('purge.AJ2', ['oxygen' => '2000 ppm']),
    )
        ->assertJsonPath(
            'deviations.0.what',
            'Oxygen at the vent: 2000 ppm, above 1000 ppm where welding stops; look at the root.',
        )
        ->assertJsonPath('deviations.1.what', 'Amps used: 90 A, planned 50 A.');
});

it('is append-only in the database itself', function () {
    $job = $this->released();
    $this->log($job, $this->entry('prepare.A1'));
    expect(fn () => DB::transaction(fn () => DB::table('log_entries')->update(['note' => 'nicer'])))
        ->toThrow(QueryException::class, 'append-only')
        ->and(fn () => DB::transaction(fn () => DB::table('log_entries')->delete()))
        ->toThrow(QueryException::class, 'append-only');
});

it('goes on with the old log after the next revision is released', function () {
    $this->signIn(Role::Owner);
    $job = $this->released();
    $this->log($job, $this->entry('prepare.A1'));
    $this->post("/jobs/$job->id/revise");
    $this->save($job, ['job' => ['note' => 'longer tail']])->assertOk();
    $this->postJson("/jobs/$job->id/release", ['version' => 2])->assertOk();
    $this->log($job, $this->entry('prepare.A2'))->assertCreated()->assertJsonPath('stepsDone', 2);
    expect(LogEntry::query()->orderBy('position')->get()->pluck('revision_id')->unique())->toHaveCount(2);
});

it('is closed to who only looks', function () {
    $job = $this->released();
    $this->signIn(Role::Viewer);
    $this->log($job, $this->entry('prepare.A1'))->assertForbidden();
});

it('refuses by rule what the published schema of a batch refuses', function (array $bad) {
    $job = $this->released();
    $good = ['units' => 'inch', 'entries' => [$this->entry('prepare.A1', ['length' => '10 in'])]];
    $spoilt = array_replace_recursive($good, $bad);
    expect(Schemas::wrong($good, 'LogBatch'))->toBe('')->and(Schemas::wrong($spoilt, 'LogBatch'))->not->toBe('');
    $this->postJson("/jobs/$job->id/log", $spoilt)->assertUnprocessable();
    $this->postJson("/jobs/$job->id/log", $good)->assertCreated();
})->with([
    'units of another system' => [['units' => 'cubit']],
    'an id that is none' => [['entries' => [['id' => 'first']]]],
    'a step without a name' => [['entries' => [['step' => '']]]],
    'too long a step' => [['entries' => [['step' => str_repeat('x', 61)]]]],
    'a kind that is none' => [['entries' => [['kind' => 'deleted']]]],
    'a reading that is no text' => [['entries' => [['readings' => ['length' => 254]]]]],
    'too long a note' => [['entries' => [['note' => str_repeat('x', 2001)]]]],
]);

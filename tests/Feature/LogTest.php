<?php

declare(strict_types=1);

use App\Models\LogEntry;
use App\Models\Role;
use App\Models\User;
use App\Workshop\Drafts;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Tests\Support\Schemas;

beforeEach(fn () => $this->signIn(Role::Helper));

it('takes what was done and what was really used, in the units it was written in', function () {
    $job = $this->released();
    $this->log(
        $job,
        $this->entry('prepare.A1', ['length' => '251.5 mm']),
        $this->entry('weld.AJ2', ['amps' => '62', 'flow' => '13 l/min', 'seconds' => '3 min']),
    )
        ->assertOk()
        ->assertJsonPath('progress.stepsDone', 2)
        ->assertJsonPath('progress.jointsDone', 1)
        ->assertJsonPath(
            'progress.readings',
            fn (array $readings): bool => $readings['weld.AJ2']['amps'] === '62 A' &&
                $readings['prepare.A1']['length'] === '9.902 in',
        );
    expect(LogEntry::query()->where('step', 'prepare.A1')->firstOrFail()->readings)->toBe(['length' => 251.5]);
});

it('asks about a piece that is not cut as planned, and tells what it does among the departures', function () {
    $job = $this->released();
    $short = $this->entry('prepare.A1', ['length' => '9 in']);
    $this->log($job, $short)
        ->assertJsonPath('results.0.state', 'refused')
        ->assertJsonPath('results.0.field', 'why')
        ->assertJsonPath('results.0.reason', fn (string $said): bool => str_contains($said, '9 in, planned 9 29/32 in'));
    $progress = $this->log($job, [...$short, 'why' => 'the stop slipped'])
        ->assertJsonPath('results.0.state', 'stored')
        ->assertJsonPath('progress.wrong.0.mark', 'A1')
        ->json('progress');
    expect($progress['deviations'][0]['what'])->toContain('too short')->toContain('far end')
        ->and($progress['deviations'][1]['what'])->toBe('Went on anyway: the stop slipped');
    // A length within what the tape shows is as planned.
    $this->log($job, $this->entry('prepare.A2', ['length' => '15 19/32 in']))->assertJsonPath('results.0.state', 'stored');
});

it('tells a bench that stays open what others logged meanwhile, and nothing where it knows all of it', function () {
    $job = $this->released();
    $position = $this->log($job, $this->entry('prepare.A1'))->json('progress.position');
    $ask = fn (int $after, int $revision = 1) => $this->getJson("/jobs/$job->id/standing?revision=$revision&after=$after")->assertOk();
    $ask($position)->assertJsonPath('progress', null);
    $ask(0)->assertJsonPath('progress.done', ['prepare.A1'])
        ->assertJsonPath('progress.closed', fn (array $closed): bool => $closed['prepare.A1']['by'] === User::query()->firstOrFail()->name);
    // A bench that shows another release has to be opened anew.
    $ask($position, 2)->assertJsonPath('progress.revision', 1);
    $this->getJson("/jobs/$job->id/standing?after=-1")->assertUnprocessable()->assertJsonValidationErrors(['revision', 'after']);
});

it('keeps the newest notes with their step, however the log is read', function () {
    $job = $this->released();
    foreach (['one', 'two', 'three', 'four'] as $note) {
        $this->log($job, [...$this->entry('prepare.A1'), 'kind' => 'note', 'note' => $note]);
    }
    $notes = fn (): array => array_column($this->log($job, $this->entry('prepare.A2'))->json('progress.notes')['prepare.A1'], 'text');
    expect($notes())->toBe(['two', 'three', 'four']);
    Illuminate\Support\Facades\Cache::flush();
    expect($notes())->toBe(['two', 'three', 'four']);
});

it('changes nothing when the same entry comes twice', function () {
    $job = $this->released();
    $entry = $this->entry('prepare.A1', ['length' => '252 mm'], id: Str::uuid()->toString());
    $this->log($job, $entry)->assertJsonPath('results.0.state', 'stored');
    $this->log($job, $entry)->assertJsonPath('results.0.state', 'known')->assertJsonPath('progress.stepsDone', 1);
    $this->log($job, [...$entry, 'readings' => ['length' => '252.2 mm']], $this->entry('prepare.A2'))
        ->assertJsonPath('results.*.state', ['known', 'stored'])
        ->assertJsonPath('progress.stepsDone', 2);
    expect($this->entries($job))->toBe(2)
        ->and(LogEntry::query()->findOrFail($entry['id'])->readings)->toBe(['length' => 252]);
});

it('stores what is right and says of what is wrong why, entry by entry', function (array $bad, string $field, string $reason) {
    $job = $this->released();
    $first = $this->entry('prepare.A1', ['length' => '252 mm']);
    $wrong = [...$this->entry('weld.AJ2'), ...$bad];
    $answer = $this->log($job, $wrong, $first, $this->entry('prepare.A2'))->assertOk();
    $answer->assertJsonPath('results.*.state', ['refused', 'stored', 'stored'])
        ->assertJsonPath('results.0.field', $field)
        ->assertJsonPath('results.1.id', $first['id']);
    expect($answer->json('results.0.reason'))->toContain($reason)->and($this->entries($job))->toBe(2);
})->with([
    'a length that is none' => [['step' => 'prepare.A1', 'readings' => ['length' => 'about a foot']], 'readings.length', 'about a foot'],
    'a step that is not in the plan' => [['step' => 'weld.AJ99'], 'step', 'no step "weld.AJ99"'],
    'a reading that is none' => [['readings' => ['amps' => 'plenty']], 'readings.amps', 'plenty'],
    'a reading the step does not ask for' => [['readings' => ['oxygen' => '50']], 'readings.oxygen', 'no reading called'],
    'readings that are no object' => [['readings' => 'many'], 'readings', 'must be an object'],
    'an id that is none' => [['id' => 'first'], 'id', 'UUID'],
    'no id' => [['id' => null], 'id', 'is missing'],
    'a kind that is none' => [['kind' => 'deleted'], 'kind', 'done, correct, reopen, note'],
    'no kind' => [['kind' => null], 'kind', 'is missing'],
    'no time' => [['at' => 'yesterday-ish'], 'at', 'such as'],
    'a time that counts from now' => [['at' => '+300000 years'], 'at', 'such as'],
    'a time long past' => [['at' => '2019-01-01T00:00:00Z'], 'at', 'within a year'],
    'a time to come' => [['at' => '9999-12-31T00:00:00Z'], 'at', 'within a year'],
    'a note longer than can be kept' => [['note' => str_repeat('x', 2001)], 'note', '2000 letters'],
    'a note with a sign that cannot be kept' => [['note' => "pin\0hole"], 'note', 'cannot be printed'],
    'somebody else’s entry' => [['by' => 999_999], 'by', 'when its maker signs in'],
    'a release that is none' => [['revision' => 7], 'revision', 'not released'],
    'a release that is no number' => [['revision' => ['1']], 'revision', 'not released'],
]);

it('answers what is no entry at all', function (mixed $entry) {
    $job = $this->released();
    $this->postJson("/jobs/$job->id/log", ['entries' => [$entry, $this->entry('prepare.A1')]])
        ->assertOk()
        ->assertJsonPath('results.*.state', ['refused', 'stored']);
})->with(['a text' => ['weld it'], 'nothing' => [null], 'a list' => [[1, 2]], 'an empty object' => [(object) []]]);

it('takes a batch of up to 200, and no more at once', function () {
    $job = $this->released();
    $many = fn (int $count): array => array_map(fn (): array => $this->entry('prepare.A1', kind: 'note', note: 'x'), range(1, $count));
    $this->log($job, ...$many(201))->assertUnprocessable();
    $this->log($job, ...$many(200))->assertOk();
    expect($this->entries($job))->toBe(200);
    $this->postJson("/jobs/$job->id/log", ['entries' => []])->assertUnprocessable();
    $this->postJson("/jobs/$job->id/log", ['entries' => ['a' => 1]])->assertUnprocessable();
});

it('keeps every character of a note', function (string $note) {
    $job = $this->released();
    $entry = $this->entry('prepare.A1', note: $note);
    $this->log($job, $entry)->assertJsonPath('progress.log.0.note', $note);
    expect(LogEntry::query()->findOrFail($entry['id'])->note)->toBe($note);
})->with([
    'spaces round it' => ['  two before, two after  '],
    'lines and a tab' => ["one\ntwo\tthree\n"],
    'marks outside the first plane' => ['🔥 4 o’clock — ﬁxed ½″'],
    'markup' => ['<b onload=x>&amp;</b>'],
    '2000 characters' => [str_repeat('ü', 2000)],
    'spaces alone' => ['   '],
]);

it('refuses an id that another job, another step or another person has used', function () {
    $job = $this->released();
    $document = $this->document($job);
    $document['job']['number'] = 'TB-0777';
    $second = $this->app->make(Drafts::class)->begin(JobReader::fromDecoded($document)->job);
    $this->app->make(Drafts::class)->release($second->load('revisions'), 1, User::factory()->as(Role::Owner)->create());
    $entry = $this->entry('prepare.A1');
    $this->log($job, $entry)->assertJsonPath('results.0.state', 'stored');
    $this->log($second, $entry)->assertJsonPath('results.0.state', 'refused')->assertJsonPath('results.0.field', 'id');
    $this->log($job, [...$entry, 'step' => 'prepare.A2'])->assertJsonPath('results.0.state', 'refused');
    $this->signIn(Role::Helper);
    $this->log($job, [...$entry, 'by' => auth()->id()])->assertJsonPath('results.0.state', 'refused');
    expect($this->entries($job))->toBe(1)->and($this->entries($second))->toBe(0);
});

it('has nothing to log against before a release', function () {
    $job = $this->downpipe();
    $this->log($job, $this->entry('prepare.A1'))->assertOk()->assertJsonPath('results.0.field', 'revision');
    expect($this->entries($job))->toBe(0);
});

it('reopens by a new entry and keeps the old', function () {
    $job = $this->released();
    $this->log($job, $this->entry('weld.AJ2', ['amps' => '55']));
    $this->log($job, $this->entry('weld.AJ2', kind: 'reopen', note: 'pinhole at 4 o’clock'))
        ->assertJsonPath('progress.jointsDone', 0)
        ->assertJsonCount(2, 'progress.log');
    $this->log($job, $this->entry('weld.AJ2', ['amps' => '60']))
        ->assertJsonPath('progress.jointsDone', 1)
        ->assertJsonCount(3, 'progress.log');
});

it('says what went otherwise than planned', function () {
    $deviations = $this->log(
        $this->released(),
        $this->entry('weld.AJ2', ['amps' => '90']),
        [...$this->entry('purge.AJ2', ['oxygen' => '2000 ppm']), 'why' => 'the meter was left in the wind'],
    )->json('progress.deviations');
    expect(array_map(static fn (array $one): string => "{$one['step']} {$one['what']}", $deviations))->toBe([
        'purge.AJ2 Oxygen at the vent: 2000 ppm, at most 200 ppm.',
        'purge.AJ2 Not done before it: Let AB1 cool.',
        'purge.AJ2 Not done before it: Tack run A all round.',
        'purge.AJ2 Above 1000 ppm, where welding stops: look at the root.',
        'purge.AJ2 Went on anyway: the meter was left in the wind',
        'weld.AJ2 Amps used: 90 A, planned 50 A.',
    ]);
});

it('asks for a reason where a limit is passed, keeps it, and keeps nothing without one', function () {
    $job = $this->released();
    $hot = $this->entry('cool.AJ2', ['temperature' => '80 °C']);
    $this->log($job, $hot)->assertJsonPath('results.0.state', 'refused')->assertJsonPath('results.0.field', 'why');
    expect($this->entries($job))->toBe(0);
    $this->log($job, [...$hot, 'why' => 'only a torch goes there'])->assertJsonPath('results.0.state', 'stored')
        ->assertJsonPath('progress.log.0.why', 'only a torch goes there');
    $trial = $this->entry('trial.A', ['gap' => '0', 'angle' => '0']);
    $this->log($job, $trial)->assertJsonPath('results.0.field', 'why');
    $this->log($job, [...$trial, 'why' => 'the vehicle is away'])->assertJsonPath('results.0.state', 'stored');
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
    // What was made on the first release while there was no network still counts for that one.
    $this->log($job, $this->entry('prepare.A2'), [...$this->entry('prepare.A3'), 'revision' => 2])
        ->assertOk()
        ->assertJsonPath('progress.stepsDone', 3);
    expect(LogEntry::query()->orderBy('position')->get()->pluck('revision_id')->unique())->toHaveCount(2);
});

it('is closed to who only looks', function () {
    $job = $this->released();
    $this->signIn(Role::Viewer);
    $this->log($job, $this->entry('prepare.A1'))->assertForbidden();
});

it('refuses by rule what the published schema of an entry refuses', function (array $bad) {
    $job = $this->released();
    $good = $this->entry('prepare.A1', ['length' => '252 mm']);
    $spoilt = array_replace_recursive($good, $bad);
    expect(Schemas::wrong(['entries' => [$good]], 'LogBatch'))->toBe('')
        ->and(Schemas::wrong(['entries' => [$spoilt]], 'LogBatch'))->not->toBe('');
    $this->log($job, $spoilt)->assertJsonPath('results.0.state', 'refused');
    $this->log($job, $good)->assertJsonPath('results.0.state', 'stored');
})->with([
    'units of another system' => [['units' => 'cubit']],
    'an id that is none' => [['id' => 'first']],
    'a step without a name' => [['step' => '']],
    'too long a step' => [['step' => str_repeat('x', 61)]],
    'a kind that is none' => [['kind' => 'deleted']],
    'a reading that is no text' => [['readings' => ['length' => 254]]],
    'too long a note' => [['note' => str_repeat('x', 2001)]],
    'a note that is none' => [['note' => 7]],
    'nobody who made it' => [['by' => 'wren']],
    'no release' => [['revision' => 0]],
]);

it('gives the log a page at a time, and all of it as a table', function () {
    $job = $this->released();
    $notes = array_map(fn (int $n): array => $this->entry('prepare.A1', kind: 'note', note: "note $n"), range(1, 150));
    $notes[149]['note'] = '=1+1';
    $answer = $this->log($job, ...$notes)->json('progress');
    expect($answer['log'])->toHaveCount(40)->and($answer['earlier'])->toBe(110);
    $notes = array_column($answer['log'], 'note');
    for ($page = ['lines' => $answer['log'], 'earlier' => 110]; $page['earlier'] > 0;) {
        $before = $page['lines'][0]['position'];
        $page = $this->getJson("/jobs/$job->id/log?before=$before")->assertOk()->json();
        array_unshift($notes, ...array_column($page['lines'], 'note'));
    }
    expect($notes)->toBe([...array_map(static fn (int $n): string => "note $n", range(1, 149)), '=1+1']);
    $table = array_map(
        static fn (string $line): array => str_getcsv($line, escape: ''),
        explode("\n", trim($this->get("/jobs/$job->id/log.csv")->assertOk()->streamedContent())),
    );
    expect($table)->toHaveCount(151)
        ->and($table[1][5])->toBe('note 1')
        // Not a sum for a spreadsheet to work out.
        ->and($table[150][5])->toBe("'=1+1");
});

it('knows where a job stands however long its log is', function () {
    $job = $this->released();
    $this->log($job, $this->entry('weld.AJ2', ['amps' => '55', 'flow' => '13 l/min']));
    $this->log($job, ...array_map(fn (int $n): array => $this->entry('weld.AJ2', kind: 'note', note: "n$n"), range(1, 150)));
    $this->log($job, $this->entry('weld.AJ2', ['amps' => '52'], kind: 'correct'))
        ->assertJsonPath('progress.done', ['weld.AJ2'])
        ->assertJsonPath('progress.readings', fn (array $read): bool => $read['weld.AJ2']['amps'] === '52 A' && isset($read['weld.AJ2']['flow']));
    $this->log($job, $this->entry('weld.AJ2', kind: 'reopen'))->assertJsonPath('progress.done', []);
});

it('refuses what is no place in the log', function (string $before) {
    $job = $this->released();
    $this->getJson("/jobs/$job->id/log?before=$before")->assertUnprocessable();
})->with(['x', '-1', '99999999999999999999', '1.5']);

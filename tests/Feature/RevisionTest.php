<?php

declare(strict_types=1);

use App\Models\Job;
use App\Models\Role;
use App\Models\StoreEntry;
use App\Models\StoreItem;
use App\Stores\StoresBook;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Base\Units\UnitSystem;

beforeEach(fn () => $this->signIn(Role::Owner));

/** The draft with the first leg of its run longer, and its start as much farther off, so that it stays closed. */
function farther(TestCase $test, Job $job, float $mm, int $version = 1): TestResponse
{
    $document = $test->document($job);
    $start = $document['runs'][0]['start'];
    $along = array_map(floatval(...), $start['direction']);
    $length = sqrt(array_sum(array_map(static fn (float $one): float => $one ** 2, $along)));
    $document['runs'][0]['start']['at'] = array_map(
        static fn (string|float $at, float $part): float => lengthMm($at) - $mm * $part / $length,
        $start['at'],
        $along,
    );
    $document['runs'][0]['route']['bends'][0]['straight'] = lengthMm($document['runs'][0]['route']['bends'][0]['straight']) + $mm;

    $document['runs'][0]['fittings'][0]['station'] = lengthMm($document['runs'][0]['fittings'][0]['station']) + $mm;

    return $test->putJson("/jobs/$job->id/draft", ['version' => $version, 'document' => $document]);
}

function lengthMm(string|float $text): float
{
    return Length::parse((string) $text, UnitSystem::Metric)->mm;
}

/** @return list<string> ids of the steps that are done */
function doneAt(TestCase $test, Job $job): array
{
    return $test->shownAt("/jobs/$job->id/bench")['job']['bench']['done'];
}

it('says in the draft which pieces that are made no longer fit, and takes that back with the edit', function () {
    $job = $this->released();
    $this->log($job, $this->entry('prepare.A1'), $this->entry('prepare.A2'), $this->entry('tack.AJ3'))->assertOk();
    $this->postJson("/jobs/$job->id/revise")->assertOk();
    expect($this->shownAt("/jobs/$job->id/route")['job']['made'])->toBeNull();

    $made = farther($this, $job, 40.0)->assertOk()->json('made');
    expect(array_column($made['pieces'], 'mark'))->toBe(['A1'])
        ->and($made['pieces'][0]['revision'])->toBe(1)
        ->and($made['pieces'][0]['lines'][0])->toContain('A1 is cut already')->toContain('length')
        ->and($made['cost'])->toBeGreaterThan(0);
    // As it stands on every screen of the draft, and no longer ticked as cut.
    expect($this->shownAt("/jobs/$job->id/cut")['job']['made'])->toEqual($made)
        ->and(array_keys($this->getJson("/jobs/$job->id/cutting")->json('cut')))->toBe(['A2']);
    expect(farther($this, $job, -40.0, 2)->assertOk()->json('made'))->toBeNull();
});

it('has the bench begin again with what no longer fits, once it is released', function () {
    $job = $this->released();
    $this->log($job, $this->entry('prepare.A1'), $this->entry('prepare.A2'), $this->entry('tack.AJ3'))->assertOk();
    $this->postJson("/jobs/$job->id/revise")->assertOk();
    farther($this, $job, 40.0)->assertOk();
    // Until then the release that is being built stands.
    expect(doneAt($this, $job))->toContain('prepare.A1');
    $this->postJson("/jobs/$job->id/release", ['version' => 2])->assertOk();

    $bench = $this->shownAt("/jobs/$job->id/bench")['job']['bench'];
    $step = array_column($bench['steps'], null, 'id')['prepare.A1'];
    expect($bench['done'])->toContain('prepare.A2')->not->toContain('prepare.A1')
        ->and($bench['next'])->toBe('prepare.A1')
        ->and($step['do'][0])->toContain('A1 is cut already')
        ->and(array_column($bench['made']['pieces'], 'mark'))->toBe(['A1']);

    $again = [...$this->entry('prepare.A1'), 'revision' => 2];
    $answer = $this->log($job, $again)->assertOk()->json();
    expect($answer['results'][0]['state'])->toBe('stored')
        ->and($answer['progress']['done'])->toContain('prepare.A1')
        ->and($answer['progress']['made'])->toBeNull();
});

it('looks a draft over before it is released: what changes, what was made, what it takes, what is open', function () {
    $job = $this->released();
    $this->log($job, $this->entry('prepare.A1'))->assertOk();
    $this->postJson("/jobs/$job->id/revise")->assertOk();
    farther($this, $job, 40.0)->assertOk();
    $seen = $this->getJson("/jobs/$job->id/look-over")->assertOk()->json();
    expect($seen['number'])->toBe(2)
        ->and($seen['since'])->toBe(1)
        ->and($seen['document'])->toBe(['Run A: where it begins, way, bungs and brackets.'])
        ->and($seen['pieces'][0]['run'])->toBe('A')
        ->and($seen['pieces'][0]['lines'][0])->toStartWith('A1: length')
        ->and($seen['made']['pieces'][0]['mark'])->toBe('A1')
        ->and($seen['goods'])->not->toBeEmpty()
        ->and($seen['problems'])->toBe([]);
    // Of a first revision there is nothing to compare.
    Job::query()->whereKey($job->id)->update(['number' => 'TB-0001']);
    $other = $this->downpipe();
    $first = $this->getJson("/jobs/{$other->id}/look-over")->assertOk()->json();
    expect($first['since'])->toBeNull()->and($first['pieces'])->toBe([])->and($first['made'])->toBeNull();
});

it('writes off the stock of a lost piece, so that the next release is promised another', function () {
    $job = $this->downpipe();
    foreach ($this->getJson("/jobs/$job->id/cutting")->json('shopping.rows') as $row) {
        if (in_array($row['kind'], ['tube', 'bend', 'elbow'], true)) {
            $this->postJson('/stores/items', ['key' => $row['key'], 'count' => '9'])->assertOk();
        }
    }
    $this->postJson("/jobs/$job->id/release", ['version' => 1])->assertOk();
    $opened = $this->getJson("/jobs/$job->id/cutting")->json('opened');
    $stock = array_values(array_filter($opened, static fn (array $one): bool => in_array('A1', $one['marks'], true)))[0];
    $item = StoreItem::query()->where('key', $stock['stock'])->firstOrFail();
    foreach ($stock['marks'] as $mark) {
        $this->log($job, $this->entry("prepare.$mark"))->assertOk();
    }
    $before = $item->refresh()->on_hand;
    $this->postJson("/jobs/$job->id/revise")->assertOk();
    farther($this, $job, 60.0)->assertOk();
    $this->postJson("/jobs/$job->id/release", ['version' => 2])->assertOk();

    $lost = array_column($this->shownAt("/jobs/$job->id/bench")['job']['made']['pieces'], 'isLost', 'mark');
    expect($lost['A1'])->toBeTrue()
        // It stays out of the stores …
        ->and($item->refresh()->on_hand)->toBe($before)
        ->and(app(StoresBook::class)->issued($job))->not->toHaveKey($stock['key'])
        ->and(StoreEntry::query()->where('item_id', $item->id)->orderByDesc('position')->firstOrFail()->note)->toBe('A1 does not fit any more');
    expect($this->getJson("/stores/items/$item->id/entries")->assertOk()->json('entries.0.kind'))->toBe('written off');
    // … and as much is kept for the job as its new plan wants.
    $cutting = $this->getJson("/jobs/$job->id/cutting")->json();
    $rows = array_column($cutting['shopping']['rows'], null, 'key');
    expect($rows[$item->key]['fromStores'])->toBe($rows[$item->key]['needed']);
    $of = array_values(array_filter($cutting['opened'], static fn (array $one): bool => in_array('A1', $one['marks'], true)))[0];
    $new = StoreItem::query()->where('key', $of['stock'])->firstOrFail();
    $there = $new->on_hand;
    $again = ['id' => Str::uuid()->toString(), 'mark' => 'A1', 'length' => '', 'units' => 'inch', 'undo' => false];
    $this->postJson("/jobs/$job->id/cutting", $again)->assertOk();
    expect($new->refresh()->on_hand)->toBe($there - 1.0);
});

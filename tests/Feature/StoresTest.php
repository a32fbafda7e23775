<?php

declare(strict_types=1);

use App\Models\Job;
use App\Models\Role;
use App\Models\StoreEntry;
use App\Models\StoreItem;
use App\Stores\NoneLeft;
use App\Stores\StoresBook;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Inertia\Testing\AssertableInertia as Page;
use Tests\TestCase;
use UpsweptBead\Core\Account\Stores\ItemKind;
use UpsweptBead\Core\Account\Stores\Need;

/** @param  array<string, mixed>  $more */
function stored(TestCase $test, string $key, string $count, array $more = []): StoreItem
{
    $test->postJson('/stores/items', ['key' => $key, 'count' => $count, ...$more])->assertOk();

    return StoreItem::query()->where('key', $key)->firstOrFail();
}

/** @return array<string, string> */
function move(string $kind, string $quantity, string $note = ''): array
{
    return ['id' => Str::uuid()->toString(), 'kind' => $kind, 'quantity' => $quantity, 'note' => $note];
}

/** All that this job needs, put on the shelf. */
function stockUp(TestCase $test, Job $job): void
{
    foreach ($test->getJson("/jobs/$job->id/cutting")->json('shopping.rows') as $row) {
        if (in_array($row['kind'], ['tube', 'bend', 'elbow'], true)) {
            stored($test, $row['key'], (string) (int) $row['needed']);
        }
    }
}

beforeEach(fn () => $this->signIn(Role::Owner));

it('knows tube and bends by the catalogue, and parts by what they are called', function () {
    expect(stored($this, 'T3.000x.065', '3')->name)->toContain('3 in')
        ->and(stored($this, 'B3.000x.065-R4.5-90', '2')->kind)->toBe(ItemKind::Bend)
        ->and(stored($this, 'cup-12', '4', ['kind' => 'disc', 'name' => 'Cup 12'])->on_hand)->toBe(4.0);
    $this->postJson('/stores/items', ['key' => 'T9', 'count' => '1'])->assertUnprocessable()
        ->assertJsonPath('errors.key.0', '"T9" is in no catalogue and not in the stores; a new part needs a kind (flange, band, bung, part, wire, gas, disc, blade) and a name');
});

it('changes a quantity by entries only, each of them once, and shows who made them', function () {
    $item = stored($this, 'T3.000x.065', '3');
    $received = move('received', '4', 'Order 17');
    $this->postJson("/stores/items/$item->id/entries", $received)->assertOk()->assertJsonPath('item.onHand', 7);
    $this->postJson("/stores/items/$item->id/entries", $received)->assertOk()->assertJsonPath('item.onHand', 7);
    $this->postJson("/stores/items/$item->id/entries", move('counted', '6'))->assertOk()->assertJsonPath('item.onHand', 6);
    $entries = $this->getJson("/stores/items/$item->id/entries")->assertOk()->json('entries');
    expect(array_column($entries, 'quantity'))->toEqual([-1, 4, 3])
        ->and($entries[1]['note'])->toBe('Order 17')
        ->and($entries[0]['by'])->not->toBe('');
    expect(fn () => DB::transaction(fn () => DB::table('store_entries')->update(['quantity' => 9])))->toThrow(QueryException::class, 'append-only')
        ->and(fn () => DB::transaction(fn () => DB::table('store_entries')->delete()))->toThrow(QueryException::class, 'append-only');
});

it('refuses what is no quantity, at its field', function (string $kind, string $quantity, string $why) {
    $item = stored($this, 'T3.000x.065', '3');
    $this->postJson("/stores/items/$item->id/entries", move($kind, $quantity))->assertUnprocessable()
        ->assertJsonPath('errors.quantity.0', fn (string $said): bool => str_contains($said, $why));
    expect($item->refresh()->on_hand)->toBe(3.0);
})->with([
    ['counted', '-1', '"-1"'],
    ['received', '0', 'more than 0'],
    ['received', '1.5', 'whole number'],
    ['received', 'some', '"some"'],
    ['received', '1e9', '"1e9"'],
]);

it('reads a whole count from a table, all of it or nothing', function () {
    $this->postJson('/stores/counts', ['csv' => "item,count\nT3.000x.065,3\nT2.500x.065,-1"])->assertOk()
        ->assertJsonPath('counted', 0)
        ->assertJsonPath('rejected.0.line', 3);
    expect(StoreItem::query()->count())->toBe(0);
    $this->postJson('/stores/counts', ['csv' => "item,count,place\nT3.000x.065,3,Rack A\nT2.500x.065,1,"])->assertOk()
        ->assertJsonPath('counted', 2);
    $this->postJson('/stores/counts', ['csv' => 'T3.000x.065,5'])->assertOk();
    expect(StoreItem::query()->where('key', 'T3.000x.065')->firstOrFail())->on_hand->toBe(5.0)->location->toBe('Rack A')
        ->and(StoreEntry::query()->count())->toBe(3);
    $this->postJson('/stores/counts', ['csv' => str_repeat('x', 1_000_001)])->assertUnprocessable()
        ->assertJsonPath('errors.csv.0', 'This is 1000001 bytes long; at most 1000000 are read.');
});

it('gives out its count in the form it reads', function () {
    stored($this, 'T3.000x.065', '3', ['location' => 'Rack A', 'cost' => '58', 'reorderAt' => '1', 'reorderTo' => '4']);
    stored($this, 'cup', '2', ['kind' => 'disc', 'name' => '=HYPERLINK("x")']);
    $csv = $this->get('/stores/stores.csv')->streamedContent();
    expect($csv)->toContain("\"'=HYPERLINK");
    $this->postJson('/stores/counts', ['csv' => $csv])->assertOk()->assertJsonPath('rejected', []);
    expect(StoreEntry::query()->count())->toBe(2, 'the same count makes no entries');
});

it('says what has run low, promises counted as gone', function () {
    $item = stored($this, 'T3.000x.065', '3', ['reorderAt' => '2', 'reorderTo' => '6', 'cost' => '58']);
    expect($this->get('/stores/reorder.csv')->streamedContent())->not->toContain('T3.000x.065');
    app(StoresBook::class)->promise($this->downpipe(), [new Need('T3.000x.065', ItemKind::Tube, '', 2.0)]);
    expect($this->get('/stores/reorder.csv')->streamedContent())->toContain('T3.000x.065')->toContain(',5,sticks,58');
    $this->putJson("/stores/items/$item->id", ['location' => 'B', 'cost' => '', 'reorderAt' => '0', 'reorderTo' => ''])->assertOk()
        ->assertJsonPath('item.toReorder', 0)->assertJsonPath('item.cost', null);
    $this->putJson("/stores/items/$item->id", ['location' => 'B', 'cost' => 'dear', 'reorderAt' => '', 'reorderTo' => ''])->assertUnprocessable()
        ->assertJsonPath('errors.cost.0', fn (string $said): bool => str_contains($said, '"dear" as its price'));
});

it('promises a release what it needs, and tells the next one who has it', function () {
    $job = $this->downpipe();
    stockUp($this, $job);
    $this->getJson("/jobs/$job->id/cutting")->assertJsonPath('shopping.stockToBuy', 0)->assertJsonPath('released', false);
    $this->postJson("/jobs/$job->id/release", ['version' => 1])->assertOk();
    $this->getJson("/jobs/$job->id/cutting")->assertJsonPath('shopping.stockToBuy', 0)->assertJsonPath('released', true);
    $other = Job::query()->create(['number' => 'XX-1', 'title' => 'Other']);
    $item = StoreItem::query()->where('kind', 'bend')->orderBy('id')->firstOrFail();
    expect(fn () => app(StoresBook::class)->issue($item, 1.0, $other, $this->signIn(Role::Owner), Str::uuid()->toString()))
        ->toThrow(NoneLeft::class, "is promised to $job->number");
    $this->postJson("/stores/items/$item->id/entries", [...move('issued', '1'), 'job' => 'XX-1'])->assertConflict()
        ->assertJsonPath('message', fn (string $said): bool => str_contains($said, $job->number));
    expect($item->refresh()->on_hand)->toBeGreaterThan(0.0);
});

it('keeps a release to the shelf it was planned for, whatever is taken later', function () {
    $job = $this->downpipe();
    stockUp($this, $job);
    $this->postJson("/jobs/$job->id/release", ['version' => 1])->assertOk();
    $before = $this->getJson("/jobs/$job->id/cutting")->json('opened');
    foreach (StoreItem::query()->get() as $item) {
        $this->postJson("/stores/items/$item->id/entries", move('counted', '0'))->assertOk();
    }
    $after = $this->getJson("/jobs/$job->id/cutting")->json();
    $plain = static fn (array $opened): array => array_map(static fn (array $one): array => [$one['key'], $one['marks'], $one['left']], $opened);
    expect($plain($after['opened']))->toBe($plain($before))
        ->and(array_unique(array_column($before, 'standing')))->toBe(['there'])
        ->and(array_unique(array_column($after['opened'], 'standing')))->toBe(['missing'])
        ->and($after['shopping']['stockToBuy'])->toBe(count($before));
});

it('holds all that a job may take before it takes any of it, so that two benches never wait for each other in a ring', function () {
    $job = $this->downpipe();
    stockUp($this, $job);
    $this->postJson("/jobs/$job->id/release", ['version' => 1])->assertOk();
    $marks = array_map(static fn (array $one): string => $one['marks'][0], $this->getJson("/jobs/$job->id/cutting")->json('opened'));
    $held = [];
    DB::listen(static function (QueryExecuted $query) use (&$held): void {
        if (str_contains($query->sql, 'from "store_items"') && str_contains($query->sql, 'for update')) {
            preg_match('/ in \\(([^)]*)\\)/', $query->toRawSql(), $found);
            $held[] = explode(', ', $found[1] ?? '');
        }
    });
    $this->log($job, ...array_map(fn (string $mark): array => $this->entry("prepare.$mark"), $marks))->assertOk();
    expect(count($held))->toBeGreaterThan(2);
    foreach (array_slice($held, 1) as $later) {
        expect(array_diff($later, $held[0]))->toBe([]);
    }
});

it('takes stock as its first piece is cut, and shelves what is left after the last', function () {
    $job = $this->downpipe();
    stockUp($this, $job);
    $this->postJson("/jobs/$job->id/release", ['version' => 1])->assertOk();
    $before = $this->getJson("/jobs/$job->id/cutting")->json();
    $tick = fn (string $mark, bool $undo = false, string $length = '') => $this->postJson(
        "/jobs/$job->id/cutting",
        ['id' => Str::uuid()->toString(), 'mark' => $mark, 'length' => $length, 'units' => 'inch', 'undo' => $undo],
    );
    foreach ($before['opened'] as $stock) {
        $onHand = StoreItem::query()->where('key', $stock['stock'])->firstOrFail()->on_hand;
        foreach ($stock['marks'] as $mark) {
            $answer = $tick($mark)->assertOk()->json();
            expect(array_column($answer['opened'], 'standing', 'key')[$stock['key']])->toBe('taken')
                ->and(StoreItem::query()->where('key', $stock['stock'])->firstOrFail()->on_hand)->toBe($onHand - 1.0);
        }
    }
    $kept = 0;
    foreach ($before['opened'] as $stock) {
        $kept += count(array_filter(array_column($stock['left'], 'kept')));
    }
    $offcuts = StoreItem::query()->where('kind', 'offcut')->get();
    expect($kept)->toBeGreaterThan(0)
        ->and($offcuts)->toHaveCount($kept)
        ->and(DB::table('store_promises')->where('job_id', $job->id)->sum('quantity'))->toEqual(0)
        ->and($offcuts[0]->on_hand)->toBe(1.0)
        ->and($answer['shopping']['stockToBuy'])->toBe(0);
    foreach ($before['opened'][0]['marks'] as $mark) {
        $tick($mark, undo: true)->assertOk();
    }
    $first = $before['opened'][0];
    expect(array_column($this->getJson("/jobs/$job->id/cutting")->json('opened'), 'standing', 'key')[$first['key']])->toBe('there')
        ->and(StoreItem::query()->where('kind', 'offcut')->where('on_hand', '>', 0)->count())
        ->toBe($kept - count(array_filter(array_column($first['left'], 'kept'))));
});

it('plans a revision from the stock its pieces were cut of already, and takes nothing twice', function () {
    $job = $this->downpipe();
    stockUp($this, $job);
    $this->postJson("/jobs/$job->id/release", ['version' => 1])->assertOk();
    $before = $this->getJson("/jobs/$job->id/cutting")->json('opened');
    $cut = fn (string $mark, bool $undo = false) => $this->postJson(
        "/jobs/$job->id/cutting",
        ['id' => Str::uuid()->toString(), 'mark' => $mark, 'length' => '', 'units' => 'inch', 'undo' => $undo],
    )->assertOk();
    foreach (array_merge(...array_column($before, 'marks')) as $mark) {
        $cut($mark);
    }
    $onHand = static fn (): array => StoreItem::query()->orderBy('id')->pluck('on_hand', 'key')->all();
    $left = $onHand();
    $this->postJson("/jobs/$job->id/revise")->assertOk();
    $plain = static fn (array $opened): array => array_map(static fn (array $one): array => [$one['key'], $one['marks'], $one['left']], $opened);
    $draft = $this->getJson("/jobs/$job->id/cutting")->json();
    expect($plain($draft['opened']))->toBe($plain($before))
        ->and($draft['shopping']['stockToBuy'])->toBe(0);
    $this->postJson("/jobs/$job->id/release", ['version' => 1])->assertOk();
    $again = $this->getJson("/jobs/$job->id/cutting")->json();
    expect($plain($again['opened']))->toBe($plain($before))
        ->and(array_unique(array_column($again['opened'], 'standing')))->toBe(['taken'])
        ->and($onHand())->toBe($left)
        ->and(DB::table('store_promises')->where('job_id', $job->id)->sum('quantity'))->toEqual(0);
    $last = end($before);
    $cut($last['marks'][0], undo: true);
    $cut($last['marks'][0]);
    expect(StoreItem::query()->where('on_hand', '>', 0)->count())->toBe(count(array_filter($left)))
        ->and(StoreItem::query()->where('key', $last['stock'])->firstOrFail()->on_hand)->toBe($left[$last['stock']]);
});

it('counts a shelved rest off where more is cut of its stock, and shelves what is left then', function () {
    // Five runs whose straights come out of few sticks.
    $document = json_decode((string) file_get_contents(base_path('database/demo/rally-coupe-manifold.job.json')), true);
    $job = Job::query()->findOrFail($this->postJson('/jobs', ['document' => $document])->assertSuccessful()->json('id'));
    stockUp($this, $job);
    $this->postJson("/jobs/$job->id/release", ['version' => 1])->assertOk();
    $cut = fn (string $mark, bool $undo = false) => $this->postJson(
        "/jobs/$job->id/cutting",
        ['id' => Str::uuid()->toString(), 'mark' => $mark, 'length' => '', 'units' => 'inch', 'undo' => $undo],
    )->assertOk();
    $opened = array_values(array_filter(
        $this->getJson("/jobs/$job->id/cutting")->json('opened'),
        static fn (array $one): bool => count($one['marks']) > 1 && array_filter(array_column($one['left'], 'kept')) !== [],
    ));
    expect($opened)->not->toBe([]);
    [$stock, $marks] = [$opened[0]['stock'], $opened[0]['marks']];
    array_map($cut, $marks);
    $onHand = StoreItem::query()->where('key', $stock)->firstOrFail()->on_hand;
    $rests = static fn (): array => StoreItem::query()->where('kind', 'offcut')->where('on_hand', '>', 0)->orderBy('id')->pluck('key')->all();
    $first = $rests();
    // One piece is to be cut again, the others stay: their stock is open once more.
    $cut($marks[0], true);
    expect($rests())->toBe([])
        ->and(StoreItem::query()->where('key', $stock)->firstOrFail()->on_hand)->toBe($onHand);
    $cut($marks[0]);
    expect($rests())->toHaveCount(count($first))
        ->and(array_intersect($rests(), $first))->toBe([])
        ->and(StoreItem::query()->where('key', $stock)->firstOrFail()->on_hand)->toBe($onHand);
});

it('cuts a piece of what was taken for the job, where its plan opens that no longer', function () {
    $job = $this->downpipe();
    stockUp($this, $job);
    $this->postJson("/jobs/$job->id/release", ['version' => 1])->assertOk();
    $opened = $this->getJson("/jobs/$job->id/cutting")->json('opened.0');
    $item = StoreItem::query()->where('key', $opened['stock'])->firstOrFail();
    // An earlier revision cut it as the ninth.
    app(StoresBook::class)->issue($item, 1.0, $job, $this->signIn(Role::Owner), Str::uuid()->toString(), '', "$item->key 9");
    $left = $item->refresh()->on_hand;
    $this->postJson(
        "/jobs/$job->id/cutting",
        ['id' => Str::uuid()->toString(), 'mark' => $opened['marks'][0], 'length' => '', 'units' => 'inch', 'undo' => false],
    )->assertOk();
    expect($item->refresh()->on_hand)->toBe($left)
        ->and(array_keys(app(StoresBook::class)->issued($job)))->toBe([$opened['key']]);
});

it('cuts nothing that the stores have not, and logs nothing then', function () {
    $job = $this->released();
    $mark = $this->getJson("/jobs/$job->id/cutting")->json('opened.0.marks.0');
    $cut = ['id' => Str::uuid()->toString(), 'mark' => $mark, 'length' => '', 'units' => 'inch', 'undo' => false];
    $this->postJson("/jobs/$job->id/cutting", $cut)->assertConflict()
        ->assertJsonPath('message', fn (string $said): bool => str_contains($said, 'Receive it there first'));
    expect($this->entries($job))->toBe(0);
    $this->postJson("/jobs/$job->id/cutting", [...$cut, 'mark' => 'Z9'])->assertUnprocessable();
});

it('follows the bench: a piece that is logged there is taken too, and a wrong count stops nobody', function () {
    $job = $this->downpipe();
    stockUp($this, $job);
    $this->postJson("/jobs/$job->id/release", ['version' => 1])->assertOk();
    $opened = $this->getJson("/jobs/$job->id/cutting")->json('opened');
    $empty = StoreItem::query()->where('key', $opened[0]['stock'])->firstOrFail();
    $this->postJson("/stores/items/$empty->id/entries", move('counted', '0'))->assertOk();
    $marks = [$opened[0]['marks'][0], end($opened)['marks'][0]];
    $this->log($job, ...array_map(fn (string $mark): array => $this->entry("prepare.$mark"), $marks))->assertOk();
    $standing = array_column($this->getJson("/jobs/$job->id/cutting")->json('opened'), 'standing', 'key');
    expect($standing[$opened[0]['key']])->toBe('missing')
        ->and($standing[end($opened)['key']])->toBe('taken')
        ->and($this->entries($job))->toBe(2);
});

it('says what a wrong length does, and how to save the piece', function () {
    $job = $this->downpipe();
    stockUp($this, $job);
    $this->postJson("/jobs/$job->id/release", ['version' => 1])->assertOk();
    $mark = $this->getJson("/jobs/$job->id/cutting")->json('opened.0.marks.0');
    $cut = ['id' => Str::uuid()->toString(), 'mark' => $mark, 'length' => '2 in', 'units' => 'inch', 'undo' => false];
    $said = $this->postJson("/jobs/$job->id/cutting", $cut)->assertUnprocessable()->json('errors.why');
    expect($said[0])->toContain('too short')->toContain('say why you go on')
        ->and($said[1])->toContain('the far end of run A would lie')
        ->and(count($said))->toBeGreaterThan(2)
        ->and($this->entries($job))->toBe(0);
    $answer = $this->postJson("/jobs/$job->id/cutting", [...$cut, 'why' => 'the stop slipped'])->assertOk()->json();
    expect($answer['cut'][$mark]['length'])->toContain('2')
        ->and($answer['wrong'][0]['mark'])->toBe($mark)
        ->and($answer['wrong'][0]['off'])->toContain('too short')
        ->and($answer['wrong'][0]['farEnd'])->toContain('the far end of run A would lie')
        ->and($answer['wrong'][0]['rescues'])->not->toBeEmpty();
    $this->postJson("/jobs/$job->id/cutting", [...$cut, 'id' => Str::uuid()->toString(), 'length' => 'long'])->assertUnprocessable()
        ->assertJsonPath('errors.length.0', fn (string $said): bool => str_contains($said, '"long"'));
});

/** The group in which a job stands on the rack. */
function groupOnRack(TestCase $test, Job $job): string
{
    $group = '';
    $test->get('/')->assertInertia(function (Page $page) use (&$group, $job): void {
        $jobs = array_column($page->toArray()['props']['rack']['jobs'], null, 'number');
        $group = $jobs[$job->number]['next']['group'];
    });

    return $group;
}

it('stands on the rack as short of stock only until that has come in', function () {
    $job = $this->released();
    expect(groupOnRack($this, $job))->toBe('stock missing');
    stockUp($this, $job);
    expect(groupOnRack($this, $job))->toBe('to cut and prepare');
});

it('stands on the rack as short of stock once a release of another job was promised it', function () {
    $job = $this->released();
    stockUp($this, $job);
    expect(groupOnRack($this, $job))->toBe('to cut and prepare');
    $document = $this->document($job);
    $document['job']['number'] = 'TB-2000';
    $other = $this->postJson('/jobs', ['document' => $document])->assertSuccessful()->json('id');
    $this->postJson("/jobs/$other/release", ['version' => 1])->assertOk();
    expect(groupOnRack($this, $job))->toBe('stock missing');
});

it('prints a shopping list as a table and as a page', function () {
    $job = $this->downpipe();
    stored($this, 'T3.000x.065', '9', ['location' => 'Rack A']);
    $csv = $this->get("/jobs/$job->id/shopping.csv")->assertOk()->streamedContent();
    expect($csv)->toContain('item,name,needed')->toContain('"Rack A"')->toContain('v-band-T3.000x.065');
    $pdf = $this->get("/jobs/$job->id/shopping.pdf")->assertOk();
    expect($pdf->headers->get('Content-Type'))->toBe('application/pdf');
    $text = (new Smalot\PdfParser\Parser())->parseContent((string) $pdf->getContent())->getText();
    expect($text)->toContain('To buy')->toContain('Out of the stores')->toContain('V-band ring');
});

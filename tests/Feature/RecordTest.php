<?php

declare(strict_types=1);

use App\Models\Job;
use App\Models\LogEntry;
use App\Models\Role;
use App\Models\StoreItem;
use App\Models\User;
use App\Stores\StoresBook;
use Illuminate\Support\Str;
use Inertia\Testing\AssertableInertia as Page;
use Smalot\PdfParser\Parser;

it('prints the plan and what was really used', function () {
    $this->signIn();
    $job = $this->released();
    $this->log(
        $job,
        $this->entry('purge.AJ2', ['oxygen' => '140 ppm']),
        $this->entry('weld.AJ2', ['amps' => '57 A', 'seconds' => '200 s'], note: 'Ran clean – no colour'),
    );
    $response = $this->get("/jobs/$job->id/record.pdf")
        ->assertOk()
        ->assertHeader('Content-Type', 'application/pdf');
    $pdf = (new Parser())->parseContent((string) $response->getContent());
    $text = preg_replace('/\s+/u', ' ', $pdf->getText());
    foreach (
        [
            'TB-0412',
            'Camper-van downpipe',
            'ER308L',
            '57 A',
            '140 ppm',
            '3 min 20 s',
            '33 1/16 in',
            '124.4°',
            'Ran clean – no colour',
            '1 of 6',
        ] as $part
    ) {
        expect($text)->toContain($part);
    }
    // Fonts travel with the file.
    expect((string) $response->getContent())->toContain('/FontFile2');
});

it('loads the made-up demo shop once, with one job in the middle of its welding and one finished', function () {
    $this->artisan('bead:demo')->assertSuccessful();
    $this->artisan('bead:demo')->expectsOutput('The demo data is there already.')->assertSuccessful();
    expect(Job::query()->count())->toBe(9)
        ->and(LogEntry::query()->count())->toBeGreaterThan(20);
    $this->actingAs(User::query()->firstOrFail())
        ->get('/')
        ->assertInertia(
            fn (Page $page) => $page
                ->where('rack.jobs.0.next.group', 'ready to weld')
                ->where('rack.jobs.1.next.group', 'ready to release')
                ->where('rack.jobs.2.next.group', 'ready to release')
                ->where('rack.jobs.3.next.group', 'ready to release')
                ->where('rack.jobs.4.next.group', 'ready to release')
                ->where('rack.jobs.5.next.group', 'needs a route')
                ->where('rack.jobs.6.next.group', 'needs a route')
                ->where('rack.jobs.7.next.group', 'done')
                ->where('rack.jobs.8.next.group', 'done')
                ->has('bottles', 2)
                ->etc(),
        );
});

it('prints a page for each weld in its turn, or the one that is asked for', function () {
    $this->signIn();
    $job = $this->released();
    $pages = function (string $query) use ($job): array {
        $response = $this->get("/jobs/$job->id/joint-sheets.pdf$query")->assertOk()->assertHeader('Content-Type', 'application/pdf');

        return array_map(
            static fn ($page): string => (string) preg_replace('/\s+/u', ' ', $page->getText()),
            (new Parser())->parseContent((string) $response->getContent())->getPages(),
        );
    };
    $all = $pages('');
    expect($all)->toHaveCount(6)
        ->and($all[0])->toContain('1 of 6')->toContain('TB-0412')->toContain('Amps used')
        ->and($pages('?joint=AJ2'))->toHaveCount(1)
        ->and($pages('?joint=AJ2')[0])->toContain('AJ2')->toContain('ER308L')->toContain('Feed at');
    $this->getJson("/jobs/$job->id/joint-sheets.pdf?joint=ZJ9")->assertUnprocessable()
        ->assertJsonPath('errors.joint.0', 'The job has no welded joint "ZJ9".');
});

it('gives the whole record as an open file: planned beside read, and every entry', function () {
    $this->signIn();
    $job = $this->released();
    $this->log($job, $this->entry('purge.AJ2', ['oxygen' => '140 ppm']), $this->entry('weld.AJ2', ['amps' => '57 A'], note: 'No colour'));
    $file = $this->getJson("/jobs/$job->id/record.json")->assertOk()
        ->assertJsonPath('format', 'upswept-bead/record')
        ->assertJsonPath('job.format', 'upswept-bead/job')
        ->json();
    $joint = array_column($file['joints'], null, 'id')['AJ2'];
    expect($joint['planned']['amps'])->toEqual(50)
        ->and($joint['planned']['purge']['target'])->toEqual(200)
        ->and($joint['read'])->toEqual(['oxygen' => 140, 'amps' => 57])
        ->and($joint['welded'])->toBe(1)
        ->and($file['log'][1]['note'])->toBe('No colour')
        ->and($file['faces'])->toBe([])
        ->and($file['materials'][0]['name'])->toContain('3 in');
});

it('reads what was read the last time where a joint was cut out and done again', function () {
    $this->signIn();
    $job = $this->released();
    $redo = ['inside' => 'brown', 'outside' => 'straw', 'flaws' => ['sugar'], 'outcome' => 'redo', 'cause' => 'purge'];
    $this->log(
        $job,
        $this->entry('purge.AJ2', ['oxygen' => '190 ppm']),
        $this->entry('weld.AJ2', ['amps' => '66 A']),
        [...$this->entry('inspect.AJ2'), 'inspected' => $redo, 'why' => 'Only this joint.'],
    );
    $this->anotherRequest();
    $this->log(
        $job,
        [...$this->entry('purge.AJ2.2', ['oxygen' => '40 ppm']), 'why' => 'Only this joint.'],
        [...$this->entry('weld.AJ2.2', ['amps' => '52 A']), 'why' => 'Only this joint.'],
    );
    $this->get("/jobs/$job->id/handover")->assertInertia(static fn (Page $page): Page => $page
        ->where('job.bench.asWelded.AJ2.amps', '52 A')
        ->where('job.bench.asWelded.AJ2.oxygen', '40 ppm')
        ->where('job.bench.asWelded.AJ2.rounds', 2));
});

it('quotes a job, and counts what it cost beside that', function () {
    $this->signIn();
    $job = $this->released();
    $this->getJson("/jobs/$job->id/quote")->assertOk()->assertJsonPath('spent', null);
    $this->log(
        $job,
        [...$this->entry('prepare.A1'), 'at' => now()->subMinutes(25)->toIso8601String()],
        [...$this->entry('prepare.A2'), 'at' => now()->subMinutes(10)->toIso8601String()],
    );
    $quote = $this->getJson("/jobs/$job->id/quote")->assertOk()->json();
    $lines = array_column($quote['lines'], null, 'key');
    // 5 minutes for the first entry, 15 to the second, at 70 an hour.
    expect($lines['labour.prepare']['spent'])->toEqual(round(20 / 60 * 70, 2))
        ->and($quote['price'])->toEqualWithDelta(1.2 * $quote['cost'], 0.02)
        ->and($quote['expected'])->toEqual($quote['cost'])
        ->and($quote['unpriced'])->toContain('V-band ring for 3 in × .065');
    foreach (['quote' => 'Quote: Camper-van downpipe', 'cost' => 'Cost beside quote'] as $which => $says) {
        $pdf = (new Parser())->parseContent((string) $this->get("/jobs/$job->id/$which.pdf")->assertOk()->getContent());
        expect(preg_replace('/\s+/u', ' ', $pdf->getText()))->toContain($says)->toContain(number_format($quote['price'], 2, '.', ' '));
    }
});

it('quotes the next revision beside what the one that is built was offered for', function () {
    $this->signIn();
    $job = $this->released();
    $price = $this->getJson("/jobs/$job->id/quote")->assertJsonPath('before', null)->json('price');
    $this->log($job, $this->entry('prepare.A1'));
    $this->postJson("/jobs/$job->id/revise")->assertOk();
    $draft = $job->refresh()->load('revisions')->current();
    $document = [...$draft->document, 'prices' => ['v-band-T3.000x.065' => 44], 'outside' => [['what' => 'Coating', 'cost' => 100]]];
    $this->putJson("/jobs/$job->id/draft", ['version' => $draft->version, 'document' => $document])->assertOk();
    $quote = $this->getJson("/jobs/$job->id/quote")->assertOk()->assertJsonPath('revision', 2)
        ->assertJsonPath('before', ['revision' => 1, 'price' => $price])->json();
    expect($quote['price'] - $price)->toBeGreaterThan(170)
        // What was counted stays beside it.
        ->and(array_column($quote['lines'], 'spent', 'key')['labour.prepare'])->toBeGreaterThan(0);
});

it('counts what was taken out of the stores, also what nobody had quoted', function () {
    $owner = $this->signIn(Role::Owner);
    $job = $this->released();
    foreach ([['grinder-disc', 'disc', 'Flap disc', '3'], ['spare-ring', 'band', 'Spare ring', '20']] as [$key, $kind, $name, $cost]) {
        $this->postJson('/stores/items', ['key' => $key, 'kind' => $kind, 'name' => $name, 'count' => '5', 'cost' => $cost])->assertOk();
        $item = StoreItem::query()->where('key', $key)->firstOrFail();
        app(StoresBook::class)->issue($item, 2.0, $job, $owner, Str::uuid()->toString());
    }
    $lines = array_column($this->getJson("/jobs/$job->id/quote")->assertOk()->json('lines'), null, 'key');
    expect($lines['grinder-disc']['spent'])->toEqual(6)
        ->and($lines['spare-ring'])->toMatchArray(['what' => 'Spare ring', 'quantity' => '', 'spent' => 40]);
});

<?php

declare(strict_types=1);

use App\Models\Job;
use App\Models\StoreItem;
use App\Models\User;
use App\Workshop\Workshop;

/** The demo job of a number, with somebody who may plan. */
function demoJob(string $number): Job
{
    test()->artisan('bead:demo')->assertSuccessful();
    test()->actingAs(User::query()->where('email', 'wren@tidewater.invalid')->firstOrFail());

    return Job::query()->where('number', $number)->firstOrFail();
}

it('hands out the templates of a branch in every format, and says where there is none', function () {
    $job = demoJob('TB-0430');
    foreach (['svg' => '<?xml', 'dxf' => '  0', 'pdf' => '%PDF'] as $format => $begins) {
        foreach (['W1', 'W1-hole'] as $of) {
            $file = $this->get("/jobs/$job->id/template.$format?of=$of")->assertOk();
            expect(substr((string) $file->getContent(), 0, strlen($begins)))->toBe($begins)
                ->and($file->headers->get('Content-Disposition'))->toContain("TB-0430-$of.$format");
        }
    }
    $this->getJson("/jobs/$job->id/template.svg?of=Z9")->assertUnprocessable()->assertJsonValidationErrorFor('of');
    $pages = static fn (string $pdf): int => preg_match_all('/\/Type\s*\/Page\b/', $pdf);
    $one = (string) $this->get("/jobs/$job->id/template.pdf?of=W1-hole")->getContent();
    $tiled = (string) $this->get("/jobs/$job->id/template.pdf?of=W1-hole&paper=a4")->getContent();
    expect($pages($one))->toBe(1)->and($pages($tiled))->toBeGreaterThan(1);
});

it('says that bends have no wrap template', function () {
    $job = demoJob('TB-0428');
    $this->getJson("/jobs/$job->id/template.svg?of=L1")
        ->assertUnprocessable()
        ->assertJsonPath('errors.of.0', 'A bend cannot be unrolled: scribe it by its heights above the plate.');
});

it('saves the ends of runs where their collector stands', function () {
    $job = demoJob('TB-0421');
    $document = $this->document($job);
    $document['set']['collectors'][0]['build'] = [
        'letter' => 'K', 'make' => 'straight', 'inlets' => 4, 'tube' => 'T1.750x.065', 'at' => ['560 mm', '170 mm', '-330 mm'],
        'axis' => [0.94, 0, -0.34], 'turn' => 45,
    ];
    $saved = $this->putJson("/jobs/$job->id/draft", ['version' => 1, 'document' => $document])->assertOk();
    $ends = array_column($saved->json('document.runs'), 'end');
    expect(array_column($ends, 'name'))->toBe(['K1', 'K2', 'K3', 'K4'])
        ->and($saved->json('plan.merge.collectors.0.lack'))->toBe('');
    // Sent again as it came back, nothing moves.
    $again = $this->putJson("/jobs/$job->id/draft", ['version' => 2, 'document' => $saved->json('document')])->assertOk();
    expect($again->json('document'))->toEqual($saved->json('document'));
    $preview = $this->postJson("/jobs/$job->id/preview", ['document' => $saved->json('document')])->assertOk();
    expect($preview->json('plan.merge.collectors.0.skin.outside'))->not->toBe([]);
});

it('opens the working of a collector’s sizes and a flange’s', function () {
    $job = demoJob('TB-0428');
    foreach (['merge.L.gap' => 'twice the wall', 'merge.R.circle' => 'side by side'] as $figure => $said) {
        $why = $this->postJson("/jobs/$job->id/why", ['document' => $this->document($job), 'figure' => $figure])->assertOk();
        expect(strtolower((string) $why->json('reason.rule')))->toContain($said);
    }
});

it('cuts a flange by its DXF, reads one that was measured, and refuses a broken drawing at its field', function () {
    $job = demoJob('TB-0421');
    $dxf = (string) $this->get("/jobs/$job->id/flange.dxf?of=A.start")->assertOk()->getContent();
    expect($dxf)->toContain('OUTSIDE')->toContain('INSIDE');
    $ask = ['document' => $this->document($job), 'of' => 'B.start', 'unit' => ''];
    $changed = $this->postJson("/jobs/$job->id/survey/flange", [...$ask, 'dxf' => $dxf])->assertOk();
    expect(count($changed->json('document.runs.1.start.plate.openings')))->toBe(1);
    $this->postJson("/jobs/$job->id/survey/flange", [...$ask, 'dxf' => $dxf, 'unit' => 'inch'])
        ->assertUnprocessable()
        ->assertJsonPath('errors.dxf.0', fn (string $said): bool => str_contains($said, 'the unit is wrong'));
    $this->postJson("/jobs/$job->id/survey/flange", [...$ask, 'dxf' => 'nonsense'])->assertUnprocessable()->assertJsonValidationErrorFor('dxf');
    $this->postJson("/jobs/$job->id/survey/flange", [...$ask, 'dxf' => $dxf, 'of' => 'Q.start'])->assertUnprocessable()->assertJsonValidationErrorFor('of');
    // Without a drawing it is laid out from its sizes again.
    $back = $this->postJson("/jobs/$job->id/survey/flange", [...$ask, 'document' => $changed->json('document'), 'dxf' => ''])->assertOk();
    expect($back->json('document.runs.1.start.plate'))->toBeNull();
    $this->getJson("/jobs/$job->id/flange.dxf?of=Q.start")->assertUnprocessable();
});

it('records, labels and shops for an order without a run', function () {
    $job = demoJob('TB-0428');
    $this->postJson("/jobs/$job->id/release", ['version' => 1])->assertOk();
    foreach (['record.pdf', 'labels.pdf', 'shopping.pdf'] as $paper) {
        expect(substr((string) $this->get("/jobs/$job->id/$paper")->assertOk()->getContent(), 0, 4))->toBe('%PDF');
    }
    expect((string) $this->get("/jobs/$job->id/cut-list.csv")->assertOk()->getContent())->toContain('L1');
    $rows = array_column($this->get("/jobs/$job->id/cutting")->assertOk()->json('shopping.rows'), null, 'key');
    expect($rows['B1.625x.065-R3-45']['needed'])->toBe(4);
});

it('counts what is on the shelf for the tubes of a collector too', function () {
    $job = demoJob('TB-0428');
    StoreItem::query()->where('key', 'B1.625x.065-R3-45')->delete();
    (new StoreItem)->forceFill([
        'key' => 'B1.625x.065-R3-45', 'kind' => 'bend', 'name' => 'Bend', 'tube_id' => 'T1.625x.065', 'on_hand' => 3,
    ])->save();
    $workshop = app(Workshop::class);
    $workshop->lookAgain();
    [$need] = $workshop->plan($workshop->read($job->load('revisions')->current()))->cut->stock;
    expect($need->stockId)->toBe('B1.625x.065-R3-45')->and($need->onShelf)->toBe(3)->and($need->toBuy())->toBe(1);
});

it('has an order of building at once where a branch stands on the only run', function () {
    $job = demoJob('TB-0430');
    $answer = $this->postJson("/jobs/$job->id/insertion", ['document' => $this->document($job)])->assertOk();
    expect($answer->json('insertion'))->toBeNull()
        ->and($answer->json('plan.fit.letters'))->toBe(['A', 'W']);
});

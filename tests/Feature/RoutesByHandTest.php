<?php

declare(strict_types=1);

use App\Models\Role;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Stage\Plan\Planner;

beforeEach(fn () => $this->signIn());

it('draws what a dragged vertex leads to, closed, without saving it', function () {
    $job = $this->downpipe();
    $document = $this->document($job);
    $vertex = $this->postJson("/jobs/$job->id/preview", ['document' => $document])->json('plan.runs.0.run.vertices.1');
    $answer = $this->postJson("/jobs/$job->id/hand", [
        'document' => $document,
        'letter' => 'A',
        'do' => 'vertex',
        'index' => 1,
        'to' => [$vertex[0] + 10, $vertex[1], $vertex[2]],
    ])
        ->assertOk()
        ->assertJsonPath('plan.runs.0.farEnd.closed', true);
    expect($answer->json('route'))->not->toEqual($document['runs'][0]['route'])
        ->and(array_keys($answer->json('plan')))->toEqualCanonicalizing(['runs', 'set', 'merge', 'notices'])
        ->and($this->document($job))->toEqual($document);
});

it('closes what a typed turn has opened, with the lock left alone', function () {
    $job = $this->downpipe();
    $document = $this->document($job);
    $document['runs'][0]['route']['bends'][0]['rotation'] += 6;
    $document['runs'][0]['route']['bends'][0]['locked'] = ['straight'];
    $straight = $document['runs'][0]['route']['bends'][0]['straight'];
    $answer = $this->postJson("/jobs/$job->id/hand", [
        'document' => $document,
        'letter' => 'A',
        'do' => 'close',
    ])->assertOk();
    expect($answer->json('plan.runs.0.farEnd.closed'))->toBeTrue()
        ->and($answer->json('route.bends.0.straight'))->toEqual($straight)
        ->and($answer->json('route.bends.0.locked'))->toBe(['straight']);
});

it('puts a bend in and takes it out again', function () {
    $job = $this->downpipe();
    $document = $this->document($job);
    $bends = count($document['runs'][0]['route']['bends']);
    $more = $this->postJson("/jobs/$job->id/hand", [
        'document' => $document,
        'letter' => 'A',
        'do' => 'insert',
        'index' => 1,
    ])
        ->assertOk()
        ->assertJsonPath('plan.runs.0.farEnd.closed', true)
        ->json('route');
    expect($more['bends'])->toHaveCount($bends + 1);
    $document['runs'][0]['route'] = $more;
    expect(
        $this->postJson("/jobs/$job->id/hand", [
            'document' => $document,
            'letter' => 'A',
            'do' => 'remove',
            'index' => 1,
        ])
            ->assertOk()
            ->json('route.bends'),
    )->toHaveCount($bends);
});

it('says what cannot be done by hand', function (array $wish, string $why) {
    $job = $this->downpipe();
    $this->postJson("/jobs/$job->id/hand", [
        'document' => $this->document($job),
        'letter' => 'A',
        ...$wish,
    ])->assertUnprocessable();
    expect(
        $this->postJson("/jobs/$job->id/hand", ['document' => $this->document($job), 'letter' => 'A', ...$wish])->json(
            'message',
        ),
    )->toContain($why);
})->with([
    'no such bend' => [['do' => 'remove', 'index' => 9], 'there is no bend 10'],
    'no such run' => [['letter' => 'Q', 'do' => 'close'], 'no run "Q"'],
    'no such thing' => [['do' => 'paint'], 'must be one of'],
    'nowhere' => [['do' => 'vertex', 'index' => 0, 'to' => [1, 2]], 'three numbers'],
]);

it('compares whole designs, and puts one in place with its ends', function () {
    $job = $this->downpipe();
    $document = $this->document($job);
    $core = JobReader::fromDecoded($document)->job;
    assert($core !== null);
    $other = Planner::route($core, 'A', UpsweptBead\Core\Shop\Practice\Shop::bare())->answers[1];
    $design = [
        'name' => 'Second way',
        'runs' => [
            [
                'letter' => 'A',
                'at' => $document['runs'][0]['end']['at'],
                'direction' => $document['runs'][0]['end']['direction'],
                'route' => UpsweptBead\Core\Job\JobWriter::route(UpsweptBead\Core\Job\Run\RouteChoice::of($other->run)),
            ],
        ],
    ];
    $all = $this->postJson("/jobs/$job->id/designs/compare", [
        'document' => $document,
        'designs' => [$design],
        'withCurrent' => true,
    ])->assertOk();
    $rows = array_column($all->json('rows'), 'cells', 'label');
    expect(array_column($all->json('designs'), 'name'))->toBe(['as it is now', 'Second way'])
        ->and($rows['Tightest gap'][1]['text'])->not->toContain('open')
        ->and((float) str_replace(',', '', $rows['Cost, about'][1]['text']))->toBeGreaterThan(0)
        ->and((int) $rows['Joints to weld'][1]['text'])
        ->toBeGreaterThanOrEqual((int) $rows['Joints to weld'][0]['text']);
    $taken = $this->postJson("/jobs/$job->id/designs/take", ['document' => $document, 'design' => $design])
        ->assertOk()
        ->json('document');
    expect($taken['runs'][0]['route'])->toEqual($design['runs'][0]['route'])
        ->and($taken['runs'][0]['end'])->toEqual($document['runs'][0]['end']);
    $this->postJson("/jobs/$job->id/designs/take", [
        'document' => $document,
        'design' => ['name' => '', 'runs' => []],
    ])->assertUnprocessable();
});

it('looks for cuts that take less, and keeps those that are taken until the route changes', function () {
    $job = $this->downpipe();
    $document = $this->document($job);
    $answer = $this->postJson("/jobs/$job->id/cuts/least", ['document' => $document])->assertOk();
    expect($answer->json('now.joints'))->toBeGreaterThan(0)
        ->and($answer->json('found') === null)->toBe($answer->json('document') === null);
    $document['runs'][0]['route']['cuts'] = ['joints' => ['10 mm', '5 mm']];
    $this->postJson("/jobs/$job->id/cuts/least", ['document' => $document])
        ->assertUnprocessable()
        ->assertJsonFragment(['must be farther along the run than the joint before it']);
});

it('reads routes that come from elsewhere, and says which lines give none', function () {
    $job = $this->downpipe();
    $table = $this->get("/jobs/$job->id/lra.csv")
        ->assertOk()
        ->getContent();
    $read = $this->postJson("/jobs/$job->id/read-routes", [
        'document' => $this->document($job),
        'text' => $table."Q,1,1,1,1,1\n",
    ])
        ->assertOk()
        ->json();
    expect($read['design']['runs'])->toHaveCount(1)->and($read['rejected'][0]['why'])->toContain('no run "Q"');
    $this->postJson("/jobs/$job->id/read-routes", [
        'document' => $this->document($job),
        'text' => '{"format": "something else"}',
    ])->assertUnprocessable();
    $this->postJson("/jobs/$job->id/read-routes", [
        'document' => $this->document($job),
        'text' => str_repeat('x', 70_000),
    ])->assertUnprocessable();
});

it('begins a job from a route problem', function () {
    $problem = json_decode((string) file_get_contents(base_path('core/tests/problems/08-inline-four.json')), true);
    $id = $this->postJson('/jobs', ['document' => $problem])
        ->assertCreated()
        ->json('id');
    $document = $this->getJson("/jobs/$id/job.json")
        ->assertOk()
        ->json();
    expect($document['runs'])->toHaveCount(4)
        ->and($document['set']['routing']['maxBends'])->toBe($problem['rules']['max_bends']);
    $problem['ports'][0]['dir'] = [0, 0, 0];
    $this->postJson('/jobs', ['document' => $problem])
        ->assertUnprocessable()
        ->assertJsonValidationErrors(['ports[0].dir']);
});

it('lets a viewer look but not take', function () {
    $job = $this->downpipe();
    $this->signIn(Role::Viewer);
    $this->postJson("/jobs/$job->id/designs/take", [
        'document' => $this->document($job),
        'design' => [],
    ])->assertForbidden();
});

it('says what a joint costs where somebody wants one, and at its field why it cannot be', function () {
    $this->signIn();
    $job = $this->downpipe();
    $piece = $this->getJson("/jobs/$job->id/cutting")->json('setUps.0.marks.0');
    $ask = ['document' => $this->document($job), 'mark' => $piece, 'wish' => 'split', 'at' => '1 in'];
    $answer = $this->postJson("/jobs/$job->id/cuts/joint", $ask)->assertOk()->json();
    expect($answer['found']['joints'])->toBe($answer['now']['joints'] + 1)
        ->and($answer['found']['cost'])->toBeGreaterThan($answer['now']['cost'])
        ->and($answer['document']['runs'][0]['route']['cuts']['joints'])->toHaveCount($answer['found']['joints']);
    $this->postJson("/jobs/$job->id/cuts/joint", [...$ask, 'at' => 'here'])->assertUnprocessable()
        ->assertJsonPath('errors.at.0', fn (string $said): bool => str_contains($said, '"here"'));
    $this->postJson("/jobs/$job->id/cuts/joint", [...$ask, 'wish' => 'glue'])->assertUnprocessable()->assertJsonValidationErrors('wish');
});

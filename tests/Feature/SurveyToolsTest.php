<?php

declare(strict_types=1);

use App\Models\Job;
use App\Models\Role;
use App\Workshop\Drafts;
use App\Workshop\StoredMeshes;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use UpsweptBead\Core\Job\JobReader;

/** A box of triangles as the bytes of a binary STL file. */
function boxStl(float $half = 40.0): string
{
    $corner = static fn (int $i): array => [
        ($i & 1) === 0 ? -$half : $half,
        ($i & 2) === 0 ? -$half : $half,
        ($i & 4) === 0 ? -$half : $half,
    ];
    $bytes = str_repeat(' ', 80).pack('V', 12);
    foreach ([[0, 2, 3, 1], [4, 5, 7, 6], [0, 1, 5, 4], [2, 6, 7, 3], [0, 4, 6, 2], [1, 3, 7, 5]] as [$a, $b, $c, $d]) {
        foreach ([[$a, $b, $c], [$a, $c, $d]] as $triangle) {
            $bytes .= pack('g12v', 0, 0, 0, ...[...array_merge(...array_map($corner, $triangle)), 0]);
        }
    }

    return $bytes;
}

function header5(): Job
{
    $document = JobReader::fromJson((string) file_get_contents(base_path('database/demo/hill-climb-header.job.json')))
        ->job;
    assert($document !== null);

    return app(Drafts::class)->begin($document);
}

beforeEach(fn () => $this->signIn());

it('proposes for each kind of keep-out what the ports already tell', function () {
    $job = header5();
    $kits = $this->postJson("/jobs/$job->id/survey/kits", ['document' => $this->document($job)])
        ->assertOk()
        ->json('kits');
    $block = array_values(array_filter($kits, static fn (array $kit): bool => $kit['kind'] === 'block'))[0];
    $tyre = array_values(array_filter($kits, static fn (array $kit): bool => $kit['kind'] === 'tyre'))[0];
    expect($block['fields'])->toBe([])->and(array_column($tyre['fields'], 'key'))->toContain('lock', 'bump', 'droop');
    $answers = array_map(
        static fn (array $field): mixed => count($field['proposed']) === 1 ? $field['proposed'][0] : $field['proposed'],
        array_column($tyre['fields'], null, 'key'),
    );
    $made = $this->postJson("/jobs/$job->id/survey/kit", [
        'document' => $this->document($job),
        'kind' => 'tyre',
        'answers' => $answers,
    ])
        ->assertOk()
        ->json('keepOut');
    expect($made['shape'])->toBe('box')->and($made['note'])->toContain('lock 35°');

    // What it made can be saved.
    $document = $this->document($job);
    $document['set']['keepOuts'][] = $made;
    $this->putJson("/jobs/$job->id/draft", ['version' => 1, 'document' => $document])->assertOk();
});

it('names the field of a kit that cannot be used', function () {
    $job = header5();
    $this->postJson("/jobs/$job->id/survey/kit", [
        'document' => $this->document($job),
        'kind' => 'ground',
        'answers' => ['level' => 'deep'],
    ])
        ->assertUnprocessable()
        ->assertJsonValidationErrors(['level']);
    $this->postJson("/jobs/$job->id/survey/kit", [
        'document' => $this->document($job),
        'kind' => 'moon',
        'answers' => [],
    ])
        ->assertUnprocessable()
        ->assertJsonValidationErrors(['kind']);
});

it('sets ports in a row and adds the other bank, and saves nothing by itself', function () {
    $job = header5();
    $document = $this->document($job);
    $row = $this->postJson("/jobs/$job->id/survey/row", [
        'document' => $document,
        'letter' => 'A',
        'spacings' => ['3 1/2 in', '90 mm', '90 mm', '90 mm'],
        'axis' => [1, 0, 0],
    ])
        ->assertOk()
        ->json('document');
    expect($row['runs'])->toHaveCount(5)
        ->and($row['runs'][1]['start']['at'][0])->toEqual(88.9);
    $both = $this->postJson("/jobs/$job->id/survey/mirror", ['document' => $document, 'plane' => '-200 mm'])
        ->assertOk()
        ->json('document');
    expect($both['runs'])->toHaveCount(8)->and($this->document($job))->toEqual($document);
    $this->postJson("/jobs/$job->id/survey/row", [
        'document' => $document,
        'letter' => 'A',
        'spacings' => ['a hand'],
        'axis' => [1, 0, 0],
    ])
        ->assertUnprocessable()
        ->assertJsonValidationErrors(['spacings[0]']);
    $this->postJson("/jobs/$job->id/survey/mirror", ['document' => $both, 'plane' => '0'])->assertOk();
    $this->postJson("/jobs/$job->id/survey/scrolls", [
        'document' => $document,
        'collector' => 'Collector',
        'firing' => 'A B',
    ])
        ->assertUnprocessable()
        ->assertJsonValidationErrors(['firing']);
});

it('takes an STL file in, measures tubes against it, and sends a likeness to draw', function () {
    $job = header5();
    $mesh = $this->postJson("/jobs/$job->id/meshes", [
        'file' => UploadedFile::fake()->createWithContent('starter.stl', boxStl()),
        'unit' => 'mm',
        'up' => 'z',
    ])
        ->assertCreated()
        ->assertJsonPath('triangles', 12)
        ->assertJsonPath('isClosed', true)
        ->json();
    $document = $this->document($job);
    $document['set']['keepOuts'][] = [
        'name' => 'Starter',
        'kind' => 'starter',
        'shape' => 'mesh',
        'at' => [0, 160, -20],
        'direction' => [1, 0, 0],
        'mesh' => $mesh['fingerprint'],
    ];
    $document['runs'][0]['route'] = [
        'bends' => [['straight' => 80, 'rotation' => 90, 'angle' => 60, 'clr' => 76.2]],
        'endStraight' => 100,
    ];
    $plan = $this->putJson("/jobs/$job->id/draft", ['version' => 1, 'document' => $document])
        ->assertOk()
        ->json('plan');
    $gap =
        array_values(
            array_filter($plan['set']['gaps'], static fn (array $gap): bool => $gap['other'] === 'Starter'),
        )[0] ?? null;
    expect($gap)->not->toBeNull()->and($gap['kept'])->toBeFalse()->and($gap['needed']['value'])->toEqual(25.0);
    expect(
        strlen(
            (string) $this->get("/jobs/$job->id/meshes/{$mesh['fingerprint']}")
                ->assertOk()
                ->getContent(),
        ),
    )->toBe(12 * 36);

    // A second worker's machine has no copy yet and gets it from the database.
    array_map(unlink(...), (array) glob(storage_path('framework/cache/mesh-*')));
    expect((new StoredMeshes())->find($mesh['fingerprint'])?->triangles())->toBe(12);
});

it('says what is wrong with a file, and keeps nothing of it', function (string $bytes, array $with, string $field) {
    $job = header5();
    $this->postJson("/jobs/$job->id/meshes", [
        'file' => UploadedFile::fake()->createWithContent('x.stl', $bytes),
        'unit' => 'mm',
        'up' => 'z',
        ...$with,
    ])
        ->assertUnprocessable()
        ->assertJsonValidationErrors([$field]);
    expect(DB::table('meshes')->count())->toBe(0);
})->with([
    'cut short' => [fn () => substr(boxStl(), 0, 300), [], 'file'],
    'not one' => [fn () => str_repeat("GIF89a\xff\x00", 60), [], 'file'],
    'huge by its own word' => [fn () => substr_replace(boxStl(), pack('V', 3_000_000_000), 80, 4), [], 'file'],
    'the wrong unit' => [fn () => boxStl(), ['unit' => 'furlong'], 'unit'],
    'too large in that unit' => [fn () => boxStl(4000), ['unit' => 'm'], 'file'],
    'no axis' => [fn () => boxStl(), ['up' => 'w'], 'up'],
]);

it('says that a mesh is not here rather than pass over it', function () {
    $job = header5();
    $document = $this->document($job);
    $document['set']['keepOuts'][] = [
        'name' => 'Scan',
        'kind' => 'frame',
        'shape' => 'mesh',
        'at' => [0, 0, 0],
        'mesh' => str_repeat('ab', 16),
    ];
    $plan = $this->putJson("/jobs/$job->id/draft", ['version' => 1, 'document' => $document])
        ->assertOk()
        ->json('plan');
    expect(implode(' ', array_column($plan['notices'], 'message')))->toContain('The mesh of Scan is not here');
    $document['set']['keepOuts'][count($document['set']['keepOuts']) - 1]['mesh'] = '../../etc/passwd';
    $this->putJson("/jobs/$job->id/draft", ['version' => 2, 'document' => $document])->assertUnprocessable();
});

it('lets nobody but planners change a survey', function () {
    $job = header5();
    $this->signIn(Role::Viewer);
    $this->postJson("/jobs/$job->id/survey/mirror", [
        'document' => $this->document($job),
        'plane' => '0',
    ])->assertForbidden();
    $this->postJson("/jobs/$job->id/meshes", [])->assertForbidden();
});

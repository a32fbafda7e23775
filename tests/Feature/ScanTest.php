<?php

declare(strict_types=1);

use App\Models\Job;
use App\Workshop\StoredMeshes;
use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeScan;

/**
 * A job's document with the scan of a port in it, as rough as a good scanner makes it.
 *
 * @param  array<string, mixed>  $document
 * @return array<string, mixed>
 */
function withScan(array $document, Frame $port): array
{
    $document['set']['keepOuts'][] = [
        'name' => 'Head scan', 'kind' => 'block', 'shape' => 'mesh', 'at' => ['10 mm', '20 mm', '30 mm'], 'direction' => [0, 1, 0],
        'mesh' => app(StoredMeshes::class)->keep(SomeScan::mesh($port, 44.0, 0.05, Some::dice(4))), 'clearance' => null, 'note' => '',
    ];

    return $document;
}

/** Where a place of that scan stands: its x axis runs to the right, its y axis forward. */
function setDown(Vector $own): Vector
{
    return new Vector(10 - $own->y, 20 + $own->x, 30 + $own->z);
}

beforeEach(function () {
    $this->signIn();
    $this->port = Frame::facing(new Vector(100, 50, 20), new Vector(0.2, 0.9, -0.3));
    $this->place = $this->downpipe();
    $this->scan = withScan($this->document($this->place), $this->port);
    $this->ask = fn (string $what, array $wishes) => $this->postJson("/jobs/{$this->place->id}/scan/$what", [
        'document' => $this->scan, 'keepOut' => 'Head scan', ...$wishes,
    ]);
});

it('finds the port where it was tapped, in the axes of the job', function () {
    $tap = setDown($this->port->at->plus($this->port->reference->times(30.0)));
    $found = ($this->ask)('fit', ['tap' => [$tap->x, $tap->y, $tap->z]])->assertOk()->json();
    $at = setDown($this->port->at);
    $way = new Vector(-$this->port->forward->y, $this->port->forward->x, $this->port->forward->z);
    expect($found['isFace'])->toBeTrue()
        ->and((new Vector(...$found['way']))->angleDegTo($way))->toBeLessThan(0.3)
        ->and((new Vector(...$found['bores'][0]['at']))->distanceTo($at))->toBeLessThan(0.2)
        ->and($found['bores'][0]['diameter'])->toEqualWithDelta(44.0, 0.2);
});

it('brings the scan to the datum and cuts it to the room round the runs', function () {
    $own = [new Vector(0, 0, 0), new Vector(200, 0, 0), new Vector(0, 150, 0), new Vector(0, 0, 90)];
    $tapped = array_map(setDown(...), $own);
    $moved = ($this->ask)('place', [
        'tapped' => array_map(static fn (Vector $one): array => $one->toArray(), $tapped),
        'known' => array_map(static fn (Vector $one): array => ["$one->x mm", "$one->y mm", "$one->z mm"], $own),
    ])->assertOk()->json();
    $scan = array_values(array_filter($moved['document']['set']['keepOuts'], static fn (array $one): bool => $one['name'] === 'Head scan'))[0];
    $mesh = app(StoredMeshes::class)->find($scan['mesh']);
    $face = $this->port->at->plus($this->port->reference->times(30.0));
    expect(max(array_column($moved['off'], 'value')))->toBeLessThan(1e-3)
        ->and($scan['direction'])->toEqual([1, 0, 0])
        ->and($mesh?->distance($face->x, $face->y, $face->z))->toBeLessThan(0.3);

    $cut = ($this->ask)('cut', ['room' => '60 mm'])->assertOk()->json();
    expect($cut['triangles'])->toBeLessThan($cut['before']);
});

it('says at its field what cannot be', function (string $what, array $wishes, string $field) {
    ($this->ask)($what, $wishes)->assertUnprocessable()->assertJsonValidationErrors($field);
})->with([
    'nothing there' => ['fit', ['tap' => [9000, 0, 0]], 'tap'],
    'no place' => ['fit', ['tap' => ['left', 0, 0]], 'tap[0]'],
    'another scan' => ['fit', ['tap' => [0, 0, 0], 'keepOut' => 'Block'], 'keepOut'],
    'two places' => ['place', ['tapped' => [[0, 0, 0], [1, 0, 0]], 'known' => [[0, 0, 0], [1, 0, 0]]], 'known'],
    'a word for a place' => ['place', ['tapped' => [[0, 0, 0]], 'known' => ['nowhere']], 'known[0]'],
    'no room' => ['cut', ['room' => '-1 mm'], 'room'],
]);

<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Document\Fault;
use UpsweptBead\Core\Base\Document\Faults;
use UpsweptBead\Core\Base\Document\UnusableDocument;
use UpsweptBead\Core\Exchange\Files\RouteProblemReader;
use UpsweptBead\Core\Exchange\Screens\PlanWriter;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Shop\Practice\ShopReader;
use UpsweptBead\Core\Stage\Bench\EntryReader;
use UpsweptBead\Core\Stage\Bench\LogEntry;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Tests\Support\Mutations;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeRoutedSets;
use UpsweptBead\Core\Tests\Support\SomeSets;

it('plans a job that was read, whatever was done to its file, and names what is wrong with any other', function (int $seed) {
    $mutations = new Mutations($seed);
    $files = [SomeRoutedSets::veeEight(), Some::document()];
    [$read, $refused] = [0, 0];
    for ($i = 0; $i < 60; $i++) {
        $document = $mutations->of($files[$i % 2]);
        try {
            $reading = JobReader::fromDecoded($document);
        } catch (UnusableDocument $error) {
            expect($error->getMessage())->not->toBe('');
            $refused++;

            continue;
        }
        if ($reading->job === null) {
            expect($reading->faults)->not->toBe([]);
            $refused++;

            continue;
        }
        // What is shown of it can be sent.
        expect(json_encode(PlanWriter::forScreens(Planner::plan($reading->job, Some::shop())), JSON_THROW_ON_ERROR))->toBeString();
        $read++;
    }
    expect($refused)->toBeGreaterThan(10)->and($read)->toBeGreaterThan(0);
})->with([1, 2, 3, 4]);

it('reads or refuses a shop, whatever was done to its file', function (int $seed) {
    $mutations = new Mutations($seed);
    $document = json_decode((string) file_get_contents(dirname(__DIR__, 4).'/database/demo/shop.json'), true);
    $document['rules'] = ['clear.bolt_head' => '12 mm', '0' => '1 mm', 'purge.stop' => '900 ppm'];
    $outcomes = [];
    for ($i = 0; $i < 150; $i++) {
        try {
            $faults = new Faults();
            ShopReader::read($mutations->of($document), $faults);
            $outcomes[$faults->all() === [] ? 'read' : 'faults'] = true;
        } catch (UnusableDocument) {
            $outcomes['unusable'] = true;
        }
    }
    expect($outcomes)->toHaveKey('faults');
})->with([1, 2]);

it('reads or refuses a route problem, whatever was done to its file', function (int $seed) {
    $mutations = new Mutations($seed);
    $outcomes = [];
    for ($i = 0; $i < 100; $i++) {
        $document = $mutations->of(SomeSets::document('08-inline-four'));
        try {
            $json = (string) json_encode($document, JSON_PARTIAL_OUTPUT_ON_ERROR);
            $outcomes[is_array(RouteProblemReader::read($json)) ? 'faults' : 'read'] = true;
        } catch (UnusableDocument) {
            $outcomes['unusable'] = true;
        }
    }
    expect($outcomes)->toHaveKey('faults')->toHaveKey('read');
})->with([1, 2]);

it('reads or refuses an entry of the log, whatever was done to it', function () {
    $mutations = new Mutations(1);
    $steps = Some::plan()->steps;
    $now = new DateTimeImmutable('2026-03-02T10:00:00Z');
    $entry = [
        'id' => '6f9619ff-8b86-4011-b42d-00c04fc964ff',
        'units' => 'inch',
        'step' => 'prepare.A1',
        'kind' => 'done',
        'readings' => ['length' => '10 in'],
        'note' => 'x',
        'at' => '2026-03-02T09:30:00Z',
    ];
    $kinds = [];
    for ($i = 0; $i < 400; $i++) {
        $read = EntryReader::read($mutations->of($entry), $steps, 'Wren', $now);
        $kinds[$read::class] = true;
    }
    expect($kinds)->toEqual([LogEntry::class => true, Fault::class => true]);
});

it('names a shop rule that is none by its key, even where that is a number', function () {
    $faults = new Faults();
    ShopReader::read(['format' => 'upswept-bead/shop', 'version' => 1, 'name' => 'A shop', 'rules' => ['0' => '1 mm']], $faults);
    expect($faults->all()[0]->path)->toBe('rules.0')->and($faults->all()[0]->message)->toContain('no shop rule "0"');
});

it('refuses a bend on a radius that no tube has', function (mixed $clr) {
    $document = SomeRoutedSets::veeEight();
    $document['runs'][0]['route']['bends'][0]['clr'] = $clr;
    expect(JobReader::fromDecoded($document)->faults[0]->path)->toBe('runs[0].route.bends[0].clr');
})->with([0, -50, 5e-324, 0.99, '0 mm']);

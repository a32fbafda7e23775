<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Document\Fault;
use UpsweptBead\Core\Base\Document\UnusableDocument;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Job\Collector\CollectorBuild;
use UpsweptBead\Core\Job\Collector\CollectorReader;
use UpsweptBead\Core\Job\Collector\CollectorWriter;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Job\Part\PartReader;
use UpsweptBead\Core\Job\Run\EndReader;
use UpsweptBead\Core\Job\Run\RouteReader;
use UpsweptBead\Core\Job\Run\RoutingSpec;
use UpsweptBead\Core\Job\Set\SetReader;
use UpsweptBead\Core\Job\Set\SetWriter;
use UpsweptBead\Core\Tests\Support\Schemas;
use UpsweptBead\Core\Tests\Support\Some;

covers(
    SetWriter::class,
    SetReader::class,
    RoutingSpec::class,
    RouteReader::class,
    EndReader::class,
    PartReader::class,
    CollectorBuild::class,
    CollectorWriter::class,
    CollectorReader::class,
);

/**
 * @param  array<string, mixed>  $document
 * @return list<string> the places that have something wrong
 */
function places(array $document): array
{
    return array_map(static fn (Fault $fault): string => $fault->path, JobReader::fromDecoded($document)->faults);
}

/**
 * @param  non-empty-list<string|int>  $path
 * @return array<string, mixed>
 */
function changed(array $path, mixed $value): array
{
    $document = Some::document();
    $place = &$document;
    foreach ($path as $key) {
        $place = &$place[$key];
    }
    $place = $value;

    return $document;
}

it('writes what it read, as it was written', function () {
    $job = Some::routedJob();
    $again = JobReader::fromJson(JobWriter::toJson($job))->job;
    expect($again)->toEqual($job)
        ->and(JobWriter::toArray(Some::job())['runs'][0]['end']['at'])->toBe(['21 1/2 in', '13 1/4 in', '-17 in']);
});

it('writes documents that the published schema accepts, and reads the example by it', function () {
    foreach ([JobWriter::toJson(Some::routedJob()), Some::exampleJson()] as $json) {
        expect(json_decode($json, false))->toBeAn('JobDocument');
    }
});

it('refuses by schema what the reader refuses', function (array $path, mixed $value) {
    $document = json_decode((string) json_encode(changed($path, $value)), false);
    expect(Schemas::wrong($document, 'JobDocument'))->not->toBe('')->and(places(changed($path, $value)))->not->toBe([]);
})->with([
    'no number' => [['job', 'number'], ''],
    'a purpose nobody has' => [['job', 'purpose'], 'rocket'],
    'two coordinates' => [['runs', 0, 'start', 'at'], ['1 in', '2 in']],
    'a field of another program' => [['runs', 0, 'colour'], 'red'],
    'a small letter' => [['runs', 0, 'letter'], 'a'],
]);

it('names the place of every problem', function (array $path, mixed $value, string $place) {
    expect(places(changed($path, $value)))->toContain($place);
})->with([
    'unparsable unit' => [['runs', 0, 'start', 'at', 1], '3 parsecs', 'runs[0].start.at[1]'],
    'no direction' => [['runs', 0, 'end', 'direction'], [0, 0, 0], 'runs[0].end.direction'],
    'not finite' => [['runs', 0, 'end', 'direction', 0], 1e308 * 10, 'runs[0].end.direction[0]'],
    'negative straight' => [
        ['runs', 0, 'route'],
        ['bends' => [], 'endStraight' => '-1 in'],
        'runs[0].route.endStraight',
    ],
    'half a turn too many' => [
        ['runs', 0, 'route'],
        ['bends' => [['straight' => 1, 'rotation' => 0, 'angle' => 181, 'clr' => 50]], 'endStraight' => 1],
        'runs[0].route.bends[0].angle',
    ],
    'no radius' => [
        ['runs', 0, 'route'],
        ['bends' => [['straight' => 1, 'rotation' => 0, 'angle' => 45, 'clr' => 0]], 'endStraight' => 1],
        'runs[0].route.bends[0].clr',
    ],
    'wall of nothing' => [['runs', 0, 'start', 'wall'], '0 in', 'runs[0].start.wall'],
    'a number for a name' => [['job', 'title'], 7, 'job.title'],
    'control characters' => [['job', 'customer'], "a\x00b", 'job.customer'],
    'runs not a list' => [['runs'], ['a' => 1], 'runs'],
    'too many runs' => [['runs'], array_fill(0, 17, []), 'runs'],
    'a run of nothing' => [['runs', 0], 'x', 'runs[0].letter'],
    'an override without a value' => [
        ['overrides'],
        [['figure' => 'weld.AJ1.amps', 'value' => '']],
        'overrides[0].value',
    ],
    'unknown units' => [['job', 'units'], 'cubit', 'job.units'],
]);

it('names runs that share a letter', function () {
    $document = Some::document();
    $document['runs'][] = $document['runs'][0];
    expect(JobReader::fromDecoded($document)->faults[0]->message)->toContain('two runs with the letter A');
});

it('says every problem at once and gives no half-read job', function () {
    $document = changed(['job', 'number'], '');
    $document['runs'][0]['start']['at'][0] = 'x';
    $reading = JobReader::fromDecoded($document);
    expect($reading->faults)->toHaveCount(2)->and($reading->job)->toBeNull();
});

it('will not use what is no job file', function (string $text, string $message) {
    expect(fn () => JobReader::fromJson($text))->toThrow(UnusableDocument::class, $message);
})->with([
    'nothing' => ['', 'not complete JSON'],
    'cut short' => [fn () => substr(Some::exampleJson(), 0, 500), 'not complete JSON'],
    'a list' => ['[1,2,3]', 'must be an object with "format"'],
    'another format' => ['{"format":"other/thing","version":1}', 'must be an object with "format"'],
    'a later version' => ['{"format":"upswept-bead/job","version":2}', 'has version 2'],
    'no version' => ['{"format":"upswept-bead/job"}', 'has version none'],
    'nested without end' => [fn () => str_repeat('[', 5000), 'not complete JSON'],
    'too large' => [fn () => str_repeat(' ', 2_000_001), 'at most 2,000,000'],
    'bad bytes' => ["{\"format\":\"\xff\xfe\"}", 'not complete JSON'],
]);

it('never fails on a broken document in any other way', function (int $seed) {
    $dice = Some::dice($seed);
    $document = Some::document();
    $junk = [null, -1, 1e300, '', 'x', "\u{202e}", [], [[]], ['a' => ['b' => 1]], true, str_repeat('9', 300)];
    $break = static function (array $part) use (&$break, $dice, $junk): array {
        foreach ($part as $key => $value) {
            $roll = $dice->getInt(0, 9);
            $part[$key] = match (true) {
                $roll === 0 => $junk[$dice->getInt(0, count($junk) - 1)],
                is_array($value) => $break($value),
                default => $value,
            };
        }

        return $part;
    };
    $broken = [...$break($document), 'format' => 'upswept-bead/job', 'version' => 1];
    $reading = JobReader::fromDecoded($broken);
    expect($reading->job !== null || $reading->faults !== [])->toBeTrue();
})->with(range(1, 40));

it('keeps a size when the units of a job change', function () {
    $job = JobReader::fromDecoded(changed(['runs', 0, 'start', 'at', 0], '12'))->job;
    $metric = JobWriter::toArray($job ?? Some::job());
    $metric['job']['units'] = 'metric';
    $again = JobReader::fromDecoded($metric)->job;
    expect($again?->units)->toBe(UnitSystem::Metric)
        ->and($again?->runs[0]->start->at[0]->mm)->toBeClose(304.8);
});

<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Reason\Notice;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Stage\Plan\Plan;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeHeader;

/**
 * Two straight-ish runs side by side, so far from axis to axis, the first with a seam behind its bend.
 *
 * @param  list<array<string, mixed>>  $fittings  of the first
 * @param  list<array<string, mixed>>  $keepOuts
 */
function pairOfRuns(float $apartMm, array $fittings = [], array $keepOuts = []): Plan
{
    $document = SomeHeader::document();
    $document['runs'] = array_slice($document['runs'], 0, 2);
    foreach ([0, 1] as $i) {
        $document['runs'][$i]['start']['at'] = [$i * $apartMm, 0, 0];
        $document['runs'][$i]['start']['direction'] = [0, 1, 0];
        $document['runs'][$i]['route'] = [
            'bends' => [['straight' => 150, 'rotation' => 0, 'angle' => 45, 'clr' => 50.8]],
            'endStraight' => 300,
        ];
    }
    $document['runs'][0]['fittings'] = $fittings;
    $document['set'] = ['collectors' => [], 'keepOuts' => $keepOuts, 'lengths' => []];

    return Planner::plan(
        JobReader::fromDecoded($document)->job ?? throw new LogicException('unreadable'),
        Some::shop(),
    );
}

/** @return list<string> */
function sensorCautions(Plan $plan): array
{
    return array_values(
        array_filter(
            array_map(static fn (Notice $notice): string => $notice->message, $plan->notices()),
            static fn (string $text): bool => str_contains($text, 'room for its body') ||
                str_contains($text, 'temperature probe'),
        ),
    );
}

it('wants room for a sensor’s body and lead, off the tube', function () {
    // Rearward of the first run stands the second: turned that way the body meets it, turned away it does not.
    $towards = pairOfRuns(110, [['kind' => 'oxygen-sensor-bung', 'station' => 60, 'fromTop' => 90]]);
    $away = pairOfRuns(110, [['kind' => 'oxygen-sensor-bung', 'station' => 60, 'fromTop' => -90]]);
    expect(sensorCautions($away))->toBe([])
        ->and(sensorCautions($towards)[0] ?? '')->toContain('90 mm of room')
        // From surface to surface 65.55 mm; a body of 11 mm half width touches beyond 54.55, met at the step of 58.
        ->toContain('run B is in the way after 58 mm');
});

it('says how far out the body of a sensor meets the tube beside it', function (float $apartMm, ?string $after) {
    // Straight across from a tube of 44.45 mm, looked at 10 mm out from its surface and then every 8 mm: the other tube
    // is met where its axis is nearer than its half, 22.2 mm, and half a body, 11 mm.
    $texts = sensorCautions(pairOfRuns($apartMm, [
        ['kind' => 'oxygen-sensor-bung', 'station' => 60, 'fromTop' => 90],
    ]));
    expect(preg_match('/after ([\d.]+) mm/', $texts[0] ?? '', $found) === 1 ? $found[1] : null)->toBe($after);
})->with([
    'at once' => [65.0, '10'],
    'a step later' => [68.0, '18'],
    'at its end' => [144.0, '90'],
    'not any more' => [146.0, null],
]);

it('sees a keep-out where the sensor would be', function () {
    $box = ['name' => 'Heater pipe', 'kind' => 'other', 'shape' => 'box', 'at' => [0, 60, 90], 'size' => [60, 60, 40]];
    expect(
        sensorCautions(
            pairOfRuns(200, [['kind' => 'oxygen-sensor-bung', 'station' => 60, 'fromTop' => 0]], [$box]),
        )[0] ?? '',
    )->toContain('Heater pipe is in the way');
});

it('looks as far as the lead reaches, and no further', function (float $bottomMm, bool $isMet) {
    // Straight up from a level tube of 44.45 mm: 22.2 mm to its surface, 90 mm of body and lead, 11 mm of its half
    // width.
    $box = [
        'name' => 'Heater pipe',
        'kind' => 'other',
        'shape' => 'box',
        'at' => [0, 60, $bottomMm + 20],
        'size' => [60, 60, 40],
    ];
    expect(
        sensorCautions(pairOfRuns(200, [['kind' => 'oxygen-sensor-bung', 'station' => 60, 'fromTop' => 0]], [$box])) !==
            [],
    )->toBe($isMet);
})->with(['at the lead' => [115.0, true], 'beyond it' => [124.0, false]]);

it('wants a temperature probe 25 to 50 mm from its port', function (float $station, bool $isWell) {
    // Common practice.
    expect(
        sensorCautions(pairOfRuns(200, [['kind' => 'temperature-probe', 'station' => $station, 'fromTop' => 180]])) ===
            [],
    )->toBe($isWell);
})->with(['too near' => [20.0, false], 'near' => [26.0, true], 'far' => [49.0, true], 'too far' => [60.0, false]]);

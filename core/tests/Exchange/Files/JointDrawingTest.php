<?php

declare(strict_types=1);

use UpsweptBead\Core\Exchange\Drawing\AssemblySvg;
use UpsweptBead\Core\Exchange\Drawing\DialSvg;
use UpsweptBead\Core\Exchange\Drawing\HeldSvg;
use UpsweptBead\Core\Exchange\Drawing\RibbonSvg;
use UpsweptBead\Core\Exchange\Drawing\TraceSvg;
use UpsweptBead\Core\Stage\Device\Trace;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Joint\JointFace;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Stage\Schedule\Slot;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeRoutedSets;

function svgOf(string $text): SimpleXMLElement
{
    $svg = simplexml_load_string($text);

    return $svg === false ? throw new LogicException('It is no XML.') : $svg;
}

/** @return list<string> */
function wordsIn(SimpleXMLElement $svg): array
{
    return array_map(strval(...), array_values(iterator_to_array($svg->text, false)));
}

it('draws a joint end-on with its tacks in their order and its mark on top', function () {
    $plan = Some::plan();
    $joint = $plan->joints->find('AJ2') ?? throw new LogicException('no joint');
    $sheet = $plan->weld->sheets['AJ2'];
    $routed = $plan->layout->run('A') ?? throw new LogicException('no run');
    $face = JointFace::of($routed->line, $joint->seam->stationMm);
    $svg = svgOf(DialSvg::of($joint, $sheet->tacks, $face, null));
    $numbers = array_values(array_filter(wordsIn($svg), ctype_digit(...)));
    expect($numbers)->toBe(array_map(strval(...), range(1, count($sheet->tacks->fullDeg))))
        ->and(wordsIn($svg))->toContain('0°')->toContain('up');
    // The first tack lies where its angle says, clockwise from the top.
    $tack = $svg->circle[3] ?? throw new LogicException('no tack');
    $deg = rad2deg(atan2((float) $tack['cx'] - 100, 100 - (float) $tack['cy']));
    expect(fmod($deg + 360, 360))->toBeClose(fmod($sheet->tacks->fullDeg[0] + 360, 360), 0, 1.0);
});

it('dashes where no torch gets to, and nothing where it gets all round', function () {
    $plan = Some::plan();
    $joint = $plan->joints->find('AJ2') ?? throw new LogicException('no joint');
    // Without a face there is no other line.
    $draw = static fn (?array $reached): int => count(svgOf(
        DialSvg::of($joint, $plan->weld->sheets['AJ2']->tacks, null, $reached),
    )->polyline);
    expect($draw(null))->toBe(0)
        ->and($draw([[0.0, 360.0]]))->toBe(0)
        ->and($draw([[20.0, 120.0], [200.0, 300.0]]))->toBe(2)
        ->and($draw([[300.0, 380.0]]))->toBe(1)
        ->and($draw([]))->toBe(1);
});

it('draws what lies on the bench as it is held, all of it on the paper', function (string $joint) {
    $plan = Planner::planInFull(SomeRoutedSets::joined(), Some::shop());
    $pose = $plan->weld->sheets[$joint]->purge->pose;
    $slots = array_column($plan->schedule->slots, null, 'order');
    $slot = array_values(array_filter($slots, static fn (Slot $one): bool => $one->joint->id === $joint))[0];
    $taped = $plan->schedule->taped($slot, $plan->weld);
    $svg = svgOf(HeldSvg::of($plan, $pose, $joint, $taped));
    expect($svg->rect)->toHaveCount(count($taped));
    expect(wordsIn($svg))->toContain('Feed')->toContain('Vent')->toContain($joint)
        ->and(array_count_values(wordsIn($svg))['dam'] ?? 0)->toBe(count($pose->dams));
    $letters = array_filter($pose->standing, static fn (string $one): bool => $one !== 'K');
    // Twice each: its outline, and lighter inside; a collector by its four tubes.
    expect(count($svg->polyline))->toBe(2 * (count($letters) + (in_array('K', $pose->standing, true) ? 4 : 0)));
    foreach ($svg->polyline as $line) {
        foreach (explode(' ', (string) $line['points']) as $point) {
            [$x, $y] = array_map(floatval(...), explode(',', $point));
            expect($x)->toBeGreaterThan(0.0)->toBeLessThan(360.0)->and($y)->toBeGreaterThan(0.0)->toBeLessThan(240.0);
        }
    }
})->with(['EJ3', 'EJ6']);

it('draws the feed below the vent where the argon is to fill it from below', function () {
    $plan = Some::plan();
    $pose = $plan->weld->sheets['AJ2']->purge->pose;
    $height = static function (string $word) use ($plan, $pose): float {
        foreach (svgOf(HeldSvg::of($plan, $pose, 'AJ2'))->text as $text) {
            if ((string) $text === $word) {
                return -(float) $text['y'];
            }
        }

        return INF;
    };
    $apart = $pose->vents[0]->at->minus($pose->feed->at)->dot($pose->up);
    expect($apart)->toBeGreaterThan(0.0)->and($height('Feed'))->toBeLessThan($height('Vent'));
});

it('draws the whole job with the marks of its joints, a flange’s two passes at one place', function () {
    $words = wordsIn(svgOf(AssemblySvg::of(Some::plan())));
    $joints = array_map(static fn (Joint $joint): string => $joint->id, Some::plan()->joints->joints);
    expect(implode(', ', $words))->toContain('AJ4, AJ5')
        ->and(array_diff($joints, explode(', ', implode(', ', $words))))->toBe([]);
});

it('unrolls a run to scale', function () {
    $plan = Some::plan();
    $line = $plan->layout->run('A')->line ?? throw new LogicException('no run');
    $pieces = $plan->cut->piecesOf('A');
    $svg = svgOf(RibbonSvg::of($pieces, $plan->joints->ofRun('A'), $line->lengthMm));
    $wide = array_map(static fn (SimpleXMLElement $one): float => (float) $one['width'], iterator_to_array($svg->rect, false));
    expect(count($wide))->toBe(count($pieces))
        ->and($wide[0] / array_sum($wide))->toBeClose($pieces[0]->span->lengthMm() / $line->lengthMm, 0, 0.002);
});

it('draws what an instrument read against what was planned', function () {
    $svg = svgOf(TraceSvg::of(new Trace('amps', 1.0, [0.0, 50.0, 50.0, 0.0], true), 60.0));
    expect(count($svg->polyline))->toBe(3)
        ->and((string) $svg->polyline[1]['stroke-dasharray'])->not->toBe('')
        ->and(count(svgOf(TraceSvg::of(new Trace('volts', 1.0, [12.0], true), null))->polyline))->toBe(2);
});

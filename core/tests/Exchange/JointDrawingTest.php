<?php

declare(strict_types=1);

use UpsweptBead\Core\Exchange\Drawing\DialSvg;
use UpsweptBead\Core\Exchange\Drawing\HeldSvg;
use UpsweptBead\Core\Joint\JointFace;
use UpsweptBead\Core\Plan\Planner;
use UpsweptBead\Core\Shop\Shop;
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
    $plan = Planner::planInFull(SomeRoutedSets::joined(), Shop::bare());
    $pose = $plan->weld->sheets[$joint]->purge->pose;
    $svg = svgOf(HeldSvg::of($plan, $pose, $joint));
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

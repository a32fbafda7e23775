<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Document\Faults;
use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Reason\Notice;
use UpsweptBead\Core\Base\Reason\Override;
use UpsweptBead\Core\Base\Reason\Overrides;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Run\EndKind;
use UpsweptBead\Core\Job\Run\RunEnd;
use UpsweptBead\Core\Job\Run\RunSpec;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Shop\Practice\ShopReader;
use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Shop\Stock\BendStock;
use UpsweptBead\Core\Solve\Run\Bend;
use UpsweptBead\Core\Solve\Run\FarEnd;
use UpsweptBead\Core\Solve\Run\Jointing;
use UpsweptBead\Core\Solve\Run\TubeRun;
use UpsweptBead\Core\Stage\Cut\Bends;
use UpsweptBead\Core\Stage\Cut\CutMark;
use UpsweptBead\Core\Stage\Cut\CutNotices;
use UpsweptBead\Core\Stage\Cut\EndPrep;
use UpsweptBead\Core\Stage\Cut\MarkKind;
use UpsweptBead\Core\Stage\Cut\Marks;
use UpsweptBead\Core\Stage\Cut\Nesting;
use UpsweptBead\Core\Stage\Cut\Piece;
use UpsweptBead\Core\Stage\Cut\Pieces;
use UpsweptBead\Core\Stage\Layout\RoutedRun;
use UpsweptBead\Core\Tests\Support\Some;

covers(Marks::class);

/**
 * @param  list<Bend>  $bends
 * @param  list<Override>  $overrides
 * @return list<Piece> of a run named C, from a port to a flange, with their places
 */
function cut(
    array $bends,
    float $endStraightMm,
    string $tubeId = 'T3.000x.065',
    array $overrides = [],
    EndKind $start = EndKind::Open,
): array {
    return nested(pieces($bends, $endStraightMm, $tubeId, $overrides, $start), $tubeId)->pieces;
}

/** @param  list<Piece>  $pieces */
function nested(array $pieces, string $tubeId = 'T3.000x.065'): Nesting
{
    $catalogue = Some::shop()->catalogue;

    return Nesting::of($catalogue->tube($tubeId), $pieces, new Bends($catalogue->bendsFor($tubeId)), Some::shop());
}

/**
 * @param  list<Bend>  $bends
 * @param  list<Override>  $overrides
 * @return list<Piece> not cut from anything yet
 */
function pieces(
    array $bends,
    float $endStraightMm,
    string $tubeId = 'T3.000x.065',
    array $overrides = [],
    EndKind $start = EndKind::Open,
    string $letter = 'C',
    ?Shop $shop = null,
): array {
    $shop ??= Some::shop();
    $run = new TubeRun(Frame::facing(new Vector(0, 0, 0), new Vector(1, 0, 0)), $bends, $endStraightMm);
    $job = Some::job();
    $began = $job->runs[0]->start;
    $spec = new RunSpec(
        $letter,
        '',
        $tubeId,
        new RunEnd($start, 'Start', $began->at, $began->direction, $began->up, $began->metal, $began->wall),
        $job->runs[0]->end,
        null,
        [],
    );
    $routed = new RoutedRun($spec, 'runs[0]', $shop->catalogue->tube($tubeId), $run, FarEnd::of($run, $run->end()));
    $job = new Job(
        'N',
        'T',
        '',
        '',
        $job->purpose,
        UnitSystem::Inch,
        '304L',
        '',
        [$spec],
        new Overrides($overrides, UnitSystem::Inch),
    );
    $stock = $shop->catalogue->bendsFor($tubeId);

    return Pieces::of($routed, Jointing::of($run, $stock) ?? [], $job, $shop, new Bends($stock));
}

it('marks pieces with the run’s letter and a number', function () {
    expect(
        array_map(
            static fn (Piece $piece): string => $piece->mark,
            cut([new Bend(93, 0, 45, 114.3), new Bend(433, 30, 45, 114.3)], 74),
        ),
    )->toBe(['C1', 'C2', 'C3']);
});

it('puts a cut in the bend where the angle is on every line of the tube', function () {
    // 35 degrees, nothing straight: the cut at the far end is that of the angle, the other is at the tangent.
    $marks = cut([new Bend(0, 0, 35, 114.3)], 0)[0]->marks;
    expect($marks[0]->kind)->toBe(MarkKind::Straight)
        ->and($marks[0]->centreMm)->toBe(0.0)
        ->and($marks[1]->kind)->toBe(MarkKind::Bend)
        ->and($marks[1]->centreMm)->toBeClose(114.3 * deg2rad(35))
        ->and($marks[1]->outerMm)->toBeClose((114.3 + 38.1) * deg2rad(35))
        ->and($marks[1]->innerMm)->toBeClose((114.3 - 38.1) * deg2rad(35));
});

it('has marks that add up to the cut length, to the last digit', function (float $before, float $angle, float $after) {
    $pieces = cut([new Bend($before, 0, $angle, 114.3)], $after);
    foreach ($pieces as $piece) {
        $place = $piece->place ?? throw new RuntimeException('no place');
        expect($place->untilMm - $place->atMm)->toBeClose($piece->cutLengthMm(), 0, 1e-9);
        $along = static fn (CutMark $mark, float $endMm): float => match (true) {
            $mark->kind === MarkKind::OwnEnd => $endMm,
            str_contains($mark->label, 'on the clamp leg') => $place->arcFromMm - $mark->centreMm,
            str_contains($mark->label, 'on the pull leg') => $place->arcToMm + $mark->centreMm,
            str_contains($mark->label, 'of the pull leg') => $place->arcToMm - $mark->centreMm,
            default => $place->arcFromMm + $mark->centreMm,
        };
        $length = $piece->isBend()
            ? abs($along($piece->marks[1], $place->endMm()) - $along($piece->marks[0], $place->startMm()))
            : $piece->marks[0]->centreMm;
        expect($length)->toBeClose($piece->cutLengthMm(), 0, 1e-9)
            ->and(array_sum(array_map(static fn (CutMark $mark): float => $mark->longMm, $piece->marks)))
            ->toBeClose($piece->allowances->totalMm(), 0, 1e-9);
    }
})->with([
    'both legs' => [80.0, 45.0, 60.0],
    'a lesser angle with its straight before it' => [80.0, 35.0, 0.0],
    'a lesser angle with its straight behind it' => [0.0, 35.0, 80.0],
    'straights longer than the legs' => [400.0, 60.0, 500.0],
    'a straight only' => [200.0, 90.0, 30.0],
]);

it('measures a cut from the tangent that the piece itself lies at', function () {
    // Two pieces of one run share a bend of 90: one lies at each of its tangents.
    $pieces = cut([new Bend(80, 0, 40, 114.3), new Bend(0, 90, 44, 114.3)], 80);
    $donors = array_map(static fn (Piece $piece): string => $piece->place?->stockId.' '.$piece->place?->copy, $pieces);
    expect(array_unique($donors))->toHaveCount(1);
    $labels = array_map(static fn (CutMark $mark): string => $mark->label, [...$pieces[0]->marks, ...$pieces[1]->marks]);
    expect(implode('; ', $labels))->toContain('from the tangent of the clamp leg')
        ->toContain('from the tangent of the pull leg');
});

it('keeps the pieces’ finished lengths adding up to the run', function () {
    $pieces = cut([new Bend(93, 0, 45, 114.3), new Bend(433, 30, 60, 152.4)], 74);
    $sum = array_sum(array_map(static fn (Piece $piece): float => $piece->span->lengthMm(), $pieces));
    expect($sum)->toBeClose(93 + 433 + 74 + (114.3 * M_PI) / 4 + (152.4 * M_PI) / 3);
});

// Common practice: half an inch long before the first trial fit; a tenth of the mean bead width for shrink [Blodgett,
// from memory].
it('cuts long by the trim and shrink allowances at the downstream end, and says why', function () {
    $piece = cut([new Bend(93, 0, 45, 114.3)], 500)[0];
    expect($piece->allowances->trim->value)->toBeClose(12.7)
        ->and($piece->allowances->shrink->value)->toBeClose(0.1 * 3 * 1.651)
        ->and($piece->cutLengthMm())->toBeClose($piece->span->lengthMm() + 12.7 + 0.4953)
        ->and($piece->allowances->startMm)->toBe(0.0)
        ->and($piece->allowances->endMm())->toBeClose(12.7 + 0.4953)
        ->and($piece->allowances->trim->reason->rule)->toContain('downstream')
        ->and($piece->allowances->trim->reason->source->kind->label())->toBe('common practice')
        ->and($piece->allowances->shrink->reason->source->citation)->toContain('Blodgett');
});

it('leaves nothing long where both ends lie in the bend, and no shrink for a flange', function () {
    $pieces = cut([new Bend(0, 0, 60, 114.3)], 0);
    expect($pieces[0]->allowances->trim->value)->toBe(0.0)
        ->and($pieces[0]->allowances->shrink->value)->toBe(0.0)
        ->and($pieces[0]->endPrep)->toBe(EndPrep::Square);
});

it('cuts no longer than its stock gives', function () {
    $legs = array_filter(Some::shop()->catalogue->bendsFor('T3.000x.065'), static fn (BendStock $bend): bool => $bend->clrMm === 114.3);
    $longest = max(array_map(static fn (BendStock $bend): float => $bend->longestLegMm(), $legs));
    // 4 mm of leg are left: so much can be left long, the shrink of the joint first.
    $piece = cut([new Bend(50, 0, 45, 114.3)], $longest - 4.0, start: EndKind::Flange)[0];
    expect($piece->allowances->totalMm())->toBeClose(4.0, 0, 1e-9)
        ->and($piece->allowances->trim->reason->rule)->toContain('used so far');
    // A weld elbow used whole has nothing to spare at all.
    $elbow = pieces([new Bend(0, 0, 90, 57.15), new Bend(100, 0, 90, 57.15)], 0, 'P1.5-10S')[0];
    expect($elbow->allowances->totalMm())->toBe(0.0)
        ->and($elbow->allowances->shrink->reason->rule)->toContain('nothing to add');
});

it('counts the shrink of a ring at the start of a run', function () {
    $shrink = 0.1 * 3 * 1.651;
    $piece = cut([new Bend(60, 0, 45, 114.3)], 500, start: EndKind::VBand)[0];
    expect($piece->allowances->startMm)->toBeClose($shrink)
        ->and($piece->allowances->shrink->value)->toBeClose(2 * $shrink)
        ->and($piece->startPrep)->toBe(EndPrep::LightBevel)
        ->and(cut([new Bend(60, 0, 45, 114.3)], 500, start: EndKind::Flange)[0]->startPrep)->toBe(EndPrep::Square);
});

it('allows for a ring by its own shrink and for tubes by theirs, and shares what was overruled the same way', function () {
    $shop = ShopReader::read(
        ['format' => 'upswept-bead/shop', 'version' => 1, 'name' => 'S', 'rules' => ['weld.shrink_ring' => '20 %']],
        new Faults(),
    );
    [$ofRing, $ofTubes] = [0.2 * 3 * 1.651, 0.1 * 3 * 1.651];
    $bends = [new Bend(60, 0, 45, 114.3), new Bend(200, 0, 45, 114.3)];
    $piece = pieces($bends, 500, start: EndKind::VBand, shop: $shop)[0];
    expect($piece->allowances->startMm)->toBeClose($ofRing)
        ->and($piece->allowances->shrink->value)->toBeClose($ofRing + $ofTubes)
        ->and(array_column($piece->allowances->shrink->reason->inputs, 'label'))->toContain(
            'Shrink across a butt of a tube and a ring as a share of the mean bead width',
            'Shrink across a butt of two tubes as a share of the mean bead width',
        );
    $given = pieces($bends, 500, overrides: [new Override('cut.C1.shrink', '3 mm', 'Measured.')], start: EndKind::VBand, shop: $shop)[0];
    expect($given->allowances->startMm)->toBeClose(2.0)->and($given->allowances->shrink->value)->toBeClose(3.0);
});

it('turns the first bend from the index mark of the start, the others from the throat before', function () {
    $pieces = array_filter(
        cut([new Bend(93, 10, 45, 114.3), new Bend(433, 30, 45, 114.3)], 74),
        static fn (Piece $piece): bool => $piece->isBend(),
    );
    expect(array_values(array_map(static fn (Piece $piece): bool => $piece->isFirstBend(), $pieces)))->toBe([true, false]);
});

it('lets a person overrule an allowance and keeps the proposal beside it', function () {
    $trim = cut([new Bend(93, 0, 45, 114.3)], 500, overrides: [new Override('cut.C1.trim', '1/4', 'tight van')])[0]
        ->allowances->trim;
    expect($trim->value)->toBeClose(6.35)
        ->and($trim->proposed)->toBeClose(12.7)
        ->and($trim->override?->why)->toBe('tight van');
});

it('has no stock for a piece that is overruled to be longer than any', function () {
    $nesting = nested(pieces([new Bend(93, 0, 45, 114.3)], 60, overrides: [new Override('cut.C1.trim', '20 in', '')]));
    expect($nesting->without[0]->mark)->toBe('C1')->and($nesting->pieces[0]->place)->toBeNull();
});

it('bevels to a land from 2 mm of wall', function () {
    expect(EndPrep::forButt(1.651))->toBe(EndPrep::LightBevel)
        ->and(EndPrep::forButt(3.05))->toBe(EndPrep::BevelAndLand);
});

it('packs straights with kerf, and shows the least number of bars', function () {
    $pieces = array_merge(...array_map(
        static fn (float $mm, string $letter): array => pieces([], $mm, letter: $letter),
        [700.0, 500.0, 400.0, 300.0],
        ['C', 'D', 'E', 'F'],
    ));
    $nesting = nested($pieces);
    expect($nesting->bars)->toHaveCount(2)->and($nesting->leastBars)->toBe(2);
    foreach ($nesting->bars as $bar) {
        $used =
            array_sum(array_map(static fn (Piece $piece): float => $piece->cutLengthMm(), $bar->pieces)) +
            3 +
            count($bar->pieces) * 1;
        expect($used + $bar->leftMm)->toBeClose(1219.2);
    }
});

it('names a straight that no bar holds', function () {
    expect(nested(pieces([], 1300))->without[0]->mark)->toBe('C1');
});

it('does not cut two long-legged pieces from one bend whose other leg is short', function () {
    // 20 degrees and 5 1/2 in of straight, twice: the clamp leg of 4 in holds neither.
    $pieces = [
        ...pieces([new Bend(139.7 - 13.2, 0, 20, 76.2)], 0, 'T1.625x.065', letter: 'C'),
        ...pieces([new Bend(139.7 - 13.2, 0, 20, 76.2)], 0, 'T1.625x.065', letter: 'D'),
    ];
    expect(nested($pieces, 'T1.625x.065')->donors)->toHaveCount(2);
});

it('does not ask for one bar more where the pieces fill theirs to the last', function () {
    $rules = ShopRules::shipped();
    $spare = $rules->value('cut.stock_length') - $rules->value('cut.end_trim') + $rules->value('cut.kerf');
    $long = static fn (Piece $piece): float => $piece->cutLengthMm() + $rules->value('cut.kerf');
    // Three pieces that take a bar to the last, by what each is cut longer than it ends up.
    $more = $long(pieces([], 300)[0]) - 300;
    $thirds = array_map(
        static fn (string $letter): Piece => pieces([], round($spare / 3 - $more - 0.001, 3), letter: $letter)[0],
        ['C', 'D', 'E', 'F'],
    );
    $one = nested(array_slice($thirds, 0, 3));
    $two = nested($thirds);
    expect($one->leastBars)->toBe(1)->and($two->leastBars)->toBe(2)->and($two->bars)->toHaveCount(2);
});

it('says where the saw has nothing to hold, and where two joints are too near', function () {
    $notices = static function (array $bends, float $end, string $tubeId): string {
        $job = Some::job();
        $spec = new RunSpec('C', '', $tubeId, $job->runs[0]->start, $job->runs[0]->end, null, []);
        $tube = Some::shop()->catalogue->tube($tubeId);
        $run = new TubeRun(Frame::facing(new Vector(0, 0, 0), new Vector(1, 0, 0)), $bends, $end);
        $routed = new RoutedRun($spec, 'runs[0]', $tube, $run, FarEnd::of($run, $run->end()));
        $nesting = nested(pieces($bends, $end, $tubeId), $tubeId);

        return implode("\n", array_map(
            static fn (Notice $notice): string => $notice->message,
            CutNotices::of([$routed], [], ['C' => $nesting->pieces], [$nesting]),
        ));
    };
    // Half a short elbow on 38.1 mm: 30 mm of piece and 29 left, the saw wants 2 in.
    expect($notices([new Bend(0, 0, 45, 38.1)], 0, 'P1.5-10S'))->toContain('long enough for the saw to hold');
    // 6 mm of elbow between two joints, five walls are 13.9.
    expect($notices([new Bend(0, 0, 90, 57.15), new Bend(0, 0, 6, 57.15), new Bend(0, 0, 90, 57.15)], 0, 'P1.5-10S'))
        ->toContain('piece C2 are nearer to each other than five walls');
    expect($notices([new Bend(80, 0, 45, 114.3)], 80, 'T3.000x.065'))->toBe('');
});

it('cuts what was chosen from where it was chosen, and the rest where it fits', function () {
    $chosen = pieces([new Bend(60, 0, 35, 114.3)], 0, letter: 'C')[0]->wantedFrom('B3.000x.065-R4.5-90 1');
    // Too much for the rest of that bend: it opens another of the same kind.
    $free = pieces([new Bend(90, 0, 70, 114.3)], 0, letter: 'D')[0];
    foreach (nested([$chosen, $free])->pieces as $piece) {
        $place = $piece->place ?? throw new RuntimeException('no place');
        $legMm = $piece->allowances->startMm + $piece->span->legBeforeMm;
        $tangent = $place->isReversed ? $place->untilMm - $legMm : $place->atMm + $legMm;
        // Where its leg ends, its bend begins at a tangent of the stock.
        expect(min(abs($tangent - $place->arcFromMm), abs($tangent - $place->arcToMm)))->toBeLessThan(0.01);
    }
    expect(nested([$chosen])->pieces[0]->place?->stockId)->toBe('B3.000x.065-R4.5-90');
});

it('gives up soon where many pieces were chosen to come from one bend that does not hold them', function () {
    $pieces = [];
    foreach (range('A', 'Z') as $letter) {
        $pieces[] = pieces([new Bend(0, 0, 5, 114.3)], 0, letter: $letter)[0]->wantedFrom('B3.000x.065-R4.5-90 1');
    }
    // All 26 are cut, from more than the one that was chosen: 26 times 5 degrees with their kerfs are 143.
    $nesting = nested($pieces);
    expect($nesting->without)->toBe([])->and(count($nesting->donors))->toBeGreaterThan(1);
});

// A 35° piece out of a 45° elbow of 57.15 mm: 45 − 35 and one kerf of 1 mm, which is 1.0° there.
it('leaves of a bend what the kerf leaves', function () {
    $left = nested(pieces([new Bend(100, 0, 35, 57.15)], 100, 'P1.5-10S'), 'P1.5-10S')->donors[0]->leftDeg;
    expect($left)->toBeClose(45 - 35 - rad2deg(1 / 57.15), 1e-6);
});

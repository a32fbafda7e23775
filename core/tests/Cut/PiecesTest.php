<?php

declare(strict_types=1);

use UpsweptBead\Core\Cut\EndPrep;
use UpsweptBead\Core\Cut\Nesting;
use UpsweptBead\Core\Cut\Piece;
use UpsweptBead\Core\Cut\Pieces;
use UpsweptBead\Core\Geometry\Frame;
use UpsweptBead\Core\Geometry\Vector;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\RunSpec;
use UpsweptBead\Core\Layout\RoutedRun;
use UpsweptBead\Core\Reason\Override;
use UpsweptBead\Core\Reason\Overrides;
use UpsweptBead\Core\Run\Bend;
use UpsweptBead\Core\Run\FarEnd;
use UpsweptBead\Core\Run\Jointing;
use UpsweptBead\Core\Run\TubeRun;
use UpsweptBead\Core\Shop\Shop;
use UpsweptBead\Core\Shop\ShopRules;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Units\UnitSystem;

/**
 * @param  list<Bend>  $bends
 * @param  list<Override>  $overrides
 * @return list<Piece>
 */
function cut(array $bends, float $endStraightMm, string $tubeId = 'T3.000x.065', array $overrides = []): array
{
    $shop = Shop::bare();
    $run = new TubeRun(Frame::facing(new Vector(0, 0, 0), new Vector(1, 0, 0)), $bends, $endStraightMm);
    // A run named C that ends in a flange, as the example's does.
    $job = Some::job();
    $spec = new RunSpec('C', '', $tubeId, $job->runs[0]->start, $job->runs[0]->end, null, []);
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

    return Pieces::of($routed, Jointing::of($run, $shop->catalogue->bendsFor($tubeId)) ?? [], $job, $shop);
}

it('marks pieces with the run’s letter and a number', function () {
    expect(
        array_map(
            static fn (Piece $piece): string => $piece->mark,
            cut([new Bend(93, 0, 45, 114.3), new Bend(433, 30, 45, 114.3)], 74),
        ),
    )->toBe(['C1', 'C2', 'C3']);
});

it('puts a bend’s cut where the angle is on every line of the tube', function () {
    $mark = cut([new Bend(0, 0, 35, 114.3)], 0)[0]->marks[0];
    expect($mark->centreMm)->toBeClose(114.3 * deg2rad(35))
        ->and($mark->outerMm)->toBeClose((114.3 + 38.1) * deg2rad(35))
        ->and($mark->innerMm)->toBeClose((114.3 - 38.1) * deg2rad(35));
});

it('keeps the pieces’ finished lengths adding up to the run', function () {
    $pieces = cut([new Bend(93, 0, 45, 114.3), new Bend(433, 30, 60, 152.4)], 74);
    $sum = array_sum(array_map(static fn (Piece $piece): float => $piece->span->lengthMm(), $pieces));
    expect($sum)->toBeClose(93 + 433 + 74 + (114.3 * M_PI) / 4 + (152.4 * M_PI) / 3);
});

// Common practice: half an inch long before the first trial fit; a tenth of the mean bead width for shrink [Blodgett, from memory].
it('cuts long by the trim and shrink allowances, and says why', function () {
    $piece = cut([new Bend(93, 0, 45, 114.3)], 500)[0];
    expect($piece->allowances->trim->value)->toBeClose(12.7)
        ->and($piece->allowances->shrink->value)->toBeClose(0.1 * 3 * 1.651)
        ->and($piece->cutLengthMm())->toBeClose($piece->span->lengthMm() + 12.7 + 0.4953)
        ->and($piece->allowances->trim->reason->source->kind->label())->toBe('common practice')
        ->and($piece->allowances->shrink->reason->source->citation)->toContain('Blodgett');
});

it('leaves nothing long where both ends lie in the bend, and no shrink for a flange', function () {
    $pieces = cut([new Bend(0, 0, 60, 114.3)], 0);
    expect($pieces[0]->allowances->trim->value)->toBe(0.0)
        ->and($pieces[0]->allowances->shrink->value)->toBe(0.0)
        ->and($pieces[0]->endPrep)->toBe(EndPrep::Square);
});

it('lets a person overrule an allowance and keeps the proposal beside it', function () {
    $trim = cut([new Bend(93, 0, 45, 114.3)], 500, overrides: [new Override('cut.C1.trim', '1/4', 'tight van')])[0]
        ->allowances->trim;
    expect($trim->value)->toBeClose(6.35)
        ->and($trim->proposed)->toBeClose(12.7)
        ->and($trim->override?->why)->toBe('tight van');
});

it('bevels to a land from 2 mm of wall', function () {
    expect(EndPrep::forButt(1.651))->toBe(EndPrep::LightBevel)
        ->and(EndPrep::forButt(3.05))->toBe(EndPrep::BevelAndLand);
});

it('nests straights first fit, with kerf, and shows the least number of bars', function () {
    $pieces = [...cut([], 700), ...cut([], 500), ...cut([], 400), ...cut([], 300)];
    $nesting = Nesting::of('T3.000x.065', $pieces, ShopRules::shipped());
    expect($nesting->bars)->toHaveCount(2)->and($nesting->leastBars)->toBe(2);
    foreach ($nesting->bars as $bar) {
        $used =
            array_sum(array_map(static fn (Piece $piece): float => $piece->cutLengthMm(), $bar->pieces)) +
            3 +
            (count($bar->pieces) - 1) * 1;
        expect($used + $bar->leftMm)->toBeClose(1219.2);
    }
});

it('names a straight that no bar holds', function () {
    expect(Nesting::of('T3.000x.065', cut([], 1300), ShopRules::shipped())->tooLong[0]->mark)->toBe('C1');
});

// A 35° piece out of a 90° bend leaves 90 − 35 − w/R, w/R being the kerf in degrees.
it('takes several pieces out of one bend while its legs and angle last', function () {
    $pieces = cut([new Bend(90, 0, 35, 114.3), new Bend(0, 90, 35, 114.3)], 90);
    $donors = Nesting::of('T3.000x.065', $pieces, ShopRules::shipped())->donors;
    $bends = array_values(array_filter($donors, static fn ($donor): bool => $donor->stock->angleDeg === 45.0));
    expect($bends)->toHaveCount(2)
        ->and($bends[0]->leftDeg)->toBeClose(45 - 35 - rad2deg(1 / 114.3));
});

it('does not ask for one bar more where the pieces fill theirs to the last', function () {
    $rules = ShopRules::shipped();
    $spare = $rules->value('cut.stock_length') - $rules->value('cut.end_trim') + $rules->value('cut.kerf');
    $long = static fn (Piece $piece): float => $piece->cutLengthMm() + $rules->value('cut.kerf');
    // Three pieces that take a bar to the last, by what each is cut longer than it ends up.
    $more = $long(cut([], 300)[0]) - 300;
    $third = cut([], $spare / 3 - $more);
    $one = Nesting::of('T3.000x.065', [...$third, ...$third, ...$third], $rules);
    $two = Nesting::of('T3.000x.065', [...$third, ...$third, ...$third, ...$third], $rules);
    expect($one->leastBars)->toBe(1)->and($two->leastBars)->toBe(2)->and($two->bars)->toHaveCount(2);
});

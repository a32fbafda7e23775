<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Stage\Weld\Backing;
use UpsweptBead\Core\Stage\Weld\Heat;
use UpsweptBead\Core\Stage\Weld\JointSheet;
use UpsweptBead\Core\Stage\Weld\Machine;
use UpsweptBead\Core\Stage\Weld\TorchSettings;
use UpsweptBead\Core\Stage\Weld\WeldPlan;
use UpsweptBead\Core\Tests\Support\Some;

covers(Backing::class, WeldPlan::class);

/** @return array<string, JointSheet> the example job's sheets by joint */
function sheets(): array
{
    return Some::plan()->weld->sheets;
}

// IEC 60974-1: U = 10 + 0.04·I. EN 1011-1: k = 0.6 for TIG.
it('computes arc volts and heat input by the published conventions', function () {
    expect(Heat::arcVolts(100))->toBeClose(14.0)
        ->and(Heat::inputKjMm(100, 60))->toBeClose((0.6 * 14 * 100) / 1000);
});

// Observed: 5 s at 50 A, 6 s at 75 A, 9–12 s at 130 A; common practice.
it('holds the post-flow about as long as good benches do', function (float $amps, float $least, float $most) {
    $figure = TorchSettings::postflow(
        UpsweptBead\Core\Base\Reason\Figure::of(
            'x',
            'x',
            UpsweptBead\Core\Base\Units\Quantity::Current,
            $amps,
            new UpsweptBead\Core\Base\Reason\Reason('', [], UpsweptBead\Core\Base\Reason\Source::trade()),
        ),
        ShopRules::shipped(),
        'AJ1',
    );
    expect($figure->value)->toBeGreaterThanOrEqual($least)->toBeLessThanOrEqual($most);
})->with([[50, 5, 5], [75, 6, 7.5], [130, 9, 13]]);

// Common practice: #12 at 25–30 CFH, 1/16 in tungsten to about 110 A.
it('sets a 12 cup within its flow range, laminar, and a sixteenth tungsten for thin tube', function () {
    $sheet = sheets()['AJ2'];
    $cfh = $sheet->settings['flow']->value / (28.316846592 / 60);
    expect($cfh)->toBeGreaterThanOrEqual(25.0)->toBeLessThanOrEqual(30.0)
        ->and($sheet->choices['tungsten']->value)->toStartWith('1/16 in')
        ->and($sheet->warnings())->toBe([]);
});

// From memory: about 26 CFH through a 10 mm cup reaches Re 2000.
it('knows where gas through a cup becomes turbulent', function () {
    expect(TorchSettings::reynolds((26 * 28.316846592) / 60, 10))->toBeClose(2000.0, 0.02);
});

it('sets more on the ring and the flange than on the tube’s own butts', function () {
    $amps = array_map(static fn (JointSheet $sheet): float => $sheet->settings['amps']->value, sheets());
    expect($amps)->toMatchArray(['AJ2' => 50.0, 'AJ1' => 65.0, 'AJ4' => 35.0, 'AJ5' => 75.0]);
});

it('carries an overruled current on into everything that follows from it', function () {
    $document = Some::document();
    $document['overrides'] = [['figure' => 'weld.AJ2.amps', 'value' => '80 A', 'why' => 'gap']];
    $job = UpsweptBead\Core\Job\JobReader::fromDecoded($document)->job?->routed('A', Some::routedJob()->runs[0]->route);
    $sheet = UpsweptBead\Core\Stage\Plan\Planner::plan($job ?? Some::job(), Some::shop())->weld->sheets['AJ2'];
    expect($sheet->settings['amps']->value)->toBe(80.0)
        ->and($sheet->settings['amps']->proposed)->toBe(50.0)
        ->and($sheet->settings['pedal']->value)->toBe(90.0)
        ->and($sheet->settings['postflow']->value)->toBe(8.0)
        ->and($sheet->settings['heat']->value)->toBeClose(Heat::inputKjMm(80, 80));
});

// Common practice: pulse peak 1.2–1.3 of the base, background 30–40 %; a thin butt was seen at 75 A peak.
it('says what to set by how the machine is worked', function () {
    [$pedal, $wheel, $pulse] = Machine::lines(50.0, 55.0);
    expect($pedal)->toContain('55 A')->and($wheel)->toContain('50 A')->and($pulse)->toContain('peak 60 A, 20 A between')
        ->and(Machine::lines(60.0, 65.0)[2])->toContain('peak 70 A');
});

it('opens the working of every number it proposes', function () {
    foreach (sheets() as $sheet) {
        foreach ([...$sheet->settings, ...$sheet->choices, ...$sheet->purge->figures] as $figure) {
            expect($figure->reason->rule)->not->toBe('')
                ->and($figure->reason->source->text())->not->toBe('')
                ->and(array_map(static fn ($input): string => $input->text(UnitSystem::Inch), $figure->reason->inputs))
                ->not->toContain('');
        }
    }
});

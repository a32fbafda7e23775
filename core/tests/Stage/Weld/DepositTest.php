<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Joint\JointType;
use UpsweptBead\Core\Stage\Joint\Seam;
use UpsweptBead\Core\Stage\Joint\Side;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Stage\Weld\Deposit;
use UpsweptBead\Core\Stage\Weld\Filler;
use UpsweptBead\Core\Tests\Support\Some;

function seamOf(JointType $type, float $wallMm, float $otherMm, float $odMm = 76.2): Joint
{
    return new Joint(
        'AJ2', 'A', $type, new Side('A1', '304L', $wallMm), new Side('A2', '304L', $otherMm),
        Seam::round(100.0, $odMm, $odMm, 2),
    );
}

// Common practice, no source: thin tube in one pass, schedule 40 pipe with a root and a cap.
it('fills heavy walls in passes', function (JointType $type, float $wallMm, float $otherMm, float $passes) {
    expect(Deposit::passes(seamOf($type, $wallMm, $otherMm))->value)->toBe($passes);
})->with([
    'thin butt' => [JointType::Butt, 1.651, 1.651, 1.0],
    'schedule 10' => [JointType::Butt, 2.77, 2.77, 1.0],
    'schedule 40, .145' => [JointType::Butt, 3.683, 3.683, 2.0],
    '1/4 in plate' => [JointType::Butt, 6.35, 6.35, 3.0],
    'tube to a thick flange goes by the tube' => [JointType::FlangeFillet, 1.651, 12.7, 1.0],
    'a seal is run once' => [JointType::FlangeSeal, 5.5, 12.7, 1.0],
    'a tab is run once' => [JointType::Tab, 5.5, 5.5, 1.0],
]);

it('takes the arc, the stops and the heat of every pass', function () {
    $one = Planner::plan(Some::routedJob(), Some::shop())->weld->sheets['AJ2'];
    expect($one->settings['passes']->value)->toBe(1.0);
    $document = UpsweptBead\Core\Job\JobWriter::toArray(Some::routedJob());
    $document['overrides'] = [['figure' => 'weld.AJ2.passes', 'value' => '2', 'why' => 'wide gap']];
    $two = Planner::plan(UpsweptBead\Core\Job\JobReader::fromDecoded($document)->job ?? throw new LogicException('unreadable'), Some::shop())
        ->weld->sheets['AJ2'];
    expect($two->settings['arc']->value)->toBeClose(2 * $one->settings['arc']->value)
        ->and($two->settings['stops']->value)->toBe(2 * $one->settings['stops']->value)
        ->and($two->times->weldS)->toBeClose(2 * $one->times->weldS)
        ->and($two->times->coolS)->toBeGreaterThan($one->times->coolS)
        ->and(implode(' ', $two->warnings()))->toContain('bright metal');
});

// By hand, 3 in x .065: vee .25 t² = .68 mm², over it 2/3 · 3t · .35t = 1.91 mm², a gap of .1 mm .17 mm²; 239.4 mm of
// seam and a tenth for stubs.
it('cuts as much wire as the seam takes', function () {
    $joint = seamOf(JointType::Butt, 1.651, 1.651);
    $wire = Filler::size($joint, UnitSystem::Inch);
    $areaMm2 = 0.25 * 1.651 ** 2 + 2 / 3 * 3 * 1.651 * 0.35 * 1.651;
    $length = Deposit::wire($joint, $wire, 3.0, ShopRules::shipped()->get('fit.gap_usual'));
    $withGapMm2 = $areaMm2 + 0.1 * 1.651;
    expect(Deposit::areaMm2($joint, 3.0))->toBeClose($areaMm2, 1e-6)
        ->and($length->value)->toBeClose(M_PI * 76.2 * $withGapMm2 / 0.9 / (M_PI / 4 * 1.143 ** 2), 1e-3)
        // Handbook sum of practice: seam length × area × 7.93e-3 g/mm³ / 0.9.
        ->and(1000 * Deposit::mass($joint, $length, $wire)->value)->toBeClose(M_PI * 76.2 * $withGapMm2 * 7.93e-3 / 0.9, 1e-3);
});

// Common practice by gauge: .049 .035; .065 .035 to .045; .083 to .109 .045 to 1/16; from .120 on 1/16 to 3/32.
it('knows which wires are in use for a wall', function (float $wallIn, float $leastIn, float $mostIn) {
    $sizes = Filler::sizes(seamOf(JointType::Butt, $wallIn * 25.4, $wallIn * 25.4), UnitSystem::Inch);
    expect($sizes[0])->toBeClose($leastIn * 25.4)->and($sizes[1])->toBeClose($mostIn * 25.4);
})->with([[0.049, 0.035, 0.035], [0.065, 0.035, 0.045], [0.083, 0.045, 0.0625], [0.109, 0.045, 0.0625], [0.120, 0.0625, 0.09375]]);

it('proposes every setting within what is usual for it', function () {
    foreach (Planner::plan(Some::routedJob(), Some::shop())->weld->sheets as $id => $sheet) {
        foreach ($sheet->ranges as $name => [, $least, $most]) {
            $value = match ($name) {
                'fillFlow' => $sheet->purge->value('flow'),
                'holdFlow' => $sheet->purge->value('hold'),
                default => isset($sheet->settings[$name]) ? $sheet->settings[$name]->value : null,
            };
            // A seam that is fused takes no wire.
            if ($value !== null) {
                expect($value)->toBeGreaterThanOrEqual($least - 1e-6, "$id $name")->toBeLessThanOrEqual($most + 1e-6, "$id $name");
            }
        }
    }
});

<?php

declare(strict_types=1);

use UpsweptBead\Core\Joint\Joint;
use UpsweptBead\Core\Joint\JointType;
use UpsweptBead\Core\Joint\Seam;
use UpsweptBead\Core\Joint\Side;
use UpsweptBead\Core\Shop\ShopRules;
use UpsweptBead\Core\Stock\Catalogue;
use UpsweptBead\Core\Units\UnitSystem;
use UpsweptBead\Core\Weld\Amperage;
use UpsweptBead\Core\Weld\Filler;
use UpsweptBead\Core\Weld\Preheat;

function seam(string $metal, string $other, float $wallMm = 1.651, JointType $type = JointType::Butt): Joint
{
    return new Joint(
        'AJ1',
        'A',
        $type,
        new Side('A1', $metal, $wallMm),
        new Side('A2', $other, $wallMm),
        Seam::round(0, 76.2, 76.2, 1),
    );
}

// AWS A5.9 (stainless), A5.18 (mild); pairings from memory.
it('chooses the wire by both base metals, in either order', function (string $one, string $other, string $filler) {
    expect(Filler::alloy(seam($one, $other), Catalogue::shipped())->value)->toBe($filler)
        ->and(Filler::alloy(seam($other, $one), Catalogue::shipped())->value)->toBe($filler);
})->with([
    ['304L', '304L', 'ER308L'],
    ['321', '321', 'ER347'],
    ['347', '347', 'ER347'],
    ['304L', '321', 'ER347'],
    ['316L', '316L', 'ER316L'],
    ['304L', '316L', 'ER308L'],
    ['309', '309', 'ER309L'],
    ['310', '310', 'ER310'],
    ['409', '409', 'ER409Nb'],
    ['304L', '409', 'ER309L'],
    ['304L', 'mild', 'ER309L'],
    ['304L', 'cast-steel', 'ER309L'],
    ['321', 'cast-steel', 'ER309L'],
    ['409', 'cast-steel', 'ER309L'],
    ['304L', 'cast-iron', 'ERNiFeMn-CI'],
    ['321', '625', 'ERNiCrMo-3'],
    ['mild', 'mild', 'ER70S-2'],
]);

it('proposes nothing where nothing should be proposed, and says why', function (string $other, string $why) {
    $choice = Filler::alloy(seam('304L', $other), Catalogue::shipped());
    expect($choice->value)->toBe(Filler::NONE)->and($choice->reason->rule)->toContain($why);
})->with([
    ['titanium', 'never joins steel'],
    ['303', 'cracks when welded'],
    ['unknown-casting', 'identify the casting'],
]);

it('says so when a pair is not in the table', function () {
    expect(Filler::alloy(seam('310', '409'), Catalogue::shipped())->value)->toBe('ER309L')
        ->and(Filler::alloy(seam('310', '409'), Catalogue::shipped())->reason->rule)->toContain('not in the table');
});

// Undiluted stainless and mild steel melt to a hard, crack-prone mix: common practice is ER309L, never dry.
it('feeds a seal between unlike metals, and holds back what is never welded', function (string $other, string $filler) {
    expect(Filler::alloy(seam('304L', $other, type: JointType::FlangeSeal), Catalogue::shipped())->value)->toBe($filler);
})->with([['mild', 'ER309L'], ['409', 'ER309L'], ['cast-iron', 'ERNiFeMn-CI'], ['titanium', Filler::NONE], ['303', Filler::NONE]]);

it('asks for preheat and slow cooling wherever one side is cast, and takes 5 % less current there', function (string $metal) {
    $joint = seam($metal, 'cast-steel');
    expect(implode(' ', Preheat::lines($joint)))->toContain('200–300 °C')->toContain('cool slowly')
        ->and(Preheat::lines(seam($metal, $metal)))->toBe([])
        ->and(Amperage::figure($joint, ShopRules::shipped())->value)->toBe(50.0);
})->with(['304L', '321', '347', '409', 'mild']);

it('fuses the inside seal without wire', function () {
    expect(Filler::alloy(seam('304L', '304L', type: JointType::FlangeSeal), Catalogue::shipped())->value)->toBe(
        Filler::NONE,
    );
});

// Common practice by wall.
it('sizes the wire by the thinner wall and never thicker than it', function (float $thou, float $inches) {
    $size = Filler::size(seam('304L', '304L', $thou * 0.0254), UnitSystem::Inch)->value / 25.4;
    expect($size)->toBeClose($inches, 1e-6)
        ->and($size)->toBeLessThanOrEqual($thou / 1000);
})->with([[49, 0.035], [65, 0.045], [83, 0.0625], [109, 0.0625], [120, 0.09375]]);

// Sizes of ISO 544, from memory: what a shop that buys by the millimetre has on the shelf.
it('takes the wire that is sold by the millimetre where the job is metric', function (float $wallMm, float $wireMm) {
    $size = Filler::size(seam('304L', '304L', $wallMm), UnitSystem::Metric)->value;
    expect($size)->toBe($wireMm)->toBeLessThanOrEqual($wallMm);
})->with([[0.9, 0.8], [1.2, 1.0], [1.5, 1.2], [1.651, 1.2], [2.0, 1.2], [2.77, 1.6], [3.05, 2.4]]);

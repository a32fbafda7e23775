<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Job\JobReader;
use UpsweptBead\Core\Job\JobWriter;
use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Shop\Stock\Catalogue;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Joint\JointType;
use UpsweptBead\Core\Stage\Joint\Seam;
use UpsweptBead\Core\Stage\Joint\Side;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Stage\Weld\Amperage;
use UpsweptBead\Core\Stage\Weld\Filler;
use UpsweptBead\Core\Stage\Weld\Preheat;
use UpsweptBead\Core\Tests\Support\Some;

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
    expect($choice->value)->toBe(Filler::REFUSED)->and($choice->reason->rule)->toContain($why);
})->with([
    ['titanium', 'never joins steel'],
    ['303', 'cracks when welded'],
    ['unknown-casting', 'identify the casting'],
]);

/**
 * The whole matrix, by hand, to be read line by line against the pairings of practice: AWS A5.9, A5.14, A5.15, A5.18
 * name the wires, which pair takes which is from memory. 303 and titanium are refused, and so is a casting that nobody
 * has identified.
 */
const MATRIX = <<<'TABLE'
                304L    316L    321     347     309     310     409     625   mild    cast-stainless cast-steel cast-iron
304L            308L    308L    347     347     309L    309L    309L    CrMo3 309L    309L           309L       CI
316L            308L    316L    347     347     309L    309L    309L    CrMo3 309L    309L           309L       CI
321             347     347     347     347     309L    309L    309L    CrMo3 309L    309L           309L       CI
347             347     347     347     347     309L    309L    309L    CrMo3 309L    309L           309L       CI
309             309L    309L    309L    309L    309L    309L    309L    CrMo3 309L    309L           309L       CI
310             309L    309L    309L    309L    309L    310     309L    CrMo3 309L    309L           309L       CI
409             309L    309L    309L    309L    309L    309L    409Nb   CrMo3 309L    309L           309L       CI
625             CrMo3   CrMo3   CrMo3   CrMo3   CrMo3   CrMo3   CrMo3   CrMo3 CrMo3   CrMo3          CrMo3      CI
mild            309L    309L    309L    309L    309L    309L    309L    CrMo3 70S-2   309L           70S-2      CI
cast-stainless  309L    309L    309L    309L    309L    309L    309L    CrMo3 309L    309L           309L       CI
cast-steel      309L    309L    309L    309L    309L    309L    309L    CrMo3 70S-2   309L           70S-2      CI
cast-iron       CI      CI      CI      CI      CI      CI      CI      CI    CI      CI             CI         CI
TABLE;

it('has a wire for every pair of metals that is welded, and refuses all others', function () {
    $short = ['ERNiCrMo-3' => 'CrMo3', 'ERNiFeMn-CI' => 'CI'];
    $lines = array_map(static fn (string $line): array => explode(' ', (string) preg_replace('/\s+/', ' ', trim($line))), explode("\n", MATRIX));
    $named = array_shift($lines) ?? [];
    $asked = 0;
    foreach ($lines as $line) {
        $one = array_shift($line) ?? '';
        foreach ($line as $i => $wanted) {
            $choice = Filler::alloy(seam($one, $named[$i]), Catalogue::shipped());
            expect($short[$choice->value] ?? substr($choice->value, 2))->toBe($wanted, "$one to {$named[$i]}");
            $asked++;
        }
    }
    expect($asked)->toBe(144);
    foreach (array_keys(Catalogue::shipped()->metals) as $one) {
        foreach (array_diff(array_map(strval(...), array_keys(Catalogue::shipped()->metals)), $named) as $other) {
            expect(Filler::alloy(seam("$one", $other), Catalogue::shipped())->value)->toBe(Filler::REFUSED);
        }
    }
});

it('never fuses a casting dry', function (string $metal, string $filler) {
    expect(Filler::alloy(seam($metal, $metal, type: JointType::FlangeSeal), Catalogue::shipped())->value)->toBe($filler);
})->with([['cast-iron', 'ERNiFeMn-CI'], ['cast-steel', 'ER70S-2'], ['304L', Filler::NONE]]);

it('shows nothing to set where a pair is not to be welded', function () {
    $document = JobWriter::toArray(Some::routedJob());
    $document['job'] = [...is_array($document['job']) ? $document['job'] : [], 'metal' => '303'];
    $plan = Planner::plan(JobReader::fromDecoded($document)->job ?? throw new LogicException('unreadable'), Some::shop());
    $sheet = $plan->weld->sheets['AJ2'];
    expect($sheet->refusal())->toContain('cracks when welded')
        ->and($sheet->warnings())->toHaveCount(1)
        ->and($sheet->settings)->not->toHaveKey('wire')
        ->and($plan->problems())->not->toBe([]);
});

// Undiluted stainless and mild steel melt to a hard, crack-prone mix: common practice is ER309L, never dry.
it('feeds a seal between unlike metals, and holds back what is never welded', function (string $other, string $filler) {
    expect(Filler::alloy(seam('304L', $other, type: JointType::FlangeSeal), Catalogue::shipped())->value)->toBe($filler);
})->with([['mild', 'ER309L'], ['409', 'ER309L'], ['cast-iron', 'ERNiFeMn-CI'], ['titanium', Filler::REFUSED], ['303', Filler::REFUSED]]);

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

<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Document\UnusableDocument;
use UpsweptBead\Core\Exchange\Files\CoolAnswerWriter;
use UpsweptBead\Core\Exchange\Files\CoolProblem;
use UpsweptBead\Core\Exchange\Files\CoolProblemReader;
use UpsweptBead\Core\Exchange\Files\WeldRefusal;
use UpsweptBead\Core\Tests\Support\Mutations;
use UpsweptBead\Core\Tests\Support\SomeCooling;

/** @return list<array{string, mixed}> field and value of everything that is wrong */
function coolFaults(mixed $problem): array
{
    $read = CoolProblemReader::read(json_encode($problem, JSON_THROW_ON_ERROR));

    return $read instanceof CoolProblem ? [] : array_map(static function ($fault): array {
        $refusal = WeldRefusal::ofFault($fault);

        return [$refusal->field, $refusal->by];
    }, $read);
}

it('names the field and the value that are wrong', function (array $change, string $field, mixed $by) {
    expect(coolFaults(array_replace_recursive(SomeCooling::shipped('c04-end-with-ring'), $change)))->toBe([[$field, $by]]);
})->with([
    'a wall that fills the tube' => [['tube' => ['wall_mm' => 40]], 'tube.wall_mm', 40],
    'no tube' => [['tube' => ['od_mm' => 0]], 'tube.od_mm', 0],
    'a word for a number' => [['metal' => ['density_kg_m3' => 'heavy']], 'metal.density_kg_m3', 'heavy'],
    'a table that goes back' => [['metal' => ['specific_heat_j_kgk' => [1 => [0 => 10]]]], 'metal.specific_heat_j_kgk[1][0]', 10],
    'a property of nothing' => [['metal' => ['conductivity_w_mk' => [0 => [1 => -3]]]], 'metal.conductivity_w_mk[0][1]', -3],
    'an end nobody knows' => [['sides' => [['end' => ['kind' => 'wing']]]], 'sides[0].end.kind', 'wing'],
    'a ring of nothing' => [['sides' => [['end' => ['mass_kg' => 0]]]], 'sides[0].end.mass_kg', 0],
    'air nobody knows' => [['air' => ['film' => 'wet']], 'air.film', 'wet'],
    'no amps' => [['weld' => ['amps' => -5]], 'weld.amps', -5],
    'half a run' => [['weld' => ['runs' => 2.5]], 'weld.runs', 2.5],
    'more than all of the heat' => [['weld' => ['efficiency' => 1.2]], 'weld.efficiency', 1.2],
    'a limit of the air itself' => [['asked' => ['limits_c' => [1 => 20]]], 'asked.limits_c[1]', 20],
    'a place beyond the tube' => [['asked' => ['distances' => [1 => ['mm' => 601]]]], 'asked.distances[1].mm', 601],
    'a third side' => [['asked' => ['distances' => [['side' => 2]]]], 'asked.distances[0].side', 2],
]);

it('wants some tube on one side of the seam at least', function () {
    $problem = SomeCooling::shipped('c04-end-with-ring');
    $problem['sides'][1]['length_mm'] = 0;
    unset($problem['asked']['distances']);
    expect(coolFaults($problem)[0][0])->toBe('sides');
});

it('answers or refuses, whatever was done to a file, and what it says can be sent', function (int $seed) {
    $mutations = new Mutations($seed);
    $files = [SomeCooling::shipped('c04-end-with-ring'), SomeCooling::shipped('plate-near')];
    $seen = [];
    for ($i = 0; $i < 60; $i++) {
        try {
            $read = CoolProblemReader::read((string) json_encode($mutations->of($files[$i % 2]), JSON_PARTIAL_OUTPUT_ON_ERROR));
            $answer = $read instanceof CoolProblem ? CoolAnswerWriter::toArray($read) : CoolAnswerWriter::refused('', array_map(WeldRefusal::ofFault(...), $read));
            expect(json_encode($answer, JSON_THROW_ON_ERROR))->toBeString();
            $seen[is_string($answer['status']) ? $answer['status'] : ''] = true;
        } catch (UnusableDocument $error) {
            expect($error->getMessage())->not->toBe('');
        }
    }
    expect($seen)->toHaveKey('refused')->toHaveKey('solved');
})->with([1, 2, 3]);

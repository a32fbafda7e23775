<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Document\UnusableDocument;
use UpsweptBead\Core\Exchange\Files\ReachAnswerWriter;
use UpsweptBead\Core\Exchange\Files\ReachProblem;
use UpsweptBead\Core\Exchange\Files\ReachProblemReader;
use UpsweptBead\Core\Exchange\Files\WeldRefusal;
use UpsweptBead\Core\Tests\Support\Mutations;
use UpsweptBead\Core\Tests\Support\SomeReach;

/** @return list<array{string, mixed}> field and value of everything that is wrong */
function reachFaults(mixed $problem): array
{
    $read = ReachProblemReader::read(json_encode($problem, JSON_THROW_ON_ERROR));

    return $read instanceof ReachProblem ? [] : array_map(static function ($fault): array {
        $refusal = WeldRefusal::ofFault($fault);

        return [$refusal->field, $refusal->by];
    }, $read);
}

it('names the field and the value that are wrong', function (array $change, string $field, mixed $by) {
    expect(reachFaults(array_replace_recursive(SomeReach::shipped('r04-flange-fillet'), $change)))->toBe([[$field, $by]]);
})->with([
    'a cup of nothing' => [['cups' => [1 => ['radius' => 0]]], 'cups[1].radius', 0],
    'a stick-out into the work' => [['cups' => [['stick_out' => -2]]], 'cups[0].stick_out', -2],
    'a word for a number' => [['torch' => ['body_radius' => 'thick']], 'torch.body_radius', 'thick'],
    'a gap below nothing' => [['torch' => ['gap' => -1]], 'torch.gap', -1],
    'angles from more to less' => [['torch' => ['work_deg' => ['to' => -40]]], 'torch.work_deg.to', -40],
    'no step' => [['torch' => ['travel_deg' => ['step' => 0]]], 'torch.travel_deg.step', 0],
    'a way of travel that is none' => [['torch' => ['senses' => ['+', 'x']]], 'torch.senses[1]', 'x'],
    'an unknown seam' => [['seam' => ['kind' => 'knot']], 'seam.kind', 'knot'],
    'a zero along the axis' => [['seam' => ['zero' => [0, 0, 2]]], 'seam.zero', [0, 0, 2]],
    'a seam of no radius' => [['seam' => ['radius' => 0]], 'seam.radius', 0],
    'an unknown neighbour' => [['neighbours' => [['type' => 'cone']]], 'neighbours[0].type', 'cone'],
    'a plate of no thickness' => [['neighbours' => [1 => ['size' => [2 => 0]]]], 'neighbours[1].size[2]', 0],
    'more than all of it' => [['need_percent' => 120], 'need_percent', 120],
]);

it('tries both ends of a range of angles, whatever the step', function () {
    $read = SomeReach::read(array_replace_recursive(SomeReach::shipped('r04-flange-fillet'), ['torch' => ['work_deg' => ['from' => -10, 'to' => 15, 'step' => 10], 'travel_deg' => ['from' => 0, 'to' => 0.3, 'step' => 0.1]]]));
    expect(array_map(static fn (float $rad): float => round(rad2deg($rad), 6), $read->torch->workRad))->toBe([-10.0, 0.0, 10.0, 15.0])
        ->and(count($read->torch->travelRad))->toBe(4);
});

it('answers or refuses, whatever was done to a file, and what it says can be sent', function (int $seed) {
    $mutations = new Mutations($seed);
    $files = [SomeReach::shipped('r04-flange-fillet'), SomeReach::shipped('r10-one-block-hides-all')];
    $seen = [];
    for ($i = 0; $i < 100; $i++) {
        try {
            $read = ReachProblemReader::read((string) json_encode($mutations->of($files[$i % 2]), JSON_PARTIAL_OUTPUT_ON_ERROR));
            $answer = $read instanceof ReachProblem ? ReachAnswerWriter::toArray($read) : ReachAnswerWriter::refused('', array_map(WeldRefusal::ofFault(...), $read));
            expect(json_encode($answer, JSON_THROW_ON_ERROR))->toBeString();
            $seen[is_string($answer['status']) ? $answer['status'] : ''] = true;
        } catch (UnusableDocument $error) {
            expect($error->getMessage())->not->toBe('');
        }
    }
    expect(array_keys($seen))->toEqualCanonicalizing(['solved', 'refused']);
})->with([1, 2]);

<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Document\UnusableDocument;
use UpsweptBead\Core\Exchange\Files\ScheduleAnswerWriter;
use UpsweptBead\Core\Exchange\Files\ScheduleProblem;
use UpsweptBead\Core\Exchange\Files\ScheduleProblemReader;
use UpsweptBead\Core\Exchange\Files\WeldRefusal;
use UpsweptBead\Core\Solve\Timing\TimetableSolver;
use UpsweptBead\Core\Tests\Support\Mutations;
use UpsweptBead\Core\Tests\Support\SomeSchedules;

/** @return list<array{string, mixed}> field and value of everything that is wrong */
function scheduleFaults(mixed $problem): array
{
    $read = ScheduleProblemReader::read(json_encode($problem, JSON_THROW_ON_ERROR));

    return $read instanceof ScheduleProblem ? [] : array_map(static function ($fault): array {
        $refusal = WeldRefusal::ofFault($fault);

        return [$refusal->field, $refusal->by];
    }, $read);
}

it('names the field and the value that are wrong', function (array $change, string $field, mixed $by) {
    expect(scheduleFaults(array_replace_recursive(SomeSchedules::shipped('s02-downpipe-five'), $change)))->toBe([[$field, $by]]);
})->with([
    'a piece nobody lists' => [['tasks' => [2 => ['piece' => 'X']]], 'tasks[2].piece', 'X'],
    'a forerunner nobody lists' => [['tasks' => [2 => ['after' => ['bend-9']]]], 'tasks[2].after[0]', 'bend-9'],
    'less than no time' => [['tasks' => [1 => ['arc_min' => -1]]], 'tasks[1].arc_min', -1],
    'a word for a number' => [['tasks' => [1 => ['setup_min' => 'long']]], 'tasks[1].setup_min', 'long'],
    'no line' => [['purge_lines' => 0], 'purge_lines', 0],
    'half a line' => [['purge_lines' => 1.5], 'purge_lines', 1.5],
    'a wait from nowhere' => [['waits' => [3 => ['from' => 'ghost']]], 'waits[3].from', 'ghost'],
    'a wait that goes back' => [['waits' => [3 => ['minutes' => -4]]], 'waits[3].minutes', -4],
    'a change that takes less than nothing' => [['pieces' => [['change_min' => -2]]], 'pieces[0].change_min', -2],
]);

it('answers or refuses, whatever was done to a file, and what it says can be sent', function (int $seed) {
    $mutations = new Mutations($seed);
    $file = SomeSchedules::shipped('s02-downpipe-five');
    $seen = [];
    for ($i = 0; $i < 80; $i++) {
        try {
            $read = ScheduleProblemReader::read((string) json_encode($mutations->of($file), JSON_PARTIAL_OUTPUT_ON_ERROR));
            if (! $read instanceof ScheduleProblem) {
                $answer = ScheduleAnswerWriter::refused('', array_map(WeldRefusal::ofFault(...), $read));
            } elseif (ScheduleAnswerWriter::impossible($read->work) !== []) {
                $answer = ScheduleAnswerWriter::refused('', ScheduleAnswerWriter::impossible($read->work));
            } else {
                $answer = ScheduleAnswerWriter::toArray($read, (new TimetableSolver($read->work, 1, static fn (): float => hrtime(true) / 1e9))->solve(0.05));
            }
            expect(json_encode($answer, JSON_THROW_ON_ERROR))->toBeString();
            $seen[is_string($answer['status']) ? $answer['status'] : ''] = true;
        } catch (UnusableDocument $error) {
            expect($error->getMessage())->not->toBe('');
        }
    }
    expect($seen)->toHaveKey('refused')->toHaveKey('solved');
})->with([1, 2, 3]);

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Tests\Support;

use Random\Randomizer;
use UpsweptBead\Core\Exchange\Files\ScheduleProblem;
use UpsweptBead\Core\Exchange\Files\ScheduleProblemReader;

/** Work at a bench. */
final class SomeSchedules
{
    /** @return array<string, mixed> one of the shipped problems, or its answer */
    public static function shipped(string $name, string $folder = ''): array
    {
        $json = (string) file_get_contents(dirname(__DIR__)."/problems/schedule/$folder$name.json");
        $problem = json_decode($json, true, 32, JSON_THROW_ON_ERROR);

        return is_array($problem) ? array_combine(array_map(strval(...), array_keys($problem)), $problem) : [];
    }

    public static function read(mixed $problem): ScheduleProblem
    {
        $read = ScheduleProblemReader::read(json_encode($problem, JSON_THROW_ON_ERROR));

        return $read instanceof ScheduleProblem ? $read : throw new \DomainException("{$read[0]->path} {$read[0]->message}");
    }

    /** @return array<string, mixed> seams on a few pieces, near ones waiting for each other, some in an order, some due */
    public static function random(Randomizer $dice, int $count, int $pieces, bool $isDue = false): array
    {
        $tasks = $waits = [];
        for ($i = 0; $i < $count; $i++) {
            $after = $i > 2 && $dice->getInt(0, 3) === 0 ? ['t'.$dice->getInt(0, $i - 1)] : [];
            $tasks[] = [
                'id' => "t$i", 'piece' => 'p'.($i % $pieces), 'setup_min' => round(Some::between($dice, 1.0, 4.0), 1),
                'fill_min' => $dice->getInt(0, 3) === 0 ? 0 : round(Some::between($dice, 1.0, 6.0), 1),
                'arc_min' => round(Some::between($dice, 1.5, 6.0), 1), 'after' => $after,
                ...($isDue && $dice->getInt(0, 3) === 0 ? ['due_min' => round(Some::between($dice, 8.0 * $count, 14.0 * $count))] : []),
            ];
        }
        foreach ($tasks as $i => $one) {
            foreach ($tasks as $j => $other) {
                $isNear = $i !== $j && $one['piece'] === $other['piece'] && abs($i - $j) <= 2 * $pieces;
                if ($isNear) {
                    $waits[] = ['from' => $one['id'], 'to' => $other['id'], 'minutes' => round(Some::between($dice, 4.0, 20.0), 1)];
                }
            }
        }

        return [
            'format' => 'schedule-problem/1', 'name' => 'some', 'purge_lines' => $dice->getInt(1, 2),
            'hold_min' => $dice->getInt(0, 1) * 1.5,
            'pieces' => array_map(static fn (int $p): array => ['id' => "p$p", 'change_min' => $dice->getInt(1, 5)], range(0, $pieces - 1)),
            'tasks' => $tasks, 'waits' => $waits,
        ];
    }
}

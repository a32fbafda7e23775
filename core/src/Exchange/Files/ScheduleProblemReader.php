<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

use UpsweptBead\Core\Base\Document\Fault;
use UpsweptBead\Core\Base\Document\Faults;
use UpsweptBead\Core\Base\Document\Node;
use UpsweptBead\Core\Base\Document\UnusableDocument;
use UpsweptBead\Core\Solve\Timing\BenchPiece;
use UpsweptBead\Core\Solve\Timing\BenchTask;
use UpsweptBead\Core\Solve\Timing\BenchWork;

/** Reads the open schedule format, as a file from anywhere. Fields it does not know are passed over. */
final readonly class ScheduleProblemReader
{
    public const FORMAT = 'schedule-problem/1';

    private const MOST_TASKS = 200;

    private const MOST_WAITS = 40000;

    private const MOST_MIN = 1e6;

    /** @param  array<string, int>  $ids  of the pieces, or the tasks, by name */
    private function __construct(private array $ids) {}

    /**
     * @return ScheduleProblem|non-empty-list<Fault> what is wrong with the file where it cannot be answered
     *
     * @throws UnusableDocument if it is too large, no JSON, or of another format
     */
    public static function read(string $json): ScheduleProblem|array
    {
        $faults = new Faults;
        $root = Node::open($json, self::FORMAT, null, $faults);
        $nodes = $root->at('pieces')->items(self::MOST_TASKS);
        $ofPieces = new self(self::ids($nodes));
        $pieces = array_map(
            static fn (Node $one): BenchPiece => new BenchPiece(
                $one->at('id')->text(),
                self::minutes($one->at('change_min')),
            ),
            $nodes,
        );
        $nodes = $root->at('tasks')->items(self::MOST_TASKS);
        $ofTasks = new self(self::ids($nodes));
        $holdMin = self::minutes($root->at('hold_min'), 0.0);
        $tasks = array_map(
            static fn (Node $one): BenchTask => self::task($one, $ofPieces, $ofTasks, $holdMin),
            $nodes,
        );
        if ($tasks === []) {
            $root->at('tasks')->complain('none', 'must have at least one task');
        }
        $work = new BenchWork(
            $pieces,
            $tasks,
            $ofTasks->waits($root->at('waits')),
            self::lines($root->at('purge_lines')),
        );
        $wrong = $faults->onePerPlace();

        return $wrong !== [] ? $wrong : new ScheduleProblem($root->at('name')->text('', 200), $work);
    }

    private static function task(Node $node, self $pieces, self $tasks, float $holdMin): BenchTask
    {
        $after = $node->at('after')->isMissing()
            ? []
            : array_map($tasks->number(...), $node->at('after')->items(self::MOST_TASKS));

        return new BenchTask(
            $node->at('id')->text(),
            $pieces->number($node->at('piece')),
            self::minutes($node->at('setup_min'), 0.0),
            self::minutes($node->at('fill_min'), 0.0),
            self::minutes($node->at('arc_min')),
            $holdMin,
            array_values(array_unique($after)),
            $node->at('due_min')->isMissing() ? null : $node->at('due_min')->number(self::MOST_MIN),
        );
    }

    /** @return array<int, array<int, float>> */
    private function waits(Node $node): array
    {
        $waits = [];
        foreach ($node->isMissing() ? [] : $node->items(self::MOST_WAITS) as $one) {
            [$from, $to] = [$this->number($one->at('from')), $this->number($one->at('to'))];
            $waits[$to][$from] = max($waits[$to][$from] ?? 0.0, self::minutes($one->at('minutes')));
        }

        return $waits;
    }

    /** The number of a piece or a task by its name. */
    private function number(Node $node): int
    {
        $id = $node->required(100);
        if (! isset($this->ids[$id])) {
            $node->complain('unknown', 'must be one of those that are listed');
        }

        return $this->ids[$id] ?? 0;
    }

    /**
     * @param  list<Node>  $nodes
     * @return array<string, int>
     */
    private static function ids(array $nodes): array
    {
        $ids = [];
        foreach ($nodes as $i => $node) {
            $id = $node->at('id')->required(100);
            if (isset($ids[$id])) {
                $node->at('id')->complain('double', 'must not be used twice');
            }
            $ids[$id] = $i;
        }

        return $ids;
    }

    private static function minutes(Node $node, ?float $default = null): float
    {
        return ProblemNumbers::within($node, 0, self::MOST_MIN, $default);
    }

    private static function lines(Node $node): int
    {
        $lines = $node->isMissing() ? 1.0 : $node->number();
        if ($lines < 1.0 || floor($lines) !== $lines) {
            $node->complain('not-a-count', 'must be a whole number from 1 on');
        }

        return max(1, (int) $lines);
    }
}

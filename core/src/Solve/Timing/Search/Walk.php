<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Timing\Search;

use UpsweptBead\Core\Solve\Timing\BenchWork;

/** Goes through orders quickly: what comes to the end when, from the first place at which an order differs. */
final class Walk
{
    /** A task that is not done by when it is due weighs as much as so many minutes for each it is late. */
    private const LATE = 20.0;

    /** A change of pieces weighs as much as this; fewer are taken only where nothing takes longer. */
    private const CHANGE_MIN = 1e-4;

    private readonly int $count;

    /** @var list<float> */
    private array $setup = [];

    /** @var list<float> */
    private array $fill = [];

    /** @var list<float> */
    private array $arc = [];

    /** @var list<float> */
    private array $hold = [];

    /** @var list<float> INF where none is due */
    private array $due = [];

    /** @var list<int> */
    private array $piece = [];

    /** @var list<float> by piece */
    private array $change = [];

    /** @var list<list<int>> */
    private array $after = [];

    /** @var list<list<array{int, float}>> by task: from which, how long */
    private array $waits = [];

    /** @var list<int> the order that counts at present */
    public array $order = [];

    /** @var array<int, float> ends by task, of that order */
    private array $ends = [];

    /** @var list<float> what it came to until each place: minutes late, and changes */
    private array $lateUntil = [];

    /** @var list<int> */
    private array $changesUntil = [];

    public float $cost = INF;

    /** @var array{array<int, float>, list<float>, list<int>} of the order that was tried last */
    private array $tried = [[], [], []];

    public function __construct(private readonly BenchWork $work)
    {
        $this->count = count($work->tasks);
        foreach ($work->tasks as $i => $task) {
            $this->setup[] = $task->setupMin;
            $this->fill[] = $task->fillMin;
            $this->arc[] = $task->arcMin;
            $this->hold[] = $task->holdMin;
            $this->due[] = $task->dueMin ?? INF;
            $this->piece[] = $task->piece;
            $this->after[] = $task->after;
            $waits = [];
            foreach ($work->waits[$i] ?? [] as $from => $minutes) {
                $waits[] = [$from, $minutes];
            }
            $this->waits[] = $waits;
        }
        foreach ($work->pieces as $piece) {
            $this->change[] = $piece->changeMin;
        }
    }

    /** @param  list<int>  $order */
    public function begin(array $order): void
    {
        $this->cost = $this->costOf($order, 0);
        $this->take($order, $this->cost);
    }

    /**
     * What an order costs: minutes, what is late, and a little for changes; INF where a task comes before its
     * forerunner.
     *
     * @param  list<int>  $order
     * @param  int  $from  the first place at which it is not the order that counts
     */
    public function costOf(array $order, int $from): float
    {
        $ends = $pieceEnds = [];
        $free = array_fill(0, $this->work->lines, 0.0);
        $late = 0.0;
        $changes = 0;
        $clock = 0.0;
        $last = -1;
        for ($k = 0; $k < $from; $k++) {
            $i = $order[$k];
            $clock = $ends[$i] = $this->ends[$i];
            $last = $this->piece[$i];
            $pieceEnds[$last] = $clock;
            if ($this->fill[$i] > 0.0) {
                $free[self::first($free)] = $clock + $this->hold[$i];
            }
        }
        $lateUntil = array_slice($this->lateUntil, 0, $from);
        $changesUntil = array_slice($this->changesUntil, 0, $from);
        if ($from > 0) {
            $late = $lateUntil[$from - 1];
            $changes = $changesUntil[$from - 1];
        }
        for ($k = $from; $k < $this->count; $k++) {
            $i = $order[$k];
            $piece = $this->piece[$i];
            $start = $clock;
            if ($piece !== $last) {
                $start += $this->change[$piece];
                if ($last >= 0) {
                    $changes++;
                }
            }
            foreach ($this->waits[$i] as [$one, $minutes]) {
                if (isset($ends[$one]) && $start < $ends[$one] + $minutes) {
                    $start = $ends[$one] + $minutes;
                }
            }
            $fill = $pieceEnds[$piece] ?? 0.0;
            foreach ($this->after[$i] as $one) {
                if (! isset($ends[$one])) {
                    return INF;
                }
                $fill = $ends[$one] > $fill ? $ends[$one] : $fill;
            }
            $arc = $start + $this->setup[$i];
            $filling = $this->fill[$i];
            $line = 0;
            if ($filling > 0.0) {
                $line = self::first($free);
                if ($fill < $free[$line]) {
                    $fill = $free[$line];
                }
                if ($fill + $filling > $arc) {
                    $arc = $fill + $filling;
                }
            }
            $clock = $arc + $this->arc[$i];
            if ($clock > $this->due[$i]) {
                $late += $clock - $this->due[$i];
            }
            $ends[$i] = $pieceEnds[$piece] = $clock;
            if ($filling > 0.0) {
                $free[$line] = $clock + $this->hold[$i];
            }
            $last = $piece;
            $lateUntil[] = $late;
            $changesUntil[] = $changes;
        }
        $this->tried = [$ends, $lateUntil, $changesUntil];

        return $clock + self::LATE * $late + self::CHANGE_MIN * $changes;
    }

    /**
     * The line that is free first.
     *
     * @param  array<int, float>  $free
     */
    private static function first(array $free): int
    {
        $first = 0;
        foreach ($free as $line => $minutes) {
            if ($minutes < $free[$first]) {
                $first = $line;
            }
        }

        return $first;
    }

    /**
     * Lets the order that was tried last count.
     *
     * @param  list<int>  $order
     */
    public function take(array $order, float $cost): void
    {
        $this->order = $order;
        $this->cost = $cost;
        [$this->ends, $this->lateUntil, $this->changesUntil] = $this->tried;
    }
}

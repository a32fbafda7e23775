<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Gas;

use UpsweptBead\Core\Shop\Practice\Contents;

/**
 * How bottles go down while a sequence runs on without a break: each line draws from the first of its bottles that is
 * not used up; what it lacks then is short, and time goes on as if it were there.
 */
final readonly class BottleDraw
{
    private const NOTHING_L = 1e-9;

    /**
     * @param  array<string, float>  $usedL  by bottle
     * @param  array<string, array{string, string, float}>  $runsOut  by bottle, in that order: joint, phase, minute
     * @param  array<string, float>  $shortL  by line
     */
    private function __construct(public array $usedL, public array $runsOut, public array $shortL) {}

    /**
     * @param  list<Contents>  $bottles
     * @param  array<string, list<string>>  $lines  bottles of purge and torch in the order of use
     * @param  list<array{string, string, float, array<string, float>}>  $phases  joint, phase, minutes, L/min by line
     */
    public static function of(array $bottles, array $lines, array $phases): self
    {
        $left = [];
        foreach ($bottles as $bottle) {
            $left[$bottle->id] = $bottle->usableL();
        }
        $used = array_fill_keys(array_keys($left), 0.0);
        $runsOut = [];
        $short = ['purge' => 0.0, 'torch' => 0.0];
        $now = 0.0;
        foreach ($phases as [$joint, $phase, $minutes, $flows]) {
            while ($minutes > 1e-12) {
                [$from, $draws] = [[], []];
                foreach ($flows as $line => $flow) {
                    $from[$line] = self::first($lines[$line] ?? [], $left);
                    if ($from[$line] !== null && $flow > 0.0) {
                        $draws[$from[$line]] = ($draws[$from[$line]] ?? 0.0) + $flow;
                    }
                }
                $step = $minutes;
                foreach ($draws as $id => $flow) {
                    $step = min($step, $left[$id] / $flow);
                }
                foreach ($flows as $line => $flow) {
                    if ($from[$line] === null) {
                        $short[$line] += $flow * $step;
                    }
                }
                $now += $step;
                $minutes -= $step;
                foreach ($draws as $id => $flow) {
                    $left[$id] -= $flow * $step;
                    $used[$id] += $flow * $step;
                    if ($left[$id] < self::NOTHING_L) {
                        $left[$id] = 0.0;
                        $runsOut[$id] ??= [$joint, $phase, $now];
                    }
                }
            }
        }

        return new self($used, $runsOut, $short);
    }

    /**
     * @param  list<string>  $ids
     * @param  array<string, float>  $left
     */
    private static function first(array $ids, array $left): ?string
    {
        foreach ($ids as $id) {
            if (($left[$id] ?? 0.0) > 0.0) {
                return $id;
            }
        }

        return null;
    }
}

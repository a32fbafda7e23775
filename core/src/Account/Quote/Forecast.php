<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Account\Quote;

/** What a job will have cost, by what was counted of it so far. */
final readonly class Forecast
{
    /**
     * A line that nothing was counted of costs what was quoted. Until the job is finished, no line costs less than that.
     *
     * @param  list<QuoteLine>  $lines  of the quote, and what was taken besides
     * @param  array<string, float>  $spent  by the line's key
     */
    public static function cost(array $lines, array $spent, bool $isFinished): float
    {
        $cost = 0.0;
        foreach ($lines as $line) {
            $counted = $spent[$line->key] ?? null;
            $quoted = $line->cost() ?? 0.0;
            $cost += match (true) {
                $counted === null => $quoted,
                $isFinished => $counted,
                default => max($counted, $quoted),
            };
        }

        return $cost;
    }
}

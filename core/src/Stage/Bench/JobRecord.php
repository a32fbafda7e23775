<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Bench;

use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Stage\Bench\Inspection\Outcome;
use UpsweptBead\Core\Stage\Weld\Amperage;

/** What is handed over: how each step went against its plan. */
final readonly class JobRecord
{
    /**
     * @param  list<Deviation>  $deviations
     * @param  int  $timed  joints whose time was logged
     * @param  float  $plannedS  at those
     * @param  float  $loggedS  at those
     */
    private function __construct(
        public Progress $progress,
        public array $deviations,
        public int $timed,
        public float $plannedS,
        public float $loggedS,
    ) {}

    public static function of(Progress $progress, ShopRules $rules, UnitSystem $units): self
    {
        $deviations = [];
        foreach ($progress->steps as $step) {
            $values = $progress->readings[$step->id] ?? [];
            $closed = $progress->done[$step->id] ?? null;
            $what = [
                ...$closed === null
                    ? [...Gate::above($step, $values, $units), ...Gate::off($step, $values, $units)]
                    : Gate::lacks($step, $values, self::confirmed($step, $closed), $units),
                ...self::amps($step, $values, $units),
                ...self::found($closed),
                ...$closed === null || $closed->why === '' ? [] : self::early($step, $closed, $progress),
            ];
            $isStop = ($values['oxygen'] ?? 0.0) > $rules->value('purge.stop');
            foreach ($what as $line) {
                $deviations[] = new Deviation($step, $line);
            }
            if ($isStop) {
                $stop = Quantity::Oxygen->show($rules->value('purge.stop'), $units);
                $deviations[] = new Deviation($step, "Above $stop, where welding stops: look at the root.");
            }
            if ($closed !== null && $closed->why !== '') {
                $isSkipped = Gate::isSkipped($step, $values, $closed->points);
                $how = $isSkipped ? 'Skipped' : 'Went on anyway';
                $deviations[] = new Deviation($step, "$how: $closed->why", $closed->by);
            }
        }

        $times = self::times($progress);

        [$planned, $logged] = [array_sum(array_column($times, 0)), array_sum(array_column($times, 1))];

        return new self($progress, $deviations, count($times), $planned, $logged);
    }

    /**
     * Before points were asked for nobody could confirm them: without a reason all count as confirmed.
     *
     * @return list<int>
     */
    private static function confirmed(BenchStep $step, LogEntry $closed): array
    {
        return $closed->why === '' ? array_keys($step->points) : $closed->points;
    }

    /** @return list<array{float, float}> seconds at each joint as planned and as logged, where they were */
    private static function times(Progress $progress): array
    {
        $times = [];
        foreach ($progress->steps as $step) {
            $planned = array_column($step->measures, 'planned', 'name')['seconds'] ?? null;
            $logged = $progress->reading($step->id, 'seconds');
            if ($planned !== null && $logged !== null) {
                $times[] = [$planned, $logged];
            }
        }

        return $times;
    }

    /** @return list<string> what should have been done before it, and was not, or later */
    private static function early(BenchStep $step, LogEntry $closed, Progress $progress): array
    {
        $lines = [];
        foreach ($progress->steps as $first) {
            $at = ($progress->done[$first->id] ?? null)?->at;
            if (in_array($first->id, $step->after, true) && ($at === null || $at > $closed->at)) {
                $lines[] = "Not done before it: $first->title.";
            }
        }

        return $lines;
    }

    /** @return list<string> a joint that was not accepted as it was */
    private static function found(?LogEntry $closed): array
    {
        $found = $closed?->inspected;

        return $found === null || $found->outcome === Outcome::Accept ? [] : [ucfirst($found->text()).'.'];
    }

    /**
     * Amps are a setting, not a limit: further off than a welder works is worth a line.
     *
     * @param  array<string, float>  $values
     * @return list<string>
     */
    private static function amps(BenchStep $step, array $values, UnitSystem $units): array
    {
        foreach ($step->measures as $one) {
            [$read, $planned] = [$values[$one->name] ?? null, $one->planned ?? 0.0];
            $isAmps = $one->quantity === Quantity::Current && $read !== null;
            if ($isAmps && abs($read - $planned) > Amperage::WORKING_SPREAD * $planned) {
                return [sprintf(
                    '%s: %s, planned %s.',
                    $one->label,
                    $one->quantity->show($read, $units),
                    $one->quantity->show($planned, $units),
                )];
            }
        }

        return [];
    }
}

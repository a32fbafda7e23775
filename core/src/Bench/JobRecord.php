<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Bench;

use UpsweptBead\Core\Bench\Inspection\Outcome;
use UpsweptBead\Core\Shop\ShopRules;
use UpsweptBead\Core\Units\Quantity;
use UpsweptBead\Core\Units\UnitSystem;
use UpsweptBead\Core\Weld\Amperage;

/** What is handed over: how each step went against its plan. */
final readonly class JobRecord
{
    /** @param  list<Deviation>  $deviations */
    private function __construct(public Progress $progress, public array $deviations) {}

    public static function of(Progress $progress, ShopRules $rules, UnitSystem $units): self
    {
        $deviations = [];
        foreach ($progress->steps as $step) {
            $values = $progress->readings[$step->id] ?? [];
            $closed = $progress->done[$step->id] ?? null;
            $what = [
                ...$closed === null
                    ? Gate::above($step, $values, $units)
                    : Gate::lacks($step, $values, self::confirmed($step, $closed), $units),
                ...self::amps($step, $values, $units),
                ...self::found($closed),
            ];
            $isStop = ($values['oxygen'] ?? 0.0) > $rules->value('purge.stop');
            foreach ($what as $line) {
                $deviations[] = new Deviation($step->id, $line);
            }
            if ($isStop) {
                $stop = Quantity::Oxygen->show($rules->value('purge.stop'), $units);
                $deviations[] = new Deviation($step->id, "Above $stop, where welding stops: look at the root.");
            }
            if ($what !== [] && $closed !== null && $closed->why !== '') {
                $deviations[] = new Deviation($step->id, "Gone on all the same: $closed->why", $closed->by);
            }
        }

        return new self($progress, $deviations);
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

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Bench;

use UpsweptBead\Core\Shop\ShopRules;
use UpsweptBead\Core\Units\Quantity;
use UpsweptBead\Core\Units\UnitSystem;
use UpsweptBead\Core\Weld\Amperage;

/** What is handed over: how each step went against its plan. */
final readonly class JobRecord
{
    /** A far end more than this off (mm or °) at the trial fit is worth a line in the record. */
    private const FAR_END_WITHIN = 2.0;

    /** @param  list<Deviation>  $deviations */
    private function __construct(public Progress $progress, public array $deviations) {}

    /** @param  list<BenchStep>  $steps  of the plan */
    public static function of(array $steps, Progress $progress, ShopRules $rules, UnitSystem $units): self
    {
        $deviations = [];
        foreach ($steps as $step) {
            foreach ($step->measures as $measure) {
                $read = $progress->reading($step->id, $measure->name);
                $what = $read === null ? null : self::judge($step, $measure, $read, $rules, $units);
                if ($what !== null) {
                    $deviations[] = new Deviation($step->id, $what);
                }
            }
        }

        return new self($progress, $deviations);
    }

    /** Only readings with a limit can deviate: amps, oxygen, going on hot, and the far end. */
    private static function judge(
        BenchStep $step,
        Measure $measure,
        float $read,
        ShopRules $rules,
        UnitSystem $units,
    ): ?string {
        $show = static fn (float $value): string => $measure->quantity->show($value, $units);
        $planned = $measure->planned ?? 0.0;
        $isOff = match ($measure->quantity) {
            Quantity::Current => abs($read - $planned) > Amperage::WORKING_SPREAD * $planned,
            Quantity::Oxygen, Quantity::Temperature => $read > $planned,
            Quantity::Length, Quantity::Angle => $step->kind === StepKind::TrialFit && $read > self::FAR_END_WITHIN,
            default => false,
        };
        if (! $isOff) {
            return null;
        }
        $stop = $rules->value('purge.stop');

        return $measure->quantity === Quantity::Oxygen && $read > $stop
            ? sprintf(
                '%s: %s, above %s where welding stops; look at the root.',
                $measure->label,
                $show($read),
                $show($stop),
            )
            : sprintf('%s: %s, planned %s.', $measure->label, $show($read), $show($planned));
    }
}

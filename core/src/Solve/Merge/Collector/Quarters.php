<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Merge\Collector;

use UpsweptBead\Core\Base\Document\Refusal;

/**
 * A straight collector from equal pieces of pipe that are each sawn twice along planes through the axis, with the pipe
 * turned between the cuts.
 */
final readonly class Quarters
{
    /** @param  list<PlaneCut>  $cuts  the two of each piece */
    private function __construct(public StraightCollector $collector, public array $cuts) {}

    /** @param  float  $blankMm  length of each piece of pipe to begin with */
    public static function of(StraightCollector $collector, float $blankMm): self|Refusal
    {
        $ods = array_map(static fn (LeaningTube $one): float => $one->tube->odMm, $collector->tubes);
        if (! $collector->isEven) {
            return new Refusal('unequal-tubes', 'tubes.od', max($ods) - min($ods));
        }
        $lackingMm = $collector->line(0)->greatestMm() - $blankMm;
        if ($lackingMm > 1e-9) {
            return new Refusal('blank-too-short', 'blank', $lackingMm);
        }
        $tube = $collector->tubes[0];
        $cotangent = 1 / tan($collector->halfStep());
        // s is least where ρ cos ψ cos α − ρ sin ψ cot(π/N) is.
        $slope = hypot(cos($tube->lean), $cotangent);
        $startMm = ($tube->inletMm - $tube->tube->outsideMm() * $slope) / sin($tube->lean);
        $apart = atan2($cotangent, cos($tube->lean));
        $angle = asin(sin($tube->lean) * sin($collector->halfStep()));

        return new self($collector, [
            new PlaneCut(M_PI - $apart, $startMm, $angle),
            new PlaneCut(M_PI + $apart, $startMm, $angle),
        ]);
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Weld\Internal;

use UpsweptBead\Core\Job\Run\EndKind;
use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Stage\Merge\BuiltCollector;
use UpsweptBead\Core\Stage\Merge\FlangePlan;

/** A ring or a flange at the end of a tube as a disc with a hole: its radii and its length along the tube, mm. */
final readonly class EndPart
{
    private function __construct(
        public bool $isBand,
        public string $metal,
        public float $insideMm,
        public float $outsideMm,
        public float $thickMm,
    ) {}

    public static function ofRun(FlangePlan $plan): self
    {
        $insideMm = $plan->isBand() ? $plan->tube->idMm() / 2 : $plan->tube->odMm / 2;

        return new self(
            $plan->isBand(),
            $plan->end->metal,
            $insideMm,
            sqrt($plan->flange->areaMm2() / M_PI + $insideMm ** 2),
            $plan->flange->thicknessMm,
        );
    }

    /** What is bought for an outlet is not drawn: it has the shop's usual metal round its tube. */
    public static function ofOutlet(BuiltCollector $collector, ShopRules $rules): ?self
    {
        $part = $collector->build->part;
        if ($part === null) {
            return null;
        }
        $odMm = $collector->sizes->outlet->odMm;
        $isBand = $part->kind === EndKind::VBand;
        $landMm = $isBand
            ? $rules->value('flange.band_land')
            : $rules->value('flange.land') + $rules->value('flange.edge');

        return new self(
            $isBand,
            $part->metal,
            $isBand ? $odMm / 2 - $collector->tube()->wallMm : $odMm / 2,
            $odMm / 2 + $landMm,
            $isBand ? $rules->value('flange.band_thickness') : $part->wall->mm,
        );
    }

    public function areaMm2(): float
    {
        return M_PI * ($this->outsideMm ** 2 - $this->insideMm ** 2);
    }

    public function massKg(float $densityKgM3): float
    {
        return $this->areaMm2() * $this->thickMm * $densityKgM3 * 1e-9;
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Weld\Internal;

use UpsweptBead\Core\Shop\Practice\Memo;
use UpsweptBead\Core\Solve\Cool\ArcHeat;
use UpsweptBead\Core\Solve\Cool\CoolingCurve;
use UpsweptBead\Core\Solve\Cool\HotTube;
use UpsweptBead\Core\Solve\Cool\SeamCooling;

/** How seams of a job cool, each worked out once: most seams of a tube are alike. */
final class Curves
{
    /** The seam is the mean of so much of the tube on either side (mm). */
    private const NEAR_MM = 10.0;

    /** So far from a seam it is asked how warm the tube gets (mm). */
    public const AWAY_MM = [40.0, 60.0, 80.0, 100.0, 120.0, 150.0, 200.0];

    /** So long after it, in minutes. */
    public const AFTER_MIN = [1.0, 2.5, 5.0, 9.0, 14.0, 20.0, 28.0, 40.0];

    /** @var array<string, CoolingCurve> */
    private array $known = [];

    public function __construct(private readonly Memo $memo) {}

    /**
     * @param  list<float>  $limitsC  of the seam and of what stands at it
     * @param  list<float>  $spotLimitsC  of the hottest place round it
     */
    public function of(HotTube $tube, ArcHeat $heat, array $limitsC, array $spotLimitsC): CoolingCurve
    {
        $key = 'cooling-'.hash('xxh128', serialize([$tube, $heat, $limitsC, $spotLimitsC]));
        if (! isset($this->known[$key])) {
            $kept = $this->memo->recall([$key])[$key] ?? null;
            $side = $tube->sides[1]->lengthMm >= $tube->sides[0]->lengthMm ? 1 : 0;
            $away = array_filter(self::AWAY_MM, static fn (float $mm): bool => $mm <= $tube->sides[$side]->lengthMm);
            $this->known[$key] = $kept instanceof CoolingCurve ? $kept : SeamCooling::of(
                $tube,
                $heat,
                self::NEAR_MM,
                $limitsC,
                self::AFTER_MIN,
                array_map(static fn (float $mm): array => [$side, $mm], array_values($away)),
                isRough: true,
                withEnds: true,
                spotLimitsC: $spotLimitsC,
            );
            if (! $kept instanceof CoolingCurve) {
                $this->memo->keep([$key => $this->known[$key]]);
            }
        }

        return $this->known[$key];
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Shop\Stock;

use UpsweptBead\Core\Base\Reason\Source;

/** How much a metal grows between the shop's temperature and a hotter one: mean values from 20 °C, µm/m·K. */
final readonly class Expansion
{
    public const FROM_C = 20.0;

    public const TEMPERATURES_C = [100, 315, 540, 650, 815];

    /** @param  non-empty-array<int, float>  $mean  by temperature in °C */
    public function __construct(private array $mean, public Source $source) {}

    /** Mean from 20 °C to a temperature: between the table's by a straight line, beyond them as the last. */
    public function meanUmMK(float $temperatureC): float
    {
        $below = null;
        foreach ($this->mean as $atC => $mean) {
            if ($temperatureC <= $atC) {
                if ($below === null) {
                    return $mean;
                }
                [$fromC, $from] = $below;

                return $from + ($mean - $from) * ($temperatureC - $fromC) / ($atC - $fromC);
            }
            $below = [$atC, $mean];
        }

        return $below[1];
    }

    /** ΔL = ᾱ·L·ΔT, in mm. */
    public function growthMm(float $lengthMm, float $temperatureC): float
    {
        return $this->meanUmMK($temperatureC) * 1e-6 * $lengthMm * ($temperatureC - self::FROM_C);
    }
}

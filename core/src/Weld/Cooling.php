<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Weld;

use UpsweptBead\Core\Stock\Metal;

/**
 * How long a welded seam takes to cool, from the heat put in at once along a ring of a long tube that loses it to air.
 *
 * T(t) − Ta = E/(ρ·c·A·√(4π·α·t)) · exp(−h·t/(ρ·c·s)): the instantaneous plane source with surface loss [Carslaw &
 * Jaeger, Conduction of Heat in Solids, from memory], A the metal's cross-section, s its wall, h the sum of still air
 * (≈ 8 W/m²K) and radiation taken at a middle temperature.
 */
final readonly class Cooling
{
    private const KELVIN = 273.15;

    /** The loss is taken at the temperature half way from here (°C) to the target; our estimate. */
    private const LOSS_FROM_C = 200;

    private const HALVINGS = 60;

    private const AIR_W_M2K = 8.0;

    private const EMISSIVITY = 0.3;

    private const BOLTZMANN = 5.670374e-8;

    private const LONGEST_S = 6 * 3600.0;

    public function __construct(
        private Metal $metal,
        private float $areaMm2,
        private float $wallMm,
        private float $ambientC,
    ) {}

    /** Temperature in °C at the seam after a time in seconds, for heat in J. */
    public function temperatureC(float $heatJ, float $seconds, float $lossWM2K): float
    {
        return $this->ambientC + $this->firstK($heatJ) / sqrt($seconds) * exp(-$this->lossPerS($lossWM2K) * $seconds);
    }

    /** Seconds until the seam is down to a temperature; bisection, since it only falls. */
    public function secondsTo(float $targetC, float $heatJ): float
    {
        $middleK = ($targetC + self::LOSS_FROM_C) / 2 + self::KELVIN;
        $rate = $this->lossPerS(self::AIR_W_M2K + 4 * self::EMISSIVITY * self::BOLTZMANN * $middleK ** 3);
        [$firstK, $targetK] = [$this->firstK($heatJ), $targetC - $this->ambientC];
        [$early, $late] = [1e-3, self::LONGEST_S];
        for ($i = 0; $i < self::HALVINGS; $i++) {
            $middle = sqrt($early * $late);
            if ($firstK / sqrt($middle) * exp(-$rate * $middle) > $targetK) {
                $early = $middle;
            } else {
                $late = $middle;
            }
        }

        return $late;
    }

    /** How far above the air (K) the heat stands after a second, if none of it is lost. */
    private function firstK(float $heatJ): float
    {
        $diffusivity = $this->metal->conductivityWMK / $this->volumetric();

        return $heatJ / ($this->volumetric() * $this->areaMm2 * 1e-6 * sqrt(4 * M_PI * $diffusivity));
    }

    private function lossPerS(float $lossWM2K): float
    {
        return $lossWM2K / ($this->volumetric() * $this->wallMm * 1e-3);
    }

    /** J/m³K. */
    private function volumetric(): float
    {
        return $this->metal->densityKgM3 * $this->metal->heatJKgK;
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Device;

use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Solve\Gas\Filling;

/**
 * An oxygen meter at the vent, as a stand-in: a well-mixed volume that argon passes and air leaks into, a pocket of air
 * that only mixes slowly with it, and a cell that lags behind.
 *
 *     V·dC/dt = Q·c₀ + q·c_air + k·(C_t − C) − (Q + q)·C,   V_t·dC_t/dt = k·(C − C_t),   τ·dM/dt = C − M
 *
 * Source: balance of a stirred volume (any textbook of chemical engineering); k and τ our own.
 */
final readonly class SimulatedOxygenMeter implements Device
{
    /** What the argon itself holds: 99.999 % grade. */
    public const INLET_PPM = 3.0;

    /** Between a pocket and the stream that passes it, in L/min. */
    public const EXCHANGE_L_MIN = 0.08;

    /** A cell is off by such a share at most; our own figure. */
    private const NOISE = 0.03;

    private const LEAST_L = 0.005;

    /**
     * @param  float  $volumeL  that is filled
     * @param  float  $trappedL  of it air that stays above the vent
     * @param  float  $leakLMin  of air drawn in
     * @param  float  $lagS  of its cell
     */
    public function __construct(
        private float $volumeL,
        private float $flowLMin,
        private float $trappedL,
        private float $leakLMin,
        private float $lagS,
        private ?Noise $noise,
    ) {}

    public function name(): string
    {
        return 'oxygen';
    }

    public function label(): string
    {
        return 'Oxygen at the vent';
    }

    public function quantity(): Quantity
    {
        return Quantity::Oxygen;
    }

    public function at(float $seconds): float
    {
        $minutes = max(0.0, $seconds) / 60;
        $lag = $this->lagS / 60;
        $endPpm = $this->endPpm();
        $ppm = $endPpm;
        $cell = Filling::AIR_PPM - $endPpm;
        foreach ($this->modes() as [$rate, $amount]) {
            // A cell that follows as fast as the volume empties has no answer of this form; one a hair off has.
            $seen = $amount / (abs(1 + $rate * $lag) > 1e-6 ? 1 + $rate * $lag : 1e-6);
            $ppm += $seen * exp($rate * $minutes);
            $cell -= $seen;
        }
        $ppm += $lag > 0.0 ? $cell * exp(-$minutes / $lag) : 0.0;

        return $ppm * (1 + self::NOISE * ($this->noise?->at($seconds) ?? 0.0));
    }

    /** What it comes to in the end. */
    private function endPpm(): float
    {
        return ($this->flowLMin * self::INLET_PPM + $this->leakLMin * Filling::AIR_PPM)
            / ($this->flowLMin + $this->leakLMin);
    }

    /**
     * The main volume above its end: a sum of exponentials, one where no air is trapped, else two.
     *
     * @return list<array{float, float}> rate (1/min) and amount (ppm) of each
     */
    private function modes(): array
    {
        $over = Filling::AIR_PPM - $this->endPpm();
        $isPocket = $this->trappedL > self::LEAST_L;
        $mainL = max(self::LEAST_L, $this->volumeL - ($isPocket ? $this->trappedL : 0.0));
        $through = ($this->flowLMin + $this->leakLMin) / $mainL;
        if (! $isPocket) {
            return [[-$through, $over]];
        }
        [$out, $back] = [self::EXCHANGE_L_MIN / $mainL, self::EXCHANGE_L_MIN / $this->trappedL];
        [$a, $d] = [-$through - $out, -$back];
        $root = sqrt((($a - $d) / 2) ** 2 + $out * $back);
        [$fast, $slow] = [($a + $d) / 2 - $root, ($a + $d) / 2 + $root];
        // Both begin as air, so the stream begins to clear as if there were no pocket.
        $lasting = (-$through - $fast) * $over / ($slow - $fast);

        return [[$fast, $over - $lasting], [$slow, $lasting]];
    }
}

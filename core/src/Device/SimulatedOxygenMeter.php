<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Device;

use UpsweptBead\Core\Gas\Filling;
use UpsweptBead\Core\Units\Quantity;

/**
 * An oxygen meter at the vent, as a stand-in: a well-mixed volume that argon passes and air leaks into, a pocket of air that
 * only mixes slowly with it, and a cell that lags behind.
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

    private const STEP_S = 0.25;

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
        $state = [Filling::AIR_PPM, Filling::AIR_PPM, Filling::AIR_PPM];
        $left = max(0.0, $seconds);
        while ($left > 1e-9) {
            $step = min(self::STEP_S, $left);
            $state = $this->after($state, $step);
            $left -= $step;
        }

        return $state[2] * (1 + self::NOISE * ($this->noise?->at($seconds) ?? 0.0));
    }

    /**
     * One step by the classic rule of Runge and Kutta.
     *
     * @param  array{float, float, float}  $state  main volume, pocket, cell: ppm
     * @return array{float, float, float}
     */
    private function after(array $state, float $step): array
    {
        $a = $this->slope($state);
        $b = $this->slope(self::along($state, $a, $step / 2));
        $c = $this->slope(self::along($state, $b, $step / 2));
        $d = $this->slope(self::along($state, $c, $step));

        return [
            $state[0] + $step / 6 * ($a[0] + 2 * $b[0] + 2 * $c[0] + $d[0]),
            $state[1] + $step / 6 * ($a[1] + 2 * $b[1] + 2 * $c[1] + $d[1]),
            $state[2] + $step / 6 * ($a[2] + 2 * $b[2] + 2 * $c[2] + $d[2]),
        ];
    }

    /**
     * @param  array{float, float, float}  $state
     * @param  array{float, float, float}  $slope
     * @return array{float, float, float}
     */
    private static function along(array $state, array $slope, float $step): array
    {
        return [$state[0] + $step * $slope[0], $state[1] + $step * $slope[1], $state[2] + $step * $slope[2]];
    }

    /**
     * @param  array{float, float, float}  $state
     * @return array{float, float, float} ppm/s
     */
    private function slope(array $state): array
    {
        [$mainPpm, $pocketPpm, $cellPpm] = $state;
        $isPocket = $this->trappedL > self::LEAST_L;
        $mainL = max(self::LEAST_L, $this->volumeL - ($isPocket ? $this->trappedL : 0.0));
        $exchange = $isPocket ? self::EXCHANGE_L_MIN * ($pocketPpm - $mainPpm) : 0.0;
        $flow = $this->flowLMin * self::INLET_PPM + $this->leakLMin * Filling::AIR_PPM
            - ($this->flowLMin + $this->leakLMin) * $mainPpm;

        return [
            ($flow + $exchange) / $mainL / 60,
            $isPocket ? -$exchange / $this->trappedL / 60 : 0.0,
            $this->lagS > 0.0 ? ($mainPpm - $cellPpm) / $this->lagS : ($flow + $exchange) / $mainL / 60,
        ];
    }
}

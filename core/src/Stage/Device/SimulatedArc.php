<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Device;

use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Stage\Weld\Heat;

/**
 * What a recorder in the welding lead reads, as a stand-in: amps, or the volts of such an arc, in short runs with the
 * post-flow held between them.
 */
final readonly class SimulatedArc implements Device
{
    /** A pedal comes up and goes down in about so long; our own figure. */
    private const SLOPE_S = 1.5;

    /** A foot is off by such a share at most; our own figure. */
    private const NOISE = 0.06;

    /**
     * @param  float  $runS  while the arc is on in each run
     * @param  float  $stopS  between two of them
     */
    public function __construct(
        private float $amps,
        private float $runS,
        private float $stopS,
        private int $runs,
        private bool $isVolts,
        private ?Noise $noise,
    ) {}

    public function name(): string
    {
        return $this->isVolts ? 'volts' : 'amps';
    }

    public function label(): string
    {
        return $this->isVolts ? 'Arc volts' : 'Amps';
    }

    public function quantity(): ?Quantity
    {
        return $this->isVolts ? null : Quantity::Current;
    }

    public function at(float $seconds): float
    {
        $amps = $this->ampsAt($seconds);

        return ! $this->isVolts ? $amps : ($amps > 0.0 ? Heat::arcVolts($amps) : 0.0);
    }

    private function ampsAt(float $seconds): float
    {
        $each = $this->runS + $this->stopS;
        $run = (int) floor($seconds / max($each, 1e-6));
        $within = $seconds - $run * $each;
        if ($seconds < 0.0 || $run >= $this->runs || $within >= $this->runS) {
            return 0.0;
        }
        $slope = min(1.0, $within / self::SLOPE_S, ($this->runS - $within) / self::SLOPE_S);

        return $this->amps * max(0.1, $slope) * (1 + self::NOISE * ($this->noise?->at($seconds) ?? 0.0));
    }
}

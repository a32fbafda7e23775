<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Cool;

/** The heat that goes into one seam: constant power while the arc is on, in equal runs with stops between them. */
final readonly class ArcHeat
{
    /**
     * @param  float  $powerW  into the metal
     * @param  float  $arcS  arc time of all runs
     * @param  int  $runs  1 or more
     * @param  float  $stopS  between two runs
     * @param  float  $beadMm  width of the bead: the arc heats this much of the tube
     * @param  float  $intoEnd  share of the power that goes into the flange, ring or boss at the seam instead of the
     *   tube
     */
    public function __construct(
        public float $powerW,
        public float $arcS,
        public int $runs,
        public float $stopS,
        public float $beadMm,
        public float $intoEnd = 0.0,
    ) {}

    /** Arc volts by the conventional load voltage of TIG, 10 + 0.04·I [IEC 60974-1]. */
    public static function volts(float $amps): float
    {
        return 10 + 0.04 * $amps;
    }

    public function halved(): self
    {
        return new self($this->powerW / 2, $this->arcS, $this->runs, $this->stopS, $this->beadMm, $this->intoEnd);
    }

    public function heatJ(): float
    {
        return $this->powerW * $this->arcS;
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Cool;

/** The heat of one seam: so much power while the arc is on, in equal runs with stops between them. */
final readonly class ArcHeat
{
    /**
     * @param  float  $powerW  that goes into the metal
     * @param  float  $arcS  in all
     * @param  int  $runs  1 or more
     * @param  float  $stopS  between two of them
     * @param  float  $beadMm  wide; it goes into so much of the tube about the seam
     * @param  float  $intoEnd  share of it that goes into what stands at the seam instead
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

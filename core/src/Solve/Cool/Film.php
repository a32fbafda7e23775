<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Cool;

/**
 * How well air takes heat off the outside of a level tube, W/m²K: still air by Churchill and Chu 1975, moved air across
 * it by Churchill and Bernstein 1977, whichever is more [Incropera, Fundamentals of Heat and Mass Transfer, 9.34 and
 * 7.54,
 * from memory]; or a given value.
 */
final readonly class Film
{
    /** 0 °C in K. */
    public const KELVIN = 273.15;

    private const G = 9.81;

    private const PRANDTL = 0.707;

    /**
     * @param  ?float  $givenWM2K  null where it follows from the air
     * @param  float  $fanMS  speed of the air across the tube, m/s; 0 where it is still
     */
    private function __construct(private ?float $givenWM2K, private float $fanMS) {}

    public static function given(float $wM2K): self
    {
        return new self($wM2K, 0.0);
    }

    public static function still(): self
    {
        return new self(null, 0.0);
    }

    public static function fan(float $mS): self
    {
        return new self(null, $mS);
    }

    /** Of a tube so hot (°C) in air so warm (°C). */
    public function wM2K(float $odMm, float $celsius, float $airC): float
    {
        if ($this->givenWM2K !== null) {
            return $this->givenWM2K;
        }
        $filmK = ($celsius + $airC) / 2 + self::KELVIN;
        $conductivity = 0.0263 * ($filmK / 300) ** 0.835;
        $viscosity = 15.89e-6 * ($filmK / 300) ** 1.73;
        $od = $odMm / 1000;
        $rayleigh = self::G * abs($celsius - $airC) * $od ** 3 * self::PRANDTL / ($viscosity ** 2 * $filmK);
        $nusselt = (0.60 + 0.387 * ($rayleigh / (1 + (0.559 / self::PRANDTL) ** (9 / 16)) ** (16 / 9)) ** (1 / 6)) ** 2;
        if ($this->fanMS > 0.0) {
            $reynolds = $this->fanMS * $od / $viscosity;
            $nusselt = max($nusselt, 0.3 + 0.62 * sqrt($reynolds) * self::PRANDTL ** (1 / 3)
                / (1 + (0.4 / self::PRANDTL) ** (2 / 3)) ** 0.25
                * (1 + ($reynolds / 282000) ** (5 / 8)) ** (4 / 5));
        }

        return $nusselt * $conductivity / $od;
    }
}

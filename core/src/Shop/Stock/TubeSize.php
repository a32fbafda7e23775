<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Shop\Stock;

use UpsweptBead\Core\Base\Reason\Source;

/** Round tube or pipe of one size: outside diameter and wall in mm. */
final readonly class TubeSize
{
    public function __construct(
        public string $id,
        public string $name,
        public float $odMm,
        public float $wallMm,
        public bool $isPipe,
        public Source $source,
    ) {
        if ($odMm <= 0 || $wallMm <= 0 || $wallMm >= $odMm / 2) {
            throw new \DomainException(
                sprintf(
                    'Tube %s: a wall of %.2f mm does not fit an outside diameter of %.2f mm; it must be above 0 and below half the diameter.',
                    $id,
                    $wallMm,
                    $odMm,
                ),
            );
        }
    }

    public function idMm(): float
    {
        return $this->odMm - 2 * $this->wallMm;
    }

    /** Of the bore, in mm². */
    public function boreAreaMm2(): float
    {
        return M_PI / 4 * $this->idMm() ** 2;
    }

    /** Of the metal in a square cut, in mm². */
    public function metalAreaMm2(): float
    {
        return M_PI / 4 * ($this->odMm ** 2 - $this->idMm() ** 2);
    }

    /** Distance round the outside in mm for a turn in degrees. */
    public function aroundMm(float $turnDeg): float
    {
        return M_PI * $this->odMm * $turnDeg / 360;
    }
}

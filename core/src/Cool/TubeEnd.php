<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Cool;

/**
 * What stands at the end of a tube and takes heat from it: nothing; a mass of one temperature, as a ring, a flange or a
 * clamped pair, which may stand on a plate; or a plate that keeps its temperature.
 */
final readonly class TubeEnd
{
    /**
     * @param  float  $massKg  0 for none
     * @param  float  $areaMm2  over which the mass loses heat to the air
     * @param  ?float  $contactWK  from tube to mass or plate; null where they are one
     * @param  ?float  $plateWK  from mass to plate, or null
     * @param  ?float  $plateC  null where there is no plate
     * @param  ?Property  $heatJKgK  of the mass; null where it is the tube's
     * @param  ?float  $emissivity  of the mass, likewise
     */
    private function __construct(
        public float $massKg,
        public float $areaMm2,
        public ?float $contactWK,
        public ?float $plateWK,
        public ?float $plateC,
        public ?Property $heatJKgK,
        public ?float $emissivity,
    ) {}

    public static function bare(): self
    {
        return new self(0.0, 0.0, null, null, null, null, null);
    }

    public static function mass(
        float $massKg,
        float $areaMm2,
        ?float $contactWK = null,
        ?float $plateWK = null,
        ?float $plateC = null,
        ?Property $heatJKgK = null,
        ?float $emissivity = null,
    ): self {
        $isOnPlate = $plateWK !== null && $plateC !== null;

        return new self(
            $massKg,
            $areaMm2,
            $contactWK,
            $isOnPlate ? $plateWK : null,
            $isOnPlate ? $plateC : null,
            $heatJKgK,
            $emissivity,
        );
    }

    public static function plate(float $plateC, ?float $contactWK = null): self
    {
        return new self(0.0, 0.0, $contactWK, null, $plateC, null, null);
    }

    public function isMass(): bool
    {
        return $this->massKg > 0.0;
    }

    public function isPlate(): bool
    {
        return ! $this->isMass() && $this->plateC !== null;
    }
}

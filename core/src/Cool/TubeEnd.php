<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Cool;

/**
 * What stands at the end of a tube and takes heat from it: nothing; lumps one behind the other, as a ring, a flange or a
 * clamped pair, which may stand on a plate; or a plate that keeps its temperature.
 */
final readonly class TubeEnd
{
    /**
     * @param  list<Lump>  $lumps  the nearest first
     * @param  ?float  $contactWK  from tube to plate; null where they are one
     * @param  ?float  $plateC  of a plate that keeps its temperature
     * @param  ?WarmPlate  $warmPlate  one that does not
     * @param  ?float  $startC  of the lumps and that plate; null where they begin as warm as the tube
     */
    private function __construct(
        public array $lumps,
        public ?float $contactWK,
        public ?float $plateC,
        public ?WarmPlate $warmPlate,
        public ?float $startC = null,
    ) {}

    public static function bare(): self
    {
        return new self([], null, null, null);
    }

    /** One lump, which may stand on a plate that keeps its temperature. */
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
        $lump = new Lump($massKg, $areaMm2, $contactWK, $isOnPlate ? $plateWK : null, $heatJKgK, $emissivity);

        return new self([$lump], null, $isOnPlate ? $plateC : null, null);
    }

    /** @param  list<Lump>  $lumps  the nearest first; one at least */
    public static function body(array $lumps, ?WarmPlate $plate = null): self
    {
        return new self($lumps, null, null, $plate);
    }

    /** The same that is so warm to begin with. */
    public function warmed(float $startC): self
    {
        return new self($this->lumps, $this->contactWK, $this->plateC, $this->warmPlate, $startC);
    }

    public static function plate(float $plateC, ?float $contactWK = null): self
    {
        return new self([], $contactWK, $plateC, null);
    }

    public function isMass(): bool
    {
        return $this->lumps !== [];
    }

    public function isPlate(): bool
    {
        return $this->lumps === [] && $this->plateC !== null;
    }

    /** From the tube to what stands there first; null where they are one, or where nothing does. */
    public function firstContactWK(): ?float
    {
        return $this->lumps === [] ? $this->contactWK : $this->lumps[0]->linkWK;
    }
}

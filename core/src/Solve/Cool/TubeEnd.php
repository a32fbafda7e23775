<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Cool;

/**
 * The end of a tube as heat sees it: open; a flange, ring or boss cut into slices, with or without a plate behind it;
 * or a plate that keeps its temperature.
 */
final readonly class TubeEnd
{
    /**
     * @param  list<Lump>  $lumps  the nearest first
     * @param  ?float  $contactWK  from tube to plate; null where they are one
     * @param  ?float  $plateC  temperature of a plate that keeps it
     * @param  ?WarmPlate  $warmPlate  a plate that warms
     * @param  ?float  $startC  of the slices and that plate at first; null where they start as warm as the tube
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

    /** One slice, with or without a plate that keeps its temperature. */
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

    /** The same end, warmer at first. */
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

    /** From the tube to the first slice, W/K; null where the two are one piece or the end is open. */
    public function firstContactWK(): ?float
    {
        return $this->lumps === [] ? $this->contactWK : $this->lumps[0]->linkWK;
    }
}

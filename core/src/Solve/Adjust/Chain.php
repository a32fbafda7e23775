<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Adjust;

/**
 * Straights and bends from an end on. A turn is clockwise looking with the flow, from the inside of the bend before; at
 * the start from up made square to the axis, or from forward where the axis is steep.
 *
 * @phpstan-import-type Triple from Xyz
 *
 * @phpstan-type ChainBend array{length: float, rotation: float, angle: float, clr: float}
 */
final readonly class Chain implements FarPoint
{
    /** @param  list<ChainBend>  $bends  lengths and radii in mm, angles in degrees */
    public function __construct(public array $bends, public float $lastMm) {}

    /**
     * @param  Triple  $at
     * @param  Triple  $axis  of length 1
     * @return array{Triple, Triple} where it ends, and the way it travels there
     */
    public function end(array $at, array $axis): array
    {
        $from = Xyz::from($axis);
        $inside = Xyz::unit(Xyz::plus($from, $axis, -Xyz::dot($from, $axis)));
        foreach ($this->bends as $bend) {
            $turn = deg2rad($bend['rotation']);
            $angle = deg2rad($bend['angle']);
            $inside = Xyz::plus(Xyz::times($inside, cos($turn)), Xyz::cross($axis, $inside), sin($turn));
            $at = Xyz::plus($at, $axis, $bend['length'] + $bend['clr'] * sin($angle));
            $at = Xyz::plus($at, $inside, $bend['clr'] * (1 - cos($angle)));
            [$axis, $inside] = [
                Xyz::plus(Xyz::times($axis, cos($angle)), $inside, sin($angle)),
                Xyz::plus(Xyz::times($inside, cos($angle)), $axis, -sin($angle)),
            ];
        }

        return [Xyz::plus($at, $axis, $this->lastMm), $axis];
    }

    public function lengthMm(): float
    {
        return $this->lastMm + array_sum(array_map(
            static fn (array $bend): float => $bend['length'] + $bend['clr'] * deg2rad($bend['angle']),
            $this->bends,
        ));
    }

    /** The same turns and straights with bends of another radius. */
    public function withRadius(float $clrMm): self
    {
        return new self(
            array_map(static fn (array $bend): array => [...$bend, 'clr' => $clrMm], $this->bends),
            $this->lastMm,
        );
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Reach;

/**
 * A cup or a torch's body as it is held: a flat-ended cylinder about a line from the weld p in a direction a of length
 * 1;
 * `from` and `to` are measured along it from p. Millimetres; plain numbers, as this is made in the innermost loop.
 */
final readonly class Barrel
{
    /** The sine to a direction under which the barrel stands upright on it and its end lies flat. */
    private const UPRIGHT = 1e-9;

    public function __construct(
        public float $px,
        public float $py,
        public float $pz,
        public float $ax,
        public float $ay,
        public float $az,
        public float $from,
        public float $to,
        public float $radius,
    ) {}

    /** @return array{float, float, float} a place of its middle line */
    public function at(float $t): array
    {
        return [$this->px + $t * $this->ax, $this->py + $t * $this->ay, $this->pz + $t * $this->az];
    }

    /** @return array{float, float, float} its point nearest to a place; the place itself where that is within */
    public function nearestTo(float $x, float $y, float $z): array
    {
        [$x, $y, $z] = [$x - $this->px, $y - $this->py, $z - $this->pz];
        $h = $x * $this->ax + $y * $this->ay + $z * $this->az;
        [$x, $y, $z] = [$x - $h * $this->ax, $y - $h * $this->ay, $z - $h * $this->az];
        $out = sqrt($x * $x + $y * $y + $z * $z);
        $share = $out > $this->radius ? $this->radius / $out : 1.0;
        $t = $h < $this->from ? $this->from : ($h > $this->to ? $this->to : $h);

        return [
            $this->px + $t * $this->ax + $share * $x,
            $this->py + $t * $this->ay + $share * $y,
            $this->pz + $t * $this->az + $share * $z,
        ];
    }

    /**
     * Its farthest point against a direction of length 1: of its rims, as a rule.
     *
     * @return array{float, float, float}
     */
    public function lowest(float $nx, float $ny, float $nz): array
    {
        $along = $nx * $this->ax + $ny * $this->ay + $nz * $this->az;

        return $this->edge($along > 0.0 ? $this->from : $this->to, $nx, $ny, $nz);
    }

    /**
     * The point farthest against a direction of length 1 of the circle about one place of its middle line.
     *
     * @return array{float, float, float}
     */
    public function edge(float $t, float $nx, float $ny, float $nz): array
    {
        $along = $nx * $this->ax + $ny * $this->ay + $nz * $this->az;
        $across = sqrt(max(0.0, 1 - $along * $along));
        $out = $across > self::UPRIGHT ? $this->radius / $across : 0.0;

        return [
            $this->px + $t * $this->ax - $out * ($nx - $along * $this->ax),
            $this->py + $t * $this->ay - $out * ($ny - $along * $this->ay),
            $this->pz + $t * $this->az - $out * ($nz - $along * $this->az),
        ];
    }
}

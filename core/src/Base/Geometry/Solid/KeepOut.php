<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Geometry\Solid;

/** A solid that no tube may come near. Every length in mm. */
abstract readonly class KeepOut
{
    /**
     * @param  ?float  $clearanceMm  in place of the problem's general clearance
     * @param  float  $exemptFirstMm  this much of every tube, along its centreline from the port, is not tested against
     *   it
     * @param  float  $exemptLastMm  the same, back from the inlet
     */
    public function __construct(
        public string $id,
        public ?float $clearanceMm = null,
        public float $exemptFirstMm = 0.0,
        public float $exemptLastMm = 0.0,
    ) {}

    /**
     * Gives the distance of a point from the surface, negative inside (where it may be nearer to 0 than the true
     * depth). Never changes faster than the point moves; convex where the solid is.
     */
    abstract public function distance(float $x, float $y, float $z): float;

    /** Gives a distance that is not above the true one, in little time. In mm. */
    public function atLeast(float $x, float $y, float $z): float
    {
        return $this->distance($x, $y, $z);
    }

    /** Gives a distance that is not below the true one, in little time. In mm. */
    public function atMost(float $x, float $y, float $z): float
    {
        return $this->distance($x, $y, $z);
    }

    public function isConvex(): bool
    {
        return true;
    }

    /**
     * Gives the least distance from a line, and the share of the line where it is, as far as it matters whether that is
     * below a limit: golden section, if the ends do not tell already.
     *
     * @return array{float, float}
     */
    public function along(float $x, float $y, float $z, float $ux, float $uy, float $uz, float $limit): array
    {
        $length = sqrt($ux * $ux + $uy * $uy + $uz * $uz);
        $first = $this->distance($x, $y, $z);
        $last = $this->distance($x + $ux, $y + $uy, $z + $uz);
        $end = $first < $last ? [$first, 0.0] : [$last, 1.0];
        if (($first + $last - $length) / 2 >= $limit) {
            return $end;
        }
        [$a, $b] = [0.0, 1.0];
        $p = $b - 0.6180339887 * ($b - $a);
        $q = $a + 0.6180339887 * ($b - $a);
        $fp = $this->distance($x + $p * $ux, $y + $p * $uy, $z + $p * $uz);
        $fq = $this->distance($x + $q * $ux, $y + $q * $uy, $z + $q * $uz);
        while (($b - $a) * $length > 0.02) {
            if ($fp < $fq) {
                $b = $q;
                $q = $p;
                $fq = $fp;
                $p = $b - 0.6180339887 * ($b - $a);
                $fp = $this->distance($x + $p * $ux, $y + $p * $uy, $z + $p * $uz);
            } else {
                $a = $p;
                $p = $q;
                $fp = $fq;
                $q = $a + 0.6180339887 * ($b - $a);
                $fq = $this->distance($x + $q * $ux, $y + $q * $uy, $z + $q * $uz);
            }
        }
        $inner = $fp < $fq ? [$fp, $p] : [$fq, $q];

        return $inner[0] < $end[0] ? $inner : $end;
    }
}

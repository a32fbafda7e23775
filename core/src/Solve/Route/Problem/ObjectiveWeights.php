<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Problem;

use UpsweptBead\Core\Base\Geometry\Vector;

/**
 * What one design is preferred to another for: the weights of the objective. The first four are summed over the tubes.
 */
final readonly class ObjectiveWeights
{
    /** A bend this far out of the chosen planes counts in full, degrees; below the second, as if it lay in one. */
    private const OUT_DEG = 30.0;

    private const IN_DEG = 1.0;

    /**
     * The plain weights are those of the route format.
     *
     * @param  list<Vector>  $planes  that bends are to lie in: the directions square to them, of length 1
     * @param  float  $perBendOffPlane  of a bend that lies in none of them
     * @param  float  $perMmUneven  of the spread of the gaps between neighbours
     * @param  float  $perMmOffMirror  of the furthest that one bank lies from the other's image
     */
    public function __construct(
        public float $perBend = 10.0,
        public float $perOddAngle = 2.0,
        public float $per45Deg = 1.0,
        public float $per500Mm = 1.0,
        public array $planes = [],
        public float $perBendOffPlane = 8.0,
        public float $perMmUneven = 0.0,
        public float $perMmOffMirror = 0.0,
    ) {}

    public static function of(Preference $preference): self
    {
        return match ($preference) {
            Preference::FewBends => new self,
            Preference::WholeAngles => new self(perBend: 8.0, perOddAngle: 8.0),
            Preference::LittleTurning => new self(perBend: 7.0, per45Deg: 4.0),
            Preference::ShortTubes => new self(perBend: 7.0, per500Mm: 12.0),
        };
    }

    /**
     * The same, with looks that count too: a bend in no chosen plane nearly as much as one bend more, as do 20 mm of
     * uneven gaps, or 30 mm by which banks do not mirror each other. The weights come from trials.
     *
     * @param  list<Vector>  $planes
     */
    public function withLooks(array $planes, bool $evenGaps, bool $mirrored): self
    {
        return new self(
            $this->perBend,
            $this->perOddAngle,
            $this->per45Deg,
            $this->per500Mm,
            $planes,
            $this->perBendOffPlane,
            $evenGaps ? 0.5 : 0.0,
            $mirrored ? 0.3 : 0.0,
        );
    }

    /**
     * What the planes of a tube's bends cost.
     *
     * @param  list<float>  $units  x, y, z of the direction of each leg
     */
    public function offPlanes(array $units): float
    {
        if ($this->planes === []) {
            return 0.0;
        }
        $cost = 0.0;
        for ($i = 3; $i < count($units); $i += 3) {
            $normal = (new Vector($units[$i - 3], $units[$i - 2], $units[$i - 1]))->cross(
                new Vector($units[$i], $units[$i + 1], $units[$i + 2]),
            );
            $size = max($normal->length(), 1e-9);
            $best = max(
                array_map(static fn (Vector $plane): float => abs($normal->dot($plane)) / $size, $this->planes),
            );
            $offDeg = rad2deg(acos(min(1.0, $best)));
            $cost +=
                $this->perBendOffPlane *
                max(0.0, min(1.0, ($offDeg - self::IN_DEG) / (self::OUT_DEG - self::IN_DEG)));
        }

        return $cost;
    }
}

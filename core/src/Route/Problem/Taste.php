<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Route\Problem;

/** What one design is preferred to another for: the weights of the objective, which is summed over the tubes. */
final readonly class Taste
{
    /** The weights of the route format. */
    public function __construct(
        public float $perBend = 10.0,
        public float $perOddAngle = 2.0,
        public float $per45Deg = 1.0,
        public float $per500Mm = 1.0,
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
}

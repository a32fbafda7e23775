<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Adjust;

/**
 * A reading as it was taken: what kind, of what, and the numbers that came of it.
 *
 * @phpstan-import-type Triple from Xyz
 */
final readonly class Reading
{
    /**
     * @param  list<Observation>  $observations
     * @param  string  $end  whose axis it is about; '' for none
     * @param  list<string|Triple>  $points  of a rod from the end outwards, of a face or a circle
     * @param  list<string>  $places  of a tape, an offset, a middle or a line: what is read first
     * @param  string  $to  the other end of an angle, or the end it stands square to
     * @param  bool  $isOpposite  whether it looks the other way than the face it stands square to
     */
    public function __construct(
        public string $id,
        public ReadingKind $kind,
        public array $observations,
        public string $end = '',
        public array $points = [],
        public array $places = [],
        public string $to = '',
        public bool $isOpposite = false,
    ) {}
}

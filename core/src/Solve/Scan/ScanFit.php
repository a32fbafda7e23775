<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Scan;

use UpsweptBead\Core\Base\Geometry\Mesh\TriangleMesh;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Adjust\Symmetric;

/**
 * What a place of a scan belongs to: a flat face with the round openings in it, or the wall of a bore. Fitted by least
 * squares to what lies near the place that was tapped; what does not belong to it drops out step by step. All in the
 * scan's own axes, lengths in mm.
 */
final readonly class ScanFit
{
    /** So far round the tap it is looked at: a port with its flange. Our own figure. */
    private const REACH_MM = 70.0;

    /** The first guess is of what lies so near the tap; our own figure. */
    private const NEAR_MM = 10.0;

    /** Facets that face farther aside than this are no part of a face, degrees; a scan is rough. Our own figure. */
    private const ASIDE_DEG = 25.0;

    /** Steeper than this (degrees) they are the wall of a hole, however rough the scan is. Our own figure. */
    private const STEEP_DEG = 55.0;

    private const STEPS = 10;

    /** Of a face so much is kept as lies within this many of its own roughnesses; common practice. */
    private const WITHIN = 3.0;

    /** Beyond so many roughnesses a facet is no part of the face at all; our own figure. */
    private const WELL_WITHIN = 4.5;

    /** No scan is trusted below this, mm; our own figure. */
    public const LEAST_ROUGH_MM = 0.05;

    /** A face has this share at least of what lies near the tap; our own figure. */
    private const FACE_SHARE = 0.5;

    /** A bore is taken for one where it lies so much nearer than a face; our own figure. */
    private const RATHER = 0.6;

    /** Smoother than this (mm) it is a face, and no patch of a bore; our own figure. */
    private const SMOOTH_MM = 0.2;

    /** Neighbours on a scan err alike: of so many places one counts. Our own figure. */
    private const ALIKE = 10;

    /** Fewer facets are no wall of a bore; our own figure. */
    private const LEAST_FACETS = 4;

    /** Of a bore so much of the way round has to be there; our own figure. */
    private const COVERED = 0.3;

    /**
     * @param  bool  $isFace  false for the wall of a bore
     * @param  Vector  $at  a point of the face; of a bore the middle of what there is of it
     * @param  Vector  $way  out of the face; along the bore
     * @param  float  $rmsMm  how far what belongs to it lies off
     * @param  float  $offDeg  one standard deviation of the way
     * @param  list<FittedCircle>  $bores  round openings in the face, the nearest to the tap first; or the bore itself
     */
    private function __construct(
        public bool $isFace,
        public Vector $at,
        public Vector $way,
        public float $rmsMm,
        public float $offDeg,
        public int $facets,
        public array $bores,
    ) {}

    /** @throws \DomainException if nothing flat or round is there */
    public static function at(TriangleMesh $mesh, Vector $tap): self
    {
        $facets = self::facets($mesh->within($tap->x, $tap->y, $tap->z, self::REACH_MM));
        if (count($facets) < self::LEAST_FACETS) {
            throw new \DomainException('Nothing of the scan is there: tap on its surface.');
        }

        $face = self::face($facets, $tap);
        if ($face !== null && $face->rmsMm < self::SMOOTH_MM) {
            return $face;
        }
        $bore = self::bore($facets, $tap);
        // A patch of a wide bore is nearly flat: the one that lies nearer counts.
        if ($face !== null && $bore !== null) {
            return $bore->rmsMm < self::RATHER * $face->rmsMm ? $bore : $face;
        }

        return $face ?? $bore ?? throw new \DomainException('Neither a flat face nor a round bore is there: tap on the flange beside the port, or inside its bore.');
    }

    /** One standard deviation of the middle of an opening. */
    public function centreSdMm(FittedCircle $bore): float
    {
        return max($bore->rmsMm, self::LEAST_ROUGH_MM) / sqrt(max(1.0, $bore->points / self::ALIKE / 2));
    }

    /**
     * @param  list<float>  $corners
     * @return list<Facet>
     */
    private static function facets(array $corners): array
    {
        $facets = [];
        for ($i = 0; $i + 8 < count($corners); $i += 9) {
            $facet = Facet::of(
                new Vector($corners[$i], $corners[$i + 1], $corners[$i + 2]),
                new Vector($corners[$i + 3], $corners[$i + 4], $corners[$i + 5]),
                new Vector($corners[$i + 6], $corners[$i + 7], $corners[$i + 8]),
            );
            if ($facet !== null) {
                $facets[] = $facet;
            }
        }

        return $facets;
    }

    /** @param  non-empty-list<Facet>  $facets */
    private static function face(array $facets, Vector $tap): ?self
    {
        $seed = self::nearest($facets, $tap);
        $near = array_values(array_filter(
            $facets,
            static fn (Facet $one): bool => self::isNear($one, $tap),
        ));
        $cos = cos(deg2rad(self::ASIDE_DEG));
        $belonging = array_values(array_filter(
            $near === [] ? [$seed] : $near,
            static fn (Facet $one): bool => $one->normal->dot($seed->normal) > $cos,
        ));
        $roughMm = 1.0;
        $count = 0;
        $plane = self::plane($belonging === [] ? [$seed] : $belonging);
        for ($step = 0; $step < self::STEPS; $step++) {
            [$at, $normal] = $plane;
            $limitMm = max(self::WITHIN * $roughMm, 2 * self::LEAST_ROUGH_MM);
            $belonging = array_values(array_filter($facets, static fn (Facet $one): bool => (
                abs($one->middle->minus($at)->dot($normal)) < $limitMm && $one->normal->dot($normal) > $cos
            )));
            if ($belonging === []) {
                return null;
            }
            $plane = self::plane($belonging);
            $roughMm = max(self::LEAST_ROUGH_MM, $plane[2]);
            if (count($belonging) === $count) {
                break;
            }
            $count = count($belonging);
        }
        [$at, $normal, $rmsMm, $spreadMm] = $plane;
        $isOn = array_fill_keys(array_map(spl_object_id(...), $belonging), true);
        $nearOnIt = array_filter($near, static fn (Facet $one): bool => isset($isOn[spl_object_id($one)]));
        $isFace = $near === [] || self::area($nearOnIt) >= self::FACE_SHARE * self::area($near);
        if (! $isFace) {
            return null;
        }
        $count = max(1.0, count($belonging) / self::ALIKE);

        return new self(
            true,
            $tap->minus($normal->times($tap->minus($at)->dot($normal))),
            $normal,
            $rmsMm,
            rad2deg(max($rmsMm, self::LEAST_ROUGH_MM) / (max($spreadMm, 1.0) * sqrt($count))),
            count($belonging),
            Openings::of(self::skin($facets, $plane, $roughMm), $normal, $tap),
        );
    }

    /**
     * The wall of a bore: everything faces square to its axis.
     *
     * @param  non-empty-list<Facet>  $facets
     */
    private static function bore(array $facets, Vector $tap): ?self
    {
        $belonging = array_values(array_filter($facets, static fn (Facet $one): bool => self::isNear($one, $tap)));
        $axis = null;
        $circle = null;
        for ($step = 0; $step < self::STEPS && count($belonging) >= self::LEAST_FACETS; $step++) {
            $axis = self::axis($belonging);
            $circle = FittedCircle::of(
                array_map(static fn (Facet $one): Vector => $one->corners[0], $belonging),
                $axis,
            );
            if ($circle === null || $circle->radiusMm > 2 * FittedCircle::MOST_PORT_MM) {
                return null;
            }
            $limitMm = max(self::WITHIN * max($circle->rmsMm, self::LEAST_ROUGH_MM), 0.02 * $circle->radiusMm);
            $centre = $circle->centre;
            $radiusMm = $circle->radiusMm;
            $sin = sin(deg2rad(self::ASIDE_DEG));
            $belongs = static function (Facet $one) use ($centre, $axis, $radiusMm, $limitMm, $sin): bool {
                $off = $one->middle->minus($centre);
                $out = $off->minus($axis->times($off->dot($axis)));

                return abs($out->length() - $radiusMm) < $limitMm && abs($one->normal->dot($axis)) < $sin;
            };
            $before = count($belonging);
            $belonging = array_values(array_filter($facets, $belongs));
            if (count($belonging) === $before) {
                break;
            }
        }
        if ($axis === null || count($belonging) < self::LEAST_FACETS) {
            return null;
        }
        if (! $circle->mayBePort(self::COVERED)) {
            return null;
        }
        $stations = array_map(static fn (Facet $one): float => $one->middle->dot($axis), $belonging);
        $middleMm = (min($stations) + max($stations)) / 2;
        $at = $circle->centre->plus($axis->times($middleMm - $circle->centre->dot($axis)));
        $lengthMm = max(1.0, (max($stations) - min($stations)) / sqrt(12.0));
        $count = max(1.0, count($belonging) / self::ALIKE);

        return new self(
            false,
            $at,
            $axis,
            $circle->rmsMm,
            rad2deg(max($circle->rmsMm, self::LEAST_ROUGH_MM) / ($lengthMm * sqrt($count))),
            count($belonging),
            [$circle],
        );
    }

    /**
     * The way that all of it faces square to.
     *
     * @param  list<Facet>  $facets
     */
    private static function axis(array $facets): Vector
    {
        $way = Symmetric::spread(
            array_map(static fn (Facet $one): array => $one->normal->toArray(), $facets),
            array_map(static fn (Facet $one): float => $one->areaMm2, $facets),
        )[1][2];

        return (new Vector($way[0], $way[1], $way[2]))->unit();
    }

    /**
     * @param  non-empty-list<Facet>  $facets
     * @return array{Vector, Vector, float, float} a point, the way out, roughness, and how far it spreads, mm
     */
    private static function plane(array $facets): array
    {
        $area = self::area($facets);
        $at = new Vector(0.0, 0.0, 0.0);
        $out = new Vector(0.0, 0.0, 0.0);
        foreach ($facets as $one) {
            $at = $at->plus($one->middle->times($one->areaMm2 / $area));
            $out = $out->plus($one->normal->times($one->areaMm2 / $area));
        }
        if (count($facets) === 1) {
            return [$at, $facets[0]->normal, 0.0, 1.0];
        }
        [$values, $ways] = Symmetric::spread(
            array_map(static fn (Facet $one): array => $one->middle->minus($at)->toArray(), $facets),
            array_map(static fn (Facet $one): float => $one->areaMm2 / $area, $facets),
        );
        $normal = (new Vector($ways[2][0], $ways[2][1], $ways[2][2]))->unit();

        return [
            $at,
            $normal->dot($out) < 0.0 ? $normal->times(-1.0) : $normal,
            sqrt(max(0.0, $values[2])),
            sqrt(max(0.0, $values[1])),
        ];
    }

    /**
     * All that may be the face, a rough facet too: a hole is where nothing of it is.
     *
     * @param  list<Facet>  $facets
     * @param  array{Vector, Vector, float, float}  $plane
     * @return list<Facet>
     */
    private static function skin(array $facets, array $plane, float $roughMm): array
    {
        [$at, $normal] = $plane;
        $cos = cos(deg2rad(self::STEEP_DEG));

        return array_values(array_filter($facets, static fn (Facet $one): bool => (
            abs($one->middle->minus($at)->dot($normal)) < self::WELL_WITHIN * $roughMm
            && $one->normal->dot($normal) > $cos
        )));
    }

    private static function isNear(Facet $one, Vector $tap): bool
    {
        foreach ([$one->middle, ...$one->corners] as $place) {
            if ($place->distanceTo($tap) < self::NEAR_MM) {
                return true;
            }
        }

        return false;
    }

    /** @param  non-empty-list<Facet>  $facets */
    private static function nearest(array $facets, Vector $tap): Facet
    {
        $best = $facets[0];
        foreach ($facets as $one) {
            if ($one->middle->distanceTo($tap) < $best->middle->distanceTo($tap)) {
                $best = $one;
            }
        }

        return $best;
    }

    /** @param  array<Facet>  $facets */
    private static function area(array $facets): float
    {
        return array_sum(array_map(static fn (Facet $one): float => $one->areaMm2, $facets));
    }
}

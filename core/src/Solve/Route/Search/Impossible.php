<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Search;

use UpsweptBead\Core\Base\Geometry\Solid\KeepOut;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Route\Problem\RouteProblem;

/**
 * Proofs that a set cannot be routed, whatever is tried; finding none proves nothing.
 *
 * A tube leaves its port straight, and then turns no tighter than its least radius: at depth s0 + h on the port's axis
 * it is within R − √(R² − h²) of that axis. It must get that deep if it has to turn by a right angle or so, or if its
 * inlet lies deeper. If one keep-out, grown by half a tube and its clearance, covers that whole disc, no tube gets
 * past. Grown convex solids are convex, so a polygon round the disc with all its corners inside is enough. At the
 * inlet likewise. What no one disc tells, WayOut may.
 */
final readonly class Impossible
{
    /** A turn past what the bends allow by no more than this (rad) is rounding. */
    private const ROUNDING_RAD = 1e-6;

    /** A disc covered by no more than this (mm) may yet be passed: what the format's judge grants. */
    private const GRANTED_MM = 0.05;

    /** Two first straights too near each other by no more than this (mm): granted, and the steps between points. */
    private const STUBS_GRANTED_MM = 0.06;

    private const STUB_STEPS = 50;

    /** The least depth (mm) a disc is laid at. */
    private const LEAST_DEPTH_MM = 1e-3;

    private const CORNERS = 24;

    private const DEPTHS = 24;

    /** @return list<Hindrance> one for each tube that has no way, or each pair of tubes that cannot stand together */
    public static function reasons(RouteProblem $problem, InletSharing $layout): array
    {
        $blocked = array_map(
            static fn (array $choices): array => array_map(
                static fn (Span $span): ?Hindrance => self::blocked($problem, $span),
                $choices,
            ),
            $layout->spans,
        );
        $spans = $layout->byPort();
        $reasons = [];
        foreach ($blocked as $choices) {
            // Every way in must be closed before the tube has none.
            $closed = array_filter($choices, static fn (?Hindrance $one): bool => $one !== null);
            if ($closed !== [] && count($closed) === count($choices)) {
                $reasons[] = reset($closed);
            }
        }

        return [
            ...$reasons === [] ? self::sharedOut($layout, $blocked) : $reasons,
            ...self::stubs($problem, $spans),
            ...self::lengths($problem, $spans),
        ];
    }

    /**
     * Where each tube has some inlet left, but no way of sharing them out goes without a closed one.
     *
     * @param  list<array<int, ?Hindrance>>  $blocked  by port, by inlet
     * @return list<Hindrance> those of the way that would be opened with least
     */
    private static function sharedOut(InletSharing $layout, array $blocked): array
    {
        foreach ($layout->places as $c => $places) {
            $least = null;
            foreach ($places as $place) {
                $closed = [];
                foreach ($layout->inletsOf($c, $place) as $port => $inlet) {
                    $closed[] = $blocked[$port][$inlet] ?? null;
                }
                $closed = array_values(array_filter($closed, static fn (?Hindrance $one): bool => $one !== null));
                $least = $least === null || self::amount($closed) < self::amount($least) ? $closed : $least;
            }
            if ($least !== null && $least !== [] && ! $layout->isCutShort($c)) {
                return $least;
            }
        }

        return [];
    }

    /** @param  list<Hindrance>  $closed */
    private static function amount(array $closed): float
    {
        return array_sum(array_map(static fn (Hindrance $one): float => $one->amount, $closed));
    }

    private static function blocked(RouteProblem $problem, Span $span): ?Hindrance
    {
        $turn = acos(max(-1.0, min(1.0, $span->port->direction->dot($span->inlet->direction))));
        $most = $span->rules->maxBends * max($span->maxAngles);
        if ($turn > $most + self::ROUNDING_RAD) {
            return new Hindrance(
                $span->port->id,
                null,
                Lack::Turn,
                rad2deg($turn - $most),
                'more bends, or bends of a greater angle',
            );
        }
        foreach ($problem->keepOuts as $solid) {
            if (! $solid->isConvex()) {
                continue;
            }
            $grown = $span->port->tube->odMm / 2 + ($solid->clearanceMm ?? $problem->rules->clearanceMm);
            foreach (
                [
                    [
                        false,
                        $span->port->at,
                        $span->port->direction,
                        $span->rules->limits->firstStraightMm,
                        $solid->exemptFirstMm,
                    ],
                    [
                        true,
                        $span->inlet->at,
                        $span->inlet->direction->times(-1.0),
                        $span->rules->limits->lastStraightMm,
                        $solid->exemptLastMm,
                    ],
                ] as [$atInlet, $at, $axis, $straight, $exempt]
            ) {
                $by = self::coveredBy($span, $solid, $grown, $at, $axis, $straight, $exempt, $turn);
                if ($by > 0.0) {
                    return new Hindrance(
                        $span->port->id,
                        $solid->id,
                        Lack::Clearance,
                        $by,
                        self::opens($solid->id, $atInlet),
                    );
                }
            }
        }
        foreach ([false, true] as $atInlet) {
            $closed = WayOut::closedBy($span, $atInlet, $problem->keepOuts, $problem->rules->clearanceMm, $turn);
            if ($closed !== null) {
                return new Hindrance(
                    $span->port->id,
                    $closed[0],
                    Lack::Clearance,
                    $closed[1],
                    self::opens($closed[0], $atInlet),
                );
            }
        }

        return null;
    }

    private static function opens(string $id, bool $atInlet): string
    {
        return "moving $id away by that much, a tighter bend, or a shorter ".($atInlet ? 'last' : 'first').' straight';
    }

    /** Gives by how many mm at least a keep-out closes every way out along an axis, 0 if it does not. */
    private static function coveredBy(
        Span $span,
        KeepOut $solid,
        float $grown,
        Vector $at,
        Vector $axis,
        float $straight,
        float $exempt,
        float $turn,
    ): float {
        $radius = $span->radii[0];
        // A path that never turns past this may end before it gets deeper; deeper only counts if the far end lies
        // there.
        $far = $axis->dot($at === $span->port->at ? $span->across : $span->across->times(-1.0));
        $deepest = max($straight + $radius * sin(min($turn, M_PI / 2)), min($far, $straight + $radius));
        $axisSide = $axis->anySide();
        $other = $axis->cross($axisSide);
        $shallowest = max($exempt, self::LEAST_DEPTH_MM);
        $worst = 0.0;
        for ($i = 0; $i <= self::DEPTHS; $i++) {
            $depth = $shallowest + ($deepest - $shallowest) * $i / self::DEPTHS;
            if ($depth > $deepest || $depth < $exempt) {
                continue;
            }
            $h = max(0.0, min($depth - $straight, $radius));
            $reach = ($radius - sqrt(max(0.0, $radius * $radius - $h * $h))) / cos(M_PI / self::CORNERS);
            $centre = $at->plus($axis->times($depth));
            $inside = INF;
            for ($k = 0; $k < self::CORNERS && $inside > self::GRANTED_MM; $k++) {
                $angle = (2 * M_PI * $k) / self::CORNERS;
                $corner = $centre
                    ->plus($axisSide->times($reach * cos($angle)))
                    ->plus($other->times($reach * sin($angle)));
                $inside = min($inside, $grown - $solid->distance($corner->x, $corner->y, $corner->z));
            }
            $worst = max($worst, $inside > self::GRANTED_MM ? $inside : 0.0);
        }

        return $worst;
    }

    /**
     * Two tubes whose first straights stand too close, or that enter too close to each other, have no way apart.
     *
     * @param  array<array-key, list<Span>>  $spans
     * @return list<Hindrance>
     */
    private static function stubs(RouteProblem $problem, array $spans): array
    {
        $reasons = [];
        $firsts = array_values(
            array_filter(array_map(static fn (array $choices): ?Span => $choices[0] ?? null, $spans)),
        );
        foreach ($firsts as $i => $p) {
            foreach (array_slice($firsts, $i + 1) as $q) {
                $need = ($p->port->tube->odMm + $q->port->tube->odMm) / 2 + $problem->rules->gapMm;
                $length = $problem->rules->limits->firstStraightMm;
                $gap = self::apart($p->port->at, $p->port->direction, $q->port->at, $q->port->direction, $length);
                if ($need - $gap > self::STUBS_GRANTED_MM) {
                    $reasons[] = new Hindrance(
                        $p->port->id,
                        $q->port->id,
                        Lack::Gap,
                        $need - $gap,
                        'ports further apart, a smaller tube, or a smaller gap',
                    );
                }
            }
        }

        return $reasons;
    }

    /**
     * @param  array<array-key, list<Span>>  $spans
     * @return list<Hindrance>
     */
    private static function lengths(RouteProblem $problem, array $spans): array
    {
        $reasons = [];
        foreach ($problem->lengths as $group) {
            foreach ($group->targetMm === null ? [] : $group->runners as $port) {
                $choices = $spans[$port] ?? [];
                $least =
                    $choices === []
                        ? 0.0
                        : min(array_map(static fn (Span $span): float => $span->across->length(), $choices));
                $most = (float) $group->targetMm + $group->toleranceMm((float) $group->targetMm);
                if ($least > $most) {
                    $reasons[] = new Hindrance($port, null, Lack::Length, $least - $most, 'a longer target');
                }
            }
        }

        return $reasons;
    }

    /** The least distance between two straight stubs of one length. */
    private static function apart(Vector $p, Vector $u, Vector $q, Vector $v, float $length): float
    {
        $least = INF;
        for ($i = 0; $i <= self::STUB_STEPS; $i++) {
            $x = $p->plus($u->times($length * $i / self::STUB_STEPS));
            $t = max(0.0, min($length, $x->minus($q)->dot($v)));
            $least = min($least, $x->distanceTo($q->plus($v->times($t))));
        }

        return $least;
    }
}

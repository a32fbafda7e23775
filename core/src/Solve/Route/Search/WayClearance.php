<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Search;

use UpsweptBead\Core\Base\Geometry\Clearance\Clearance;
use UpsweptBead\Core\Base\Geometry\Clearance\Contact;
use UpsweptBead\Core\Base\Geometry\Solid\KeepOut;

/**
 * By how much ways come short of what a route problem asks of their distances. Shortfalls are in mm, 0 where all is
 * well.
 */
final readonly class WayClearance
{
    /** Cosine of the angle up to which two inlets count as parallel (0.8°); tuned on the shipped problems. */
    private const PARALLEL = 0.9999;

    /**
     * Gives by how much two tubes come short of their gap at the worst place.
     *
     * @param  float  $hand  mm asked for above the gap
     * @param  list<Contact>|null  $contacts  filled with the nearest place of each two stretches within $window of the
     *   limit
     *
     * @param-out  ($contacts is null ? null : list<Contact>)  $contacts
     */
    public static function pair(
        Way $p,
        Way $q,
        float $gap,
        float $hand,
        ?array &$contacts = null,
        float $window = 0.0,
    ): float {
        $half = ($p->span->port->tube->odMm + $q->span->port->tube->odMm) / 2;
        $wide = $half + $gap + $hand;
        $same = $p->span->collector->id === $q->span->collector->id;
        $narrow = $same ? min($wide, $half + $p->span->collector->nearGapMm + $hand) : $wide;

        return Clearance::ofTubes($p->chords(), $q->chords(), $wide, $narrow, $contacts, $window);
    }

    /**
     * Where two inlets sit closer than the gap, one of the two tubes must begin to bend inside the near zone, or they
     * run too close just before it, with nothing to tell a search which way is better. Gives how much too long the
     * shorter of the two last straights is. All in mm.
     */
    public static function lane(Way $p, Way $q, float $gap, float $hand): float
    {
        $most = self::longestLastStraight($p->span, $q->span, $gap + $hand);

        return max(0.0, min($p->straights[$p->bends()], $q->straights[$q->bends()]) - $most);
    }

    /** The longest that the shorter of two last straights may be, mm; INF where nothing bounds it. */
    public static function longestLastStraight(Span $p, Span $q, float $gap): float
    {
        if ($p->collector->id !== $q->collector->id) {
            return INF;
        }
        $alike = $p->bx * $q->bx + $p->by * $q->by + $p->bz * $q->bz;
        $half = ($p->port->tube->odMm + $q->port->tube->odMm) / 2;
        $across = $p->inlet->at->minus($q->inlet->at);
        $lack = $half + $gap - $across->squareTo($p->inlet->direction)->length();
        if ($alike < self::PARALLEL || $lack <= 0.0) {
            return INF;
        }

        return $p->collector->nearMm - sqrt(2 * min($p->radii[0], $q->radii[0]) * $lack);
    }

    /**
     * Gives by how much a tube comes short of its clearance to a keep-out.
     *
     * @param  float  $clearance  mm, where the keep-out asks for none of its own
     * @param  float  $hand  mm asked for above it
     * @param  list<Contact>|null  $contacts  filled with the nearest place of each stretch within $window of the limit
     *
     * @param-out  ($contacts is null ? null : list<Contact>)  $contacts
     */
    public static function solid(
        Way $way,
        KeepOut $solid,
        float $clearance,
        float $hand,
        ?array &$contacts = null,
        float $window = 0.0,
    ): float {
        return Clearance::toSolid(
            $way->chords(),
            $solid,
            self::needed($way, $solid, $clearance) + $hand,
            $contacts,
            $window,
        );
    }

    /**
     * Says, at some points only, whether a tube plainly runs into a keep-out by more than $most. All in mm.
     *
     * @param  list<array{float, float, float, float}>  $marks  of the way: x, y, z and station
     */
    public static function plainly(Way $way, array $marks, KeepOut $solid, float $clearance, float $most): bool
    {
        return Clearance::isPlainlyNearer(
            $marks,
            $way->length,
            $solid,
            self::needed($way, $solid, $clearance) - $most,
        );
    }

    /** Gives by how much a tube comes short of the gap to itself, taken at points every $every mm. */
    public static function itself(Way $way, float $gap, float $hand, float $every = 4.0): float
    {
        if ($way->turning <= M_PI) {
            return 0.0;
        }
        $od = $way->span->port->tube->odMm;

        return Clearance::toItself(
            $way->chords(),
            $od + $gap + $hand,
            M_PI * max($way->span->radii[0], ($od + $gap) / 2),
            $every,
        );
    }

    private static function needed(Way $way, KeepOut $solid, float $clearance): float
    {
        return $way->span->port->tube->odMm / 2 + ($solid->clearanceMm ?? $clearance);
    }
}

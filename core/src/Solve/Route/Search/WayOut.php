<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Search;

use UpsweptBead\Core\Base\Geometry\Solid\KeepOut;
use UpsweptBead\Core\Base\Geometry\Vector;

/**
 * Whether anything gets past what stands before an end, proved by filling the room that a tube can be in there.
 *
 * As in Impossible, a tube that has not yet come deeper than s0 + h on the end's axis lies within R − √(R² − h²) of
 * it. That room is cut into cubes; a cube that lies whole in a keep-out, grown by half a tube and its clearance, is
 * closed. If no chain of cubes that touch leads from the end to where every tube must come, none gets there. The
 * keep-outs need not be convex, and several may close the room together.
 */
final readonly class WayOut
{
    private const CUBE = 3.5;

    /** A cube's middle is this far from its corners. */
    private const HALF = 3.0311;

    /** By how much a keep-out stands in the way is told within this. */
    private const WITHIN = 0.5;

    private const MOST = 80.0;

    /** @param  list<array{KeepOut, float, float}>  $near  keep-outs, what they are grown by, and how deep a tube is not tested */
    private function __construct(
        private Vector $at,
        private Vector $axis,
        private float $straight,
        private float $radius,
        private float $deepest,
        private array $near,
    ) {}

    /**
     * @param  list<KeepOut>  $solids
     * @return array{string, float}|null the keep-out that closes most of the room, and by how many mm at least it must go away, mm;
     *                                   null if something may get past
     */
    public static function closedBy(Span $span, bool $atInlet, array $solids, float $clearanceMm, float $turn): ?array
    {
        $room = self::before($span, $atInlet, $solids, $clearanceMm, $turn);
        if ($room->isOpenAhead()) {
            return null;
        }
        $id = $room->closing(0.0);
        if ($id === null) {
            return null;
        }
        // Distances change no faster than a keep-out is moved: less than what its clearance may shrink by opens
        // nothing.
        [$low, $high] = [0.0, self::MOST];
        while ($high - $low > self::WITHIN) {
            $middle = ($low + $high) / 2;
            $room->closing($middle) !== null ? $low = $middle : $high = $middle;
        }

        return [$id, $low];
    }

    /** @param  list<KeepOut>  $solids */
    private static function before(Span $span, bool $atInlet, array $solids, float $clearanceMm, float $turn): self
    {
        [$at, $axis, $straight, $across] = $atInlet
            ? [
                $span->inlet->at,
                $span->inlet->direction->times(-1.0),
                $span->rules->limits->lastStraightMm,
                $span->across->times(-1.0),
            ]
            : [$span->port->at, $span->port->direction, $span->rules->limits->firstStraightMm, $span->across];
        $radius = $span->radii[0];
        // A tube that turns less may end before it gets deeper; deeper counts only if its far end lies there.
        $deepest = max($straight + $radius * sin(min($turn, M_PI / 2)), min($axis->dot($across), $straight + $radius));
        $near = [];
        foreach ($solids as $solid) {
            $grown = $span->port->tube->odMm / 2 + ($solid->clearanceMm ?? $clearanceMm);
            if ($solid->atLeast($at->x, $at->y, $at->z) < $grown + $deepest + $radius) {
                $near[] = [$solid, $grown, $atInlet ? $solid->exemptLastMm : $solid->exemptFirstMm];
            }
        }

        return new self($at, $axis, $straight, $radius, $deepest, $near);
    }

    /** Most ends have room straight ahead: then nothing more need be looked at. */
    private function isOpenAhead(): bool
    {
        for ($depth = 0.0; $depth - self::CUBE < $this->deepest; $depth += self::CUBE) {
            if ($this->closedAt($depth, $this->at->plus($this->axis->times($depth)), 0.0) !== null) {
                return false;
            }
        }

        return true;
    }

    /** Gives the keep-out that closes most, each grown by so much less; null if cubes lead all the way. */
    private function closing(float $less): ?string
    {
        $side = $this->axis->anySide();
        $other = $this->axis->cross($side);
        $open = [[0, 0, 0]];
        $seen = ['0,0,0' => true];
        $closing = [];
        while ($open !== []) {
            [$i, $j, $k] = array_pop($open);
            if (($i + 0.5) * self::CUBE >= $this->deepest) {
                return null;
            }
            for ($n = 0; $n < 27; $n++) {
                [$a, $b, $c] = [$i + intdiv($n, 9) - 1, $j + intdiv($n, 3) % 3 - 1, $k + $n % 3 - 1];
                if ($a < 0 || isset($seen["$a,$b,$c"])) {
                    continue;
                }
                $seen["$a,$b,$c"] = true;
                $depth = $a * self::CUBE;
                if (hypot($b, $c) * self::CUBE - self::HALF > $this->reach($depth + self::CUBE / 2)) {
                    continue;
                }
                $closed = $this->closedAt(
                    $depth,
                    $this->at
                        ->plus($this->axis->times($depth))
                        ->plus($side->times($b * self::CUBE))
                        ->plus($other->times($c * self::CUBE)),
                    $less,
                );
                if ($closed !== null) {
                    $closing[$closed] = ($closing[$closed] ?? 0) + 1;
                } else {
                    $open[] = [$a, $b, $c];
                }
            }
        }
        arsort($closing);

        return array_key_first($closing);
    }

    /** How far off the axis a tube can be that has come no deeper than this. */
    private function reach(float $depth): float
    {
        $h = max(0.0, min($depth - $this->straight, $this->radius));

        return $this->radius - sqrt(max(0.0, $this->radius * $this->radius - $h * $h));
    }

    private function closedAt(float $depth, Vector $middle, float $less): ?string
    {
        foreach ($this->near as [$solid, $grown, $exempt]) {
            // No deeper than the exempt length a tube may still be on its first mm, which are not tested.
            if (
                $depth - self::CUBE / 2 > $exempt &&
                $solid->distance($middle->x, $middle->y, $middle->z) + self::HALF < $grown - $less
            ) {
                return $solid->id;
            }
        }

        return null;
    }
}

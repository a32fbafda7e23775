<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Search;

use UpsweptBead\Core\Base\Geometry\Clearance\Chords;
use UpsweptBead\Core\Base\Geometry\DampedStep;
use UpsweptBead\Core\Solve\Route\Problem\RouteProblem;

/**
 * Mends near misses of a whole set together: damped least squares (Levenberg–Marquardt) over all free values of all
 * tubes and the common lengths. What is asked of the tubes becomes shortfalls in mm, 0 where kept; the places of
 * contact are found anew at each step and held while slopes are taken. Its numbers are tuned on the shipped problems.
 */
final readonly class Mending
{
    /** Asked for above every limit while mending, so that the end lies inside. */
    private const HAND = 0.5;

    private const STEPS = 36;

    /** An angle on the grid may keep this share of its window. */
    private const HELD = 0.6;

    /** How much a value is held that hardly any shortfall depends on (of the square of a slope). */
    private const FLOOR = 0.05;

    /** Damping to begin with, its least, and what it is multiplied by after a step that helped or did not. */
    private const DAMPING = 0.02;

    private const LEAST_DAMPING = 1e-4;

    private const AFTER_GAIN = 0.35;

    private const AFTER_LOSS = 5;

    private const TRIES = 4;

    /** Squares of shortfalls (mm²) that count as none while mending, and at its end. */
    private const MENDED = 1e-6;

    private const NEARLY_MENDED = 1e-4;

    /** Every so many steps the shortfalls must have come down to this share, or it is given up. */
    private const LOOK_EVERY = 6;

    private const MUST_FALL_TO = 0.8;

    /** Slopes are taken over this, mm. */
    private const SLOPE_MM = 1e-3;

    /** No step longer than a bend (mm): beyond that the slopes mean nothing. */
    private const MOST_STEP = 40.0;

    /**
     * Straights end this far (mm), angles this far (rad) inside their limits, lengths at this share of their tolerance.
     */
    private const STRAIGHT_HAND = 0.02;

    private const ANGLE_HAND = 1e-4;

    private const LENGTH_SHARE = 0.97;

    public function __construct(private RouteProblem $problem, private Groups $groups) {}

    /**
     * @param  list<Way>  $ways
     * @param  array<int, list<?float>>  $held  by place in the set, angles to be held instead of those on the grid
     *   already
     * @return list<Way>|null null if it cannot be mended
     */
    public function mend(array $ways, array $held = []): ?array
    {
        $tubes = [];
        foreach ($ways as $i => $way) {
            $tubes[] = FreeWay::from($way, $held[$i] ?? null);
        }
        $commons = $this->groups->commons($ways);
        $damping = self::DAMPING;
        $ways = array_map(static fn (FreeWay $tube): Way => $tube->way()->cut(Chords::COARSE), $tubes);
        $known = [];
        $rows = $this->rows($tubes, $ways, $commons, $known);
        $error = self::error($rows);
        $early = INF;
        for ($step = 0; $step < self::STEPS; $step++) {
            if ($error < self::MENDED) {
                return $ways;
            }
            if ($step % self::LOOK_EVERY === self::LOOK_EVERY - 1) {
                if ($error > self::MUST_FALL_TO * $early) {
                    return null;
                }
                $early = $error;
            }
            [$normal, $slope] = $this->normal($tubes, $commons, $rows);
            for ($try = 0; $try < self::TRIES; $try++) {
                $move = DampedStep::of($normal, $slope, $damping, self::FLOOR);
                [$tried, $triedCommons] = self::moved($tubes, $commons, $move);
                $triedWays = array_map(
                    static fn (FreeWay $tube, FreeWay $was, Way $way): Way => $tube === $was
                        ? $way
                        : $tube->way()->cut(Chords::COARSE),
                    $tried,
                    $tubes,
                    $ways,
                );
                $triedRows = $this->rows($tried, $triedWays, $triedCommons, $known);
                $triedError = self::error($triedRows);
                if ($triedError < $error) {
                    [$tubes, $commons, $ways, $rows, $error] = [
                        $tried,
                        $triedCommons,
                        $triedWays,
                        $triedRows,
                        $triedError,
                    ];
                    $damping = max(self::LEAST_DAMPING, $damping * self::AFTER_GAIN);

                    continue 2;
                }
                $damping *= self::AFTER_LOSS;
            }

            return null;
        }

        return $error < self::NEARLY_MENDED ? $ways : null;
    }

    /**
     * Every shortfall that is not kept.
     *
     * @param  list<FreeWay>  $tubes
     * @param  list<Way>  $ways
     * @param  list<float>  $commons
     * @param  array<string, array{Way, Way, list<Shortfall>}>  $known  what was found between two ways that have not
     *   moved since
     * @return list<Shortfall>
     */
    private function rows(array $tubes, array $ways, array $commons, array &$known): array
    {
        $rows = [];
        foreach ($tubes as $i => $tube) {
            $this->ownRows($rows, $i, $tube, $commons);
            for ($j = $i; $j < count($tubes); $j++) {
                $key = "$i|$j";
                if (! isset($known[$key]) || $known[$key][0] !== $ways[$i] || $known[$key][1] !== $ways[$j]) {
                    $found = [];
                    if ($i === $j) {
                        $this->solidRows($found, $i, $ways[$i]);
                    } else {
                        $this->pairRows($found, $i, $j, $tubes, $ways);
                    }
                    $known[$key] = [$ways[$i], $ways[$j], $found];
                }
                array_push($rows, ...$known[$key][2]);
            }
        }

        return $rows;
    }

    /** @param  list<Shortfall>  $rows */
    private function solidRows(array &$rows, int $i, Way $way): void
    {
        $rules = $this->problem->rules;
        foreach ($this->problem->keepOuts as $solid) {
            $contacts = [];
            WayClearance::solid($way, $solid, $rules->clearanceMm, self::HAND, $contacts, 0.0);
            $need = $way->span->port->tube->odMm / 2 + ($solid->clearanceMm ?? $rules->clearanceMm) + self::HAND;
            foreach ($contacts as $contact) {
                $rows[] = new Shortfall(
                    ShortfallKind::Solid,
                    $i,
                    $contact->shortMm,
                    place: $contact->piece,
                    share: $contact->share,
                    limit: $need,
                    solid: $solid,
                );
            }
        }
    }

    /**
     * @param  list<Shortfall>  $rows
     * @param  list<float>  $commons
     */
    private function ownRows(array &$rows, int $i, FreeWay $tube, array $commons): void
    {
        $rules = $this->problem->rules;
        $last = $tube->bends;
        foreach ($tube->straights as $k => $straight) {
            $least =
                self::STRAIGHT_HAND +
                ($k === 0
                    ? $rules->limits->firstStraightMm
                    : ($k === $last
                        ? $rules->limits->lastStraightMm
                        : $rules->limits->innerStraightMm));
            if ($straight < $least) {
                $rows[] = new Shortfall(ShortfallKind::Straight, $i, $least - $straight, place: $k, limit: $least);
            }
        }
        foreach ($tube->angles as $k => $angle) {
            $low = $tube->span->minAngle + self::ANGLE_HAND;
            $high = $tube->span->maxAngle($tube->radii[$k]) - self::ANGLE_HAND;
            if ($tube->held[$k] !== null) {
                $slack = self::HELD * deg2rad($rules->limits->grid->windowDeg);
                [$low, $high] = [max($low, $tube->held[$k] - $slack), min($high, $tube->held[$k] + $slack)];
            }
            if ($angle < $low || $angle > $high) {
                $rows[] = new Shortfall(
                    ShortfallKind::Angle,
                    $i,
                    $tube->radii[$k] * max($low - $angle, $angle - $high),
                    place: $k,
                    limit: $angle < $low ? $low : $high,
                    sign: $angle < $low ? -1.0 : 1.0,
                );
            }
        }
        $group = $this->groups->of($tube->span->port->id);
        if ($group !== null) {
            $over = $tube->length - $commons[$group];
            $allowed = self::LENGTH_SHARE * $this->groups->tolerance($group, $commons[$group]);
            if (abs($over) > $allowed) {
                $rows[] = new Shortfall(
                    ShortfallKind::Length,
                    $i,
                    abs($over) - $allowed,
                    place: $group,
                    sign: $over > 0 ? 1.0 : -1.0,
                );
            }
        }
    }

    /**
     * @param  list<Shortfall>  $rows
     * @param  list<FreeWay>  $tubes
     * @param  list<Way>  $ways
     */
    private function pairRows(array &$rows, int $i, int $j, array $tubes, array $ways): void
    {
        $gap = $this->problem->rules->gapMm;
        $contacts = [];
        WayClearance::pair($ways[$i], $ways[$j], $gap, self::HAND, $contacts, 0.0);
        foreach ($contacts as $contact) {
            [$px, $py, $pz] = $tubes[$i]->point($contact->piece, $contact->share);
            [$qx, $qy, $qz] = $tubes[$j]->point($contact->otherPiece, $contact->otherShare);
            $size = max(sqrt(($px - $qx) ** 2 + ($py - $qy) ** 2 + ($pz - $qz) ** 2), 1e-6);
            $rows[] = new Shortfall(
                ShortfallKind::Pair, $i, $contact->shortMm, other: $j, place: $contact->piece, share: $contact->share,
                otherPlace: $contact->otherPiece, otherShare: $contact->otherShare, limit: $contact->shortMm + $size,
                normal: [($px - $qx) / $size, ($py - $qy) / $size, ($pz - $qz) / $size],
            );
        }
        $long = WayClearance::lane($ways[$i], $ways[$j], $gap, self::HAND);
        if ($long > 0.0) {
            $shorter = $tubes[$i]->straights[$tubes[$i]->bends] < $tubes[$j]->straights[$tubes[$j]->bends] ? $i : $j;
            $rows[] = new Shortfall(
                ShortfallKind::Lane,
                $shorter,
                $long,
                place: $tubes[$shorter]->bends,
                limit: $tubes[$shorter]->straights[$tubes[$shorter]->bends] - $long,
            );
        }
    }

    /** @param  list<Shortfall>  $rows */
    private static function error(array $rows): float
    {
        $sum = 0.0;
        foreach ($rows as $row) {
            $sum += $row->value * $row->value;
        }

        return $sum;
    }

    /**
     * The normal equations of the shortfalls, slopes by forward difference.
     *
     * @param  list<FreeWay>  $tubes
     * @param  list<float>  $commons
     * @param  list<Shortfall>  $rows
     * @return array{array<int, array<int, float>>, array<int, float>}
     */
    private function normal(array $tubes, array $commons, array $rows): array
    {
        $first = [];
        $count = 0;
        foreach ($tubes as $i => $tube) {
            $first[$i] = $count;
            $count += count($tube->values);
        }
        $size = $count + count($commons);
        $h = self::SLOPE_MM;
        $slopes = array_fill(0, count($rows), []);
        foreach ($tubes as $i => $tube) {
            $mine = array_filter($rows, static fn (Shortfall $row): bool => $row->tube === $i || $row->other === $i);
            foreach ($mine === [] ? [] : $tube->values as $k => $value) {
                $bent = clone $tube;
                $bent->set(array_values(array_replace($tube->values, [$k => $value + $h])));
                $others = array_values(array_replace($tubes, [$i => $bent]));
                foreach ($mine as $r => $row) {
                    $slope = ($this->value($row, $others, $commons) - $this->value($row, $tubes, $commons)) / $h;
                    if ($slope !== 0.0) {
                        $slopes[$r][$first[$i] + $k] = $slope;
                    }
                }
            }
        }
        foreach ($rows as $r => $row) {
            if ($row->kind === ShortfallKind::Length && $this->groups->isFree($row->place)) {
                $slopes[$r][$count + $row->place] =
                    -$row->sign - self::LENGTH_SHARE * $this->groups->tolerance($row->place, 1.0);
            }
        }
        $normal = array_fill(0, $size, array_fill(0, $size, 0.0));
        $right = array_fill(0, $size, 0.0);
        foreach ($slopes as $r => $row) {
            foreach ($row as $i => $si) {
                $right[$i] -= $si * $rows[$r]->value;
                foreach ($row as $j => $sj) {
                    $normal[$i][$j] += $si * $sj;
                }
            }
        }

        return [$normal, $right];
    }

    /**
     * @param  list<FreeWay>  $tubes
     * @param  list<float>  $commons
     */
    private function value(Shortfall $row, array $tubes, array $commons): float
    {
        $tube = $tubes[$row->tube];
        switch ($row->kind) {
            case ShortfallKind::Straight:
                return $row->limit - $tube->straights[$row->place];
            case ShortfallKind::Lane:
                return $tube->straights[$row->place] - $row->limit;
            case ShortfallKind::Angle:
                return $row->sign * ($tube->angles[$row->place] - $row->limit) * $tube->radii[$row->place];
            case ShortfallKind::Length:
                return $row->sign * ($tube->length - $commons[$row->place]) -
                    self::LENGTH_SHARE * $this->groups->tolerance($row->place, $commons[$row->place]);
            case ShortfallKind::Solid:
                [$x, $y, $z] = $tube->point($row->place, $row->share);

                return $row->limit - ($row->solid?->distance($x, $y, $z) ?? 0.0);
            case ShortfallKind::Pair:
                [$x, $y, $z] = $tube->point($row->place, $row->share);
                [$u, $v, $w] = $tubes[$row->other]->point($row->otherPlace, $row->otherShare);

                return $row->limit -
                    ($x - $u) * $row->normal[0] -
                    ($y - $v) * $row->normal[1] -
                    ($z - $w) * $row->normal[2];
        }
    }

    /**
     * @param  list<FreeWay>  $tubes
     * @param  list<float>  $commons
     * @param  array<int, float>  $move
     * @return array{list<FreeWay>, list<float>}
     */
    private static function moved(array $tubes, array $commons, array $move): array
    {
        $at = 0;
        $moved = [];
        foreach ($tubes as $tube) {
            $values = [];
            foreach ($tube->values as $value) {
                $values[] = $value + max(-self::MOST_STEP, min(self::MOST_STEP, $move[$at++]));
            }
            if ($values === $tube->values) {
                $moved[] = $tube;

                continue;
            }
            $bent = clone $tube;
            $bent->set($values);
            $moved[] = $bent;
        }
        $commons = array_map(static function (float $common) use ($move, &$at): float {
            return $common + $move[$at++];
        }, $commons);

        return [$moved, $commons];
    }
}

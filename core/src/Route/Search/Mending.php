<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Route\Search;

use UpsweptBead\Core\Geometry\Clearance\Chords;
use UpsweptBead\Core\Route\Problem\RouteProblem;

/**
 * Mends near misses of a whole set together: damped least squares (Levenberg–Marquardt) over all free values of all
 * tubes and the common lengths. What is asked of the tubes becomes shortfalls in mm, 0 where kept; the places of
 * contact are found anew at each step and held while slopes are taken.
 */
final readonly class Mending
{
    /** Asked for above every limit while mending, so that the end lies inside. */
    private const HAND = 0.5;

    private const STEPS = 36;

    /** An angle on the grid may keep this share of its window. */
    private const HELD = 0.6;

    public function __construct(private RouteProblem $problem, private Groups $groups) {}

    /**
     * @param  list<Way>  $ways
     * @param  array<int, list<?float>>  $held  by place in the set, angles to be held instead of those on the grid already
     * @return list<Way>|null null if it cannot be mended
     */
    public function mend(array $ways, array $held = []): ?array
    {
        $tubes = [];
        foreach ($ways as $i => $way) {
            $tubes[] = FreeWay::from($way, $held[$i] ?? null);
        }
        $commons = $this->groups->commons($ways);
        $damping = 0.02;
        $ways = array_map(static fn (FreeWay $tube): Way => $tube->way()->cut(Chords::COARSE), $tubes);
        $known = [];
        $rows = $this->rows($tubes, $ways, $commons, $known);
        $error = self::error($rows);
        $early = INF;
        for ($step = 0; $step < self::STEPS; $step++) {
            if ($error < 1e-6) {
                return $ways;
            }
            if ($step % 6 === 5) {
                if ($error > 0.8 * $early) {
                    return null;
                }
                $early = $error;
            }
            [$normal, $slope] = $this->normal($tubes, $commons, $rows);
            for ($try = 0; $try < 4; $try++) {
                $move = self::solve($normal, $slope, $damping);
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
                    $damping = max(1e-4, $damping * 0.35);

                    continue 2;
                }
                $damping *= 5;
            }

            return null;
        }

        return $error < 1e-4 ? $ways : null;
    }

    /**
     * Every shortfall that is not kept.
     *
     * @param  list<FreeWay>  $tubes
     * @param  list<Way>  $ways
     * @param  list<float>  $commons
     * @param  array<string, array{Way, Way, list<Shortfall>}>  $known  what was found between two ways that have not moved since
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
                0.02 +
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
            [$low, $high] = [$tube->span->minAngle + 1e-4, $tube->span->maxAngle($tube->radii[$k]) - 1e-4];
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
            $allowed = 0.97 * $this->groups->tolerance($group, $commons[$group]);
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
        $h = 1e-3;
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
                $slopes[$r][$count + $row->place] = -$row->sign - 0.97 * $this->groups->tolerance($row->place, 1.0);
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
                    0.97 * $this->groups->tolerance($row->place, $commons[$row->place]);
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
     * Solves (N + λ(D + 1)) x = r by Cholesky.
     *
     * @param  array<int, array<int, float>>  $normal
     * @param  array<int, float>  $right
     * @return array<int, float>
     */
    private static function solve(array $normal, array $right, float $damping): array
    {
        $n = count($right);
        $l = array_fill(0, $n, array_fill(0, $n, 0.0));
        for ($i = 0; $i < $n; $i++) {
            for ($j = 0; $j <= $i; $j++) {
                $sum = $normal[$i][$j] + ($i === $j ? $damping * ($normal[$i][$i] + 0.05) : 0.0);
                for ($k = 0; $k < $j; $k++) {
                    $sum -= $l[$i][$k] * $l[$j][$k];
                }
                $l[$i][$j] = $i === $j ? sqrt(max($sum, 1e-9)) : $sum / $l[$j][$j];
            }
        }
        for ($i = 0; $i < $n; $i++) {
            for ($k = 0; $k < $i; $k++) {
                $right[$i] -= $l[$i][$k] * $right[$k];
            }
            $right[$i] /= $l[$i][$i];
        }
        for ($i = $n - 1; $i >= 0; $i--) {
            for ($k = $i + 1; $k < $n; $k++) {
                $right[$i] -= $l[$k][$i] * $right[$k];
            }
            $right[$i] /= $l[$i][$i];
        }

        return $right;
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
                // No step longer than a bend: beyond that the slopes mean nothing.
                $values[] = $value + max(-40.0, min(40.0, $move[$at++]));
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

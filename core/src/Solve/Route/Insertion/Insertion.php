<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Insertion;

use UpsweptBead\Core\Base\Geometry\Solid\KeepOut;
use UpsweptBead\Core\Base\Geometry\Vector;

/**
 * In which order whole tubes can be put in, each pushed straight to its place past those already there, at most tipped
 * a little on the way.
 *
 * Found backwards: a tube that can be drawn out of the full set goes in last, and so on. Drawing out never gets harder
 * when others are gone, so peeling greedily loses nothing. A tube that does not come straight is tried tipped by a few
 * degrees about either of its ends first, looked at half way and at the end of the tip.
 */
final readonly class Insertion
{
    /** Directions all round, evenly spread, and shares between the port's and the inlet's. */
    private const ALL_ROUND = 40;

    private const BETWEEN = [0.25, 0.5, 0.75];

    /** Two directions whose mixture is shorter than this point against each other. */
    private const LEAST_MIXED = 0.2;

    private const TIPS_DEG = [4.0, 8.0];

    /**
     * @param  list<Step>  $order  as they go in
     * @param  list<Stuck>  $stuck  that no order gets in
     * @param  list<Stuck>  $alone  for each tube what keeps it from coming out with all the others in place; nothing if
     *   it does
     */
    private function __construct(public array $order, public array $stuck, public array $alone) {}

    /**
     * @param  list<WholeTube>  $tubes
     * @param  list<KeepOut>  $solids  standing there before the tubes
     * @param  float  $stubMm  so much of every tube is a stub that stands on its flange from the first
     */
    public static function of(array $tubes, array $solids, float $stubMm = 0.0): self
    {
        $left = $stubs = $directions = [];
        foreach ($tubes as $tube) {
            // A stub never takes the whole of a tube.
            $stub = min($stubMm, $tube->line->lengthMm / 3);
            $left[$tube->id] = Line::of($tube->id, $tube->line, $stub);
            $directions[$tube->id] = self::directions($tube->out->toArray(), $tube->in->times(-1.0)->toArray());
            if ($stub > 0.0) {
                $stubs[$tube->id] = Line::of($tube->id, $tube->line, 0.0, $stub);
            }
        }
        $alone = [];
        foreach ($left as $id => $line) {
            $others = self::others($id, $left, $stubs);
            $alone[] = new Stuck(
                $line->id,
                self::wayOut($line, $directions[$id], $others, $solids) !== null
                    ? []
                    : self::leastBlocked($line, $directions[$id], $others, $solids),
            );
        }
        $out = [];
        do {
            $moved = false;
            foreach ($left as $id => $line) {
                $step = self::wayOut($line, $directions[$id], self::others($id, $left, $stubs), $solids);
                if ($step !== null) {
                    $out[] = $step;
                    unset($left[$id]);
                    $moved = true;
                    break;
                }
            }
        } while ($moved && $left !== []);
        $stuck = [];
        foreach ($left as $id => $line) {
            $stuck[] = new Stuck(
                $line->id,
                self::leastBlocked($line, $directions[$id], self::others($id, $left, $stubs), $solids),
            );
        }

        return new self(array_reverse($out), $stuck, $alone);
    }

    public function isPossible(): bool
    {
        return $this->stuck === [];
    }

    /**
     * What else stands there: the other tubes, and the stubs of all but this one's own, which it is drawn off.
     *
     * @param  array<array-key, Line>  $left
     * @param  array<array-key, Line>  $stubs
     * @return list<Line>
     */
    private static function others(int|string $id, array $left, array $stubs): array
    {
        return [
            ...array_values(array_diff_key($left, [$id => true])),
            ...array_values(array_diff_key($stubs, [$id => true])),
        ];
    }

    /**
     * @param  list<array{array{float, float, float}, Along}>  $directions
     * @param  list<Line>  $others
     * @param  list<KeepOut>  $solids
     */
    private static function wayOut(Line $line, array $directions, array $others, array $solids): ?Step
    {
        foreach ($directions as [$d, $along]) {
            if (self::blockers($line, $d, $others, $solids, true) === []) {
                return new Step($line->id, [-$d[0], -$d[1], -$d[2]], $along);
            }
        }
        foreach (self::tips($line, $others, $solids) as [$tipped, $tip]) {
            // Its own two directions tip with it.
            $turned = [];
            foreach (array_slice($directions, 0, 2) as [$d, $along]) {
                $turned[] = [
                    (new Vector(...$d))->turnedAbout(new Vector(...$tip->axis), $tip->deg)->toArray(),
                    $along,
                ];
                $turned[] = [
                    (new Vector(...$d))
                        ->turnedAbout(new Vector(...$tip->axis), $tip->deg)
                        ->times(-1.0)
                        ->toArray(),
                    Along::Side,
                ];
            }
            foreach ([...$turned, ...$directions] as [$d, $along]) {
                if (self::blockers($tipped, $d, $others, $solids, true) === []) {
                    return new Step($line->id, [-$d[0], -$d[1], -$d[2]], $along, $tip);
                }
            }
        }

        return null;
    }

    /**
     * Ways to tip a tube about one of its ends that run into nothing, half way or at the end.
     *
     * @param  list<Line>  $others
     * @param  list<KeepOut>  $solids
     * @return \Generator<array{Line, Tip}>
     */
    private static function tips(Line $line, array $others, array $solids): \Generator
    {
        $across = $line->last()->minus($line->first());
        $first = $across
            ->cross(abs($across->z) < 0.9 * $across->length() ? new Vector(0, 0, 1) : new Vector(1, 0, 0))
            ->unit();
        $axes = [$first, $first->times(-1.0), $first->cross($across->unit()), $across->unit()->cross($first)];
        foreach ([$line->first(), $line->last()] as $about) {
            foreach ($axes as $axis) {
                foreach (self::TIPS_DEG as $deg) {
                    if (! self::isFree($line->turned($about, $axis, $deg / 2), $others, $solids)) {
                        break;
                    }
                    $tipped = $line->turned($about, $axis, $deg);
                    if (! self::isFree($tipped, $others, $solids)) {
                        break;
                    }
                    yield [$tipped, new Tip($about->toArray(), $axis->toArray(), $deg)];
                }
            }
        }
    }

    /**
     * @param  list<Line>  $others
     * @param  list<KeepOut>  $solids
     */
    private static function isFree(Line $line, array $others, array $solids): bool
    {
        foreach ($others as $other) {
            if (Sweep::tubesMeet($line, $other)) {
                return false;
            }
        }
        foreach ($solids as $solid) {
            if (Sweep::meetsSolid($line, $solid)) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param  list<array{array{float, float, float}, Along}>  $directions
     * @param  list<Line>  $others
     * @param  list<KeepOut>  $solids
     * @return list<string>
     */
    private static function leastBlocked(Line $line, array $directions, array $others, array $solids): array
    {
        $fewest = null;
        foreach ($directions as [$direction]) {
            $blockers = self::blockers($line, $direction, $others, $solids, false);
            if ($fewest === null || count($blockers) < count($fewest)) {
                $fewest = $blockers;
            }
        }

        return $fewest ?? [];
    }

    /**
     * Ways out worth trying: off the port, out of the inlet, between the two, then all round.
     *
     * @param  array{float, float, float}  $port
     * @param  array{float, float, float}  $inlet
     * @return list<array{array{float, float, float}, Along}>
     */
    private static function directions(array $port, array $inlet): array
    {
        $directions = [[$port, Along::Port], [$inlet, Along::Inlet]];
        foreach (self::BETWEEN as $share) {
            $mixed = [
                $port[0] + $share * ($inlet[0] - $port[0]),
                $port[1] + $share * ($inlet[1] - $port[1]),
                $port[2] + $share * ($inlet[2] - $port[2]),
            ];
            $size = sqrt($mixed[0] ** 2 + $mixed[1] ** 2 + $mixed[2] ** 2);
            if ($size > self::LEAST_MIXED) {
                $directions[] = [[$mixed[0] / $size, $mixed[1] / $size, $mixed[2] / $size], Along::Between];
            }
        }
        // Points spread evenly over the sphere by the golden angle.
        $count = self::ALL_ROUND;
        for ($i = 0; $i < $count; $i++) {
            $z = 1 - (2 * $i + 1) / $count;
            $r = sqrt(1 - $z * $z);
            $angle = $i * M_PI * (3 - sqrt(5));
            $directions[] = [[$r * cos($angle), $r * sin($angle), $z], Along::Side];
        }

        return $directions;
    }

    /**
     * @param  array{float, float, float}  $d
     * @param  list<Line>  $others
     * @param  list<KeepOut>  $solids
     * @return list<string> the tubes and keep-outs that stand in the way; only the first found if $firstOnly
     */
    private static function blockers(Line $line, array $d, array $others, array $solids, bool $firstOnly): array
    {
        $blockers = [];
        foreach ($others as $other) {
            if (! in_array($other->id, $blockers, true) && Sweep::tubeBlocks($line, $other, $d)) {
                $blockers[] = $other->id;
                if ($firstOnly) {
                    return $blockers;
                }
            }
        }
        foreach ($solids as $solid) {
            if (Sweep::solidBlocks($line, $solid, $d)) {
                $blockers[] = $solid->id;
                if ($firstOnly) {
                    return $blockers;
                }
            }
        }

        return $blockers;
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Gas;

use UpsweptBead\Core\Solve\Gas\Internal\HeldWays;
use UpsweptBead\Core\Solve\Gas\Internal\Levels;
use UpsweptBead\Core\Solve\Gas\Internal\Roofs;
use UpsweptBead\Core\Solve\Gas\Internal\Slices;

/** The inside of an assembly: how much it holds, and where to feed and vent it so that least air stays. */
final readonly class Inside
{
    /** A vent more is worth so much air (mL). */
    private const VENT_ML = 10.0;

    /** Choices so near to each other are equal: mL, and mm of the feed's height. */
    private const SAME_ML = 1.0;

    private const SAME_MM = 2.0;

    private const STEP_MM = 1.5;

    private Slices $slices;

    private HeldWays $ways;

    /**
     * @param  list<Opening>  $openings
     * @param  list<GasJoint>  $leaks  open joints
     * @param  float  $stepMm  from slice to slice
     */
    public function __construct(
        Assembly $assembly,
        private array $openings,
        private array $leaks,
        float $stepMm = self::STEP_MM,
    ) {
        $this->slices = new Slices($assembly, $stepMm);
        $this->ways = new HeldWays($this->slices);
    }

    public function volumeMl(): float
    {
        return $this->slices->volumeMl;
    }

    /**
     * Null where nothing can be fed while something is vented.
     *
     * @param  non-empty-list<Pose>  $poses
     * @param  ?Through  $through  an opening by which argon has to go; null where it may go by any
     * @param  ?Hold  $hold  vents that would draw air in then are left out; null where that is not asked
     */
    public function best(array $poses, int $mostVents, ?Through $through = null, ?Hold $hold = null): ?Held
    {
        $sets = $this->sets($mostVents, $through);
        if ($sets === []) {
            return null;
        }
        $known = [];
        $costs = [];
        $best = null;
        foreach ($poses as $k => $pose) {
            $key = HeldWays::key($pose->up);
            $known[$key] ??= $this->costs($pose, $sets, $hold);
            $costs[$k] = $known[$key];
            $least = min($costs[$k]);
            if ($best === null || $least < min($costs[$best]) - 1e-6) {
                $best = $k;
            }
        }
        // Of poses that are equal the first.
        foreach ($costs as $k => $ofOne) {
            if (min($ofOne) <= min($costs[$best]) + self::SAME_ML) {
                $best = $k;
                break;
            }
        }

        return $this->held($poses[$best], $sets, $costs[$best], $through);
    }

    /**
     * @param  list<list<Opening>>  $sets
     * @param  non-empty-array<int, float>  $costs
     */
    private function held(Pose $pose, array $sets, array $costs, ?Through $through): Held
    {
        $levels = $this->ways->of($pose->up);
        $roofs = $levels->roofs;
        $least = min($costs);
        $chosen = null;
        foreach ($sets as $i => $vents) {
            if ($costs[$i] > $least + self::SAME_ML) {
                continue;
            }
            foreach ($this->feeds($vents, $through) as $feed) {
                $lowMm = $this->lowestMm($feed, $pose);
                if ($chosen === null || $lowMm < $chosen[2] - self::SAME_MM) {
                    $chosen = [$vents, $feed, $lowMm];
                }
            }
        }
        [$vents, $feed] = $chosen ?? [$sets[0], $this->openings[0]];
        $level = $this->level($levels, $vents);

        return new Held($pose, $feed, $vents, $roofs->trappedMl($level), $this->traps($roofs, $level));
    }

    /**
     * @param  list<list<Opening>>  $sets
     * @return non-empty-array<int, float> by set, mL with what its vents are worth; INF where they would draw air in
     */
    private function costs(Pose $pose, array $sets, ?Hold $hold): array
    {
        $levels = $this->ways->of($pose->up);
        $costs = [];
        foreach ($sets as $i => $vents) {
            $trappedMl = $levels->roofs->trappedMl($this->level($levels, $vents));
            $costs[$i] = $hold !== null && $this->drawnLMin($vents, $pose, $hold) > Draught::NOTHING_L_MIN
                ? INF
                : $trappedMl + self::VENT_ML * (count($vents) - 1);
        }

        return $costs === [] ? [INF] : $costs;
    }

    /**
     * From how high air finds out by some vents and all open joints.
     *
     * @param  list<Opening>  $vents
     * @return list<float>
     */
    private function level(Levels $levels, array $vents): array
    {
        $level = null;
        $outlets = [
            ...array_map(static fn (Opening $one): array => $levels->ofEnd($one->tube, $one->isStart), $vents),
            ...array_map(
                static fn (GasJoint $one): array => $levels->ofJoint($one->tube, $one->stationMm),
                $this->leaks,
            ),
        ];
        foreach ($outlets as $one) {
            $level = $level === null ? $one : self::higher($level, $one);
        }

        return $level ?? array_fill(0, count($levels->roofs->roof), -INF);
    }

    /**
     * @param  list<float>  $some
     * @param  list<float>  $other
     * @return list<float>
     */
    private static function higher(array $some, array $other): array
    {
        return array_map(static fn (float $one, float $two): float => $one > $two ? $one : $two, $some, $other);
    }

    /**
     * Sets of vents that leave an opening to feed.
     *
     * @return list<list<Opening>>
     */
    private function sets(int $most, ?Through $through): array
    {
        $may = array_values(array_filter($this->openings, static fn (Opening $one): bool => $one->holesMm !== []));
        $sets = $all = array_map(static fn (Opening $one): array => [$one], $may);
        for ($size = 2; $size <= $most; $size++) {
            $larger = [];
            foreach ($sets as $set) {
                $last = (int) array_search($set[count($set) - 1], $may, true);
                foreach (array_slice($may, $last + 1) as $one) {
                    $larger[] = [...$set, $one];
                }
            }
            array_push($all, ...$larger);
            $sets = $larger;
        }

        return array_values(array_filter($all, fn (array $set): bool => $this->feeds($set, $through) !== []));
    }

    /**
     * Which may be fed while some are vented.
     *
     * @param  list<Opening>  $vents
     * @return list<Opening>
     */
    private function feeds(array $vents, ?Through $through): array
    {
        $isPassed = $through === null || in_array($through->opening, array_column($vents, 'id'), true);

        return array_values(array_filter(
            $this->openings,
            static fn (Opening $one): bool => $one->mayFeed && ! in_array($one, $vents, true)
                && ($isPassed || ($through->mayFeed && $one->id === $through->opening)),
        ));
    }

    /**
     * Air that comes in by the higher of some vents, L/min.
     *
     * @param  list<Opening>  $vents
     */
    private function drawnLMin(array $vents, Pose $pose, Hold $hold): float
    {
        $openings = [];
        foreach ($vents as $one) {
            $openings[$one->id] = [$this->edgesMm($one, $pose)[1], M_PI / 4 * $hold->holeMm ** 2];
        }

        return count($openings) < 2 ? 0.0 : Draught::drawnLMin($openings, $hold->flowLMin);
    }

    /** The highest place of an opening, where the hole in its dam is (mm). */
    public function topMm(Opening $opening, Pose $pose): float
    {
        return $this->edgesMm($opening, $pose)[1];
    }

    /** The highest place of the bore at a joint (mm). */
    public function jointTopMm(GasJoint $joint, Pose $pose): float
    {
        return $this->rimMm($this->slices->at($joint->tube, $joint->stationMm), $pose)[1];
    }

    private function lowestMm(Opening $opening, Pose $pose): float
    {
        return $this->edgesMm($opening, $pose)[0];
    }

    /** @return array{float, float} lowest and highest of its rim, mm */
    private function edgesMm(Opening $opening, Pose $pose): array
    {
        return $this->rimMm($this->slices->ofEnd($opening->tube, $opening->isStart), $pose);
    }

    /** @return array{float, float} lowest and highest of a slice's rim, mm */
    private function rimMm(int $slice, Pose $pose): array
    {
        [$x, $y, $z, $tx, $ty, $tz, , , , $radius] = $this->slices->slices[$slice];
        $lean = $tx * $pose->up->x + $ty * $pose->up->y + $tz * $pose->up->z;

        $middle = $x * $pose->up->x + $y * $pose->up->y + $z * $pose->up->z;
        $half = $radius * sqrt(max(0.0, 1 - $lean ** 2));

        return [$middle - $half, $middle + $half];
    }

    /**
     * @param  list<float>  $level
     * @return list<array{float, array{float, float, float}}>
     */
    private function traps(Roofs $roofs, array $level): array
    {
        $traps = [];
        foreach ($roofs->trapped($level) as $members) {
            $ml = 0.0;
            $top = $members[0];
            foreach ($members as $i) {
                $ml += $roofs->aboveMl($i, $level[$i]);
                $top = $roofs->roof[$i] > $roofs->roof[$top] ? $i : $top;
            }
            if ($ml > 0.0) {
                $traps[] = [$ml, $roofs->topOf($top)];
            }
        }
        usort($traps, static fn (array $a, array $b): int => $b[0] <=> $a[0]);

        return $traps;
    }
}

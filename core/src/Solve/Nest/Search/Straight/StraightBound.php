<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Nest\Search\Straight;

/**
 * What straight pieces cost at least, whichever way they are packed.
 *
 * The number of sticks by Martello and Toth's second bound (Discrete Applied Mathematics 28, 1990, from memory): long
 * pieces that share with nothing shorter than a limit, and what is left beside those just over half.
 */
final readonly class StraightBound
{
    /** A piece of stock counts as used up if no more than this is left (thousandths of a millimetre). */
    private const GRANTED = 50;

    /** Sums are gone through up to so many different lengths. */
    private const MOST_SUMS = 60_000;

    public static function of(Straights $straights): float
    {
        $cutCost = $straights->rules->cutCost;
        $pieces = count($straights->pieces);
        $cheapest = $perRoom = INF;
        $largest = $given = $givenRoom = $usedUp = 0;
        $trims = true;
        $mayFill = false;
        foreach ($straights->donors as $kind => $donor) {
            $room = $straights->rooms[$kind];
            $isFull = $donor->hasFreeEnds && self::canFill($straights->pieces, $room);
            if ($donor->item->cost <= 0.0) {
                $count = min($donor->item->count ?? $pieces, $pieces);
                $given += $count;
                $givenRoom += $count * $room;
                $usedUp += $isFull ? $count : 0;
            } else {
                $trims = $trims && ! $donor->hasFreeEnds;
                $mayFill = $mayFill || $isFull;
                $largest = max($largest, $room);
                $cheapest = min($cheapest, $donor->item->cost);
                $perRoom = min($perRoom, $donor->item->cost / $room);
            }
        }
        $rest = array_sum($straights->pieces) - $givenRoom;
        if ($largest === 0 || ($mayFill && $cheapest < $cutCost)) {
            return max(0, $pieces - min($usedUp, $pieces)) * ($largest === 0 ? $cutCost : 0.0);
        }
        $sticks = max(0, (int) ceil($rest / $largest), self::sticks($straights->pieces, $largest) - $given);
        // Each piece of stock saves one cut at most, and only if it is used up; a trimmed one takes one more.
        $cuts = $pieces - $usedUp + ($trims ? $sticks : 0) - ($mayFill ? $sticks : 0);

        return max($sticks * $cheapest, $rest * $perRoom) + max(0, $cuts) * $cutCost;
    }

    /**
     * Whether some of the pieces can use a room up.
     *
     * @param  list<int>  $sizes
     */
    private static function canFill(array $sizes, int $room): bool
    {
        $step = 0;
        foreach ($sizes as $size) {
            $step = self::commonMeasure($step, $size);
        }
        if ($step === 0 || $room / $step > self::MOST_SUMS) {
            return true;
        }
        $most = intdiv($room, $step);
        $sums = [0 => true];
        foreach ($sizes as $size) {
            foreach (array_keys($sums) as $sum) {
                if ($sum + intdiv($size, $step) <= $most) {
                    $sums[$sum + intdiv($size, $step)] = true;
                }
            }
        }

        return max(array_keys($sums)) * $step >= $room - self::GRANTED;
    }

    private static function commonMeasure(int $a, int $b): int
    {
        while ($b !== 0) {
            [$a, $b] = [$b, $a % $b];
        }

        return $a;
    }

    /**
     * How many sticks it takes at least.
     *
     * @param  list<int>  $sizes  each with its kerf
     */
    public static function sticks(array $sizes, int $room): int
    {
        $most = 0;
        foreach ([0, ...array_unique($sizes)] as $limit) {
            if (2 * $limit > $room) {
                continue;
            }
            $alone = $over = 0;
            $overSum = $smallSum = 0;
            foreach ($sizes as $size) {
                if ($size > $room - $limit) {
                    $alone++;
                } elseif (2 * $size > $room) {
                    $over++;
                    $overSum += $size;
                } elseif ($size >= $limit) {
                    $smallSum += $size;
                }
            }
            $more = max(0, (int) ceil(($smallSum - ($over * $room - $overSum)) / $room));
            $most = max($most, $alone + $over + $more);
        }

        return $most;
    }
}

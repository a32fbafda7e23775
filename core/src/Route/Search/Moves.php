<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Route\Search;

/**
 * Small changes to a set that might make it cheaper, in the order they are worth trying: another way for one tube, an odd
 * angle brought onto the grid, other ways for two tubes at once. Each still has to be mended.
 */
final readonly class Moves
{
    /** Of the ways that could stand in for another, how many are tried. */
    private const FEW = 4;

    /** @param  float  $step  of the grid of preferred angles, radians */
    public function __construct(private Assembly $assembly, private float $step) {}

    /**
     * @param  list<Way>  $set
     * @param  \Closure(Way): list<Way>  $options  what could stand in for a way
     * @return \Generator<array{list<Way>, array<int, list<?float>>}> each with the angles that are to be held
     */
    public function of(array $set, \Closure $options): \Generator
    {
        yield from $this->swaps($set, $options);
        yield from $this->snaps($set);
        yield from $this->doubleSwaps($set, $options);
    }

    /**
     * @param  list<Way>  $set
     * @param  \Closure(Way): list<Way>  $options
     * @return \Generator<array{list<Way>, array{}}>
     */
    private function swaps(array $set, \Closure $options): \Generator
    {
        $order = array_keys($set);
        usort($order, static fn (int $a, int $b): int => $set[$b]->cost <=> $set[$a]->cost);
        foreach ($order as $i) {
            $others = array_diff_key($set, [$i => true]);
            foreach ($this->assembly->bestFew($options($set[$i]), $others, 1.0, $set[$i]->cost - 0.3, self::FEW) as $way) {
                yield [array_values(array_replace($set, [$i => $way])), []];
            }
        }
    }

    /**
     * @param  list<Way>  $set
     * @return \Generator<array{list<Way>, array<int, list<?float>>}>
     */
    private function snaps(array $set): \Generator
    {
        foreach ($set as $i => $way) {
            foreach ($way->angles as $k => $angle) {
                if ($way->span->isPreferred($angle)) {
                    continue;
                }
                $goals = [floor($angle / $this->step) * $this->step, ceil($angle / $this->step) * $this->step];
                usort($goals, static fn (float $a, float $b): int => abs($a - $angle) <=> abs($b - $angle));
                foreach ($goals as $goal) {
                    if ($goal < $way->span->minAngle || $goal > $way->span->maxAngle($way->radii[$k]) + 1e-9) {
                        continue;
                    }
                    $held = array_map(fn (float $one): ?float => $way->span->isPreferred($one) ? round($one / $this->step) * $this->step : null, $way->angles);
                    yield [$set, [$i => array_values(array_replace($held, [$k => $goal]))]];
                }
            }
        }
    }

    /**
     * @param  list<Way>  $set
     * @param  \Closure(Way): list<Way>  $options
     * @return \Generator<array{list<Way>, array{}}>
     */
    private function doubleSwaps(array $set, \Closure $options): \Generator
    {
        $all = array_map($options, $set);
        foreach (array_keys($set) as $i) {
            foreach (array_keys($set) as $j) {
                if ($i === $j) {
                    continue;
                }
                $others = array_diff_key($set, [$i => true, $j => true]);
                $room = $set[$i]->cost + $set[$j]->cost - 0.3;
                foreach ($this->assembly->bestFew($all[$i], $others, 1.0, $set[$i]->cost - 1.0, 2) as $way) {
                    foreach ($this->assembly->bestFew($all[$j], $others + [$i => $way], 1.0, $room - $way->cost, 1) as $second) {
                        yield [array_values(array_replace($set, [$i => $way, $j => $second])), []];
                    }
                }
            }
        }
    }
}

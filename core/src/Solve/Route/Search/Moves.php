<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Search;

use UpsweptBead\Core\Base\Geometry\Vector;

/**
 * Small changes to a set that might make it cheaper, in the order they are worth trying: another way for one tube, an
 * odd angle brought onto the grid, other ways for two tubes at once. Each still has to be mended.
 */
final readonly class Moves
{
    /** A move must make the set this much cheaper: for looks, and for one tube in place of another. */
    private const LOOKS_GAIN = 0.2;

    private const SWAP_GAIN = 0.3;

    /** Of two swapped at once the first must gain this much, and so many are tried. */
    private const FIRST_GAIN = 1.0;

    private const FIRST_FEW = 2;

    /** Of the ways that could stand in for another, how many are tried. */
    private const FEW = 4;

    /** Inlets that mirror each other this well take the same tube. */
    private const SAME_INLET_MM = 30.0;

    /** A tube may cost this much more for what the set gains in looks. */
    private const FOR_LOOKS = 14.0;

    private const LOOKED_AT = 24;

    /** @param  float  $step  of the grid of preferred angles, radians */
    public function __construct(private WayChooser $assembly, private Appraisal $appraisal, private float $step) {}

    /**
     * @param  list<Way>  $set
     * @param  \Closure(Way): list<Way>  $options  what could stand in for a way
     * @return \Generator<array{list<Way>, array<int, list<?float>>}> each with the angles that are to be held
     */
    public function of(array $set, \Closure $options): \Generator
    {
        if ($this->appraisal->looksCount()) {
            yield from $this->mirrored($set);
            yield from $this->looks($set, $options);
        }
        yield from $this->swaps($set, $options);
        yield from $this->snaps($set);
        yield from $this->doubleSwaps($set, $options);
    }

    /**
     * Both banks after one of them, and single tubes after their partners. Where the inlets mirror each other, too.
     *
     * @param  list<Way>  $set
     * @return \Generator<array{list<Way>, array{}}>
     */
    private function mirrored(array $set): \Generator
    {
        $mirror = $this->appraisal->mirror;
        if ($mirror === null) {
            return;
        }
        $images = [];
        foreach ($mirror->partner as $i => $j) {
            if (
                $mirror->image($set[$i]->span->inlet->at)->distanceTo($set[$j]->span->inlet->at) < self::SAME_INLET_MM
            ) {
                $inner = array_map(
                    static fn (array $xyz): array => $mirror->image(new Vector(...$xyz))->toArray(),
                    array_chunk(array_slice($set[$i]->vertices, 3, -3), 3),
                );
                $images[$j] = Way::of($set[$j]->span, array_merge([], ...$inner), $set[$i]->radii)->cut();
            }
        }
        foreach ([-1.0, 1.0] as $side) {
            $bank = array_filter(
                $images,
                static fn (Way $way): bool => $side *
                    $way->span->port->at->minus($mirror->point)->dot($mirror->normal) >
                    0.0,
            );
            if (count($bank) > 1) {
                yield [array_values(array_replace($set, $bank)), []];
            }
        }
        foreach ($images as $j => $way) {
            yield [array_values(array_replace($set, [$j => $way])), []];
        }
    }

    /**
     * Other ways for one tube with which the set costs less as a whole, though the tube may cost more.
     *
     * @param  list<Way>  $set
     * @param  \Closure(Way): list<Way>  $options
     * @return \Generator<array{list<Way>, array{}}>
     */
    private function looks(array $set, \Closure $options): \Generator
    {
        $now = $this->appraisal->of($set);
        $better = [];
        foreach ($set as $i => $old) {
            $others = array_diff_key($set, [$i => true]);
            $most = $old->cost + self::FOR_LOOKS;
            foreach ($this->assembly->bestFew($options($old), $others, 1.0, $most, self::LOOKED_AT) as $way) {
                $changed = array_values(array_replace($set, [$i => $way]));
                $cost = $this->appraisal->of($changed);
                if ($cost < $now - self::LOOKS_GAIN) {
                    $better[] = [$cost, $changed];
                }
            }
        }
        usort($better, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        foreach (array_slice($better, 0, 2 * self::FEW) as [, $changed]) {
            yield [$changed, []];
        }
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
            $most = $set[$i]->cost - self::SWAP_GAIN;
            foreach ($this->assembly->bestFew($options($set[$i]), $others, 1.0, $most, self::FEW) as $way) {
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
                if ($way->span->isEven($angle)) {
                    continue;
                }
                $goals = [floor($angle / $this->step) * $this->step, ceil($angle / $this->step) * $this->step];
                usort($goals, static fn (float $a, float $b): int => abs($a - $angle) <=> abs($b - $angle));
                foreach ($goals as $goal) {
                    if ($goal < $way->span->minAngle || $goal > $way->span->maxAngle($way->radii[$k]) + 1e-9) {
                        continue;
                    }
                    $held = array_map(
                        fn (float $one): ?float => $way->span->isEven($one)
                            ? round($one / $this->step) * $this->step
                            : null,
                        $way->angles,
                    );
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
                $room = $set[$i]->cost + $set[$j]->cost - self::SWAP_GAIN;
                $most = $set[$i]->cost - self::FIRST_GAIN;
                foreach ($this->assembly->bestFew($all[$i], $others, 1.0, $most, self::FIRST_FEW) as $way) {
                    $with = $others + [$i => $way];
                    foreach ($this->assembly->bestFew($all[$j], $with, 1.0, $room - $way->cost, 1) as $second) {
                        yield [array_values(array_replace($set, [$i => $way, $j => $second])), []];
                    }
                }
            }
        }
    }
}

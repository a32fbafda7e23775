<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files\Flange;

use UpsweptBead\Core\Job\Run\PlateSpec;
use UpsweptBead\Core\Solve\Merge\Flange\Path;

/** Closed lines sorted into an outline and its openings; none may cross itself or another. */
final readonly class Loops
{
    /** Lines of more points than this together are not compared with one another. */
    private const MOST_POINTS = 2400;

    /** Arcs are compared in steps of this (degrees). */
    private const STEP_DEG = 10.0;

    /**
     * @param  list<Path>  $loops
     * @param  array{float, float}  $sizesMm  least and most width
     *
     * @throws \DomainException
     */
    public static function asPlate(array $loops, array $sizesMm): PlateSpec
    {
        if ($loops === []) {
            throw new \DomainException('The drawing has no closed line.');
        }
        // By the room they take: what crosses itself may have no area.
        $room = static function (Path $one): float {
            [$left, $lower, $right, $upper] = $one->box();

            return ($right - $left) * ($upper - $lower);
        };
        usort($loops, static fn (Path $a, Path $b): int => $room($b) <=> $room($a));
        $outline = array_shift($loops);
        [$left, $lower, $right, $upper] = $outline->box();
        $widthMm = max($right - $left, $upper - $lower);
        if ($widthMm < $sizesMm[0] || $widthMm > $sizesMm[1]) {
            throw new \DomainException(sprintf(
                'The outline is %.1f mm wide, which no flange is: the unit is wrong. In inches it would be %.1f mm, from inches %.1f mm.',
                $widthMm,
                $widthMm * 25.4,
                $widthMm / 25.4,
            ));
        }
        if ($loops === []) {
            throw new \DomainException('The outline has no opening in it.');
        }
        if (count($loops) > PlateSpec::MOST_OPENINGS) {
            throw new \DomainException(sprintf(
                'The outline has %d openings; at most %d are read.',
                count($loops),
                PlateSpec::MOST_OPENINGS,
            ));
        }
        self::refuseCrossings([$outline, ...$loops]);
        foreach ($loops as $i => $one) {
            [$x, $y] = $one->points()[0];
            if (! $outline->holds($x, $y)) {
                throw new \DomainException(sprintf('At %.2f, %.2f mm a closed line lies outside the outline.', $x, $y));
            }
            foreach (array_slice($loops, 0, $i) as $larger) {
                if ($larger->holds($x, $y)) {
                    throw new \DomainException(
                        sprintf('At %.2f, %.2f mm a closed line lies inside an opening.', $x, $y),
                    );
                }
            }
        }
        [$left, $lower, $right, $upper] = $loops[0]->box();
        $moved = static fn (Path $one): Path => $one->moved(-($left + $right) / 2, -($lower + $upper) / 2);

        return new PlateSpec($moved($outline), array_map($moved, $loops));
    }

    /**
     * @param  list<Path>  $loops
     *
     * @throws \DomainException at the first crossing
     */
    private static function refuseCrossings(array $loops): void
    {
        $edges = $places = [];
        foreach ($loops as $k => $loop) {
            $points = $loop->points(self::STEP_DEG);
            foreach ($points as $i => [$x, $y]) {
                [$nextX, $nextY] = $points[($i + 1) % count($points)];
                $edges[] = new LoosePiece($x, $y, $nextX, $nextY);
                $places[] = [$k, $i, count($points)];
            }
        }
        if (count($edges) > self::MOST_POINTS) {
            throw new \DomainException(sprintf(
                'The lines have %d points together; at most %d are read.',
                count($edges),
                self::MOST_POINTS,
            ));
        }
        // From left to right: only what overlaps so is compared.
        $lefts = array_map(static fn (LoosePiece $one): float => min($one->fromX, $one->toX), $edges);
        asort($lefts);
        $order = array_keys($lefts);
        foreach ($order as $at => $i) {
            $right = max($edges[$i]->fromX, $edges[$i]->toX);
            for ($next = $at + 1; $next < count($order) && $lefts[$order[$next]] <= $right; $next++) {
                $j = $order[$next];
                [[$loop, $place, $count], [$otherLoop, $otherPlace]] = [$places[$i], $places[$j]];
                $isNext = $loop === $otherLoop && in_array(abs($place - $otherPlace), [1, $count - 1], true);
                if (! $isNext && $edges[$i]->crosses($edges[$j])) {
                    throw new \DomainException(sprintf(
                        $loop === $otherLoop
                            ? 'A closed line crosses itself near %.2f, %.2f mm.'
                            : 'Two closed lines cross near %.2f, %.2f mm.',
                        $edges[$i]->fromX,
                        $edges[$i]->fromY,
                    ));
                }
            }
        }
    }
}

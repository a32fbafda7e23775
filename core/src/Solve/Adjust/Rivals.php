<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Adjust;

use UpsweptBead\Core\Solve\Adjust\Observation\Between;
use UpsweptBead\Core\Solve\Adjust\Observation\Offset;
use UpsweptBead\Core\Solve\Adjust\Observation\Tape;

/**
 * Answers that fit the readings about as well as each other: mirrored in the plane of three tapes, before or behind the
 * end of a rod, a face seen from its other side. From each answer places are mirrored and axes turned, and fitted again.
 *
 * @phpstan-import-type Triple from Xyz
 */
final readonly class Rivals
{
    /** A reading more decides between two answers only where chi-square differs by more. */
    private const APART = 9.0;

    /** So many answers are looked at, fewer where there is much to find: what one costs goes with its third power. */
    private const MOST = 40;

    private const MOST_NUMBERS = 3000;

    private const LEAST = 4;

    /** Among those, the one that lies furthest the stated way, within this much (mm). */
    private const WITHIN_MM = 1.0;

    /**
     * Where what was turned does not come within this of what it was, all else held fast, no other answer lies there.
     * Wide, as everything else gives way a little too; our own figure.
     */
    private const HOPELESS = 400.0;

    /**
     * @param  list<Observation>  $observations
     * @param  array<string, list<Observation>>  $ofPlace  those that are about a place
     * @param  array<string, list<Observation>>  $ofAxis  and about an axis
     */
    private function __construct(
        private Sheet $sheet,
        private array $observations,
        private array $ofPlace,
        private array $ofAxis,
    ) {}

    /** @return list<Fit> the best first; more than one where nothing that was read or said tells them apart */
    public static function of(Sheet $sheet): array
    {
        $start = FirstGuess::of($sheet);
        $observations = $sheet->observations();
        $ofPlace = $ofAxis = [];
        foreach ($observations as $one) {
            $slope = $one->of->at($start);
            foreach (array_keys($slope->places) as $name) {
                $ofPlace[$name][] = $one;
            }
            foreach (array_keys($slope->axes) as $name) {
                $ofAxis[$name][] = $one;
            }
        }

        return (new self($sheet, $observations, $ofPlace, $ofAxis))->search($start);
    }

    /** @return list<Fit> */
    private function search(Estimate $start): array
    {
        $found = [$this->fit($start)];
        $few = intdiv(self::MOST_NUMBERS, max(1, $this->sheet->unknowns->count));
        $most = max(self::LEAST, min(self::MOST, $few));
        for ($i = 0; $i < count($found) && $i < $most; $i++) {
            foreach ($this->turned($found[$i]->estimate) as $start) {
                if (count($found) >= $most) {
                    break;
                }
                $fit = $this->fit($start);
                if ($fit->isSettled && ! self::isAmong($fit, $found)) {
                    $found[] = $fit;
                }
            }
        }
        usort($found, static fn (Fit $a, Fit $b): int => $a->equations->chiSquare <=> $b->equations->chiSquare);
        $right = array_values(array_filter($found, fn (Fit $one): bool => $this->sheet->isAsSaid($one->estimate)));
        $right = $right === [] ? [$found[0]] : $right;
        $worst = $right[0]->equations->chiSquare + self::APART;
        $rivals = array_values(array_filter(
            $right,
            static fn (Fit $one): bool => $one->equations->chiSquare <= $worst,
        ));
        foreach ($this->sheet->sides as $name => $word) {
            $way = static fn (Fit $one): float => Xyz::dot($one->estimate->places[$name], $word->way());
            $furthest = max([-INF, ...array_map($way, $rivals)]);
            $rivals = array_values(array_filter(
                $rivals,
                static fn (Fit $one): bool => $way($one) >= $furthest - self::WITHIN_MM,
            ));
        }

        return $rivals;
    }

    private function fit(Estimate $start): Fit
    {
        return Fit::from($start, $this->observations, $this->sheet->unknowns);
    }

    /** @param  list<Fit>  $found */
    private static function isAmong(Fit $fit, array $found): bool
    {
        foreach ($found as $one) {
            if ($fit->estimate->isLike($one->estimate)) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Estimate> where other answers may lie */
    private function turned(Estimate $estimate): array
    {
        $starts = [];
        [$together, $loose] = [$estimate, 0];
        foreach (array_keys($this->sheet->unknowns->places) as $name) {
            $name = "$name";
            $places = $this->mirrored($name, $estimate);
            foreach ($places as $at) {
                $there = $estimate->withPlace($name, $at);
                $start = $this->hopeful($there, $estimate, Unknowns::of([$name], [], []), $this->ofPlace[$name] ?? []);
                $starts = $start === null ? $starts : [...$starts, $start];
            }
            if ($places !== []) {
                $together = $together->withPlace($name, $places[0]);
                $loose++;
            }
        }
        foreach (array_keys($this->sheet->unknowns->axes) as $name) {
            $name = "$name";
            foreach ($this->flipped($name, $estimate) as $axis) {
                $there = $estimate->withAxis($name, $axis);
                $start = $this->hopeful($there, $estimate, Unknowns::of([], [$name], []), $this->ofAxis[$name] ?? []);
                $starts = $start === null ? $starts : [...$starts, $start];
            }
        }
        // Places that hang on one another by tapes are mirrored all at once.
        if ($loose > 1) {
            $starts[] = $together;
        }

        return $starts;
    }

    /**
     * What was turned, brought to where its own readings agree best while all else is held fast; null where that is
     * hopeless, or where it comes back to what it was.
     *
     * @param  list<Observation>  $about
     */
    private function hopeful(Estimate $turned, Estimate $was, Unknowns $one, array $about): ?Estimate
    {
        $fit = Fit::from($turned, $about, $one);
        $most = Equations::at($was, $about, $one)->chiSquare + self::HOPELESS;
        $isOther = $fit->equations->chiSquare <= $most && ! $fit->estimate->isLike($was);

        // From an answer that is as it was said nothing leads to one that is not.
        $isAllowed = $this->sheet->isAsSaid($fit->estimate) || ! $this->sheet->isAsSaid($was);

        return $isOther && $isAllowed ? $fit->estimate : null;
    }

    /** @return list<Triple> where a place that tapes lead to may lie as well */
    private function mirrored(string $name, Estimate $estimate): array
    {
        $anchors = [];
        $fixed = [];
        foreach ($this->observations as $observation) {
            $one = $observation->of;
            if ($one instanceof Tape && ($one->one === $name || $one->other === $name)) {
                $anchors[] = $estimate->places[$one->one === $name ? $one->other : $one->one];
            }
            if ($one instanceof Offset && $one->of === $name) {
                $fixed[$one->axis] = true;
            }
        }
        if ($anchors === [] || count($fixed) === 3) {
            return [];
        }
        $at = $estimate->places[$name];
        $middle = Xyz::ZERO;
        foreach ($anchors as $anchor) {
            $middle = Xyz::plus($middle, $anchor, 1 / count($anchors));
        }
        $planes = array_values(array_diff_key(Xyz::AXES, $fixed));
        if (count($anchors) >= 3) {
            $planes = [Symmetric::flattest($anchors, $middle), ...$planes];
        }
        $places = [];
        foreach ($planes as $normal) {
            $places[] = Xyz::plus($at, $normal, -2 * Xyz::dot(Xyz::minus($at, $middle), $normal));
        }
        // Before or behind what a tape goes to, along its own axis.
        $axis = $estimate->axes[$name] ?? null;
        if ($axis !== null) {
            foreach ($anchors as $anchor) {
                $places[] = Xyz::plus($at, $axis, 2 * Xyz::dot(Xyz::minus($anchor, $at), $axis));
            }
        }
        // Two tapes and a coordinate: half round the line between what they go to.
        if (count($anchors) === 2) {
            $line = Xyz::unit(Xyz::minus($anchors[1], $anchors[0]));
            $off = Xyz::minus($at, $anchors[0]);
            $places[] = Xyz::plus(
                Xyz::plus($anchors[0], $line, 2 * Xyz::dot($off, $line)),
                $off,
                -1.0,
            );
        }

        return $places;
    }

    /** @return list<Triple> how an axis may point as well */
    private function flipped(string $name, Estimate $estimate): array
    {
        $isByRod = false;
        $others = [];
        $kinds = [];
        foreach ($this->sheet->readings as $reading) {
            $isAbout = $reading->end === $name || $reading->to === $name;
            if ($isAbout) {
                $kinds[$reading->kind->value] = true;
            }
            $isByRod = $isByRod || $reading->kind === ReadingKind::Rod && $reading->end === $name;
        }
        foreach ($this->observations as $observation) {
            $one = $observation->of;
            if ($one instanceof Between && ($one->one === $name || $one->other === $name)) {
                $others[] = $estimate->axes[$one->one === $name ? $one->other : $one->one];
            }
        }
        if ($isByRod || isset($kinds['dip'], $kinds['bearing']) && $others === []) {
            return [];
        }
        [$x, $y, $z] = $axis = $estimate->axes[$name];
        $ways = [[-$x, -$y, -$z], [$x, $y, -$z], [-$x, $y, $z], [$x, -$y, $z], [-$x, -$y, $z]];
        foreach ($others as $other) {
            // Mirrored in the upright plane of the other axis, which leaves both angles as they are; and half round it.
            $normal = Xyz::unit(Xyz::cross($other, [0.0, 0.0, 1.0]));
            $ways[] = Xyz::plus($axis, $normal, -2 * Xyz::dot($axis, $normal));
            $ways[] = Xyz::plus(Xyz::times($other, 2 * Xyz::dot($axis, $other)), $axis, -1.0);
        }
        if (count($others) >= 2) {
            $normal = Xyz::unit(Xyz::cross($others[0], $others[1]));
            $ways[] = Xyz::plus($axis, $normal, -2 * Xyz::dot($axis, $normal));
        }

        return $ways;
    }
}

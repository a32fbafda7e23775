<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Search;

use UpsweptBead\Core\Base\Geometry\Solid\KeepOut;
use UpsweptBead\Core\Solve\Route\Problem\RouteProblem;

/**
 * For each span and length the ways worth trying: cheap ones, and different ones. Ways that come a few mm short of a
 * clearance are kept too, as the whole set is mended together later.
 */
final class Candidates
{
    /** How far off a wished length a way may be (mm, beyond its tolerance) to be mended onto it. */
    private const OFF_LENGTH = 3.0;

    /** Pairs of radii that are scanned for a length, and of each end so many of the least. */
    private const RADIUS_PAIRS = 9;

    /** Ways of any length: no shorter than the way across and this (mm), nor than so much longer than it. */
    private const LEAST_MORE = 8.0;

    private const LEAST_TIMES = 1.3;

    /** Lengths that are scanned where any will do, as shares of the least. */
    private const SOME_LENGTHS = [1.02, 1.1, 1.25];

    /** Where fewer ways than FEW were found, so many with four bends are added. */
    private const FOUR_ADDED = 4;

    /** Two ways are alike if they leave alike and their first straights differ by less than this, mm. */
    private const ALIKE_MM = 40;

    /** A way longer than so many times the way across, and this (mm), is endless. */
    private const ENDLESS_TIMES = 4;

    private const ENDLESS_MORE = 2000.0;

    /** Asked for above every limit while searching: lines stand for arcs, and the end must hold exactly. */
    public const HAND = 0.45;

    /** A way may be this far short of a keep-out and still be worth mending. */
    private const MOST_SHORT = 7.0;

    /** And this far, where no other is found. */
    private const DESPERATE = 30.0;

    /** Where few ways are clear of everything, so many of the others are mended each by itself. */
    private const MENDED = 16;

    private const MOST_TWO = 46;

    private const MOST_THREE = 44;

    private const MOST_FOUR = 16;

    /** Where many run into something, more are tried. */
    private const TRIES = 300;

    private const MOST_TRIES = 4000;

    /** A light pool, for a first answer soon, tries this share of them. */
    private const LIGHT = 0.3;

    private const FEW = 12;

    /** mm beyond the shortest, where any length will do. */
    private const EXTRA = [0.0, 25.0, 60.0, 12.0, 110.0, 40.0, 170.0, 80.0];

    private const FOUR_DRAWS = 700;

    private const ALIKE = 2;

    /** @var array<string, list<Way>> */
    private array $kept = [];

    private int $count = 0;

    private bool $isLight = false;

    private bool $mends = true;

    /** @var list<KeepOut> the keep-outs that are not convex */
    private readonly array $meshes;

    /** How far short a way may be for now. */
    private float $mostShort = self::MOST_SHORT;

    public function __construct(
        private readonly RouteProblem $problem,
        private ThreeBends $threeBends,
        private readonly Chance $chance,
        private readonly Mending $mending,
    ) {
        $this->meshes = array_values(
            array_filter($problem->keepOuts, static fn (KeepOut $solid): bool => ! $solid->isConvex()),
        );
    }

    /** Forgets what was gathered, and draws other directions from now on. */
    public function afresh(): void
    {
        $this->kept = [];
        $this->threeBends = new ThreeBends($this->chance);
    }

    /**
     * From now on candidates are gathered with less, or with full, effort, and short ways mended or not; those
     * gathered already stay.
     */
    public function gathering(bool $lightly, bool $mending): void
    {
        $this->isLight = $lightly;
        $this->mends = $mending;
    }

    /**
     * Ways of about one length.
     *
     * @return list<Way> best first, by cost and shortfall
     */
    public function ofLength(Span $span, float $length, float $tolerance): array
    {
        return $this->kept["$span->id|$length|".($this->isLight ? 'light' : '')] ??= $this->gather(
            $span,
            $length,
            $tolerance,
            0.0,
        );
    }

    /**
     * Ways of any length, not all of them the shortest: other ones for each $variant.
     *
     * @return list<Way> best first
     */
    public function ofAny(Span $span, int $variant): array
    {
        $variant %= count(self::EXTRA);

        return $this->kept["$span->id|any|$variant|".($this->isLight ? 'light' : '')] ??= $this->gather(
            $span,
            null,
            0.0,
            self::EXTRA[$variant],
        );
    }

    /**
     * The quickest answers: two bends on the grid at most, of any length.
     *
     * @return list<Way>
     */
    public function quick(Span $span): array
    {
        return $this->kept[$span->id.'|quick'] ??= $this->best(
            $this->fit(
                [...FewBends::of($span), ...$span->rules->maxBends >= 2 ? TwoBends::onGrid($span) : []],
                self::MOST_TWO,
            ),
        );
    }

    /** @return list<Way> */
    private function gather(Span $span, ?float $length, float $tolerance, float $extra): array
    {
        $ways = $this->drawn($span, $length, $tolerance, $extra);
        if ($ways === [] && ! $this->isLight) {
            $this->mostShort = self::DESPERATE;
            $ways = $this->drawn($span, $length, $tolerance, $extra);
            $this->mostShort = self::MOST_SHORT;
        }
        $ways = $this->best($ways);
        if ($this->mends && ! $this->isLight && self::clear($ways) < self::FEW) {
            array_push($ways, ...$this->mended($ways));
        }

        return $this->best(
            array_values(array_filter($ways, static fn (Way $way): bool => $way->shortfall <= self::MOST_SHORT)),
        );
    }

    /** @param  list<Way>  $ways */
    private static function clear(array $ways): int
    {
        return count(array_filter($ways, static fn (Way $way): bool => $way->shortfall <= 0.0));
    }

    /**
     * What comes of ways that are short of something, each mended by itself: on the grid if that is possible.
     *
     * @param  list<Way>  $ways
     * @return list<Way>
     */
    private function mended(array $ways): array
    {
        $found = [];
        $short = array_filter($ways, static fn (Way $way): bool => $way->shortfall > 0.0);
        foreach (array_slice($short, 0, self::MENDED) as $way) {
            $one = $this->mending->mend([$way]) ?? $this->mending->mend([$way], [array_fill(0, $way->bends(), null)]);
            if ($one !== null && $this->measured($one[0])) {
                $found[] = $one[0];
            }
        }

        return $found;
    }

    /** @return list<Way> */
    private function drawn(Span $span, ?float $length, float $tolerance, float $extra): array
    {
        $isOfLength = static fn (Way $way): bool => $length === null ||
            abs($way->length - $length) <= $tolerance + self::OFF_LENGTH;
        $two = array_values(array_filter(FewBends::of($span), $isOfLength));
        if ($span->rules->maxBends >= 2) {
            array_push($two, ...array_filter(TwoBends::onGrid($span), $isOfLength));
            foreach ($length === null ? self::someLengths($span, $two, $extra) : [$length] as $one) {
                array_push(
                    $two,
                    ...TwoBends::ofLength(
                        $span,
                        $one,
                        array_slice(self::radiusPairs($span), 0, $this->isLight ? 1 : self::RADIUS_PAIRS),
                    ),
                );
            }
        }
        $ways = $this->fit($two, self::MOST_TWO);
        if ($span->rules->maxBends >= 3) {
            array_push($ways, ...$this->threeBends($span, $length, $extra));
        }
        if ($span->rules->maxBends >= 4) {
            array_push($ways, ...$this->fourBends($span, $length, count($ways) < self::FEW ? self::FOUR_ADDED : 0));
        }

        return $ways;
    }

    /**
     * @param  list<Way>  $onGrid
     * @return list<float>
     */
    private static function someLengths(Span $span, array $onGrid, float $extra): array
    {
        $least = $span->across->length() + self::LEAST_MORE;
        $lengths = array_map(static fn (Way $way): float => $way->length, $onGrid);
        $least = $lengths === [] ? $least : max($least, min(min($lengths), $least * self::LEAST_TIMES));

        return array_map(static fn (float $share): float => $least * $share + $extra, self::SOME_LENGTHS);
    }

    /** @return list<array{float, float}> */
    private static function radiusPairs(Span $span): array
    {
        $pairs = [];
        foreach (array_slice($span->radii, 0, 3) as $first) {
            foreach (array_slice($span->radii, 0, 3) as $second) {
                $pairs[] = [$first, $second];
            }
        }

        return $pairs;
    }

    /** @return list<Way> */
    private function threeBends(Span $span, ?float $length, float $extra): array
    {
        $found = $alike = [];
        $tries = $short = 0;
        $all = $this->threeBends->of($span);
        foreach (ThreeBends::reaching($all, $span, $length, $extra) as [$i, $free]) {
            $like = self::like(array_slice($all, $i, 3), array_slice($all, $i + 3, 3));
            if (($alike[$like] ?? 0) >= self::ALIKE) {
                continue;
            }
            $clear = count($found) - ($this->isLight ? 0 : $short);
            if (
                ++$tries >
                ($clear < self::FEW ? self::MOST_TRIES : self::TRIES) * ($this->isLight ? self::LIGHT : 1.0)
            ) {
                break;
            }
            $radii = $span->smallestRadii(array_slice($all, $i + 6, 3)) ?? [];
            $way = Way::of($span, ThreeBends::vertices($all, $i, $free, $span), $radii);
            if (
                ! $this->measured($way) ||
                ($way->shortfall > 0.0 && ++$short > self::MOST_THREE / 2 && ! $this->isLight)
            ) {
                continue;
            }
            $alike[$like] = ($alike[$like] ?? 0) + 1;
            $found[] = $way;
            if (count($found) >= self::MOST_THREE) {
                break;
            }
        }

        return $found;
    }

    /** @return list<Way> */
    private function fourBends(Span $span, ?float $length, int $effort): array
    {
        $found = [];
        for ($draw = 0; $draw < self::FOUR_DRAWS * $effort && count($found) < self::MOST_FOUR; $draw++) {
            $way = FourBends::drawn($span, $length, $this->chance);
            if ($way !== null && $this->measured($way)) {
                $found[] = $way;
            }
        }

        return $found;
    }

    /**
     * @param  list<Way>  $ways
     * @return list<Way> the cheapest that fit, not too many alike
     */
    private function fit(array $ways, int $most): array
    {
        usort($ways, static fn (Way $a, Way $b): int => $a->cost <=> $b->cost);
        $found = [];
        $alike = [];
        foreach ($ways as $way) {
            $like = self::like(
                $way->unit(min(1, $way->bends())),
                [$way->straights[0] / self::ALIKE_MM, ...$way->radii],
            );
            if (($alike[$like] ?? 0) >= self::ALIKE || ! $this->measured($way)) {
                continue;
            }
            $alike[$like] = ($alike[$like] ?? 0) + 1;
            $found[] = $way;
            if (count($found) >= $most) {
                break;
            }
        }

        return $found;
    }

    /** Measures a way against keep-outs and itself; says whether it is worth keeping. */
    private function measured(Way $way): bool
    {
        // Where directions nearly agree, legs can come out endless.
        if ($way->length > self::ENDLESS_TIMES * $way->span->across->length() + self::ENDLESS_MORE) {
            return false;
        }
        $rules = $this->problem->rules;
        $marks = $way->landmarks();
        foreach ($this->problem->keepOuts as $solid) {
            if (WayClearance::plainly($way, $marks, $solid, $rules->clearanceMm, $this->mostShort)) {
                return false;
            }
        }
        $way->cut();
        foreach ($this->meshes as $solid) {
            // Exact gaps to a mesh take time, its grid tells most of what runs into it.
            if (WayClearance::plainly($way, $way->chords()->marks(), $solid, $rules->clearanceMm, $this->mostShort)) {
                return false;
            }
        }
        $short = 0.0;
        foreach ($this->problem->keepOuts as $solid) {
            $short = max($short, WayClearance::solid($way, $solid, $rules->clearanceMm, self::HAND));
            if ($short > $this->mostShort) {
                return false;
            }
        }
        $short = max($short, WayClearance::itself($way, $rules->gapMm, self::HAND));
        $way->shortfall = $short;
        $way->id = ++$this->count;

        return $short <= $this->mostShort;
    }

    /**
     * @param  list<float>  $u
     * @param  list<float>  $v
     */
    private static function like(array $u, array $v): string
    {
        return implode(',', array_map(static fn (float $part): float => round($part * 2.2), [...$u, ...$v]));
    }

    /**
     * @param  list<Way>  $ways
     * @return list<Way>
     */
    private function best(array $ways): array
    {
        usort($ways, static fn (Way $a, Way $b): int => $a->cost + $a->shortfall <=> $b->cost + $b->shortfall);

        return $ways;
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\TwoBend;

use UpsweptBead\Core\Base\Geometry\Directions;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Route\Blocked;
use UpsweptBead\Core\Solve\Route\Constraint;
use UpsweptBead\Core\Solve\Route\RouteAnswer;
use UpsweptBead\Core\Solve\Route\RouteAnswers;
use UpsweptBead\Core\Solve\Route\RouteRequest;
use UpsweptBead\Core\Solve\Run\Bend;
use UpsweptBead\Core\Solve\Run\FarEnd;
use UpsweptBead\Core\Solve\Run\Jointing;
use UpsweptBead\Core\Solve\Run\PieceSpan;
use UpsweptBead\Core\Solve\Run\TubeRun;

/**
 * Finds every way from one frame to another with no, one or two bends from stock.
 *
 * Two bends leave two lengths free, so there are whole surfaces of answers; kept are those a shop would pick: both
 * angles on the preferred grid (where two cones meet), one angle on it with the shortest tube, and the shortest of all
 * where a pair of radii has nothing on the grid.
 */
final readonly class TwoBendRouter
{
    /** The grid's angle is met within this, °; an answer closes within this, mm and °. */
    private const ON_GRID_DEG = 1e-6;

    private const CLOSES = 1e-6;

    /** Steps end this fine, mm: along one curve, and over the whole surface. */
    private const FINEST_MM = 1e-7;

    private const FINE_MM = 1e-3;

    private const PARALLEL = 1e-9;

    /** A turn up to this (°) is none, when doubles are looked for. */
    private const NO_TURN_DEG = 0.05;

    private const SAMPLES = 64;

    private const COARSE = 40;

    private const MOST = 200;

    public static function solve(RouteRequest $request): RouteAnswers
    {
        $radii = $request->radii();
        if ($radii === []) {
            return new RouteAnswers([], [new Blocked(Constraint::Stock, 1, true, 0, 0)]);
        }
        $answers = self::straight($request);
        foreach ($radii as [$clrMm, $maxDeg]) {
            array_push($answers, ...self::oneBend($request, $clrMm, $maxDeg));
        }
        $families = [];
        foreach ($radii as [$firstClr, $firstMax]) {
            foreach ($radii as [$secondClr, $secondMax]) {
                $families[] = $family = new TwoBendFamily($request, $firstClr, $firstMax, $secondClr, $secondMax);
                array_push($answers, ...self::twoBends($request, $family));
            }
        }
        $answers = self::ranked($answers);

        return new RouteAnswers($answers, $answers === [] ? NearestMiss::of($families) : []);
    }

    /** @return list<RouteAnswer> */
    private static function straight(RouteRequest $request): array
    {
        $along = $request->end->at->minus($request->start->at)->dot($request->start->forward);
        $least = max($request->rules->firstStraightMm, $request->rules->lastStraightMm);

        return $along >= $least ? self::answer($request, new TubeRun($request->start, [], $along)) : [];
    }

    /** @return list<RouteAnswer> */
    private static function oneBend(RouteRequest $request, float $clrMm, float $maxDeg): array
    {
        [$a, $b] = [$request->start->forward, $request->end->forward];
        $between = $request->end->at->minus($request->start->at);
        $normal = $a->cross($b);
        $angleDeg = $a->angleDegTo($b);
        if ($normal->length() < self::PARALLEL || $angleDeg > $maxDeg || $angleDeg < $request->rules->minAngleDeg) {
            return [];
        }
        $p = $between->cross($b)->dot($normal) / $normal->dot($normal);
        $q = $a->cross($between)->dot($normal) / $normal->dot($normal);
        $setback = $clrMm * tan(deg2rad($angleDeg) / 2);
        if ($p - $setback < $request->rules->firstStraightMm || $q - $setback < $request->rules->lastStraightMm) {
            return [];
        }

        return self::through($request, [$request->start->advanced($p)->at], [$clrMm]);
    }

    /** @return list<RouteAnswer> */
    private static function twoBends(RouteRequest $request, TwoBendFamily $family): array
    {
        $found = [];
        [$a, $b] = [$request->start->forward->toArray(), $request->end->forward->toArray()];
        foreach ($request->rules->grid->between($request->rules->minAngleDeg, $family->firstMaxDeg) as $first) {
            foreach ($request->rules->grid->between($request->rules->minAngleDeg, $family->secondMaxDeg) as $second) {
                foreach (Directions::meeting($a, deg2rad($first), $b, deg2rad($second)) as $middle) {
                    $legs = $family->along($middle);
                    // A negative middle leg turns the direction round: its angles are then the supplements.
                    if (
                        $legs !== null &&
                        abs($legs->firstAngleDeg - $first) < self::ON_GRID_DEG &&
                        $family->isBuildable($legs)
                    ) {
                        $found[] = $legs;
                    }
                }
            }
            $found[] = self::shortest(
                $family,
                static fn (float $q): ?Legs => $family->at($family->pFor($first, $q), $q),
            );
        }
        foreach ($request->rules->grid->between($request->rules->minAngleDeg, $family->secondMaxDeg) as $second) {
            $found[] = self::shortest(
                $family,
                static fn (float $p): ?Legs => $family->at($p, $family->qFor($second, $p)),
            );
        }
        $found = array_values(array_filter($found, static fn (?Legs $legs): bool => $legs !== null));
        $anywhere = $found === [] ? self::shortestOfAll($family) : null;

        return array_merge(...array_map(static fn (Legs $legs): array => self::through(
            $request,
            [$request->start->advanced($legs->p)->at, $request->end->advanced(-$legs->q)->at],
            [$family->firstClrMm, $family->secondClrMm],
        ), $anywhere === null ? $found : [$anywhere]));
    }

    /**
     * The shortest buildable route on a curve of the surface: sampled, then driven to the edge of what can be built.
     *
     * @param  \Closure(float): ?Legs  $curve
     */
    private static function shortest(TwoBendFamily $family, \Closure $curve): ?Legs
    {
        $step = $family->reachMm() / self::SAMPLES;
        [$best, $at] = [null, 0.0];
        for ($i = 0; $i <= self::SAMPLES; $i++) {
            $legs = $curve($i * $step);
            if (
                $legs !== null &&
                $family->isBuildable($legs) &&
                ($best === null || $legs->lengthMm < $best->lengthMm)
            ) {
                [$best, $at] = [$legs, $i * $step];
            }
        }
        for (; $best !== null && $step > self::FINEST_MM; $step *= 0.5) {
            foreach ([$at - $step, $at + $step] as $try) {
                $legs = $curve($try);
                if ($legs !== null && $family->isBuildable($legs) && $legs->lengthMm < $best->lengthMm) {
                    [$best, $at] = [$legs, $try];
                }
            }
        }

        return $best;
    }

    /** Off the grid altogether: the shortest for each p, then p itself driven to where it is shortest. */
    private static function shortestOfAll(TwoBendFamily $family): ?Legs
    {
        $step = $family->reachMm() / self::COARSE;
        $for = static fn (float $p): ?Legs => self::shortest(
            $family,
            static fn (float $q): ?Legs => $family->at($p, $q),
        );
        $best = null;
        for ($i = 0; $i <= self::COARSE; $i++) {
            $best = self::shorter($best, $for($i * $step));
        }
        for (; $best !== null && $step > self::FINE_MM; $step *= 0.5) {
            $best = self::shorter(self::shorter($best, $for($best->p - $step)), $for($best->p + $step));
        }

        return $best;
    }

    private static function shorter(?Legs $one, ?Legs $other): ?Legs
    {
        return $one === null || $other !== null && $other->lengthMm < $one->lengthMm ? $other : $one;
    }

    /**
     * @param  list<Vector>  $vertices
     * @param  list<float>  $clrsMm
     * @return list<RouteAnswer>
     */
    private static function through(RouteRequest $request, array $vertices, array $clrsMm): array
    {
        return self::answer(
            $request,
            TubeRun::fromXyz(
                [$request->start->at, ...$vertices, $request->end->at],
                $clrsMm,
                $request->start->reference,
            ),
        );
    }

    /**
     * An answer leaves only if it closes exactly and can be cut from the stock.
     *
     * @return list<RouteAnswer>
     */
    private static function answer(RouteRequest $request, TubeRun $run): array
    {
        $end = FarEnd::of($run, $request->end);
        $spans = Jointing::of($run, $request->stock);
        $facesStart = $run->start->forward->angleDegTo($request->start->forward) < self::CLOSES;
        if ($spans === null || ! $facesStart || max($end->gapMm, $end->angleDeg) > self::CLOSES) {
            return [];
        }
        $odd = count(
            array_filter($run->bends, static fn (Bend $bend): bool => ! $request->rules->grid->isEven($bend->angleDeg)),
        );

        // Its two ends are joints as well.
        return [new RouteAnswer($run, count($spans) + 1, $odd, $run->lengthMm(), self::toBuy($request, $spans))];
    }

    /**
     * @param  list<PieceSpan>  $spans
     * @return array<string, int> by stock id
     */
    private static function toBuy(RouteRequest $request, array $spans): array
    {
        $needed = [];
        foreach ($spans as $span) {
            $id = $span->donor->id ?? $request->stock[0]->tubeId ?? '';
            // All straights of a run come out of one length.
            $needed[$id] = $span->donor === null ? 1 : ($needed[$id] ?? 0) + 1;
        }
        $toBuy = [];
        foreach ($needed as $id => $count) {
            $missing = $count - ($request->shelf[$id] ?? 0);
            if ($missing > 0) {
                $toBuy[$id] = $missing;
            }
        }

        return $toBuy;
    }

    /**
     * @param  list<RouteAnswer>  $answers
     * @return list<RouteAnswer> best first, without doubles
     */
    private static function ranked(array $answers): array
    {
        usort($answers, static fn (RouteAnswer $a, RouteAnswer $b): int => $a->rank() <=> $b->rank());
        $kept = [];
        foreach ($answers as $answer) {
            $kept[self::signature($answer)] ??= $answer;
        }

        return array_slice(array_values($kept), 0, self::MOST);
    }

    private static function signature(RouteAnswer $answer): string
    {
        $parts = [sprintf('%.1f', $answer->lengthMm)];
        foreach ($answer->run->bends as $bend) {
            $parts[] = sprintf(
                '%.1f/%.1f/%.2f/%.1f',
                $bend->straightMm,
                abs($bend->rotationDeg) < self::NO_TURN_DEG ? 0 : $bend->rotationDeg,
                $bend->angleDeg,
                $bend->clrMm,
            );
        }

        return implode(' ', $parts);
    }
}

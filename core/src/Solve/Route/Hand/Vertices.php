<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Hand;

use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Run\Bend;
use UpsweptBead\Core\Solve\Run\Locks;
use UpsweptBead\Core\Solve\Run\TubeRun;

/**
 * Changes to a run by its vertices, the corners its legs would meet in. The ends stay where they are: the first vertex
 * can only move along the start's axis, the last along the target's, so what was closed stays closed.
 */
final readonly class Vertices
{
    /**
     * Moves a vertex towards a point, as far as the bends and straights there allow.
     *
     * @param  int  $vertex  counted from 0, one a bend
     *
     * @throws \DomainException if there is no such vertex, or the run has none as it turns too far
     */
    public static function moved(TubeRun $run, Frame $target, Bounds $bounds, int $vertex, Vector $to): TubeRun
    {
        $points = self::points($run, $target);
        if (! isset($run->bends[$vertex])) {
            throw new \DomainException(
                sprintf('The run has %d bends; there is no bend %d.', count($run->bends), $vertex + 1),
            );
        }
        $from = $points[$vertex + 1];
        $wish = self::allowed($run, $target, $vertex, $to);
        $clrs = array_map(static fn (Bend $bend): float => $bend->clrMm, $run->bends);
        [$low, $high] = [0.0, 1.0];
        $best = $run;
        // All the way if it goes, otherwise halving in on how far.
        for ($i = 0, $share = 1.0; $i < 14; $i++, $share = ($low + $high) / 2) {
            $tried = array_replace($points, [$vertex + 1 => $from->plus($wish->minus($from)->times($share))]);
            $built = self::built(array_values($tried), $clrs, $run->start, $bounds);
            if ($built === null) {
                $high = $share;
            } else {
                [$low, $best] = [$share, $built];
                if ($share === 1.0) {
                    break;
                }
            }
        }

        return $best;
    }

    /**
     * Puts a bend into a leg: a vertex beside its middle, as little aside as gives bends worth bending.
     *
     * @param  int  $leg  counted from 0, the straight before bend 0 being the first
     *
     * @throws \DomainException if no place beside that leg takes one
     */
    public static function inserted(TubeRun $run, Frame $target, Bounds $bounds, int $leg, float $clrMm): TubeRun
    {
        $points = self::points($run, $target);
        if (! isset($points[$leg + 1])) {
            throw new \DomainException(
                sprintf('The run has %d legs; there is no leg %d.', count($points) - 1, $leg + 1),
            );
        }
        $along = $points[$leg + 1]->minus($points[$leg])->unit();
        $side = Frame::facing($points[$leg], $along)->reference;
        $clrs = array_map(static fn (Bend $bend): float => $bend->clrMm, $run->bends);
        array_splice($clrs, $leg, 0, [$clrMm]);
        $isFirst = $leg === 0;
        $isLast = $leg === count($run->bends);
        $open = null;
        foreach ([0.5, 0.35, 0.65] as $share) {
            $middle = $points[$leg]->plus($points[$leg + 1]->minus($points[$leg])->times($share));
            for ($aside = 5.0; $aside <= 200.0; $aside *= 1.4) {
                foreach ([0, 180, 90, 270, 45, 135, 225, 315] as $turn) {
                    $offset = $side->turnedAbout($along, (float) $turn)->times($aside);
                    $tried = $points;
                    if (($isFirst || $isLast) && ! ($isFirst && $isLast)) {
                        // The new vertex stays on the end's axis; its neighbour gives way instead.
                        $neighbour = $isFirst ? $leg + 1 : $leg;
                        $tried = array_map(
                            static fn (Vector $point, int $k): Vector => $k === $neighbour
                                ? $point->plus($offset)
                                : $point,
                            $tried,
                            array_keys($tried),
                        );
                        array_splice($tried, $leg + 1, 0, [$middle]);
                    } else {
                        array_splice($tried, $leg + 1, 0, [$middle->plus($offset)]);
                    }
                    $built = self::built($tried, $clrs, $run->start, $bounds->withOneMore($leg));
                    if ($built === null || $built->start->forward->angleDegTo($run->start->forward) > 1e-6) {
                        continue;
                    }
                    if (self::ends($built, $target)) {
                        return $built;
                    }
                    $open ??= [$built, $bounds->withOneMore($leg)];
                }
            }
        }
        $closing = $open === null ? null : Closing::of($open[0], $target, new Locks, $open[1]);

        return $closing !== null && $closing->isClosed()
            ? $closing->run
            : throw new \DomainException('There is no room for another bend in that leg.');
    }

    /**
     * Makes one bend of two neighbours: from the leg before the first to the leg behind the second. Closed again only
     * if the two lay in one plane; otherwise the far end shows what it costs.
     *
     * @param  int  $first  the first of the two, counted from 0
     *
     * @throws \DomainException if there are not two, or they undo each other
     */
    public static function merged(TubeRun $run, int $first): TubeRun
    {
        if (! isset($run->bends[$first + 1])) {
            throw new \DomainException('There is no bend behind this one to merge it with.');
        }
        $frame = $run->start;
        foreach (array_slice($run->bends, 0, $first) as $bend) {
            $frame = $frame
                ->advanced($bend->straightMm)
                ->turned($bend->rotationDeg)
                ->bent($bend->clrMm, $bend->angleDeg);
        }
        [$a, $b] = [$run->bends[$first], $run->bends[$first + 1]];
        $after = $frame
            ->turned($a->rotationDeg)
            ->bent($a->clrMm, $a->angleDeg)
            ->turned($b->rotationDeg)
            ->bent($b->clrMm, $b->angleDeg);
        $angle = $frame->forward->angleDegTo($after->forward);
        if ($angle < 1.0 || $angle > 179.0) {
            throw new \DomainException(sprintf('Together the two turn %.0f°, which no single bend does.', $angle));
        }
        $rotation = $frame->turnDegTo($after->forward);
        $clr = max($a->clrMm, $b->clrMm);
        $merged = new Bend(0.0, $rotation, $angle, $clr);
        // The straight between is shared out before and behind, less what the larger bend takes.
        $legs = $a->straightMm + $a->setbackMm() + ($b->straightMm + $a->setbackMm() + $b->setbackMm()) / 2;
        $bends = $run->bends;
        $joined = $merged->with(straightMm: max(0.0, $legs - $merged->setbackMm()));
        // What follows keeps its plane: its turn is counted from the new throat line.
        $next = $run->bends[$first + 2] ?? null;
        $throat = $frame->turned($rotation)->bent($clr, $angle);
        array_splice($bends, $first, 2, [$joined]);
        if ($next !== null) {
            $bends[$first + 1] = $next->with(
                rotationDeg: $throat->turnDegTo($after->turned($next->rotationDeg)->reference),
            );
        }

        return new TubeRun($run->start, array_values($bends), $run->endStraightMm);
    }

    /** @return list<Vector> the ends as they have to be, and the vertices between them */
    private static function points(TubeRun $run, Frame $target): array
    {
        $isClosed = $run->end()->at->distanceTo($target->at) < 1.0;

        return $isClosed ? [...array_slice($run->toXyz(), 0, -1), $target->at] : $run->toXyz();
    }

    private static function allowed(TubeRun $run, Frame $target, int $vertex, Vector $to): Vector
    {
        if ($vertex === 0) {
            return $run->start->at->plus(
                $run->start->forward->times($to->minus($run->start->at)->dot($run->start->forward)),
            );
        }
        if ($vertex === count($run->bends) - 1) {
            $end = $run->end();

            return $end->at->plus($end->forward->times($to->minus($end->at)->dot($end->forward)));
        }

        return $to;
    }

    private static function ends(TubeRun $run, Frame $target): bool
    {
        $end = $run->end();

        return $end->at->distanceTo($target->at) < 0.05 && $end->forward->angleDegTo($target->forward) < 0.05;
    }

    /**
     * @param  list<Vector>  $points
     * @param  list<float>  $clrs
     */
    private static function built(array $points, array $clrs, Frame $start, Bounds $bounds): ?TubeRun
    {
        try {
            $run = TubeRun::fromXyz($points, $clrs, $start->reference);
        } catch (\DomainException) {
            return null;
        }

        return $bounds->hold($run) ? $run : null;
    }
}

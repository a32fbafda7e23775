<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Plan;

use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Shop\Practice\RoutingLimits;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Solve\Route\RouteAnswer;
use UpsweptBead\Core\Solve\Route\RouteRequest;
use UpsweptBead\Core\Solve\Route\TwoBend\TwoBendRouter;
use UpsweptBead\Core\Solve\Run\Jointing;
use UpsweptBead\Core\Solve\Run\PieceSpan;
use UpsweptBead\Core\Solve\Run\TubeRun;
use UpsweptBead\Core\Stage\Layout\Layout;
use UpsweptBead\Core\Stage\Layout\RoutedRun;

/** Ways from what stands of a run to its far end with other bends than were planned: none, one or two from stock. */
final readonly class OtherWays
{
    /** So many of the best are laid beside the other runs. */
    private const LOOKED_AT = 8;

    public function __construct(private Job $job, private Shop $shop) {}

    /**
     * The way that keeps its room best, of those a shop would pick first; null where none leads there.
     *
     * @param  TubeRun  $stands  what stands, from the run's start
     * @param  \Closure(TubeRun): Job  $with  the job with the run so
     */
    public function best(RoutedRun $routed, TubeRun $stands, \Closure $with): ?TubeRun
    {
        $best = null;
        $leastMm = INF;
        foreach (array_slice($this->answers($routed, $stands), 0, self::LOOKED_AT) as $answer) {
            $run = self::joined($stands, $answer->run);
            $shortMm = $this->shortMm($routed->spec->letter, $with($run));
            if ($shortMm < $leastMm) {
                [$best, $leastMm] = [$run, $shortMm];
            }
            if ($shortMm <= 0.0) {
                break;
            }
        }

        return $best;
    }

    /**
     * Where the new part is cut, as stations of the whole run.
     *
     * @return list<float> mm
     */
    public function joints(RoutedRun $routed, TubeRun $run, TubeRun $stands): array
    {
        $count = count($stands->bends);
        $rest = array_slice($run->bends, $count);
        if ($rest !== []) {
            $rest[0] = $rest[0]->with(straightMm: $rest[0]->straightMm - $stands->endStraightMm);
        }
        $part = new TubeRun(
            $stands->end(),
            $rest,
            $run->endStraightMm - ($rest === [] ? $stands->endStraightMm : 0.0),
        );
        $spans = Jointing::of($part, $this->shop->catalogue->bendsFor($routed->tube->id)) ?? [];

        return array_map(
            static fn (PieceSpan $span): float => round($stands->lengthMm() + $span->fromMm, 3),
            array_slice($spans, 1),
        );
    }

    /** @return list<RouteAnswer> best first */
    private function answers(RoutedRun $routed, TubeRun $stands): array
    {
        $limits = $this->job->set->routing->on($this->shop->rules->routing());

        return TwoBendRouter::solve(new RouteRequest(
            $stands->end(),
            $routed->spec->end->frame(),
            $this->shop->catalogue->bendsFor($routed->tube->id),
            // What stands of a straight counts as part of it.
            new RoutingLimits(
                max(0.0, $limits->innerStraightMm - $stands->endStraightMm),
                $limits->innerStraightMm,
                $limits->lastStraightMm,
                $limits->minAngleDeg,
                $limits->grid,
            ),
            $this->shop->shelf,
        ))->answers;
    }

    private static function joined(TubeRun $stands, TubeRun $rest): TubeRun
    {
        $bends = $rest->bends;
        if ($bends === []) {
            return new TubeRun($stands->start, $stands->bends, $stands->endStraightMm + $rest->endStraightMm);
        }
        $bends[0] = $bends[0]->with(straightMm: $bends[0]->straightMm + $stands->endStraightMm);

        return new TubeRun($stands->start, [...$stands->bends, ...$bends], $rest->endStraightMm);
    }

    /** By how much a run falls short of the room it needs, over all that it comes too near to. */
    private function shortMm(string $letter, Job $job): float
    {
        $shortMm = 0.0;
        foreach (Layout::of($job, $this->shop)->gaps as $gap) {
            if (! $gap->isKept() && ($gap->run === $letter || ($gap->isRun && $gap->other === $letter))) {
                $shortMm += $gap->neededMm - $gap->gapMm;
            }
        }

        return $shortMm;
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Survey;

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Job\Collector\CollectorSpec;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Run\RunSpec;
use UpsweptBead\Core\Solve\Route\Problem\AssignmentMode;

/**
 * Changes to the runs of a survey that save measuring: ports in a row, inlets of one collector, scrolls paired by firing
 * order.
 */
final readonly class RunEdits
{
    /**
     * Sets ports in a row, each so far from the one before along an axis; runs that are missing are made like the
     * first, ends included. Routes of moved runs are dropped, as they do not start there any more.
     *
     * @param  list<Length>  $spacings  one for each port after the first
     *
     * @throws \DomainException if there are too many
     */
    public static function inRow(Job $job, string $first, array $spacings, Vector $axis): Job
    {
        $from = array_search($first, array_map(static fn (RunSpec $run): string => $run->letter, $job->runs), true);
        if ($from === false) {
            throw new \DomainException(sprintf('There is no run "%s".', mb_substr($first, 0, 10)));
        }
        self::refuseTooMany($from + 1 + count($spacings));
        $runs = $job->runs;
        $like = $runs[$from];
        $at = $like->start->frame()->at;
        $taken = array_map(static fn (RunSpec $run): string => $run->letter, $runs);
        foreach ($spacings as $i => $spacing) {
            $at = $at->plus($axis->unit()->times($spacing->mm));
            $there = $runs[$from + 1 + $i] ?? null;
            if ($there === null) {
                $letter = self::freeLetters($taken, 1)[0];
                $taken[] = $letter;
                $there = new RunSpec(
                    $letter,
                    '',
                    $like->tubeId,
                    $like->start->renamed(sprintf('Port %d', $from + 2 + $i)),
                    $like->end,
                    null,
                    [],
                );
            }
            $moved = $there->start->moved(self::place($at), $like->start->direction);
            $isSame =
                $there->start->frame()->at->distanceTo($at) < 0.01 &&
                $there->start->direction->unit()->distanceTo($like->start->direction->unit()) < 1e-6;
            $runs[$from + 1 + $i] = $there->with($moved, $there->end, $isSame ? $there->route : null);
        }

        return $job->with(array_values($runs), $job->set);
    }

    /**
     * Gives runs their inlets from one collector or turbine flange. Routes of runs whose end moved are dropped.
     *
     * @param  CollectorSpec  $collector  with its runs in their order round the axis
     *
     * @throws \DomainException if there are not two runs at least, or one is not of this job
     */
    public static function collected(Job $job, CollectorSpec $collector, InletRing $ring): Job
    {
        $letters = $collector->runs;
        $count = count($letters);
        if (
            $count < 2 ||
            count(array_unique($letters)) !== $count ||
            array_filter($letters, static fn (string $one): bool => $job->run($one) === null) !== []
        ) {
            throw new \DomainException(
                'Two runs of this job at least must meet in it, each named once: '.
                    implode(', ', array_map(static fn (RunSpec $run): string => $run->letter, $job->runs)).
                    '.',
            );
        }
        $runs = $job->runs;
        foreach ($runs as $i => $run) {
            $place = array_search($run->letter, $letters, true);
            if ($place === false) {
                continue;
            }
            $end = $run->end->moved(self::place($ring->inlet($place, $count)), $ring->axis);
            $isSame =
                $run->end->frame()->at->distanceTo($end->frame()->at) < 0.01 &&
                $run->end->direction->unit()->distanceTo($ring->axis->unit()) < 1e-6;
            $runs[$i] = $run->with($run->start, $end, $isSame ? $run->route : null);
        }
        $others = array_values(
            array_filter(
                $job->set->collectors,
                static fn (CollectorSpec $one): bool => array_intersect($one->runs, $letters) === [],
            ),
        );

        // Moved, a collector keeps the firing order that was entered for it.
        $firing = $letters;
        $build = null;
        foreach ($job->set->collectors as $one) {
            // How it is made stays, wherever it is moved to.
            $build = array_intersect($one->runs, $letters) === [] ? $build : $one->build ?? $build;
            $firing =
                $one->firing !== [] && array_diff($letters, $one->firing) === [] && count($one->firing) === $count
                    ? $one->firing
                    : $firing;
        }

        return $job->with($runs, $job->set->collecting([
            ...$others,
            $collector
                ->firing($collector->mode === AssignmentMode::Cyclic ? $firing : [])
                ->built($build?->movedTo(self::place($ring->at), $ring->axis, $ring->turnDeg)),
        ]));
    }

    /**
     * Splits a collector into the two scrolls of a turbine, every other cylinder of the firing order to each, so that
     * pulses in one scroll are as far apart as they can be (firing 1-3-4-2: 1 with 4, 3 with 2, a turn of the crank
     * apart). Within a scroll any run may take any inlet.
     *
     * @throws \DomainException if there is no such collector, or its firing order does not pair
     */
    public static function pairedScrolls(Job $job, string $collector, string $firing): Job
    {
        $order = preg_split('/[^A-Z]+/', strtoupper($firing), -1, PREG_SPLIT_NO_EMPTY);
        foreach ($job->set->collectors as $i => $one) {
            if ($one->name !== $collector) {
                continue;
            }
            if (
                $order === false ||
                array_diff($one->runs, $order) !== [] ||
                count($order) !== count($one->runs) ||
                count($order) < 4 ||
                count($order) % 2 !== 0
            ) {
                throw new \DomainException(
                    sprintf(
                        'The firing order must name each run of %s once, an even number of them, 4 at least: %s.',
                        $one->name,
                        implode(', ', $one->runs),
                    ),
                );
            }
            $first = $second = [];
            foreach ($order as $k => $letter) {
                if ($k % 2 === 0) {
                    $first[] = $letter;
                } else {
                    $second[] = $letter;
                }
            }
            $keep = static fn (array $letters): array => array_values(
                array_filter($one->runs, static fn (string $letter): bool => in_array($letter, $letters, true)),
            );
            $collectors = $job->set->collectors;
            array_splice($collectors, $i, 1, [
                new CollectorSpec("$one->name, first scroll", $keep($first), AssignmentMode::Any, [], $one->entry),
                new CollectorSpec("$one->name, second scroll", $keep($second), AssignmentMode::Any, [], $one->entry),
            ]);

            return $job->with($job->runs, $job->set->collecting($collectors));
        }
        throw new \DomainException(sprintf('There is no collector "%s".', mb_substr($collector, 0, 60)));
    }

    /** @throws \DomainException */
    private static function refuseTooMany(int $runs): void
    {
        if ($runs > OtherBank::MOST_RUNS) {
            throw new \DomainException(
                sprintf('That would make %d runs; a job has at most %d.', $runs, OtherBank::MOST_RUNS),
            );
        }
    }

    /**
     * @param  list<string>  $taken
     * @return list<string>
     */
    private static function freeLetters(array $taken, int $count): array
    {
        return array_slice(array_values(array_diff(range('A', 'Z'), $taken)), 0, $count);
    }

    /** @return array{Length, Length, Length} */
    private static function place(Vector $at): array
    {
        return [Length::ofMm(round($at->x, 4)), Length::ofMm(round($at->y, 4)), Length::ofMm(round($at->z, 4))];
    }
}

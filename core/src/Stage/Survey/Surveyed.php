<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Survey;

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Measured\MeasuredEnd;
use UpsweptBead\Core\Job\Points;
use UpsweptBead\Core\Job\Run\RunEnd;
use UpsweptBead\Core\Job\Run\RunSpec;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Solve\Adjust\Adjustment;
use UpsweptBead\Core\Solve\Adjust\ClosingGap;
use UpsweptBead\Core\Solve\Adjust\Estimate;
use UpsweptBead\Core\Solve\Adjust\Fit;
use UpsweptBead\Core\Solve\Adjust\RigidRun;
use UpsweptBead\Core\Solve\Adjust\Rivals;
use UpsweptBead\Core\Solve\Adjust\Suspect;
use UpsweptBead\Core\Solve\Adjust\Suspects;
use UpsweptBead\Core\Solve\Adjust\Undetermined;
use UpsweptBead\Core\Solve\Adjust\Xyz;

/** A job with its measured ends where its readings put them, and how sure that is. */
final readonly class Surveyed
{
    /** More readings than that are never wrong at once where the others are worth anything; our own figure. */
    private const MOST_SUSPECTS = 4;

    /**
     * @param  Job  $job  with those ends in place that follow from what was read so far
     * @param  Adjustment|null  $adjustment  null where nothing is measured
     * @param  Undetermined|null  $open  what nothing says enough of yet
     * @param  list<Estimate>  $answers  that fit alike, the first of which counts; more than one has to be decided
     * @param  list<list<string>>  $suspects  ids of readings that do not agree, the worst first; several where nothing
     *   tells them apart
     * @param  array<string, ReadingStanding>  $standings  by id of each reading that counts
     * @param  array<string, ClosingDoubt>  $doubts  by the letter of each run that has a measured end
     */
    private function __construct(
        public Job $job,
        public ?Adjustment $adjustment = null,
        public ?Undetermined $open = null,
        public array $answers = [],
        public array $suspects = [],
        public array $standings = [],
        public array $doubts = [],
    ) {}

    public static function of(Job $job, Shop $shop): self
    {
        if ($job->measured->isEmpty()) {
            return new self($job);
        }
        $sheet = MeasuredSheet::of($job, $shop->rules);
        $fits = Rivals::of($sheet);
        $open = $sheet->unknowns->count === 0 ? null : Undetermined::of($sheet, $fits[0]);
        $adjustment = Adjustment::of($sheet, $fits[0]);
        if ($adjustment === null || $open !== null) {
            $adjustment = Adjustment::loosely($sheet, $fits[0]);
        }
        $placed = self::placed($job, $adjustment->estimate, $open);
        $suspects = array_map(static fn (Suspect $one): array => array_values(array_unique(
            array_map(self::reading(...), $one->candidates),
        )), Suspects::of($adjustment, self::MOST_SUSPECTS)->all);

        return new self(
            $placed,
            $adjustment,
            $open,
            $open === null ? array_map(static fn (Fit $one): Estimate => $one->estimate, $fits) : [$fits[0]->estimate],
            $suspects,
            self::standings($job, $adjustment, $shop, array_merge(...$suspects)),
            self::doubts($placed, $adjustment, $open),
        );
    }

    /** Whether nothing that was read says enough of where an end or a point is. */
    public function isPlaceOpen(string $name): bool
    {
        return in_array($name, $this->open->places ?? [], true);
    }

    /** Whether nothing that was read says enough of which way an end points. */
    public function isDirectionOpen(string $end): bool
    {
        return in_array($end, $this->open->axes ?? [], true);
    }

    /** The reading that an observation is part of: "r3.1h" is of "r3". */
    private static function reading(string $observation): string
    {
        return explode('.', $observation)[0];
    }

    /**
     * @param  list<string>  $suspects
     * @return array<string, ReadingStanding>
     */
    private static function standings(Job $job, Adjustment $now, Shop $shop, array $suspects): array
    {
        $worst = [];
        foreach ($now->residuals as $one) {
            $id = self::reading($one['id']);
            $is = [abs($one['w'] ?? 0.0), abs($one['residual']), $one['w'] !== null];
            if (! isset($worst[$id]) || $is > $worst[$id]) {
                $worst[$id] = $is;
            }
        }
        $standings = [];
        foreach ($job->measured->readings as $one) {
            if (isset($worst[$one->id])) {
                [$times, $off, $isChecked] = $worst[$one->id];
                $standings[$one->id] = new ReadingStanding(
                    $one->tool->readsAngles() ? Quantity::Angle : Quantity::Length,
                    MeasuredSheet::sigma($one, $shop->rules),
                    $off,
                    $isChecked ? $times : null,
                    in_array($one->id, $suspects, true),
                );
            }
        }

        return $standings;
    }

    /** @return array{at: Vector, mayBeOffMm: float}|null in 95 of 100 cases; null where it is not known, or not at all */
    public function placeOf(string $name): ?array
    {
        $at = $this->adjustment?->estimate->places[$name] ?? null;

        return $this->adjustment === null || $at === null || $this->isPlaceOpen($name) ? null : [
            'at' => MeasuredSheet::inJob($at),
            'mayBeOffMm' => ClosingGap::SURE * $this->adjustment->greatestSd($name),
        ];
    }

    private static function placed(Job $job, Estimate $estimate, ?Undetermined $open): Job
    {
        $runs = [];
        foreach ($job->runs as $run) {
            $end = static fn (RunEnd $one, bool $isStart): RunEnd => self::end(
                $one,
                $job->measured->end($run->letter, $isStart),
                $estimate,
                $open,
            );
            $runs[] = $run->between($end($run->start, true), $end($run->end, false));
        }

        return $job->with($runs, $job->set);
    }

    private static function end(RunEnd $end, ?MeasuredEnd $read, Estimate $estimate, ?Undetermined $open): RunEnd
    {
        $name = $read?->name() ?? '';
        if ($read?->hasDirection === true && ! in_array($name, $open->axes ?? [], true)) {
            $out = MeasuredSheet::inJob($estimate->axes[$name]);
            $end = $end->facing($read->isStart ? $out : $out->times(-1.0));
        }
        if ($read?->hasPlace === true && ! in_array($name, $open->places ?? [], true)) {
            $end = $end->moved(Points::of(MeasuredSheet::inJob($estimate->places[$name])), $end->direction);
        }

        return $end;
    }

    /** @return array<string, ClosingDoubt> */
    private static function doubts(Job $job, Adjustment $now, ?Undetermined $open): array
    {
        $doubts = [];
        foreach ($job->runs as $run) {
            if (self::isKnown($run, $job, $open)) {
                $doubts[$run->letter] = self::doubt($run, $now);
            }
        }

        return $doubts;
    }

    /** Whether a run has an end that was measured, and none that is still open. */
    private static function isKnown(RunSpec $run, Job $job, ?Undetermined $open): bool
    {
        if ($run->end->isFree) {
            return false;
        }
        $isMeasured = false;
        foreach ([true, false] as $isStart) {
            $name = MeasuredEnd::nameOf($run->letter, $isStart);
            if (in_array($name, [...$open->places ?? [], ...$open->axes ?? []], true)) {
                return false;
            }
            $read = $job->measured->end($run->letter, $isStart);
            $isMeasured = $isMeasured || $read?->hasPlace === true || $read?->hasDirection === true;
        }

        return $isMeasured;
    }

    private static function doubt(RunSpec $run, Adjustment $now): ClosingDoubt
    {
        [$from, $to] = [MeasuredEnd::nameOf($run->letter, true), MeasuredEnd::nameOf($run->letter, false)];
        $at = $now->estimate;
        $gap = ClosingGap::of($now, $from, $to, new RigidRun(
            $at->axes[$from],
            Xyz::minus($at->places[$to], $at->places[$from]),
            Xyz::times($at->axes[$to], -1.0),
        ));

        return new ClosingDoubt(
            $gap->sizeSd,
            $gap->angleSd,
            $gap->trimMm(),
            max($now->greatestSd($from), $now->greatestSd($to)),
            $gap->retake['reading'] ?? '',
            $gap->retake['size_sd'] ?? $gap->sizeSd,
        );
    }
}

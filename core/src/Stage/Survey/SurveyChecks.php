<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Survey;

use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Solid\HalfSpace;
use UpsweptBead\Core\Base\Geometry\Solid\KeepOut;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Reason\Notice;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Job\Collector\CollectorSpec;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\KeepOut\KeepOutKind;
use UpsweptBead\Core\Job\KeepOut\KeepOutSpec;
use UpsweptBead\Core\Job\Purpose;
use UpsweptBead\Core\Job\Run\RunSpec;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Shop\Stock\Exception\UnknownStock;
use UpsweptBead\Core\Solve\Route\Problem\AssignmentMode;
use UpsweptBead\Core\Stage\Intake\ThinWall;

/** What of a survey can hardly be as it was written down. Cautions, never refusals: the tape may know better. */
final readonly class SurveyChecks
{
    private function __construct(private Job $job, private Shop $shop) {}

    /** @return list<Notice> */
    public static function notices(Job $job, Shop $shop): array
    {
        $checks = new self($job, $shop);

        return [
            ...$checks->ports(),
            ...$checks->ends(),
            ...$checks->walls(),
            ...$checks->keepOuts(),
            ...$checks->firing(),
        ];
    }

    /** @return list<Notice> */
    private function ports(): array
    {
        $notices = [];
        foreach ($this->job->runs as $i => $run) {
            foreach (array_slice($this->job->runs, $i + 1) as $other) {
                $apart = $run->start->frame()->at->distanceTo($other->start->frame()->at);
                if ($apart < 1.0) {
                    $notices[] = Notice::caution(
                        "runs[$i].start.at",
                        "Runs $run->letter and $other->letter start at the same place.",
                    );
                } elseif ($apart < $this->odMm($run)) {
                    $notices[] = Notice::caution(
                        "runs[$i].start.at",
                        "Runs $run->letter and $other->letter start {$this->show($apart)} apart, less than their tube is wide.",
                    );
                }
            }
        }

        return $notices;
    }

    /** @return list<Notice> one for every size that is too thin */
    private function walls(): array
    {
        $runs = $paths = [];
        foreach ($this->job->runs as $i => $run) {
            $tube = $this->shop->catalogue->tubes[$run->tubeId] ?? null;
            if ($tube !== null && ! $run->isThere && ThinWall::is($tube, $this->job)) {
                $runs[$tube->name][] = $run->letter;
                $paths[$tube->name] ??= "runs[$i].tube";
            }
        }

        return array_map(static fn (string $name, array $letters): Notice => Notice::caution(
            $paths[$name],
            ThinWall::says(
                sprintf('%s of %s %s', $name, count($letters) > 1 ? 'runs' : 'run', implode(', ', $letters)),
            ),
        ), array_keys($runs), $runs);
    }

    /** @return list<Notice> */
    private function ends(): array
    {
        $notices = [];
        $rules = $this->job->set->routing->on($this->shop->rules->routing());
        foreach ($this->job->runs as $i => $run) {
            if ($run->end->isFree) {
                continue;
            }
            [$start, $end] = [$run->start->frame(), $run->end->frame()];
            $across = $end->at->minus($start->at);
            $turn = $start->forward->angleDegTo($end->forward);
            $least = $this->tightestMm($run);
            $need = self::oneBendMm($rules->firstStraightMm, $rules->lastStraightMm, $least, deg2rad($turn));
            if ($across->length() < 1.0) {
                $notices[] = Notice::caution("runs[$i].end.at", "Run $run->letter ends where it starts.");
            } elseif ($least > 0.0 && $across->length() < $need) {
                $notices[] = Notice::caution(
                    "runs[$i].end.at",
                    sprintf(
                        'Run %s ends %s from its port and has to turn %.0f° on the way; with the tightest bend (%s) and the least straights that takes about %s.',
                        $run->letter,
                        $this->show($across->length()),
                        $turn,
                        $this->show($least),
                        $this->show($need),
                    ),
                );
            }
        }

        return $notices;
    }

    /** From end to end of one bend between two straights. */
    private static function oneBendMm(float $first, float $last, float $clrMm, float $turn): float
    {
        $chord = 2 * $clrMm * sin($turn / 2);

        return hypot(
            $first + $chord * cos($turn / 2) + $last * cos($turn),
            $chord * sin($turn / 2) + $last * sin($turn),
        );
    }

    /** @return list<Notice> */
    private function keepOuts(): array
    {
        $notices = [];
        $kinds = [];
        foreach ($this->job->set->keepOuts as $one) {
            $kinds[$one->name] = $one->kind;
        }
        $solids = Surroundings::surveyed($this->job, $this->shop);
        $names = array_map(static fn (KeepOutSpec $one): string => $one->name, $this->job->set->keepOuts);
        $ends = array_map(
            static fn (RunSpec $run): array => [$run->start->frame(), $run->end->frame()],
            $this->job->runs,
        );
        foreach ($solids as $solid) {
            $place = sprintf('set.keepOuts[%d]', (int) array_search($solid->id, $names, true));
            $kind = $kinds[$solid->id] ?? KeepOutKind::Other;
            foreach ($this->job->runs as $i => $run) {
                array_push($notices, ...self::againstRun($solid, $kind, $run->letter, $ends[$i], "runs[$i]"));
            }
            foreach ($solids as $other) {
                if (
                    $kind === KeepOutKind::Tyre &&
                    in_array(
                        $kinds[$other->id] ?? null,
                        [KeepOutKind::Frame, KeepOutKind::Block, KeepOutKind::Plastic],
                        true,
                    ) &&
                    ! ($other instanceof HalfSpace) &&
                    self::overlap($solid, $other, $this->job)
                ) {
                    $notices[] = Notice::caution(
                        $place,
                        "$solid->id and $other->id overlap: at full lock and travel the tyre would rub.",
                    );
                }
            }
        }

        return $notices;
    }

    /**
     * @param  array{Frame, Frame}  $ends  of the run
     * @return list<Notice>
     */
    private static function againstRun(
        KeepOut $solid,
        KeepOutKind $kind,
        string $letter,
        array $ends,
        string $path,
    ): array {
        [$start, $end] = $ends;
        if (
            $kind === KeepOutKind::Block &&
            $solid instanceof HalfSpace &&
            $start->forward->dot($solid->normal) < -0.05
        ) {
            return [
                Notice::caution(
                    "$path.start.direction",
                    "Port $letter points into $solid->id; the gas leaves it the other way.",
                ),
            ];
        }
        $notices = [];
        if (! $kind->isExemptAtPort() && $solid->atLeast($start->at->x, $start->at->y, $start->at->z) < 0.0) {
            $notices[] = Notice::caution("$path.start.at", "Port $letter lies inside $solid->id.");
        }
        $behind = $end->at->plus($end->forward->times(-10.0));
        if (! $kind->isExemptAtInlet() && $solid->atLeast($behind->x, $behind->y, $behind->z) < 0.0) {
            $notices[] = Notice::caution("$path.end.at", "The end of run $letter lies inside $solid->id.");
        }

        return $notices;
    }

    /**
     * Round a collector a naturally aspirated four or six enters in firing order; a crank whose throws mirror each
     * other moves first and last cylinder together, so half an order apart they must come (a flat four fires 1-3-4-2 or
     * 1-2-4-3).
     *
     * @return list<Notice>
     */
    private function firing(): array
    {
        $notices = [];
        foreach ($this->job->set->collectors as $i => $one) {
            $count = count($one->runs);
            if (
                $this->job->purpose !== Purpose::Header ||
                $one->mode !== AssignmentMode::Cyclic ||
                ! in_array($count, [4, 6], true)
            ) {
                continue;
            }
            $inLine = $this->alongEngine($one);
            $wrong = [];
            for ($k = 0; $k < intdiv($count, 2); $k++) {
                $pair = [
                    array_search($one->firing[$k], $inLine, true),
                    array_search($one->firing[$k + intdiv($count, 2)], $inLine, true),
                ];
                if ((int) $pair[0] + (int) $pair[1] !== $count - 1) {
                    $wrong[] = "{$one->firing[$k]} and {$one->firing[$k + intdiv($count, 2)]}";
                }
            }
            if ($wrong !== []) {
                $notices[] = Notice::caution(
                    "set.collectors[$i].firing",
                    sprintf(
                        'In line, with the usual crank, %s would fire half a cycle apart, but do not stand the same way from the middle of the engine (a flat four fires 1-3-4-2 or 1-2-4-3). One bank of a vee fires otherwise: then pass over this.',
                        implode(', ', $wrong),
                    ),
                );
            }
        }

        return $notices;
    }

    /** @return list<string> the runs of a collector in the order their ports stand along the engine */
    private function alongEngine(CollectorSpec $one): array
    {
        $at = [];
        foreach ($this->job->runs as $run) {
            if (in_array($run->letter, $one->runs, true)) {
                $at[$run->letter] = $run->start->frame()->at;
            }
        }
        $ends = array_values($at);
        $axis = $ends[count($ends) - 1]->minus($ends[0]);
        uasort($at, static fn (Vector $a, Vector $b): int => $a->dot($axis) <=> $b->dot($axis));

        return array_map(strval(...), array_keys($at));
    }

    /**
     * Looked for along the middle line of the other only: a rail or a bar that runs into a tyre, not a corner that just
     * touches.
     */
    private static function overlap(KeepOut $one, KeepOut $other, Job $job): bool
    {
        foreach ($job->set->keepOuts as $spec) {
            if ($spec->name !== $other->id) {
                continue;
            }
            [$a, $b] = [$spec->at, $spec->to];
            $half = array_map(static fn ($length): float => $length->mm / 2, $spec->size);
            $axes = KeepOutSpec::axes($spec->direction);
            for ($k = 0; $k <= 20; $k++) {
                $t = $k / 20;
                $point = $spec->shape->isBar()
                    ? new Vector(
                        $a[0]->mm + $t * ($b[0]->mm - $a[0]->mm),
                        $a[1]->mm + $t * ($b[1]->mm - $a[1]->mm),
                        $a[2]->mm + $t * ($b[2]->mm - $a[2]->mm),
                    )
                    : (new Vector($a[0]->mm, $a[1]->mm, $a[2]->mm))->plus($axes[0]->times((2 * $t - 1) * $half[0]));
                if ($one->distance($point->x, $point->y, $point->z) < 0.0) {
                    return true;
                }
            }
        }

        return false;
    }

    private function odMm(RunSpec $run): float
    {
        try {
            return $this->shop->catalogue->tube($run->tubeId)->odMm;
        } catch (UnknownStock) {
            return 0.0;
        }
    }

    private function tightestMm(RunSpec $run): float
    {
        return $this->shop->catalogue->bendsFor($run->tubeId)[0]->clrMm ?? 0.0;
    }

    private function show(float $mm): string
    {
        return Quantity::Length->show($mm, $this->job->units);
    }
}

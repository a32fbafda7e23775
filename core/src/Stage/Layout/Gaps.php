<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Layout;

use UpsweptBead\Core\Base\Geometry\Clearance\Chords;
use UpsweptBead\Core\Base\Geometry\Clearance\Clearance;
use UpsweptBead\Core\Base\Geometry\Clearance\Contact;
use UpsweptBead\Core\Base\Geometry\Solid\KeepOut;
use UpsweptBead\Core\Base\Geometry\Solid\MeshSolid;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Solve\Run\TubeRun;
use UpsweptBead\Core\Stage\Merge\Placement;

/** Measures how near the runs of a job come to each other and to what stands there, by the rules the search keeps. */
final readonly class Gaps
{
    /** Gaps wider than what is needed by more than this (mm) are not worth a line. */
    private const WINDOW = 25.0;

    /** This near the limit (mm), what chords stand off their arcs would matter: it is measured again on finer ones. */
    private const CLOSE = 0.5;

    /** Remembered where nothing is near enough for a line. */
    private const NONE = 'none';

    /** Between tubes, mm. */
    private float $wideMm;

    /** Between tubes near the inlets of one collector, mm. */
    private float $narrowMm;

    /** So much of a tube's end counts as near its inlet, mm. */
    private float $nearMm;

    /** To keep-outs that ask for nothing of their own, mm. */
    private float $clearMm;

    public function __construct(private Job $job, private Shop $shop, private Placement $placement)
    {
        $rules = $shop->rules;
        $this->wideMm = $job->set->routing->gap->mm ?? $rules->value('clear.tube');
        $this->narrowMm = min($this->wideMm, $rules->value('set.near_gap'));
        $this->nearMm = $rules->value('set.near_length');
        $this->clearMm = $rules->value('clear.other');
    }

    /**
     * @param  list<RoutedRun>  $runs
     * @param  list<KeepOut>  $solids
     * @return list<Gap> tightest first, by what is left of what is needed
     */
    public function of(array $runs, array $solids): array
    {
        $legs = CollectorLegs::of($this->placement);
        $runs = [...$runs, ...$legs->all];
        $runKeys = array_map($this->runKey(...), $runs);
        $solidKeys = array_map($this->solidKey(...), $solids);
        $chords = array_map(fn (RoutedRun $one): Chords => $this->chords($one), $runs);
        /** @var array<string, \Closure(): ?Gap> $asked by what the answer depends on */
        $asked = [];
        foreach ($runs as $i => $run) {
            foreach ($solids as $k => $solid) {
                if ($legs->isBodyOf($run, $solid->id)) {
                    continue;
                }
                $asked[$this->key($runKeys[$i], $solidKeys[$k])]
                    = fn (): ?Gap => $this->toSolid($run, $chords[$i], $solid);
            }
            for ($j = $i + 1; $j < count($runs); $j++) {
                $beside = $runs[$j];
                if ($legs->belong($run, $beside)) {
                    continue;
                }
                [$p, $q] = [$this->apart($run, $beside), $this->apart($beside, $run)];
                if ($p === $run && $q === $beside) {
                    $asked[$this->key($runKeys[$i], $runKeys[$j])]
                        = fn (): ?Gap => $this->between($run, $chords[$i], $beside, $chords[$j]);
                } else {
                    $asked[$this->key($this->runKey($p), $this->runKey($q))]
                        = fn (): ?Gap => $this->between($p, $this->chords($p), $q, $this->chords($q));
                }
            }
        }
        $gaps = array_values(array_filter($this->answered($asked)));
        usort($gaps, static fn (Gap $a, Gap $b): int => $a->gapMm - $a->neededMm <=> $b->gapMm - $b->neededMm);

        return $gaps;
    }

    /**
     * @param  array<string, \Closure(): ?Gap>  $asked  by what the answer depends on
     * @return array<string, ?Gap>
     */
    private function answered(array $asked): array
    {
        $gaps = $new = [];
        $known = $this->shop->memo->recall(array_keys($asked));
        foreach ($asked as $key => $measure) {
            $remembered = $known[$key] ?? null;
            if ($remembered instanceof Gap || $remembered === self::NONE) {
                $gaps[$key] = $remembered === self::NONE ? null : $remembered;
            } else {
                $gaps[$key] = $measure();
                $new[$key] = $gaps[$key] ?? self::NONE;
            }
        }
        $this->shop->memo->keep($new);

        return $gaps;
    }

    private function key(string $one, string $other): string
    {
        return 'gap-'.md5("$one $other $this->wideMm $this->narrowMm $this->nearMm $this->clearMm");
    }

    private function runKey(RoutedRun $one): string
    {
        return md5(serialize([$one->spec->letter, $one->tube->odMm, $this->collectorOf($one), $one->run]));
    }

    private function solidKey(KeepOut $solid): string
    {
        if (! $solid instanceof MeshSolid) {
            return md5(serialize($solid));
        }
        // A mesh is named by the fingerprint of its triangles.
        $spec = array_column($this->job->set->keepOuts, null, 'name')[$solid->id] ?? null;

        return md5(serialize([$spec, $solid->clearanceMm, $solid->exemptFirstMm, $solid->exemptLastMm]));
    }

    /** A run without the end that stands on another, which touches it there of course. */
    private function apart(RoutedRun $run, RoutedRun $other): RoutedRun
    {
        [$bends, $endMm] = [$run->run->bends, $run->run->endStraightMm];
        $start = $run->run->start;
        foreach ($this->placement->branchesOn($other->spec->letter) as $branch) {
            if ($branch->letter !== $run->spec->letter) {
                continue;
            }
            $hiddenMm = $branch->highMm - $branch->lowMm + $run->tube->odMm / 2 + $this->wideMm;
            if (! $branch->isStart || $bends === []) {
                $cutMm = min($endMm, $hiddenMm);
                $start = $branch->isStart ? $start->advanced($cutMm) : $start;
                $endMm -= $cutMm;
            } else {
                $cutMm = min($bends[0]->straightMm, $hiddenMm);
                $start = $start->advanced($cutMm);
                $bends = [$bends[0]->with(straightMm: $bends[0]->straightMm - $cutMm), ...array_slice($bends, 1)];
            }
        }
        if ($start === $run->run->start && $endMm === $run->run->endStraightMm) {
            return $run;
        }

        return new RoutedRun(
            $run->spec,
            $run->path,
            $run->tube,
            new TubeRun($start, $bends, $endMm),
            $run->farEnd,
        );
    }

    private function toSolid(RoutedRun $run, Chords $chords, KeepOut $solid): ?Gap
    {
        $needed = $solid->clearanceMm ?? $this->clearMm;
        $measure = static function (Chords $tube) use ($solid, $needed): ?Contact {
            $contacts = [];
            Clearance::toSolid($tube, $solid, $tube->odMm / 2 + $needed, $contacts, self::WINDOW);

            return Contact::worst($contacts);
        };
        $worst = $measure($chords);
        if ($worst !== null && abs($worst->shortMm) < self::CLOSE) {
            $worst = $measure($this->chords($run, Chords::FINE));
        }

        return $worst === null ? null : new Gap(
            $run->spec->letter,
            $solid->id,
            false,
            $needed - $worst->shortMm,
            $needed,
            $run->line->placeOf($worst->piece, $worst->share),
            null,
        );
    }

    private function between(RoutedRun $run, Chords $chords, RoutedRun $other, Chords $beside): ?Gap
    {
        $half = ($run->tube->odMm + $other->tube->odMm) / 2;
        $collector = $this->collectorOf($run);
        $isOne = $collector !== null && $collector === $this->collectorOf($other);
        $narrow = $isOne ? $this->narrowMm : $this->wideMm;
        $measure = function (Chords $p, Chords $q) use ($half, $narrow): ?Contact {
            $contacts = [];
            Clearance::ofTubes($p, $q, $half + $this->wideMm, $half + $narrow, $contacts, self::WINDOW);

            return Contact::worst($contacts);
        };
        $worst = $measure($chords, $beside);
        if ($worst !== null && abs($worst->shortMm) < self::CLOSE) {
            $worst = $measure($this->chords($run, Chords::FINE), $this->chords($other, Chords::FINE));
        }

        return $worst === null ? null : new Gap(
            $run->spec->letter,
            $other->spec->letter,
            true,
            $worst->neededMm - $half - $worst->shortMm,
            $worst->neededMm - $half,
            $run->line->placeOf($worst->piece, $worst->share),
            $other->line->placeOf($worst->otherPiece, $worst->otherShare),
        );
    }

    private function chords(RoutedRun $one, float $stepRad = Chords::COARSE): Chords
    {
        return $one->line->chords($one->tube->odMm, $this->nearMm, $stepRad);
    }

    private function collectorOf(RoutedRun $one): ?string
    {
        $name = null;
        foreach ($this->job->set->collectors as $collector) {
            $name = in_array($one->spec->letter, $collector->runs, true) ? $collector->name : $name;
        }

        return $name;
    }
}

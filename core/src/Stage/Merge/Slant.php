<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Merge;

use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Job\Collector\SlantSpec;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Run\RunSpec;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Solve\Merge\Mitre;
use UpsweptBead\Core\Solve\Merge\RoundTube;

/** The end of a run that is cut at a slant. */
final readonly class Slant
{
    /** @param  string  $path  its place in the job document */
    private function __construct(
        public string $letter,
        public bool $isStart,
        public string $path,
        public SlantSpec $spec,
        public Mitre $mitre,
        private Frame $end,
    ) {}

    /** @return list<self> */
    public static function all(Job $job, Shop $shop): array
    {
        $all = [];
        foreach ($job->runs as $i => $run) {
            foreach ([true, false] as $isStart) {
                $one = self::of($run, $isStart, "runs[$i].".($isStart ? 'start' : 'end'), $shop);
                array_push($all, ...($one === null ? [] : [$one]));
            }
        }

        return $all;
    }

    private static function of(RunSpec $run, bool $isStart, string $path, Shop $shop): ?self
    {
        $end = $isStart ? $run->start : $run->end;
        $tube = $shop->catalogue->tubes[$run->tubeId] ?? null;
        if ($end->slant === null || $tube === null) {
            return null;
        }
        $angle = deg2rad($end->slant->angleDeg);
        $mitre = Mitre::of(new RoundTube($tube->odMm, $tube->wallMm), $angle, $tube->odMm * tan($angle) + $tube->odMm);

        return $mitre instanceof Mitre
            ? new self($run->letter, $isStart, "$path.slant", $end->slant, $mitre, $end->frame())
            : null;
    }

    /** From its longest to its shortest side, along the tube (mm). */
    public function reachMm(): float
    {
        return $this->mitre->longestMm() - $this->mitre->shortestMm();
    }

    /** How far before the end of the run its skin ends, so far round it from its longest side (radians). */
    public function fromLongestMm(float $psi): float
    {
        $outsideMm = $this->mitre->tube->outsideMm();

        return $this->mitre->cutMm(0.0, $outsideMm) - $this->mitre->cutMm($psi, $outsideMm);
    }

    /** The same, round its flow from the end's reference. */
    public function backMm(float $psi): float
    {
        $up = Frame::facing($this->end->at, $this->end->forward)->reference;
        $longest = deg2rad($this->end->turnDegTo($up) + $this->spec->turnDeg);

        return $this->fromLongestMm($psi - $longest);
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Layout;

use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\KeepOut\KeepOutKind;
use UpsweptBead\Core\Job\Points;
use UpsweptBead\Core\Job\Run\EndKind;
use UpsweptBead\Core\Job\Run\RunEnd;
use UpsweptBead\Core\Job\Run\RunSpec;
use UpsweptBead\Core\Solve\Run\Bend;
use UpsweptBead\Core\Solve\Run\FarEnd;
use UpsweptBead\Core\Solve\Run\TubeRun;
use UpsweptBead\Core\Stage\Merge\BuiltCollector;
use UpsweptBead\Core\Stage\Merge\Placement;

/**
 * The tubes of collectors as they stand in the way: of runs that go elsewhere, and near what must be kept clear of. To
 * their own runs they belong, as they do to one another.
 */
final readonly class CollectorLegs
{
    /** Of a lean of 78°: a tube that lies nearly square to the axis is not drawn out for ever. */
    private const LEAST_COSINE = 0.2;

    /** A bend that is cut off at its very beginning still is one. */
    private const LEAST_BEND_DEG = 0.1;

    /**
     * @param  list<RoutedRun>  $all  each named by its mark
     * @param  array<string, string>  $collectors  letter of the collector, by mark
     * @param  array<string, list<string>>  $runs  letters of the runs that meet a collector, by its letter
     * @param  list<string>  $bodies  names of keep-outs that stand for a collector as surveyed
     */
    private function __construct(
        public array $all,
        private array $collectors,
        private array $runs,
        private array $bodies,
    ) {}

    public static function of(Placement $placement): self
    {
        $all = $collectors = $runs = [];
        foreach ($placement->collectors->all as $one) {
            $letter = $one->build->letter;
            $into = $one->build->into;
            $runs[$letter] = [...$one->spec->runs, ...$into === null ? [] : [$into]];
            for ($i = 0; $i < $one->build->inlets; $i++) {
                $all[] = self::leg($one, $i, $placement->job);
                $collectors[$one->mark($i)] = $letter;
            }
        }
        $bodies = [];
        foreach ($placement->job->set->keepOuts as $keepOut) {
            if ($keepOut->kind === KeepOutKind::Collector) {
                $bodies[] = $keepOut->name;
            }
        }

        return new self($all, $collectors, $runs, $bodies);
    }

    /** Whether two of what was measured belong together, so that their gap says nothing. */
    public function belong(RoutedRun $one, RoutedRun $other): bool
    {
        [$a, $b] = [$one->spec->letter, $other->spec->letter];
        [$ofA, $ofB] = [$this->collectors[$a] ?? null, $this->collectors[$b] ?? null];

        return match (true) {
            $ofA !== null && $ofB !== null => $ofA === $ofB,
            $ofA !== null => in_array($b, $this->runs[$ofA] ?? [], true),
            $ofB !== null => in_array($a, $this->runs[$ofB] ?? [], true),
            default => false,
        };
    }

    /** Whether a keep-out stands for what a tube of a collector itself is. */
    public function isBodyOf(RoutedRun $one, string $solid): bool
    {
        return isset($this->collectors[$one->spec->letter]) && in_array($solid, $this->bodies, true);
    }

    private static function leg(BuiltCollector $collector, int $inlet, Job $job): RoutedRun
    {
        $frame = $collector->inlet($inlet);
        $bend = $collector->shape?->bend;
        $alongMm = $collector->lengthMm() / max(self::LEAST_COSINE, cos($collector->sizes->leanRad()));
        $run = new TubeRun($frame, [], $alongMm);
        if ($bend !== null) {
            $arcMm = min(max(0.0, $alongMm - $bend->inletLegMm), $bend->clrMm * $bend->angle);
            // Towards the axis, which lies opposite to the way the mouth's reference points.
            $angleDeg = max(self::LEAST_BEND_DEG, rad2deg($arcMm / $bend->clrMm));
            $turn = new Bend($bend->inletLegMm, 180.0, $angleDeg, $bend->clrMm);
            $run = new TubeRun($frame, [$turn], max(0.0, $alongMm - $bend->inletLegMm - $arcMm));
        }
        $tube = $collector->tube();
        $end = new RunEnd(
            EndKind::Open,
            $collector->spec->name,
            Points::of($frame->at),
            $frame->forward,
            null,
            $job->metal,
            Length::ofMm($tube->wallMm),
        );
        $spec = new RunSpec($collector->mark($inlet), $collector->spec->name, $tube->id, $end, $end, null, []);

        return new RoutedRun($spec, $collector->path, $tube, $run, FarEnd::of($run, $run->end()));
    }
}

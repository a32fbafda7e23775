<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Layout;

use UpsweptBead\Core\Base\Geometry\Solid\KeepOut;
use UpsweptBead\Core\Base\Geometry\Solid\MeshSolid;
use UpsweptBead\Core\Base\Reason\Notice;
use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Run\RunSpec;
use UpsweptBead\Core\Shop\Practice\Shop;
use UpsweptBead\Core\Shop\Stock\Exception\UnknownStock;
use UpsweptBead\Core\Shop\Stock\TubeSize;
use UpsweptBead\Core\Solve\Route\Insertion\Insertion;
use UpsweptBead\Core\Solve\Route\Insertion\WholeTube;
use UpsweptBead\Core\Solve\Route\Looks\Style;
use UpsweptBead\Core\Solve\Route\Problem\SetRules;
use UpsweptBead\Core\Solve\Run\FarEnd;
use UpsweptBead\Core\Stage\Merge\BranchingChecks;
use UpsweptBead\Core\Stage\Merge\Placement;
use UpsweptBead\Core\Stage\Survey\Surroundings;
use UpsweptBead\Core\Stage\Survey\Surveyed;

/**
 * The first stage: where every run of a job lies, the gaps that leaves between runs and to what they must keep clear
 * of, and how their lengths agree.
 */
final readonly class Layout
{
    /**
     * @param  list<RoutedRun>  $runs  those that have a route in a known tube, in the order of the job
     * @param  array<string, TubeSize>  $tubes  known ones, by the letter of every run
     * @param  list<KeepOut>  $solids
     * @param  list<Gap>  $gaps  tightest first, by what is left of what is needed
     * @param  list<LengthCheck>  $lengths
     * @param  list<Notice>  $notices
     */
    private function __construct(
        public array $runs,
        public Lines $lines,
        public array $tubes,
        public array $solids,
        public array $gaps,
        public array $lengths,
        public Style $style,
        public SetRules $rules,
        public array $notices,
        public Placement $placement,
        public Surveyed $surveyed,
    ) {}

    /** @param  Surveyed|null  $surveyed  the job's readings as they were adjusted; null where that is still to be done */
    public static function of(Job $job, Shop $shop, ?Surveyed $surveyed = null): self
    {
        $surveyed ??= Surveyed::of($job, $shop);
        $placement = Placement::of($surveyed->job, $shop);
        $job = $placement->job;
        $notices = $runs = $tubes = [];
        foreach ($job->runs as $i => $spec) {
            try {
                $tube = $shop->catalogue->tube($spec->tubeId);
            } catch (UnknownStock $error) {
                $notices[] = Notice::problem("runs[$i].tube", $error->getMessage());

                continue;
            }
            $tubes[$spec->letter] = $tube;
            $routed = self::routed($spec, "runs[$i]", $tube, $surveyed);
            $runs[] = $routed;
            array_push($notices, ...($routed === null
                ? [Notice::problem(
                    "runs[$i].route",
                    "Run $spec->letter has no ".($spec->end->isFree ? 'piece' : 'route').' yet.',
                )]
                : RouteChecks::of($routed, $job, $shop)));
        }
        $runs = array_values(array_filter($runs));
        $solids = Surroundings::inPlace($job, $shop);
        $gaps = (new Gaps($job, $shop, $placement))->of($runs, $solids);
        $lengths = LengthCheck::all($job, $runs);
        array_push(
            $notices,
            ...BranchingChecks::of($placement, $shop),
            ...self::meshes($job, $solids),
            ...self::gapNotices($job, $gaps, $surveyed),
            ...LengthCheck::notices($job, $lengths),
        );
        $letters = array_map(static fn (RoutedRun $one): string => $one->spec->letter, $runs);

        return new self($runs, Lines::of($runs), $tubes, $solids, $gaps, $lengths, Style::of(
            array_combine($letters, array_map(static fn (RoutedRun $one) => $one->run, $runs)),
            array_combine($letters, array_map(static fn (RoutedRun $one): float => $one->tube->odMm, $runs)),
        ), SetProblem::rules($job, $shop), $notices, $placement, $surveyed);
    }

    /**
     * In which order the runs can be put in whole; null until every one of several has its route. Apart from the
     * layout, as it takes too long to be worked out with every edit.
     *
     * @param  bool  $withStubs  with a short stub of every run standing on its flange from the first
     */
    public function insertion(Job $job, Shop $shop, bool $withStubs = false): ?Insertion
    {
        if (count($this->runs) < 2 || count($this->runs) !== count($job->runs)) {
            return null;
        }
        // What stands on the side of another run goes in with it, or is fitted to it afterwards.
        $alone = array_values(array_filter($this->runs, static fn (RoutedRun $one): bool => ! $one->isBranch()));
        if (count($alone) < 2) {
            return null;
        }

        return Insertion::of(
            array_map(static fn (RoutedRun $one): WholeTube => $one->inOnePiece(), $alone),
            Surroundings::goingIn($job, $shop),
            $withStubs ? $shop->rules->value('fit.stub') : 0.0,
        );
    }

    public function run(string $letter): ?RoutedRun
    {
        foreach ($this->runs as $run) {
            if ($run->spec->letter === $letter) {
                return $run;
            }
        }

        return null;
    }

    private static function routed(RunSpec $spec, string $path, TubeSize $tube, Surveyed $surveyed): ?RoutedRun
    {
        if ($spec->route === null) {
            return null;
        }
        $run = $spec->route->from($spec->start->frame());

        $farEnd = FarEnd::of($run, $spec->end->frame());

        return new RoutedRun($spec, $path, $tube, $run, $farEnd, $surveyed->doubts[$spec->letter] ?? null);
    }

    /**
     * @param  list<Gap>  $gaps
     * @return list<Notice>
     */
    private static function gapNotices(Job $job, array $gaps, Surveyed $surveyed): array
    {
        $notices = [];
        $show = static fn (float $mm): string => Quantity::Length->show($mm, $job->units);
        foreach ($gaps as $gap) {
            $nearerMm = $surveyed->doubts[$gap->run] ?? null;
            $nearerMm = $nearerMm?->nearerMm($surveyed->doubts[$gap->other] ?? null) ?? 0.0;
            if ($gap->isKept($nearerMm)) {
                continue;
            }
            // Marks of collectors' tubes have a number behind the letter.
            $name = static fn (string $one): string => preg_match('/\d/', $one) === 1 ? "tube $one" : "run $one";
            $what = $gap->isRun ? $name($gap->other) : $gap->other;
            $who = ucfirst($name($gap->run));
            $notices[] = match (true) {
                $gap->gapMm < 0 => Notice::problem('set', "$who runs into $what, by {$show(-$gap->gapMm)}."),
                $gap->isKept() => Notice::caution('set', sprintf(
                    '%s passes %s at %s, but its ends are measured so that it may be %s nearer; %s is needed.',
                    $who,
                    $what,
                    $show($gap->gapMm),
                    $show($nearerMm),
                    $show($gap->neededMm),
                )),
                default => Notice::caution(
                    'set',
                    "$who passes $what at {$show($gap->gapMm)}; {$show($gap->neededMm)} is needed.",
                ),
            };
        }

        return $notices;
    }

    /**
     * @param  list<KeepOut>  $solids
     * @return list<Notice>
     */
    private static function meshes(Job $job, array $solids): array
    {
        $notices = [];
        $found = array_column($solids, null, 'id');
        foreach ($job->set->keepOuts as $i => $one) {
            $solid = $found[$one->name] ?? null;
            if ($solid === null) {
                $notices[] = Notice::problem(
                    "set.keepOuts[$i].mesh",
                    "The mesh of $one->name is not here, so nothing is measured against it. Import its STL file again, or take it out.",
                );
            } elseif ($solid instanceof MeshSolid && ! $solid->mesh->isClosed) {
                $notices[] = Notice::caution(
                    "set.keepOuts[$i].mesh",
                    "The mesh of $one->name has open edges: gaps to its surface hold, but a tube wholly inside it would not be noticed.",
                );
            }
        }

        return $notices;
    }
}

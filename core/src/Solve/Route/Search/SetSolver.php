<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Search;

use Closure;
use UpsweptBead\Core\Base\Geometry\Solid\KeepOut;
use UpsweptBead\Core\Base\Geometry\Solid\MeshSolid;
use UpsweptBead\Core\Solve\Route\Problem\RouteProblem;

/**
 * Finds ways for a whole set of tubes at once, and better ones for as long as it may. For a common length and a way of
 * sharing out the inlets it takes one of the ways pooled for each tube, mends what still touches, and tries what would
 * make the result cheaper. The same seed does the same work in the same order; time only says where it stops.
 */
final class SetSolver
{
    // The bounds below only say where the search spends its time: whatever they are, an answer keeps every rule. They
    // were chosen by trying them on the shipped problems. Costs are in units of the objective, about one a bend.

    /** Sharings of the inlets are skipped where even their cheapest ways would not save this much. */
    private const WORTH_TRYING = 0.2;

    /** What each mm missing to a gap counts when sets are ranked for mending. */
    private const MISSING_COST = 0.8;

    /** A change of a set is pursued only if it may save this much. */
    private const CHEAPER = 0.02;

    /** A better answer is told only if it saves this much. */
    private const BETTER = 0.001;

    /**
     * What each missing mm costs while ways are chosen, one after another: low ones find cheap sets to be mended, high
     * ones clean sets.
     */
    private const WEIGHTS = [1.0, 3.0, 0.6, 6.0, 1.5, 2.0, 20.0];

    /** Rounds without an answer after which other directions are drawn. */
    private const AFRESH = 7;

    /** Rounds after which tubes of any length are done once nothing cheaper is left to try. */
    private const ENOUGH = 8;

    /** First rounds that look for any answer at all: few ways for each tube, few restarts. */
    private const LIGHT_ROUNDS = 3;

    /** How often a choice of ways begins again from a random order of the tubes; in the first rounds, FEW_RESTARTS. */
    private const RESTARTS = 8;

    private const FEW_RESTARTS = 2;

    /** Restarts are added each time round the ladder of lengths, up to this many. */
    private const MORE_RESTARTS = 4;

    /** Ways are pooled for lengths that are multiples of this (mm). */
    private const POOLED_MM = 8;

    /** A set that misses less than this in all (mm) is mended without a look at the others. */
    private const CLEAN = 3.0;

    /** Sets mended in one round at most. */
    private const MENDED = 6;

    /** Sets of a round that are still tried after time ran out, where there is no answer yet. */
    private const LATE = 6;

    /** A set this much dearer than the best may still come out better once it is mended. */
    private const WORTH = 9.0;

    /** A set that misses more than this in all (mm) is not worth mending. */
    private const MENDABLE = 80.0;

    private readonly Candidates $candidates;

    private readonly Mending $mending;

    private readonly WayChooser $assembly;

    private readonly Moves $moves;

    private readonly Chance $chance;

    private readonly Appraisal $appraisal;

    private readonly InletChoices $sharing;

    private readonly Groups $groups;

    private readonly InletSharing $layout;

    private readonly LengthLadder $ladder;

    private int $round = 0;

    private float $began = 0.0;

    private float $until = 0.0;

    private readonly BestSet $best;

    private ?Miss $nearest = null;

    /** @var array<string, true> sets that were mended already */
    private array $tried = [];

    /**
     * @param  Closure(): float  $now  seconds on any clock that only runs forward
     * @param  (Closure(SetAnswer): bool)|null  $onBetter  told each better answer; may return false to stop
     * @param  (Closure(): bool)|null  $isStopped  asked again and again whether to stop
     */
    public function __construct(
        private readonly RouteProblem $problem,
        int $seed,
        private readonly Closure $now,
        private readonly ?Closure $onBetter = null,
        private readonly ?Closure $isStopped = null,
    ) {
        $this->best = new BestSet;
        $this->chance = new Chance($seed);
        $this->groups = new Groups($problem->lengths);
        $rough = $problem->keepingOut(
            array_map(
                static fn (KeepOut $one): KeepOut => $one instanceof MeshSolid ? new RoughMesh($one) : $one,
                $problem->keepOuts,
            ),
        );
        $this->mending = new Mending($rough, $this->groups);
        $this->candidates = new Candidates($rough, new ThreeBends($this->chance), $this->chance, $this->mending);
        $this->assembly = new WayChooser($problem->rules->gapMm);
        $this->appraisal = new Appraisal($problem);
        $this->moves = new Moves($this->assembly, $this->appraisal, deg2rad($problem->rules->limits->grid->stepDeg));
        $this->layout = new InletSharing($problem);
        $this->ladder = new LengthLadder($problem, $this->layout, $this->groups, $this->chance);
        $this->sharing = new InletChoices($this->layout, $this->assembly, $this->appraisal, $this->chance);
    }

    /** Looks for so many seconds of the clock it was given; less where nothing better is left to find. */
    public function solve(float $seconds): SetAnswer
    {
        $this->began = ($this->now)();
        $this->until = $this->began + $seconds;
        $reasons = Impossible::reasons($this->problem, $this->layout);
        if ($reasons !== []) {
            return new SetAnswer(SetStatus::Infeasible, reasons: $reasons);
        }
        if ($this->problem->lengths === []) {
            $this->round(0, true);
        }
        for ($round = 0; $this->mayGoOn(); $round++) {
            if (! $this->best->isThere() && $round % self::AFRESH === self::AFRESH - 1) {
                $this->candidates->afresh();
            }
            if (
                ! $this->round($round, false) &&
                $this->best->isThere() &&
                $this->problem->lengths === [] &&
                $round > self::ENOUGH
            ) {
                break;
            }
        }

        return $this->best->answer($this->nearest);
    }

    private function mayGoOn(): bool
    {
        return ($this->now)() < $this->until && ! ($this->isStopped !== null && ($this->isStopped)());
    }

    /** The first rounds only look for any answer. */
    private function isLight(): bool
    {
        return ! $this->best->isThere() && $this->round < self::LIGHT_ROUNDS;
    }

    /** One common length, all or some ways of sharing out the inlets. False if there was nothing to try. */
    private function round(int $round, bool $quick): bool
    {
        $this->round = $round;
        // Before there is an answer, first a quick look at several lengths.
        // Mending takes long; it opens sets that have no answer, and is nothing for a single tube.
        $this->candidates->gathering($this->isLight(), ! $this->best->isThere() || count($this->problem->ports) === 1);
        // What light candidates did not open, full ones may: the ladder begins anew after them.
        $lengths = $this->ladder->lengths(
            $round < self::LIGHT_ROUNDS ? $round : $round - self::LIGHT_ROUNDS,
            $this->best->ways,
        );
        $states = [];
        foreach (
            $this->sharing->ways(
                $this->best->isThere(),
                $this->isLight(),
                fn (array $inlets): ?array => $this->options($inlets, $lengths, $quick),
            ) as $inlets
        ) {
            if (! $this->mayGoOn()) {
                break;
            }
            $options = $this->options($inlets, $lengths, $quick);
            if ($options === null || $this->floor($options) >= $this->best->objective - self::WORTH_TRYING) {
                continue;
            }
            foreach ($this->orders($round) as $k => $order) {
                $ways = $this->assembly->choose($options, self::WEIGHTS[$k % count(self::WEIGHTS)], $order);
                if ($ways !== null) {
                    $missing = $this->assembly->missing($ways);
                    $key = implode(',', array_map(static fn (Way $way): int => $way->id, $ways));
                    $states[$key] = [$this->appraisal->of($ways) + self::MISSING_COST * $missing, $missing, $ways];
                    // A clean set is an answer at once, and an answer bounds all that follows.
                    if (! $this->best->isThere() && $missing < self::CLEAN) {
                        $this->mend($ways, [], INF, true);
                    }
                }
            }
        }
        usort($states, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        $mended = $late = 0;
        foreach ($states as [, $missing, $ways]) {
            // The last states of a round that ran out of time are still worth a try while there is no answer.
            if ($mended >= self::MENDED || ! $this->mayGoOn() && ($this->best->isThere() || ++$late > self::LATE)) {
                break;
            }
            if ($missing > self::MENDABLE || $this->appraisal->of($ways) >= $this->best->objective + self::WORTH) {
                $this->nearest ??= Proof::miss($this->problem, $ways);

                continue;
            }
            $set = $this->mend($ways, [], $this->best->objective + self::WORTH, true);
            if ($set === null) {
                $this->nearest ??= Proof::miss($this->problem, $ways);
            } else {
                $mended++;
                $this->improve($set);
            }
        }

        return $states !== [];
    }

    /**
     * Mends a set. Gives it only if it holds and comes out below a bound; keeps it if it is the best yet.
     *
     * @param  list<Way>  $ways
     * @param  array<int, list<?float>>  $held
     * @return list<Way>|null
     */
    private function mend(array $ways, array $held, float $below, bool $loosely = false): ?array
    {
        $key =
            implode(
                ',',
                array_map(
                    static fn (Way $way): string => $way->id !== 0
                        ? (string) $way->id
                        : sprintf('%.1f/%.1f', $way->length, $way->straights[0]),
                    $ways,
                ),
            ).serialize($held);
        if (isset($this->tried[$key])) {
            return null;
        }
        $this->tried[$key] = true;
        $mended = $this->mending->mend($ways, $held);
        if (
            $mended === null &&
            $held === [] &&
            $this->assembly->missing($ways) <= Candidates::HAND &&
            $this->groups->breach($ways) <= 0.0
        ) {
            // What is kept in hand may be more than there is room for; the proof below asks for the limits alone.
            $mended = $ways;
        }
        $hope = 0.0;
        if ($mended === null && $loosely) {
            // Any angle will do for now; most come back onto the grid one by one.
            $mended = $this->mending->mend(
                $ways,
                array_map(static fn (Way $way): array => array_fill(0, $way->bends(), null), $ways),
            );
            $hope =
                $mended === null
                    ? 0.0
                    : $this->problem->rules->weights->perOddAngle *
                        array_sum(array_map(static fn (Way $way): int => $way->odd, $mended));
        }
        $objective = $mended === null ? INF : $this->appraisal->of($mended);
        if (
            $mended === null ||
            $objective - $hope >= $below - self::CHEAPER ||
            ! Proof::holds($this->problem, $mended)
        ) {
            return null;
        }
        if ($objective < $this->best->objective - self::BETTER) {
            $this->best->take($mended, $objective, ($this->now)() - $this->began);
            if ($this->onBetter !== null && ! ($this->onBetter)($this->best->answer(null))) {
                $this->until = 0.0;
            }
        }

        return $mended;
    }

    /**
     * Cheaper by small steps, until none helps: fewer bends, cheaper ways, odd angles onto the grid.
     *
     * @param  list<Way>  $set
     */
    private function improve(array $set): void
    {
        while ($this->mayGoOn()) {
            $better = $this->bettered($set);
            if ($better === null) {
                return;
            }
            $set = $better;
        }
    }

    /**
     * @param  list<Way>  $set
     * @return list<Way>|null
     */
    private function bettered(array $set): ?array
    {
        $objective = $this->appraisal->of($set);
        $commons = $this->groups->commons($set);
        $options = fn (Way $way): array => $this->optionsFor($way->span, $commons);
        foreach ($this->moves->of($set, $options) as [$changed, $held]) {
            if (! $this->mayGoOn()) {
                return null;
            }
            $better = $this->mend($changed, $held, $objective);
            if ($better !== null) {
                return $better;
            }
        }

        return null;
    }

    /**
     * @param  array<int, int>  $inlets  by port, of all or some
     * @param  list<float>  $lengths  by group
     * @return list<list<Way>>|null
     */
    private function options(array $inlets, array $lengths, bool $quick): ?array
    {
        $options = [];
        foreach ($inlets as $port => $inlet) {
            $span = $this->layout->spans[$port][$inlet] ?? null;
            $ways =
                $span === null ? [] : ($quick ? $this->candidates->quick($span) : $this->optionsFor($span, $lengths));
            if ($ways === []) {
                return null;
            }
            $options[] = $ways;
        }

        return $options;
    }

    /**
     * @param  list<float>  $lengths
     * @return list<Way>
     */
    private function optionsFor(Span $span, array $lengths): array
    {
        $group = $this->groups->of($span->port->id);

        return $group === null
            ? $this->candidates->ofAny($span, $this->round)
            : $this->candidates->ofLength(
                $span,
                round($lengths[$group] / self::POOLED_MM) * self::POOLED_MM,
                $this->groups->tolerance($group, $lengths[$group]),
            );
    }

    /** @param  list<list<Way>>  $options */
    private function floor(array $options): float
    {
        return array_sum(
            array_map(
                static fn (array $ways): float => min(
                    INF,
                    ...array_map(static fn (Way $way): float => $way->cost, $ways),
                ),
                $options,
            ),
        );
    }

    /** @return list<list<int>> */
    private function orders(int $round): array
    {
        $natural = array_keys($this->problem->ports);
        if (count($natural) === 1) {
            // One tube has one order, but the weights differ.
            return array_fill(0, count(self::WEIGHTS), $natural);
        }
        $orders = [$natural];
        $times = intdiv($round, count(LengthLadder::RUNGS));
        $more = $this->isLight() ? self::FEW_RESTARTS : self::RESTARTS + min(self::MORE_RESTARTS, $times);
        for ($i = 0; $i < $more; $i++) {
            $orders[] = $this->chance->shuffled($natural);
        }

        return $orders;
    }
}

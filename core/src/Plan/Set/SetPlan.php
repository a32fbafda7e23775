<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Plan\Set;

use UpsweptBead\Core\Geometry\Vector;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Plan\Notice;
use UpsweptBead\Core\Plan\RunPlan;
use UpsweptBead\Core\Route\Insertion\Insertion;
use UpsweptBead\Core\Route\Problem\AssignmentMode;
use UpsweptBead\Core\Route\Problem\Collector;
use UpsweptBead\Core\Route\Problem\Inlet;
use UpsweptBead\Core\Route\Problem\KeepOut;
use UpsweptBead\Core\Route\Problem\MeshSolid;
use UpsweptBead\Core\Route\Problem\Port;
use UpsweptBead\Core\Route\Problem\SetRules;
use UpsweptBead\Core\Route\Problem\StockBend;
use UpsweptBead\Core\Route\Problem\TubeStock;
use UpsweptBead\Core\Route\Search\Clearance;
use UpsweptBead\Core\Route\Search\Contact;
use UpsweptBead\Core\Route\Search\Pliant;
use UpsweptBead\Core\Route\Search\Span;
use UpsweptBead\Core\Route\Search\Way;
use UpsweptBead\Core\Run\TubeRun;
use UpsweptBead\Core\Shop\Shop;
use UpsweptBead\Core\Units\Quantity;

/** What follows for the runs of a job together: the gaps between them and to what they must keep clear of, and their lengths. */
final readonly class SetPlan
{
    /** Gaps wider than what is needed by more than this are not worth a line. */
    private const WINDOW = 25.0;

    /** This near the limit, what chords stand off their arcs would matter, and it is measured again on finer ones. */
    private const CLOSE = 0.5;

    /**
     * @param  list<KeepOut>  $solids
     * @param  list<Gap>  $gaps  tightest first, by what is left of what is needed
     * @param  list<LengthCheck>  $lengths
     * @param  list<Seam>  $seams  that no torch reaches once the runs stand together
     * @param  list<Notice>  $sensors
     */
    private function __construct(public array $solids, public array $gaps, public array $lengths, public Style $style, public array $seams, public SetRules $rules, private array $sensors) {}

    /** @param  list<RunPlan>  $runs */
    public static function of(Job $job, Shop $shop, array $runs): self
    {
        $solids = SetProblem::keepOuts($job, $shop);

        $gaps = self::gaps($job, self::ways($job, $shop, $runs), $solids, $shop);
        $routed = $odMm = [];
        foreach ($runs as $plan) {
            if ($plan->run !== null) {
                $routed[$plan->spec->letter] = $plan->run;
                $odMm[$plan->spec->letter] = $plan->tube->odMm ?? 0.0;
            }
        }

        $room = Room::of($runs);

        return new self(
            $solids, $gaps, self::lengths($job, $runs), Style::of($routed, $odMm),
            count($routed) > 1 ? $room->tightSeams($runs, $shop->rules) : [], SetProblem::rules($job, $shop), $room->sensors($job, $runs, $solids, $shop->rules),
        );
    }

    /**
     * In which order the runs can be put in whole; null until every one of several has its route. Apart from the plan, as
     * it takes too long to be worked out with every edit.
     *
     * @param  list<RunPlan>  $runs
     * @param  bool  $withStubs  with a short stub of every run standing on its flange from the first
     */
    public static function insertion(Job $job, Shop $shop, array $runs, bool $withStubs = false): ?Insertion
    {
        $ways = array_values(self::ways($job, $shop, $runs));

        return count($ways) > 1 && count($ways) === count($runs) ? Insertion::of($ways, SetProblem::standing($job, $shop), $withStubs ? $shop->rules->value('fit.stub') : 0.0) : null;
    }

    /**
     * @param  list<RunPlan>  $runs
     * @return array<string, Way> by letter
     */
    private static function ways(Job $job, Shop $shop, array $runs): array
    {
        $ways = [];
        foreach ($runs as $plan) {
            if ($plan->run !== null && $plan->tube !== null && $plan->run->bends !== []) {
                $ways[$plan->spec->letter] = self::way($job, $shop, $plan->spec->letter, $plan->run, $plan->tube->odMm)?->cut(Way::COARSE);
            }
        }

        return array_filter($ways);
    }

    /** @return list<Notice> */
    public function notices(Job $job): array
    {
        $notices = [...self::meshes($job, $this->solids), ...$this->sensors];
        $show = static fn (float $mm): string => Quantity::Length->show($mm, $job->units);
        foreach ($this->gaps as $gap) {
            if (! $gap->isKept()) {
                $what = $gap->isRun ? "run $gap->other" : $gap->other;
                $notices[] = $gap->gapMm < 0
                    ? Notice::problem('set', "Run $gap->run runs into $what, by {$show(-$gap->gapMm)}.")
                    : Notice::caution('set', "Run $gap->run passes $what at {$show($gap->gapMm)}; {$show($gap->neededMm)} is needed.");
            }
        }
        foreach ($this->lengths as $check) {
            if (! $check->holds()) {
                $notices[] = Notice::caution('set', sprintf('Runs %s differ in length by %s; %s either way is allowed.', implode(', ', array_keys($check->lengthsMm)), $show($check->spreadMm()), $show($check->toleranceMm)));
            }
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
                $notices[] = Notice::problem("set.keepOuts[$i].mesh", "The mesh of $one->name is not here, so nothing is measured against it. Import its STL file again, or take it out.");
            } elseif ($solid instanceof MeshSolid && ! $solid->mesh->isClosed) {
                $notices[] = Notice::caution("set.keepOuts[$i].mesh", "The mesh of $one->name has open edges: gaps to its surface hold, but a tube wholly inside it would not be noticed.");
            }
        }

        return $notices;
    }

    /**
     * @param  array<string, Way>  $ways
     * @param  list<KeepOut>  $solids
     * @return list<Gap>
     */
    private static function gaps(Job $job, array $ways, array $solids, Shop $shop): array
    {
        $gaps = [];
        $wide = $job->set->routing->gap->mm ?? $shop->rules->value('clear.tube');
        $letters = array_keys($ways);
        foreach ($letters as $i => $letter) {
            $way = $ways[$letter];
            foreach ($solids as $solid) {
                $measure = static function (Way $way) use ($solid, $shop): ?Contact {
                    $contacts = [];
                    Clearance::solid($way, $solid, $shop->rules->value('clear.other'), 0.0, $contacts, self::WINDOW);

                    return self::worst($contacts);
                };
                $worst = $measure($way);
                if ($worst !== null && abs($worst->shortMm) < self::CLOSE) {
                    $worst = $measure(self::fine($way));
                }
                if ($worst !== null) {
                    $needed = $solid->clearanceMm ?? $shop->rules->value('clear.other');
                    $gaps[] = new Gap($letter, $solid->id, false, $needed - $worst->shortMm, $needed, self::point($way, $worst->piece, $worst->share), null);
                }
            }
            foreach (array_slice($letters, $i + 1) as $other) {
                $measure = static function (Way $p, Way $q) use ($wide): ?Contact {
                    $contacts = [];
                    Clearance::pair($p, $q, $wide, 0.0, $contacts, self::WINDOW);

                    return self::worst($contacts);
                };
                $worst = $measure($way, $ways[$other]);
                if ($worst !== null && abs($worst->shortMm) < self::CLOSE) {
                    $worst = $measure(self::fine($way), self::fine($ways[$other]));
                }
                if ($worst !== null) {
                    [$from, $to] = [self::point($way, $worst->piece, $worst->share), self::point($ways[$other], $worst->otherPiece, $worst->otherShare)];
                    $gap = $from->distanceTo($to) - ($way->span->port->tube->odMm + $ways[$other]->span->port->tube->odMm) / 2;
                    $narrow = min($wide, $shop->rules->value('set.near_gap'));
                    // In the near zone less is needed; what is short tells which of the two it was.
                    $isNear = abs($gap + $worst->shortMm - $narrow) < abs($gap + $worst->shortMm - $wide);
                    $gaps[] = new Gap($letter, $other, true, ($isNear ? $narrow : $wide) - $worst->shortMm, $isNear ? $narrow : $wide, $from, $to);
                }
            }
        }
        usort($gaps, static fn (Gap $a, Gap $b): int => $a->gapMm - $a->neededMm <=> $b->gapMm - $b->neededMm);

        return $gaps;
    }

    private static function fine(Way $way): Way
    {
        return Way::of($way->span, array_slice($way->vertices, 3, 3 * $way->bends()), $way->radii)->cut(Way::FINE);
    }

    /** @param  list<Contact>  $contacts */
    private static function worst(array $contacts): ?Contact
    {
        $worst = null;
        foreach ($contacts as $contact) {
            $worst = $worst === null || $contact->shortMm > $worst->shortMm ? $contact : $worst;
        }

        return $worst;
    }

    private static function point(Way $way, int $piece, float $share): Vector
    {
        return new Vector(...Pliant::from($way)->point($piece, $share));
    }

    /**
     * @param  list<RunPlan>  $runs
     * @return list<LengthCheck>
     */
    private static function lengths(Job $job, array $runs): array
    {
        $checks = [];
        foreach ($job->set->lengths as $group) {
            $lengths = [];
            foreach ($runs as $plan) {
                if ($plan->run !== null && in_array($plan->spec->letter, $group->runs, true)) {
                    $lengths[$plan->spec->letter] = $plan->run->lengthMm();
                }
            }
            $common = $group->target->mm ?? ($lengths === [] ? 0.0 : (min($lengths) + max($lengths)) / 2);
            $checks[] = new LengthCheck($lengths, $common, $common * $group->tolerancePercent / 100, $group->target !== null);
        }

        return $checks;
    }

    /** A run as it stands, whether it meets its end or not; null where it turns so far that it has no vertices. */
    private static function way(Job $job, Shop $shop, string $letter, TubeRun $run, float $odMm): ?Way
    {
        $clrs = $angles = [];
        foreach ($run->bends as $bend) {
            if ($bend->angleDeg >= 175 || $bend->angleDeg < 1e-3) {
                return null;
            }
            [$clrs[], $angles[]] = [$bend->clrMm, $bend->angleDeg];
        }
        $end = $run->end();
        $stock = new TubeStock($letter, $odMm, array_map(static fn (float $clr, float $angle): StockBend => new StockBend($clr, $angle, 0.0), $clrs === [] ? [1.0] : $clrs, $angles === [] ? [90.0] : $angles));
        $name = $letter;
        foreach ($job->set->collectors as $one) {
            $name = in_array($letter, $one->runs, true) ? $one->name : $name;
        }
        $inlet = new Inlet($letter, $end->at, $end->forward);
        $collector = new Collector($name, [$inlet], AssignmentMode::Fixed, [$letter], [0], $shop->rules->value('set.near_length'), $shop->rules->value('set.near_gap'));
        $span = new Span(0, new Port($letter, $run->start->at, $run->start->forward, $stock), $inlet, $collector, SetProblem::rules($job, $shop));
        $inner = array_slice($run->toXyz(), 1, -1);

        return Way::of($span, array_merge(...array_map(static fn (Vector $vertex): array => $vertex->toArray(), $inner)), $clrs);
    }
}

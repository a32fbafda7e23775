<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Layout;

use UpsweptBead\Core\Geometry\Solid\KeepOut;
use UpsweptBead\Core\Geometry\Solid\MeshSolid;
use UpsweptBead\Core\Geometry\Vector;
use UpsweptBead\Core\Job\AssignmentMode;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Route\Problem\Collector;
use UpsweptBead\Core\Route\Problem\Inlet;
use UpsweptBead\Core\Route\Problem\Port;
use UpsweptBead\Core\Route\Problem\StockBend;
use UpsweptBead\Core\Route\Problem\TubeStock;
use UpsweptBead\Core\Route\Search\Clearance;
use UpsweptBead\Core\Route\Search\Contact;
use UpsweptBead\Core\Route\Search\FreeWay;
use UpsweptBead\Core\Route\Search\Span;
use UpsweptBead\Core\Route\Search\Way;
use UpsweptBead\Core\Shop\Shop;

/** Measures how near the runs of a job come to each other and to what stands there, by the rules the search keeps. */
final readonly class Gaps
{
    /** Gaps wider than what is needed by more than this (mm) are not worth a line. */
    private const WINDOW = 25.0;

    /** This near the limit (mm), what chords stand off their arcs would matter: it is measured again on finer ones. */
    private const CLOSE = 0.5;

    /** A bend from here on (°) has no vertex to speak of, below the other it is none. */
    private const MOST_DEG = 175.0;

    private const LEAST_DEG = 1e-3;

    /** Remembered where nothing is near enough for a line. */
    private const NONE = 'none';

    /** The rules that gaps are measured by, as a text. */
    private string $rules;

    public function __construct(private Job $job, private Shop $shop)
    {
        $rules = $shop->rules;
        $this->rules = implode(' ', [
            $job->set->routing->gap->mm ?? $rules->value('clear.tube'),
            $rules->value('clear.other'),
            $rules->value('set.near_length'),
            $rules->value('set.near_gap'),
        ]);
    }

    /**
     * @param  list<RoutedRun>  $runs
     * @param  list<KeepOut>  $solids
     * @return list<Gap> tightest first, by what is left of what is needed
     */
    public function of(array $runs, array $solids): array
    {
        $ways = $this->ways($runs);
        $wayKeys = array_map(self::wayKey(...), $ways);
        $solidKeys = array_map($this->solidKey(...), $solids);
        $letters = array_keys($ways);
        /** @var array<string, \Closure(): ?Gap> $asked */
        $asked = [];
        foreach ($letters as $i => $letter) {
            foreach ($solids as $k => $solid) {
                $asked[$this->key($wayKeys[$letter], $solidKeys[$k])] = fn (): ?Gap => $this->toSolid(
                    $letter,
                    $ways[$letter],
                    $solid,
                );
            }
            foreach (array_slice($letters, $i + 1) as $other) {
                $asked[$this->key($wayKeys[$letter], $wayKeys[$other])]
                    = fn (): ?Gap => $this->between($letter, $ways[$letter], $other, $ways[$other]);
            }
        }
        $gaps = array_values(array_filter($this->answered($asked)));
        usort($gaps, static fn (Gap $a, Gap $b): int => $a->gapMm - $a->neededMm <=> $b->gapMm - $b->neededMm);

        return $gaps;
    }

    /**
     * The runs as the search sees them, cut into chords; without those that are straight or have no vertices.
     *
     * @param  list<RoutedRun>  $runs
     * @return array<string, Way> by letter
     */
    public function ways(array $runs): array
    {
        $ways = [];
        foreach ($runs as $one) {
            $ways[$one->spec->letter] = $this->way($one)?->cut(Way::COARSE);
        }

        return array_filter($ways);
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
        return 'gap-'.md5("$one $other $this->rules");
    }

    private static function wayKey(Way $way): string
    {
        return md5(serialize([
            $way->span->port->id, $way->span->port->tube->odMm, $way->span->collector->id, $way->vertices, $way->radii,
        ]));
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

    private function toSolid(string $letter, Way $way, KeepOut $solid): ?Gap
    {
        $other = $this->shop->rules->value('clear.other');
        $measure = static function (Way $way) use ($solid, $other): ?Contact {
            $contacts = [];
            Clearance::solid($way, $solid, $other, 0.0, $contacts, self::WINDOW);

            return self::worst($contacts);
        };
        $worst = $measure($way);
        if ($worst !== null && abs($worst->shortMm) < self::CLOSE) {
            $worst = $measure(self::fine($way));
        }
        if ($worst === null) {
            return null;
        }
        $needed = $solid->clearanceMm ?? $other;

        return new Gap(
            $letter,
            $solid->id,
            false,
            $needed - $worst->shortMm,
            $needed,
            self::point($way, $worst->piece, $worst->share),
            null,
        );
    }

    private function between(string $letter, Way $way, string $other, Way $beside): ?Gap
    {
        $wide = $this->job->set->routing->gap->mm ?? $this->shop->rules->value('clear.tube');
        $measure = static function (Way $p, Way $q) use ($wide): ?Contact {
            $contacts = [];
            Clearance::pair($p, $q, $wide, 0.0, $contacts, self::WINDOW);

            return self::worst($contacts);
        };
        $worst = $measure($way, $beside);
        if ($worst !== null && abs($worst->shortMm) < self::CLOSE) {
            $worst = $measure(self::fine($way), self::fine($beside));
        }
        if ($worst === null) {
            return null;
        }
        $from = self::point($way, $worst->piece, $worst->share);
        $to = self::point($beside, $worst->otherPiece, $worst->otherShare);
        $gap = $from->distanceTo($to) - ($way->span->port->tube->odMm + $beside->span->port->tube->odMm) / 2;
        $narrow = min($wide, $this->shop->rules->value('set.near_gap'));
        // In the near zone less is needed; what is short tells which of the two it was.
        $isNear = abs($gap + $worst->shortMm - $narrow) < abs($gap + $worst->shortMm - $wide);
        $needed = $isNear ? $narrow : $wide;

        return new Gap($letter, $other, true, $needed - $worst->shortMm, $needed, $from, $to);
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
        return new Vector(...FreeWay::from($way)->point($piece, $share));
    }

    /**
     * A run as it stands, whether it meets its end or not; null where it is straight, or turns so far that it has no
     * vertices.
     */
    private function way(RoutedRun $one): ?Way
    {
        $bends = $clrs = [];
        foreach ($one->run->bends as $bend) {
            if ($bend->angleDeg >= self::MOST_DEG || $bend->angleDeg < self::LEAST_DEG) {
                return null;
            }
            $clrs[] = $bend->clrMm;
            $bends[] = new StockBend($bend->clrMm, $bend->angleDeg, 0.0);
        }
        if ($bends === []) {
            return null;
        }
        $letter = $one->spec->letter;
        $end = $one->run->end();
        $name = $letter;
        foreach ($this->job->set->collectors as $collector) {
            $name = in_array($letter, $collector->runs, true) ? $collector->name : $name;
        }
        $rules = $this->shop->rules;
        $inlet = new Inlet($letter, $end->at, $end->forward);
        $near = [$rules->value('set.near_length'), $rules->value('set.near_gap')];
        $span = new Span(
            0,
            new Port(
                $letter,
                $one->run->start->at,
                $one->run->start->forward,
                new TubeStock($letter, $one->tube->odMm, $bends),
            ),
            $inlet,
            new Collector($name, [$inlet], AssignmentMode::Fixed, [$letter], [0], ...$near),
            SetProblem::rules($this->job, $this->shop),
        );
        $inner = array_slice($one->run->toXyz(), 1, -1);

        return Way::of(
            $span,
            array_merge(...array_map(static fn (Vector $vertex): array => $vertex->toArray(), $inner)),
            $clrs,
        );
    }
}

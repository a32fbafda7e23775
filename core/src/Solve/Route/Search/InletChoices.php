<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Search;

use Closure;

/** Which ways of sharing out the inlets a round of the search looks at. */
final readonly class InletChoices
{
    private const MOST = 24;

    /** While any answer will do. */
    private const FEW = 10;

    private const LIKELY = 5;

    /** Where banks are to mirror each other, so many. */
    private const MIRRORED = 4;

    /** Where the best are looked out first, of so many. */
    private const OF = 256;

    public function __construct(
        private InletSharing $layout,
        private WayChooser $assembly,
        private Appraisal $appraisal,
        private Chance $chance,
    ) {}

    /**
     * @param  bool  $isAnswered  whether there is an answer yet
     * @param  Closure(array<int, int>): (list<list<Way>>|null)  $options  the ways of some tubes to their inlets, by port
     * @return list<list<int>> the inlet of every port
     */
    public function ways(bool $isAnswered, bool $lightly, Closure $options): array
    {
        $mirror = $this->appraisal->mirror;
        if ($mirror === null || ! $isAnswered) {
            return count($this->layout->groups) > 1
                ? $this->likely($lightly ? self::LIKELY : self::MOST, $options)
                : $this->layout->assignments($this->chance, $lightly ? self::FEW : self::MOST);
        }
        // Banks can only mirror each other if their tubes go to inlets that do.
        $all = $this->layout->assignments($this->chance, self::OF);

        return self::best(
            $all,
            array_map(fn (array $inlets): float => $this->layout->offMirror($mirror, $inlets), $all),
            self::MIRRORED,
        );
    }

    /**
     * Where there are several collectors, tubes to one are seldom in the way of those to another: what suits each of
     * them by itself likely suits all.
     *
     * @param  Closure(array<int, int>): (list<list<Way>>|null)  $options
     * @return list<list<int>>
     */
    private function likely(int $most, Closure $options): array
    {
        $all = $this->layout->assignments($this->chance, self::OF);
        if (count($all) <= $most) {
            return $all;
        }
        $known = $scores = [];
        foreach ($all as $inlets) {
            $score = 0.0;
            foreach ($this->layout->groups as $c => $ports) {
                $part = array_intersect_key($inlets, array_flip($ports));
                $score += $known[$c.'|'.implode(',', $part)] ??= $this->alone($options($part));
            }
            $scores[] = $score;
        }

        return self::best($all, $scores, $most);
    }

    /** @param  list<list<Way>>|null  $options  of the tubes to one collector */
    private function alone(?array $options): float
    {
        $ways = $options === null ? null : $this->assembly->choose($options, 1.0, array_keys($options));

        return $ways === null ? INF : Appraisal::tubes($ways) + $this->assembly->missing($ways);
    }

    /**
     * @param  list<list<int>>  $all
     * @param  list<float>  $scores  of each, the least is the best
     * @return list<list<int>>
     */
    private static function best(array $all, array $scores, int $most): array
    {
        asort($scores);

        return array_map(static fn (int $i): array => $all[$i], array_slice(array_keys($scores), 0, $most));
    }
}

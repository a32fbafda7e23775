<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Search;

use UpsweptBead\Core\Solve\Route\Problem\RouteProblem;

/** Which common lengths are tried, one after the other; tuned on the shipped problems. */
final readonly class LengthLadder
{
    /** Over the least that all tubes can have. Short ones are hardest, and length is cheap. */
    public const RUNGS = [1.14, 1.27, 1.07, 1.42, 1.2, 1.6, 1.02, 1.85, 1.34, 1.1];

    /** So much longer than the best set, another is not looked for. */
    private const LONG = 1.12;

    /** Later on, lengths about a rung, or about those of the best set: from this share, and how far up. */
    private const ABOUT_RUNG = [0.96, 0.08];

    private const ABOUT_BEST = [0.9, 0.2];

    public function __construct(
        private RouteProblem $problem,
        private InletSharing $layout,
        private Groups $groups,
        private Chance $chance,
    ) {}

    /**
     * @param  list<Way>  $best  the best set so far, if there is one
     * @return list<float> mm, by group
     */
    public function lengths(int $rung, array $best): array
    {
        $factor = self::RUNGS[$rung % count(self::RUNGS)];
        if ($rung >= count(self::RUNGS)) {
            $factor *= $this->chance->from(...self::ABOUT_RUNG);
        }
        // Once there is an answer, much longer sets are seldom cheaper; about its own length they often are.
        $commons = $best === [] ? [] : $this->groups->commons($best);
        $near = $this->chance->from(...self::ABOUT_BEST);
        $lengths = [];
        foreach ($this->problem->lengths as $i => $group) {
            $length = $factor * $this->layout->leastCommon($group->runners);
            $lengths[] =
                $group->targetMm ??
                (isset($commons[$i]) && $length > self::LONG * $commons[$i] ? $near * $commons[$i] : $length);
        }

        return $lengths;
    }
}

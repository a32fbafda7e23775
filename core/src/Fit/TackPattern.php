<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Fit;

use UpsweptBead\Core\Joint\Joint;
use UpsweptBead\Core\Units\Length;

/**
 * Where the tacks go and in which order; degrees from the index mark, clockwise looking with the flow.
 *
 * Common practice: two tacks close together for a trial fit, so that the joint can still be hinged open; then 4 at 90°
 * up to 2 in of outside diameter, 6 at 60° to 3 in, 8 at 45° above, opposite pairs in turn, each 2–3 walls long.
 */
final readonly class TackPattern
{
    /** A full pattern has so many tacks up to so many inches outside; above that the most. Common practice. */
    private const TACKS = [[2.0, 4], [3.0, 6]];

    private const MOST_TACKS = 8;

    /** A tack is so many walls long; common practice. */
    private const TACK_WALLS = 2.5;

    /** A size counts as the inch it is named by within this, mm. */
    private const ROUNDING_MM = 0.01;

    /** How far apart the two trial tacks sit (°); our estimate within the 60–90° in use. */
    private const TRIAL_SPREAD_DEG = 75.0;

    /**
     * @param  list<float>  $trialDeg
     * @param  list<float>  $fullDeg
     */
    private function __construct(public array $trialDeg, public array $fullDeg, public float $tackMm) {}

    /** Round a tube; along a merge seam, which has two ends, there are no angles to give. */
    public static function of(Joint $joint): self
    {
        return $joint->type->isRound()
            ? self::forTube($joint->seam->odMm, $joint->thinnerMm())
            : new self([], [], self::TACK_WALLS * $joint->thinnerMm());
    }

    public static function forTube(float $odMm, float $wallMm): self
    {
        $count = self::MOST_TACKS;
        foreach (array_reverse(self::TACKS) as [$inches, $tacks]) {
            $count = $odMm <= $inches * Length::MM_PER_INCH + self::ROUNDING_MM ? $tacks : $count;
        }
        $stepDeg = 360 / $count;
        $order = [];
        for ($pair = 0; $pair < intdiv($count, 2); $pair++) {
            // Each next pair lies as far as it can from the one before: every second place, then the ones between.
            $place = self::spread($pair, intdiv($count, 2));
            array_push($order, (float) ($place * $stepDeg), $place * $stepDeg + 180.0);
        }

        return new self([0.0, self::TRIAL_SPREAD_DEG], $order, self::TACK_WALLS * $wallMm);
    }

    private static function spread(int $pair, int $pairs): int
    {
        $second = intdiv($pairs + 1, 2);

        return $pair < $second ? 2 * $pair : 2 * ($pair - $second) + 1;
    }
}

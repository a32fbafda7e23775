<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Fit;

use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Joint\JointType;

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
     * @param  string  $trialWhy  why the trial tacks are where they are
     * @param  list<float>  $shieldedDeg  those of the full pattern that no weld melts again, so that their root is
     *   shielded
     */
    private function __construct(
        public array $trialDeg,
        public array $fullDeg,
        public float $tackMm,
        public string $trialWhy = '',
        public array $shieldedDeg = [],
    ) {}

    /** Round a tube; along a merge seam, which has two ends, there are no angles to give. */
    public static function of(Joint $joint): self
    {
        if ($joint->type === JointType::Tab) {
            // Held by its own bolt, three tacks at its edge are enough: common practice.
            $edge = [0.0, 120.0, 240.0];

            return new self($edge, $edge, self::TACK_WALLS * $joint->thinnerMm(), 'At its edge, with its bolt in.');
        }

        return $joint->type->isRound()
            ? self::forTube($joint->seam->odMm, $joint->thinnerMm())
            : new self([], [], self::TACK_WALLS * $joint->thinnerMm());
    }

    /**
     * With its trial tacks about the top of the tube, where its own weight keeps the joint closed and it can still be
     * rocked open by lifting; where no torch gets there with the rest in place, as near to the top as one does.
     *
     * @param  float|null  $upDeg  straight up as fitted; null where the tube stands upright
     * @param  list<array{float, float}>|null  $reached  arcs that a torch gets to, in degrees; null where that is not known
     */
    public function rocking(?float $upDeg, ?array $reached): self
    {
        if ($this->trialDeg === []) {
            return $this;
        }
        $wanted = $upDeg ?? 0.0;
        $at = $reached === null ? $wanted : self::nearest($wanted, $reached);
        $round = static fn (float $deg): float => round($deg - 360 * floor($deg / 360), 0);
        $isAside = abs($at - $wanted) > 1.0;

        return new self(
            [$round($at - self::TRIAL_SPREAD_DEG / 2), $round($at + self::TRIAL_SPREAD_DEG / 2)],
            $this->fullDeg,
            $this->tackMm,
            match (true) {
                $isAside => 'As near to the top as a torch gets with the rest in place: lift the tube, and it opens.',
                $upDeg === null => 'The tube stands upright; any side does. Tip it away from them, and it opens.',
                $reached === [] => 'At the top, as far as a hand gets there: no torch was found to get to it.',
                default => 'At the top: the tube’s own weight keeps it closed, and lifting it opens it.',
            },
            $this->shieldedDeg,
        );
    }

    /**
     * With those of its tacks marked that the weld does not reach: what it does not melt again keeps the root it has.
     * Common practice.
     *
     * @param  list<array{float, float}>  $welded  arcs that a torch gets to when the joint is welded, in degrees
     */
    public function shielding(array $welded): self
    {
        $isLeft = static function (float $deg) use ($welded): bool {
            foreach ($welded as [$from, $to]) {
                if (($deg >= $from && $deg <= $to) || $deg + 360 <= $to) {
                    return false;
                }
            }

            return true;
        };

        return new self(
            $this->trialDeg,
            $this->fullDeg,
            $this->tackMm,
            $this->trialWhy,
            array_values(array_filter($this->fullDeg, $isLeft)),
        );
    }

    /**
     * The middle for a pair of tacks nearest to a wish, both of them within one arc if one is wide enough.
     *
     * @param  list<array{float, float}>  $arcs
     */
    private static function nearest(float $wanted, array $arcs): float
    {
        $best = null;
        foreach ($arcs as [$from, $to]) {
            $half = min(self::TRIAL_SPREAD_DEG, $to - $from) / 2;
            [$least, $most] = [$from + $half, $to - $half];
            foreach ([-360.0, 0.0, 360.0] as $turn) {
                $at = $to - $from >= 360.0 ? $wanted : max($least, min($most, $wanted + $turn));
                $off = abs($at - $wanted - $turn) + ($to - $from < self::TRIAL_SPREAD_DEG ? 180.0 : 0.0);
                if ($best === null || $off < $best[0]) {
                    $best = [$off, $at - $turn];
                }
            }
        }

        return $best[1] ?? $wanted;
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

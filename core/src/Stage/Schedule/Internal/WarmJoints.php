<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Schedule\Internal;

use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Schedule\Weld;
use UpsweptBead\Core\Stage\Weld\JointTimes;
use UpsweptBead\Core\Stage\Weld\WeldPlan;

/**
 * Joints that are welded and still warm. For each: when it is cool enough to weld the seam beside it, and when to be
 * handled. Seams welded near it on the same run warm it again, which counts too.
 */
final class WarmJoints
{
    /** Nobody waits for less warmth than this (K) from other seams: our own figure. */
    private const NOTHING_K = 0.5;

    private const STEP_S = 20.0;

    private const MOST_MORE_S = 3 * 3600.0;

    /** The farthest seam that counts, mm: the farthest that the cooling curves tell of. */
    private const FAR_MM = 200.0;

    /** @var array<string, array{WarmJoint, float, float, float}> each with the end of its arc and how long it cools by itself until the next seam and until a hand (s) */
    private array $joints = [];

    /** @var array<string, list<array{Joint, float, JointTimes}>> all that were welded, by run, each with the end of its arc */
    private array $welded = [];

    /** @var array<string, array<int, float>> by joint: how long it had cooled when it was measured for the next seam (1) or for a hand (2), s */
    public array $took = [];

    /** @var array<int, float> how much warmer than the air a joint may be for the next seam (1) and for a hand (2), K */
    private readonly array $limitsK;

    public function __construct(WeldPlan $weld, ShopRules $rules)
    {
        $airC = $rules->value('cool.ambient');
        $this->limitsK = [
            1 => max(1.0, $rules->value($weld->cool->rule()) - $airC),
            2 => max(1.0, $rules->value('cool.touch') - $airC),
        ];
    }

    public function add(Joint $joint, WarmJoint $warm, float $endS, JointTimes $times): void
    {
        $this->joints[$joint->id] = [$warm, $endS, $times->coolS, $times->touchS];
        $this->welded[$joint->run][] = [$joint, $endS, $times];
    }

    /** When a joint is cool enough for the next seam (1) or for a hand (2), s. */
    private function coolAtS(string $id, int $by): float
    {
        [$warm, $endS, $coolS, $touchS] = $this->joints[$id];
        $aloneS = $by === 1 ? $coolS : $touchS;
        if ($aloneS === -INF) {
            return -INF;
        }
        $atS = $endS + $aloneS;
        $own = $warm->warmth();
        $moreS = 0.0;
        for (; $moreS < self::MOST_MORE_S; $moreS += self::STEP_S) {
            $others = $this->othersK($warm->joint(), $atS + $moreS);
            if ($others < self::NOTHING_K || $own->atK(0.0, $atS + $moreS - $endS) + $others <= $this->limitsK[$by]) {
                break;
            }
        }

        return $atS + $moreS;
    }

    /** How much warmer other seams make the tube at a joint, K. */
    private function othersK(Joint $joint, float $nowS): float
    {
        $sum = 0.0;
        foreach ($this->welded[$joint->run] ?? [] as [$other, $endS, $times]) {
            $mm = abs($other->seam->stationMm - $joint->seam->stationMm);
            if ($other->id !== $joint->id && $mm <= self::FAR_MM && $nowS > $endS) {
                $sum += $times->warmth->atK($mm, $nowS - $endS);
            }
        }

        return $sum;
    }

    /**
     * The joints that must be cool before a weld is begun: its neighbours on the same run. Each is measured then.
     *
     * @return array<string, float> by joint: what it still cools (s) when its turn to be measured comes
     */
    public function before(Weld $weld, float $nowS): array
    {
        return $this->measured(
            array_filter(
                $this->joints,
                static fn (array $one): bool => $one[2] > -INF && $one[0]->delays($weld),
            ),
            1,
            $nowS,
        );
    }

    /**
     * The joints that are handled before a weld is begun.
     *
     * @return array<string, float> as above
     */
    public function handled(Weld $weld, float $nowS): array
    {
        return $this->measured(
            array_filter($this->joints, static fn (array $one): bool => $one[0]->isHandledBefore($weld)),
            2,
            $nowS,
        );
    }

    /** @return array<string, float> all of them, when all is welded; as above */
    public function all(float $nowS): array
    {
        return $this->measured($this->joints, 2, $nowS);
    }

    /**
     * Takes joints off the list as they are measured, the one that is cool first before the others.
     *
     * @param  array<string, array{WarmJoint, float, float, float}>  $joints
     * @param  1|2  $by  cool enough for the next seam (1) or for a hand (2)
     * @return array<string, float>
     */
    private function measured(array $joints, int $by, float $nowS): array
    {
        $at = array_map(fn (string $id): float => $this->coolAtS($id, $by), array_combine(
            array_keys($joints),
            array_keys($joints),
        ));
        asort($at);
        $left = [];
        foreach ($at as $id => $coolAtS) {
            $left[$id] = max(0.0, $coolAtS - $nowS);
            $nowS += $left[$id];
            $this->took[$id][$by] = max($coolAtS, 0.0) - $this->joints[$id][1];
            // A joint that is cool enough for the next seam may still be too hot for a hand.
            if ($this->coolAtS($id, 2) <= $nowS + 1e-9) {
                unset($this->joints[$id]);
            } else {
                $this->joints[$id][2] = -INF;
            }
        }

        return $left;
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Hand;

use UpsweptBead\Core\Shop\Practice\RoutingLimits;
use UpsweptBead\Core\Shop\Stock\BendStock;
use UpsweptBead\Core\Solve\Run\Bend;
use UpsweptBead\Core\Solve\Run\TubeRun;

/**
 * Between what the values of a run may move: least straights, least angle, the greatest angle each radius is bought
 * in.
 */
final readonly class Bounds
{
    /** A radius is of the stock within this, mm. */
    private const SAME_CLR_MM = 0.01;

    /** Nothing is bent further by hand, °: a half turn has no vertex. */
    private const MOST_DEG = 179.0;

    /** What counts as kept: mm, and °. */
    private const KEPT_MM = 1e-3;

    private const KEPT_DEG = 1e-6;

    /** @param  list<float>  $maxAnglesDeg  one a bend */
    private function __construct(private RoutingLimits $rules, private array $maxAnglesDeg) {}

    /** @param  list<BendStock>  $stock */
    public static function of(TubeRun $run, array $stock, RoutingLimits $rules): self
    {
        return new self(
            $rules,
            array_map(static function (Bend $bend) use ($stock): float {
                if ($bend->pieWelds > 0) {
                    return self::MOST_DEG;
                }
                $angles = array_map(
                    static fn (BendStock $one): float => abs($one->clrMm - $bend->clrMm) <= self::SAME_CLR_MM
                        ? $one->angleDeg
                        : 0.0,
                    $stock,
                );
                $most = $angles === [] ? 0.0 : max($angles);

                // A radius that nobody stocks is told elsewhere; here it may be bent as it is.
                return $most > 0.0 ? min($most, self::MOST_DEG) : self::MOST_DEG;
            }, $run->bends));
    }

    /** Gives the value, held to its bounds; of $count values in all. Straights in mm, turns and angles in degrees. */
    public function held(int $value, float $wish, int $count): float
    {
        return match (true) {
            $value === $count - 1 => max($wish, $this->rules->lastStraightMm),
            $value % 3 === 0 => max(
                $wish,
                $value === 0 ? $this->rules->firstStraightMm : $this->rules->innerStraightMm,
            ),
            $value % 3 === 2 => max($this->rules->minAngleDeg, min($wish, $this->maxAnglesDeg[intdiv($value, 3)])),
            default => $wish,
        };
    }

    /** The same with one more bend, that may turn as far as its neighbour. */
    public function withOneMore(int $place): self
    {
        $most = $this->maxAnglesDeg;
        array_splice($most, $place, 0, [$most[max(0, $place - 1)] ?? 90.0]);

        return new self($this->rules, $most);
    }

    public function hold(TubeRun $run): bool
    {
        $straights = $run->straightsMm();
        $last = count($straights) - 1;
        foreach ($straights as $i => $mm) {
            if (
                $mm <
                ($i === $last
                    ? $this->rules->lastStraightMm
                    : ($i === 0
                        ? $this->rules->firstStraightMm
                        : $this->rules->innerStraightMm)) -
                    self::KEPT_MM
            ) {
                return false;
            }
        }
        foreach ($run->bends as $i => $bend) {
            if (
                $bend->angleDeg < $this->rules->minAngleDeg - self::KEPT_DEG ||
                $bend->angleDeg > $this->maxAnglesDeg[$i] + self::KEPT_DEG
            ) {
                return false;
            }
        }

        return true;
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Reach\Obstacle;

/** The least of a distance that falls and then rises along a line, by golden section. */
final readonly class LeastDistance
{
    private const GOLDEN = 0.6180339887498949;

    /** The place along the line is then known to 1/60 000 of its length. */
    private const STEPS = 23;

    /**
     * Whether it is nowhere less than a limit.
     *
     * @param  \Closure(float): float  $distance  convex; a square of a distance does as well, with the limit's square
     */
    public static function keeps(\Closure $distance, float $from, float $to, float $limit): bool
    {
        [$u, $v] = [$to - self::GOLDEN * ($to - $from), $from + self::GOLDEN * ($to - $from)];
        [$atU, $atV] = [$distance($u), $distance($v)];
        for ($i = 0; $i < self::STEPS; $i++) {
            if ($atU < $limit || $atV < $limit) {
                return false;
            }
            if ($atU < $atV) {
                [$to, $v, $atV] = [$v, $u, $atU];
                $u = $to - self::GOLDEN * ($to - $from);
                $atU = $distance($u);
            } else {
                [$from, $u, $atU] = [$u, $v, $atV];
                $v = $from + self::GOLDEN * ($to - $from);
                $atV = $distance($v);
            }
        }

        return min($atU, $atV, $distance($from), $distance($to)) >= $limit;
    }
}

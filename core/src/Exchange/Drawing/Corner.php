<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Drawing;

use UpsweptBead\Core\Base\Geometry\Vector;

/** Looks at a thing from one corner, a little from above, and lays that on paper. */
final readonly class Corner
{
    private function __construct(private Vector $right, private Vector $rise) {}

    /** Seen from in front, a little from the side and from above. */
    public static function above(Vector $up): self
    {
        $up = $up->unit();
        $aside = abs($up->x) < 0.9 ? new Vector(1, 0, 0) : new Vector(0, 1, 0);
        $level = $aside->minus($up->times($aside->dot($up)))->unit();
        $other = $up->cross($level);
        $away = $level->times(-0.57)->plus($other->times(0.82));

        return new self($level->times(0.82)->plus($other->times(0.57)), $up->times(0.9)->plus($away->times(0.43)));
    }

    /** @return array{float, float} to the right and up, of a place or of a way */
    public function flat(Vector $at): array
    {
        return [$at->dot($this->right), $at->dot($this->rise)];
    }

    /**
     * @param  list<array{float, float}>  $points
     * @return array{float, float, float} scale, and where 0, 0 lies on paper
     */
    public static function fit(array $points, float $wide, float $high, float $margin): array
    {
        $xs = array_column($points, 0);
        $ys = array_column($points, 1);
        [$left, $right, $low, $top] = $xs === [] || $ys === []
            ? [0.0, 1.0, 0.0, 1.0]
            : [min($xs), max($xs), min($ys), max($ys)];
        $scale = min(
            ($wide - 2 * $margin) / max(1.0, $right - $left),
            ($high - 2 * $margin) / max(1.0, $top - $low),
        );

        return [$scale, $wide / 2 - $scale * ($left + $right) / 2, $high / 2 + $scale * ($low + $top) / 2];
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

use UpsweptBead\Core\Base\Document\Node;
use UpsweptBead\Core\Base\Geometry\Vector;

/** Numbers of the route problem format: mm and degrees, each within what makes sense there. */
final readonly class ProblemNumbers
{
    private const MOST_MM = 1e5;

    /** Less than this (mm) is none, and divides by nothing. */
    private const LEAST_MM = 1e-3;

    /** A place in mm. */
    public static function point(Node $node): Vector
    {
        $parts = array_map(static fn (Node $item): float => $item->number(self::MOST_MM), $node->items(3));
        if (count($parts) !== 3) {
            $node->complain('not-a-point', 'must be three numbers: x, y and z in mm');

            return new Vector(0, 0, 0);
        }

        return new Vector(...$parts);
    }

    /** A direction, made of length 1. */
    public static function direction(Node $node): Vector
    {
        return $node->direction()->unit();
    }

    /** A number above 0, in mm or degrees as the field is; 1 where it is not. */
    public static function positive(Node $node): float
    {
        $value = $node->number(self::MOST_MM);
        if ($value < self::LEAST_MM) {
            $node->complain('not-positive', 'must be more than 0, at least 0.001');

            return 1.0;
        }

        return $value;
    }

    /** A number of at least 0, in mm or degrees as the field is. */
    public static function notNegative(Node $node): float
    {
        $value = $node->number(self::MOST_MM);
        if ($value < 0) {
            $node->complain('negative', 'must not be negative');
        }

        return max($value, 0.0);
    }

    /** A number between two bounds, both in the field's own unit. */
    public static function within(Node $node, float $least, float $most, ?float $default = null): float
    {
        if ($default !== null && $node->isMissing()) {
            return $default;
        }
        $value = $node->number(1e6);
        if ($value < $least || $value > $most) {
            $node->complain('out-of-range', "must lie between $least and $most");
        }

        return min(max($value, $least), $most);
    }
}

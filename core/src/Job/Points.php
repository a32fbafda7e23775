<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job;

use UpsweptBead\Core\Base\Document\Node;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Base\Units\UnitSystem;

/** Points of a job document: three lengths as they were written. */
final readonly class Points
{
    /** @return array{Length, Length, Length} */
    public static function read(Node $node, UnitSystem $units): array
    {
        $parts = array_map(static fn (Node $item): Length => $item->length($units), $node->items(3));
        if (count($parts) !== 3) {
            $node->complain('not-a-point', 'must be three lengths: rearward, right and up');

            return [Length::ofMm(0), Length::ofMm(0), Length::ofMm(0)];
        }

        return [$parts[0], $parts[1], $parts[2]];
    }

    /** @return array{Length, Length, Length} to a thousandth of a millimetre */
    public static function of(Vector $at): array
    {
        $length = static fn (float $mm): Length => Length::ofMm(round($mm, 3) + 0.0);

        return [$length($at->x), $length($at->y), $length($at->z)];
    }

    /**
     * @param  array{Length, Length, Length}  $at
     * @return list<string|float>
     */
    public static function entered(array $at): array
    {
        return array_map(static fn (Length $one): string|float => $one->entered(), $at);
    }
}

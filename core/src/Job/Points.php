<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Job;

use UpsweptBead\Core\Base\Document\Node;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Units\Exception\UnreadableQuantity;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Base\Units\UnitSystem;

/** Points of a job document: three lengths as they were written. */
final readonly class Points
{
    /** Words that people write behind a length, by axis, and whether they count that way or against it. */
    private const WORDS = [
        ['rearward' => '', 'back' => '', 'rear' => '', 'forward' => '-', 'front' => '-'],
        ['right' => '', 'left' => '-'],
        ['up' => '', 'above' => '', 'down' => '-', 'below' => '-'],
    ];

    /** @return array{Length, Length, Length} */
    public static function read(Node $node, UnitSystem $units): array
    {
        $items = $node->items(3);
        $parts = array_map(
            static fn (Node $item, int $axis): Length => self::along($item, $axis, $units),
            $items,
            array_keys($items),
        );
        if (count($parts) !== 3) {
            $node->complain('not-a-point', 'must be three lengths: rearward, right and up');

            return [Length::ofMm(0), Length::ofMm(0), Length::ofMm(0)];
        }

        return [$parts[0], $parts[1], $parts[2]];
    }

    /** "10 down" is −10 up. */
    private static function along(Node $item, int $axis, UnitSystem $units): Length
    {
        $isWorded = preg_match('/^(.*\S)\s+(\p{L}+)$/u', $item->asWritten(), $found) === 1;
        $sign = $isWorded ? self::WORDS[$axis][mb_strtolower($found[2])] ?? null : null;
        if ($isWorded && $sign !== null) {
            try {
                return Length::parse($sign.$found[1], $units);
            } catch (UnreadableQuantity) {
                // It is refused below, as it was written.
            }
        }

        return $item->length($units);
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

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Gas\Internal;

use UpsweptBead\Core\Base\Geometry\Vector;

/** The ways an inside was held so far; a few are kept, as they are asked for again for other openings. */
final class HeldWays
{
    private const MOST_KEPT = 24;

    /** @var array<string, Levels> */
    private array $known = [];

    public function __construct(private readonly Slices $slices) {}

    public function of(Vector $up): Levels
    {
        $key = self::key($up);
        $levels = $this->known[$key] ?? new Levels($this->slices, $up);
        if (count($this->known) < self::MOST_KEPT) {
            $this->known[$key] = $levels;
        }

        return $levels;
    }

    public static function key(Vector $up): string
    {
        return sprintf('%.6f %.6f %.6f', $up->x, $up->y, $up->z);
    }
}

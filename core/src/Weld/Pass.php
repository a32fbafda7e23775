<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Weld;

/** Which run round a seam: the only one; or of several the root, or one that fills and caps. */
enum Pass
{
    case Only;
    case Root;
    case Fill;

    /** What a root run melts through at most, and what one on top of it is run on (mm): beyond that a thicker wall asks for no more; common practice, from memory. */
    private const ROOT_MM = 3.2;

    private const FILL_MM = 4.5;

    /** The wall that its current is for. */
    public function wallMm(float $thinnerMm): float
    {
        return match ($this) {
            self::Only => $thinnerMm,
            self::Root => min($thinnerMm, self::ROOT_MM),
            self::Fill => min($thinnerMm, self::FILL_MM),
        };
    }
}

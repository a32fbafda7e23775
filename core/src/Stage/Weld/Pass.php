<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Weld;

/** A pass round a seam: the only one; or the root and the passes that fill and cap it. */
enum Pass
{
    case Only;
    case Root;
    case Fill;

    /**
     * The most wall that a root pass melts through: a thicker one asks for no more amps. Common practice, from memory.
     */
    private const ROOT_MM = 3.2;

    /** The same of a pass that fills. Common practice, from memory. */
    private const FILL_MM = 4.5;

    /** The wall that its amps are set for, mm. */
    public function wallMm(float $thinnerMm): float
    {
        return match ($this) {
            self::Only => $thinnerMm,
            self::Root => min($thinnerMm, self::ROOT_MM),
            self::Fill => min($thinnerMm, self::FILL_MM),
        };
    }
}

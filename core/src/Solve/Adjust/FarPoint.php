<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Adjust;

/**
 * Where something that begins at an end stops, and which way it travels there.
 *
 * @phpstan-import-type Triple from Xyz
 */
interface FarPoint
{
    /**
     * @param  Triple  $at  of the end it begins at, mm
     * @param  Triple  $axis  of that end, length 1
     * @return array{Triple, Triple} where it stops, and the way it travels there
     */
    public function end(array $at, array $axis): array;
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Reach;

/**
 * What of a seam one cup gets to. Arcs are in degrees, from in [0, 360), to at most a turn further, the whole seam
 * [0, 360]; of a seam of single places they are the first and last number of each stretch, from 0.
 */
final readonly class CupReach
{
    /**
     * @param  list<array{float, float}>  $arcs
     * @param  list<array{float, float}>|null  $rodArcs  where the rod gets to as well; null without a rod
     * @param  float  $share  of the seam, 0 to 1; with the rod if there is one
     */
    public function __construct(public Cup $cup, public array $arcs, public ?array $rodArcs, public float $share) {}
}

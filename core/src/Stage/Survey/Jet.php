<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Survey;

use UpsweptBead\Core\Base\Geometry\Frame;
use UpsweptBead\Core\Base\Geometry\Solid\KeepOut;

/** What the gas out of an open end blows at. */
final readonly class Jet
{
    private const STEP_MM = 10.0;

    private function __construct(public KeepOut $solid, public float $aheadMm) {}

    /**
     * Everything within so many mm ahead. What the end stands beside is no matter of where it blows.
     *
     * @param  list<KeepOut>  $solids
     * @return list<self>
     */
    public static function of(Frame $end, array $solids, float $jetMm): array
    {
        $hits = [];
        foreach ($solids as $solid) {
            $isFree = $solid->atLeast($end->at->x, $end->at->y, $end->at->z) > 0.0;
            for ($aheadMm = self::STEP_MM; $isFree && $aheadMm <= $jetMm; $aheadMm += self::STEP_MM) {
                $at = $end->advanced($aheadMm)->at;
                if ($solid->distance($at->x, $at->y, $at->z) <= 0.0) {
                    $hits[] = new self($solid, $aheadMm);
                    break;
                }
            }
        }

        return $hits;
    }
}

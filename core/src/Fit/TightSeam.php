<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Fit;

use UpsweptBead\Core\Joint\JointList;
use UpsweptBead\Core\Layout\Layout;
use UpsweptBead\Core\Shop\ShopRules;

/** A seam with less room beside it than the smallest gas cup needs once the runs stand together (mm). */
final readonly class TightSeam
{
    /** @param  string  $other  letter of the run beside it */
    private function __construct(public string $joint, public string $other, public float $gapMm) {}

    /** @return list<self> tightest first; none for a run that stands alone */
    public static function all(Layout $layout, JointList $joints, ShopRules $rules): array
    {
        $seams = [];
        $cupMm = $rules->value('weld.small_cup');
        foreach (count($layout->runs) > 1 ? $layout->runs : [] as $routed) {
            foreach ($joints->ofRun($routed->spec->letter) as $joint) {
                if (! $joint->type->isButt()) {
                    continue;
                }
                $at = $routed->line->frameAt($joint->seam->stationMm)->at;
                foreach ($layout->runs as $other) {
                    $halvesMm = ($joint->seam->odMm + $other->tube->odMm) / 2;
                    $gapMm = $other === $routed ? INF : $layout->lines->least($other->spec->letter, $at) - $halvesMm;
                    if ($gapMm < $cupMm) {
                        $seams[] = new self($joint->id, $other->spec->letter, $gapMm);
                    }
                }
            }
        }
        usort($seams, static fn (self $a, self $b): int => $a->gapMm <=> $b->gapMm);

        return $seams;
    }
}

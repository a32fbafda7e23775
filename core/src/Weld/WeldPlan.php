<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Weld;

use Closure;
use UpsweptBead\Core\Fit\FitPlan;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Joint\JointList;
use UpsweptBead\Core\Layout\Layout;
use UpsweptBead\Core\Purge\Enclosure;
use UpsweptBead\Core\Reason\Notice;
use UpsweptBead\Core\Shop\Shop;
use UpsweptBead\Core\Weld\Internal\Curves;

/** The fifth stage: the sheet of every joint that is welded, and the argon that all of them take. */
final readonly class WeldPlan
{
    /**
     * @param  array<string, JointSheet>  $sheets  by joint, run by run in the order of flow
     * @param  list<Notice>  $notices
     */
    private function __construct(public array $sheets, public ArgonAccount $argon, public array $notices) {}

    public static function of(Job $job, Layout $layout, JointList $joints, Shop $shop, FitPlan $fit): self
    {
        $sheets = $notices = [];
        $cooling = new JointCooling($layout, $shop, new Curves($shop->memo));
        foreach (self::enclosures($layout, $shop) as $letter => [$path, $inside]) {
            $ofOne = null;
            $all = $joints->ofRun("$letter");
            foreach ($all as $joint) {
                if (! $joint->type->isWelded()) {
                    continue;
                }
                $ofOne ??= new Sheets($inside(), $job, $shop, $fit, $cooling, $all);
                $sheets[$joint->id] = $ofOne->sheet($joint);
                $filler = $sheets[$joint->id]->choices['filler'];
                if ($filler->value === Filler::NONE && Filler::heldBack($joint) !== null) {
                    $notices[] = Notice::problem($path, "Joint $joint->id: {$filler->reason->rule}");
                }
            }
        }
        $argon = ArgonAccount::of(array_values($sheets), $shop->bottles);
        if ($sheets !== [] && $shop->bottles !== [] && ! $argon->isEnough()) {
            $notices[] = Notice::caution(
                'argon',
                'The bottles on hand cannot finish this job; change or add one before starting.',
            );
        }

        return new self($sheets, $argon, $notices);
    }

    /** @return array<array-key, array{string, Closure(): Enclosure}> by the letter of each run and collector */
    private static function enclosures(Layout $layout, Shop $shop): array
    {
        $all = [];
        foreach ($layout->runs as $routed) {
            $inside = static fn (): Enclosure => Enclosure::ofRun($routed, $shop->memo);
            $all[$routed->spec->letter] = [$routed->path, $inside];
        }
        foreach ($layout->placement->collectors->all as $one) {
            $all[$one->build->letter] = [$one->path, static fn (): Enclosure => Enclosure::ofCollector($one)];
        }

        return $all;
    }
}

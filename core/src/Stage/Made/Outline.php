<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Made;

use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Stage\Cut\CutPlan;
use UpsweptBead\Core\Stage\Cut\OpenedStock;
use UpsweptBead\Core\Stage\Cut\Piece;
use UpsweptBead\Core\Stage\Joint\JointList;
use UpsweptBead\Core\Stage\Layout\Layout;
use UpsweptBead\Core\Stage\Layout\RoutedRun;

/** The pieces and joints of a plan, kept so that work done by it can be compared with a later plan. */
final readonly class Outline
{
    /**
     * @param  array<string, Piece>  $pieces  by mark
     * @param  array<string, RoutedRun>  $runs  by letter
     * @param  array<string, JointOutline>  $joints  by id
     * @param  array<string, CollectorOutline>  $collectors  by letter
     * @param  list<OpenedStock>  $opened
     */
    private function __construct(
        public array $pieces,
        public array $runs,
        public array $joints,
        public array $collectors,
        public array $opened,
    ) {}

    public static function of(Layout $layout, CutPlan $cut, JointList $joints, ShopRules $rules): self
    {
        $pieces = array_column($cut->allPieces(), null, 'mark');
        $runs = $made = [];
        foreach ($layout->runs as $run) {
            $runs[$run->spec->letter] = $run;
        }
        foreach ($layout->placement->collectors->all as $collector) {
            $made[$collector->build->letter] = CollectorOutline::of($collector);
        }
        $of = [];
        foreach ($joints->joints as $joint) {
            $of[$joint->id] = JointOutline::of($joint, $pieces);
        }

        return new self($pieces, $runs, $of, $made, $cut->opened($rules));
    }

    /** What a piece is made of: its tube, by whatever stock it comes from. Null for a piece that has no place. */
    public function tubeOf(string $mark): ?string
    {
        foreach ($this->opened as $stock) {
            foreach ($stock->pieces as $piece) {
                if ($piece->mark === $mark) {
                    return $stock->tubeId;
                }
            }
        }

        return null;
    }
}

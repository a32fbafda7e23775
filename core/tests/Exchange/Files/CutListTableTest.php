<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Exchange\Files\CutListTable;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Tests\Support\NodeReference;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeRoutedSets;

it('lists pieces that land on the planned far end when somebody puts them together from the list alone', function () {
    $sketch = Planner::sketch(SomeRoutedSets::eight(), Some::shop());
    $starts = [];
    foreach ($sketch->layout->runs as $run) {
        $start = $run->line->start;
        $starts[$run->spec->letter] = [
            'at' => $start->at->toArray(),
            'forward' => $start->forward->toArray(),
            'side' => $start->reference->toArray(),
        ];
    }
    $ends = NodeReference::ask('cut-list.mjs', ['csv' => CutListTable::write($sketch->cut), 'starts' => $starts]);
    expect($ends)->toHaveCount(8);
    foreach ($sketch->layout->runs as $run) {
        $end = $ends[$run->spec->letter];
        expect($run->line->end->at->distanceTo(new Vector(...$end['at'])))->toBeLessThan(0.01)
            ->and($run->line->end->forward->angleDegTo(new Vector(...$end['forward'])))->toBeLessThan(0.001);
    }
});

it('has a cell for every column, and cuts as long as it says', function () {
    $lines = explode("\n", trim(CutListTable::write(Planner::sketch(SomeRoutedSets::eight(), Some::shop())->cut)));
    $columns = explode(',', array_shift($lines));
    foreach ($lines as $line) {
        $cells = array_combine($columns, explode(',', $line));
        $long = (float) $cells['long_start_mm'] + (float) $cells['long_end_mm'];
        expect((float) $cells['cut_mm'])->toBeClose((float) $cells['finished_mm'] + $long, 0, 2e-4);
    }
});

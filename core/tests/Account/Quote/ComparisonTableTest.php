<?php

declare(strict_types=1);

use UpsweptBead\Core\Account\Quote\Comparison;
use UpsweptBead\Core\Account\Quote\ComparisonTable;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Job\Run\RouteChoice;
use UpsweptBead\Core\Job\Run\RouteRow;
use UpsweptBead\Core\Job\Set\DesignRun;
use UpsweptBead\Core\Job\Set\Designs;
use UpsweptBead\Core\Job\Set\DesignSpec;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeRoutedSets;

/** @return array<string, list<array{text: string, isBest: bool}>> by label: the bank as it is, and with one bend more in a run */
function compared(DesignSpec ...$designs): array
{
    $job = SomeRoutedSets::header();
    $all = array_map(
        static fn (DesignSpec $one): Comparison => Comparison::of($job, Some::shop(), $one),
        array_values($designs),
    );

    return array_column((new ComparisonTable($all, UnitSystem::Metric))->rows(), 'cells', 'label');
}

function asItIs(): DesignSpec
{
    return Designs::current(SomeRoutedSets::header(), 'as it is') ?? throw new LogicException('no design');
}

function worse(): DesignSpec
{
    $runs = asItIs()->runs;
    $rows = [...$runs[0]->route->rows, new RouteRow(Length::ofMm(40), 90, 17, Length::ofMm(50.8))];
    $runs[0] = new DesignRun(
        $runs[0]->letter,
        $runs[0]->at,
        $runs[0]->direction,
        new RouteChoice($rows, Length::ofMm(80)),
    );

    return new DesignSpec('worse', '', $runs);
}

it('sets the best of each row, and none where all are alike', function () {
    $rows = compared(asItIs(), worse());
    expect(array_column($rows['Bends'], 'isBest'))->toBe([true, false]);
    $costs = array_map(
        static fn (array $cell): float => (float) str_replace("\u{202F}", '', $cell['text']),
        $rows['Cost, about'],
    );
    expect($costs[0])->not->toBe($costs[1])
        ->and(array_column($rows['Cost, about'], 'isBest'))->toBe([$costs[0] < $costs[1], $costs[1] < $costs[0]]);
    foreach (compared(asItIs(), asItIs()) as $cells) {
        expect(array_column($cells, 'isBest'))->toBe([false, false]);
    }
});

it('calls nothing best that stands alone', function () {
    foreach (compared(asItIs()) as $cells) {
        expect($cells[0]['isBest'])->toBeFalse();
    }
});

it('tells an open end before any gap, and the order the runs go in', function () {
    $rows = compared(asItIs(), worse());
    expect($rows['Tightest gap'][1]['text'])->toBe('✕ 1 far ends open')
        ->and($rows['Tightest gap'][0]['text'])->toContain('needs')
        ->and($rows['Goes in'][0]['text'])->toBe('H then G then F then E');
});

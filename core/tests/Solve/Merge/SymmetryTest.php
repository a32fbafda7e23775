<?php

declare(strict_types=1);

use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeMerges;

/**
 * @param  array<string, mixed>  $answer
 * @return array<string, array<int, array<string, float>>> rows by tube and angle
 */
function rowsOf(array $answer): array
{
    assert(is_array($answer['tubes'] ?? null));
    $rows = [];
    foreach ($answer['tubes'] as $tube) {
        $rows[(string) $tube['id']] = array_column($tube['table'], null, 'psi');
    }

    return $rows;
}

it('is the same whichever tube round the axis is named first', function (bool $isEven) {
    $problem = SomeMerges::straight(Some::dice($isEven ? 201 : 202), $isEven);
    assert(is_array($problem['tubes']));
    $turned = [...$problem, 'tubes' => [...array_slice($problem['tubes'], 1), $problem['tubes'][0]]];
    [$here, $there] = [SomeMerges::answer($problem), SomeMerges::answer($turned)];
    foreach (rowsOf($here) as $id => $rows) {
        foreach ($rows as $psi => $row) {
            expect(rowsOf($there)[$id][$psi]['s'])->toBeClose($row['s'], 0.0, 1e-5);
        }
    }
    $lengths = static fn (array $answer): array => array_map(static fn (array $one): float => round($one['length'], 3), $answer['seams']);
    expect($lengths($there))->toEqualCanonicalizing($lengths($here))
        ->and($there['outlet_edge'])->toBeClose($here['outlet_edge'], 1e-6);
})->with(['equal tubes' => true, 'unequal tubes' => false]);

it('is mirrored when the tubes go round the other way', function (bool $isEven) {
    $problem = SomeMerges::straight(Some::dice($isEven ? 203 : 204), $isEven);
    assert(is_array($problem['tubes']));
    [$first, $others] = [$problem['tubes'][0], array_slice($problem['tubes'], 1)];
    $here = rowsOf(SomeMerges::answer($problem));
    $there = rowsOf(SomeMerges::answer([...$problem, 'tubes' => [$first, ...array_reverse($others)]]));
    foreach ($here as $id => $rows) {
        foreach ($rows as $psi => $row) {
            expect($there[$id][(360 - $psi) % 360]['s'])->toBeClose($row['s'], 0.0, 1e-5);
        }
    }
})->with(['equal tubes' => true, 'unequal tubes' => false]);

it('is mirrored when a branch is set off to the other side, and turned when it leans the other way', function () {
    for ($seed = 210; $seed < 216; $seed++) {
        $problem = [...SomeMerges::saddle(Some::dice($seed)), 'psi' => range(0, 350, 10)];
        assert(is_float($problem['offset']) || is_int($problem['offset']));
        assert(is_float($problem['angle']) || is_int($problem['angle']));
        $here = SomeMerges::answer($problem);
        $aside = SomeMerges::answer([...$problem, 'offset' => -$problem['offset']]);
        $leant = SomeMerges::answer([...$problem, 'angle' => 180 - $problem['angle']]);
        foreach (rowsOf($here)['branch'] as $psi => $row) {
            expect(rowsOf($aside)['branch'][(360 - $psi) % 360]['s'])->toBeClose($row['s'], 0.0, 1e-5)
                ->and(rowsOf($leant)['branch'][(540 - $psi) % 360]['s'])->toBeClose($row['s'], 0.0, 1e-5);
        }
        expect($aside['seams'][0]['length'])->toBeClose($here['seams'][0]['length'], 1e-6)
            ->and($leant['hole_edge'])->toBeClose($here['hole_edge'], 1e-6);
    }
});

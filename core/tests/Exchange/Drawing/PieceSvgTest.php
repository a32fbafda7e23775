<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Units\Quantity;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Exchange\Drawing\PieceSvg;
use UpsweptBead\Core\Exchange\Drawing\SkinBack;
use UpsweptBead\Core\Stage\Cut\MarkKind;
use UpsweptBead\Core\Tests\Support\Some;

it('draws every piece of a job to one proportion, with the lengths its cuts are marked by', function () {
    $sketch = Some::plan()->sketch;
    $length = static fn (float $mm): string => Quantity::Length->read($mm, UnitSystem::Inch);
    foreach ($sketch->cut->allPieces() as $piece) {
        $svg = PieceSvg::of($piece, SkinBack::of($sketch, $piece), 76.2, $length);
        $xml = simplexml_load_string($svg);
        expect($xml)->not->toBeFalse();
        foreach ($piece->marks as $mark) {
            if ($mark->kind === MarkKind::Bend || $mark->kind === MarkKind::Straight) {
                expect($svg)->toContain($length($mark->centreMm));
            }
        }
        // Nothing lies outside of the drawing.
        preg_match_all('/points="([^"]+)"/', $svg, $found);
        foreach (explode(' ', implode(' ', $found[1])) as $point) {
            [$x, $y] = array_map(floatval(...), explode(',', $point));
            expect($x)->toBeGreaterThanOrEqual(0.0)->toBeLessThanOrEqual(360.0)
                ->and($y)->toBeGreaterThanOrEqual(0.0)->toBeLessThanOrEqual(200.0);
        }
    }
});

it('shows a bend as wide as its chord asks for beside a straight of the same tube', function () {
    $sketch = Some::plan()->sketch;
    $bend = array_values(array_filter($sketch->cut->allPieces(), static fn ($one): bool => $one->isBend()))[0];
    preg_match('/<polygon points="([^"]+)"/', PieceSvg::of($bend, SkinBack::of($sketch, $bend), 76.2, static fn (): string => ''), $found);
    $points = array_map(static fn (string $one): array => array_map(floatval(...), explode(',', $one)), explode(' ', $found[1]));
    // Its two first corners are the ends of the upstream cut, one diameter apart: so the scale is known.
    $scale = hypot($points[0][0] - $points[1][0], $points[0][1] - $points[1][1]) / 76.2;
    $area = 0.0;
    foreach ($points as $i => [$x, $y]) {
        [$nextX, $nextY] = $points[($i + 1) % count($points)];
        $area += ($x * $nextY - $nextX * $y) / 2;
    }
    // The flat area of a tube is its middle line times its diameter, bent or not (Pappus).
    expect(abs($area) / $scale ** 2)->toBeClose($bend->cutLengthMm() * 76.2, 0.01);
});

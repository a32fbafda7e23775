<?php

declare(strict_types=1);

use UpsweptBead\Core\Solve\Run\Bend;
use UpsweptBead\Core\Solve\Run\TubeRun;
use UpsweptBead\Core\Stage\Cut\NotAllowedFor;
use UpsweptBead\Core\Stage\Cut\Piece;
use UpsweptBead\Core\Stage\Layout\RoutedRun;
use UpsweptBead\Core\Stage\Plan\Plan;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Stage\Plan\Sketch;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeRoutedSets;

/**
 * A run as it comes out when its pieces are cut to their marks, trimmed, and welded: put together anew from them, a
 * bend whose end is cut longer turning further, and every butt drawing its sides together.
 *
 * @param  list<Piece>  $pieces
 */
function putTogether(RoutedRun $routed, array $pieces, float $shrinkMm): TubeRun
{
    $bends = [];
    $straight = 0.0;
    foreach ($pieces as $i => $piece) {
        $atStart = $piece->allowances->shrinkStartMm;
        $atEnd = $piece->allowances->shrink->value - $atStart;
        $bend = $piece->span->bendIndex === null ? null : $routed->run->bends[$piece->span->bendIndex];
        if ($bend === null) {
            $straight += $piece->span->lengthMm() + $atStart + $atEnd;
        } else {
            $more = ($piece->span->legBeforeMm > 0.0 ? 0.0 : $atStart) + ($piece->span->legAfterMm > 0.0 ? 0.0 : $atEnd);
            $straight += $piece->span->legBeforeMm + ($piece->span->legBeforeMm > 0.0 ? $atStart : 0.0);
            $bends[] = new Bend($straight, $bend->rotationDeg, $bend->angleDeg + rad2deg($more / $bend->clrMm), $bend->clrMm);
            $straight = $piece->span->legAfterMm + ($piece->span->legAfterMm > 0.0 ? $atEnd : 0.0);
        }
        $straight -= $i < count($pieces) - 1 ? $shrinkMm : 0.0;
    }

    return new TubeRun($routed->run->start, $bends, $straight);
}

dataset('plans', [
    'a downpipe' => [fn () => Some::plan()],
    'a set of eight' => [fn () => Planner::sketch(SomeRoutedSets::eight(), Some::shop())],
    'four into a collector' => [fn () => Planner::plan(SomeRoutedSets::joined(), Some::shop())],
]);

// Cut to its marks and welded, a run comes to its far end; where it cannot it is said by how much it does not.
it('comes to the far end when it is cut to its marks and welded', function (Plan|Sketch $plan) {
    $rules = Some::shop()->rules;
    foreach ($plan->layout->runs as $routed) {
        $pieces = $plan->cut->piecesOf($routed->spec->letter);
        $shrinkMm = 0.1 * 3 * $routed->tube->wallMm;
        $first = $pieces[0]->allowances->shrinkStartMm;
        $last = $pieces[count($pieces) - 1]->allowances;
        $said = NotAllowedFor::of($routed, $pieces, $rules);
        $end = putTogether($routed, $pieces, $shrinkMm)->end();
        $wanted = $routed->run->end();
        // What is left at a ring at either end is drawn in by that.
        $off = $end->at->minus($wanted->at)->minus($said->farEnd);
        expect($off->length())->toBeLessThan($first + $last->shrink->value + 0.05)
            ->and($end->forward->angleDegTo($wanted->forward))->toBeLessThan(1e-3);
    }
})->with('plans');

<?php

declare(strict_types=1);

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Units\UnitSystem;
use UpsweptBead\Core\Solve\Run\Centreline;
use UpsweptBead\Core\Solve\Run\TubeRun;
use UpsweptBead\Core\Stage\Cut\Piece;
use UpsweptBead\Core\Stage\Cut\Rescue;
use UpsweptBead\Core\Stage\Cut\RescueKind;
use UpsweptBead\Core\Stage\Cut\WrongLength;
use UpsweptBead\Core\Stage\Layout\RoutedRun;
use UpsweptBead\Core\Stage\Plan\Planner;
use UpsweptBead\Core\Stage\Plan\Sketch;
use UpsweptBead\Core\Tests\Support\Some;
use UpsweptBead\Core\Tests\Support\SomeRoutedSets;

function eight(): Sketch
{
    static $sketch = null;

    return $sketch ??= Planner::sketch(SomeRoutedSets::eight(), Some::shop());
}

function routedRun(string $letter): RoutedRun
{
    foreach (eight()->layout->runs as $run) {
        if ($run->spec->letter === $letter) {
            return $run;
        }
    }
    throw new LogicException("no run $letter");
}

/** The first piece of the job that is one of these. */
function somePiece(callable $is): Piece
{
    foreach (eight()->cut->pieces as $pieces) {
        foreach ($pieces as $piece) {
            if ($is($piece)) {
                return $piece;
            }
        }
    }
    throw new LogicException('no such piece');
}

/** @param  list<string>  $done */
function wrongBy(Piece $piece, float $mm, array $done = []): ?WrongLength
{
    $opened = eight()->cut->opened(Some::shop()->rules);

    return WrongLength::of($piece, routedRun($piece->run), $piece->cutLengthMm() + $mm, $opened, $done);
}

/** @return list<RescueKind> */
function kinds(?WrongLength $wrong): array
{
    return array_map(static fn (Rescue $one): RescueKind => $one->kind, $wrong->rescues ?? []);
}

it('takes what a saw and a tape cannot tell from the plan as planned', function () {
    $piece = somePiece(static fn (Piece $one): bool => $one->isBend());
    expect(wrongBy($piece, 0.4))->toBeNull()->and(wrongBy($piece, -0.4))->toBeNull();
});

it('has what is too long sawn off, and moves nothing', function () {
    $wrong = wrongBy(somePiece(static fn (Piece $one): bool => ! $one->isBend()), 6.0);
    expect(kinds($wrong))->toBe([RescueKind::SawOff])
        ->and($wrong?->missingMm)->toBe(0.0)
        ->and($wrong?->farEndMm)->toBe([0.0, 0.0])
        ->and($wrong?->rescues[0]->amount)->toBeClose(6.0, 1e-9);
});

it('lets a piece be short by as much as was left for the trial fit', function () {
    $piece = somePiece(static fn (Piece $one): bool => $one->allowances->trim->value > 10.0);
    $wrong = wrongBy($piece, -8.0);
    expect(kinds($wrong))->toBe([RescueKind::GoOn])
        ->and($wrong?->missingMm)->toBe(0.0)
        ->and($wrong?->keptMm)->toBeClose($piece->allowances->trim->value - 8.0, 1e-9);
});

// Held against the run laid out again with that piece shorter.
it('says how far the far end comes to lie off when a piece is too short', function () {
    $piece = somePiece(static fn (Piece $one): bool => ! $one->isBend() && $one->span->toMm < routedRun($one->run)->run->lengthMm() - 1.0);
    $run = routedRun($piece->run)->run;
    $short = 5.0;
    $wrong = wrongBy($piece, -$piece->allowances->trim->value - $short);
    $bends = $run->bends;
    $next = null;
    $at = 0.0;
    foreach ($bends as $i => $bend) {
        $at += $bend->straightMm;
        if ($at >= $piece->span->toMm - 0.01) {
            $next ??= $i;
        }
        $at += deg2rad($bend->angleDeg) * $bend->clrMm;
    }
    $shorter = $next === null
        ? new TubeRun($run->start, $bends, $run->endStraightMm - $short)
        : new TubeRun($run->start, array_map(
            static fn ($bend, int $i) => $i === $next ? $bend->with(straightMm: $bend->straightMm - $short) : $bend,
            $bends,
            array_keys($bends),
        ), $run->endStraightMm);
    $was = Centreline::of($run)->frameAt($run->lengthMm());
    $moved = Centreline::of($shorter)->frameAt($shorter->lengthMm())->at->minus($was->at);
    $along = $moved->dot($was->forward);
    expect($wrong?->missingMm)->toBeClose($short, 1e-6)
        ->and($wrong?->farEndMm[0])->toBeClose(-$along, 1e-6)
        ->and($wrong?->farEndMm[1])->toBeClose($moved->minus($was->forward->times($along))->length(), 1e-6)
        ->and((new Vector($wrong->farEndMm[0] ?? 0, $wrong->farEndMm[1] ?? 0, 0))->length())->toBeClose($short, 1e-6);
});

it('always knows a way to go on, and offers no piece that is cut already', function () {
    $all = [];
    foreach (eight()->cut->pieces as $pieces) {
        foreach ($pieces as $piece) {
            $all[] = $piece->mark;
        }
    }
    foreach (eight()->cut->pieces as $pieces) {
        foreach ($pieces as $piece) {
            $open = wrongBy($piece, -40.0);
            $done = wrongBy($piece, -40.0, $all);
            expect(kinds($open))->not->toBe([])
                ->and(array_intersect(array_column(kinds($done), 'value'), ['longer-neighbour', 'use-as']))->toBe([]);
            foreach ($open->rescues ?? [] as $rescue) {
                expect($rescue->amount)->toBeGreaterThanOrEqual(0.0)->and($rescue->text(UnitSystem::Metric))->not->toBe('');
            }
        }
    }
});

it('has a bent neighbour cut longer only along its leg, out of stock that nobody else has', function () {
    $offered = 0;
    foreach (eight()->cut->opened(Some::shop()->rules) as $stock) {
        foreach ($stock->pieces as $other) {
            $place = $other->place;
            if (! $other->isBend() || $place === null) {
                continue;
            }
            foreach (eight()->cut->pieces[$other->run] as $piece) {
                $wrong = wrongBy($piece, -$piece->allowances->trim->value - 12.0);
                foreach ($wrong->rescues ?? [] as $rescue) {
                    if ($rescue->kind !== RescueKind::LongerNeighbour || $rescue->with !== $other->mark) {
                        continue;
                    }
                    $offered++;
                    $isBehind = $other->span->fromMm > $piece->span->fromMm;
                    $isDown = ($isBehind ? $place->startMm() : $place->endMm()) === $place->atMm;
                    $from = $isDown ? $place->atMm - $rescue->amount : $place->untilMm;
                    $until = $from + $rescue->amount;
                    expect($from)->toBeGreaterThanOrEqual($isDown ? 0.0 : $place->arcToMm)
                        ->and($until)->toBeLessThanOrEqual($isDown ? $place->arcFromMm : $place->lengthMm);
                    foreach ($stock->pieces as $third) {
                        if ($third !== $other && $third->place !== null) {
                            expect($third->place->untilMm <= $from + 0.01 || $third->place->atMm >= $until - 0.01)->toBeTrue();
                        }
                    }
                }
            }
        }
    }
    expect($offered)->toBeGreaterThan(0);
});

it('lets a short straight become a shorter one of the same tube', function () {
    $piece = somePiece(static fn (Piece $one): bool => ! $one->isBend()
        && in_array(RescueKind::UseAs, kinds(wrongBy($one, -30.0)), true));
    $wrong = wrongBy($piece, -30.0);
    foreach ($wrong->rescues ?? [] as $rescue) {
        if ($rescue->kind === RescueKind::UseAs) {
            $other = somePiece(static fn (Piece $one): bool => $one->mark === $rescue->with);
            expect($other->cutLengthMm() + $rescue->amount)->toBeClose($piece->cutLengthMm() - 30.0, 1e-6);
        }
    }
});

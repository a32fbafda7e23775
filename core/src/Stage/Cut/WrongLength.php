<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Cut;

use UpsweptBead\Core\Stage\Layout\RoutedRun;

/**
 * A piece that was not cut as long as it should be: what that does to the far end of its run, and how it can be saved.
 * Lengths in mm.
 */
final readonly class WrongLength
{
    /** Shorter than this is as planned: nobody saws or measures nearer. */
    public const NEAR_MM = 0.5;

    /**
     * @param  float  $offMm  longer than planned; shorter if negative
     * @param  float  $keptMm  of what it was to be long by for the trial fit and is still there
     * @param  float  $missingMm  of the finished piece
     * @param  array{float, float}  $farEndMm  how far the far end of the run comes to lie short of its place along its
     *   own axis, and off it to the side
     * @param  list<Rescue>  $rescues  the least work first
     */
    private function __construct(
        public Piece $piece,
        public float $offMm,
        public float $keptMm,
        public float $missingMm,
        public array $farEndMm,
        public array $rescues,
    ) {}

    /**
     * @param  ?RoutedRun  $run  null for a tube of a collector: nothing lies behind it
     * @param  float  $measuredMm  along the centreline, extra length and all
     * @param  list<OpenedStock>  $opened  all that the job opens
     * @param  list<string>  $done  marks of pieces that are cut already
     * @return self|null null where it is as long as planned
     */
    public static function of(Piece $piece, ?RoutedRun $run, float $measuredMm, array $opened, array $done): ?self
    {
        $offMm = $measuredMm - $piece->cutLengthMm();
        if (abs($offMm) <= self::NEAR_MM) {
            return null;
        }
        $trimMm = $piece->allowances->trim->value;
        $missingMm = max(0.0, -$offMm - $trimMm);

        return new self(
            $piece,
            $offMm,
            max(0.0, $trimMm + min(0.0, $offMm)),
            $missingMm,
            $run === null ? [$missingMm, 0.0] : self::farEnd($piece, $run, $missingMm),
            self::rescues($piece, $run !== null, $offMm, $missingMm, $opened, $done),
        );
    }

    /** @return array{float, float} all that comes behind the piece moves back along its end by what is missing */
    private static function farEnd(Piece $piece, RoutedRun $run, float $missingMm): array
    {
        $moved = $run->line->frameAt($piece->span->toMm)->forward->times(-$missingMm);
        $axis = $run->line->frameAt($run->run->lengthMm())->forward;
        $along = $moved->dot($axis);

        return [-$along, $moved->minus($axis->times($along))->length()];
    }

    /**
     * @param  list<OpenedStock>  $opened
     * @param  list<string>  $done
     * @return list<Rescue>
     */
    private static function rescues(
        Piece $piece,
        bool $isOfRun,
        float $offMm,
        float $missingMm,
        array $opened,
        array $done,
    ): array {
        if ($offMm > 0.0) {
            return [new Rescue(RescueKind::SawOff, $piece->mark, $offMm)];
        }
        if ($missingMm <= 0.0) {
            return [new Rescue(RescueKind::GoOn, $piece->mark, 0.0)];
        }
        $opened = self::ofSameTube($piece, $opened);
        $rescues = $isOfRun ? self::longerNeighbours($piece, $missingMm, $opened, $done) : [];
        $measuredMm = $piece->cutLengthMm() + $offMm;
        foreach ($opened as $stock) {
            foreach ($stock->pieces as $other) {
                $isOpen = ! in_array($other->mark, [$piece->mark, ...$done], true);
                if ($isOpen && self::canBecome($piece, $measuredMm, $other)) {
                    $rescues[] = new Rescue(RescueKind::UseAs, $other->mark, $measuredMm - $other->cutLengthMm());
                }
            }
        }
        foreach ($opened as $stock) {
            foreach ($stock->left as $left) {
                if (! $piece->isBend() && max($left->beforeMm, $left->afterMm) >= $piece->cutLengthMm()) {
                    $rescues[] = new Rescue(RescueKind::CutAgain, $stock->key(), $piece->cutLengthMm());
                }
            }
        }
        $rescues[] = new Rescue(RescueKind::NewStock, $piece->place->stockId ?? $piece->stockId, $piece->cutLengthMm());

        return array_slice($rescues, 0, 4);
    }

    /**
     * @param  list<OpenedStock>  $opened
     * @return list<OpenedStock>
     */
    private static function ofSameTube(Piece $piece, array $opened): array
    {
        $tubeId = '';
        foreach ($opened as $stock) {
            $isIn = array_filter($stock->pieces, static fn (Piece $one): bool => $one->mark === $piece->mark) !== [];
            $tubeId = $isIn ? $stock->tubeId : $tubeId;
        }

        return array_values(array_filter($opened, static fn (OpenedStock $one): bool => $one->tubeId === $tubeId));
    }

    /**
     * Only where both meet in a straight, as long as what is missing, does a longer neighbour put the joint elsewhere
     * and nothing else; and only where its stock has that much more beside it.
     *
     * @param  list<OpenedStock>  $opened
     * @param  list<string>  $done
     * @return list<Rescue>
     */
    private static function longerNeighbours(Piece $piece, float $missingMm, array $opened, array $done): array
    {
        $span = $piece->span;
        $rescues = [];
        foreach ($opened as $stock) {
            foreach ($stock->pieces as $other) {
                $isBehind = abs($other->span->fromMm - $span->toMm) < self::NEAR_MM;
                $isNext = $isBehind || abs($other->span->toMm - $span->fromMm) < self::NEAR_MM;
                if ($other->run !== $piece->run || ! $isNext || in_array($other->mark, $done, true)) {
                    continue;
                }
                $legMm = $isBehind ? $span->legAfterMm : $span->legBeforeMm;
                $straightMm = $piece->isBend() ? $legMm : $span->lengthMm();
                if ($straightMm >= $missingMm && $stock->roomBeside($other, $isBehind, $done) >= $missingMm) {
                    $rescues[] = new Rescue(RescueKind::LongerNeighbour, $other->mark, $missingMm);
                }
            }
        }

        return $rescues;
    }

    /** A straight can be shortened to any other straight of its tube that has the same ends. */
    private static function canBecome(Piece $piece, float $measuredMm, Piece $other): bool
    {
        return ! $piece->isBend()
            && ! $other->isBend()
            && $other->cutLengthMm() <= $measuredMm
            && $other->cutLengthMm() > $measuredMm / 2;
    }
}

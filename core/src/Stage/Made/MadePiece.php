<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Made;

use UpsweptBead\Core\Stage\Cut\Piece;
use UpsweptBead\Core\Stage\Cut\WrongLength;

/** A piece as it was made: as one plan had it, and by how much it was measured to be longer than that (mm). */
final readonly class MadePiece
{
    public function __construct(public Piece $piece, public ?string $tubeId, public float $offMm) {}

    public function lengthMm(): float
    {
        return $this->piece->cutLengthMm() + $this->offMm;
    }

    /** How it does as a piece of another plan, of that tube. */
    public function as(Piece $now, ?string $tubeId): PieceFit
    {
        $then = $this->piece;
        $overDeg = $then->angleDeg - $now->angleDeg;
        $offMm = $this->longerMm($now);
        $isOff = abs($offMm) > WrongLength::NEAR_MM;
        $isBentOtherwise = abs($overDeg) > JointOutline::NEAR_DEG;
        $isTube = $this->tubeId === $tubeId ? [] : [new Difference(DifferenceKind::Tube)];
        if (self::isBent($then) !== self::isBent($now)) {
            $kind = self::isBent($now) ? DifferenceKind::Bent : DifferenceKind::Straight;

            return new PieceFit([...$isTube, new Difference($kind)], [], 0.0);
        }
        $never = array_values(array_filter([
            ...$isTube,
            abs($then->clrMm - $now->clrMm) <= WrongLength::NEAR_MM
                ? null
                : new Difference(DifferenceKind::Radius, $then->clrMm, $now->clrMm),
            self::wedges($then) === self::wedges($now)
                ? null
                : new Difference(DifferenceKind::Wedges, self::wedges($then), self::wedges($now)),
            ! $isBentOtherwise || self::canBeCutBack($now, $overDeg)
                ? null
                : new Difference(DifferenceKind::Bend, $then->angleDeg, $now->angleDeg),
        ]));
        $otherwise = array_values(array_filter([
            $isBentOtherwise && self::canBeCutBack($now, $overDeg)
                ? new Difference(DifferenceKind::Bend, $then->angleDeg, $now->angleDeg)
                : null,
            $isOff ? new Difference(DifferenceKind::Length, $this->lengthMm(), $now->cutLengthMm()) : null,
            $then->startPrep === $now->startPrep && $then->endPrep === $now->endPrep
                ? null
                : new Difference(DifferenceKind::Ends),
        ]));

        return new PieceFit($never, $otherwise, $isOff ? $offMm : 0.0);
    }

    /**
     * How much longer it is than that piece, as one that was cut so long would be: a straight as a whole; where a bend
     * fixes the ends each by itself, as what is left long at one end makes up for nothing at the other. Mm.
     */
    private function longerMm(Piece $now): float
    {
        $then = $this->piece;
        if ($now->span->bendIndex === null || $then->span->bendIndex === null) {
            return $this->lengthMm() - $now->cutLengthMm();
        }
        $trimMm = $now->allowances->trim->value;
        $trimAtStartMm = $now->allowances->startMm >= $trimMm ? $trimMm : 0.0;
        $ends = [
            [self::beforeMm($then) - self::beforeMm($now), $trimAtStartMm],
            [self::afterMm($then) - self::afterMm($now) + $this->offMm, $trimMm - $trimAtStartMm],
        ];
        $missingMm = array_sum(array_map(static fn (array $end): float => max(0.0, -$end[0] - $end[1]), $ends));
        $least = min(array_column($ends, 0));

        return match (true) {
            $missingMm > WrongLength::NEAR_MM => -$missingMm - $trimMm,
            $least < -WrongLength::NEAR_MM => $least,
            default => array_sum(array_column($ends, 0)),
        };
    }

    private static function isBent(Piece $piece): bool
    {
        return $piece->angleDeg > JointOutline::NEAR_DEG;
    }

    private static function beforeMm(Piece $piece): float
    {
        return $piece->span->legBeforeMm + $piece->allowances->startMm;
    }

    private static function afterMm(Piece $piece): float
    {
        return $piece->span->legAfterMm + $piece->allowances->endMm();
    }

    private static function wedges(Piece $piece): float
    {
        return (float) ($piece->pie->welds ?? 0);
    }

    /** A bend is cut back from an end at which nothing straight is wanted behind it. */
    private static function canBeCutBack(Piece $now, float $overDeg): bool
    {
        $isOpenAtAnEnd = min($now->span->legBeforeMm, $now->span->legAfterMm) <= WrongLength::NEAR_MM;

        return $overDeg > 0.0 && $now->isBend() && $isOpenAtAnEnd;
    }
}

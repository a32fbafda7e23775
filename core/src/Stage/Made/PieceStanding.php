<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Made;

use UpsweptBead\Core\Stage\Cut\Piece;
use UpsweptBead\Core\Stage\Cut\Rescue;
use UpsweptBead\Core\Stage\Cut\RescueKind;
use UpsweptBead\Core\Stage\Cut\WrongLength;

/** A piece that is made already and that a later plan wants otherwise: in what, and how to go on. */
final readonly class PieceStanding
{
    private const AT_THE_PIECE = [RescueKind::SawOff, RescueKind::LongerNeighbour];

    /**
     * @param  int  $revision  of the plan it was made by
     * @param  list<Difference>  $differences
     * @param  bool  $isLost  nothing can be done to it, or beside it, that makes it this piece again
     * @param  list<Rescue>  $work  all of it is done to it, or beside it, and it fits again; none where it is lost
     * @param  list<Rescue>  $rescues  what it, or its place, can come to otherwise, each by itself; the least work first
     */
    private function __construct(
        public string $mark,
        public int $revision,
        public MadePiece $made,
        public ?Piece $now,
        public array $differences,
        public bool $isLost,
        public array $work,
        public array $rescues,
    ) {}

    /**
     * @param  Outline  $plan  the later plan
     * @param  list<string>  $made  marks of all pieces that are made already, and stay
     * @return self|null null where it can stay as it is
     */
    public static function of(string $mark, int $revision, MadePiece $piece, Outline $plan, array $made): ?self
    {
        $now = $plan->pieces[$mark] ?? null;
        if ($now === null) {
            $ways = self::asOthers($mark, $piece, $plan, $made);

            return new self($mark, $revision, $piece, null, [new Difference(DifferenceKind::Gone)], true, [], $ways);
        }
        $fit = $piece->as($now, $plan->tubeOf($mark));
        $wrong = self::wrong($now, $fit->offMm, $plan, $made);
        $isLonger = static fn (Rescue $one): bool => $one->kind === RescueKind::LongerNeighbour;
        $isShort = $wrong !== null && $wrong->missingMm > 0.0 && array_filter($wrong->rescues, $isLonger) === [];
        $isLost = $fit->never !== [] || $isShort;
        $differences = $fit->never === [] ? $fit->otherwise : $fit->never;
        // Only the extra length for the trial fit is less: it stays as it is.
        $isOnlyTrim = count($differences) === 1 && $wrong !== null && $wrong->offMm < 0.0 && $wrong->missingMm <= 0.0;
        if ($differences === [] || $isOnlyTrim) {
            return null;
        }
        $ways = $isLost || $fit->has(DifferenceKind::Bend) ? self::asOthers($mark, $piece, $plan, $made) : [];
        if ($isLost) {
            $stockId = $now->place->stockId ?? $now->stockId;
            $ways[] = new Rescue(RescueKind::NewStock, $stockId, $now->cutLengthMm());
        }
        $work = $isLost ? [] : self::work($now, $piece, $fit, $wrong);

        return new self($mark, $revision, $piece, $now, $differences, $isLost, $work, $ways);
    }

    /** @return list<Rescue> all that is done to it, or beside it, so that it fits again */
    private static function work(Piece $now, MadePiece $piece, PieceFit $fit, ?WrongLength $wrong): array
    {
        $isHere = static fn (Rescue $one): bool => in_array($one->kind, self::AT_THE_PIECE, true);
        // Either neighbour will do: the first of them.
        $work = $wrong === null ? [] : array_slice(array_values(array_filter($wrong->rescues, $isHere)), 0, 1);
        if ($fit->has(DifferenceKind::Bend)) {
            array_unshift($work, new Rescue(RescueKind::CutBack, $now->mark, $piece->piece->angleDeg - $now->angleDeg));
        }
        if ($fit->has(DifferenceKind::Ends)) {
            $work[] = new Rescue(RescueKind::EndsAgain, $now->mark, 0.0);
        }

        return $work;
    }

    /**
     * A tube of a collector belongs to no run: there is no far end that it moves, and no neighbour to be longer.
     *
     * @param  list<string>  $made
     */
    private static function wrong(Piece $now, float $offMm, Outline $plan, array $made): ?WrongLength
    {
        $run = $plan->runs[$now->run] ?? null;

        return WrongLength::of($now, $run, $now->cutLengthMm() + $offMm, $plan->opened, $made);
    }

    /**
     * @param  list<string>  $made
     * @return list<Rescue> which pieces that are still to be cut it can become, the one that takes least off it first
     */
    private static function asOthers(string $mark, MadePiece $piece, Outline $plan, array $made): array
    {
        $ways = [];
        foreach ($plan->pieces as $other) {
            if ($other->mark === $mark || in_array($other->mark, $made, true)) {
                continue;
            }
            $fit = $piece->as($other, $plan->tubeOf($other->mark));
            $isUsable = $fit->never === [] && $fit->offMm >= 0.0 && ! $fit->has(DifferenceKind::Bend);
            // Of less than half of it nobody would call it that piece; our own figure.
            if ($isUsable && $fit->offMm <= $piece->lengthMm() / 2) {
                $ways[] = new Rescue(RescueKind::Becomes, $other->mark, $fit->offMm);
            }
        }
        usort($ways, static fn (Rescue $a, Rescue $b): int => $a->amount <=> $b->amount);

        return array_slice($ways, 0, 2);
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Made;

use UpsweptBead\Core\Stage\Bench\Progress;
use UpsweptBead\Core\Stage\Cut\Piece;
use UpsweptBead\Core\Stage\Cut\WrongLength;
use UpsweptBead\Core\Stage\Joint\Joint;
use UpsweptBead\Core\Stage\Layout\RoutedRun;
use UpsweptBead\Core\Stage\Step\StepKind;

/** Which values of a run's route cannot be changed without undoing what is cut, tacked or welded of it. */
final readonly class HeldByWork
{
    /**
     * @param  list<Piece>  $pieces  of the run
     * @param  list<Joint>  $joints  of the run
     * @return list<int> counted as locks are: straight, turn, angle of each bend, then the last straight
     */
    public static function values(RoutedRun $run, array $pieces, array $joints, Progress $progress): array
    {
        $isMade = static fn (Piece $one): bool => $progress->isDone(StepKind::Prepare->key($one->mark));
        $made = array_values(array_filter($pieces, $isMade));
        $held = [];
        $fromMm = 0.0;
        foreach ($run->run->bends as $i => $bend) {
            $toMm = $fromMm + $bend->straightMm;
            if (self::isCovered($made, $fromMm, $toMm)) {
                $held[] = 3 * $i;
            }
            if (self::isJoined($joints, $progress, $fromMm, $toMm)) {
                $held[] = 3 * $i + 1;
            }
            if (in_array($i, array_map(static fn (Piece $one): ?int => $one->span->bendIndex, $made), true)) {
                $held[] = 3 * $i + 2;
            }
            $fromMm = $toMm + $bend->arcMm();
        }
        if (self::isCovered($made, $fromMm, $fromMm + $run->run->endStraightMm)) {
            $held[] = 3 * count($run->run->bends);
        }

        return $held;
    }

    /**
     * Whether made pieces cover a straight from end to end; one of no length is nobody's.
     *
     * @param  list<Piece>  $made  in the order of flow
     */
    private static function isCovered(array $made, float $fromMm, float $toMm): bool
    {
        if ($toMm - $fromMm <= WrongLength::NEAR_MM) {
            return false;
        }
        $at = $fromMm;
        foreach ($made as $piece) {
            if ($piece->span->fromMm <= $at + WrongLength::NEAR_MM) {
                $at = max($at, $piece->span->toMm);
            }
        }

        return $at >= $toMm - WrongLength::NEAR_MM;
    }

    /**
     * A bend turns with any joint before it that is still open.
     *
     * @param  list<Joint>  $joints
     */
    private static function isJoined(array $joints, Progress $progress, float $fromMm, float $toMm): bool
    {
        $here = array_filter(
            $joints,
            static fn (Joint $one): bool => $one->on === null
                && $one->seam->stationMm >= $fromMm - WrongLength::NEAR_MM
                && $one->seam->stationMm <= $toMm + WrongLength::NEAR_MM,
        );
        $isDone = static fn (Joint $one): bool => $progress->isDone(StepKind::Tack->key($one->id))
            || $progress->isDone(StepKind::Weld->key($one->id));

        return $here !== [] && array_filter($here, $isDone) === $here;
    }
}

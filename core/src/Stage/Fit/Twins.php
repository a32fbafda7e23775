<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Fit;

use UpsweptBead\Core\Solve\Run\Bend;
use UpsweptBead\Core\Solve\Run\TubeRun;
use UpsweptBead\Core\Stage\Layout\RoutedRun;

/** Runs of a job that are alike, or mirror images: their pieces are cut from the same settings, and can be swapped. */
final readonly class Twins
{
    private const SAME_MM = 0.5;

    private const SAME_DEG = 0.5;

    /** @param  array<string, array{string, bool}>  $all  by letter: the first run it is a twin of, and whether mirrored */
    private function __construct(private array $all) {}

    /** @param  list<RoutedRun>  $runs */
    public static function of(array $runs): self
    {
        $all = [];
        foreach ($runs as $i => $run) {
            foreach (array_slice($runs, 0, $i) as $other) {
                if ($run->tube->id !== $other->tube->id || $run->run->bends === []) {
                    continue;
                }
                foreach ([false, true] as $isMirrored) {
                    if (! isset($all[$run->spec->letter]) && self::areAlike($run->run, $other->run, $isMirrored)) {
                        $all[$run->spec->letter] = [$other->spec->letter, $isMirrored];
                    }
                }
            }
        }

        return new self($all);
    }

    /** @return array{string, bool}|null the run that one is a twin of, and whether as its mirror image */
    public function twinOf(string $letter): ?array
    {
        return $this->all[$letter] ?? null;
    }

    /** How the first turn lies in the port is each run's own; all behind it follows. */
    private static function areAlike(TubeRun $one, TubeRun $other, bool $isMirrored): bool
    {
        if (count($one->bends) !== count($other->bends)
            || abs($one->endStraightMm - $other->endStraightMm) > self::SAME_MM) {
            return false;
        }
        foreach ($one->bends as $i => $bend) {
            $twin = $other->bends[$i];
            $turn = $bend->rotationDeg - ($isMirrored ? -1 : 1) * $twin->rotationDeg;
            $isTurned = $i > 0 && abs($turn - 360 * round($turn / 360)) > self::SAME_DEG;
            if ($isTurned || ! self::isSame($bend, $twin)) {
                return false;
            }
        }

        // With one bend, or all in one plane, an image is the same thing.
        return ! $isMirrored || self::turns($one);
    }

    private static function isSame(Bend $bend, Bend $twin): bool
    {
        return abs($bend->straightMm - $twin->straightMm) <= self::SAME_MM
            && abs($bend->angleDeg - $twin->angleDeg) <= self::SAME_DEG
            && abs($bend->clrMm - $twin->clrMm) <= self::SAME_MM;
    }

    private static function turns(TubeRun $run): bool
    {
        foreach (array_slice($run->bends, 1) as $bend) {
            if (abs(sin(deg2rad($bend->rotationDeg))) > sin(deg2rad(self::SAME_DEG))) {
                return true;
            }
        }

        return false;
    }
}

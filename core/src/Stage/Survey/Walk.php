<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Survey;

use UpsweptBead\Core\Job\Measured\MeasuredEnd;
use UpsweptBead\Core\Job\Measured\MeasuredSpec;
use UpsweptBead\Core\Job\Measured\ReadingSpec;
use UpsweptBead\Core\Job\Measured\Way;
use UpsweptBead\Core\Job\Run\RunSpec;
use UpsweptBead\Core\Solve\Adjust\ReadingKind;

/**
 * What is still to be read at the vehicle, in the order of the hand: end by end its place, then the way it points; last
 * a tape from end to end of every run, which everybody trusts.
 */
final readonly class Walk
{
    /** Steeper than this an axis has no bearing that anybody could read; our own figure. */
    private const STEEP_DEG = 70.0;

    private function __construct(private Surveyed $surveyed) {}

    /** @return list<WalkStep> */
    public static function of(Surveyed $surveyed): array
    {
        $walk = new self($surveyed);
        $steps = [];
        foreach ($surveyed->job->measured->ends as $end) {
            array_push($steps, ...$walk->place($end->name(), $end->hasPlace), ...$walk->direction($end));
        }
        foreach ($surveyed->job->measured->points as $point) {
            array_push($steps, ...$walk->place($point->name, $point->at === null));
        }
        foreach ($surveyed->job->runs as $run) {
            array_push($steps, ...$walk->check($run));
        }

        return $steps;
    }

    /** @return list<WalkStep> those of the three ways from the datum that were not read, while its place is open */
    private function place(string $name, bool $isMeasured): array
    {
        if (! $isMeasured || ! $this->surveyed->isPlaceOpen($name)) {
            return [];
        }
        $place = ReadingWords::place($name);
        $steps = [];
        foreach ([
            [Way::Rearward, 'Hold the tape level, straight fore and aft. Ahead of the datum is minus.'],
            [Way::Right, 'Hold the tape level, square across the vehicle. Left of the datum is minus.'],
            [Way::Up, 'Hold the tape plumb. Below the datum is minus.'],
        ] as [$way, $how]) {
            $isThere = $this->isRead(static fn (ReadingSpec $one): bool => $one->kind === ReadingKind::Offset
                && $one->of === $name
                && ($one->way === null || $one->way === $way));
            if (! $isThere) {
                $steps[] = new WalkStep(
                    ReadingKind::Offset,
                    $name,
                    [MeasuredSpec::DATUM],
                    $way,
                    null,
                    ucfirst($place).": how far $way->value of the datum",
                    $how,
                );
            }
        }

        return $steps;
    }

    /** @return list<WalkStep> */
    private function direction(MeasuredEnd $end): array
    {
        $name = $end->name();
        if (! $end->hasDirection || ! $this->surveyed->isDirectionOpen($name)) {
            return [];
        }
        $place = ucfirst(ReadingWords::place($name));
        $steps = [];
        $isSteep = false;
        $isDipRead = false;
        foreach ($this->surveyed->job->measured->readings as $one) {
            if ($one->kind === ReadingKind::Dip && $one->of === $name && ! $one->isLeftOut) {
                $isDipRead = true;
                $isSteep = abs($one->angleDeg ?? 0.0) > self::STEEP_DEG;
            }
        }
        if (! $isDipRead) {
            $steps[] = new WalkStep(
                ReadingKind::Dip,
                $name,
                [],
                null,
                Way::Down,
                "$place: how far it falls below level, going away from the part",
                'Push a straight stub into it and lay the angle finder along its top. Rising is minus.',
            );
        }

        return [...$steps, ...$isSteep ? $this->leans($name, $place) : $this->bearing($name, $place)];
    }

    /** @return list<WalkStep> */
    private function bearing(string $name, string $place): array
    {
        return $this->isRead(
            static fn (ReadingSpec $one): bool => $one->kind === ReadingKind::Bearing && $one->of === $name,
        ) ? [] : [new WalkStep(
            ReadingKind::Bearing,
            $name,
            [],
            Way::Rearward,
            Way::Right,
            "$place: seen from above, how far from straight rearward to the right it points",
            'Look down on the stub; read it against a string or straight-edge that lies fore and aft. To the left is minus.',
        )];
    }

    /** @return list<WalkStep> nothing steep has a bearing to be read: it leans */
    private function leans(string $name, string $place): array
    {
        $steps = [];
        foreach ([[Way::Rearward, 'side'], [Way::Right, 'front']] as [$way, $from]) {
            $isThere = $this->isRead(static fn (ReadingSpec $one): bool => $one->kind === ReadingKind::Lean
                && $one->of === $name
                && $one->way?->axis() === $way->axis());
            if (! $isThere) {
                $steps[] = new WalkStep(
                    ReadingKind::Lean,
                    $name,
                    [],
                    $way,
                    Way::Down,
                    "$place: seen from the $from, how far off plumb it goes to the $way->value as it falls",
                    "Hold the angle finder against the stub, seen from the $from. The other way is minus.",
                );
            }
        }

        return $steps;
    }

    /** @return list<WalkStep> */
    private function check(RunSpec $run): array
    {
        $measured = $this->surveyed->job->measured;
        $isMeasured = $measured->end($run->letter, true)?->hasPlace === true
            || $measured->end($run->letter, false)?->hasPlace === true;
        [$from, $to] = [MeasuredEnd::nameOf($run->letter, true), MeasuredEnd::nameOf($run->letter, false)];
        $isTaped = $this->isRead(static fn (ReadingSpec $one): bool => $one->kind === ReadingKind::Tape
            && array_diff([$from, $to], [$one->of, ...$one->with]) === []);

        return $isTaped || ! $isMeasured ? [] : [new WalkStep(
            ReadingKind::Tape,
            $from,
            [$to],
            null,
            null,
            'Straight from '.ReadingWords::place($from).' to '.ReadingWords::place($to),
            'Middle to middle, in one straight line. It checks all the others; pass it by where something is in the way.',
            true,
        )];
    }

    /** @param  \Closure(ReadingSpec): bool  $is */
    private function isRead(\Closure $is): bool
    {
        foreach ($this->surveyed->job->measured->readings as $one) {
            if (! $one->isLeftOut && $is($one)) {
                return true;
            }
        }

        return false;
    }
}

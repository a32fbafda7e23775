<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\TwoBend;

use UpsweptBead\Core\Solve\Route\Blocked;
use UpsweptBead\Core\Solve\Route\Constraint;

/**
 * Says what blocks a two-bend route: for each constraint the least it would have to give way on its own.
 *
 * Where no single one is enough, the set that misses least together is named instead. A degree weighs as a millimetre.
 */
final readonly class NearestMiss
{
    /** Samples lie the closer the nearer to the ends. */
    private const CROWDING = 1.5;

    /** Steps end this fine (mm), for gains above rounding; what is missed by more counts (mm or °). */
    private const FINEST_MM = 1e-4;

    private const GAIN = 1e-12;

    private const MISSED = 5e-3;

    private const SAMPLES = 24;

    /** How many of the nearest pairs of radii are asked what would open them. */
    private const CLOSEST = 2;

    private const MOST_MOVES = 30;

    /** The others must hold this much more dearly while one is let go. */
    private const HELD = 1e3;

    /**
     * @param  list<TwoBendFamily>  $families
     * @return list<Blocked> smallest first
     */
    public static function of(array $families): array
    {
        $together = [];
        foreach ($families as $family) {
            $miss = self::least($family, null);
            if ($miss !== []) {
                $together[] = [array_sum($miss), $miss, $family];
            }
        }
        usort($together, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        $alone = [];
        foreach (array_slice($together, 0, self::CLOSEST) as [, , $family]) {
            foreach (Constraint::cases() as $constraint) {
                $miss = $constraint === Constraint::Stock ? [] : self::least($family, $constraint);
                if (array_keys($miss) === [$constraint->value]) {
                    $blocked = new Blocked(
                        $constraint,
                        $miss[$constraint->value],
                        true,
                        $family->firstClrMm,
                        $family->secondClrMm,
                    );
                    $known = $alone[$constraint->value] ?? null;
                    $alone[$constraint->value] = $known === null || $blocked->by < $known->by ? $blocked : $known;
                }
            }
        }
        if ($alone === [] && $together !== []) {
            [, $miss, $family] = $together[0];
            $alone = array_map(
                static fn (string $name, float $by): Blocked => new Blocked(
                    Constraint::from($name),
                    $by,
                    false,
                    $family->firstClrMm,
                    $family->secondClrMm,
                ),
                array_keys($miss),
                $miss,
            );
        }
        usort($alone, static fn (Blocked $a, Blocked $b): int => $a->by <=> $b->by);

        return $alone;
    }

    /** @return array<string, float> the misses where they weigh least: sampled, then refined by a shrinking pattern search */
    private static function least(TwoBendFamily $family, ?Constraint $letGo): array
    {
        $reach = $family->reachMm();
        [$best, $at] = [INF, [0.0, 0.0]];
        for ($i = 0; $i < self::SAMPLES; $i++) {
            for ($j = 0; $j < self::SAMPLES; $j++) {
                $p = $reach * ($i / self::SAMPLES) ** self::CROWDING;
                $q = $reach * ($j / self::SAMPLES) ** self::CROWDING;
                $weight = self::weight($family, $p, $q, $letGo);
                if ($weight < $best) {
                    [$best, $at] = [$weight, [$p, $q]];
                }
            }
        }
        for ($step = $reach / self::SAMPLES; $step > self::FINEST_MM; $step *= 0.5) {
            for ($moves = 0, $moved = true; $moved && $moves < self::MOST_MOVES; $moves++) {
                $moved = false;
                foreach ([[1, 0], [-1, 0], [0, 1], [0, -1], [1, 1], [-1, -1], [1, -1], [-1, 1]] as [$dp, $dq]) {
                    [$p, $q] = [$at[0] + $step * $dp, $at[1] + $step * $dq];
                    $weight = self::weight($family, $p, $q, $letGo);
                    if ($weight < $best - self::GAIN) {
                        [$best, $at, $moved] = [$weight, [$p, $q], true];
                    }
                }
            }
        }
        $legs = $family->at($at[0], $at[1]);

        return $legs === null
            ? []
            : array_filter($family->misses($legs), static fn (float $miss): bool => $miss > self::MISSED);
    }

    private static function weight(TwoBendFamily $family, float $p, float $q, ?Constraint $letGo): float
    {
        $legs = $family->at($p, $q);
        if ($legs === null) {
            return INF;
        }
        $sum = 0.0;
        foreach ($family->lacks($legs) as $name => $lack) {
            if ($lack > 0) {
                $sum += $letGo === null || $name === $letGo->value ? $lack : self::HELD * $lack;
            }
        }

        return $sum;
    }
}

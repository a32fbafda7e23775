<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Survey;

use UpsweptBead\Core\Job\Measured\Way;
use UpsweptBead\Core\Solve\Adjust\Estimate;
use UpsweptBead\Core\Solve\Adjust\Unknowns;

/**
 * Readings that fit more than one answer: what has to be said to choose one of them. Three tapes meet on either side of
 * the plane of their points.
 */
final readonly class TwoAnswers
{
    /** Answers nearer than this are told apart by nobody, mm. */
    private const APART_MM = 1.0;

    /** @param  Way|null  $way  null where no word alone tells it from the others */
    private function __construct(
        public string $of,
        public bool $isFacing,
        public ?Way $way,
        public string $says,
    ) {}

    /**
     * @param  list<Estimate>  $answers
     * @return list<self> one for each
     */
    public static function of(array $answers, Unknowns $unknowns): array
    {
        if (count($answers) < 2) {
            return [];
        }
        [$of, $isFacing] = self::differing($answers, $unknowns);

        return array_map(static fn (int $i): self => self::one($answers, $i, $of, $isFacing), array_keys($answers));
    }

    /**
     * @param  non-empty-list<Estimate>  $answers
     * @return array{string, bool} the point or end that they differ by most, and whether it is the way it faces
     */
    private static function differing(array $answers, Unknowns $unknowns): array
    {
        [$of, $most] = ['', self::APART_MM];
        foreach (array_keys($unknowns->places) as $name) {
            $apart = MeasuredSheet::inJob($answers[0]->places[$name])
                ->distanceTo(MeasuredSheet::inJob($answers[1]->places[$name]));
            [$of, $most] = $apart > $most ? ["$name", $apart] : [$of, $most];
        }
        if ($of !== '') {
            return [$of, false];
        }
        [$of, $most] = ['', 0.0];
        foreach (array_keys($unknowns->axes) as $name) {
            $apart = MeasuredSheet::inJob($answers[0]->axes[$name])
                ->angleDegTo(MeasuredSheet::inJob($answers[1]->axes[$name]));
            [$of, $most] = $apart >= $most ? ["$name", $apart] : [$of, $most];
        }

        return [$of, true];
    }

    /** @param  list<Estimate>  $answers */
    private static function one(array $answers, int $i, string $of, bool $isFacing): self
    {
        $along = static function (Estimate $one, Way $way) use ($of, $isFacing): float {
            $it = MeasuredSheet::inJob($isFacing ? $one->axes[$of] : $one->places[$of])->toArray();

            return $it[$way->axis()] * ($way->isAgainst() ? -1.0 : 1.0);
        };
        [$best, $margin] = [null, $isFacing ? 0.0 : self::APART_MM];
        foreach (Way::cases() as $way) {
            $mine = $along($answers[$i], $way);
            $others = -INF;
            foreach ($answers as $k => $other) {
                $others = $k === $i ? $others : max($others, $along($other, $way));
            }
            // Sides are told by the one furthest that way; an axis faces a way or it does not.
            $ahead = match (true) {
                ! $isFacing => $mine - $others,
                $others <= 0.0 => $mine,
                default => 0.0,
            };
            [$best, $margin] = $ahead > $margin ? [$way, $ahead] : [$best, $margin];
        }

        return new self($of, $isFacing, $best, sprintf(
            $isFacing ? '%s points %s' : '%s further %s',
            ucfirst(ReadingWords::place($of)),
            $best->value ?? 'this way',
        ));
    }
}

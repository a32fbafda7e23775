<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Survey;

use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Base\Units\Length;
use UpsweptBead\Core\Job\Job;
use UpsweptBead\Core\Job\Measured\MeasuredEnd;
use UpsweptBead\Core\Job\Measured\ReadingSpec;
use UpsweptBead\Core\Job\Measured\Way;
use UpsweptBead\Core\Job\Run\RunEnd;
use UpsweptBead\Core\Shop\Practice\ShopRules;
use UpsweptBead\Core\Solve\Adjust\Reading;
use UpsweptBead\Core\Solve\Adjust\ReadingKind;
use UpsweptBead\Core\Solve\Adjust\Sheet;
use UpsweptBead\Core\Solve\Adjust\Xyz;

/**
 * The readings of a job as a sheet to adjust. A job counts rearward, right and up, the sheet forward, left and up: the
 * same turned half round, so that bearings keep their sense.
 *
 * @phpstan-import-type Triple from Xyz
 */
final readonly class MeasuredSheet
{
    /** Where a bearing counts from in the sheet, anticlockwise from forward. */
    private const BEARINGS = ['forward' => 0.0, 'left' => 90.0, 'rearward' => 180.0, 'right' => -90.0];

    /** Going round to the left, seen from above. */
    private const ROUND = ['forward', 'left', 'rearward', 'right'];

    private const WHOLE = [[0, 'rearward'], [1, 'right'], [2, 'up']];

    public static function of(Job $job, ShopRules $rules): Sheet
    {
        $places = [Sheet::DATUM => Xyz::ZERO];
        $axes = $facing = $sides = [];
        foreach ($job->runs as $run) {
            foreach ([[true, $run->start], [false, $run->end]] as [$isStart, $end]) {
                $name = MeasuredEnd::nameOf($run->letter, $isStart);
                $read = $job->measured->end($run->letter, $isStart);
                $places[$name] = $read?->hasPlace === true ? null : self::turned($end->frame()->at);
                $axes[$name] = $read?->hasDirection === true ? null : self::out($end, $isStart);
                if ($read?->side !== null) {
                    $sides[$name] = $read->side->word();
                }
                if ($read?->facing !== null) {
                    $facing[$name] = $read->facing->word();
                }
            }
        }
        foreach ($job->measured->points as $point) {
            $places[$point->name] = $point->at === null ? null : self::point($point->at);
            if ($point->side !== null) {
                $sides[$point->name] = $point->side->word();
            }
        }
        $readings = [];
        foreach ($job->measured->readings as $one) {
            if (! $one->isLeftOut) {
                $readings[] = self::reading($one, self::sigma($one, $rules));
            }
        }

        return new Sheet($places, $axes, array_keys($axes), $facing, $sides, $readings);
    }

    /** How far a reading may be off: one standard deviation, mm or degrees. */
    public static function sigma(ReadingSpec $one, ShopRules $rules): float
    {
        return $one->ownSigma() ?? $rules->value($one->tool->rule());
    }

    private static function reading(ReadingSpec $one, float $sigma): Reading
    {
        $of = $one->of;
        [$with, $other] = [$one->with[0] ?? '', $one->with[1] ?? ''];
        $deg = $one->angleDeg ?? 0.0;
        $points = array_map(
            static fn (array|string $point): array|string => is_string($point) ? $point : self::point($point),
            $one->points,
        );

        return match ($one->kind) {
            ReadingKind::Offset => Reading::offset($one->id, $sigma, $of, $with, self::offsets($one)),
            ReadingKind::Tape => Reading::tape($one->id, $sigma, $of, $with, $one->lengths[0]->mm ?? 0.0),
            ReadingKind::Rod => Reading::rod($one->id, $sigma, $of, $points),
            ReadingKind::Face => Reading::face($one->id, $sigma, $of, $points),
            ReadingKind::BoltCircle => Reading::boltCircle(
                $one->id,
                $sigma,
                $of,
                $points,
                isset($one->lengths[0]) ? $one->lengths[0]->mm / 2 : null,
            ),
            ReadingKind::Dip => Reading::dip($one->id, $sigma, $of, $one->toward === Way::Up ? -$deg : $deg),
            ReadingKind::Bearing => self::bearing($one, $sigma, $deg),
            ReadingKind::Lean => self::lean($one, $sigma, $deg),
            ReadingKind::Level => $one->isOther
                ? Reading::plumb($one->id, $sigma, $of)
                : Reading::level($one->id, $sigma, $of),
            ReadingKind::SquareTo => Reading::squareTo($one->id, $sigma, $of, $with, $one->isOther),
            ReadingKind::Angle => Reading::angle($one->id, $sigma, $of, $with, $deg),
            ReadingKind::Midpoint => Reading::midpoint($one->id, $sigma, $of, $with, $other),
            ReadingKind::OnLine => Reading::onLine($one->id, $sigma, $of, $with, $other),
        };
    }

    /** @return array<int<0, 2>, float> by axis of the sheet */
    private static function offsets(ReadingSpec $one): array
    {
        $values = [];
        foreach (self::WHOLE as [$axis, $way]) {
            $length = $one->way === null ? $one->lengths[$axis] ?? null : null;
            if ($one->way?->value === $way) {
                $length = $one->lengths[0] ?? null;
            }
            if ($length !== null) {
                $values[$axis] = ($axis === 2 ? $length->mm : -$length->mm) + 0.0;
            }
        }

        return $values;
    }

    private static function bearing(ReadingSpec $one, float $sigma, float $deg): Reading
    {
        $from = $one->way ?? Way::Forward;
        $isLeft = self::ROUND[((int) array_search($from->value, self::ROUND, true) + 1) % 4] === $one->toward?->value;

        $zeroDeg = self::BEARINGS[$from->value] ?? 0.0;

        return Reading::bearing($one->id, $sigma, $one->of, $isLeft ? $deg : -$deg, $zeroDeg);
    }

    /** A job says how far it leans which way from plumb, rising or falling; a sheet counts from plumb up. */
    private static function lean(ReadingSpec $one, float $sigma, float $deg): Reading
    {
        $way = $one->way ?? Way::Forward;
        $fromUp = $one->toward === Way::Down ? 180.0 - $deg : $deg;
        $isAhead = $way === Way::Forward || $way === Way::Left;

        return Reading::lean($one->id, $sigma, $one->of, $isAhead ? $fromUp : -$fromUp, $way->axis() === 1);
    }

    /**
     * @param  array{Length, Length, Length}  $at
     * @return Triple
     */
    private static function point(array $at): array
    {
        return self::turned(new Vector($at[0]->mm, $at[1]->mm, $at[2]->mm));
    }

    /** @return Triple the axis of an end, out of the part: with the flow at a start, against it at an end */
    private static function out(RunEnd $end, bool $isStart): array
    {
        return self::turned($end->frame()->forward->times($isStart ? 1.0 : -1.0));
    }

    /** @return Triple a vector of the job in the sheet */
    private static function turned(Vector $one): array
    {
        return [-$one->x + 0.0, -$one->y + 0.0, $one->z];
    }

    /** @param  Triple  $one  of the sheet */
    public static function inJob(array $one): Vector
    {
        return new Vector(-$one[0] + 0.0, -$one[1] + 0.0, $one[2]);
    }
}

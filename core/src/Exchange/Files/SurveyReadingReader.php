<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

use UpsweptBead\Core\Solve\Adjust\Observation;
use UpsweptBead\Core\Solve\Adjust\Observation\AngleOf;
use UpsweptBead\Core\Solve\Adjust\Observation\AxisAngle;
use UpsweptBead\Core\Solve\Adjust\Observation\Between;
use UpsweptBead\Core\Solve\Adjust\Observation\InFace;
use UpsweptBead\Core\Solve\Adjust\Observation\Midway;
use UpsweptBead\Core\Solve\Adjust\Observation\Offset;
use UpsweptBead\Core\Solve\Adjust\Observation\OnAxis;
use UpsweptBead\Core\Solve\Adjust\Observation\OnCircle;
use UpsweptBead\Core\Solve\Adjust\Observation\OnLine;
use UpsweptBead\Core\Solve\Adjust\Observation\SquareTo;
use UpsweptBead\Core\Solve\Adjust\Observation\Tape;
use UpsweptBead\Core\Solve\Adjust\Reading;
use UpsweptBead\Core\Solve\Adjust\ReadingKind;
use UpsweptBead\Core\Solve\Adjust\Sheet;
use UpsweptBead\Core\Solve\Adjust\Xyz;

/**
 * Reads one reading of a survey file.
 *
 * @phpstan-import-type Triple from Xyz
 */
final readonly class SurveyReadingReader
{
    private const AXES = ['x' => 0, 'y' => 1, 'z' => 2];

    private const BEARINGS = ['x' => 0.0, 'y' => 90.0, '-x' => 180.0, '-y' => -90.0];

    private const MOST_POINTS = 60;

    /**
     * @param  list<string>  $places  names of points and ends
     * @param  list<string>  $ends
     */
    public function __construct(private array $places, private array $ends) {}

    public function read(SurveyFile $file, string $id): ?Reading
    {
        $kind = is_string($file->fields['kind'] ?? null) ? ReadingKind::tryFrom($file->fields['kind']) : null;
        $sigma = $file->above('sigma');
        if ($kind === null) {
            $file->refuse($file->has('kind') ? 'unknown' : 'invalid', 'kind');

            return null;
        }

        return match ($kind) {
            ReadingKind::Offset => $this->offset($file, $id, $sigma),
            ReadingKind::Tape => $this->tape($file, $id, $sigma),
            ReadingKind::Rod, ReadingKind::Face, ReadingKind::BoltCircle => $this->points($file, $id, $sigma, $kind),
            ReadingKind::SquareTo => $this->square($file, $id, $sigma),
            ReadingKind::Angle => $this->between($file, $id, $sigma),
            ReadingKind::Midpoint => $this->middle($file, $id, $sigma),
            ReadingKind::OnLine => $this->line($file, $id, $sigma),
            default => $this->angle($file, $id, $sigma, $kind),
        };
    }

    private function offset(SurveyFile $file, string $id, float $sigma): Reading
    {
        $of = $this->place($file, 'of');
        $from = $file->has('from') ? $this->place($file, 'from') : Sheet::DATUM;
        $axis = $file->oneOf('axis', ['x', 'y', 'z', 'xyz']);
        if ($axis !== 'xyz') {
            $one = new Offset($of, $from, self::AXES[$axis] ?? 0, $file->number('value'));
            $observations = [new Observation($id, $id, $sigma, $one)];
        } else {
            $values = $file->triple('value');
            $observations = [];
            foreach (self::AXES as $letter => $i) {
                $observations[] = new Observation("$id.$letter", $id, $sigma, new Offset($of, $from, $i, $values[$i]));
            }
        }

        return new Reading($id, ReadingKind::Offset, $observations, places: [$of, $from]);
    }

    private function tape(SurveyFile $file, string $id, float $sigma): Reading
    {
        [$one, $other] = $this->pair($file, 'between', $this->places);

        return new Reading(
            $id,
            ReadingKind::Tape,
            [new Observation($id, $id, $sigma, new Tape($one, $other, $file->number('value', 0.0)))],
            places: [$one, $other],
        );
    }

    private function points(SurveyFile $file, string $id, float $sigma, ReadingKind $kind): Reading
    {
        $end = $this->end($file, 'end');
        $points = [];
        foreach ($file->items('points', self::MOST_POINTS) as $one) {
            $triple = SurveyFile::asTriple($one);
            if ($triple !== null) {
                $points[] = $triple;
            } elseif (is_string($one)) {
                $points[] = $this->known($file, 'points', $one, $this->places);
            } else {
                $file->refuse('invalid', 'points');
            }
        }
        if (count($points) < ($kind === ReadingKind::Rod ? 2 : 3)) {
            $file->refuse('invalid', 'points');
        }
        $radius = $kind === ReadingKind::BoltCircle && $file->has('diameter') ? $file->above('diameter') / 2 : null;
        $observations = [];
        foreach ($points as $i => $point) {
            $n = $i + 1;
            $observations = [...$observations, ...match ($kind) {
                ReadingKind::Rod => [
                    new Observation("$id.{$n}h", $id, $sigma, new OnAxis($end, $point, false)),
                    new Observation("$id.{$n}v", $id, $sigma, new OnAxis($end, $point, true)),
                ],
                ReadingKind::Face => [new Observation("$id.$n", $id, $sigma, new InFace($end, $point))],
                default => [
                    new Observation("$id.{$n}f", $id, $sigma, new InFace($end, $point)),
                    new Observation("$id.{$n}c", $id, $sigma, new OnCircle($id, $end, $point, $radius)),
                ],
            }];
        }

        return new Reading($id, $kind, $observations, $end, $points);
    }

    private function angle(SurveyFile $file, string $id, float $sigma, ReadingKind $kind): Reading
    {
        $end = $this->end($file, 'end');
        $one = static fn (
            AngleOf $of,
            float $value,
            string $suffix = '',
            float $zero = 0.0,
        ): Observation => new Observation($id.$suffix, $id, $sigma, new AxisAngle($end, $of, $value, $zero));
        $observations = match ($kind) {
            ReadingKind::Dip => [$one(AngleOf::Dip, $file->number('value', -90.0, 90.0))],
            ReadingKind::Bearing => [$one(
                AngleOf::Bearing,
                $file->number('value'),
                '',
                self::BEARINGS[$file->oneOf('from', array_keys(self::BEARINGS))] ?? 0.0,
            )],
            ReadingKind::Lean => [$one(
                $file->oneOf('view', ['side', 'front']) === 'front' ? AngleOf::LeanFromFront : AngleOf::LeanFromSide,
                $file->number('value', -180.0, 180.0),
            )],
            default => $file->oneOf('is', ['level', 'plumb']) === 'level'
                ? [$one(AngleOf::Dip, 0.0)]
                : [$one(AngleOf::Forward, 0.0, '.x'), $one(AngleOf::Left, 0.0, '.y')],
        };

        return new Reading($id, $kind, $observations, $end);
    }

    private function square(SurveyFile $file, string $id, float $sigma): Reading
    {
        [$end, $to] = [$this->end($file, 'end'), $this->end($file, 'to')];

        return new Reading(
            $id,
            ReadingKind::SquareTo,
            [
                new Observation("$id.h", $id, $sigma, new SquareTo($end, $to, false)),
                new Observation("$id.v", $id, $sigma, new SquareTo($end, $to, true)),
            ],
            $end,
            to: $to,
            isOpposite: $file->oneOf('sense', ['same', 'opposite']) === 'opposite',
        );
    }

    private function between(SurveyFile $file, string $id, float $sigma): Reading
    {
        [$one, $other] = $this->pair($file, 'ends', $this->ends);

        return new Reading(
            $id,
            ReadingKind::Angle,
            [new Observation($id, $id, $sigma, new Between($one, $other, $file->number('value', 0.0, 180.0)))],
            $one,
            to: $other,
        );
    }

    private function middle(SurveyFile $file, string $id, float $sigma): Reading
    {
        $of = $this->place($file, 'of');
        [$one, $other] = $this->pair($file, 'between', $this->places);

        $observations = [];
        foreach (self::AXES as $letter => $i) {
            $observations[] = new Observation("$id.$letter", $id, $sigma, new Midway($of, $one, $other, $i));
        }

        return new Reading($id, ReadingKind::Midpoint, $observations, places: [$of, $one, $other]);
    }

    private function line(SurveyFile $file, string $id, float $sigma): Reading
    {
        $of = $this->place($file, 'of');
        [$from, $to] = $this->pair($file, 'through', $this->places);

        return new Reading($id, ReadingKind::OnLine, [
            new Observation("$id.h", $id, $sigma, new OnLine($of, $from, $to, false)),
            new Observation("$id.v", $id, $sigma, new OnLine($of, $from, $to, true)),
        ], places: [$of, $from, $to]);
    }

    private function place(SurveyFile $file, string $field): string
    {
        return $this->known($file, $field, $file->text($field), $this->places);
    }

    private function end(SurveyFile $file, string $field): string
    {
        return $this->known($file, $field, $file->text($field), $this->ends);
    }

    /**
     * @param  list<string>  $of
     * @return array{string, string} two different names
     */
    private function pair(SurveyFile $file, string $field, array $of): array
    {
        $items = $file->items($field, 2);
        [$one, $other] = [$items[0] ?? null, $items[1] ?? null];
        if (! is_string($one) || ! is_string($other) || $one === $other) {
            $file->refuse('invalid', $field);

            return [Sheet::DATUM, Sheet::DATUM];
        }

        return [$this->known($file, $field, $one, $of), $this->known($file, $field, $other, $of)];
    }

    /** @param  list<string>  $of */
    private function known(SurveyFile $file, string $field, string $name, array $of): string
    {
        if (! in_array($name, $of, true)) {
            $file->refuse('unknown', $field);
        }

        return $name;
    }
}

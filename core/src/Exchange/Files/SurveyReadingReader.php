<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Exchange\Files;

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

        return Reading::offset($id, $sigma, $of, $from, $axis === 'xyz'
            ? $file->triple('value')
            : [self::AXES[$axis] ?? 0 => $file->number('value')]);
    }

    private function tape(SurveyFile $file, string $id, float $sigma): Reading
    {
        [$one, $other] = $this->pair($file, 'between', $this->places);

        return Reading::tape($id, $sigma, $one, $other, $file->number('value', 0.0));
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

        return match ($kind) {
            ReadingKind::Rod => Reading::rod($id, $sigma, $end, $points),
            ReadingKind::Face => Reading::face($id, $sigma, $end, $points),
            default => Reading::boltCircle(
                $id,
                $sigma,
                $end,
                $points,
                $file->has('diameter') ? $file->above('diameter') / 2 : null,
            ),
        };
    }

    private function angle(SurveyFile $file, string $id, float $sigma, ReadingKind $kind): Reading
    {
        $end = $this->end($file, 'end');

        return match ($kind) {
            ReadingKind::Dip => Reading::dip($id, $sigma, $end, $file->number('value', -90.0, 90.0)),
            ReadingKind::Bearing => Reading::bearing(
                $id,
                $sigma,
                $end,
                $file->number('value'),
                self::BEARINGS[$file->oneOf('from', array_keys(self::BEARINGS))] ?? 0.0,
            ),
            ReadingKind::Lean => Reading::lean(
                $id,
                $sigma,
                $end,
                $file->number('value', -180.0, 180.0),
                $file->oneOf('view', ['side', 'front']) === 'front',
            ),
            default => $file->oneOf('is', ['level', 'plumb']) === 'level'
                ? Reading::level($id, $sigma, $end)
                : Reading::plumb($id, $sigma, $end),
        };
    }

    private function square(SurveyFile $file, string $id, float $sigma): Reading
    {
        $isOpposite = $file->oneOf('sense', ['same', 'opposite']) === 'opposite';

        return Reading::squareTo($id, $sigma, $this->end($file, 'end'), $this->end($file, 'to'), $isOpposite);
    }

    private function between(SurveyFile $file, string $id, float $sigma): Reading
    {
        [$one, $other] = $this->pair($file, 'ends', $this->ends);

        return Reading::angle($id, $sigma, $one, $other, $file->number('value', 0.0, 180.0));
    }

    private function middle(SurveyFile $file, string $id, float $sigma): Reading
    {
        $of = $this->place($file, 'of');
        [$one, $other] = $this->pair($file, 'between', $this->places);

        return Reading::midpoint($id, $sigma, $of, $one, $other);
    }

    private function line(SurveyFile $file, string $id, float $sigma): Reading
    {
        $of = $this->place($file, 'of');
        [$from, $to] = $this->pair($file, 'through', $this->places);

        return Reading::onLine($id, $sigma, $of, $from, $to);
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

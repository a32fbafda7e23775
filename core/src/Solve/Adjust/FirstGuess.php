<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Adjust;

use UpsweptBead\Core\Solve\Adjust\Observation\AngleOf;
use UpsweptBead\Core\Solve\Adjust\Observation\AxisAngle;
use UpsweptBead\Core\Solve\Adjust\Observation\Offset;
use UpsweptBead\Core\Solve\Adjust\Observation\Tape;

/**
 * Where to begin: what follows from the readings one after another. What does not follow stands somewhere generic, so
 * that no symmetry hides what is not determined.
 *
 * @phpstan-import-type Triple from Xyz
 */
final class FirstGuess
{
    /** A generic place and a generic axis; nothing at a car stands just so. */
    private const SOMEWHERE = [-173.0, 211.0, -89.0];

    private const SOME_WAY = [0.48, 0.62, -0.62];

    /** @var array<string, array<int, float>> coordinates that are known so far, by place */
    private array $known = [];

    /** @var array<string, Triple> */
    private array $axes = [];

    private function __construct(private readonly Sheet $sheet) {}

    public static function of(Sheet $sheet): Estimate
    {
        return (new self($sheet))->guess();
    }

    private function guess(): Estimate
    {
        foreach ($this->sheet->places as $name => $at) {
            $this->known[$name] = $at ?? [];
        }
        foreach ($this->sheet->axes as $name => $axis) {
            if ($axis !== null) {
                $this->axes[$name] = $axis;
            }
        }
        for ($round = 0; $round < 6; $round++) {
            $before = [array_map(count(...), $this->known), count($this->axes)];
            foreach ($this->sheet->readings as $reading) {
                $this->follow($reading);
            }
            $this->byTapes();
            if ($before === [array_map(count(...), $this->known), count($this->axes)]) {
                break;
            }
        }

        return $this->estimate();
    }

    private function estimate(): Estimate
    {
        $places = [];
        $i = 0;
        foreach ($this->sheet->places as $name => $at) {
            $side = $this->sheet->sides[$name] ?? null;
            $some = Xyz::plus(self::SOMEWHERE, [17.0 * $i, -23.0 * $i, 29.0 * $i]);
            $some = $side === null ? $some : Xyz::plus($some, $side->way(), 900.0);
            $known = $this->known[$name];
            $places[$name] = [$known[0] ?? $some[0], $known[1] ?? $some[1], $known[2] ?? $some[2]];
            $i++;
        }
        $axes = [];
        foreach ($this->sheet->axes as $name => $axis) {
            $axes[$name] = Xyz::unit($this->axes[$name] ?? $this->facing($name, self::SOME_WAY));
        }
        $radii = [];
        foreach ($this->sheet->readings as $reading) {
            if (isset($this->sheet->unknowns->radii[$reading->id])) {
                $radii[$reading->id] = $this->radius($reading, $places);
            }
        }

        return new Estimate($places, $axes, $radii);
    }

    private function follow(Reading $reading): void
    {
        foreach ($reading->observations as $observation) {
            $one = $observation->of;
            if ($one instanceof Offset) {
                $from = $this->known[$one->from][$one->axis] ?? null;
                $of = $this->known[$one->of][$one->axis] ?? null;
                if ($of === null && $from !== null) {
                    $this->known[$one->of][$one->axis] = $from + $one->valueMm;
                } elseif ($from === null && $of !== null) {
                    $this->known[$one->from][$one->axis] = $of - $one->valueMm;
                }
            }
        }
        match ($reading->kind) {
            ReadingKind::Midpoint => $this->middle($reading->places),
            ReadingKind::OnLine => $this->between($reading->places),
            ReadingKind::Rod => $this->alongRod($reading),
            ReadingKind::Face, ReadingKind::BoltCircle => $this->inFace($reading),
            ReadingKind::Dip, ReadingKind::Bearing => $this->byAngles($reading->end),
            ReadingKind::Lean, ReadingKind::Level => $this->byAngles($reading->end),
            ReadingKind::SquareTo => $this->square($reading),
            default => null,
        };
    }

    /** @return Triple|null */
    private function place(string $name): ?array
    {
        $known = $this->known[$name];

        return isset($known[0], $known[1], $known[2]) ? [$known[0], $known[1], $known[2]] : null;
    }

    /**
     * @param  list<string|Triple>  $points
     * @return list<Triple>|null
     */
    private function all(array $points): ?array
    {
        $all = [];
        foreach ($points as $point) {
            $at = is_string($point) ? $this->place($point) : $point;
            if ($at === null) {
                return null;
            }
            $all[] = $at;
        }

        return $all;
    }

    /** @param  list<string>  $names  the middle, then the two it lies between */
    private function middle(array $names): void
    {
        [$of, $one, $other] = [$names[0] ?? '', $names[1] ?? '', $names[2] ?? ''];
        foreach ([0, 1, 2] as $axis) {
            $middle = $this->known[$of][$axis] ?? null;
            $first = $this->known[$one][$axis] ?? null;
            $last = $this->known[$other][$axis] ?? null;
            if ($middle === null && $first !== null && $last !== null) {
                $this->known[$of][$axis] = ($first + $last) / 2;
            } elseif ($middle !== null && $first !== null && $last === null) {
                $this->known[$other][$axis] = 2 * $middle - $first;
            } elseif ($middle !== null && $first === null && $last !== null) {
                $this->known[$one][$axis] = 2 * $middle - $last;
            }
        }
    }

    /** @param  list<string>  $names  the point, then the two its line goes through */
    private function between(array $names): void
    {
        [$from, $to] = [$this->place($names[1] ?? ''), $this->place($names[2] ?? '')];
        $of = $names[0] ?? '';
        if ($from === null || $to === null || $this->known[$of] === [] || $this->place($of) !== null) {
            return;
        }
        // Where one coordinate is known, the line says the others.
        foreach ($this->known[$of] as $axis => $value) {
            $run = $to[$axis] - $from[$axis];
            if (abs($run) > 1.0) {
                $this->known[$of] = Xyz::plus($from, Xyz::minus($to, $from), ($value - $from[$axis]) / $run);

                return;
            }
        }
    }

    private function alongRod(Reading $rod): void
    {
        $points = $this->all($rod->points);
        if ($points === null || count($points) < 2) {
            return;
        }
        $way = Xyz::minus($points[count($points) - 1], $points[0]);
        $this->axes[$rod->end] ??= Xyz::unit($way);
        $at = $this->known[$rod->end];
        if ($this->place($rod->end) === null) {
            // Where one coordinate of the end is known, the rod says the others.
            foreach ($at as $axis => $value) {
                if (abs($way[$axis]) > 1e-3 * Xyz::length($way)) {
                    $this->known[$rod->end] = Xyz::plus($points[0], $way, ($value - $points[0][$axis]) / $way[$axis]);

                    return;
                }
            }
            $this->known[$rod->end] = $points[0];
        }
    }

    private function inFace(Reading $face): void
    {
        $points = $this->all($face->points);
        if ($points === null || count($points) < 3) {
            return;
        }
        $middle = Xyz::ZERO;
        foreach ($points as $point) {
            $middle = Xyz::plus($middle, $point, 1 / count($points));
        }
        $normal = Symmetric::flattest($points, $middle);
        $this->axes[$face->end] ??= $this->facing($face->end, $normal);
        if ($this->place($face->end) === null) {
            $this->known[$face->end] += $middle;
        }
    }

    private function byAngles(string $end): void
    {
        if (isset($this->axes[$end])) {
            return;
        }
        $read = [];
        foreach ($this->sheet->readings as $reading) {
            foreach ($reading->end === $end ? $reading->observations : [] as $observation) {
                $one = $observation->of;
                if ($one instanceof AxisAngle) {
                    $read[$one->of->name] = deg2rad($one->valueDeg + $one->zeroDeg);
                }
            }
        }
        $dip = $read[AngleOf::Dip->name] ?? null;
        $bearing = $read[AngleOf::Bearing->name] ?? null;
        [$side, $front] = [$read[AngleOf::LeanFromSide->name] ?? null, $read[AngleOf::LeanFromFront->name] ?? null];
        $axis = match (true) {
            $dip !== null && $bearing !== null => [cos($dip) * cos($bearing), cos($dip) * sin($bearing), -sin($dip)],
            $side !== null && $front !== null => self::leaning($side, $front),
            isset($read[AngleOf::Forward->name]) => $this->facing($end, [0.02, 0.03, 1.0]),
            $side !== null && $dip !== null => $this->leaningBy($side, $dip, 0, $end),
            $front !== null && $dip !== null => $this->leaningBy($front, $dip, 1, $end),
            default => null,
        };
        if ($axis !== null) {
            $this->axes[$end] = Xyz::unit($axis);
        }
    }

    /**
     * From both leans: d goes as (tan a, tan b, 1), or against that where it falls.
     *
     * @return Triple
     */
    private static function leaning(float $side, float $front): array
    {
        $isFalling = cos($side) < 0.0;
        $axis = [tan($side), tan($front), 1.0];

        return $isFalling ? Xyz::times($axis, -1.0) : $axis;
    }

    /**
     * From one lean and the dip; the third part of it either way.
     *
     * @return Triple
     */
    private function leaningBy(float $lean, float $dip, int $axis, string $end): array
    {
        $z = -sin($dip);
        $along = $z * tan($lean);
        $left = sqrt(max(0.0, 1 - $z ** 2 - $along ** 2));
        $ways = $axis === 0
            ? [[$along, $left, $z], [$along, -$left, $z]]
            : [[$left, $along, $z], [-$left, $along, $z]];
        $face = $this->sheet->facing[$end] ?? null;

        return $face !== null && Xyz::dot($ways[0], $face->way()) < 0.0 ? $ways[1] : $ways[0];
    }

    private function square(Reading $reading): void
    {
        $sense = $reading->isOpposite ? -1.0 : 1.0;
        [$one, $other] = [$this->axes[$reading->end] ?? null, $this->axes[$reading->to] ?? null];
        if ($one === null && $other !== null) {
            $this->axes[$reading->end] = Xyz::times($other, $sense);
        } elseif ($one !== null && $other === null) {
            $this->axes[$reading->to] = Xyz::times($one, $sense);
        }
    }

    /** Places that only tapes lead to: from three known places, on either side of them. */
    private function byTapes(): void
    {
        foreach ($this->known as $name => $known) {
            if (count($known) === 3) {
                continue;
            }
            $anchors = [];
            foreach ($this->sheet->readings as $reading) {
                foreach ($reading->observations as $observation) {
                    $one = $observation->of;
                    $other = match (true) {
                        ! $one instanceof Tape => null,
                        $one->one === $name => $one->other,
                        $one->other === $name => $one->one,
                        default => null,
                    };
                    $at = $other === null ? null : $this->place($other);
                    if ($one instanceof Tape && $at !== null) {
                        $anchors[] = [$at, $one->valueMm];
                    }
                }
            }
            $found = Spheres::meet($anchors, $known, $this->sheet->sides[$name] ?? null);
            if ($found !== null) {
                $this->known[$name] = $known + $found;
            }
        }
    }

    /**
     * @param  Triple  $axis
     * @return Triple the same, or against it where it is said to face the other way
     */
    private function facing(string $end, array $axis): array
    {
        $word = $this->sheet->facing[$end] ?? null;

        return $word !== null && Xyz::dot($axis, $word->way()) < 0.0 ? Xyz::times($axis, -1.0) : $axis;
    }

    /** @param  array<string, Triple>  $places */
    private function radius(Reading $circle, array $places): float
    {
        $sum = 0.0;
        foreach ($circle->points as $point) {
            $at = is_string($point) ? $places[$point] : $point;
            $sum += Xyz::length(Xyz::minus($at, $places[$circle->end]));
        }

        return $sum / max(1, count($circle->points));
    }
}

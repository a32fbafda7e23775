<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Adjust;

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

/**
 * A reading as it was taken: what kind, of what, and the numbers that came of it.
 *
 * @phpstan-import-type Triple from Xyz
 */
final readonly class Reading
{
    /**
     * @param  list<Observation>  $observations
     * @param  string  $end  whose axis it is about; '' for none
     * @param  list<string|Triple>  $points  of a rod from the end outwards, of a face or a circle
     * @param  list<string>  $places  of a tape, an offset, a middle or a line: what is read first
     * @param  string  $to  the other end of an angle, or the end it stands square to
     * @param  bool  $isOpposite  whether it looks the other way than the face it stands square to
     */
    private function __construct(
        public string $id,
        public ReadingKind $kind,
        public array $observations,
        public string $end = '',
        public array $points = [],
        public array $places = [],
        public string $to = '',
        public bool $isOpposite = false,
    ) {}

    /**
     * How far a place lies from another, along one axis or along all three; mm.
     *
     * @param  array<int, float>  $values  by axis, 0 to 2
     */
    public static function offset(string $id, float $sigma, string $of, string $from, array $values): self
    {
        $observations = [];
        foreach (['.x', '.y', '.z'] as $axis => $suffix) {
            if (isset($values[$axis])) {
                $name = count($values) === 1 ? $id : $id.$suffix;
                $observations[] = new Observation($name, $id, $sigma, new Offset($of, $from, $axis, $values[$axis]));
            }
        }

        return new self($id, ReadingKind::Offset, $observations, places: [$of, $from]);
    }

    public static function tape(string $id, float $sigma, string $one, string $other, float $valueMm): self
    {
        $seen = new Tape($one, $other, $valueMm);

        return new self($id, ReadingKind::Tape, [new Observation($id, $id, $sigma, $seen)], places: [$one, $other]);
    }

    /** @param  list<string|Triple>  $points  that lie on the axis of an end, from there outwards */
    public static function rod(string $id, float $sigma, string $end, array $points): self
    {
        $observations = [];
        foreach ($points as $i => $point) {
            $n = $i + 1;
            $observations[] = new Observation("$id.{$n}h", $id, $sigma, new OnAxis($end, $point, false));
            $observations[] = new Observation("$id.{$n}v", $id, $sigma, new OnAxis($end, $point, true));
        }

        return new self($id, ReadingKind::Rod, $observations, $end, $points);
    }

    /** @param  list<string|Triple>  $points  of the face of an end */
    public static function face(string $id, float $sigma, string $end, array $points): self
    {
        $observations = [];
        foreach ($points as $i => $point) {
            $observations[] = new Observation("$id.".($i + 1), $id, $sigma, new InFace($end, $point));
        }

        return new self($id, ReadingKind::Face, $observations, $end, $points);
    }

    /**
     * @param  list<string|Triple>  $points  bolts of the face of an end, on a circle about its axis
     * @param  float|null  $radiusMm  null where it is to be found
     */
    public static function boltCircle(string $id, float $sigma, string $end, array $points, ?float $radiusMm): self
    {
        $observations = [];
        foreach ($points as $i => $point) {
            $n = $i + 1;
            $observations[] = new Observation("$id.{$n}f", $id, $sigma, new InFace($end, $point));
            $observations[] = new Observation("$id.{$n}c", $id, $sigma, new OnCircle($id, $end, $point, $radiusMm));
        }

        return new self($id, ReadingKind::BoltCircle, $observations, $end, $points);
    }

    /** Below level; negative where the axis rises. */
    public static function dip(string $id, float $sigma, string $end, float $deg): self
    {
        return self::ofAxis($id, ReadingKind::Dip, $sigma, $end, ['' => [AngleOf::Dip, $deg, 0.0]]);
    }

    /** Seen from above, anticlockwise from a bearing of its own that counts anticlockwise from forward. */
    public static function bearing(string $id, float $sigma, string $end, float $deg, float $zeroDeg): self
    {
        return self::ofAxis($id, ReadingKind::Bearing, $sigma, $end, ['' => [AngleOf::Bearing, $deg, $zeroDeg]]);
    }

    /** From plumb up, towards forward seen from the side and towards the left seen from the front. */
    public static function lean(string $id, float $sigma, string $end, float $deg, bool $isFromFront): self
    {
        $of = $isFromFront ? AngleOf::LeanFromFront : AngleOf::LeanFromSide;

        return self::ofAxis($id, ReadingKind::Lean, $sigma, $end, ['' => [$of, $deg, 0.0]]);
    }

    public static function level(string $id, float $sigma, string $end): self
    {
        return self::ofAxis($id, ReadingKind::Level, $sigma, $end, ['' => [AngleOf::Dip, 0.0, 0.0]]);
    }

    public static function plumb(string $id, float $sigma, string $end): self
    {
        return self::ofAxis($id, ReadingKind::Level, $sigma, $end, [
            '.x' => [AngleOf::Forward, 0.0, 0.0],
            '.y' => [AngleOf::Left, 0.0, 0.0],
        ]);
    }

    /** @param  array<string, array{AngleOf, float, float}>  $angles  by suffix: which, its value, where it counts from */
    private static function ofAxis(string $id, ReadingKind $kind, float $sigma, string $end, array $angles): self
    {
        $observations = [];
        foreach ($angles as $suffix => [$of, $deg, $zeroDeg]) {
            $observations[] = new Observation($id.$suffix, $id, $sigma, new AxisAngle($end, $of, $deg, $zeroDeg));
        }

        return new self($id, $kind, $observations, $end);
    }

    /** @param  bool  $isOpposite  whether it looks the other way than the face it stands square to */
    public static function squareTo(string $id, float $sigma, string $end, string $to, bool $isOpposite): self
    {
        return new self($id, ReadingKind::SquareTo, [
            new Observation("$id.h", $id, $sigma, new SquareTo($end, $to, false)),
            new Observation("$id.v", $id, $sigma, new SquareTo($end, $to, true)),
        ], $end, to: $to, isOpposite: $isOpposite);
    }

    /** Between two axes, 0 to 180 degrees. */
    public static function angle(string $id, float $sigma, string $one, string $other, float $deg): self
    {
        $seen = new Observation($id, $id, $sigma, new Between($one, $other, $deg));

        return new self($id, ReadingKind::Angle, [$seen], $one, to: $other);
    }

    public static function midpoint(string $id, float $sigma, string $of, string $one, string $other): self
    {
        $observations = [];
        foreach (['x', 'y', 'z'] as $axis => $letter) {
            $seen = new Midway($of, $one, $other, $axis);
            $observations[] = new Observation("$id.$letter", $id, $sigma, $seen);
        }

        return new self($id, ReadingKind::Midpoint, $observations, places: [$of, $one, $other]);
    }

    public static function onLine(string $id, float $sigma, string $of, string $one, string $other): self
    {
        return new self($id, ReadingKind::OnLine, [
            new Observation("$id.h", $id, $sigma, new OnLine($of, $one, $other, false)),
            new Observation("$id.v", $id, $sigma, new OnLine($of, $one, $other, true)),
        ], places: [$of, $one, $other]);
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Search;

use UpsweptBead\Core\Base\Geometry\Clearance\Chords;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Route\Problem\ObjectiveWeights;

/**
 * One way for one tube: a polyline with rounded corners, measured. Plain fields, as it is read in the innermost loops.
 * Millimetres and radians.
 */
final class Way
{
    /** What a leg that leaves its end in another direction counts, mm for a cosine of 0: any angle is a breach. */
    private const OFF_AXIS_MM = 1000.0;

    /** Which way of a search it is, for remembering what was measured between two; 0 for one that is not kept. */
    public int $id = 0;

    /** How far it comes short of its clearances to keep-outs and to itself; set by who measured it. */
    public float $shortfall = 0.0;

    private ?Chords $chords = null;

    /**
     * @param  list<float>  $vertices  x, y, z of both ends and the vertices between
     * @param  list<float>  $radii  of each bend
     * @param  list<float>  $angles  of each bend
     * @param  list<float>  $straights  between the bends, one more than there are bends
     */
    private function __construct(
        public readonly Span $span,
        public readonly array $vertices,
        public readonly array $radii,
        public readonly array $angles,
        public readonly array $straights,
        public readonly float $length,
        public readonly float $turning,
        public readonly int $odd,
        public readonly float $cost,
    ) {}

    /**
     * @param  list<float>  $inner  x, y, z of the inner vertices
     * @param  list<float>  $radii
     */
    public static function of(Span $span, array $inner, array $radii): self
    {
        $bends = count($radii);
        $vertices = [...$span->port->at->toArray(), ...$inner, ...$span->inlet->at->toArray()];
        $legs = $units = [];
        for ($i = 0; $i <= $bends; $i++) {
            $x = $vertices[3 * $i + 3] - $vertices[3 * $i];
            $y = $vertices[3 * $i + 4] - $vertices[3 * $i + 1];
            $z = $vertices[3 * $i + 5] - $vertices[3 * $i + 2];
            $legs[] = $leg = max(sqrt($x * $x + $y * $y + $z * $z), 1e-9);
            array_push($units, $x / $leg, $y / $leg, $z / $leg);
        }
        $angles = $straights = [];
        $setback = $turning = $length = 0.0;
        $odd = 0;
        for ($i = 0; $i < $bends; $i++) {
            $cos =
                $units[3 * $i] * $units[3 * $i + 3] +
                $units[3 * $i + 1] * $units[3 * $i + 4] +
                $units[3 * $i + 2] * $units[3 * $i + 5];
            $angle = acos(max(-1.0, min(1.0, $cos)));
            $next = $radii[$i] * tan($angle / 2);
            $straights[] = $legs[$i] - $setback - $next;
            $setback = $next;
            $angles[] = $angle;
            $turning += $angle;
            $length += $radii[$i] * $angle;
            $odd += $span->isEven($angle) ? 0 : 1;
        }
        $straights[] = $legs[$bends] - $setback;
        $length += array_sum($straights);

        return new self(
            $span,
            $vertices,
            $radii,
            $angles,
            $straights,
            $length,
            $turning,
            $odd,
            self::costOf($span->rules->weights, $bends, $odd, $turning, $length) +
                $span->rules->weights->offPlanes($units),
        );
    }

    /**
     * The objective of one tube: bends, odd angles, turning and length, as they are to count. Turning in radians,
     * length in mm.
     */
    public static function costOf(
        ObjectiveWeights $weights,
        int $bends,
        int $odd,
        float $turning,
        float $length,
    ): float {
        return $weights->perBend * $bends +
            $weights->perOddAngle * $odd +
            ($weights->per45Deg * $turning) / (M_PI / 4) +
            ($weights->per500Mm * $length) / 500.0;
    }

    public function bends(): int
    {
        return count($this->radii);
    }

    /** By how much, in mm, the worst straight or angle is not what the rules ask for. */
    public function breach(): float
    {
        $rules = $this->span->rules;
        $last = count($this->straights) - 1;
        $worst = 0.0;
        foreach ($this->straights as $i => $straight) {
            $least = max(
                $i === 0 ? $rules->limits->firstStraightMm : 0.0,
                $i === $last ? $rules->limits->lastStraightMm : 0.0,
                $i > 0 && $i < $last ? $rules->limits->innerStraightMm : 0.0,
            );
            $worst = max($worst, $least - $straight);
        }
        foreach ($this->angles as $i => $angle) {
            $worst = max(
                $worst,
                ($this->span->minAngle - $angle) * $this->radii[$i],
                ($angle - $this->span->maxAngle($this->radii[$i])) * $this->radii[$i],
            );
        }
        [$first, $final] = [$this->unit(0), $this->unit($last)];
        $span = $this->span;

        return max(
            $worst,
            self::OFF_AXIS_MM * (1.0 - ($first[0] * $span->ax + $first[1] * $span->ay + $first[2] * $span->az)),
            self::OFF_AXIS_MM * (1.0 - ($final[0] * $span->bx + $final[1] * $span->by + $final[2] * $span->bz)),
        );
    }

    /** Cuts it into short lines; once. */
    public function cut(float $stepRad = Chords::ROUGH): self
    {
        $this->chords ??= $this->chordsOf($stepRad);

        return $this;
    }

    /** Its short lines; rough ones if it was not cut before. */
    public function chords(): Chords
    {
        return $this->chords ??= $this->chordsOf(Chords::ROUGH);
    }

    /**
     * Points at equal steps along it, both ends among them.
     *
     * @return list<Vector> one more than there are steps
     */
    public function evenly(int $steps): array
    {
        return array_map(
            static fn (array $xyz): Vector => new Vector(...$xyz),
            array_chunk($this->chords()->dots($steps), 3),
        );
    }

    /**
     * Gives a few points along it, enough to tell most ways that run through something: the middle of each straight,
     * and the beginning, middle and end of each bend.
     *
     * @return list<array{float, float, float, float}> x, y, z and station
     */
    public function landmarks(): array
    {
        $marks = [];
        $station = 0.0;
        $v = $this->vertices;
        $unit = $this->unit(0);
        $setback = 0.0;
        foreach ($this->straights as $i => $run) {
            $half = $setback + $run / 2;
            $marks[] = [
                $v[3 * $i] + $half * $unit[0],
                $v[3 * $i + 1] + $half * $unit[1],
                $v[3 * $i + 2] + $half * $unit[2],
                $station + $run / 2,
            ];
            $station += $run;
            if (! isset($this->radii[$i])) {
                break;
            }
            $next = $this->unit($i + 1);
            $radius = $this->radii[$i];
            $angle = $this->angles[$i];
            $setback = $radius * tan($angle / 2);
            [$x, $y, $z] = [$v[3 * $i + 3], $v[3 * $i + 4], $v[3 * $i + 5]];
            $marks[] = [$x - $setback * $unit[0], $y - $setback * $unit[1], $z - $setback * $unit[2], $station];
            // From the vertex towards the centre by what the arc cuts the corner short.
            $in = ($radius * (1 / cos($angle / 2) - 1)) / max(2 * sin($angle / 2), 1e-9);
            $marks[] = [
                $x + $in * ($next[0] - $unit[0]),
                $y + $in * ($next[1] - $unit[1]),
                $z + $in * ($next[2] - $unit[2]),
                $station + ($radius * $angle) / 2,
            ];
            $station += $radius * $angle;
            $marks[] = [$x + $setback * $next[0], $y + $setback * $next[1], $z + $setback * $next[2], $station];
            $unit = $next;
        }

        return $marks;
    }

    /** @return array{float, float, float} the direction of a leg */
    public function unit(int $leg): array
    {
        $v = $this->vertices;
        $x = $v[3 * $leg + 3] - $v[3 * $leg];
        $y = $v[3 * $leg + 4] - $v[3 * $leg + 1];
        $z = $v[3 * $leg + 5] - $v[3 * $leg + 2];
        $length = max(sqrt($x * $x + $y * $y + $z * $z), 1e-9);

        return [$x / $length, $y / $length, $z / $length];
    }

    private function chordsOf(float $stepRad): Chords
    {
        $chords = new Chords(
            $this->span->port->tube->odMm,
            $this->length,
            $this->turning,
            $this->length - $this->span->collector->nearMm,
            $stepRad,
        );
        $v = $this->vertices;
        [$x, $y, $z] = [$v[0], $v[1], $v[2]];
        [$ux, $uy, $uz] = $this->unit(0);
        foreach ($this->straights as $i => $run) {
            $chords->straight($x, $y, $z, $ux, $uy, $uz, $run);
            if (! isset($this->radii[$i])) {
                break;
            }
            [$vx, $vy, $vz] = $this->unit($i + 1);
            $angle = $this->angles[$i];
            $setback = $this->radii[$i] * tan($angle / 2);
            // To the centre, square to the first leg in the plane of the bend.
            $sin = max(sin($angle), 1e-9);
            $cos = cos($angle);
            $nx = ($vx - $cos * $ux) / $sin;
            $ny = ($vy - $cos * $uy) / $sin;
            $nz = ($vz - $cos * $uz) / $sin;
            if ($run > Chords::NOTHING) {
                [$x, $y, $z] = [$x + $run * $ux, $y + $run * $uy, $z + $run * $uz];
            }
            $chords->bend($x, $y, $z, $ux, $uy, $uz, $nx, $ny, $nz, $this->radii[$i], $angle);
            if ($angle > Chords::NOTHING) {
                $x = $v[3 * $i + 3] + $setback * $vx;
                $y = $v[3 * $i + 4] + $setback * $vy;
                $z = $v[3 * $i + 5] + $setback * $vz;
            }
            [$ux, $uy, $uz] = [$vx, $vy, $vz];
        }

        return $chords;
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Route\Search;

use UpsweptBead\Core\Geometry\Vector;
use UpsweptBead\Core\Job\ObjectiveWeights;

/**
 * One way for one tube: a polyline with rounded corners, measured, and cut into short lines for distances.
 *
 * Its pieces count from the port: straight 0, bend 1, straight 1, bend 2 … Arcs become chords whose inner points are
 * pushed out by half a sagitta, so that the line lies as far outside the arc as inside. Flat arrays and plain fields:
 * this is read in the innermost loops. Millimetres and radians.
 */
final class Way
{
    /** Chords of an arc turn by no more than this while searching: within 0.3 mm on a 50 mm radius. */
    public const ROUGH = 0.3;

    /** By this while a set is mended: within 0.15 mm. */
    public const COARSE = 0.21;

    /** And by this when an answer is checked: within 0.01 mm on a 76 mm radius. */
    public const FINE = 0.03;

    /** @var list<float> x, y, z of each point */
    public array $points = [];

    /** @var list<float> station of each point along the centreline */
    public array $stations = [];

    /** @var list<int> index of the first point of each stretch (a straight, an arc, or part of one) */
    public array $from = [];

    /** @var list<int> index of its last point */
    public array $to = [];

    /** @var list<int> the piece it belongs to */
    public array $piece = [];

    /** @var list<float> share of the piece at its first point */
    public array $share = [];

    /** @var list<float> share of the piece that one chord takes */
    public array $chord = [];

    /** @var list<bool> whether it lies within the near zone at the inlet */
    public array $near = [];

    /** @var list<float> x, y, z and radius of a ball around it */
    public array $balls = [];

    /** Which way of a search it is, for remembering what was measured between two; 0 for one that is not kept. */
    public int $id = 0;

    /** How far it comes short of its clearances to keep-outs and to itself; set by who measured it. */
    public float $shortfall = 0.0;

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

    /** The objective of one tube: bends, odd angles, turning and length, as they are to count. */
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
            1000.0 * (1.0 - ($first[0] * $span->ax + $first[1] * $span->ay + $first[2] * $span->az)),
            1000.0 * (1.0 - ($final[0] * $span->bx + $final[1] * $span->by + $final[2] * $span->bz)),
        );
    }

    /** Cuts it into short lines; once. */
    public function cut(float $step = self::ROUGH): self
    {
        if ($this->points !== []) {
            return $this;
        }
        $nearFrom = $this->length - $this->span->collector->nearMm;
        $station = 0.0;
        $bends = count($this->radii);
        $v = $this->vertices;
        $x = $v[0];
        $y = $v[1];
        $z = $v[2];
        [$ux, $uy, $uz] = $this->unit(0);
        for ($i = 0; $i <= $bends; $i++) {
            $run = $this->straights[$i];
            if ($run > 1e-6) {
                $this->points[] = $x;
                $this->points[] = $y;
                $this->points[] = $z;
                $this->stations[] = $station;
                $split = ($nearFrom - $station) / $run;
                if ($split > 1e-6 && $split < 1.0 - 1e-6) {
                    $this->points[] = $x + $split * $run * $ux;
                    $this->points[] = $y + $split * $run * $uy;
                    $this->points[] = $z + $split * $run * $uz;
                    $this->stations[] = $nearFrom;
                    $this->close(1, 2 * $i, 0.0, $split, false);
                    $this->points[] = $x + $split * $run * $ux;
                    $this->points[] = $y + $split * $run * $uy;
                    $this->points[] = $z + $split * $run * $uz;
                    $this->stations[] = $nearFrom;
                    $share = $split;
                } else {
                    $share = 0.0;
                }
                $x += $run * $ux;
                $y += $run * $uy;
                $z += $run * $uz;
                $this->points[] = $x;
                $this->points[] = $y;
                $this->points[] = $z;
                $near = $station + $share * $run >= $nearFrom - 1e-6;
                $station += $run;
                $this->stations[] = $station;
                $this->close(1, 2 * $i, $share, 1 - $share, $near);
            }
            if ($i < $bends) {
                [$vx, $vy, $vz] = $this->unit($i + 1);
                $angle = $this->angles[$i];
                $radius = $this->radii[$i];
                if ($angle > 1e-6) {
                    // To the centre, square to the first leg in the plane of the bend.
                    $sin = sin($angle);
                    $cos = cos($angle);
                    $nx = ($vx - $cos * $ux) / $sin;
                    $ny = ($vy - $cos * $uy) / $sin;
                    $nz = ($vz - $cos * $uz) / $sin;
                    $chords = (int) ceil($angle / $step);
                    $chords = $chords < 2 ? 2 : $chords;
                    $each = $angle / $chords;
                    $outer = 2 * $radius / (1 + cos($each / 2));
                    $arc = $radius * $each;
                    // The near zone begins at a chord's end: rounded towards the inlet, so that nothing is let off too
                    // early.
                    $split =
                        $nearFrom > $station && $nearFrom < $station + $chords * $arc
                            ? (int) ceil(($nearFrom - $station) / $arc)
                            : 0;
                    $from = 0;
                    for ($j = 0; $j <= $chords; $j++) {
                        $reach = $j === 0 || $j === $chords ? $radius : $outer;
                        $s = $reach * sin($j * $each);
                        $c = $radius - $reach * cos($j * $each);
                        $this->points[] = $x + $s * $ux + $c * $nx;
                        $this->points[] = $y + $s * $uy + $c * $ny;
                        $this->points[] = $z + $s * $uz + $c * $nz;
                        $this->stations[] = $station + $j * $arc;
                        if ($j === $split && $j > 0 && $j < $chords) {
                            $this->close($j, 2 * $i + 1, 0.0, 1 / $chords, false);
                            $this->points[] = $x + $s * $ux + $c * $nx;
                            $this->points[] = $y + $s * $uy + $c * $ny;
                            $this->points[] = $z + $s * $uz + $c * $nz;
                            $this->stations[] = $station + $j * $arc;
                            $from = $j;
                        }
                    }
                    $this->close(
                        $chords - $from,
                        2 * $i + 1,
                        $from / $chords,
                        1 / $chords,
                        $station + $from * $arc >= $nearFrom - 1e-6,
                    );
                    $station += $chords * $arc;
                    $setback = $radius * tan($angle / 2);
                    $x = $v[3 * $i + 3] + $setback * $vx;
                    $y = $v[3 * $i + 4] + $setback * $vy;
                    $z = $v[3 * $i + 5] + $setback * $vz;
                }
                $ux = $vx;
                $uy = $vy;
                $uz = $vz;
            }
        }

        return $this;
    }

    /**
     * Points at equal steps along it, both ends among them; it must have been cut.
     *
     * @return list<Vector> one more than there are steps
     */
    public function evenly(int $steps): array
    {
        return array_map(static fn (array $xyz): Vector => new Vector(...$xyz), array_chunk($this->dots($steps), 3));
    }

    /** @return list<float> the same as x, y, z one after the other */
    public function dots(int $steps): array
    {
        $dots = [];
        $at = 0;
        $last = count($this->stations) - 1;
        for ($i = 0; $i <= $steps; $i++) {
            $station = $this->length * $i / $steps;
            while ($at < $last - 1 && $this->stations[$at + 1] < $station) {
                $at++;
            }
            $run = $this->stations[$at + 1] - $this->stations[$at];
            $t = $run > 0.0 ? max(0.0, min(1.0, ($station - $this->stations[$at]) / $run)) : 0.0;
            for ($axis = 0; $axis < 3; $axis++) {
                $dots[] =
                    $this->points[3 * $at + $axis] +
                    $t * ($this->points[3 * $at + 3 + $axis] - $this->points[3 * $at + $axis]);
            }
        }

        return $dots;
    }

    /** @return list<array{float, float, float, float}> x, y, z and station of each point it was cut at */
    public function cuts(): array
    {
        $cuts = [];
        foreach ($this->stations as $i => $station) {
            $cuts[] = [$this->points[3 * $i], $this->points[3 * $i + 1], $this->points[3 * $i + 2], $station];
        }

        return $cuts;
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

    /** Ends a stretch at the last point: $chords lines long, from a share of its piece on. */
    private function close(int $chords, int $piece, float $share, float $chord, bool $near): void
    {
        $last = count($this->stations) - 1;
        $first = $last - $chords;
        $this->from[] = $first;
        $this->to[] = $last;
        $this->piece[] = $piece;
        $this->share[] = $share;
        $this->chord[] = $chord;
        $this->near[] = $near;
        $x = ($this->points[3 * $first] + $this->points[3 * $last]) / 2;
        $y = ($this->points[3 * $first + 1] + $this->points[3 * $last + 1]) / 2;
        $z = ($this->points[3 * $first + 2] + $this->points[3 * $last + 2]) / 2;
        // Up to half a turn no point of an arc is further from the middle of its chord than its ends are, but for the
        // push outwards.
        $ball = sqrt(
            ($this->points[3 * $first] - $x) ** 2 +
                ($this->points[3 * $first + 1] - $y) ** 2 +
                ($this->points[3 * $first + 2] - $z) ** 2,
        );
        $this->balls[] = $x;
        $this->balls[] = $y;
        $this->balls[] = $z;
        $this->balls[] = $ball * 1.01 + 0.01;
    }
}

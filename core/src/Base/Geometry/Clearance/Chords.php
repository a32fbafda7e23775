<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Geometry\Clearance;

/**
 * A tube's centreline cut into short lines, for distances. Its pieces count from its start: straight 0, bend 1,
 * straight 2, bend 3 … Arcs become chords whose inner points are pushed out by half a sagitta, so that the line lies as
 * far outside the arc as inside.
 *
 * It is laid piece by piece, and read once it is whole. Flat arrays and plain fields: this is read in the innermost
 * loops. Millimetres and radians.
 */
final class Chords
{
    /** Chords of an arc turn by no more than this while searching: within 0.3 mm on a 50 mm radius. */
    public const ROUGH = 0.3;

    /** By this while a set is mended: within 0.15 mm. */
    public const COARSE = 0.21;

    /** And by this when an answer is checked: within 0.01 mm on a 76 mm radius. */
    public const FINE = 0.03;

    /** Straights and angles up to this (mm, rad) are none. */
    public const NOTHING = 1e-6;

    /** A ball is made larger by this share and this much (mm), for points that are pushed outwards. */
    private const BALL_SHARE = 1.01;

    private const BALL_MORE = 0.01;

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

    /** @var list<bool> whether it lies within the near zone at the end */
    public array $near = [];

    /** @var list<float> x, y, z and radius of a ball around it */
    public array $balls = [];

    private float $station = 0.0;

    private int $pieces = 0;

    /**
     * @param  float  $lengthMm  of the whole centreline
     * @param  float  $turningRad  of all its bends together
     * @param  float  $nearFromMm  the station from which it may come nearer to its neighbours
     * @param  float  $stepRad  the most a chord may turn
     */
    public function __construct(
        public readonly float $odMm,
        public readonly float $lengthMm,
        public readonly float $turningRad,
        private readonly float $nearFromMm,
        private readonly float $stepRad,
    ) {}

    /** Goes on straight: from a point in a direction of length 1. */
    public function straight(
        float $x,
        float $y,
        float $z,
        float $ux,
        float $uy,
        float $uz,
        float $lengthMm,
    ): void {
        $piece = $this->pieces++;
        if ($lengthMm <= self::NOTHING) {
            return;
        }
        $this->point($x, $y, $z, $this->station);
        $split = ($this->nearFromMm - $this->station) / $lengthMm;
        $share = 0.0;
        if ($split > self::NOTHING && $split < 1.0 - self::NOTHING) {
            [$sx, $sy, $sz] = [
                $x + $split * $lengthMm * $ux,
                $y + $split * $lengthMm * $uy,
                $z + $split * $lengthMm * $uz,
            ];
            $this->point($sx, $sy, $sz, $this->nearFromMm);
            $this->close(1, $piece, 0.0, $split, false);
            $this->point($sx, $sy, $sz, $this->nearFromMm);
            $share = $split;
        }
        $isNear = $this->station + $share * $lengthMm >= $this->nearFromMm - self::NOTHING;
        $this->station += $lengthMm;
        $this->point($x + $lengthMm * $ux, $y + $lengthMm * $uy, $z + $lengthMm * $uz, $this->station);
        $this->close(1, $piece, $share, 1 - $share, $isNear);
    }

    /**
     * Goes on round a bend: from a point in the direction u, towards the centre n; both of length 1, square to each
     * other.
     */
    public function bend(
        float $x,
        float $y,
        float $z,
        float $ux,
        float $uy,
        float $uz,
        float $nx,
        float $ny,
        float $nz,
        float $radiusMm,
        float $angleRad,
    ): void {
        $piece = $this->pieces++;
        if ($angleRad <= self::NOTHING) {
            return;
        }
        $chords = (int) ceil($angleRad / $this->stepRad);
        $chords = $chords < 2 ? 2 : $chords;
        $each = $angleRad / $chords;
        $outer = 2 * $radiusMm / (1 + cos($each / 2));
        $arc = $radiusMm * $each;
        $split = $this->chordsBeforeNear($chords, $arc);
        $from = 0;
        for ($j = 0; $j <= $chords; $j++) {
            $reach = $j === 0 || $j === $chords ? $radiusMm : $outer;
            $s = $reach * sin($j * $each);
            $c = $radiusMm - $reach * cos($j * $each);
            $px = $x + $s * $ux + $c * $nx;
            $py = $y + $s * $uy + $c * $ny;
            $pz = $z + $s * $uz + $c * $nz;
            $this->point($px, $py, $pz, $this->station + $j * $arc);
            if ($j === $split && $j > 0 && $j < $chords) {
                $this->close($j, $piece, 0.0, 1 / $chords, false);
                $this->point($px, $py, $pz, $this->station + $j * $arc);
                $from = $j;
            }
        }
        $isNear = $this->station + $from * $arc >= $this->nearFromMm - self::NOTHING;
        $this->close($chords - $from, $piece, $from / $chords, 1 / $chords, $isNear);
        $this->station += $chords * $arc;
    }

    /** @return list<float> x, y, z of points at equal steps along it, both ends among them; one more than steps */
    public function dots(int $steps): array
    {
        $dots = [];
        $at = 0;
        $last = count($this->stations) - 1;
        for ($i = 0; $i <= $steps; $i++) {
            $station = $this->lengthMm * $i / $steps;
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

    /** @return list<array{float, float, float, float}> x, y, z and station of each point it is cut at */
    public function marks(): array
    {
        $marks = [];
        foreach ($this->stations as $i => $station) {
            $marks[] = [$this->points[3 * $i], $this->points[3 * $i + 1], $this->points[3 * $i + 2], $station];
        }

        return $marks;
    }

    /**
     * After how many chords of a bend the near zone begins, 0 if not within it: at a chord's end, rounded towards the
     * tube's end, so that nothing is let off too early.
     */
    private function chordsBeforeNear(int $chords, float $arcMm): int
    {
        return $this->nearFromMm > $this->station && $this->nearFromMm < $this->station + $chords * $arcMm
            ? (int) ceil(($this->nearFromMm - $this->station) / $arcMm)
            : 0;
    }

    private function point(float $x, float $y, float $z, float $station): void
    {
        $this->points[] = $x;
        $this->points[] = $y;
        $this->points[] = $z;
        $this->stations[] = $station;
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
        $this->balls[] = $ball * self::BALL_SHARE + self::BALL_MORE;
    }
}

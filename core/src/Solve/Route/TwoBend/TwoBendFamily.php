<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\TwoBend;

use UpsweptBead\Core\Base\Geometry\Directions;
use UpsweptBead\Core\Base\Geometry\Vector;
use UpsweptBead\Core\Solve\Route\RouteRequest;

/**
 * Every two-bend route between two frames on two given radii, as a surface over two free lengths.
 *
 * p is the distance from the start to the first vertex along the start's axis, q the distance from the last vertex to
 * the end along the end's axis; all else follows in closed form:
 * W = (B − q·b) − (A + p·a), cosθ1 = W·a/|W|, cosθ2 = W·b/|W|, setback T = R·tan(θ/2).
 */
final readonly class TwoBendFamily
{
    /** Half a turn has no vertex (179.5°). */
    private const MOST_RAD = 3.1329;

    /** A route that goes further than so many times the way across, and so many radii, only gets longer; by trial. */
    private const REACH_ACROSS = 1.5;

    private const REACH_RADII = 4;

    /** What counts as kept, mm or °. */
    private const KEPT = 1e-7;

    private Vector $between;

    public function __construct(
        private RouteRequest $request,
        public float $firstClrMm,
        public float $firstMaxDeg,
        public float $secondClrMm,
        public float $secondMaxDeg,
    ) {
        $this->between = $request->end->at->minus($request->start->at);
    }

    /** Where both free lengths may sensibly end: a route that goes further only gets longer. */
    public function reachMm(): float
    {
        return self::REACH_ACROSS * $this->between->length() +
            self::REACH_RADII * max($this->firstClrMm, $this->secondClrMm);
    }

    /** Plain floats: this is the router's inner loop. Lengths in mm. */
    public function at(float $p, float $q): ?Legs
    {
        [$a, $b, $w] = [$this->request->start->forward, $this->request->end->forward, $this->between];
        [$x, $y, $z] = [
            $w->x - $q * $b->x - $p * $a->x,
            $w->y - $q * $b->y - $p * $a->y,
            $w->z - $q * $b->z - $p * $a->z,
        ];
        $m = sqrt($x * $x + $y * $y + $z * $z);
        if ($m < 1e-9) {
            return null;
        }
        $first = atan2(
            hypot($a->y * $z - $a->z * $y, hypot($a->z * $x - $a->x * $z, $a->x * $y - $a->y * $x)),
            $a->x * $x + $a->y * $y + $a->z * $z,
        );
        $second = atan2(
            hypot($b->y * $z - $b->z * $y, hypot($b->z * $x - $b->x * $z, $b->x * $y - $b->y * $x)),
            $b->x * $x + $b->y * $y + $b->z * $z,
        );
        if ($first > self::MOST_RAD || $second > self::MOST_RAD) {
            return null;
        }
        [$t1, $t2] = [$this->firstClrMm * tan($first / 2), $this->secondClrMm * tan($second / 2)];
        $length = $p + $m + $q - 2 * ($t1 + $t2) + $this->firstClrMm * $first + $this->secondClrMm * $second;

        return new Legs($p, $q, rad2deg($first), rad2deg($second), $p - $t1, $m - $t1 - $t2, $q - $t2, $length);
    }

    /** The p that gives the first bend an angle, for a given q: W⊥/(W∥ − p) = tanθ1. */
    public function pFor(float $firstAngleDeg, float $q): float
    {
        $toVertex = $this->between->minus($this->request->end->forward->times($q));
        $axis = $this->request->start->forward;

        return $toVertex->dot($axis) - $toVertex->squareTo($axis)->length() / tan(deg2rad($firstAngleDeg));
    }

    /** The q that gives the second bend an angle, for a given p. */
    public function qFor(float $secondAngleDeg, float $p): float
    {
        $toVertex = $this->between->minus($this->request->start->forward->times($p));
        $axis = $this->request->end->forward;

        return $toVertex->dot($axis) - $toVertex->squareTo($axis)->length() / tan(deg2rad($secondAngleDeg));
    }

    /**
     * The route whose middle leg has a direction.
     *
     * @param  list<float>  $middle
     * @return ?Legs null if the three directions lie in one plane
     */
    public function along(array $middle): ?Legs
    {
        $lengths = Directions::lengths(
            $this->request->start->forward->toArray(),
            $middle,
            $this->request->end->forward->toArray(),
            $this->between->toArray(),
        );

        return $lengths === null ? null : $this->at($lengths[0], $lengths[2]);
    }

    /** @return array<string, float> by how much each constraint is missed (mm or °); met ones are left out */
    public function misses(Legs $legs): array
    {
        return array_filter($this->lacks($legs), static fn (float $miss): bool => $miss > self::KEPT);
    }

    public function isBuildable(Legs $legs): bool
    {
        return max($this->lacks($legs)) <= self::KEPT;
    }

    /** @return non-empty-array<string, float> what each constraint lacks (mm or °); negative is to spare */
    public function lacks(Legs $legs): array
    {
        $rules = $this->request->rules;

        return [
            'first-straight' => $rules->firstStraightMm - $legs->firstMm,
            'inner-straight' => $rules->innerStraightMm - $legs->innerMm,
            'last-straight' => $rules->lastStraightMm - $legs->lastMm,
            'first-bend-greatest' => $legs->firstAngleDeg - $this->firstMaxDeg,
            'second-bend-greatest' => $legs->secondAngleDeg - $this->secondMaxDeg,
            'first-bend-least' => $rules->minAngleDeg - $legs->firstAngleDeg,
            'second-bend-least' => $rules->minAngleDeg - $legs->secondAngleDeg,
        ];
    }
}

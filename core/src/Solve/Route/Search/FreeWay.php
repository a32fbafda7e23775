<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Search;

/**
 * A way that can be bent by small changes of its free values: the length of the first leg, the inner vertices, the
 * length of the last leg. Legs and straights follow.
 */
final class FreeWay
{
    /** Beyond about 175° a leg would be endless; held there, the length stays finite. */
    private const LEAST_COS = -0.996;

    /** @var list<float> */
    public array $vertices = [];

    /** @var list<float> */
    public array $units = [];

    /** @var list<float> */
    public array $angles = [];

    /** @var list<float> */
    public array $straights = [];

    public float $length = 0.0;

    public readonly int $bends;

    /**
     * @param  list<float>  $values  first leg, inner vertices, last leg; none for a way that has no freedom
     * @param  list<float>  $radii
     * @param  list<?float>  $held  the angle that each bend is to have, null if any
     */
    public function __construct(
        public readonly Span $span,
        public array $values,
        public readonly array $radii,
        public readonly array $held,
        private readonly Way $origin,
    ) {
        $this->bends = count($radii);
        $this->measure();
    }

    /** @param  list<?float>|null  $held  null holds the angles that are on the grid already */
    public static function from(Way $way, ?array $held = null): self
    {
        $bends = $way->bends();
        $v = $way->vertices;
        $values = [];
        if ($bends >= 2) {
            $last = 3 * ($bends + 1);
            $values[] = sqrt(($v[3] - $v[0]) ** 2 + ($v[4] - $v[1]) ** 2 + ($v[5] - $v[2]) ** 2);
            array_push($values, ...array_slice($v, 6, 3 * ($bends - 2)));
            $values[] = sqrt(
                ($v[$last] - $v[$last - 3]) ** 2 +
                    ($v[$last + 1] - $v[$last - 2]) ** 2 +
                    ($v[$last + 2] - $v[$last - 1]) ** 2,
            );
        }
        $step = deg2rad($way->span->rules->limits->grid->stepDeg);
        $held ??= array_map(
            static fn (float $angle): ?float => $way->span->isEven($angle) ? round($angle / $step) * $step : null,
            $way->angles,
        );

        return new self($way->span, $values, $way->radii, $held, $way);
    }

    public function way(): Way
    {
        return $this->bends < 2
            ? $this->origin
            : Way::of($this->span, array_slice($this->vertices, 3, 3 * $this->bends), $this->radii);
    }

    /** @param  list<float>  $values */
    public function set(array $values): void
    {
        $this->values = $values;
        $this->measure();
    }

    /**
     * Gives the point at a share of a piece, as Way counts them.
     *
     * @return array{float, float, float}
     */
    public function point(int $piece, float $share): array
    {
        $i = $piece >> 1;
        $v = $this->vertices;
        $u = $this->units;
        if (($piece & 1) === 0) {
            $back = $i > 0 ? $this->radii[$i - 1] * tan($this->angles[$i - 1] / 2) : 0.0;
            $s = $back + $share * $this->straights[$i];

            return [
                $v[3 * $i] + $s * $u[3 * $i],
                $v[3 * $i + 1] + $s * $u[3 * $i + 1],
                $v[3 * $i + 2] + $s * $u[3 * $i + 2],
            ];
        }
        $angle = $this->angles[$i];
        $radius = $this->radii[$i];
        $setback = $radius * tan($angle / 2);
        // Along both tangents from the vertex: exact for a circle, and free of divisions by small angles.
        $sin = max(sin($angle), 1e-9);
        $turned = $share * $angle;
        $p = $radius * (sin($turned) - (1 - cos($turned)) * cos($angle) / $sin) - $setback;
        $q = $radius * (1 - cos($turned)) / $sin;

        return [
            $v[3 * $i + 3] + $p * $u[3 * $i] + $q * $u[3 * $i + 3],
            $v[3 * $i + 4] + $p * $u[3 * $i + 1] + $q * $u[3 * $i + 4],
            $v[3 * $i + 5] + $p * $u[3 * $i + 2] + $q * $u[3 * $i + 5],
        ];
    }

    private function measure(): void
    {
        $bends = $this->bends;
        if ($bends < 2) {
            $this->vertices = $this->origin->vertices;
        } else {
            $s = $this->span;
            [$from, $to, $first, $last] = [
                $s->port->at,
                $s->inlet->at,
                $this->values[0],
                $this->values[count($this->values) - 1],
            ];
            $this->vertices = [
                $from->x, $from->y, $from->z,
                $from->x + $first * $s->ax, $from->y + $first * $s->ay, $from->z + $first * $s->az,
                ...array_slice($this->values, 1, -1),
                $to->x - $last * $s->bx, $to->y - $last * $s->by, $to->z - $last * $s->bz,
                $to->x, $to->y, $to->z,
            ];
        }
        $v = $this->vertices;
        $units = $angles = $straights = [];
        $setback = 0.0;
        $open = 0.0;
        $length = 0.0;
        for ($i = 0; $i <= $bends; $i++) {
            $x = $v[3 * $i + 3] - $v[3 * $i];
            $y = $v[3 * $i + 4] - $v[3 * $i + 1];
            $z = $v[3 * $i + 5] - $v[3 * $i + 2];
            $leg = max(sqrt($x * $x + $y * $y + $z * $z), 1e-9);
            $ux = $x / $leg;
            $uy = $y / $leg;
            $uz = $z / $leg;
            if ($i > 0) {
                $cos = $units[3 * $i - 3] * $ux + $units[3 * $i - 2] * $uy + $units[3 * $i - 1] * $uz;
                $angle = acos($cos > 1.0 ? 1.0 : ($cos < self::LEAST_COS ? self::LEAST_COS : $cos));
                $radius = $this->radii[$i - 1];
                $setback = $radius * tan($angle / 2);
                $angles[] = $angle;
                $length += $radius * $angle;
                $straights[] = $open - $setback;
                $length += $open - $setback;
            }
            $units[] = $ux;
            $units[] = $uy;
            $units[] = $uz;
            $open = $leg - $setback;
        }
        $straights[] = $open;
        $length += $open;
        $this->units = $units;
        $this->angles = $angles;
        $this->straights = $straights;
        $this->length = $length;
    }
}

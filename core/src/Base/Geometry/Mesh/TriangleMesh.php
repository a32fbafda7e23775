<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Geometry\Mesh;

/**
 * A surface of triangles with a tree of boxes over them, so that the nearest place is found without looking at them
 * all.
 *
 * Coordinates in mm, held to 32 bits (within 0.0001 mm up to a metre); distances to these triangles are exact. A mesh
 * is closed when every edge belongs to two triangles; only then it has an inside.
 */
final class TriangleMesh
{
    /** @var array<int, array<int, float>> corners of the triangles of a leaf, numbered from 1, once they were looked at */
    private array $leaves = [];

    /** @var array<int, list<float|int>> nodes that were looked at: their box, their second child, their triangles */
    private array $nodes = [];

    /**
     * @param  string  $tree  36 bytes a node: the box (least x, y, z, greatest x, y, z) as 32-bit numbers; then where
     *   its second
     *                        child lies, 0 for a leaf (the first comes right behind the node); a leaf's first triangle,
     *                        and how
     *                        many it has
     * @param  string  $corners  36 bytes a triangle: nine 32-bit numbers
     */
    public function __construct(
        private readonly string $tree,
        private readonly string $corners,
        public readonly bool $isClosed,
    ) {}

    public function triangles(): int
    {
        return intdiv(strlen($this->corners), 36);
    }

    /** @return list<float> least x, y, z, greatest x, y, z */
    public function box(): array
    {
        return array_map(floatval(...), array_slice($this->nodes[0] ?? $this->node(0), 0, 6));
    }

    /** @return list<float> x, y, z of the three corners of every triangle */
    public function corners(): array
    {
        return array_values(self::numbers($this->corners));
    }

    /**
     * Gives the distance of a point from the surface, or the limit if nothing is nearer. In mm.
     *
     * Point and triangle after [Ericson, Real-Time Collision Detection, 5.1.5].
     */
    public function distance(float $x, float $y, float $z, float $limit = INF): float
    {
        $best = $limit * $limit;
        $stack = [0];
        $top = 0;
        while ($top >= 0) {
            $node = $stack[$top--];
            if ($this->squareToBox($node, $x, $y, $z) >= $best) {
                continue;
            }
            $right = (int) $this->nodes[$node][6];
            if ($right > 0) {
                $left = $node + 1;
                $leftIsNearer = $this->squareToBox($left, $x, $y, $z) <= $this->squareToBox($right, $x, $y, $z);
                $stack[++$top] = $leftIsNearer ? $right : $left;
                $stack[++$top] = $leftIsNearer ? $left : $right;

                continue;
            }
            $corners = $this->leaf($node);
            for ($i = 1, $end = 9 * $this->nodes[$node][8]; $i < $end; $i += 9) {
                $square = Triangle::squareToPoint($corners, $i, $x, $y, $z);
                if ($square < $best) {
                    $best = $square;
                }
            }
        }

        return sqrt($best);
    }

    /**
     * Gives the corners of all triangles of which something lies within a ball, nine numbers each. In mm.
     *
     * @return list<float>
     */
    public function within(float $x, float $y, float $z, float $radius): array
    {
        $found = [];
        $stack = [0];
        while ($stack !== []) {
            $node = array_pop($stack);
            if ($this->squareToBox($node, $x, $y, $z) > $radius * $radius) {
                continue;
            }
            $second = (int) $this->nodes[$node][6];
            if ($second > 0) {
                array_push($stack, $node + 1, $second);

                continue;
            }
            $corners = $this->leaf($node);
            for ($i = 1, $end = 9 * $this->nodes[$node][8]; $i < $end; $i += 9) {
                if (Triangle::squareToPoint($corners, $i, $x, $y, $z) <= $radius * $radius) {
                    array_push($found, ...array_slice($corners, $i - 1, 9));
                }
            }
        }

        return $found;
    }

    /**
     * Gives the least distance of part of a line from the surface and the share of the line where it is met; the limit
     * and −1 if nothing is nearer.
     *
     * @return array{float, float}
     */
    public function distanceToLine(float $x, float $y, float $z, float $ux, float $uy, float $uz, float $limit): array
    {
        $best = $limit * $limit;
        $share = -1.0;
        // The boxes of short lines are slim, whichever way they run.
        $parts = max(1, (int) ceil(sqrt($ux * $ux + $uy * $uy + $uz * $uz) / 24.0));
        for ($part = 0; $part < $parts; $part++) {
            $ax = $x + $ux * $part / $parts;
            $ay = $y + $uy * $part / $parts;
            $az = $z + $uz * $part / $parts;
            [$square, $at] = $this->near($ax, $ay, $az, $ux / $parts, $uy / $parts, $uz / $parts, $best);
            if ($square < $best) {
                $best = $square;
                $share = ($part + $at) / $parts;
            }
        }

        return [sqrt($best), $share];
    }

    /**
     * Says whether a point lies inside; never for a mesh that is not closed. Counts how often a line from it leaves.
     * Coordinates in mm.
     */
    public function contains(float $x, float $y, float $z): bool
    {
        if (! $this->isClosed || $this->squareToBox(0, $x, $y, $z) > 0.0) {
            return false;
        }
        $inside = 0;
        // A line that happens to run through an edge may be counted wrong; three of them are not.
        foreach ([[0.8123, 0.4177, 0.4071], [-0.3719, 0.8641, 0.3391], [0.2931, -0.3317, 0.8967]] as [$ux, $uy, $uz]) {
            $inside += $this->crossings($x, $y, $z, $ux, $uy, $uz) % 2;
        }

        return $inside >= 2;
    }

    /** Gives what `unpacked` reads: the mesh with its tree, ready to be looked at. */
    public function packed(): string
    {
        return 'UBM1'.
            pack('VVV', intdiv(strlen($this->tree), 36), $this->triangles(), (int) $this->isClosed).
            $this->tree.
            $this->corners;
    }

    /** @throws \UnexpectedValueException if the bytes are not a packed mesh */
    public static function unpacked(string $bytes): self
    {
        /** @var array{1: int, 2: int, 3: int}|false $head */
        $head = strlen($bytes) >= 16 && str_starts_with($bytes, 'UBM1') ? unpack('V3', $bytes, 4) : false;
        if ($head === false || $head[1] < 1 || strlen($bytes) !== 16 + 36 * ($head[1] + $head[2])) {
            throw new \UnexpectedValueException('These bytes are not a packed mesh.');
        }

        return new self(substr($bytes, 16, 36 * $head[1]), substr($bytes, 16 + 36 * $head[1]), $head[3] === 1);
    }

    private function squareToBox(int $node, float $x, float $y, float $z): float
    {
        $box = $this->nodes[$node] ?? $this->node($node);
        $dx = $x < $box[0] ? $box[0] - $x : ($x > $box[3] ? $x - $box[3] : 0.0);
        $dy = $y < $box[1] ? $box[1] - $y : ($y > $box[4] ? $y - $box[4] : 0.0);
        $dz = $z < $box[2] ? $box[2] - $z : ($z > $box[5] ? $z - $box[5] : 0.0);

        return $dx * $dx + $dy * $dy + $dz * $dz;
    }

    /** @return array{float, float} square of the distance and share of the line; $best and 0 if nothing is nearer */
    private function near(float $x, float $y, float $z, float $ux, float $uy, float $uz, float $best): array
    {
        // A box about the line, half as wide as it is; what is further from its middle is no nearer to the line.
        $mx = $x + $ux / 2;
        $my = $y + $uy / 2;
        $mz = $z + $uz / 2;
        $half = sqrt($ux * $ux + $uy * $uy + $uz * $uz) / 2;
        $share = 0.0;
        $stack = [0];
        $top = 0;
        while ($top >= 0) {
            $node = $stack[$top--];
            $reach = $half + sqrt($best);
            if ($this->squareToBox($node, $mx, $my, $mz) >= $reach * $reach) {
                continue;
            }
            $right = (int) $this->nodes[$node][6];
            if ($right > 0) {
                $left = $node + 1;
                $leftIsNearer = $this->squareToBox($left, $mx, $my, $mz) <= $this->squareToBox($right, $mx, $my, $mz);
                $stack[++$top] = $leftIsNearer ? $right : $left;
                $stack[++$top] = $leftIsNearer ? $left : $right;

                continue;
            }
            $corners = $this->leaf($node);
            for ($i = 1, $end = 9 * $this->nodes[$node][8]; $i < $end; $i += 9) {
                // Most triangles of a leaf are further from the line's middle than what matters.
                if (Triangle::squareToPoint($corners, $i, $mx, $my, $mz) >= $reach * $reach) {
                    continue;
                }
                [$square, $at] = Triangle::squareToLine($corners, $i, $x, $y, $z, $ux, $uy, $uz);
                if ($square < $best) {
                    $best = $square;
                    $share = $at;
                    $reach = $half + sqrt($best);
                }
            }
        }

        return [$best, $share];
    }

    private function crossings(float $x, float $y, float $z, float $ux, float $uy, float $uz): int
    {
        $count = 0;
        $stack = [0];
        $top = 0;
        while ($top >= 0) {
            $node = $stack[$top--];
            if (! $this->isMet($node, $x, $y, $z, $ux, $uy, $uz)) {
                continue;
            }
            $second = (int) $this->nodes[$node][6];
            if ($second > 0) {
                $stack[++$top] = $node + 1;
                $stack[++$top] = $second;

                continue;
            }
            $corners = $this->leaf($node);
            for ($i = 1, $end = 9 * $this->nodes[$node][8]; $i < $end; $i += 9) {
                $count += Triangle::crossedAt($corners, $i, $x, $y, $z, $ux, $uy, $uz) > 0.0 ? 1 : 0;
            }
        }

        return $count;
    }

    /** Whether a half line meets a node's box: between the last plane it enters by and the first it leaves by. */
    private function isMet(int $node, float $x, float $y, float $z, float $ux, float $uy, float $uz): bool
    {
        $box = $this->nodes[$node] ?? $this->node($node);
        $enter = 0.0;
        $leave = INF;
        foreach ([[$x, $ux, 0], [$y, $uy, 1], [$z, $uz, 2]] as [$from, $along, $axis]) {
            $one = ($box[$axis] - 1e-4 - $from) / $along;
            $two = ($box[3 + $axis] + 1e-4 - $from) / $along;
            $enter = max($enter, min($one, $two));
            $leave = min($leave, max($one, $two));
        }

        return $enter <= $leave;
    }

    /** @return list<float|int> */
    private function node(int $node): array
    {
        /** @var array<string, float|int> $nine */
        $nine = unpack('g6box/V3link', $this->tree, 36 * $node);

        return $this->nodes[$node] = array_values($nine);
    }

    /** @return array<int, float> */
    private function leaf(int $node): array
    {
        return $this->leaves[$node] ??= self::numbers(
            substr($this->corners, 36 * (int) $this->nodes[$node][7], 36 * (int) $this->nodes[$node][8]),
        );
    }

    /** @return array<int, float> numbered from 1 */
    private static function numbers(string $bytes): array
    {
        /** @var array<int, float>|false $floats */
        $floats = unpack('g*', $bytes);

        return $floats === false ? [] : $floats;
    }
}

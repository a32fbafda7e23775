<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Base\Geometry\Mesh;

/** Builds the tree over a heap of triangles: halves each box across its longest side until a few are left. */
final class MeshBuilder
{
    private const LEAF = 6;

    /** @var array<int, string> packed nodes, without gaps */
    private array $nodes = [];

    /** @var list<int> */
    private array $order = [];

    /** @param  list<float>  $corners  nine numbers a triangle */
    private function __construct(private readonly array $corners) {}

    /**
     * @param  list<float>  $corners  x, y, z of the three corners of every triangle, in mm; none may be degenerate
     *
     * @throws \DomainException if there are none
     */
    public static function build(array $corners): TriangleMesh
    {
        if ($corners === []) {
            throw new \DomainException('A mesh needs a triangle at least.');
        }
        // Held to 32 bits from here on, so that no box is smaller than what lies in it.
        $bytes = '';
        foreach (array_chunk($corners, 9000) as $chunk) {
            $bytes .= pack('g*', ...$chunk);
        }
        /** @var array<int, float> $floats */
        $floats = unpack('g*', $bytes);
        $builder = new self(array_values($floats));
        $builder->split(range(0, intdiv(count($corners), 9) - 1));
        $sorted = '';
        foreach ($builder->order as $triangle) {
            $sorted .= substr($bytes, 36 * $triangle, 36);
        }

        return new TriangleMesh(implode('', $builder->nodes), $sorted, self::isClosed($bytes));
    }

    /** @param  list<int>  $triangles */
    private function split(array $triangles): void
    {
        $node = count($this->nodes);
        [$box, $middles] = $this->bounds($triangles);
        $box = pack('g6', ...$box);
        $sizes = [$middles[3] - $middles[0], $middles[4] - $middles[1], $middles[5] - $middles[2]];
        $axis = (int) array_search(max($sizes), $sizes, true);
        if (count($triangles) <= self::LEAF || max($sizes) <= 0.0) {
            $this->nodes[] = $box.pack('V3', 0, count($this->order), count($triangles));
            array_push($this->order, ...$triangles);

            return;
        }
        $across = ($middles[$axis] + $middles[$axis + 3]) / 2;
        $low = $high = [];
        foreach ($triangles as $triangle) {
            $at = 9 * $triangle + $axis;
            if (3 * $across > $this->corners[$at] + $this->corners[$at + 3] + $this->corners[$at + 6]) {
                $low[] = $triangle;
            } else {
                $high[] = $triangle;
            }
        }
        if ($low === [] || $high === []) {
            // So near each other that rounding put all on one side.
            [$low, $high] = [
                array_slice($triangles, 0, intdiv(count($triangles), 2)),
                array_slice($triangles, intdiv(count($triangles), 2)),
            ];
        }
        $this->nodes[] = '';
        $this->split($low);
        $this->nodes[$node] = $box.pack('V3', count($this->nodes), 0, 0);
        $this->split($high);
    }

    /**
     * @param  list<int>  $triangles
     * @return array{list<float>, list<float>} box of the triangles, box of their middles
     */
    private function bounds(array $triangles): array
    {
        $box = $middles = [INF, INF, INF, -INF, -INF, -INF];
        foreach ($triangles as $triangle) {
            for ($axis = 0; $axis < 3; $axis++) {
                $at = 9 * $triangle + $axis;
                $a = $this->corners[$at];
                $b = $this->corners[$at + 3];
                $c = $this->corners[$at + 6];
                $least = $a < $b ? ($a < $c ? $a : $c) : ($b < $c ? $b : $c);
                $most = $a > $b ? ($a > $c ? $a : $c) : ($b > $c ? $b : $c);
                $middle = ($a + $b + $c) / 3;
                $box[$axis] = $least < $box[$axis] ? $least : $box[$axis];
                $box[$axis + 3] = $most > $box[$axis + 3] ? $most : $box[$axis + 3];
                $middles[$axis] = $middle < $middles[$axis] ? $middle : $middles[$axis];
                $middles[$axis + 3] = $middle > $middles[$axis + 3] ? $middle : $middles[$axis + 3];
            }
        }

        return [$box, $middles];
    }

    /** Every edge run through once each way: what one triangle leaves open another closes. */
    private static function isClosed(string $bytes): bool
    {
        $open = [];
        for ($i = 0, $end = strlen($bytes); $i < $end; $i += 36) {
            for ($edge = 0; $edge < 3; $edge++) {
                // Plus and minus 0 are one place.
                $from = self::place($bytes, $i + 12 * $edge);
                $to = self::place($bytes, $i + 12 * (($edge + 1) % 3));
                if (isset($open[$to.$from])) {
                    if (--$open[$to.$from] === 0) {
                        unset($open[$to.$from]);
                    }
                } else {
                    $open[$from.$to] = ($open[$from.$to] ?? 0) + 1;
                }
            }
        }

        return $open === [];
    }

    private static function place(string $bytes, int $at): string
    {
        $place = substr($bytes, $at, 12);

        return str_contains($place, "\x80") ? self::plain($place) : $place;
    }

    private static function plain(string $place): string
    {
        foreach ([0, 4, 8] as $i) {
            if (substr($place, $i, 4) === "\x00\x00\x00\x80") {
                $place = substr_replace($place, "\x00\x00\x00\x00", $i, 4);
            }
        }

        return $place;
    }
}

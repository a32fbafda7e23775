<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Merge;

use UpsweptBead\Core\Solve\Merge\CutLine;
use UpsweptBead\Core\Solve\Merge\Flange\Path;
use UpsweptBead\Core\Solve\Merge\LinePoint;

/** The plate that closes the middle of a collector whose outlet is so wide that its tubes leave a hole there. */
final readonly class CentrePlate
{
    /** @param  float  $edgeMm  all round, which is the length of its weld */
    private function __construct(public Path $outline, public float $edgeMm) {}

    /** @param  CutLine  $end  of the first tube, as it is in the end */
    public static function of(CutLine $end, int $count): ?self
    {
        $inner = self::inner($end);
        if (count($inner) < 3) {
            return null;
        }
        $vertices = [];
        $edgeMm = 0.0;
        for ($tube = 0; $tube < $count; $tube++) {
            [$cos, $sin] = [cos(2 * M_PI * $tube / $count), sin(2 * M_PI * $tube / $count)];
            // Round the inner side of a tube its angle runs against the turn about the axis.
            foreach (array_reverse($inner) as [$x, $y]) {
                $vertices[] = [$x * $cos - $y * $sin, $x * $sin + $y * $cos, 0.0];
            }
        }
        foreach ($vertices as $i => [$x, $y]) {
            [$nextX, $nextY] = $vertices[($i + 1) % count($vertices)];
            $edgeMm += hypot($nextX - $x, $nextY - $y);
        }

        return $vertices === [] ? null : new self(new Path($vertices), $edgeMm);
    }

    /** @return list<array{float, float}> the part of the outlet's edge that lies between both neighbours, on the inner side */
    private static function inner(CutLine $end): array
    {
        $points = $end->points;
        $from = $to = intdiv(count($points), 2);
        while ($from > 0 && $points[$from - 1]->by === CutLine::OUTLET) {
            $from--;
        }
        // The corner that ends it is marked with the neighbour that follows.
        while ($to + 1 < count($points) && $points[$to]->by === CutLine::OUTLET) {
            $to++;
        }

        return array_map(
            static fn (LinePoint $one): array => [$one->at->x, $one->at->y],
            array_slice($points, $from, $to - $from + 1),
        );
    }

    public function acrossMm(): float
    {
        [$left, , $right] = $this->outline->box();

        return $right - $left;
    }
}

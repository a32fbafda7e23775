<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Looks;

use UpsweptBead\Core\Base\Geometry\Vector;

/**
 * Tubes that stand side by side, and how even the gaps between them are. A line is a tube's centreline as points at
 * equal steps along it.
 */
final readonly class Row
{
    /** Ports further apart than this many times the usual step are no neighbours: another bank begins. */
    private const NEXT_BANK = 1.8;

    /**
     * Near the ends the gaps are what ports and inlets make them; they are looked at from here to as far from the
     * other end.
     */
    private const FROM = 0.15;

    /** @param  list<array{int, int}>  $pairs  of neighbours */
    private function __construct(public array $pairs) {}

    /** @param  list<Vector>  $ports  where each tube begins */
    public static function of(array $ports): self
    {
        $pairs = $steps = [];
        $joined = [0 => true];
        // The shortest tree that joins all ports: along a row, from each to the next.
        while (count($joined) < count($ports)) {
            $best = null;
            foreach (array_keys($joined) as $i) {
                foreach ($ports as $j => $port) {
                    $apart = $port->distanceTo($ports[$i]);
                    if (! isset($joined[$j]) && ($best === null || $apart < $best[2])) {
                        $best = [$i, $j, $apart];
                    }
                }
            }
            if ($best === null) {
                break;
            }
            $joined[$best[1]] = true;
            $pairs[] = [$best[0], $best[1]];
            $steps[] = $best[2];
        }
        $sorted = $steps;
        sort($sorted);
        $usual = $sorted === [] ? 0.0 : $sorted[intdiv(count($sorted), 2)];

        return new self(
            array_values(
                array_filter(
                    $pairs,
                    static fn (int $k): bool => $steps[$k] <= self::NEXT_BANK * $usual,
                    ARRAY_FILTER_USE_KEY,
                ),
            ),
        );
    }

    /**
     * Widest less narrowest of what each pair of neighbours keeps between them on average.
     *
     * @param  list<list<Vector>>  $lines  of every tube
     * @param  list<float>  $odMm  of every tube
     * @return float|null mm; null where there are no two pairs to compare
     */
    public function gapSpreadMm(array $lines, array $odMm): ?float
    {
        $gaps = [];
        foreach ($this->pairs as [$i, $j]) {
            $gaps[] = self::meanGap($lines[$i], $lines[$j]) - ($odMm[$i] + $odMm[$j]) / 2;
        }

        return count($gaps) < 2 ? null : max($gaps) - min($gaps);
    }

    /**
     * @param  list<Vector>  $line
     * @param  list<Vector>  $other
     */
    private static function meanGap(array $line, array $other): float
    {
        $last = count($line) - 1;
        $sum = 0.0;
        $count = 0;
        for ($i = (int) round(self::FROM * $last); $i <= (int) round((1 - self::FROM) * $last); $i++) {
            $sum += self::distance($line[$i], $other);
            $count++;
        }

        return $sum / max(1, $count);
    }

    /** @param  list<Vector>  $line */
    private static function distance(Vector $point, array $line): float
    {
        $best = INF;
        $from = $line[0];
        foreach ($line as $to) {
            [$ux, $uy, $uz] = [$to->x - $from->x, $to->y - $from->y, $to->z - $from->z];
            [$px, $py, $pz] = [$point->x - $from->x, $point->y - $from->y, $point->z - $from->z];
            $square = $ux * $ux + $uy * $uy + $uz * $uz;
            $t = $square > 1e-12 ? ($px * $ux + $py * $uy + $pz * $uz) / $square : 0.0;
            $t = $t < 0.0 ? 0.0 : ($t > 1.0 ? 1.0 : $t);
            [$dx, $dy, $dz] = [$px - $t * $ux, $py - $t * $uy, $pz - $t * $uz];
            $off = $dx * $dx + $dy * $dy + $dz * $dz;
            $best = $off < $best ? $off : $best;
            $from = $to;
        }

        return sqrt($best);
    }
}

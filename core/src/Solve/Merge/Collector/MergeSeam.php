<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Merge\Collector;

use UpsweptBead\Core\Solve\Merge\CutLine;

/** One line along which the outsides of two tubes meet, up to the outlet; its true length in space, mm. */
final readonly class MergeSeam
{
    /** Shorter than this (mm) two tubes do not meet. */
    private const LEAST_MM = 1e-6;

    private function __construct(public string $first, public string $second, public float $lengthMm) {}

    /**
     * @param  list<string>  $ids  of the tubes
     * @param  list<CutLine>  $lines  and where each is cut
     * @return list<self> round the axis; two tubes have one
     */
    public static function of(array $ids, array $lines): array
    {
        $count = count($ids);
        $seams = [];
        for ($apart = 1; $apart <= intdiv($count, 2); $apart++) {
            // Tubes that stand opposite are the same pair from both sides.
            for ($i = 0; $i < (2 * $apart === $count ? $apart : $count); $i++) {
                $other = ($i + $apart) % $count;
                $mm = $lines[$i]->lengthMm($other);
                if ($mm > self::LEAST_MM) {
                    $seams[] = new self($ids[$i], $ids[$other], $mm);
                }
            }
        }

        return $seams;
    }

    /**
     * All outside edges in the outlet plane together; mm.
     *
     * @param  list<CutLine>  $lines
     */
    public static function outletEdgeMm(array $lines): float
    {
        return array_sum(array_map(static fn (CutLine $one): float => $one->lengthMm(CutLine::OUTLET), $lines));
    }
}

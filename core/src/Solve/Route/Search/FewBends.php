<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Route\Search;

/** Ways with one bend or none, which there are only where the ends happen to stand in one plane or in one line. */
final readonly class FewBends
{
    /** The ends meet if their lines pass within this of each other, mm. */
    private const MEETS = 1e-3;

    /** @return list<Way> */
    public static function of(Span $s): array
    {
        [$a, $b, $d] = [$s->port->direction, $s->inlet->direction, $s->across];
        $cos = $a->dot($b);
        $square = 1.0 - $cos * $cos;
        if ($square < 1e-12) {
            return $cos > 0.0 && $d->dot($a) > 0.0 && $d->squareTo($a)->length() < self::MEETS
                ? self::fitting([Way::of($s, [], [])])
                : [];
        }
        // From D = l0 a + l1 b, by least squares.
        $first = ($d->dot($a) - $cos * $d->dot($b)) / $square;
        $last = ($d->dot($b) - $cos * $d->dot($a)) / $square;
        if (
            $s->rules->maxBends < 1 ||
            $first <= 0.0 ||
            $last <= 0.0 ||
            $d->minus($a->times($first))->minus($b->times($last))->length() > self::MEETS
        ) {
            return [];
        }
        $vertex = $s->port->at->plus($a->times($first))->toArray();

        return self::fitting(array_map(static fn (float $radius): Way => Way::of($s, $vertex, [$radius]), $s->radii));
    }

    /**
     * @param  list<Way>  $ways
     * @return list<Way>
     */
    private static function fitting(array $ways): array
    {
        return array_values(array_filter($ways, static fn (Way $way): bool => $way->breach() <= 0.01));
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Cut;

/**
 * Pieces that are sawn without changing the saw: the same size of tube in the same clamp, straights against a stop from
 * the longest to the shortest, bends of one radius by falling angle. Pieces of the same length stand together.
 */
final readonly class SawSetUp
{
    /** Lengths this near to each other are cut against the same stop (mm). */
    private const SAME_STOP_MM = 0.05;

    /**
     * @param  string  $tubeId  what the clamp holds
     * @param  float  $clrMm  of the bends; 0 for straights
     * @param  list<Piece>  $pieces  in the order they are cut
     * @param  int  $stops  how often the stop is moved
     */
    private function __construct(
        public string $tubeId,
        public float $clrMm,
        public array $pieces,
        public int $stops,
    ) {}

    /** @return list<self> those of one tube side by side, its straights first */
    public static function all(CutPlan $cut): array
    {
        $groups = [];
        foreach ($cut->nestings as $nesting) {
            foreach ($nesting->pieces as $piece) {
                $clrMm = $piece->isBend() ? $piece->clrMm : 0.0;
                $groups[sprintf('%s %09.3f', $nesting->tubeId, $clrMm)][] = [$nesting->tubeId, $clrMm, $piece];
            }
        }
        ksort($groups);

        return array_values(array_map(self::of(...), $groups));
    }

    /** @param  non-empty-list<array{string, float, Piece}>  $group */
    private static function of(array $group): self
    {
        $pieces = array_column($group, 2);
        usort($pieces, static fn (Piece $a, Piece $b): int => [$b->angleDeg, $b->cutLengthMm(), $a->mark]
            <=> [$a->angleDeg, $a->cutLengthMm(), $b->mark]);
        $stops = 0;
        $lastMm = INF;
        foreach ($pieces as $piece) {
            if (abs($piece->cutLengthMm() - $lastMm) > self::SAME_STOP_MM) {
                $stops++;
                $lastMm = $piece->cutLengthMm();
            }
        }

        return new self($group[0][0], $group[0][1], $pieces, $stops);
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Stage\Merge;

/** A seam between two tubes of a collector, in its turn; tubes counted from 0, its length in space in mm. */
final readonly class MergeSeam
{
    public function __construct(public int $first, public int $second, public float $lengthMm, public string $why) {}

    /**
     * The seams of so many tubes in the order they are welded, common practice: pairs first, then the pairs to one
     * another, so that the last are reached from outside.
     *
     * @return list<self>
     */
    public static function all(int $count, float $lengthMm): array
    {
        if ($count === 2) {
            return [new self(0, 1, $lengthMm, 'Tacked at the crotch, then down each side; a shim keeps the inlets apart. Then both sides in turn.')];
        }
        $seams = [];
        for ($i = 0; $i + 1 < $count; $i += 2) {
            $seams[] = new self($i, $i + 1, $lengthMm, 'Pairs first, each flat on the bench: inside and outside are in reach.');
        }
        for ($i = 1; $i < $count; $i += 2) {
            $seams[] = new self(
                $i,
                ($i + 1) % $count,
                $lengthMm,
                'Then the pairs to one another: crowns first, the centre last, with the small cup.',
            );
        }
        if ($count % 2 === 1) {
            $seams[] = new self($count - 1, 0, $lengthMm, 'The last one closes the round: crowns first, the centre last, with the small cup.');
        }

        return $seams;
    }
}

<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Adjust;

/**
 * Whether one end is another one mirrored: the other bank.
 *
 * @phpstan-import-type Triple from Xyz
 */
final readonly class MirrorCheck
{
    private const BEYOND = 3.0;

    /**
     * @param  Triple  $gap  by which the one lies off the mirrored other, mm
     * @param  Triple  $gapSd
     */
    private function __construct(public array $gap, public array $gapSd, public float $angle, public bool $isOther) {}

    /**
     * @param  int  $plane  0 to 2: the coordinate that is turned over
     * @param  Triple  $shift
     */
    public static function of(Adjustment $now, string $one, string $other, int $plane, float $at, array $shift): self
    {
        $mirrored = static function (array $place) use ($plane, $at): array {
            $place[$plane] = 2 * $at - $place[$plane];

            return $place;
        };
        $gap = static fn (Estimate $estimate): array => Xyz::minus(
            Xyz::minus($estimate->places[$one], $mirrored($estimate->places[$other])),
            $shift,
        );
        $rows = $now->slopes([$one, $other], [], $gap);
        $covariance = $now->carried($rows, $rows);
        $off = $gap($now->estimate);
        $sd = array_map(static fn (int $i): float => sqrt(max(0.0, $covariance[$i][$i])), [0, 1, 2]);
        $axis = $now->estimate->axes[$other];
        $axis[$plane] = -$axis[$plane];
        $isOther = false;
        foreach ($off as $i => $part) {
            $isOther = $isOther || abs($part) > self::BEYOND * $sd[$i] + 1e-9;
        }

        return new self($off, $sd, Xyz::angleDeg($now->estimate->axes[$one], $axis), $isOther);
    }
}

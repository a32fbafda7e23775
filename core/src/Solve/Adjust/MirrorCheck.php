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
     * @param  int<0, 2>  $plane  the coordinate that is turned over
     * @param  Triple  $shift
     */
    public static function of(Adjustment $now, string $one, string $other, int $plane, float $at, array $shift): self
    {
        $normal = Xyz::AXES[$plane];
        $gap = static fn (Estimate $estimate): array => Xyz::minus(
            Xyz::minus($estimate->places[$one], self::turned($estimate->places[$other], $normal, $at)),
            $shift,
        );
        $rows = $now->slopes([$one, $other], [], $gap);
        $covariance = $now->carried($rows, $rows);
        $off = $gap($now->estimate);
        $sd = array_map(static fn (int $i): float => sqrt(max(0.0, $covariance[$i][$i])), [0, 1, 2]);
        $axis = self::turned($now->estimate->axes[$other], $normal, 0.0);
        $isOther = false;
        foreach ($off as $i => $part) {
            $isOther = $isOther || abs($part) > self::BEYOND * $sd[$i] + 1e-9;
        }

        return new self($off, $sd, Xyz::angleDeg($now->estimate->axes[$one], $axis), $isOther);
    }

    /**
     * @param  Triple  $what
     * @param  Triple  $normal
     * @return Triple in a mirror that stands so far along its normal
     */
    private static function turned(array $what, array $normal, float $at): array
    {
        return Xyz::plus($what, $normal, 2 * ($at - Xyz::dot($what, $normal)));
    }
}

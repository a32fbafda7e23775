<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Solve\Adjust;

/**
 * How far a run from one end misses the other, and how sure that is: what has to be left long at its last straight.
 *
 * @phpstan-import-type Triple from Xyz
 */
final readonly class ClosingGap
{
    /** One side of a normal distribution within which 95 of 100 lie. */
    public const SURE = 1.6449;

    /** To take a reading again better makes it so much more sure. */
    private const BETTER = 10.0;

    /**
     * @param  Triple  $gap  from the end of the run to the other end, mm
     * @param  Triple  $gapSd
     * @param  float  $along  of it, the way the run should travel there: above 0 too short
     * @param  array{reading: string, size_sd: float}|null  $retake
     */
    private function __construct(
        public array $gap,
        public array $gapSd,
        public float $sizeSd,
        public float $angle,
        public float $angleSd,
        public float $along,
        public float $alongSd,
        public ?array $retake,
    ) {}

    public function trimMm(): float
    {
        return self::SURE * $this->alongSd;
    }

    public static function of(Adjustment $now, string $from, string $to, FarPoint $run): self
    {
        $numbers = static function (Estimate $at) use ($from, $to, $run): array {
            [$end, $travel] = $run->end($at->places[$from], $at->axes[$from]);
            $wanted = Xyz::times($at->axes[$to], -1.0);
            $gap = Xyz::minus($at->places[$to], $end);

            return [...$gap, ...Xyz::minus($travel, $wanted), Xyz::dot($gap, $wanted)];
        };
        [$x, $y, $z, , , , $along] = $numbers($now->estimate);
        $rows = $now->slopes([$from, $to], [$from, $to], $numbers);
        $covariance = $now->carried($rows, $rows);
        $sd = static fn (int $i): float => sqrt(max(0.0, $covariance[$i][$i]));
        $together = static fn (int $i): float => sqrt(
            max(0.0, $covariance[$i][$i] + $covariance[$i + 1][$i + 1] + $covariance[$i + 2][$i + 2]),
        );
        [, $travel] = $run->end($now->estimate->places[$from], $now->estimate->axes[$from]);

        return new self(
            [$x, $y, $z],
            [$sd(0), $sd(1), $sd(2)],
            $together(0),
            Xyz::angleDeg($travel, Xyz::times($now->estimate->axes[$to], -1.0)),
            rad2deg($together(3)),
            $along,
            $sd(6),
            self::retake($now, array_slice($rows, 0, 3), $together(0)),
        );
    }

    /**
     * The one reading that is worth most to take again: what the gap's doubt becomes with a tenth of its sigma.
     *
     * @param  list<array<int, float>>  $rows  how the gap changes with what was found
     * @return array{reading: string, size_sd: float}|null null where none makes it surer
     */
    private static function retake(Adjustment $now, array $rows, float $sizeSd): ?array
    {
        $of = [];
        foreach ($now->equations->observations as $k => $one) {
            $of[$one->reading][] = $now->equations->rows[$k];
        }
        [$best, $least] = [null, $sizeSd ** 2 * (1 - 1e-9)];
        foreach ($of as $reading => $seen) {
            // Weights times a hundred, as a correction of the covariance (Woodbury).
            $inner = $now->carried($seen, $seen);
            foreach ($inner as $i => $row) {
                $inner[$i][$i] = $row[$i] + 1 / (self::BETTER ** 2 - 1);
            }
            $split = Cholesky::of($inner);
            if ($split === null) {
                continue;
            }
            $square = $sizeSd ** 2;
            foreach ($now->carried($rows, $seen) as $part) {
                foreach ($split->solve($part) as $i => $value) {
                    $square -= $value * $part[$i];
                }
            }
            if ($square < $least) {
                [$best, $least] = ["$reading", $square];
            }
        }

        return $best === null ? null : ['reading' => $best, 'size_sd' => sqrt(max(0.0, $least))];
    }
}
